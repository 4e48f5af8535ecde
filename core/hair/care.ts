import { daysBetween, plusDays } from '../time/dates.ts';
import { CARE, type CareKind } from './care-kinds.ts';
import type { HairEventKind } from './history.ts';
import type { CareMark } from './wash-care.ts';

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

/** A row of {@link CARE}. */
type CareRow = {
  counts: readonly CareMark[];
  calls: readonly HairEventKind[];
  asked?: true;
  turns?: CareKind;
};

export const careRow = (kind: CareKind): CareRow => CARE[kind];

/** Whether a kind of care is kept on a head: not switched off, and where it is only kept when asked for, asked for. */
export const isKept = (kind: CareKind, cadence: Partial<Record<CareKind, number | null>>): boolean =>
  cadence[kind] !== null && (cadence[kind] !== undefined || !careRow(kind).asked);

/** The day something is due that was last done on `last`; with `other`, in turns with that. */
function dueAfter(
  last: string | null,
  days: number,
  other: { last: string | null; days: number } | null,
): string | null {
  if (other === null || other.last === null) return last === null ? null : plusDays(last, days);
  if (last === null || other.last > last) return plusDays(other.last, days);
  return plusDays(last, days + other.days);
}

/**
 * Where each kind of care stands on `today` (yyyy-mm-dd, as all dates here). `cadence` holds the wearer's own days
 * between; null switches a kind off, which leaves it out. Kinds that `alternate` take turns: the one that was done last is
 * due again only after the other. Most overdue first, never noted last.
 */
export function careStatus(
  events: readonly { kind: CareMark; on: string }[],
  washedOn: readonly string[],
  cadence: Partial<Record<CareKind, number | null>>,
  today: string,
  alternate: readonly CareKind[] = [],
): CareStatus[] {
  const kinds = (Object.keys(CARE) as CareKind[]).filter((kind) => isKept(kind, cadence));
  const newest = (dates: readonly string[]) =>
    dates
      .filter((on) => on <= today)
      .toSorted()
      .at(-1) ?? null;
  const daysOf = (kind: CareKind) => cadence[kind] ?? CARE[kind].everyDays;
  const lastOf = (kind: CareKind) => {
    const { counts } = careRow(kind);
    return newest(
      kind === 'wash' ? washedOn : events.filter((event) => counts.includes(event.kind)).map(({ on }) => on),
    );
  };
  const found = kinds.map((kind): CareStatus => {
    const { calls, turns } = careRow(kind);
    const everyDays = daysOf(kind);
    const last = lastOf(kind);
    const caller = events
      .filter(
        (event): event is { kind: HairEventKind; on: string } =>
          (calls as readonly CareMark[]).includes(event.kind) &&
          event.on <= today &&
          (last === null || event.on > last),
      )
      .toSorted((a, b) => a.on.localeCompare(b.on))[0];
    const other =
      turns && alternate.includes(kind) && kinds.includes(turns)
        ? { last: lastOf(turns), days: daysOf(turns) }
        : null;
    const byCadence = dueAfter(last, everyDays, other);
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
