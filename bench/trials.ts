import { isDeepStrictEqual } from 'node:util';
import { differencesOf } from '../core/fairness/differences.ts';
import type { Run, RunStep } from '../core/fairness/run.ts';
import { deciderOf } from '../core/inference/decide.ts';
import { layOut } from '../core/inference/effects.ts';
import { NOISE_ALONE, type PowerPlan, simulatePower } from '../core/inference/power.ts';
import { referenceOf } from '../core/inference/reference-set.ts';
import { seededRandom } from '../core/random.ts';
import { EMPTY_SETTINGS } from '../core/step/step.ts';
import { schemeOf } from '../core/trial/designs.ts';

const plan: PowerPlan = {
  ...NOISE_ALONE,
  design: 'complete',
  arms: 2,
  days: 12,
  looks: 1,
  alpha: 0.05,
  better: 'higher',
  noise: { sd: 1, freedom: 4 },
  weatherSd: 0.3,
  drift: 0.5,
  missing: 0.05,
};

/** The same simulation the plain way: the application's own test, trial by trial. */
function plainPower(trials: number): number {
  const scheme = schemeOf('complete', 2, 12);
  const random = seededRandom(3);
  const decide = deciderOf('complete', 2, referenceOf('complete', 2, 12), 'higher');
  let hits = 0;
  for (let i = 0; i < trials; i++) {
    const drawn = scheme.sample(random);
    const values = drawn.map((arm) => arm + 3.4 * (random.unit() - 0.5));
    const numbers = { left: Float64Array.from(values), right: null };
    if (decide(layOut('complete', [drawn]), numbers, 12, 0.05).p! <= 0.05) hits++;
  }
  return hits / trials;
}

/** A hundred wash days of twelve steps, held as a tester holds them: one setting in twenty is off. */
function hundredDays(): Run[] {
  const random = seededRandom(8);
  const slots = [
    'detangle',
    'cleanse',
    'condition',
    'rinse',
    'leave-in',
    'emollient',
    'hold',
    'blot',
    'dry',
    'break-cast',
    'separate',
    'protect',
  ] as const;
  return Array.from({ length: 100 }, (_, day) => ({
    side: { is: 'wash day', number: day + 1, half: null },
    washDayId: String(day),
    wearerId: 'w',
    half: null,
    arm: day % 2 ? 'b' : 'a',
    before: {},
    cameFrom: null,
    styleMeant: null,
    enteredLater: false,
    steps: slots.flatMap((slot): RunStep[] =>
      random.below(40) === 0
        ? []
        : [
            {
              key: slot,
              slot,
              part: slot === 'hold' ? 'tested' : 'held',
              optional: false,
              tolerance: 0.2,
              planned: null,
              code: null,
              marks: [],
              settings: {
                ...EMPTY_SETTINGS,
                productId: random.below(30) === 0 ? 'other' : `usual ${slot}`,
                dose: {
                  kind: 'exact',
                  amount: random.below(20) === 0 ? 15 : 10 + random.below(2),
                  measure: 'g',
                  per: 'head',
                },
                minutes: random.below(20) === 0 ? 9 : 5 + random.below(2) / 2,
                wetness: 'wet',
                calibrated: null,
              },
            },
          ],
    ),
    dewPointC: 4 + random.below(16),
    windMs: random.below(10),
    outdoorHours: random.below(6),
    buildUp: random.unit(),
    protein: 0,
    since: { clarify: random.below(30) },
    bottleDays: { gel: day },
    events: { bonnet: 1 },
    nights: 1,
    judgedOn: 2,
    rater: '',
    blind: false,
    stakes: [],
  }));
}

/** Milliseconds of the best of three. */
function best(work: () => void): number {
  return Math.min(
    ...[1, 2, 3].map(() => {
      const began = performance.now();
      work();
      return performance.now() - began;
    }),
  );
}

export function benchTrials(): void {
  const ours = best(() => simulatePower(plan, [0, 1], 5000, 1));
  const plain = 10 * best(() => plainPower(1000));
  console.log(
    `10,000 simulated trials of 12 wash days               ${(ours / 1000).toFixed(2)} s   ${(plain / ours).toFixed(1)} × the application's own test, trial by trial`,
  );
  const days = hundredDays();
  const pairs = (compare: (a: Run, b: Run) => unknown) => () => {
    for (let i = 0; i < days.length; i++)
      for (let j = i + 1; j < days.length; j++) compare(days[i]!, days[j]!);
  };
  const slip = best(pairs((a, b) => differencesOf(a, b)));
  const equal = best(
    pairs((a, b) => a.steps.map((step) => b.steps.filter((other) => isDeepStrictEqual(step, other)))),
  );
  console.log(
    `fairness of all ${(days.length * (days.length - 1)) / 2} pairs among 100 wash days         ${slip.toFixed(0)} ms   ${(equal / slip).toFixed(1)} × Node's deep equality, step by step`,
  );
}
