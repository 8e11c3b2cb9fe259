import ical, { ICalAlarmType } from 'ical-generator';

/** Something that comes due, for a calendar. */
export interface CalendarEvent {
  readonly id: string;
  readonly at: Date;
  readonly title: string;
  readonly words?: string;
  readonly place?: string;
  /** A day without a time. */
  readonly isWholeDay?: boolean;
}

/** Events as iCalendar (RFC 5545), each with an alarm at its time. */
export function calendarOf(name: string, events: readonly CalendarEvent[]): string {
  const calendar = ical({ name, prodId: { company: 'Ohmmeter', product: 'Ohmmeter' } });
  for (const { id, at, title, words, place, isWholeDay = false } of events) {
    const event = calendar.createEvent({
      id,
      start: at,
      end: new Date(at.getTime() + (isWholeDay ? 86_400_000 : 300_000)),
      allDay: isWholeDay,
      summary: title,
      description: words,
      location: place,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0 });
  }
  return calendar.toString();
}
