import { plusDays } from '../time/dates.ts';
import { type EventCame, type EventGroup, type EventKind, eventOf } from './events.ts';

interface Told {
  kind: EventKind;
  /** The day it was, yyyy-mm-dd. */
  on: string;
  announced: boolean;
  came: EventCame | null;
}

/**
 * What was done and happened on the day before, to be said again for `on` in one go: nothing where something is said of
 * that day already, and nothing of which it is not known that it happened.
 */
export function asBefore<E extends Told>(
  events: readonly E[],
  on: string,
  groups: readonly EventGroup[],
): E[] {
  const here = events.filter(({ kind }) => groups.includes(eventOf(kind).group));
  const before = plusDays(on, -1);
  return here.some((event) => event.on === on)
    ? []
    : here.filter(
        (event) => event.on === before && (!event.announced || (event.came !== null && event.came !== 'off')),
      );
}
