import { boardOf } from '../core/board/board.ts';
import { fairAlike } from '../core/board/made-up-trials.ts';
import { pairWays } from '../core/board/pair.ts';
import { type BoardAsk, type BoardDay, type BoardTrial, WHOLE_VIEW } from '../core/board/read.ts';
import { deciderOf } from '../core/inference/decide.ts';
import { layOut } from '../core/inference/effects.ts';
import { lastingReckoning } from '../core/inference/lasting.ts';
import { referenceOf } from '../core/inference/reference-set.ts';
import { type Between, turnbull } from '../core/inference/turnbull.ts';
import { OUTCOMES, type Outcome } from '../core/outcomes/outcomes.ts';
import { normals, seededRandom } from '../core/random.ts';
import { schemeOf } from '../core/trial/designs.ts';

/** Good days of so many wears, looked at once a day, a fifth of them cut short. */
export function wears(count: number, days: number, seed = 4): Between[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => {
    const low = random.below(days);
    return { low, high: random.unit() < 0.2 ? Number.POSITIVE_INFINITY : low + (low === 0 ? 0 : 1) };
  });
}

/** Ends known only between two looks at any hour. */
export function irregular(count: number, seed = 5): Between[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => {
    const low = 7 * random.unit();
    return { low, high: random.unit() < 0.2 ? Number.POSITIVE_INFINITY : low + 2.5 * random.unit() };
  });
}

/** The curve by self-consistency alone, as it is usually written, each wear by itself. */
export function selfConsistent(seen: readonly Between[]): number {
  const ends = [...new Set(seen.flatMap(({ low, high }) => [low, high]))].sort((a, b) => a - b);
  const cells = ends.flatMap((end, i) => [
    { low: end, high: end },
    ...(i + 1 < ends.length ? [{ low: end, high: ends[i + 1]! }] : []),
  ]);
  const holds = seen.map(({ low, high }) =>
    cells.flatMap((cell, j) =>
      (
        low === high
          ? cell.low === low && cell.high === low
          : cell.low >= low && cell.high <= high && !(cell.low === low && cell.high === low)
      )
        ? [j]
        : [],
    ),
  );
  let mass = cells.map(() => 1 / cells.length);
  for (let round = 0; round < 5000; round++) {
    const gradient = cells.map(() => 0);
    for (const own of holds) {
      const share = own.reduce((sum, j) => sum + mass[j]!, 0);
      for (const j of own) gradient[j]! += 1 / (share * seen.length);
    }
    mass = mass.map((m, j) => m * gradient[j]!);
    if (Math.max(...gradient) <= 1 + 1e-6) break;
  }
  return mass.length;
}

/** A longevity test of a plan of so many whole-head wash days. */
export function lastingTest(days: number): number | null {
  const [order] = [schemeOf('complete', 2, days).draw(3)];
  const left = wears(days, 6, 9);
  const decide = deciderOf(
    'complete',
    2,
    referenceOf('complete', 2, days, 1000, 1999),
    'higher',
    lastingReckoning('complete', 2, { left, right: null }, 7),
  );
  return decide(layOut('complete', [order]), { left: new Float64Array(days), right: null }, days, 0.05).p;
}

/** A board of so many products in so many trials of fifteen whole-head wash days. */
export function largeBoard(products: number, trials: number): BoardAsk {
  const random = seededRandom(1);
  const normal = normals(random);
  const dayOf = (t: number, position: number): BoardDay => {
    const rated = Object.fromEntries(
      (Object.keys(OUTCOMES) as Outcome[]).map((outcome) => [
        outcome,
        Array.from({ length: 5 }, (_, d) => ({ day: d + 1, value: 6 + normal() - 0.4 * d })),
      ]),
    );
    return {
      ...{ washDayId: `${t} ${position}`, position, half: null, arm: position % 2, on: '2026-01-01' },
      ...{ dewPointC: 10, rated, worn: rated, washedOn: null, over: true },
      ...{
        shrinkage: [{ day: 1, value: 40 + normal() }],
        minutesToDry: 60 + normal(),
        handsOn: 30 + normal(),
      },
      ...{ costPerWash: 1, currency: 'EUR', felt: {} },
    };
  };
  return {
    trials: Array.from({ length: trials }, (_, t): BoardTrial => {
      const keys = [`p${t % products}`, `p${(t + 1 + random.below(products - 1)) % products}`];
      return {
        ...{
          id: `${t}`,
          question: '',
          wearerId: '',
          blind: false,
          halves: false,
          block: null,
          fair: fairAlike('clean'),
        },
        ...{ wearDays: 5, endedOn: '2026-01-01' },
        arms: keys.map((key) => ({
          kind: 'product',
          role: 'hold',
          key,
          productId: key,
          dose: null,
          items: null,
          ways: null,
          name: key,
        })),
        days: Array.from({ length: 15 }, (_, position) => dayOf(t, position)),
      };
    }),
    ...{ role: 'hold', onDay: 1, lasting: 'definition', line: 5, upTo: null, weakened: true },
    weights: { definition: 3, hold: 1, lasting: 1 },
    ...{ against: null, by: null, pooled: false, whole: false, view: WHOLE_VIEW },
  };
}

const took = (work: () => unknown): number => {
  work();
  const began = performance.now();
  work();
  return performance.now() - began;
};

/** How long it lasts, and the board: what the methods take, beside the plain way. */
export function benchBoard(): void {
  const daily = wears(2000, 40);
  const odd = irregular(200);
  const [ours, plain] = [took(() => turnbull(odd)), took(() => selfConsistent(odd))];
  console.log(
    `\nCurve of 2,000 wears looked at daily over 40 days: ${took(() => turnbull(daily)).toFixed(0)} ms; of 200 at odd hours: ${ours.toFixed(0)} ms, ${(plain / ours).toFixed(0)} × self-consistency (${plain.toFixed(0)} ms)`,
  );
  console.log(
    `Longevity test, sets of 70 and 924: ${took(() => lastingTest(8)).toFixed(0)} and ${took(() => lastingTest(12)).toFixed(0)} ms`,
  );
  const ask = largeBoard(60, 40);
  const [whole, pair] = [took(() => boardOf(ask)), took(() => pairWays(ask, 'definition', 'p1', 'p2'))];
  const all = took(() => boardOf({ ...ask, whole: true }));
  console.log(
    `Board of 60 products, 40 trials, 600 wash days: ${whole.toFixed(0)} ms, all its numbers ${all.toFixed(0)} ms, a pair ${pair.toFixed(0)} ms`,
  );
}

if (process.argv[1]?.endsWith('board.ts')) benchBoard();
