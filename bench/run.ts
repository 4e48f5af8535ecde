import { permutationTest } from 'simple-statistics';
import { armEffects, layOut, reckoningOf } from '../core/inference/effects.ts';
import { pairInterval } from '../core/inference/inversion-interval.ts';
import { extremes, referenceOf, shareOf } from '../core/inference/reference-set.ts';
import { seededRandom } from '../core/random.ts';
import { schemeOf } from '../core/trial/designs.ts';
import { asShipped } from './as-shipped.ts';
import { benchDoor } from './door.ts';
import { benchLoad } from './load.ts';
import { benchPages } from './pages.ts';
import { benchSpreadsheet } from './spreadsheet.ts';
import { benchStore } from './store.ts';

/** `npm run bench`: speed as a ratio against a straightforward peer in the same run. Nothing here is asserted. */

function perSecond(work: () => unknown, seconds = 1): number {
  work();
  const began = performance.now();
  let times = 0;
  while (performance.now() - began < seconds * 1000) {
    work();
    times++;
  }
  return (1000 * times) / (performance.now() - began);
}

function report(what: string, ours: number, peer: number, peerName: string): void {
  const speed = ours >= 10 ? ours.toFixed(0) : ours.toFixed(2);
  console.log(
    `${what.padEnd(54)} ${speed.padStart(8)}/s   ${(ours / peer).toFixed(1).padStart(7)} × ${peerName}`,
  );
}

const days = 12;
const scheme = schemeOf('complete', 2, days);
const random = seededRandom(1);
const allocation = scheme.draw(7);
const values = allocation.map((arm) => 6 + arm + random.unit());
const byArm = (arm: number) => values.filter((_, day) => allocation[day] === arm);

/** The test as every verdict takes it. */
function pOf(numbers: readonly number[]): number {
  const reference = referenceOf('complete', 2, days);
  const reckoning = reckoningOf('complete', 2);
  const observed = reckoning.statistic(numbers, layOut('complete', [allocation]), 0);
  return shareOf(reference, extremes(reckoning, numbers, reference, observed));
}

/** The interval's ends the plain way: bisection on the test's p, forty halvings a side. */
function bisected(): [number, number] {
  const pOfShift = (shift: number) => pOf(values.map((value, day) => value - shift * allocation[day]!));
  const [a, b] = armEffects('complete', values, allocation, 2) as [number, number];
  const end = (outside: number) => {
    let [inside, out] = [b - a, outside];
    for (let i = 0; i < 40; i++) {
      const middle = (inside + out) / 2;
      if (pOfShift(middle) > 0.05) inside = middle;
      else out = middle;
    }
    return inside;
  };
  return [end(b - a - 10), end(b - a + 10)];
}

report(
  `exact randomisation test, ${days} wash days (${scheme.size} sequences)`,
  perSecond(() => pOf(values)),
  perSecond(() => permutationTest(byArm(0), byArm(1), 'two_side', scheme.size, () => random.unit())),
  'simple-statistics, as many random permutations',
);
report(
  `interval by inversion, ${days} wash days`,
  perSecond(() => pairInterval('complete', values, allocation, 0.05)),
  perSecond(bisected, 3),
  'bisection on the test',
);

const { benchScreening } = await asShipped<typeof import('./screening.ts')>('bench/screening.ts');
await benchScreening();
const { benchTrials } = await asShipped<typeof import('./trials.ts')>('bench/trials.ts');
benchTrials();
const { benchBoard } = await asShipped<typeof import('./board.ts')>('bench/board.ts');
benchBoard();
const { benchPhoto } = await asShipped<typeof import('./photo.ts')>('bench/photo.ts');
await benchPhoto();
await benchStore();
await benchSpreadsheet();
await benchLoad();
const { benchBasin } = await asShipped<typeof import('./basin.ts')>('bench/basin.ts');
await benchBasin();
await benchPages();
await benchDoor();
