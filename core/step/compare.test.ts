import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { differenceInWords } from '../../words/fairness.ts';
import { plainVoice } from '../../words/voice.ts';
import type { Dose } from '../doses/dose.ts';
import { MEASURES, type Measure } from '../doses/measures.ts';
import { departuresOf, differencesOf } from '../fairness/differences.ts';
import type { Run, RunStep } from '../fairness/run.ts';
import { washCost } from '../shelf/wash-cost.ts';
import { keysOf, type Vocabulary } from '../vocabulary.ts';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from './choices.ts';
import { compareSettings } from './compare.ts';
import { departures, measured, type StepRecord } from './departures.ts';
import type { StepSettings } from './settings.ts';
import { EMPTY_SETTINGS } from './step.ts';
import { calibratedFor, doseGrams, NEVER_WEIGHED, type Weighed, weighedBy } from './weighed.ts';

const ml = (amount: number): Dose => ({ kind: 'exact', amount, measure: 'ml', per: 'head' });
const pumps = (amount: number): Dose => ({ kind: 'exact', amount, measure: 'pump', per: 'head' });
const step = (to: Partial<StepSettings> = {}): StepSettings => ({
  ...EMPTY_SETTINGS,
  productId: 'gel',
  ...to,
});

/** A bottle whose pump was weighed ten times. */
const weighing = (grams: number) =>
  weighedBy([
    {
      id: 'gel',
      calibrations: [
        { measure: 'pump', grams: Array.from({ length: 10 }, (_, i) => grams + (i % 2 ? 0.01 : -0.01)) },
      ],
    },
  ]);

/** A wash day of one held step beside its plan, as the fairness check reads it. */
function runs(done: StepSettings, plan: StepSettings, weighed: Weighed): { run: Run; plan: Run } {
  const as = (settings: StepSettings, planned: StepSettings | null): RunStep => ({
    key: 's',
    slot: 'hold',
    part: 'held',
    optional: false,
    tolerance: 0.2,
    settings: measured(settings, weighed),
    planned: planned && measured(planned, weighed),
    code: null,
    marks: [],
  });
  const run: Run = {
    side: { is: 'this day', half: null },
    washDayId: 'd',
    wearerId: 'w',
    half: null,
    arm: 'a',
    steps: [as(done, plan)],
    dewPointC: null,
    windMs: null,
    outdoorHours: null,
    buildUp: null,
    protein: null,
    since: {},
    bottleDays: {},
    before: {},
    cameFrom: null,
    styleMeant: null,
    enteredLater: false,
    events: {},
    nights: 0,
    judgedOn: 1,
    rater: '',
    blind: false,
    stakes: [],
  };
  return { run, plan: { ...run, side: { is: 'plan' }, steps: [as(plan, null)] } };
}

/** What the wash day's page and the fairness check each say of a step. */
function both(done: StepSettings, plan: StepSettings, weighed: Weighed = NEVER_WEIGHED) {
  const record: StepRecord = { ...done, status: 'done', planned: plan };
  const sides = runs(done, plan, weighed);
  return {
    page: departures(record, weighed),
    slip: departuresOf(sides.run, sides.plan),
  };
}

describe('the page and the slip give one answer to “was it held”', () => {
  it('to 8 minutes of 10, within a fifth: held in both', () => {
    const { page, slip } = both(step({ minutes: 8 }), step({ minutes: 10 }));
    expect(page).toEqual([]);
    expect(slip).toEqual([]);
  });

  it.each([
    [7.9, 1],
    [8, 0],
    [12, 0],
    [12.1, 1],
  ])('to %f minutes of 10: %i departures', (minutes, n) => {
    const { page, slip } = both(step({ minutes }), step({ minutes: 10 }));
    expect(page).toHaveLength(n);
    expect(slip).toHaveLength(n);
  });

  it('to two pumps of a bottle weighed at 1.5 ml, 3 ml planned: held in both', () => {
    const { page, slip } = both(step({ dose: pumps(2) }), step({ dose: ml(3) }), weighing(1.5));
    expect(page).toEqual([]);
    expect(slip).toEqual([]);
  });

  it('to two pumps of a bottle weighed at 3 ml, 3 ml planned: departed in both, and double', () => {
    const { page, slip } = both(step({ dose: pumps(2) }), step({ dose: ml(3) }), weighing(3));
    expect(page).toMatchObject([{ fact: { setting: 'dose' }, verdict: 'departed' }]);
    expect(slip).toMatchObject([{ kind: 'dose' }]);
    expect(slip[0]!.size).toBeCloseTo(1, 2);
  });

  it('to two pumps never weighed: cannot show in both', () => {
    const { page, slip } = both(step({ dose: pumps(2) }), step({ dose: ml(3) }));
    expect(page).toMatchObject([{ fact: { setting: 'dose' }, verdict: 'cannot show' }]);
    expect(slip).toMatchObject([{ kind: 'dose-unsure' }]);
  });

  it('to sections, ticks and what was not recorded', () => {
    const plan = step({ sections: 4, minutes: 5, wetness: 'wet', extra: { rounds: 2 } });
    expect(both(step({ sections: 3, minutes: 5, wetness: 'wet', extra: { rounds: 2 } }), plan)).toMatchObject(
      {
        page: [{ fact: { setting: 'sections' } }],
        slip: [{ kind: 'sections' }],
      },
    );
    const unrecorded = both(step({ sections: 4 }), plan);
    expect(unrecorded.page.map(({ verdict }) => verdict)).toEqual([
      'cannot show',
      'cannot show',
      'cannot show',
    ]);
    expect(unrecorded.slip.map(({ kind }) => kind)).toEqual(['not-recorded', 'not-recorded', 'not-recorded']);
    expect(new Set(unrecorded.slip.map(({ key }) => key)).size).toBe(3);
    expect(differenceInWords(unrecorded.slip[0]!, plainVoice())).toContain('not recorded');
  });

  const key = <V extends Vocabulary>(vocabulary: V) => fc.option(fc.constantFrom(...keysOf(vocabulary)));
  const dose: fc.Arbitrary<Dose> = fc.oneof(
    fc.record({
      kind: fc.constant('exact' as const),
      amount: fc.integer({ min: 1, max: 60 }).map((n) => n / 2),
      measure: fc.constantFrom(...(Object.keys(MEASURES) as Measure[])),
      per: fc.constantFrom('head' as const, 'section' as const),
    }),
    fc.constant<Dose>({ kind: 'unknown' }),
  );
  const settings = fc.record({
    productId: fc.option(fc.constantFrom('gel', 'foam')),
    dose: fc.option(dose),
    sections: fc.option(fc.integer({ min: 1, max: 6 })),
    wetness: key(WETNESS),
    minutes: fc.option(fc.integer({ min: 1, max: 40 })),
    technique: key(TECHNIQUES),
    tool: key(TOOLS),
    heat: key(HEATS),
    extra: fc.constantFrom<StepSettings['extra']>(
      {},
      { rounds: 2 },
      { rounds: 3, stopAt: 90 },
      { stopAt: 80 },
      { cap: true },
      { places: ['crown'] },
    ),
  });

  it('whatever the step and its plan', () => {
    fc.assert(
      fc.property(settings, settings, fc.constantFrom(1, 1.5, 3), (done, plan, grams) => {
        const { page, slip } = both(done, plan, weighing(grams));
        const held = (departed: boolean) =>
          page.filter(({ verdict }) => (verdict === 'departed') === departed).map(({ what }) => what);
        const unsure = (kind: string) => kind === 'dose-unsure' || kind === 'not-recorded';
        expect(slip.filter(({ kind }) => !unsure(kind))).toHaveLength(held(true).length);
        expect(slip.filter(({ kind }) => unsure(kind))).toHaveLength(held(false).length);
      }),
    );
  });

  it('names the same things when two equals are swapped', () => {
    fc.assert(
      fc.property(settings, settings, fc.constantFrom(0.05, 0.2, 0.5), (a, b, tolerance) => {
        const told = (x: StepSettings, y: StepSettings) =>
          compareSettings(x, y, tolerance, 'peer')
            .map(({ setting, verdict, off }) => `${setting} ${verdict} ${off.toFixed(6)}`)
            .sort();
        expect(told(a, b)).toEqual(told(b, a));
      }),
    );
    // 15 g against 18.5 g: nearly a quarter more, whichever is named first.
    const g = (amount: number) => step({ dose: { kind: 'exact', amount, measure: 'g', per: 'head' } });
    const day = (settings: StepSettings) => ({
      ...runs(settings, settings, NEVER_WEIGHED).run,
      washDayId: 'x',
    });
    for (const [a, b] of [
      [15, 18.5],
      [18.5, 15],
    ] as const)
      expect(differencesOf(day(g(a)), day(g(b))).map(({ kind }) => kind)).toEqual(['dose']);
  });

  it('is none of a step held against itself, unless its amount is not known', () => {
    fc.assert(
      fc.property(settings, (own) => {
        for (const against of ['plan', 'peer'] as const)
          expect(compareSettings(own, own, 0.2, against).filter(({ setting }) => setting !== 'dose')).toEqual(
            [],
          );
      }),
    );
  });
});

describe('a weighed measure counts wherever a dose is read', () => {
  const weighed = weighing(3);

  it('in grams and in money', () => {
    expect(doseGrams(weighed, 'gel', pumps(2), null)).toBeCloseTo(6, 2);
    expect(doseGrams(NEVER_WEIGHED, 'gel', pumps(2), null)).toBeCloseTo(2 * MEASURES.pump.usual, 9);
    expect(doseGrams(weighed, 'other', pumps(2), null)).toBeCloseTo(2 * MEASURES.pump.usual, 9);
    expect(doseGrams(weighed, 'gel', { kind: 'unknown' }, null)).toBeNull();
    const use = {
      productName: 'Gel',
      price: 10,
      currency: 'EUR',
      sizeMl: 100,
      dose: pumps(2),
      sections: null,
    };
    const plain = washCost([use]).cost!.usual;
    const own = washCost([{ ...use, calibrated: calibratedFor(weighed, 'gel', use.dose) }]).cost!.usual;
    expect(own).toBeCloseTo(0.6, 2);
    expect(own).not.toBeCloseTo(plain, 2);
  });
});
