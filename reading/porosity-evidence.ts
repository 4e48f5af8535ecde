import type { HairFile, HairTest } from '@sabor/contract/hair-file';
import { historyOutcome } from '@sabor/core/hair/history';
import type { Evidence } from '@sabor/core/hair/porosity/reading';
import { outcomeOfMeasure, type PorosityTestKind } from '@sabor/core/hair/porosity/tests';
import { localToday } from '@sabor/core/time/today';

/** A piece of evidence with the test it comes from; null for what the timeline tells. */
export interface FiledEvidence extends Evidence {
  test: HairTest | null;
}

/**
 * What speaks on one zone's porosity: its own newest result of each test, else the whole head's, and the timeline
 * once it holds anything. With `zoneId` null, the whole head's results alone.
 */
export function evidenceOn(
  file: Pick<HairFile, 'tests' | 'events'>,
  zoneId: string | null,
  today = localToday(),
): FiledEvidence[] {
  const newest = new Map<PorosityTestKind, HairTest>();
  const rank = (test: HairTest) => `${test.zoneId === null ? 0 : 1}${test.on}`;
  for (const test of file.tests) {
    if (test.zoneId !== null && test.zoneId !== zoneId) continue;
    const known = newest.get(test.kind);
    if (!known || rank(test) >= rank(known)) newest.set(test.kind, test);
  }
  const found: FiledEvidence[] = [...newest.values()].map((test) => ({
    kind: test.kind,
    outcome: test.outcome ?? outcomeOfMeasure(test.kind, test.value ?? 0),
    test,
  }));
  const lived = file.events.filter(({ on }) => on <= today);
  if (lived.length > 0) found.push({ kind: 'history', outcome: historyOutcome(lived, zoneId), test: null });
  return found;
}
