import ical, { ICalAlarmType } from 'ical-generator';
import type { DueUnit } from './service-due';

/** What is due on a firm's units as iCalendar (RFC 5545): a day each, so that an office's own calendar can take it. */
export function serviceCalendar(firm: string, units: readonly DueUnit[]): string {
  const calendar = ical({
    name: `${firm}: service`,
    prodId: { company: 'Ohmmeter', product: 'Ohmmeter' },
  });
  for (const { unitId, customer, address, title: heater, due } of units) {
    for (const { id, title, dueAt, interval } of due) {
      if (dueAt === undefined) continue;
      const event = calendar.createEvent({
        id: `${unitId}-${id}`,
        start: new Date(dueAt),
        end: new Date(Date.parse(dueAt) + 86_400_000),
        allDay: true,
        summary: `${title}: ${customer}`,
        description: `${heater}. Every ${interval}.`,
        location: address,
      });
      event.createAlarm({ type: ICalAlarmType.display, trigger: 0 });
    }
  }
  return calendar.toString();
}
