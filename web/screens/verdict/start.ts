import type { HairFile } from '@sabor/contract/hair-file';
import type { VerdictContent } from '@sabor/contract/verdict';
import type { Wearer } from '@sabor/contract/wearer';
import { daysBetween } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { type ListSays, type ProposedClaim, proposeClaim } from '@sabor/core/verdict/claims';
import type { Evidence } from '@sabor/core/verdict/evidence';
import { type ForWhom, lengthOf, type Suits } from '@sabor/core/verdict/words-of-verdict';
import type { Judged } from './judged.ts';

/** The traits of a head by which a verdict says whom something suits. */
export function traitsFor(wearer: Wearer): Partial<Record<Suits, string>> {
  const { pattern, strand, density, porosity, lengthMm } = wearer;
  const told: Partial<Record<Suits, string | null>> = {
    pattern,
    strand,
    density,
    porosity,
    length: lengthMm === null ? null : lengthOf(lengthMm),
  };
  return Object.fromEntries(Object.entries(told).filter(([, value]) => value !== null)) as Partial<
    Record<Suits, string>
  >;
}

/** What became of each claim by what was read, as far as Sabor can say; the others are open. */
export function proposedClaims(
  claims: readonly string[],
  evidence: Evidence | null,
  list: ListSays,
  sinceColouring: number | null,
): Map<string, ProposedClaim> {
  return new Map(
    claims.flatMap((claim) => {
      const found = proposeClaim(claim, evidence, list, sinceColouring);
      return found ? [[claim, found] as const] : [];
    }),
  );
}

/** A verdict as it is begun: all that was measured filled in, the four questions open. */
export function begun({
  judged: { claims, packaging },
  wearer,
  evidence,
  proposed,
}: {
  judged: Judged;
  wearer: Wearer;
  evidence: Evidence | null;
  proposed: ReadonlyMap<string, ProposedClaim>;
}): VerdictContent {
  const behind = evidence?.versus.some(({ state }) => state === 'behind') ?? true;
  // One that is clearly behind another suits nobody by itself: that is the tester's to say.
  const forWhom: ForWhom[] = behind
    ? []
    : Object.entries(traitsFor(wearer)).map(([trait, value]) => ({
        trait: trait as Suits,
        value,
        suits: true,
        how: 'tested',
      }));
  return {
    score: null,
    why: '',
    forWhom,
    amount: evidence?.dose ?? null,
    buyAgain: null,
    buyWhy: '',
    claims: claims.map((claim) => ({
      claim,
      state: proposed.get(claim)?.state ?? 'not-tested',
      because: '',
      proposed: proposed.get(claim)?.state ?? null,
    })),
    against: [],
    style: null,
    effort:
      evidence?.handsOn == null
        ? ''
        : `About ${Math.round(evidence.handsOn)} minutes hands-on for the whole wash day.`,
    feel: '',
    packaging,
    next: '',
    open: [],
  };
}

/** Days from the last colouring or bleaching to the latest wash day; null where neither is on record. */
export function sinceColouring(file: HairFile, evidence: Evidence | null): number | null {
  const latest = evidence?.lastOn || localToday();
  const coloured = file.events
    .filter(({ kind, on }) => (kind === 'colour' || kind === 'bleach') && on <= latest)
    .map(({ on }) => on)
    .sort()
    .at(-1);
  return coloured ? daysBetween(coloured, latest) : null;
}
