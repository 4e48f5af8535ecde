import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { doseInWords } from '../words/dose.ts';
import { departureInWords } from '../words/step.ts';
import { plainVoice } from '../words/voice.ts';
import { dewPoint } from './climate/dew-point.ts';
import { type Dose, doseHeld, doseInMl } from './doses/dose.ts';
import { MEASURES, type Measure } from './doses/measures.ts';
import { shrinkage } from './hair/shrinkage.ts';
import { dayNumber } from './outcomes/day-number.ts';
import { dayOfWear } from './outcomes/day-of-wear.ts';
import { goodDays } from './outcomes/good-days.ts';
import { goodUntil } from './shelf/period-after-opening.ts';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from './step/choices.ts';
import { departures } from './step/departures.ts';
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
  extra: fc.constantFrom({}, { rounds: 2 }, { stopAt: 90 }, { rounds: 3, stopAt: 70 }),
});
const marks = fc.uniqueArray(
  fc.record({
    mark: fc.constantFrom('more' as const, 'ran-out' as const),
    reason: fc.constant('untold' as const),
  }),
  { selector: ({ mark }) => mark, maxLength: 2 },
);

describe('doses, whatever they are', () => {
  it('spread from low over usual to high, and have a label', () => {
    fc.assert(
      fc.property(dose, sections, (given, split) => {
        expect(doseInWords(given).length).toBeGreaterThan(2);
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
        for (const one of departures({ ...plan, status: 'done', planned: plan }))
          expect(one).toMatchObject({ verdict: 'cannot show', fact: { setting: 'dose' } });
      }),
    );
  });

  it('end in a full stop and name each setting once', () => {
    fc.assert(
      fc.property(settings, settings, marks, (plan, done, happened) => {
        const found = departures({ ...done, status: 'done', planned: plan, marks: happened });
        for (const one of found) expect(departureInWords(one, plainVoice())).toMatch(/^[\dA-Z].*\.$/);
        const named = found.map((one) =>
          one.what === 'setting' ? one.fact.setting : one.what === 'mark' ? one.mark : one.what,
        );
        expect(new Set(named).size).toBe(found.length);
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

  it('ends between its last good look and the first that was not', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 10 }), fc.boolean(), (values, limit, washed) => {
        const seen = goodDays(values, limit, 'higher', washed ? 20 : null);
        expect(seen.to === null).toBe(seen.toldBy === null);
        if (seen.to !== null) expect(seen.to).toBeGreaterThanOrEqual(seen.from);
        for (const { day, value } of values)
          if (day <= seen.from) expect(value).toBeGreaterThanOrEqual(limit);
      }),
    );
  });

  it('does not depend on the order the ratings come in, and mirrors with the scale', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 10 }), (values, limit) => {
        const seen = goodDays(values, limit, 'higher', null);
        expect(goodDays(values.toReversed(), limit, 'higher', null)).toEqual(seen);
        const mirrored = values.map(({ day, value }) => ({ day, value: 10 - value }));
        expect(goodDays(mirrored, 10 - limit, 'lower', null)).toEqual(seen);
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
