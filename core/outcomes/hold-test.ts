/**
 * The hold test of the trade: frizz or lost definition as soon as the cast is broken, or by the evening, says that the hold
 * was too low for this hair. Common practice, no source.
 */

/** From this many points on a rating has turned. Model assumption: two points are more than one rater's usual scatter. */
export const HOLD_TEST_POINTS = 2;

export interface HoldLook {
  ratings: readonly { outcome: string; zoneId: string | null; value: number }[];
}

/** A zone whose hold was too low, with both readings. */
export interface HoldTooLow {
  zoneId: string | null;
  outcome: 'frizz' | 'definition';
  when: 'cast broken' | 'by evening';
  before: number;
  after: number;
}

/** What frizz or definition of any zone turned from one look to a later one. */
function turned(
  before: HoldLook | undefined,
  after: HoldLook | undefined,
  when: HoldTooLow['when'],
): HoldTooLow[] {
  if (!before || !after) return [];
  return (['frizz', 'definition'] as const).flatMap((outcome) =>
    before.ratings
      .filter((rating) => rating.outcome === outcome)
      .flatMap(({ zoneId, value }) => {
        const later = after.ratings.find((one) => one.outcome === outcome && one.zoneId === zoneId)?.value;
        if (later === undefined) return [];
        const worse = outcome === 'frizz' ? later - value : value - later;
        return worse >= HOLD_TEST_POINTS ? [{ zoneId, outcome, when, before: value, after: later }] : [];
      }),
  );
}

/** Zones in which the hold was too low: from the cast to the finished hair, and from that to the same evening. */
export const holdTest = (looks: {
  cast?: HoldLook | undefined;
  finished?: HoldLook | undefined;
  evening?: HoldLook | undefined;
}): HoldTooLow[] => [
  ...turned(looks.cast, looks.finished, 'cast broken'),
  ...turned(looks.finished, looks.evening, 'by evening'),
];
