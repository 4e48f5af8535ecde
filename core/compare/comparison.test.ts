import { pLabel, readPrimary } from '@sabor/words/verdict';
import { describe, expect, it } from 'vitest';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import { seededRandom, standardNormal } from '../random.ts';
import { armsOfCode, schemeOf } from '../trial/designs.ts';
import { compareTrial, daysNeededAfter } from './comparison.ts';
import { madeUpTrial, wornDay } from './made-up.fixture.ts';
import { pooledSd } from './noise.ts';
import type { TrialRecord } from './trial-record.ts';
import { shrinkageByDay } from './wash-day-record.ts';

const order = [0, 1, 1, 0, 1, 0, 0, 1];
const apart = [5.0, 8.0, 8.4, 5.6, 8.2, 5.2, 5.4, 8.8];
const mixed = [5.0, 8.0, 5.4, 7.6, 6.2, 5.2, 7.4, 6.8];
const trial = (numbers: readonly (number | null)[], to: Partial<TrialRecord> = {}) =>
  madeUpTrial('complete', order.slice(0, numbers.length), numbers, {}, to);
const read = (record: TrialRecord) => readPrimary(record, compareTrial(record));

describe('a comparison', () => {
  it('decides on the trial’s own set: fully apart means 2 of 70', () => {
    const { primary, outcomes } = compareTrial(trial(apart));
    expect(primary.state).toBe('decided');
    expect(primary.test).toEqual({ p: 2 / 70, looked: 70, exact: true });
    expect(outcomes.definition.means[0]).toBeCloseTo(5.3, 9);
    expect(outcomes.definition.means[1]).toBeCloseTo(8.35, 9);
    expect(outcomes.definition.differences[0]!.difference).toBeCloseTo(3.05, 9);
    expect(outcomes.definition.looks).toEqual([4, 4]);
  });

  it('counts a wash day once, however many zones were rated', () => {
    const record = trial(apart);
    const two = {
      ...record,
      promise: {
        ...record.promise,
        weights: new Map([
          ['crown', 1],
          ['nape', 1],
        ]),
      },
      washDays: record.washDays.map((day) => ({
        ...day,
        checkIns: day.checkIns.map((look) => ({
          ...look,
          ratings: look.ratings.flatMap((rating) => [
            { ...rating, value: rating.value + 0.5 },
            { ...rating, zoneId: 'nape', value: rating.value - 0.5 },
          ]),
        })),
      })),
    };
    const { byWashDay } = compareTrial(two).outcomes.definition;
    expect(byWashDay).toHaveLength(8);
    expect(byWashDay.map(({ value }) => value)).toEqual(apart);
  });

  it('gives a p to the main result alone', () => {
    const comparison = compareTrial(trial(apart));
    for (const key of Object.keys(OUTCOMES) as Outcome[])
      expect(comparison.outcomes[key]).not.toHaveProperty('test');
  });

  it('keeps the test shut until the trial is over', () => {
    const running = trial(apart.slice(0, 3), { ended: 'no', allocation: order.slice(0, 3) });
    const { primary, outcomes } = compareTrial({
      ...running,
      promise: { ...running.promise, plannedWashDays: 8 },
    });
    expect(primary).toMatchObject({ state: 'waiting', test: null, finished: 3 });
    expect(outcomes.definition.differences[0]!.interval).toBeNull();
  });

  it('only describes when it was ended early, or six wash days were all, and then gives no interval', () => {
    for (const record of [
      trial(apart, { ended: 'early' }),
      madeUpTrial('complete', [0, 1, 1, 0, 1, 0], apart.slice(0, 6)),
    ]) {
      const { primary, outcomes } = compareTrial(record);
      expect(primary).toMatchObject({ state: 'describes', test: null });
      if (record.ended === 'early') expect(outcomes.definition.differences[0]!.interval).toBeNull();
    }
  });

  it('tells which wash days rest on fewer zones than promised', () => {
    const record = trial(apart);
    const promise = {
      ...record.promise,
      weights: new Map([
        ['crown', 1],
        ['nape', 1],
      ]),
    };
    expect(compareTrial({ ...record, promise }).partial).toHaveLength(8);
    expect(compareTrial(record).partial).toEqual([]);
  });

  it('sets shrinkage side by side', () => {
    const record = trial(apart);
    const curls = [{ curlId: 'c', restingMm: 180, stretchedMm: 300 }];
    const washDays = record.washDays.map((day) => ({
      ...day,
      checkIns: day.checkIns.map((look) => ({ ...look, curls })),
    }));
    const { shrinkage } = compareTrial({ ...record, washDays });
    expect(shrinkage.means[0]).toBeCloseTo(0.4, 9);
    expect(shrinkageByDay(washDays[0]!)).toHaveLength(1);
  });
});

describe('the arm that is named', () => {
  // A is half a point better on eight whole half-head days; on two good days only B's side was rated.
  it('is the arm of the tested effect, not the one with the larger raw mean', () => {
    const codes = [0, 1, 0, 1, 0, 1, 0, 1, 0, 1];
    const level = [5, 5.2, 4.8, 5.1, 4.9, 5, 5.1, 4.9, 9.5, 9.5];
    const numbers = codes.map((code, day): [number | null, number | null] => {
      const [a, b] = [level[day]! + 0.5, level[day]!];
      const sides: [number | null, number | null] = code === 0 ? [a, b] : [b, a];
      if (day >= 8) sides[code === 0 ? 0 : 1] = null;
      return sides;
    });
    const record = madeUpTrial('half', codes, numbers);
    const { headline, because } = read(record);
    const raw = (arm: number) => {
      const own = record.washDays.filter((day) => day.arm === arm && day.checkIns.length > 0);
      return own.reduce((sum, day) => sum + day.checkIns[0]!.ratings[0]!.value, 0) / own.length;
    };
    expect(raw(1)).toBeGreaterThan(raw(0));
    expect(headline).not.toContain('Kelp gave');
    expect(because.join(' ')).toContain('Anvil scored 0.5 higher than Kelp');
    const { means } = compareTrial(record).outcomes.definition;
    expect(means[0]! - means[1]!).toBeCloseTo(0.5, 9);
  });

  it('of three on two halves is the one with the largest effect, whatever days it fell on', {
    tags: 'soak',
  }, () => {
    // Quay > Kelp > Anvil by one each; the days that Kelp was on were better days for both halves.
    const codes = [0, 1, 2, 3, 4, 5, 0, 1, 2, 3, 4, 5];
    const effect = [0, 1, 2];
    const numbers = codes.map((code, day): [number, number] => {
      const { left, right } = armsOfCode('half-three', code);
      const level = [left, right].includes(1) ? 7 : 4;
      return [level + effect[left]! + (day % 3) * 0.01, level + effect[right]!];
    });
    const record = madeUpTrial('half-three', codes, numbers);
    expect(read(record).headline).toBe(
      'The options differ in definition: Quay had the most, Anvil the least.',
    );
    const { means } = compareTrial(record).outcomes.definition;
    expect(means[2]! - means[0]!).toBeCloseTo(2, 1);
  });

  it('changes with its sides, and with the way the scale is wanted', () => {
    expect(read(trial(apart)).headline).toBe('Kelp gave more definition than Anvil.');
    const swapped = madeUpTrial(
      'complete',
      order.map((arm) => 1 - arm),
      apart,
    );
    expect(read(swapped).headline).toBe('Anvil gave more definition than Kelp.');
    const frizz = trial(apart);
    const record = {
      ...frizz,
      promise: { ...frizz.promise, primary: 'frizz' as const },
      washDays: frizz.washDays.map((day) => ({
        ...day,
        checkIns: day.checkIns.map((look) => ({
          ...look,
          ratings: look.ratings.map((rating) => ({ ...rating, outcome: 'frizz' as const })),
        })),
      })),
    };
    expect(read(record).headline).toBe('Anvil gave less frizz than Kelp.');
    expect(read(record).because[0]).toMatch(/^Kelp scored 3\.0 higher than Anvil in frizz on day 1/);
  });

  it('of two factors is a level of a factor, never a cell', () => {
    const codes = [0, 1, 2, 3, 0, 1, 2, 3, 0, 1, 2, 3];
    const record = madeUpTrial(
      'factorial',
      codes,
      codes.map((code, day) => 4 + (code >= 2 ? 2 : 0) + (code === 1 ? 0.6 : 0) + (day % 4) * 0.05),
    );
    expect(read(record).headline).toBe('Quay and Dune gave more definition than Anvil and Kelp.');
  });

  it('and the p of two factors stay as they are in every order that means the same factors, and in no other', {
    tags: 'soak',
  }, () => {
    const random = seededRandom(3);
    const codes = schemeOf('factorial', 4, 12).draw(5);
    const numbers = codes.map((code) => 5 + (code >= 2 ? 1.5 : 0) + standardNormal(random));
    const p = (order: readonly number[]) =>
      compareTrial(
        madeUpTrial(
          'factorial',
          codes.map((code) => order.indexOf(code)),
          numbers,
        ),
      ).primary.test!.p;
    const right = p([0, 1, 2, 3]);
    // Levels swapped, factors swapped: opposite cells stay opposite.
    for (const order of [
      [1, 0, 3, 2],
      [2, 3, 0, 1],
      [0, 2, 1, 3],
      [3, 1, 2, 0],
      [1, 3, 0, 2],
    ])
      expect(p(order)).toBe(right);
    for (const order of [
      [0, 1, 3, 2],
      [0, 3, 2, 1],
    ])
      expect(Math.abs(p(order) - right)).toBeGreaterThan(0.1);
  });

  it('of three on whole heads leaves open which pairs the joint intervals leave open', () => {
    const codes = [0, 1, 2, 2, 0, 1, 1, 2, 0, 1, 0, 2];
    const record = madeUpTrial(
      'complete',
      codes,
      codes.map((arm, day) => [4, 6.9, 7.1][arm]! + [0.3, -0.3, 0, 0.2, -0.2][day % 5]!),
    );
    const { headline, because } = read(record);
    expect(headline).toBe('The options differ in definition: Quay had the most, Anvil the least.');
    expect(because.join(' ')).toContain('Whether Quay or Kelp gives more definition stays open.');
    expect(because.join(' ')).not.toContain('Whether Quay or Anvil');
  });

  it('is none in a second analysis, which has no p either', () => {
    const { headline, because } = read(trial(apart, { leftOut: [3] }));
    expect(headline).toBe('Without these wash days');
    expect(because.join(' ')).not.toMatch(/p =|gave more/);
  });
});

describe('missing looks', () => {
  it('are told, and one arm on one look does not decide', () => {
    const record = trial(apart.map((value, i) => (order[i] === 1 && i !== 1 ? null : value)));
    const { primary } = compareTrial(record);
    expect(primary).toMatchObject({ state: 'describes', why: 'too few looks', test: null });
    expect(read(record).because.join(' ')).toContain('4 of Anvil and 1 of 4 planned of Kelp');
  });

  it('that could turn the sign make it a description', () => {
    // Kelp stands half a point over Anvil on each of seven half-head days; the eighth was not rated.
    const codes = [0, 1, 1, 0, 1, 0, 0, 1];
    const half = (levels: readonly (number | null)[]) =>
      madeUpTrial(
        'half',
        codes,
        levels.map((level, day): [number | null, number | null] =>
          level === null ? [null, null] : codes[day] === 0 ? [level, level + 0.5] : [level + 0.5, level],
        ),
      );
    const like = compareTrial(half([6, 6, 6.5, 6, 6, 6, 6.5, null])).primary;
    expect(like).toMatchObject({ state: 'decided', tested: { named: [1], over: [0] } });
    // The same differences on days that lie far apart: the worst and the best seen are six points apart.
    const far = compareTrial(half([2, 6, 8, 3, 5, 4, 7.5, null])).primary;
    expect(far).toMatchObject({ state: 'describes', why: 'missing days could turn it', test: null });
  });

  it('leave a small trial out of reach', () => {
    const record = trial([5, 8, 5.4, 7.6, 6.2, 5.2, null, null]);
    expect(compareTrial(record).primary).toMatchObject({
      state: 'describes',
      why: 'out of reach',
      test: null,
    });
  });

  it('of the first look are only those before it', () => {
    const codes = [0, 1, 1, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 1, 1, 0, 0, 1, 0, 1];
    const numbers = codes.slice(0, 10).map((arm, day) => 4 + 4 * arm + 0.01 * day);
    const record = madeUpTrial(
      'complete',
      codes,
      numbers,
      { looks: 2 },
      {
        ended: 'look',
        allocation: codes.slice(0, 10),
      },
    );
    const { primary, outcomes } = compareTrial(record);
    expect(outcomes.definition.due).toEqual([5, 5]);
    expect(primary).toMatchObject({ state: 'decided', alpha: 0.01 });
    expect(primary.test!.p).toBeLessThanOrEqual(0.01);
  });

  it('at a first look that cannot decide are told as that', () => {
    const record = madeUpTrial(
      'complete',
      [...order, 0, 1, 1, 0],
      apart.slice(0, 6),
      { looks: 2 },
      {
        ended: 'look',
        allocation: order.slice(0, 6),
      },
    );
    expect(compareTrial(record).primary).toMatchObject({ state: 'describes', why: 'first look', test: null });
  });
});

describe('hairs shed', () => {
  it('stand option by option, of whole heads on which they were told', () => {
    const shed = (to: (position: number, arm: number) => number | null) => {
      const record = trial(apart);
      return compareTrial({
        ...record,
        washDays: record.washDays.map((day) => ({ ...day, shed: to(day.position, day.arm) })),
      }).shed;
    };
    expect(shed(() => null).means).toEqual([null, null]);
    expect(shed((_, arm) => (arm === 0 ? 90 : 60)).means).toEqual([90, 60]);
    // Where one wash day was not counted, the others still are.
    expect(shed((position, arm) => (position === 0 ? null : arm === 0 ? 90 : 60)).means).toEqual([90, 60]);
    expect(shed((_, arm) => (arm === 0 ? 90 : 60)).differences[0]!.difference).toBe(-30);
  });
});

describe('ways round the promise', () => {
  it.each(['primary', 'onDay', 'line'] as const)('a change of %s makes it a description', (what) => {
    const record = trial(apart, { changed: [what] });
    expect(compareTrial(record).primary).toMatchObject({ state: 'describes', why: 'changed', test: null });
    expect(read(record).headline).toBe('These wash days can only hint at which gives more definition.');
  });

  it('a change of what matters is told beside it', () => {
    const { headline, because } = read(trial(apart, { changed: ['matters'] }));
    expect(headline).toContain('Kelp gave more');
    expect(because.join(' ')).toContain('That limit was changed on the way.');
  });

  it('wash days abandoned and run again are told with their reason', () => {
    const { headline, because } = read(
      trial(apart, { abandoned: [{ position: 2, reason: 'the boiler failed', revealed: false }] }),
    );
    expect(headline).toContain('Kelp gave more');
    expect(because).toContain(
      'Wash day 3 was abandoned before the hair was finished (the boiler failed) and run again with the same option.',
    );
  });

  it('a wash day run again after its hair was finished makes it a description', () => {
    const record = trial(apart, { abandoned: [{ position: 4, reason: 'ugly', revealed: true }] });
    expect(compareTrial(record).primary).toMatchObject({ state: 'describes', why: 'run again', test: null });
    expect(compareTrial(record).outcomes.definition.differences[0]!.interval).toBeNull();
    expect(read(record).because).toContain(
      'Wash day 5 was abandoned after the hair was finished (ugly) and run again with the same option.',
    );
  });

  it('results open before the end are told', () => {
    expect(read(trial(apart, { openedEarly: true })).because.join(' ')).toContain('open to see before');
  });
});

describe('days that were good', () => {
  const wears = [
    // Anvil: not good on the first day; Kelp: good to day 3, one cut short on day 1 by something else.
    wornDay(0, 0, null, [5, 4]),
    wornDay(1, 1, null, [8, 7, 6, 5]),
    wornDay(2, 1, null, [8]),
    wornDay(3, 0, null, [5, 5]),
    wornDay(4, 1, null, [8, 7, 7, 5]),
    wornDay(5, 0, null, [5.5]),
  ];
  const record = madeUpTrial('complete', [0, 1, 1, 0, 1, 0], [], {}, { washDays: wears });

  it('are not cut to the shortest wear: the one cut short on day 1 tells what it can', () => {
    const { lasting, money } = compareTrial(record);
    expect(lasting[0]).toMatchObject({ low: 0, middle: 0, high: 0, wears: 3, cut: 0 });
    expect(lasting[1]).toMatchObject({ wears: 3, cut: 1 });
    expect(lasting[1]!.low).toBeCloseTo(3, 6);
    expect(lasting[1]!.high).toBeCloseTo(4, 6);
    expect(money[1]!.costPerGoodDay).toBeCloseTo(2 / 3.5, 6);
    expect(money[0]!.costPerGoodDay).toBeNull();
  });

  it('end on the day of the wash where it was washed for its looks', () => {
    const washed = wornDay(0, 0, null, [8, 7], { wearEnd: 'washed-looks', wearEndDay: 5 });
    const { wear } = compareTrial({ ...record, washDays: [washed, ...wears.slice(1)] });
    expect(wear[0]!.seen).toEqual({ from: 2, to: 5, toldBy: 'wash', recovered: false });
  });

  it('are not told where over half of an arm’s wears were cut short', () => {
    const washDays = wears.map((day) => (day.arm === 1 ? wornDay(day.position, 1, null, [8]) : day));
    expect(compareTrial({ ...record, washDays }).lasting[1]).toBeNull();
  });

  it('worn to the planned end are not cut short', () => {
    const washDays = wears.map((day) =>
      day.arm === 1 ? wornDay(day.position, 1, null, [8, 8, 8, 8, 8]) : day,
    );
    expect(compareTrial({ ...record, washDays }).lasting[1]).toMatchObject({ low: 5, high: 5, cut: 0 });
  });
});

describe('wash days needed', () => {
  it('come from the noise and what matters, not from the effect seen', () => {
    const shifted = mixed.map((value, i) => value + (order[i] === 1 ? 0.5 : 0));
    const of = (numbers: readonly number[]) => daysNeededAfter(trial(numbers), compareTrial(trial(numbers)))!;
    const needed = of(mixed);
    expect(needed.ifTwice).toBeNull();
    expect(of(shifted).ifTwice).toBe(needed.ifTwice);
    expect(compareTrial(trial(mixed)).primary.state).toBe('cannot tell');
  });

  it('stand in the reading where it cannot tell', () => {
    const record = trial(mixed);
    const { headline, because } = readPrimary(record, compareTrial(record), {
      usual: null,
      ifRight: 34,
      ifTwice: null,
    });
    expect(headline).toBe('Cannot tell yet which gives more definition.');
    expect(because.at(-1)).toBe(
      'With the noise seen here (SD 1.3), finding a difference of 1.0 takes more wash days than a plan here holds, four times in five: 34 if the noise is just that, over 40 if it is twice as large.',
    );
  });
});

describe('noise between wash days', () => {
  it('by hand: deviations of ±1 in two arms of two give √(4/2)', () => {
    const days = [
      { arm: 0, value: 4 },
      { arm: 0, value: 6 },
      { arm: 1, value: 7 },
      { arm: 1, value: 9 },
    ];
    expect(pooledSd(days, 2)!.sd).toBeCloseTo(Math.SQRT2, 12);
    expect(pooledSd(days.slice(0, 1), 2)).toBeNull();
  });
});

describe('the sentences', () => {
  it('name the winner, the gap, its interval, what it rests on and the p', () => {
    const { headline, because } = read(trial(apart));
    expect(headline).toBe('Kelp gave more definition than Anvil.');
    expect(because[0]).toMatch(
      /^Kelp scored 3\.0 higher than Anvil in definition on day 1 \(97\.1 % interval: \d\.\d to \d\.\d higher\)\.$/,
    );
    expect(because[1]).toBe('It rests on these wash days: 4 of Anvil and 4 of Kelp.');
    expect(because[2]).toBe(
      'Of the 70 orders that could have been drawn, 2.9 % show a difference at least this wide: p = .029.',
    );
    expect(because[3]).toBe('All of the interval is at least the 1.0 worth switching for.');
  });

  it('say so where the scale ran out', () => {
    const { because } = read(trial([5, 10, 10, 5.6, 10, 5.2, 5.4, 9]));
    expect(because.join(' ')).toContain('The scale ran out for Kelp: 75 % of its ratings are at 10.');
    expect(read(trial(apart)).because.join(' ')).not.toContain('scale ran out');
  });

  it('say so when the plan could only describe, or it is too early', () => {
    const six = madeUpTrial('complete', [0, 1, 1, 0, 1, 0], apart.slice(0, 6));
    expect(read(six).because[0]).toBe(
      'This plan could not settle it: with one option apart and no noise at all its p is .10, over .05.',
    );
    expect(read(trial(apart, { ended: 'no' })).headline).toBe('Too early: 8 of 8 wash days are in.');
  });

  it('never print a p of zero', () => {
    expect(pLabel(0.0002)).toBe('< .001');
    expect(pLabel(0.05)).toBe('= .050');
  });
});

describe('under no effect, through the very path of the verdict', () => {
  it('names an arm in no more than α of trials, whatever the design', () => {
    const random = seededRandom(41);
    for (const [design, arms, days, trials] of [
      ['complete', 2, 8, 400],
      ['half', 2, 8, 300],
    ] as const) {
      const scheme = schemeOf(design, arms, days);
      let named = 0;
      for (let i = 0; i < trials; i++) {
        const codes = scheme.sample(random);
        const rating = () => Math.min(10, Math.max(0, Math.round(2 * (5 + standardNormal(random))) / 2));
        const numbers = codes.map((): number | [number, number] =>
          design === 'half' ? [rating(), rating()] : rating(),
        );
        if (read(madeUpTrial(design, codes, numbers)).headline.match(/gave|differ/)) named++;
      }
      expect(named / trials).toBeLessThan(0.05 + 4 * Math.sqrt((0.05 * 0.95) / trials));
    }
  });
});
