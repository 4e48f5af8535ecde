import { describe, expect, it } from 'vitest';
import { feltHeading, feltOfArmInWords, upkeepInWords } from '../../words/felt.ts';
import { compareTrial } from './comparison.ts';
import { type FeltReading, feltByArm } from './felt-by-arm.ts';
import { madeUpTrial, wornDay } from './made-up.fixture.ts';

const onDay2 = (quality: FeltReading['quality'], ...values: number[]): FeltReading[] =>
  values.map((value) => ({ quality, where: { at: 'look', stage: 'wear', day: 2 }, value }));
const trial = (...felt: FeltReading[][]) =>
  madeUpTrial(
    'complete',
    [0, 1, 1, 0],
    [5, 5, 5, 5],
    {},
    {
      washDays: felt.map((one, i) => wornDay(i, [0, 1, 1, 0][i]!, null, [5], { felt: one })),
    },
  );

describe('readings in words, arm by arm', () => {
  it('one word a wash day: the middle of its zones', () => {
    const rows = feltByArm(
      trial(onDay2('cast', 0, 1, 4), onDay2('cast', 3), onDay2('cast', 3, 3), onDay2('cast', 2)),
    );
    expect(rows).toEqual([
      {
        what: { is: 'felt', quality: 'cast', where: { at: 'look', stage: 'wear', day: 2 } },
        arms: [
          { counts: [0, 1, 1, 0, 0], middle: 1 },
          { counts: [0, 0, 0, 2, 0], middle: 3 },
        ],
      },
    ]);
    expect(feltHeading(rows[0]!.what)).toBe('Cast, day 2');
    expect(feltOfArmInWords(rows[0]!.what, rows[0]!.arms[0]!)).toEqual({
      middle: 'light',
      counts: 'light 1 · soft 1',
    });
    expect(feltOfArmInWords(rows[0]!.what, rows[0]!.arms[1]!)).toEqual({
      middle: 'crisp',
      counts: '2 wash days',
    });
  });

  it('names the right arm when the arms are swapped', () => {
    const one = feltByArm(trial(onDay2('flakes', 4), onDay2('flakes', 0), onDay2('flakes', 0), []));
    const other = feltByArm(trial(onDay2('flakes', 0), onDay2('flakes', 4), [], onDay2('flakes', 0)));
    expect(one[0]!.arms.map(({ middle }) => middle)).toEqual([4, 0]);
    expect(other[0]!.arms.map(({ middle }) => middle)).toEqual([0, 4]);
  });

  it('an arm that was never read is “not read”, and nothing is said of what nobody read', () => {
    const [row] = feltByArm(trial(onDay2('grease', 1), [], [], []));
    expect(feltOfArmInWords(row!.what, row!.arms[1]!)).toEqual({ middle: 'not read', counts: null });
    expect(feltByArm(trial([], [], [], []))).toEqual([]);
  });

  it('stands in the order it was taken: steps, wet, cast, days; the state before the wash is no result', () => {
    const at = (where: FeltReading['where']): FeltReading => ({ quality: 'clumps', where, value: 2 });
    const rows = feltByArm(
      trial(
        [
          at({ at: 'look', stage: 'wear', day: 3 }),
          at({ at: 'look', stage: 'before', day: null }),
          at({ at: 'look', stage: 'cast', day: null }),
          at({ at: 'look', stage: 'wear', day: 1 }),
          at({ at: 'step', slot: 'wet-check' }),
          at({ at: 'look', stage: 'wet', day: null }),
        ],
        [],
        [],
        [],
      ),
    );
    expect(rows.map(({ what }) => feltHeading(what))).toEqual([
      'Clump size, wet check',
      'Clump size, wet',
      'Clump size, dry in the cast',
      'Clump size, finished hair, day 1',
      'Clump size, day 3',
    ]);
  });

  it('effort stands with them, and upkeep is counted by days and wash days', () => {
    const record = madeUpTrial(
      'complete',
      [0, 1, 1, 0],
      [5, 5, 5, 5],
      {},
      {
        washDays: [0, 1, 1, 0].map((arm, i) =>
          wornDay(i, arm, null, [5], {
            effort: { strain: arm * 2 },
            upkeep: (arm === 0 ? { edges: i } : {}) as Record<string, number>,
          }),
        ),
      },
    );
    const { felt, upkeep } = compareTrial(record);
    expect(felt.map(({ what }) => feltHeading(what))).toEqual(['Effort for arms and back']);
    expect(felt[0]!.arms.map(({ middle }) => middle)).toEqual([0, 2]);
    expect(upkeep.map(({ kind, arms }) => [kind, ...arms.map(upkeepInWords)])).toEqual([
      ['edges', '3 days, on 1 of 2 wash days', 'never, 2 wash days'],
    ]);
  });
});
