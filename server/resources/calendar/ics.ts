import type { CalendarEntry } from '@sabor/contract/calendar';
import { entryInWords } from '@sabor/words/calendar';
import { ICalAlarmType, ICalCalendar, ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';

const HOUR_S = 3600;

/**
 * Entries as an iCalendar file of whole days, for a calendar of one's own. Ids stay when a date moves, so that a calendar
 * that reads it again moves the entry and makes no second. `remind`: hour of that day at which an alarm goes off; `now`:
 * when the file is made. Source: RFC 5545 (VEVENT 3.6.1, VALARM 3.6.6, DTSTAMP 3.8.7.2, folding 3.1, UID 3.8.4.7).
 */
export function asICalendar(
  entries: readonly CalendarEntry[],
  remind: number | null,
  address: string,
  now: Date,
): string {
  const calendar = new ICalCalendar({
    name: 'Sabor',
    prodId: { company: 'Sabor', product: 'bench', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: HOUR_S,
  });
  for (const entry of entries) {
    const day = new Date(`${entry.on}T00:00:00Z`);
    const event = calendar.createEvent({
      id: `${entry.id}@sabor`,
      start: day,
      allDay: true,
      summary: `${entry.of}: ${entryInWords(entry)}`,
      url: `${address}${entry.path}`,
      transparency: ICalEventTransparency.TRANSPARENT,
      // A file that is read again must not look older than the one before: an entry that moved would stay where it was.
      stamp: now,
    });
    if (remind !== null && entry.state !== 'done')
      event.createAlarm({
        type: ICalAlarmType.display,
        trigger: -remind * HOUR_S,
        description: event.summary(),
      });
  }
  return calendar.toString();
}
