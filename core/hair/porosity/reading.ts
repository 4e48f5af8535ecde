import { informationGain, posterior } from '../../inference/bayes.ts';
import type { Porosity } from '../traits.ts';
import { outcomesOf, POROSITY_TESTS, type PorosityTestKind } from './tests.ts';

const CLASSES = ['low', 'medium', 'high'] as const satisfies readonly Porosity[];

/** Belief before any evidence, for low, medium, high. Model assumption. */
export const PRIOR = [0.3, 0.4, 0.3] as const;

/** A class is named from this probability on; under it the reading is "not clear yet". Model assumption. */
export const CLEAR_FROM = 0.6;

/** Tests that are expected to tell less than this, in bits, before anything is known are called weak. */
export const WEAK_UNDER_BITS = 0.05;

export interface Evidence {
  kind: PorosityTestKind;
  /** Key of one of the test's outcomes. */
  outcome: string;
}

export type Probabilities = Record<Porosity, number>;

export interface PorosityReading {
  probabilities: Probabilities;
  /** The class named, or null while none is clear. */
  call: Porosity | null;
  /** For each piece of evidence, what the probabilities would be without it subtracted from what they are. */
  moved: { evidence: Evidence; by: Probabilities; weak: boolean }[];
  /** Tests not yet made, the one that would tell most first, with the expected gain in bits. */
  next: { kind: PorosityTestKind; bits: number; weak: boolean }[];
}

const chancesOf = (kind: PorosityTestKind) => outcomesOf(kind).map(([, { chance }]) => chance);

/** Whether a test is expected to tell little even before anything is known. */
export const isWeak = (kind: PorosityTestKind): boolean =>
  informationGain(PRIOR, chancesOf(kind)) < WEAK_UNDER_BITS;

function likelihood({ kind, outcome }: Evidence): readonly number[] {
  const found = outcomesOf(kind).find(([key]) => key === outcome);
  if (!found) throw new RangeError(`${POROSITY_TESTS[kind].label} has no outcome "${outcome}".`);
  return found[1].chance;
}

const named = (values: readonly number[]): Probabilities => ({
  low: values[0]!,
  medium: values[1]!,
  high: values[2]!,
});

/**
 * Porosity from evidence: naive Bayes over low, medium and high with the model's chances, at most one result a test
 * (the newest should be given). Throws a RangeError for an outcome that the test does not have.
 * Source of the method: Bayes' theorem; the chances are model assumptions.
 */
export function readPorosity(evidence: readonly Evidence[]): PorosityReading {
  const belief = posterior(PRIOR, evidence.map(likelihood));
  const moved = evidence.map((one) => {
    const without = posterior(PRIOR, evidence.filter((other) => other !== one).map(likelihood));
    return { evidence: one, by: named(belief.map((p, i) => p - without[i]!)), weak: isWeak(one.kind) };
  });
  const done = new Set(evidence.map(({ kind }) => kind));
  const next = (Object.keys(POROSITY_TESTS) as PorosityTestKind[])
    .filter((kind) => !done.has(kind))
    .map((kind) => ({ kind, bits: informationGain(belief, chancesOf(kind)), weak: isWeak(kind) }))
    .sort((a, b) => b.bits - a.bits);
  const best = Math.max(...belief);
  return {
    probabilities: named(belief),
    call: best >= CLEAR_FROM ? CLASSES[belief.indexOf(best)]! : null,
    moved: moved.sort((a, b) => widest(b.by) - widest(a.by)),
    next,
  };
}

const widest = (by: Probabilities) => Math.max(...Object.values(by).map(Math.abs));
