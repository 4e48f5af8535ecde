import { describe, expect, it } from 'vitest';
import { labelDepartureInWords, labelWayInWords } from '../../words/label-directions.ts';
import { labelDepartures, labelWay, readDirections } from './label-directions.ts';

const told = (...given: Parameters<typeof labelDepartures>) =>
  labelDepartures(...given).map(labelDepartureInWords);

const SILENT = { amount: null, rounds: null, cap: false, heat: null };

describe('label directions', () => {
  it('give minutes, one or a range, wetness and rinsing', () => {
    expect(readDirections('Apply to damp hair. Leave for 3–5 min, then rinse.')).toEqual({
      minutes: [3, 5],
      wetness: ['damp', 'barely'],
      rinse: 'rinse',
      ...SILENT,
    });
    expect(readDirections('Smooth through wet hair, do not rinse out.')).toEqual({
      minutes: null,
      wetness: ['wet', 'soaking'],
      rinse: 'leave',
      ...SILENT,
    });
    expect(readDirections('10 minutes under a cap')).toMatchObject({ minutes: [10, 10], rinse: null });
    expect(readDirections('')).toEqual({ minutes: null, wetness: [], rinse: null, ...SILENT });
  });

  it('are departed from in sentences', () => {
    const text = 'Leave on wet hair 3 to 5 min. Rinse.';
    expect(told({ minutes: 4, wetness: 'wet' }, text)).toEqual([]);
    expect(told({ minutes: 10, wetness: 'damp' }, text)).toEqual([
      'The label says 3–5 min, the plan 10.',
      'The label says wet or soaking hair, the plan damp.',
    ]);
    expect(told({ minutes: 10, wetness: 'damp' }, 'Use daily.')).toEqual([]);
    expect(told({ minutes: null, wetness: null }, text)).toEqual([]);
  });

  it.each([
    ['Use 2 to 3 pumps.', { from: 2, to: 3, measure: 'pump' }],
    ['A pea-sized amount is enough.', { from: 1, to: 1, measure: 'pea' }],
    ['Three or four drops on the ends.', { from: 3, to: 4, measure: 'drop' }],
    ['Measure 15 ml into the palm.', { from: 15, to: 15, measure: 'ml' }],
    ['A little goes a long way.', null],
    ['Use a few drops.', null],
  ])('say how much where they do: %s', (text, amount) => {
    expect(readDirections(text).amount).toEqual(amount);
  });

  it('ask for rounds, a cap or heat only where they do not leave it open', () => {
    expect(readDirections('Lather, rinse, repeat.').rounds).toBe(2);
    expect(readDirections('Massage in, rinse. Repeat if needed.').rounds).toBeNull();
    expect(readDirections('Use twice a week.').rounds).toBeNull();
    expect(readDirections('Under a cap with gentle heat.')).toMatchObject({ cap: true, heat: 'with' });
    expect(readDirections('10 minutes. Cap or heat: label silent.')).toMatchObject({
      cap: false,
      heat: null,
    });
    expect(readDirections('Do not use with heat? Keep away from heat.').heat).toBe('without');
  });

  it('are departed from in amount, rounds, cap and heat too', () => {
    const step = {
      minutes: null,
      wetness: null,
      heat: null,
      dose: { kind: 'exact', amount: 5, measure: 'pump', per: 'head' },
      extra: { rounds: 1 },
    } as const;
    expect(told(step, '2 to 3 pumps. Repeat. Under a cap, with heat.')).toEqual([
      'The label says 2–3 pumps, the plan 5 pumps.',
      'The label says 2 rounds, the plan 1.',
      'The label says under a cap, the plan without.',
      'The label says with heat, the plan without.',
    ]);
    expect(told({ ...step, extra: { rounds: 1, warmth: 'hood' } }, 'Avoid heat.')).toEqual([
      'The label says without heat, the plan with.',
    ]);
    expect(told(step, 'Measure 10 ml. Repeat if needed.')).toEqual([]);
  });

  it('tell whether what was done went by them, its own way, or cannot be told', () => {
    const asks = 'Apply to wet hair. Leave for 3 to 5 minutes, then rinse.';
    const said = (step: object, text: string | null) =>
      labelWayInWords(
        labelWay({ minutes: null, wetness: null, dose: null, heat: null, extra: {}, ...step }, text),
      );
    expect(said({ minutes: 4 }, asks)).toBe('by the label');
    expect(said({ minutes: 10, wetness: 'wet' }, asks)).toBe(
      'own way (the label says 3–5 min, this wash 10)',
    );
    expect(said({}, asks)).toBe('by the label or not: cannot tell');
    expect(said({ minutes: 4 }, 'Use as you like.')).toBe('by the label or not: cannot tell');
    expect(said({ minutes: 4 }, null)).toBe('label silent');
    expect(said({ minutes: 4 }, '  ')).toBe('label silent');
  });
});
