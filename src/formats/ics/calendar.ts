import { createEvents, type EventAttributes } from 'ics';

/** Something that stands in a calendar. */
export interface CalendarEntry {
  uid: string;
  title: string;
  start: Date;
  minutes: number;
}

/**
 * A calendar file of some entries, with times where the person is.
 *
 * @throws {Error} for entries that no calendar takes
 */
export function writeCalendar(entries: readonly CalendarEntry[]): string {
  const events = entries.map(({ uid, title, start, minutes }): EventAttributes => {
    const length = Math.max(1, Math.round(minutes));
    return {
      ...{ uid, title, productId: 'nembrel', calName: 'Nembrel' },
      start: [start.getFullYear(), start.getMonth() + 1, start.getDate(), start.getHours(), start.getMinutes()],
      startInputType: 'local',
      startOutputType: 'local',
      duration: { hours: Math.floor(length / 60), minutes: length % 60 },
    };
  });
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('nothing was written');
  return value;
}
