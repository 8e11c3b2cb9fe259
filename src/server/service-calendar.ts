import { calendarOf } from '../calendar/calendar';
import type { DueUnit } from './service-due';

/** What is due on a firm's units as iCalendar: a day each, so that an office's own calendar can take it. */
export const serviceCalendar = (firm: string, units: readonly DueUnit[]): string =>
  calendarOf(
    `${firm}: service`,
    units.flatMap(({ unitId, customer, address, title: heater, due }) =>
      due.flatMap(({ id, title, dueAt, interval }) =>
        dueAt === undefined
          ? []
          : [
              {
                id: `${unitId}-${id}`,
                at: new Date(dueAt),
                title: `${title}: ${customer}`,
                words: `${heater}. Every ${interval}.`,
                place: address,
                isWholeDay: true,
              },
            ],
      ),
    ),
  );
