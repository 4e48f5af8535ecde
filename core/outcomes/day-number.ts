/**
 * One number for one check-in from ratings by zone: the mean weighted by the promised weights, over the zones that
 * were rated. Zones are repeated measures of one day, never replicates (methods.md 3). A whole-head rating (`zoneId`
 * null) stands only where no weighted zone was rated. Null when nothing usable was rated.
 */
export function dayNumber(
  ratings: readonly { zoneId: string | null; value: number }[],
  weights: ReadonlyMap<string, number>,
): number | null {
  let sum = 0;
  let weight = 0;
  for (const { zoneId, value } of ratings) {
    const w = zoneId === null ? 0 : (weights.get(zoneId) ?? 0);
    sum += w * value;
    weight += w;
  }
  if (weight > 0) return sum / weight;
  return ratings.find((rating) => rating.zoneId === null)?.value ?? null;
}

/** Promised zones that one check-in left unrated: the day's number then rests on fewer zones than promised. */
export function missingZones(
  ratings: readonly { zoneId: string | null }[],
  weights: ReadonlyMap<string, number>,
): string[] {
  const rated = new Set(ratings.map((rating) => rating.zoneId));
  return [...weights.keys()].filter((zoneId) => !rated.has(zoneId));
}
