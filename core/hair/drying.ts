import { studentCdf, studentQuantile } from '../inference/student-t.ts';

/** How far hair has dried. Named shares are judged by hand; the trade breaks a cast only when fully dry. */
export const DRYNESS = {
  eighty: { label: '80 % dry' },
  ninety: { label: '90 % dry' },
  dry: { label: 'fully dry' },
} as const;
export type Dryness = keyof typeof DRYNESS;

/** One wash day's drying: minutes from the wash to each dryness that was noted. */
export interface DryingRun {
  washDayId: string;
  on: string;
  /** How the hair was worked and how it was dried, by their keys: runs of the same ones belong together. */
  techniques: readonly string[];
  /** Null for the fingers, and for the air. */
  tool: string | null;
  heat: string | null;
  minutes: Record<Dryness, number | null>;
  /** How much water the air could still take, hPa: saturation less vapour pressure. Null where the air is not known. */
  deficitHpa: number | null;
}

/** How hair is worked and dried: what makes runs alike. */
export type DryingWay = Pick<DryingRun, 'techniques' | 'tool' | 'heat'>;

const sameWay = ({ techniques, tool, heat }: DryingWay) => JSON.stringify([techniques, tool, heat]);

/** The way of a plan's steps as runs are told apart by: what shapes the hair, in order, and the last drying. */
export function wayOf(
  steps: readonly { slot: string; technique: string | null; tool: string | null; heat: string | null }[],
): DryingWay {
  const shaping = steps.filter(({ slot }) => slot === 'hold' || slot === 'technique' || slot === 'set');
  const last = steps.findLast(({ slot }) => slot === 'dry');
  return {
    techniques: [...new Set(shaping.flatMap(({ technique }) => technique ?? []))],
    tool: last?.tool === 'fingers' ? null : (last?.tool ?? null),
    heat: last?.heat === 'none' ? null : (last?.heat ?? null),
  };
}

/** Runs that were worked and dried in this way. */
export const runsLike = <Run extends DryingRun>(runs: readonly Run[], way: DryingWay): Run[] =>
  runs.filter((run) => sameWay(run) === sameWay(way));

/** The share of such days that a start in good time is meant to hold. */
export const FOUR_OF_FIVE = 0.8;

/** Fewest runs from which a time is told, and from which the air is taken into account. Model assumptions. */
export const FEWEST = { told: 3, withAir: 6 } as const;

export type DryingForecast =
  | { runs: number; tooFew: true }
  | {
      runs: number;
      tooFew: false;
      /** Whether the air's deficit was used, or the mean alone. */
      byAir: boolean;
      /** Median minutes foreseen, and the interval that holds 80 % of such days. */
      minutes: number;
      low: number;
      high: number;
      /** Chance that the hair is dry within so many minutes. */
      chance: (minutes: number) => number;
      /** Minutes within which it is dry with this chance. */
      within: (chance: number) => number;
    };

interface Fit {
  at: number;
  sd: number;
  df: number;
}

const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length;

/** The logarithm's mean for a new day, with its prediction error: no slope. */
function byMean(y: readonly number[]): Fit {
  const centre = mean(y);
  const df = y.length - 1;
  const variance = y.reduce((sum, yi) => sum + (yi - centre) ** 2, 0) / df;
  return { at: centre, sd: Math.sqrt(variance * (1 + 1 / y.length)), df };
}

/** Least squares of y on x, foreseen at x0, with the prediction error of a new day. */
function byLine(x: readonly number[], y: readonly number[], x0: number): Fit {
  const [mx, my] = [mean(x), mean(y)];
  const sxx = x.reduce((sum, xi) => sum + (xi - mx) ** 2, 0);
  const slope = x.reduce((sum, xi, i) => sum + (xi - mx) * (y[i]! - my), 0) / sxx;
  const df = y.length - 2;
  const rest = y.reduce((sum, yi, i) => sum + (yi - my - slope * (x[i]! - mx)) ** 2, 0);
  return {
    at: my + slope * (x0 - mx),
    sd: Math.sqrt((rest / df) * (1 + 1 / y.length + (x0 - mx) ** 2 / sxx)),
    df,
  };
}

/** Smallest spread a forecast may claim, as a standard deviation of ln(minutes): 5 %. Model assumption. */
const LEAST_SD = 0.05;

/**
 * How long drying will take, from runs of the same style and method: minutes on a log scale, by their mean, or by a line
 * on the air's deficit once there are {@link FEWEST}.withAir runs that differ in it. Intervals are Student's, for one
 * new day. Source: ordinary least squares with its prediction interval, any handbook of statistics.
 */
export function forecastDrying(
  runs: readonly DryingRun[],
  to: Dryness,
  deficitHpa: number | null,
): DryingForecast {
  const known = runs.filter((run) => run.minutes[to] !== null && run.minutes[to]! > 0);
  if (known.length < FEWEST.told) return { runs: known.length, tooFew: true };
  const y = known.map((run) => Math.log(run.minutes[to]!));
  const withAir = known.filter((run) => run.deficitHpa !== null);
  const x = withAir.map((run) => run.deficitHpa!);
  const spread = x.length > 0 && Math.max(...x) - Math.min(...x) >= 1;
  const byAir = deficitHpa !== null && withAir.length >= FEWEST.withAir && spread;
  const {
    at,
    sd: raw,
    df,
  } = byAir
    ? byLine(
        x,
        withAir.map((run) => Math.log(run.minutes[to]!)),
        deficitHpa,
      )
    : byMean(y);
  const sd = Math.max(raw, LEAST_SD);
  const within = (chance: number) => Math.exp(at + sd * studentQuantile(chance, df));
  return {
    runs: byAir ? withAir.length : known.length,
    tooFew: false,
    byAir,
    minutes: Math.exp(at),
    low: within(0.1),
    high: within(0.9),
    chance: (minutes) => (minutes <= 0 ? 0 : studentCdf((Math.log(minutes) - at) / sd, df)),
    within,
  };
}

/** Runs that belong together, the largest group first. */
export function dryingGroups<Run extends DryingRun>(runs: readonly Run[]): [Run, ...Run[]][] {
  const alike = new Map<string, [Run, ...Run[]]>();
  for (const run of runs) {
    const key = sameWay(run);
    const group = alike.get(key);
    if (group) group.push(run);
    else alike.set(key, [run]);
  }
  return [...alike.values()].sort((a, b) => b.length - a.length);
}

/**
 * How long a wash day takes to dry of which it is not yet known which of these ways it will be: by the slowest, judged at
 * the minutes that hold four of five days; too few where any of them is. `differ`: whether there is more than one.
 */
export function forecastSlowest(
  runs: readonly DryingRun[],
  ways: readonly [DryingWay, ...DryingWay[]],
): { forecast: DryingForecast; differ: boolean } {
  const each = [...new Map(ways.map((way) => [sameWay(way), way])).values()];
  const slowness = (one: DryingForecast) =>
    one.tooFew ? Number.POSITIVE_INFINITY : one.within(FOUR_OF_FIVE);
  const forecasts = each.map((way) => forecastDrying(runsLike(runs, way), 'dry', null));
  return {
    forecast: forecasts.reduce((slowest, one) => (slowness(one) > slowness(slowest) ? one : slowest)),
    differ: each.length > 1,
  };
}
