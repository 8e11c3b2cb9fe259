import { NotFound } from '@/server/errors';
import { serviceCalendar } from '@/server/service-calendar';
import { dueUnits } from '@/server/service-due';
import { inFirm } from '@/server/in-firm';
import { readSession } from '@/server/session';
import { respond } from '@/server/respond';

const mostInCalendar = 1000;

/** What is due on the firm's units, and comes due within a month, as a calendar. */
export async function GET(): Promise<Response> {
  const session = await readSession();
  const units =
    session &&
    (await inFirm((transaction) =>
      dueUnits(transaction, new Date(), session.organisation.intervals, mostInCalendar),
    ));
  if (!units) return respond(() => Promise.reject(new NotFound('No firm is set up yet.')));
  return new Response(serviceCalendar(session.organisation.name, units), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="ohmmeter-service.ics"',
      'cache-control': 'no-store',
    },
  });
}
