import { cookies } from 'next/headers';
import { NotFound } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { readSession } from '@/server/session';
import { technicianCookie, technicianCookieSeconds } from '@/technician-cookie';

/** Chooses who works on this device. No sign-in yet: the firm's own machine decides who sits at it. */
export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const { id } = ((await readJson(request)) ?? {}) as { id?: unknown };
    const session = await readSession();
    const chosen = session?.technicians.find((each) => each.id === id);
    if (!chosen) {
      throw new NotFound('This firm has no such technician.');
    }
    (await cookies()).set(technicianCookie, chosen.id, {
      sameSite: 'strict',
      maxAge: technicianCookieSeconds,
    });
  });
}
