import type { CalendarEntry } from '@sabor/contract/calendar';
import { CARE, type CareKind } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS, type HairEventKind } from '@sabor/core/hair/history';
import { EVENTS, type EventKind } from '@sabor/core/outcomes/events';

/** The same where there is little room: "Day 2 · Ines", "Wash 3 · Ines", "Clarify · Ines". */
export function entryInShort({ kind, what, n, of }: CalendarEntry): string {
  const who = of.split(' ')[0]!;
  switch (kind) {
    case 'wash-day':
      return `Wash${n === null ? '' : ` ${n}`} · ${who}`;
    case 'check-in':
      return `Day ${n} · ${who}`;
    case 'care':
      return `${CARE[what as CareKind].label} · ${who}`;
    case 'appointment':
      return `${HAIR_EVENTS[what as HairEventKind].label} · ${who}`;
    case 'announced':
      return `${EVENTS[what as EventKind].label} · ${who}`;
    case 'bottle':
      return `${what}: last day`;
    case 'retest':
      return `Again · ${who}`;
    case 'patch-test':
      return `Patch test · ${who}`;
  }
}

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
      return `${EVENTS[what as EventKind].label}, announced${state === 'missed' ? ': say what it came to' : ''}`;
    case 'bottle':
      return `${what}: last good day`;
    case 'retest':
      return `Run again: ${what}`;
    case 'patch-test':
      return `Patch test${state === 'missed' ? ', to be looked at' : ''}: ${what}`;
  }
}
