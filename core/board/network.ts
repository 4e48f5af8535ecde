import { type EigenvalueDecomposition as Eigen, EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { fTail } from '../inference/f-tail.ts';
import { studentQuantile } from '../inference/student-t.ts';

/** A wash day's number, or one half's, of a trial; null where it has none. */
export interface NetworkDay {
  position: number;
  half: 'left' | 'right' | null;
  /** What was tested there, by its key. */
  node: string;
  value: number | null;
}

/** One trial as the network reads it. */
export interface NetworkTrial {
  id: string;
  halves: boolean;
  /** Wash days that were drawn as a block of their own; null where all of them are one. */
  block: number | null;
  days: readonly NetworkDay[];
}

/** The spread between wash days, learned within trials, whatever the products. */
export interface Spread {
  /** Variance between wash days of one option; in half-heads of left less right. */
  variance: number;
  freedom: number;
}

export interface Effect {
  /** How much the one lies over the other. */
  value: number;
  se: number;
  freedom: number;
  /** 95 % interval, this one alone; null under four degrees of freedom. */
  interval: { low: number; high: number } | null;
}

/** A row of the linear model with its nuisance taken out: what each node adds to a number, and the number. */
interface Row {
  trial: number;
  whole: boolean;
  x: Float64Array;
  y: number;
  /** The places in x that its trial touches. */
  at: readonly number[];
}

export interface Network {
  nodes: readonly string[];
  /** For each node the island it lies on: nodes of one island are joined by trials, those of two by none. */
  island: readonly number[];
  whole: Spread | null;
  half: Spread | null;
  /** Whether the trials of an island agree, by island. */
  agreement: readonly Agreement[];
  /** One node less another; null across islands or where nothing is known of the spread. */
  between: (node: string, from: string) => Effect | null;
  /** One node less the mean of its island. */
  overIsland: (node: string) => Effect | null;
  /** What each node adds, of its island's own level. */
  estimate: Float64Array;
  /** Parts of the estimates' covariance, to draw from: that of whole heads and that of half-heads. */
  parts: () => { whole: Matrix; half: Matrix };
}

export interface Agreement {
  /** Q over its degrees of freedom; null where no two ways lead to one answer. */
  ratio: number | null;
  df: number;
  p: number | null;
  /** What standard errors of the island are multiplied by: 1, or more where its trials disagree. */
  inflation: number;
}

/** Under so many degrees of freedom no interval is given. Source: methods.md 7. */
const FEWEST_FREEDOM = 4;

const islandsOf = (count: number, joined: readonly (readonly number[])[]): number[] => {
  const of = Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => (of[i] === i ? i : root(of[i]!));
  for (const [first, ...others] of joined) for (const other of others) of[root(other)] = root(first!);
  const roots = [...new Set(of.map((_, i) => root(i)))];
  return of.map((_, i) => roots.indexOf(root(i)));
};

/** Rows of a trial: on whole heads a day about its block's mean, in half-heads left less right about the trial's mean. */
function rowsOf(trial: NetworkTrial, t: number, index: ReadonlyMap<string, number>): Row[] {
  const n = index.size;
  const told = trial.days.filter((day): day is NetworkDay & { value: number } => day.value !== null);
  const at = [...new Set(told.map(({ node }) => index.get(node)!))];
  const plain: { group: number; x: Float64Array; y: number }[] = [];
  if (trial.halves)
    for (const left of told) {
      const right = told.find(({ position, half }) => position === left.position && half === 'right');
      if (left.half !== 'left' || !right) continue;
      const x = new Float64Array(n);
      x[index.get(left.node)!]! += 1;
      x[index.get(right.node)!]! -= 1;
      plain.push({ group: 0, x, y: left.value - right.value });
    }
  else
    for (const { position, node, value } of told) {
      const x = new Float64Array(n);
      x[index.get(node)!] = 1;
      plain.push({ group: trial.block === null ? 0 : Math.floor(position / trial.block), x, y: value });
    }
  return [...new Set(plain.map(({ group }) => group))].flatMap((group) => {
    const own = plain.filter((row) => row.group === group);
    const middle = new Float64Array(n);
    for (const { x } of own) for (let j = 0; j < n; j++) middle[j]! += x[j]! / own.length;
    const level = own.reduce((sum, { y }) => sum + y, 0) / own.length;
    return own.map(({ x, y }) => ({
      trial: t,
      whole: !trial.halves,
      x: x.map((value, j) => value - middle[j]!),
      y: y - level,
      at,
    }));
  });
}

/** XᵀX and Xᵀy of rows. */
function normal(rows: readonly Row[], n: number): { m: Matrix; b: Float64Array } {
  const m = Matrix.zeros(n, n);
  const b = new Float64Array(n);
  for (const { x, y, at } of rows)
    for (const i of at) {
      b[i]! += x[i]! * y;
      for (const j of at) m.set(i, j, m.get(i, j) + x[i]! * x[j]!);
    }
  return { m, b };
}

/** The inverse of a symmetric matrix where it can be inverted, and its rank. */
function inverted(m: Matrix): { inverse: Matrix; rank: number } {
  const eigen: Eigen = new EigenvalueDecomposition(m, { assumeSymmetric: true });
  const values = eigen.realEigenvalues;
  const V = eigen.eigenvectorMatrix;
  const least = 1e-9 * Math.max(...values.map(Math.abs), 1e-12);
  const rank = values.filter((value) => value > least).length;
  const scaled = Matrix.diag(values.map((value) => (value > least ? 1 / value : 0)));
  return { inverse: V.mmul(scaled).mmul(V.transpose()), rank };
}

const quadratic = (m: Matrix, a: ArrayLike<number>): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) for (let j = 0; j < a.length; j++) sum += a[i]! * m.get(i, j) * a[j]!;
  return sum;
};
const times = (m: Matrix, a: ArrayLike<number>): Float64Array =>
  Float64Array.from({ length: m.rows }, (_, i) => {
    let sum = 0;
    for (let j = 0; j < a.length; j++) sum += m.get(i, j) * a[j]!;
    return sum;
  });
const residual = (rows: readonly Row[], estimate: ArrayLike<number>): number =>
  rows.reduce((sum, { x, y, at }) => {
    let left = y;
    for (const j of at) left -= x[j]! * estimate[j]!;
    return sum + left * left;
  }, 0);

/** What one trial tells by itself: its squares about effects of its own, their freedom, and how many contrasts it tells. */
interface Alone {
  squares: number;
  freedom: number;
  contrasts: number;
}

function aloneOf({ halves, block, days }: NetworkTrial, rows: readonly Row[]): Alone {
  const [first] = rows;
  if (!first) return { squares: 0, freedom: 0, contrasts: 0 };
  // In the few places it touches, not in all of the board's.
  const own = rows.map((row) => ({
    ...row,
    x: Float64Array.from(row.at, (j) => row.x[j]!),
    at: row.at.map((_, k) => k),
  }));
  const { m, b } = normal(own, first.at.length);
  const { inverse, rank } = inverted(m);
  const groups =
    halves || block === null
      ? 1
      : new Set(days.flatMap(({ position, value }) => (value === null ? [] : [Math.floor(position / block)])))
          .size;
  return {
    squares: residual(own, times(inverse, b)),
    freedom: own.length - groups - rank,
    contrasts: rank,
  };
}

const totalOf = (all: readonly Alone[]): Alone =>
  all.reduce(
    (sum, one) => ({
      squares: sum.squares + one.squares,
      freedom: sum.freedom + one.freedom,
      contrasts: sum.contrasts + one.contrasts,
    }),
    { squares: 0, freedom: 0, contrasts: 0 },
  );

/** The spread that trials of one kind show; null without a degree of freedom. */
function spreadOf(all: readonly Alone[]): Spread | null {
  const { squares, freedom } = totalOf(all);
  return freedom > 0 ? { variance: squares / freedom, freedom } : null;
}

/**
 * All trials of one head and role in one outcome, put together: an intercept a whole-head trial (or block), a side's own bias a
 * half-head trial and an intercept each of its wash days, one effect a node. The spread is learned within trials, apart
 * for whole and half-heads; where trials of an island disagree by more than it, its standard errors grow by √(Q/df).
 * Source: methods.md 7; checked against R's lm.
 */
export function networkOf(trials: readonly NetworkTrial[]): Network {
  const nodes = [
    ...new Set(trials.flatMap(({ days }) => days.flatMap(({ node, value }) => (value === null ? [] : node)))),
  ].sort();
  const index = new Map(nodes.map((node, i) => [node, i]));
  const n = nodes.length;
  const rows = trials.flatMap((trial, t) => rowsOf(trial, t, index));
  const rowsBy = trials.map((_, t) => rows.filter(({ trial }) => trial === t));
  const alone = trials.map((trial, t) => aloneOf(trial, rowsBy[t]!));
  const spreads = {
    whole: spreadOf(alone.filter((_, t) => !trials[t]!.halves)),
    half: spreadOf(alone.filter((_, t) => trials[t]!.halves)),
  };
  const island = islandsOf(
    n,
    rowsBy.flatMap((own) => {
      const seen = (own[0]?.at ?? []).filter((j) => own.some(({ x }) => Math.abs(x[j]!) > 1e-12));
      return seen.length > 1 ? [seen] : [];
    }),
  );
  // A kind of trial whose spread is not known cannot be weighed, and stays out.
  const weightOf = (whole: boolean) => {
    const spread = whole ? spreads.whole : spreads.half;
    return spread === null || spread.variance <= 0 ? 0 : 1 / spread.variance;
  };
  const [w, h] = [weightOf(true), weightOf(false)];
  const ofKind = (whole: boolean) => rows.filter((row) => row.whole === whole);
  const [wholeRows, halfRows] = [ofKind(true), ofKind(false)];
  const [one, other] = [normal(wholeRows, n), normal(halfRows, n)];
  const [mw, mh] = [Matrix.mul(one.m, w), Matrix.mul(other.m, h)];
  const { inverse } = n > 0 ? inverted(Matrix.add(mw, mh)) : { inverse: Matrix.zeros(0, 0) };
  const estimate = times(
    inverse,
    one.b.map((value, j) => w * value + h * other.b[j]!),
  );

  const agreement = [...new Set(island)].map((at): Agreement => {
    const parts = ([true, false] as const).map((whole) => {
      const weight = whole ? w : h;
      const mine = trials.flatMap((trial, t) =>
        trial.halves !== whole &&
        rowsBy[t]!.some(({ x, at: places }) =>
          places.some((j) => island[j] === at && Math.abs(x[j]!) > 1e-12),
        )
          ? [t]
          : [],
      );
      const { squares, contrasts } = totalOf(mine.map((t) => alone[t]!));
      return weight === 0
        ? { q: 0, contrasts: 0, freedom: 0 }
        : {
            q:
              weight *
              Math.max(
                0,
                residual(
                  mine.flatMap((t) => rowsBy[t]!),
                  estimate,
                ) - squares,
              ),
            contrasts,
            freedom: (whole ? spreads.whole : spreads.half)!.freedom,
          };
    });
    const q = parts.reduce((sum, part) => sum + part.q, 0);
    const told = parts.reduce((sum, { contrasts }) => sum + contrasts, 0);
    const df = told - (island.filter((other) => other === at).length - 1);
    if (df <= 0) return { ratio: null, df: 0, p: null, inflation: 1 };
    // By how much each kind adds: the freedom of a weighed sum of two variances.
    const freedom =
      told ** 2 /
      parts.reduce((sum, part) => sum + (part.freedom > 0 ? part.contrasts ** 2 / part.freedom : 0), 0);
    const ratio = q / df;
    return { ratio, df, p: fTail(ratio, df, freedom), inflation: Math.max(1, Math.sqrt(ratio)) };
  });

  // What all pairs share is reckoned once.
  let known: { whole: Matrix; half: Matrix } | undefined;
  const parts = () => {
    known ??= { whole: inverse.mmul(mw).mmul(inverse), half: inverse.mmul(mh).mmul(inverse) };
    return known;
  };
  const reaches = new Map<number, number>();
  const reachOf = (freedom: number): number => {
    // The same degrees of freedom, but for what rounding makes of them.
    const key = Math.round(freedom * 1e9) / 1e9;
    if (!reaches.has(key)) reaches.set(key, studentQuantile(0.975, key));
    return reaches.get(key)!;
  };
  const effectOf = (value: number, [vw, vh]: readonly [number, number], at: number): Effect | null => {
    const variance = vw + vh;
    if (!(variance > 0)) return null;
    const [fw, fh] = [spreads.whole?.freedom ?? 0, spreads.half?.freedom ?? 0];
    const freedom = variance ** 2 / ((fw > 0 ? vw ** 2 / fw : 0) + (fh > 0 ? vh ** 2 / fh : 0));
    const se = Math.sqrt(variance) * agreement[at]!.inflation;
    const reach = freedom >= FEWEST_FREEDOM ? reachOf(freedom) * se : null;
    return {
      value,
      se,
      freedom,
      interval: reach === null ? null : { low: value - reach, high: value + reach },
    };
  };
  return {
    nodes,
    island,
    whole: spreads.whole,
    half: spreads.half,
    agreement,
    between: (node, from) => {
      const [i, j] = [index.get(node), index.get(from)];
      if (i === undefined || j === undefined || i === j || island[i] !== island[j]) return null;
      const { whole, half } = parts();
      const apart = (m: Matrix) => m.get(i, i) + m.get(j, j) - 2 * m.get(i, j);
      return effectOf(estimate[i]! - estimate[j]!, [apart(whole), apart(half)], island[i]!);
    },
    overIsland: (node) => {
      const i = index.get(node);
      if (i === undefined) return null;
      const mates = island.flatMap((at, j) => (at === island[i] ? [j] : []));
      if (mates.length < 2) return null;
      const c = new Float64Array(n);
      for (const j of mates) c[j] = -1 / mates.length;
      c[i]! += 1;
      const a = times(inverse, c);
      const value = c.reduce((sum, weight, j) => sum + weight * estimate[j]!, 0);
      return effectOf(value, [quadratic(mw, a), quadratic(mh, a)], island[i]!);
    },
    estimate,
    parts,
  };
}
