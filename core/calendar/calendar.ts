import type { CareStatus } from '../hair/care.ts';
import { plusDays } from '../time/dates.ts';
import type { KeyOf } from '../vocabulary.ts';

/** What stands on a calendar. */
export const CALENDAR_KINDS = {
  'wash-day': { label: 'wash day' },
  'check-in': { label: 'check-in' },
  care: { label: 'care' },
  appointment: { label: 'appointment' },
  announced: { label: 'announced' },
  bottle: { label: 'bottle' },
  retest: { label: 'to be run again' },
  'patch-test': { label: 'patch test' },
} as const;
export type CalendarKind = KeyOf<typeof CALENDAR_KINDS>;

/** How an entry stands today. */
export const CALENDAR_STATES = {
  done: { label: 'done' },
  due: { label: 'due' },
  missed: { label: 'missed' },
  ahead: { label: 'ahead' },
} as const;
export type CalendarState = KeyOf<typeof CALENDAR_STATES>;

/** One entry of a day. `id` stays the same when its date moves. Dates are local to its wearer, yyyy-mm-dd. */
export interface Entry {
  id: string;
  on: string;
  kind: CalendarKind;
  state: CalendarState;
  /** Whose, or what it is of. */
  of: string;
  /** What it is: the trial's question, a care kind's key, an event's key, a product's name. */
  what: string;
  /** Number of the wash day in its trial, or day worn of a check-in. */
  n: number | null;
  /** Where in Sabor it is seen to. */
  path: string;
  /** Whether it may be moved to another day. */
  moves: boolean;
}

/** What an entry that moves is of: the next wash day of a trial, or an appointment of a head. */
export type Moving = { kind: 'wash-day'; trialId: string } | { kind: 'appointment'; eventId: string };

const UUID = '[0-9a-f-]{36}';
/** Reads what an entry's id stands for, where it is one that moves. */
export function movingOf(entryId: string): Moving | null {
  const [, trialId] = new RegExp(`^planned-(${UUID})-\\d+$`).exec(entryId) ?? [];
  if (trialId) return { kind: 'wash-day', trialId };
  const [, eventId] = new RegExp(`^appointment-(${UUID})$`).exec(entryId) ?? [];
  return eventId ? { kind: 'appointment', eventId } : null;
}

export interface DayFacts {
  id: string;
  wearerName: string;
  /** Question of its trial, or its own name. */
  name: string;
  on: string;
  status: 'under way' | 'worn' | 'finished' | 'abandoned';
  /** The date of the finished hair, where it is known, and of the wear's end. */
  revealOn: string | null;
  endedOn: string | null;
  wearDays: number;
  /** Days worn that were looked at. */
  seen: readonly number[];
}

export interface TrialFacts {
  id: string;
  wearerName: string;
  question: string;
  washDays: number;
  washDaysDone: number;
  /** Days from wash to wash, and the date of the last one; null before the first. */
  every: number;
  lastOn: string | null;
  /** The day the next one was moved to. */
  nextOn: string | null;
}

const stateOf = (on: string, today: string): CalendarState =>
  on < today ? 'missed' : on === today ? 'due' : 'ahead';

/** A wash day, and the check-ins its wear asks for: a missed one is offered, not hidden; none after the wear ended. */
export function entriesOfDay(day: DayFacts, today: string): Entry[] {
  if (day.status === 'abandoned') return [];
  const of = day.wearerName;
  const path = `/wash-days/${day.id}`;
  const wash: Entry = {
    id: `wash-day-${day.id}`,
    on: day.on,
    kind: 'wash-day',
    state: day.status === 'under way' ? 'due' : 'done',
    of,
    what: day.name,
    n: null,
    path,
    moves: false,
  };
  if (day.revealOn === null) return [wash];
  const { revealOn } = day;
  const looks = Array.from({ length: day.wearDays }, (_, i) => i + 1).flatMap((n): Entry[] => {
    const on = plusDays(revealOn, n - 1);
    const done = day.seen.includes(n);
    if (!done && day.endedOn !== null && on >= day.endedOn) return [];
    // What was missed of a wear that is over is past offering.
    if (!done && day.status === 'finished') return [];
    return [
      {
        id: `check-in-${day.id}-${n}`,
        on,
        kind: 'check-in',
        state: done ? 'done' : stateOf(on, today),
        of,
        what: day.name,
        n,
        path: `${path}/look/day-${n}`,
        moves: false,
      },
    ];
  });
  return [wash, ...looks];
}

/**
 * The wash days a trial still has: one every so many days from its last, or from the day the next one was moved to, none
 * before today. A trial that never began and was put on no day has none.
 */
export function entriesAhead(trial: TrialFacts, today: string): Entry[] {
  const { nextOn, lastOn } = trial;
  const every = Math.max(1, trial.every);
  const first = nextOn ?? (lastOn === null ? null : plusDays(lastOn, every));
  if (first === null) return [];
  const left = trial.washDays - trial.washDaysDone;
  let on = first < today ? today : first;
  return Array.from({ length: Math.max(0, left) }, (_, i): Entry => {
    if (i > 0) on = plusDays(on, every);
    return {
      id: `planned-${trial.id}-${trial.washDaysDone + i + 1}`,
      on,
      kind: 'wash-day',
      state: on === today ? 'due' : 'ahead',
      of: trial.wearerName,
      what: trial.question,
      n: trial.washDaysDone + i + 1,
      path: `/trials/${trial.id}`,
      // The ones after it follow.
      moves: i === 0,
    };
  });
}

/** Care of a head on the day it is due; what is overdue stands on today. The wash itself is left to wash days. */
export const entriesOfCare = (
  wearer: { id: string; name: string },
  status: readonly CareStatus[],
  today: string,
): Entry[] =>
  status.flatMap(({ kind, dueOn, last }) =>
    kind === 'wash' || dueOn === null
      ? []
      : [
          {
            id: `care-${wearer.id}-${kind}-${last ?? 'never'}`,
            on: dueOn < today ? today : dueOn,
            kind: 'care' as const,
            state: dueOn < today ? ('missed' as const) : stateOf(dueOn, today),
            of: wearer.name,
            what: kind,
            n: null,
            path: `/heads/${wearer.id}?part=care`,
            moves: false,
          },
        ],
  );
