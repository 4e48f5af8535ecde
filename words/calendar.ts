import type { CalendarEntry } from '@sabor/contract/calendar';
import { CARE, type CareKind } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS, type HairEventKind } from '@sabor/core/hair/history';
import { EVENTS, type EventKind } from '@sabor/core/outcomes/events';

/** What an entry of the calendar is called: "Wash day 3: Which gel?", "Check-in, day 2", "Clarify". */
export function entryInWords({ kind, what, n, state }: CalendarEntry): string {
  const late = state === 'missed' ? (kind === 'care' ? ', overdue' : ', missed') : '';
  switch (kind) {
    case 'wash-day':
      return n === null ? `Wash day: ${what}` : `Wash day ${n}: ${what}`;
    case 'check-in':
      return `Check-in, day ${n}${late}: ${what}`;
    case 'care':
      return `${CARE[what as CareKind].label}${late}`;
    case 'appointment':
      return HAIR_EVENTS[what as HairEventKind].label;
    case 'announced':
      return `${EVENTS[what as EventKind].label}, announced`;
    case 'bottle':
      return `${what}: last good day`;
    case 'retest':
      return `Run again: ${what}`;
  }
}
