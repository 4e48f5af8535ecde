import { compareTrial, daysNeededAfter } from '@sabor/core/compare/comparison';
import { madeUpTrial, wornDay } from '@sabor/core/compare/made-up.fixture';
import { noiseOf, pooledSd } from '@sabor/core/compare/noise';
import type { TrialPromise, TrialRecord } from '@sabor/core/compare/trial-record';
import { outcomeByDay, ratingsOn, shrinkageByDay, unratedZones } from '@sabor/core/compare/wash-day-record';
import { lastingOf, moneyOf } from '@sabor/core/compare/wear';
import type { CostGap } from '@sabor/core/shelf/wash-cost';
import { describe, expect, it } from 'vitest';
import { costGapInWords } from './cost.ts';
import { panelHeadline } from './panel.ts';
import { readPrimary } from './verdict.ts';

const ORDER = [0, 1, 1, 0, 1, 0, 0, 1];
const APART = [5.0, 8.0, 8.4, 5.6, 8.2, 5.2, 5.4, 8.8];
const whole = (
  numbers: readonly (number | null)[],
  promise: Partial<TrialPromise> = {},
  to: Partial<TrialRecord> = {},
) => madeUpTrial('complete', ORDER.slice(0, numbers.length), numbers, promise, to);
const read = (record: TrialRecord) => readPrimary(record, compareTrial(record));
const said = (record: TrialRecord) => read(record).because.join(' ');

describe('what is said of the interval', () => {
  it('goes by where it lies against what is worth switching for', () => {
    expect(said(whole(APART))).toContain('All of the interval is at least the 1.0 worth switching for.');
    expect(said(whole(APART, { matters: 3 }))).toContain(
      'Whether it is the 3.0 worth switching for stays open.',
    );
    expect(said(whole(APART, { matters: 9 }))).toContain(
      'Even so, all of the interval is under the 9.0 worth switching for.',
    );
  });

  it('is the same where less is wanted, with the arms turned', () => {
    const { headline, because } = read(
      whole(
        APART,
        { primary: 'frizz' },
        {
          washDays: whole(APART).washDays.map((day) => ({
            ...day,
            checkIns: day.checkIns.map((look) => ({
              ...look,
              ratings: look.ratings.map((rating) => ({ ...rating, outcome: 'frizz' as const })),
            })),
          })),
        },
      ),
    );
    expect(headline).toBe('Anvil gave less frizz than Kelp.');
    expect(because[0]).toContain('Kelp scored 3.0 higher than Anvil in frizz');
    expect(because).toContain('All of the interval is at least the 1.0 worth switching for.');
  });

  /** The same trial told of something measured: values as they are, in the measure's unit. */
  const measured = (numbers: readonly (number | null)[], promise: Partial<TrialPromise>) => {
    const record = whole(numbers, promise);
    return {
      ...record,
      washDays: record.washDays.map((day) => ({
        ...day,
        checkIns: day.checkIns.map((look) => ({
          ...look,
          ratings: look.ratings.map(({ value }) => ({
            outcome: record.promise.primary,
            zoneId: null,
            value,
          })),
        })),
      })),
    };
  };
  const HALOS = APART.map((value) => value / 10);

  /** The same trial told by how long it stayed good: each wash day rated on five days, good up to the one given; null is cut there. */
  const lasting = (
    ends: readonly (number | readonly [cutAfter: number])[],
    promise: Partial<TrialPromise> = {},
    outcome: 'definition' | 'frizz' = 'definition',
    to: Partial<TrialRecord> = {},
  ) => {
    const record = whole(APART, { primary: `lasting:${outcome}`, ...promise });
    const [good, bad] = outcome === 'frizz' ? [2, 9] : [8, 2];
    return {
      ...record,
      washDays: record.washDays.map((day, i) => {
        const end = ends[i]!;
        const values = Array.from({ length: typeof end === 'number' ? 5 : end[0] }, (_, n) =>
          typeof end !== 'number' || n + 1 <= end ? good : bad,
        );
        const worn = wornDay(day.position, day.arm, null, values);
        const looks = worn.checkIns.map((look) => ({
          ...look,
          ratings: look.ratings.map((rating) => ({ ...rating, outcome })),
        }));
        return { ...worn, checkIns: looks, worn: looks, wearEnd: 'washed-sweat' as const };
      }),
      ...to,
    };
  };
  // By the order 0 1 1 0 1 0 0 1.
  const LONGER = [2, 4, 4, 1, 4, 2, 1, 4];

  it('is said in days where it is how long it lasts, with the option that lasted', () => {
    const { headline, because } = read(lasting(LONGER));
    expect(headline).toBe('Kelp kept definition good for longer than Anvil.');
    expect(because[0]).toMatch(
      /^Kelp stayed good 2\.5 days longer than Anvil by day 5, counted by definition from 6 \(9\d(\.\d)? % interval: \d\.\d to \d\.\d longer\)\.$/,
    );
    expect(because).toContain('All of the interval is at least the 1.0 days worth switching for.');
    // Less frizz is wanted, and still more days of it.
    const turned = LONGER.map((_, i) => LONGER[(i + 1) % 8]!);
    const swapped = read(
      lasting(
        LONGER.map((end) => 5 - end),
        { line: 4 },
        'frizz',
      ),
    );
    expect(swapped.headline).toBe('Anvil kept frizz good for longer than Kelp.');
    expect(swapped.because[0]).toContain('counted by frizz up to 4');
    // Nothing truly apart names nobody.
    expect(read(lasting(turned)).headline).toBe('Cannot tell yet which keeps definition good for longer.');
  });

  it('says nothing of an option most of whose wears were cut short', () => {
    const cut = read(lasting([2, [3], [2], 1, [3], 2, 1, 4]));
    expect(cut.headline).toBe('These wash days can only hint at which keeps definition good for longer.');
    expect(cut.because[0]).toBe(
      'Over half of the wears of Kelp were cut short while still good, so nothing is said of how long it lasts.',
    );
    expect(cut.because).toContain(
      'Cut short while still good: 0 of 4 of Anvil and 3 of 4 of Kelp. Where the option itself was the reason, this says too much of how long it lasts.',
    );
    // Cut alike, nothing is said of it.
    expect(read(lasting(LONGER)).because.some((one) => one.startsWith('Cut short'))).toBe(false);
    // Cut here and there, it is read; a cut wear counts for what was seen of it.
    expect(read(lasting([2, [4], 4, 1, 4, 2, 1, 4])).headline).toBe(
      'Kelp kept definition good for longer than Anvil.',
    );
  });

  it('waits for wears that are not through, and is a description where too few are', () => {
    const record = lasting(LONGER.map((end, i) => (i % 3 === 1 ? ([end] as const) : end)));
    const open = {
      ...record,
      washDays: record.washDays.map((day, i) => (i % 3 === 1 ? { ...day, wearEnd: null } : day)),
    };
    const { headline, because } = read(open);
    expect(headline).toContain('can only hint');
    expect(because[0]).toContain('Too few wash days whose days worn are through');
  });

  it('is said in the unit of what is measured, with its places, whichever way it is wanted', () => {
    const halo = { line: 1, matters: 0.2 };
    const { headline, because } = read(measured(HALOS, { ...halo, primary: 'halo:less' }));
    expect(headline).toBe('Anvil read lower in frizz halo than Kelp.');
    expect(because[0]).toMatch(
      /^Kelp read 0\.30 mm higher than Anvil in frizz halo on day 1 \(97\.1 % interval: 0\.\d\d to 0\.\d\d higher\)\.$/,
    );
    expect(because).toContain('All of the interval is at least the 0.20 mm worth switching for.');
    expect(because.join(' ')).not.toMatch(/point|scored|rated|The scale ran out/);
    // Wanted the other way, the other arm is named; nothing else changes.
    const more = read(measured(HALOS, { ...halo, primary: 'halo:more' }));
    expect(more.headline).toBe('Kelp read higher in frizz halo than Anvil.');
    expect(more.because).toEqual(because);
    // Swapped sides swap the names.
    const swapped = read(
      measured(
        HALOS.map((value) => 1.4 - value),
        { ...halo, primary: 'halo:less' },
      ),
    );
    expect(swapped.headline).toBe('Kelp read lower in frizz halo than Anvil.');
  });

  it('of clump width says what else moves it, decided or not, of smoothness of run where it hardly tells, of others nothing', () => {
    const looser = expect.stringMatching(/^Hair that hangs looser or strays more reads otherwise too/);
    const width = { line: 1, matters: 0.2, primary: 'clump-width:more' as const };
    const decided = read(measured(HALOS, width));
    expect(decided.headline).toBe('Kelp read higher in clump width than Anvil.');
    expect(decided.because).toContainEqual(looser);
    const short = read(
      measured(
        HALOS.map((value, i) => (i % 2 ? value : null)),
        width,
      ),
    );
    expect(short.because).toContainEqual(looser);
    expect(read(measured(HALOS, { ...width, primary: 'halo:less' })).because).not.toContainEqual(looser);
    const coils = expect.stringMatching(/^In coils, .* other hair may read the same\.$/);
    expect(read(measured(HALOS, { ...width, primary: 'coherence:more' })).because).toContainEqual(coils);
    expect(decided.because).not.toContainEqual(coils);
  });

  it('of what is measured decides nothing with a wash day too few, nor where there is nothing', () => {
    const halo = { primary: 'halo:less' as const, line: 1, matters: 0.2 };
    const short = HALOS.map((value, i) => (i % 2 ? value : null));
    expect(read(measured(short, halo)).headline).toBe(
      'These wash days can only hint at which reads lower in frizz halo.',
    );
    expect(said(measured(short, halo))).toContain('Too few wash days with a reading on day 1');
    const level = [0.61, 0.6, 0.62, 0.6, 0.61, 0.62, 0.6, 0.61];
    expect(read(measured(level, halo)).headline).toBe('Cannot tell yet which reads lower in frizz halo.');
    expect(said(measured(level, halo))).toMatch(/(Kelp and Anvil|Anvil and Kelp) read (the same|0\.0)/);
  });

  it('says nothing of a difference that rounds to nought but that', () => {
    const level = ORDER.map((arm, day) => 6 + 0.02 * arm + (day % 4 === 0 ? 0.5 : day % 4 === 1 ? -0.5 : 0));
    expect(said(whole(level))).toMatch(
      /(Kelp and Anvil|Anvil and Kelp) scored the same in definition on day 1 \(97\.1 % interval: /,
    );
  });
});

describe('what scored higher', () => {
  it('is said the same way round whichever arm it was', () => {
    const turned = madeUpTrial(
      'complete',
      ORDER.map((arm) => 1 - arm),
      APART,
    );
    const [kelp] = read(whole(APART)).because;
    const [anvil] = read(turned).because;
    expect(kelp).toMatch(
      /^Kelp scored 3\.0 higher than Anvil in definition on day 1 \(97\.1 % interval: (\d\.\d) to (\d\.\d) higher\)\.$/,
    );
    expect(anvil).toBe(kelp!.replace(/Kelp|Anvil/g, (name) => (name === 'Kelp' ? 'Anvil' : 'Kelp')));
    expect(read(turned).headline).toBe('Anvil gave more definition than Kelp.');
  });

  it('has an interval that names both ways where it crosses nought', () => {
    const mixed = [5.0, 8.0, 5.4, 7.6, 6.2, 5.2, 7.4, 6.8];
    expect(said(whole(mixed))).toMatch(/interval: \d\.\d lower to \d\.\d higher\)/);
    const { interval, difference } = compareTrial(whole(mixed)).outcomes.definition.differences[0]!;
    const end = (x: number) => Math.abs(x).toFixed(1);
    const [low, high] = difference! < 0 ? [-interval!.high, -interval!.low] : [interval!.low, interval!.high];
    expect(said(whole(mixed))).toContain(`${end(low)} lower to ${end(high)} higher`);
  });

  it('is judged on the promised day alone', () => {
    const washDays = ORDER.map((arm, position) =>
      wornDay(position, arm, null, [9 - 3 * arm, APART[position]!]),
    );
    const record = madeUpTrial('complete', ORDER, [], { onDay: 2 }, { washDays });
    expect(compareTrial(record).outcomes.definition.byWashDay.map(({ value }) => value)).toEqual(APART);
    expect(read(record).because[0]).toContain('Kelp scored 3.0 higher than Anvil in definition on day 2');
    expect(read({ ...record, promise: { ...record.promise, onDay: 1 } }).headline).toBe(
      'Anvil gave more definition than Kelp.',
    );
  });

  const codes = [0, 1, 2, 3, 3, 2, 1, 0, 0, 1, 2, 3];
  const at = (means: readonly number[]) =>
    said(
      madeUpTrial(
        'factorial',
        codes,
        codes.map((code, day) => means[code]! + [0.2, -0.2, 0][day % 3]!),
      ),
    );
  it('is told of two factors with how much one hangs on the other', () => {
    const told = at([4, 4, 7, 9]);
    expect(told).toMatch(/hangs on the other: \+1\.0 points \([\d.]+ % interval .*\); this was not tested\./);
    // Joint intervals of two factors are open over twelve days, and closed over sixteen.
    expect(told).toContain('No interval is given: over these wash days');
    expect(told).toContain('Quay and Dune scored 3.9 higher than Anvil and Kelp in definition on day 1');
    expect(at([4, 6, 7, 7])).toMatch(/hangs on the other: −1\.0 points/);
  });

  it('is told of two factors by the better levels, and with an interval where there is one', {
    tags: 'soak',
  }, () => {
    const sixteen = [...codes, 2, 0, 3, 1];
    expect(
      said(
        madeUpTrial(
          'factorial',
          sixteen,
          sixteen.map((code, day) => [4, 4, 7, 9][code]! + [0.2, -0.2, 0][day % 3]!),
        ),
      ),
    ).not.toContain('No interval');
    expect(said(whole(APART))).not.toContain('No interval');
    expect(at([4, 5, 7, 8])).toMatch(/hangs on the other: 0\.0 points/);
    expect(at([4, 6, 7, 9])).toMatch(
      /Kelp and Dune scored 2\.\d higher than Anvil and Quay in definition on day 1/,
    );
  });
});

describe('wash days that are due', () => {
  it('are those begun while it runs, and all that were planned once it ended', () => {
    const due = (to: Partial<TrialRecord>) =>
      compareTrial({
        ...whole(APART.slice(0, 3), {}, { allocation: ORDER.slice(0, 3), ...to }),
        promise: { ...whole(APART).promise },
      }).outcomes.definition.due;
    expect(due({ ended: 'no' })).toEqual([1, 2]);
    const all = compareTrial(
      whole([...APART.slice(0, 3), null, null, null, null, null], {}, { ended: 'early' }),
    );
    expect(all.outcomes.definition.due).toEqual([4, 4]);
    expect(all.outcomes.definition.looks).toEqual([1, 2]);
  });
});

describe('why a trial can only hint', () => {
  const because = (promise: Partial<TrialPromise>, to: Partial<TrialRecord>) =>
    read(whole(APART, promise, to)).because[0];

  it('is said first', () => {
    expect(because({}, { ended: 'early' })).toBe(
      'The trial ended before its planned wash days, so no p is given.',
    );
    expect(because({}, { changed: ['onDay'] })).toBe(
      'What the result hangs on was changed after the first check-in, so no p is given.',
    );
    expect(because({}, { abandoned: [{ position: 1, reason: 'r', revealed: true }] })).toBe(
      'A wash day was run again after its hair had been finished, so no p is given.',
    );
    expect(because({}, { leftOut: [2] })).toBe(
      'Wash days are left aside here; only all of them, as run, can settle anything.',
    );
    expect(read(madeUpTrial('before-after', [0, 0, 0, 1, 1, 1], [5, 5, 5, 8, 8, 8])).because[0]).toBe(
      'Before and after has no random order: season, hair and expectation changed as well, so no p is given.',
    );
  });

  it('has an order: what the tester did before what the plan could', () => {
    const six = (to: Partial<TrialRecord>) => read(whole(APART.slice(0, 6), {}, to)).because[0];
    expect(six({})).toContain('This plan could not settle it');
    expect(six({ ended: 'early' })).toContain('ended before');
    expect(six({ ended: 'early', leftOut: [0] })).toContain('left aside');
  });

  it('is that an option has fewer than three wash days', () => {
    expect(read(madeUpTrial('complete', [0, 1, 1, 0], [5, 8, 8, 5])).because[0]).toBe(
      'This plan could not settle it: an option has fewer than 3 wash days.',
    );
  });

  it('is the first look of a plan too small for it, or of missing days', () => {
    const codes = [...ORDER, 0, 1, 1, 0];
    const first = madeUpTrial(
      'complete',
      codes,
      APART.slice(0, 6),
      { looks: 2 },
      { ended: 'look', allocation: codes.slice(0, 6) },
    );
    expect(read(first).because[0]).toBe(
      'At half-way this plan cannot settle anything at .01, however large the difference. The last test is at .04.',
    );
    expect(read(first).because.at(-1)).toBe('This is the first of two planned tests, taken at α .01.');
    const [a, b] = [
      [5, 8, 8.4, 5.6, null, null, null, 8.8],
      [5, 8, 5.4, 7.6, 6.2, 5.2, null, null],
    ];
    expect(read(whole(a!)).because[0]).toBe(
      'Too few wash days with a rating on day 1: Anvil has under three, or under three quarters of what was planned.',
    );
    expect(read(whole([5, null, null, null, null, 5.2, 5.4, 8.8])).because[0]).toMatch(
      /: Kelp has under three/,
    );
    expect(read(whole([5, null, null, null, null, null, 5.4, 8.8])).because[0]).toMatch(
      /: Anvil and Kelp have under three/,
    );
    expect(read(whole(b!)).because[0]).toBe(
      'With the wash days that are missing no difference, however large, could settle it at .05.',
    );
  });
});

describe('what is told besides', () => {
  it('is the last of two looks, at its own level', () => {
    const codes = [...ORDER, 0, 1];
    const record = madeUpTrial('complete', codes, [...APART, 5.1, 8.1], { looks: 2 });
    expect(said(record)).toContain('This was the last of two planned tests, taken at α .04.');
    expect(said(record)).toContain('(96 % interval: 2.6 to 3.5 higher)');
    expect(said(whole(APART))).not.toContain('planned tests');
  });

  it('is what was changed, and what was given up, on the way', () => {
    expect(said(whole(APART, {}, { changed: ['line', 'matters'] }))).toContain(
      'Changed after the first check-in: what is good enough and the difference worth switching for.',
    );
    expect(said(whole(APART))).not.toContain('Changed after');
    expect(said(whole(APART))).not.toContain('open to see');
  });

  it('is where the scale ran out, at the end that did, from a tenth of the ratings on', () => {
    expect(said(whole([0, 8.0, 8.4, 5.6, 8.2, 0, 5.4, 8.8]))).toContain(
      'The scale ran out for Anvil: 50 % of its ratings are at 0.',
    );
    const { atEnds } = compareTrial(whole([0, 10, 8.4, 5.6, 8.2, 5.2, 5.4, 8.8]));
    expect(atEnds).toEqual([
      { low: 0.25, high: 0 },
      { low: 0, high: 0.25 },
    ]);
    // Ended early there is no interval the scale could have cut.
    expect(said(whole([5, 10, 10, 5.6, 10, 5.2, 5.4, 10], {}, { ended: 'early' }))).not.toContain(
      'scale ran out',
    );
  });

  it('is the side’s own bias in half-heads', () => {
    const codes = [0, 1, 1, 0, 1, 0, 0, 1];
    const numbers = codes.map((code, day): [number, number] => {
      const kelp = 7 + 0.1 * (day % 3);
      return code === 0 ? [5.4, kelp] : [kelp + 0.4, 5];
    });
    expect(said(madeUpTrial('half', codes, numbers))).toContain(
      'Left was rated +0.4 against right whatever stood there; sides were balanced.',
    );
    expect(said(madeUpTrial('half', codes, numbers))).toContain(
      'It rests on these wash days with both sides rated: 8 of Anvil and 8 of Kelp.',
    );
  });
});

describe('a design that tests no product', () => {
  const codes = [0, 0, 0, 0];

  it('tells how much wash days differ, and how uncertain that is', () => {
    expect(read(madeUpTrial('repeat-same', codes, [4, 6, 4, 6]))).toEqual({
      headline: 'Wash days differ by 1.2 points of definition by themselves.',
      because: [
        'A standard deviation from 4 wash days is uncertain: 95 % interval 0.7 to 4.3.',
        'Plans for this wearer take this noise over; it tests no product.',
      ],
    });
    expect(read(madeUpTrial('repeat-same', codes, [4]))).toEqual({
      headline: 'Too early: 1 of 4 wash days are in.',
      because: ['Noise takes two wash days at least, and four or more to be of use.'],
    });
  });

  it('tells of halves how much left and right differ, with the side’s own bias', () => {
    const halves = madeUpTrial('halves-same', codes, [
      [6, 5],
      [6, 6],
      [7, 5],
      [5, 4],
    ]);
    expect(read(halves)).toMatchObject({
      headline: 'Left and right differ by 0.8 points of definition by themselves.',
      because: [
        expect.any(String),
        'On average the left is rated +1.0 against the right: the side’s own bias.',
        expect.any(String),
      ],
    });
  });
});

describe('noise', () => {
  it('of half-heads is that of left less right, with the side’s bias and where the ratings lie', () => {
    const record = madeUpTrial(
      'half',
      [0, 1, 0, 1],
      [
        [6, 5],
        [5, 6],
        [8, 5],
        [5, 4],
      ],
    );
    const { noise } = compareTrial(record).primary;
    // Left less right: 1 and 3 with one arm on the left, −1 and 1 with the other.
    expect(noise!.sd).toBeCloseTo(Math.SQRT2, 12);
    expect(noise).toMatchObject({ freedom: 2, bias: 1, level: 5.5 });
  });

  it('is none without two wash days of an arm, or without any', () => {
    expect(
      pooledSd(
        [
          { arm: 0, value: 1 },
          { arm: 1, value: 2 },
        ],
        2,
      ),
    ).toBeNull();
    expect(
      pooledSd(
        [
          { arm: 0, value: 1 },
          { arm: 0, value: null },
          { arm: 1, value: 3 },
          { arm: 1, value: 5 },
        ],
        2,
      ),
    ).toEqual({
      sd: Math.SQRT2,
      freedom: 1,
    });
    const empty = whole([null, null]);
    expect(noiseOf(empty, compareTrial(empty).outcomes.definition)).toBeNull();
    expect(daysNeededAfter(empty, compareTrial(empty))).toBeNull();
    const same = whole([5, 5, 5, 5, 5, 5, 5, 5]);
    expect(daysNeededAfter(same, compareTrial(same))).toBeNull();
  });
});

describe('what an arm stands at', () => {
  it('on half-heads is the mean of the days with both sides, and its effect on it', () => {
    const record = madeUpTrial(
      'half',
      [0, 1, 0, 1],
      [
        [6, 8],
        [7, 5],
        [null, 10],
        [9, 6],
      ],
    );
    const { means, differences, looks, due, units } = compareTrial(record).outcomes.definition;
    expect(units).toEqual([-2, 2, null, 3]);
    // Days with both: 6 8 7 5 9 6, mean 41/6; effect (D₀ − D₁)/4 with D₀ = −2, D₁ = 2.5.
    expect(means[0]).toBeCloseTo(41 / 6 - 1.125, 9);
    expect(means[1]).toBeCloseTo(41 / 6 + 1.125, 9);
    expect(differences[0]!.difference).toBeCloseTo(2.25, 9);
    expect([looks, due]).toEqual([
      [3, 3],
      [4, 4],
    ]);
  });

  it('of more than three arms is set against the first, without intervals', () => {
    const codes = [0, 1, 2, 3, 3, 2, 1, 0, 0, 1, 2, 3];
    const record = madeUpTrial(
      'complete',
      codes,
      codes.map((arm, day) => 4 + arm + 0.1 * (day % 2)),
    );
    const { differences } = compareTrial(record).outcomes.definition;
    expect(differences.map(({ arm, from, interval }) => [arm, from, interval])).toEqual([
      [1, 0, null],
      [2, 0, null],
      [3, 0, null],
    ]);
  });

  it('has no difference from an arm without a number', () => {
    const record = whole(APART.map((value, i) => (ORDER[i] === 0 ? null : value)));
    const { differences, means } = compareTrial(record).outcomes.definition;
    expect(means[0]).toBeNull();
    expect(differences[0]).toMatchObject({ difference: null, interval: null });
    expect(said(record)).not.toContain('scored');
  });
});

describe('wear and money', () => {
  const unmeasured: CostGap = { kind: 'unmeasured', product: 'Mist' };
  const price = (usual: number, currency = 'EUR', gaps: CostGap[] = []) => ({
    cost: { low: usual, usual, high: usual },
    currency,
    gaps,
  });

  it('costs are means by arm, and none in two currencies', () => {
    const day = (usual: number, currency = 'EUR', gaps: CostGap[] = []) =>
      wornDay(0, 0, null, [7], {
        cost: price(usual, currency, gaps),
        testedCost: price(usual / 2, currency),
      });
    const of = (...washDays: ReturnType<typeof wornDay>[]) =>
      madeUpTrial('complete', [0, 1], [], {}, { washDays: [...washDays, wornDay(1, 1, null, [7])] });
    expect(moneyOf(of(day(2), day(4, 'EUR', [unmeasured, unmeasured])), 0, 2)).toEqual({
      costPerWash: 3,
      testedCostPerWash: 1.5,
      costPerGoodDay: 1.5,
      currency: 'EUR',
      gaps: [unmeasured],
    });
    expect(costGapInWords(unmeasured)).toBe('The amount of Mist is not known.');
    expect(costGapInWords({ kind: 'unpriced', product: 'Mist' })).toBe('Mist has no price or size.');
    expect(costGapInWords({ kind: 'currencies' })).toContain('are not added up');
    expect(moneyOf(of(day(2)), 0, null).costPerGoodDay).toBeNull();
    expect(moneyOf(of(day(2)), 0, 0).costPerGoodDay).toBeNull();
    expect(moneyOf(of(day(2), day(4, 'GBP')), 0, 2)).toMatchObject({ costPerWash: null, currency: null });
    expect(moneyOf(of(), 0, 2)).toMatchObject({ costPerWash: null, currency: null, gaps: [] });
  });

  it('good days are told where no more than half of the wears were cut short', () => {
    const wear = (from: number, to: number | null, arm = 0) => ({
      position: 0,
      half: null,
      arm,
      seen: { from, to, toldBy: 'look' as const, recovered: false },
    });
    expect(lastingOf([wear(2, 3), wear(1, null)], 0, 5)).toMatchObject({ wears: 2, cut: 1 });
    expect(lastingOf([wear(2, 3), wear(1, null), wear(1, null)], 0, 5)).toBeNull();
    expect(lastingOf([wear(2, 3), wear(5, null), wear(5, null)], 0, 5)).toMatchObject({ wears: 3, cut: 0 });
    expect(lastingOf([wear(2, 3, 1)], 0, 5)).toBeNull();
  });

  it('curves are means of the wash days that were looked at, by day', () => {
    const washDays = [wornDay(0, 0, null, [8, 6]), wornDay(1, 0, null, [7]), wornDay(2, 1, null, [null, 3])];
    const { curves, wear } = compareTrial(madeUpTrial('complete', [0, 0, 1, 1], [], {}, { washDays }));
    expect(curves.definition[0]!.mean).toEqual([
      { day: 1, value: 7.5, count: 2 },
      { day: 2, value: 6, count: 1 },
    ]);
    expect(curves.definition[1]!.mean).toEqual([{ day: 2, value: 3, count: 1 }]);
    expect(curves.frizz[0]!.mean).toEqual([]);
    expect(wear.map(({ position, arm }) => [position, arm])).toEqual([
      [0, 0],
      [1, 0],
      [2, 1],
    ]);
  });

  it('washed for its looks without a date it ended the day after the last look', () => {
    const [first] = compareTrial(
      madeUpTrial(
        'complete',
        [0, 1],
        [],
        {},
        {
          washDays: [wornDay(0, 0, null, [8, 7], { wearEnd: 'washed-looks' }), wornDay(1, 1, null, [8])],
        },
      ),
    ).wear;
    expect(first!.seen).toMatchObject({ from: 2, to: 3, toldBy: 'wash' });
  });
});

describe('a wash day’s own numbers', () => {
  const day = wornDay(0, 0, null, [], {
    checkIns: [
      { stage: 'wet', day: null, ratings: [{ outcome: 'definition', zoneId: 'crown', value: 1 }], curls: [] },
      {
        stage: 'wear',
        day: 2,
        ratings: [
          { outcome: 'definition', zoneId: 'crown', value: 6 },
          { outcome: 'frizz', zoneId: 'crown', value: 3 },
        ],
        curls: [
          { curlId: 'a', restingMm: 100, stretchedMm: 200 },
          { curlId: 'b', restingMm: 150, stretchedMm: 200 },
        ],
      },
      { stage: 'wear', day: 1, ratings: [{ outcome: 'definition', zoneId: 'crown', value: 8 }], curls: [] },
    ],
  });
  const weights = new Map([
    ['crown', 2],
    ['nape', 1],
  ]);

  it('are one a day, in order, of looks in wear alone', () => {
    expect(outcomeByDay(day, 'definition', new Map([['crown', 1]]))).toEqual([
      { day: 1, value: 8 },
      { day: 2, value: 6 },
    ]);
    expect(ratingsOn(day, 'definition', 2).map(({ value }) => value)).toEqual([6]);
    expect(ratingsOn(day, 'definition', 3)).toEqual([]);
    expect(unratedZones(day, 'definition', weights, 1)).toEqual(['nape']);
    expect(shrinkageByDay(day)).toEqual([{ day: 2, value: 0.375 }]);
  });
});

describe('a panel’s headline', () => {
  const base = {
    means: [],
    wearers: 4,
    p: 0.03,
    looked: 4999,
    tested: { named: 1, over: 0 },
    describes: null,
  };
  const two = ['Anvil', 'Kelp'];

  it('names the tested arm, by the way the outcome is wanted', () => {
    expect(panelHeadline(base, two, 'definition', 0.05)).toBe('Kelp gave more definition than Anvil.');
    expect(panelHeadline(base, two, 'frizz', 0.05)).toBe('Kelp gave less frizz than Anvil.');
    expect(
      panelHeadline({ ...base, tested: { named: 2, over: 0 } }, [...two, 'Quay'], 'definition', 0.05),
    ).toBe('The options differ in definition: Quay had the most, Anvil the least.');
    expect(panelHeadline({ ...base, tested: { named: 2, over: 0 } }, [...two, 'Quay'], 'frizz', 0.05)).toBe(
      'The options differ in frizz: Quay had the least, Anvil the most.',
    );
  });

  it('names none over its level, or where it can only hint', () => {
    expect(panelHeadline({ ...base, p: 0.05 }, two, 'definition', 0.05)).toContain('Kelp gave more');
    expect(panelHeadline({ ...base, p: 0.051 }, two, 'definition', 0.05)).toBe(
      'Cannot tell which gives more definition.',
    );
    expect(panelHeadline({ ...base, p: null }, two, 'frizz', 0.05)).toBe(
      'Cannot tell which gives less frizz.',
    );
    expect(panelHeadline({ ...base, tested: null }, two, 'frizz', 0.05)).toContain('Cannot tell');
    for (const describes of ['too few heads', 'plan', 'missing heads could turn it'] as const)
      expect(panelHeadline({ ...base, describes }, two, 'definition', 0.05)).toContain('can only hint');
  });
});
