import { daysNeeded } from '../inference/days-needed.ts';
import { NOISE_ALONE } from '../inference/power.ts';
import { studentCdf, studentQuantile } from '../inference/student-t.ts';
import { COLUMNS, type ColumnKey } from './columns.ts';
import { type Effect, type NetworkTrial, networkOf } from './network.ts';
import { type BoardAsk, columnOf, countedTrials } from './read.ts';

/** Two trials' things set side by side, by every way they are known. */
export interface PairWays {
  both: Effect | null;
  direct: { effect: Effect | null; trials: string[]; washDays: number };
  others: { effect: Effect | null; trials: string[] };
  /** How far the direct way lies over the other. */
  apart: { value: number; low: number; high: number; p: number } | null;
}

/**
 * Two things of a board by each way they are known in a column: in trials that held both, through others in trials that did
 * not, and over all. Source: methods.md 7.
 */
export function pairWays(ask: BoardAsk, key: ColumnKey, a: string, b: string): PairWays {
  const { trials } = columnOf(ask, key);
  const holds = ({ days }: NetworkTrial, node: string) =>
    days.some((day) => day.node === node && day.value !== null);
  const direct = trials.filter((trial) => holds(trial, a) && holds(trial, b));
  const others = trials.filter((trial) => !(holds(trial, a) && holds(trial, b)));
  const [all, one, other] = [trials, direct, others].map((of) => networkOf(of).between(a, b)) as [
    Effect | null,
    Effect | null,
    Effect | null,
  ];
  return {
    both: all,
    direct: {
      effect: one,
      trials: direct.map(({ id }) => id),
      washDays: direct.reduce((sum, { days }) => sum + new Set(days.map(({ position }) => position)).size, 0),
    },
    others: { effect: other, trials: other ? others.map(({ id }) => id) : [] },
    apart: one && other ? apartOf(one, other) : null,
  };
}

/** How far one way of knowing lies over another, with its interval and the chance of as much by luck (two-sided t). */
function apartOf(one: Effect, other: Effect): PairWays['apart'] {
  const variance = one.se ** 2 + other.se ** 2;
  const freedom = variance ** 2 / (one.se ** 4 / one.freedom + other.se ** 4 / other.freedom);
  const value = one.value - other.value;
  const reach = studentQuantile(0.975, freedom) * Math.sqrt(variance);
  return {
    value,
    low: value - reach,
    high: value + reach,
    p: 2 * (1 - studentCdf(Math.abs(value) / Math.sqrt(variance), freedom)),
  };
}

/** Two things whose direct way and way through others disagree, by how much. */
export interface Disagreement {
  a: string;
  b: string;
  apart: NonNullable<PairWays['apart']>;
}

/** Chance of calling any pair in disagreement that is none. */
const ALPHA = 0.05;

/**
 * Pairs of a column whose ways disagree beyond luck, over all pairs that can be checked (Holm 1979), and how many those are.
 * Source: methods.md 7.
 */
export function disagreements(ask: BoardAsk, key: ColumnKey): { found: Disagreement[]; checked: number } {
  const checked = boardPairs(ask, key).flatMap(([a, b]) => {
    const { apart } = pairWays(ask, key, a, b);
    return apart ? [{ a, b, apart }] : [];
  });
  const sorted = checked.toSorted((x, y) => x.apart.p - y.apart.p);
  const end = sorted.findIndex(({ apart }, i) => apart.p > ALPHA / (sorted.length - i));
  return { found: end < 0 ? sorted : sorted.slice(0, end), checked: checked.length };
}

/** Things that met in a trial of the board, pair by pair. */
function boardPairs(ask: BoardAsk, key: ColumnKey): [string, string][] {
  const { counted, places } = countedTrials(ask, key);
  const found = new Map<string, [string, string]>();
  for (const trial of counted) {
    const nodes = [...new Set(trial.arms.map((_, arm) => places.get(`${trial.id} ${arm}`)!.node))].sort();
    for (const [i, a] of nodes.entries())
      for (const b of nodes.slice(i + 1)) found.set(JSON.stringify([a, b]), [a, b]);
  }
  return [...found.values()];
}

/** What a trial of two things would take on this head: by the noise its trials showed, whole heads and half-heads apart. */
export interface TrialToTell {
  design: 'complete' | 'half';
  sd: number;
  freedom: number;
  /** Fewest wash days that find what matters four times in five; null over what a plan holds. */
  days: number | null;
}

/** What a trial of any two things of the board would take in a column, with the noise as uncertain as it is: {@link daysNeeded}. */
export function trialsToTell(ask: BoardAsk, key: ColumnKey): TrialToTell[] {
  const { whole, half } = networkOf(columnOf(ask, key).trials);
  return (
    [
      ['complete', whole],
      ['half', half],
    ] as const
  ).flatMap(([design, spread]) => {
    if (spread === null || spread.variance <= 0) return [];
    const sd = Math.sqrt(spread.variance);
    const { usual } = daysNeeded(
      {
        ...NOISE_ALONE,
        ...{ design, arms: 2, looks: 1, alpha: ALPHA, better: COLUMNS[key].wanted },
        noise: { sd, freedom: spread.freedom },
      },
      COLUMNS[key].matters,
    );
    return [{ design, sd, freedom: spread.freedom, days: usual }];
  });
}
