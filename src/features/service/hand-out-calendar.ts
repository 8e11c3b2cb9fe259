'use client';

import type { CalendarEvent } from '@/calendar/calendar';

/** Hands the events out as a file. */
export async function handOutCalendar(
  file: string,
  name: string,
  events: readonly CalendarEvent[],
): Promise<void> {
  const { calendarOf } = await import('@/calendar/calendar');
  const url = URL.createObjectURL(new Blob([calendarOf(name, events)], { type: 'text/calendar' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${file}.ics`;
  link.click();
  URL.revokeObjectURL(url);
}
