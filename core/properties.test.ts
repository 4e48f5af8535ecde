import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dewPoint } from './climate/dew-point.ts';
import { type Dose, doseHeld, doseInMl, doseLabel } from './doses/dose.ts';
import { MEASURES, type Measure } from './doses/measures.ts';
import { shrinkage } from './hair/shrinkage.ts';
import { widestGap } from './inference/arm-means.ts';
import { inversionInterval } from './inference/inversion-interval.ts';
import { randomisationTest } from './inference/randomisation-test.ts';
import { dayNumber } from './outcomes/day-number.ts';
import { daysAboveLine, longevity } from './outcomes/days-above-line.ts';
import { dayOfWear } from './outcomes/stages.ts';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from './routine/settings.ts';
import { goodUntil } from './shelf/period-after-opening.ts';
import { balancedComplete } from './trial/allocation.ts';
import { departures } from './trial/departures.ts';
import { keysOf, type Vocabulary } from './vocabulary.ts';

const measure = fc.constantFrom(...(Object.keys(MEASURES) as Measure[]));
const per = fc.constantFrom('head' as const, 'section' as const);
const amount = fc.integer({ min: 1, max: 400 }).map((n) => n / 10);
const exact = fc.record({ kind: fc.constant('exact' as const), amount, measure, per });
const range = fc
  .record({ kind: fc.constant('range' as const), from: amount, more: amount, measure, per })
  .map(({ from, more, ...rest }): Dose => ({ ...rest, from, to: from + more }));
const dose: fc.Arbitrary<Dose> = fc.oneof(exact, range, fc.constant<Dose>({ kind: 'unknown' }));
const sections = fc.option(fc.integer({ min: 1, max: 12 }));
const key = <V extends Vocabulary>(vocabulary: V) => fc.option(fc.constantFrom(...keysOf(vocabulary)));
const settings = fc.record({
  productId: fc.option(fc.constantFrom('a', 'b')),
  dose: fc.option(dose),
  sections,
  wetness: key(WETNESS),
  minutes: fc.option(fc.integer({ min: 1, max: 90 })),
  technique: key(TECHNIQUES),
  tool: key(TOOLS),
  heat: key(HEATS),
  extra: fc.constantFrom({}, { rounds: 2 }, { stopAt: 90 }),
});

describe('doses, whatever they are', () => {
  it('spread from low over usual to high, and have a label', () => {
    fc.assert(
      fc.property(dose, sections, (given, split) => {
        expect(doseLabel(given).length).toBeGreaterThan(2);
        const spread = doseInMl(given, split);
        if (spread === null) return;
        expect(spread.low).toBeLessThanOrEqual(spread.usual + 1e-9);
        expect(spread.usual).toBeLessThanOrEqual(spread.high + 1e-9);
      }),
    );
  });

  it('that are exact and repeated are held; one and a half times as much is not', () => {
    fc.assert(
      fc.property(exact, fc.integer({ min: 1, max: 12 }), (given, split) => {
        const plan = { dose: given, sections: split };
        expect(doseHeld(plan, plan)).toBe('held');
        expect(doseHeld(plan, { dose: { ...given, amount: given.amount * 1.5 }, sections: split })).toBe(
          'departed',
        );
      }),
    );
  });

  it('forgotten never show that they were held', () => {
    fc.assert(
      fc.property(exact, sections, (given, split) => {
        expect(
          doseHeld({ dose: given, sections: split }, { dose: { kind: 'unknown' }, sections: split }),
        ).toBe('cannot show');
      }),
    );
  });
});

describe('departures, whatever the step', () => {
  it('are at most unsure when a step was done as planned', () => {
    fc.assert(
      fc.property(settings, (plan) => {
        const found = departures({ ...plan, status: 'done', planned: plan }, (id) => id);
        expect(found.every(({ kind, setting }) => kind === 'cannot show' && setting === 'dose')).toBe(true);
      }),
    );
  });

  it('end in a full stop and name each setting once', () => {
    fc.assert(
      fc.property(settings, settings, (plan, done) => {
        const found = departures({ ...done, status: 'done', planned: plan }, (id) => id);
        for (const { says } of found) expect(says.endsWith('.')).toBe(true);
        expect(new Set(found.map(({ setting }) => setting)).size).toBe(found.length);
      }),
    );
  });
});

describe('wear, whatever the ratings', () => {
  const days = fc.uniqueArray(
    fc.record({ day: fc.integer({ min: 1, max: 14 }), value: fc.integer({ min: 0, max: 10 }) }),
    {
      selector: ({ day }) => day,
      minLength: 1,
      maxLength: 14,
    },
  );

  it('ends between its last day above and its first below', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 10 }), fc.boolean(), (values, line, byLooks) => {
        const seen = longevity(values, line, 'higher', byLooks);
        expect(seen.censored).toBe(seen.firstBelow === null);
        if (seen.firstBelow !== null) expect(seen.firstBelow).toBeGreaterThan(seen.lastAbove);
        for (const { day, value } of values)
          if (day <= seen.lastAbove) expect(value).toBeGreaterThanOrEqual(line);
      }),
    );
  });

  it('does not depend on the order the ratings come in, and mirrors with the scale', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 10 }), (values, line) => {
        const seen = longevity(values, line, 'higher', false);
        expect(longevity(values.toReversed(), line, 'higher', false)).toEqual(seen);
        const mirrored = values.map(({ day, value }) => ({ day, value: 10 - value }));
        expect(longevity(mirrored, 10 - line, 'lower', false)).toEqual(seen);
      }),
    );
  });

  it('counts more days up to a later day, never fewer', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 10 }), (values, line) => {
        const seen = longevity(values, line, 'higher', true);
        let before = 0;
        for (let upTo = 1; upTo <= 15; upTo++) {
          const counted = daysAboveLine(seen, upTo)!;
          expect(counted).toBeGreaterThanOrEqual(before);
          expect(counted).toBeLessThanOrEqual(upTo);
          before = counted;
        }
      }),
    );
  });

  it('one number a day lies among its ratings', () => {
    const rating = fc.record({
      zoneId: fc.constantFrom('a', 'b', 'c'),
      value: fc.integer({ min: 0, max: 10 }),
    });
    fc.assert(
      fc.property(fc.array(rating, { minLength: 1 }), fc.integer({ min: 1, max: 9 }), (ratings, weight) => {
        const weights = new Map([
          ['a', weight],
          ['b', 1],
          ['c', 2],
        ]);
        const values = ratings.map(({ value }) => value);
        const number = dayNumber(ratings, weights)!;
        expect(number).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9);
        expect(number).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
      }),
    );
  });
});

describe('the test and its interval, whatever the numbers', () => {
  const scheme = balancedComplete(2, 6);
  const values = fc.array(
    fc.integer({ min: 0, max: 60 }).map((n) => n / 4),
    { minLength: 6, maxLength: 6 },
  );
  const place = fc.integer({ min: 0, max: 19 }).map((n) => [...scheme.enumerate()][n]!);
  const p = (numbers: readonly number[], allocation: readonly number[]) =>
    randomisationTest(scheme, allocation, (sequence) => widestGap(numbers, sequence, 2), 1).p;

  it('p is a whole share of the set, never under its smallest, and blind to shift, scale and the arms’ names', () => {
    fc.assert(
      fc.property(values, place, (numbers, allocation) => {
        const found = p(numbers, allocation);
        expect(found * 20).toBeCloseTo(Math.round(found * 20), 9);
        expect(found).toBeGreaterThanOrEqual(0.1 - 1e-12);
        expect(
          p(
            numbers.map((x) => 3 * x + 7),
            allocation,
          ),
        ).toBeCloseTo(found, 12);
        expect(
          p(
            numbers,
            allocation.map((arm) => 1 - arm),
          ),
        ).toBeCloseTo(found, 12);
      }),
    );
  });

  it('the interval holds the difference, and moves and stretches with the numbers', () => {
    fc.assert(
      fc.property(values, place, (numbers, allocation) => {
        const interval = inversionInterval(scheme, numbers, allocation, 0.05, 1)!;
        const mean = (arm: number) =>
          numbers.filter((_, i) => allocation[i] === arm).reduce((a, b) => a + b, 0) / 3;
        const difference = mean(1) - mean(0);
        expect(interval.low).toBeLessThanOrEqual(difference + 1e-9);
        expect(interval.high).toBeGreaterThanOrEqual(difference - 1e-9);
        const moved = numbers.map((x, i) => 2 * x + (allocation[i] === 1 ? 5 : 0));
        const other = inversionInterval(scheme, moved, allocation, 0.05, 1)!;
        expect(other.low).toBeCloseTo(2 * interval.low + 5, 6);
        expect(other.high).toBeCloseTo(2 * interval.high + 5, 6);
      }),
    );
  });
});

describe('air, lengths and dates, whatever they are', () => {
  it('the dew point rises with humidity and never passes the air', () => {
    const humid = fc.integer({ min: 1, max: 99 });
    fc.assert(
      fc.property(fc.integer({ min: -45, max: 60 }), humid, (celsius, humidity) => {
        const dew = dewPoint(celsius, humidity)!;
        expect(dew).toBeLessThan(celsius);
        expect(dewPoint(celsius, humidity + 1)!).toBeGreaterThan(dew);
      }),
    );
  });

  it('shrinkage is a share below one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 0, max: 900 }), (resting, more) => {
        const share = shrinkage(resting + more, resting);
        expect(share >= 0 && share < 1).toBe(true);
        expect((resting + more) * (1 - share)).toBeCloseTo(resting, 6);
      }),
    );
  });

  it('a period after opening ends later the longer it is, on a real day', () => {
    const date = fc.date({ min: new Date('2000-01-01'), max: new Date('2060-01-01'), noInvalidDate: true });
    fc.assert(
      fc.property(date, fc.integer({ min: 1, max: 60 }), (opened, months) => {
        const from = opened.toISOString().slice(0, 10);
        const last = goodUntil(from, months)!;
        expect(new Date(`${last}T00:00:00Z`).toISOString().slice(0, 10)).toBe(last);
        expect(goodUntil(from, months + 1)! > last).toBe(true);
        expect(dayOfWear(from, last)!).toBeGreaterThan(27 * months);
      }),
    );
  });
});
