import { AllocationError } from './allocation.ts';
import { type Random, seededRandom } from './random.ts';
import { williamsRows, williamsSquare } from './williams.ts';

/** Wearers a panel of so many arms takes, or a multiple of it. */
export const panelSize = (arms: number): number => williamsSquare(arms).length;

/** Rows of a panel, one a wearer: which arm falls to which of their wash days. Throws an AllocationError where it cannot be. */
export const drawPanel = (arms: number, wearers: number, seed: number): number[][] =>
  williamsRows(arms, wearers, seededRandom(seed));

export interface PanelResult {
  /** Mean of each arm over the wearers, from one number a wash day. */
  means: (number | null)[];
  /** Wearers whose every arm has its number; the others are left out of the test. */
  wearers: number;
  p: number | null;
  /** Sequences looked at. */
  looked: number;
}

/** Draws of a panel a test looks at. */
const SAMPLES = 4999;
const TIES = 1e-9;

/** Mean of each arm when the values stand where `rows` says; each wearer's own level is taken off. */
function armMeans(
  values: readonly (readonly number[])[],
  rows: readonly (readonly number[])[],
  arms: number,
): number[] {
  const sums = new Array<number>(arms).fill(0);
  values.forEach((own, w) => {
    const level = own.reduce((sum, x) => sum + x, 0) / own.length;
    own.forEach((value, day) => {
      sums[rows[w]![day]!]! += value - level;
    });
  });
  return sums.map((sum) => sum / values.length);
}

const range = (means: readonly number[]) => Math.max(...means) - Math.min(...means);

/**
 * A panel's test: the widest gap between arms, each wearer's own level taken off, against 4,999 panels drawn anew from
 * the same Williams squares; p = (b + 1)/(B + 1). Wearers who miss a number are left out; fewer than one square of
 * them get no p. `rows` and `values` have a row a wearer, a column a wash day. Source: methods.md 3; Williams (1949);
 * Phipson & Smyth (2010).
 */
export function panelTest(
  rows: readonly (readonly number[])[],
  values: readonly (readonly (number | null)[])[],
  arms: number,
  seed: number,
  samples = SAMPLES,
): PanelResult {
  const whole = values.flatMap((own, w) =>
    own.length === arms && own.every((value) => value !== null) ? [w] : [],
  );
  const known = whole.map((w) => values[w]!.map((value) => value!));
  const drawn = whole.map((w) => rows[w]!);
  const means = Array.from({ length: arms }, (_, arm) => {
    const all = values.flatMap((own, w) =>
      own.flatMap((value, day) => (rows[w]![day] === arm ? (value ?? []) : [])),
    );
    return all.length ? all.reduce((sum, x) => sum + x, 0) / all.length : null;
  });
  const size = panelSize(arms);
  if (whole.length < size) return { means, wearers: whole.length, p: null, looked: 0 };
  const observed = range(armMeans(known, drawn, arms));
  const random: Random = seededRandom(seed);
  let extreme = 0;
  for (let b = 0; b < samples; b++) {
    // Every wearer of the panel is drawn, those left out too: the set is that of the panel.
    const again = williamsRows(arms, rows.length, random);
    if (
      range(
        armMeans(
          known,
          whole.map((w) => again[w]!),
          arms,
        ),
      ) >=
      observed - TIES
    )
      extreme++;
  }
  return { means, wearers: whole.length, p: (extreme + 1) / (samples + 1), looked: samples };
}

/** The sentence against a panel of so many wearers, or null. */
export function panelProblem(arms: number, wearers: number): string | null {
  try {
    drawPanel(arms, wearers, 1);
    return null;
  } catch (error) {
    if (error instanceof AllocationError) return error.message;
    throw error;
  }
}
