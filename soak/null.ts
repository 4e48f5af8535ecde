import { compareTrial } from '../core/compare/comparison.ts';
import { wilson } from '../core/inference/power.ts';
import { firstLookAfter } from '../core/inference/reach.ts';
import { seededRandom } from '../core/random.ts';
import { type Design, schemeOf } from '../core/trial/designs.ts';
import { readPrimary } from '../words/verdict.ts';
import { madeUpRatings } from './made-up-ratings.ts';
import { WORLDS, type World } from './worlds.ts';

/**
 * `npm run soak:null`: made-up trials without any effect, and with one, through the very path a verdict takes (a trial's record,
 * its comparison, its sentences), for every design and several worlds. Prints the table that docs/validation.md shows.
 * `npm run soak:null -- 200` runs 200 trials a row instead of the usual number.
 */

const asked = Number(process.argv[2]);

/** Arms, wash days and trials of each design; joint intervals of three arms take a fifth of a second each. */
const PLANS: [Design, number, number, number][] = [
  ['complete', 2, 8, 2000],
  ['complete', 2, 10, 2000],
  ['complete', 2, 12, 2000],
  ['blocks', 2, 12, 2000],
  ['half', 2, 8, 2000],
  ['half', 2, 12, 2000],
  ['refresh', 2, 8, 1000],
  ['complete', 3, 9, 400],
  ['walk', 3, 13, 600],
  ['half-three', 3, 12, 150],
  ['factorial', 4, 12, 150],
  ['walk', 4, 13, 1000],
  ['complete', 4, 12, 150],
];

interface Tally {
  trials: number;
  named: number;
  wrong: number;
  described: number;
  intervals: number;
  excludes: number;
  covered: number;
}

/** Runs so many trials of a plan in a world; arm 1 (of two factors the second level of the first) stands `effect` over the others. */
function run(
  design: Design,
  arms: number,
  days: number,
  world: World,
  effect: number,
  trials: number,
): Tally {
  const random = seededRandom(77);
  const scheme = schemeOf(design, arms, days);
  const tally: Tally = { trials, named: 0, wrong: 0, described: 0, intervals: 0, excludes: 0, covered: 0 };
  const truth = Array.from({ length: arms }, (_, arm) =>
    (design === 'factorial' ? arm >= 2 : arm === 1) ? effect : 0,
  );
  for (let i = 0; i < trials; i++) {
    const record = madeUpRatings(design, arms, scheme.sample(random), truth, world, random);
    if (world.looks === 2) {
      const upTo = firstLookAfter(days);
      const early = {
        ...record,
        ended: 'look' as const,
        allocation: record.allocation.slice(0, upTo),
        washDays: record.washDays.filter(({ position }) => position < upTo),
      };
      if (compareTrial(early).primary.state === 'decided') {
        tally.named++;
        continue;
      }
    }
    const comparison = compareTrial(record);
    const { primary } = comparison;
    const { headline } = readPrimary(record, comparison);
    if (primary.state === 'describes') tally.described++;
    if (primary.state === 'decided') {
      tally.named++;
      const best = Math.max(...truth);
      const { named } = primary.tested!;
      if (effect > 0 && named.some((arm) => truth[arm] !== best)) tally.wrong++;
      if (!named.every((arm) => headline.includes(record.promise.arms[arm]!)))
        throw new Error(`The headline names another arm: ${headline}`);
    }
    const pairs = comparison.outcomes.definition.differences.flatMap(({ arm, from, interval }) =>
      interval ? [{ truth: truth[arm]! - truth[from]!, interval }] : [],
    );
    if (pairs.length === 0) continue;
    tally.intervals++;
    if (pairs.some(({ interval: { low, high } }) => low > 1e-9 || high < -1e-9)) tally.excludes++;
    if (pairs.every(({ truth: at, interval: { low, high } }) => low - 1e-9 <= at && at <= high + 1e-9))
      tally.covered++;
  }
  return tally;
}

function share(hits: number, n: number): string {
  if (n === 0) return '–';
  const { low, high } = wilson(hits, n);
  const percent = (x: number) => (100 * x).toFixed(1);
  return `${percent(hits / n)} % [${percent(low)}, ${percent(high)}]`;
}

console.log('| design | world | trials | names an option | only hints | some interval leaves out 0 |');
console.log('|---|---|---|---|---|---|');
for (const [design, arms, days, usual] of PLANS)
  for (const [name, world] of Object.entries(WORLDS)) {
    const t = run(design, arms, days, world, 0, asked || usual);
    console.log(
      `| ${design} ${arms} × ${days} | ${name} | ${t.trials} | ${share(t.named, t.trials)} | ${share(t.described, t.trials)} | ${share(t.excludes, t.intervals)} |`,
    );
  }
console.log(
  '\n| design | effect | names an option | names one that is not best | all intervals hold the truth |',
);
console.log('|---|---|---|---|---|');
for (const [design, arms, days, usual] of PLANS)
  for (const effect of [1, 2]) {
    const t = run(design, arms, days, WORLDS['missing days']!, effect, Math.ceil((asked || usual) / 2));
    console.log(
      `| ${design} ${arms} × ${days} | ${effect} | ${share(t.named, t.trials)} | ${share(t.wrong, t.named)} | ${share(t.covered, t.intervals)} |`,
    );
  }
