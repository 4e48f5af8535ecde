import { daysBetween, plusDays } from '../time/dates.ts';
import { CARE, type CareKind } from './care-kinds.ts';
import type { HairEventKind } from './history.ts';

export interface CareStatus {
  kind: CareKind;
  everyDays: number;
  /** Local date it was last done, or null when the file does not say. */
  last: string | null;
  /** Local date from which it is due; null when it was never noted. */
  dueOn: string | null;
  /** Days past due today; negative while there is time, null when never noted. */
  over: number | null;
  /** The event that called for it before its cadence did. */
  calledBy: HairEventKind | null;
}

/**
 * Where each kind of care stands on `today` (yyyy-mm-dd, as all dates here). `cadence` holds the wearer's own days
 * between; null switches a kind off, which leaves it out. Most overdue first, never noted last.
 */
export function careStatus(
  events: readonly { kind: HairEventKind; on: string }[],
  washedOn: readonly string[],
  cadence: Partial<Record<CareKind, number | null>>,
  today: string,
): CareStatus[] {
  const kinds = (Object.keys(CARE) as CareKind[]).filter((kind) => cadence[kind] !== null);
  const newest = (dates: readonly string[]) =>
    dates
      .filter((on) => on <= today)
      .toSorted()
      .at(-1) ?? null;
  const found = kinds.map((kind): CareStatus => {
    const { counts, calls } = CARE[kind] as {
      counts: readonly HairEventKind[];
      calls: readonly HairEventKind[];
    };
    const everyDays = cadence[kind] ?? CARE[kind].everyDays;
    const dates =
      kind === 'wash' ? washedOn : events.filter((event) => counts.includes(event.kind)).map(({ on }) => on);
    const last = newest(dates);
    const caller = events
      .filter(
        (event) => calls.includes(event.kind) && event.on <= today && (last === null || event.on > last),
      )
      .toSorted((a, b) => a.on.localeCompare(b.on))[0];
    const byCadence = last === null ? null : plusDays(last, everyDays);
    const called = caller !== undefined && (byCadence === null || caller.on < byCadence);
    const dueOn = called ? caller.on : byCadence;
    return {
      kind,
      everyDays,
      last,
      dueOn,
      over: dueOn === null ? null : daysBetween(dueOn, today),
      calledBy: called ? caller.kind : null,
    };
  });
  return found.sort((a, b) => (b.over ?? Number.NEGATIVE_INFINITY) - (a.over ?? Number.NEGATIVE_INFINITY));
}
