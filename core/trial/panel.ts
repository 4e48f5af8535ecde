import { type Random, seededRandom } from '../random.ts';
import { AllocationError } from './allocation.ts';
import { williamsRows, williamsSquare } from './williams.ts';

/** Wearers a panel of so many arms takes, or a multiple of it. */
export const panelSize = (arms: number): number => williamsSquare(arms).length;

/** Rows of a panel, one a wearer: which arm falls to which of their wash days. Throws an AllocationError where it cannot be. */
export const drawPanel = (arms: number, wearers: number, seed: number): number[][] =>
  williamsRows(arms, wearers, seededRandom(seed));

export interface PanelResult {
  /**
   * Mean of each arm over the heads whose every arm has its number, so that their differences are those tested; null
   * without such heads.
   */
  means: (number | null)[];
  /** Heads whose every arm has its number; the others are left out of the test. */
  wearers: number;
  /** Why it only describes; null where the test can decide. */
  describes: 'too few heads' | 'plan' | 'missing heads could turn it' | null;
  p: number | null;
  /** The arms furthest apart, by the way the outcome is wanted. */
  tested: { named: number; over: number } | null;
  /** Sequences looked at. */
  looked: number;
}

/** Draws of a panel a test looks at. */
const SAMPLES = 4999;
const TIES = 1e-9;

/** Mean of each arm when the values stand where `rows` says; each wearer's own level is removed. */
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

/** Least share of a panel's heads that must have every number. Source: methods.md 3, missing days. */
const LEAST_SHARE = 3 / 4;
/** Fewest heads: each is one look at every arm. */
const FEWEST = 3;
/** Draws that a panel's reach is judged from. */
const REACH_SAMPLES = 1999;
const REACH_DRAWN = 9;
const SAMPLING_SEED = 20_261;

/** The share of panels drawn anew whose gap is at least `observed`, with (b + 1)/(B + 1). */
function pOfPanel(
  known: readonly (readonly number[])[],
  whole: readonly number[],
  observed: number,
  arms: number,
  wearers: number,
  random: Random,
  samples: number,
): number {
  let extreme = 0;
  for (let b = 0; b < samples; b++) {
    // Every head of the panel is drawn, those left out too: the set is that of the panel.
    const again = williamsRows(arms, wearers, random);
    const rows = whole.map((w) => again[w]!);
    if (range(armMeans(known, rows, arms)) >= observed - TIES) extreme++;
  }
  return (extreme + 1) / (samples + 1);
}

/** What a panel can reach, before it starts: the median p without noise when one arm stands apart from equal others. */
export interface PanelReach {
  oneApartP: number;
  decides: boolean;
}

const reached = new Map<string, PanelReach>();

/**
 * Whether a panel of so many heads can decide at `alpha`, seen over panels drawn from a fixed seed. Two arms take twelve
 * heads. Throws an AllocationError where arms and heads do not go together. Source: methods.md 3.
 */
export function panelReach(arms: number, wearers: number, alpha = 0.05): PanelReach {
  const key = `${arms} ${wearers} ${alpha}`;
  const found = reached.get(key);
  if (found) return found;
  const random = seededRandom(SAMPLING_SEED);
  const heads = Array.from({ length: wearers }, (_, w) => w);
  const ps = Array.from({ length: REACH_DRAWN }, () => {
    const rows = williamsRows(arms, wearers, random);
    const values = rows.map((row) => row.map((arm) => (arm === arms - 1 ? 1 : 0)));
    const observed = range(armMeans(values, rows, arms));
    return pOfPanel(values, heads, observed, arms, wearers, random, REACH_SAMPLES);
  }).sort((a, b) => a - b);
  const oneApartP = ps[(REACH_DRAWN - 1) / 2]!;
  const answer = { oneApartP, decides: wearers >= FEWEST && oneApartP <= alpha };
  reached.set(key, answer);
  return answer;
}

/** Whether the named arm stays over the other when each missing number is the worst seen for it and the best for others. */
function holdsAtWorst(
  rows: readonly (readonly number[])[],
  values: readonly (readonly (number | null)[])[],
  arms: number,
  { named, over }: { named: number; over: number },
  better: 'higher' | 'lower',
): boolean {
  const seen = values.flat().flatMap((value) => value ?? []);
  const [lowest, highest] = [Math.min(...seen), Math.max(...seen)];
  const [worst, best] = better === 'higher' ? [lowest, highest] : [highest, lowest];
  const filled = values.map((own, w) =>
    rows[w]!.map((arm, day) => own[day] ?? (arm === named ? worst : best)),
  );
  const means = armMeans(filled, rows, arms);
  const ahead = means[named]! - means[over]!;
  return (better === 'higher' ? ahead : -ahead) > TIES;
}

/**
 * A panel's test: the widest gap between arms, each head's own level taken off, against 4,999 panels drawn anew from
 * the same Williams squares; p = (b + 1)/(B + 1). Heads that miss a number are left out; with too few of them, or where
 * the missing ones could turn the order, it only describes. `rows` and `values` have a row a head, a column a wash day.
 * Source: methods.md 3; Williams (1949); Phipson & Smyth (2010).
 */
export function panelTest(
  rows: readonly (readonly number[])[],
  values: readonly (readonly (number | null)[])[],
  arms: number,
  better: 'higher' | 'lower',
  alpha = 0.05,
  samples = SAMPLES,
): PanelResult {
  const whole = values.flatMap((own, w) =>
    own.length === arms && own.every((value) => value !== null) ? [w] : [],
  );
  const nothing = {
    means: new Array<null>(arms).fill(null),
    wearers: whole.length,
    p: null,
    looked: 0,
    tested: null,
  };
  if (whole.length === 0) return { ...nothing, describes: 'too few heads' };
  const known = whole.map((w) => values[w]!.map((value) => value!));
  const drawn = whole.map((w) => rows[w]!);
  const effects = armMeans(known, drawn, arms);
  const level = known.flat().reduce((sum, x) => sum + x, 0) / (whole.length * arms);
  const [most, least] = [Math.max(...effects), Math.min(...effects)];
  const [named, over] = (better === 'higher' ? [most, least] : [least, most]).map((effect) =>
    effects.indexOf(effect),
  ) as [number, number];
  const at = { ...nothing, means: effects.map((effect) => level + effect), tested: { named, over } };
  if (!panelReach(arms, rows.length, alpha).decides) return { ...at, describes: 'plan' };
  if (whole.length < Math.max(FEWEST, LEAST_SHARE * rows.length))
    return { ...at, describes: 'too few heads' };
  const p = pOfPanel(known, whole, most - least, arms, rows.length, seededRandom(SAMPLING_SEED), samples);
  if (p <= alpha && whole.length < rows.length && !holdsAtWorst(rows, values, arms, { named, over }, better))
    return { ...at, describes: 'missing heads could turn it' };
  return { ...at, describes: null, p, looked: samples };
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
