import { describe, expect, it } from 'vitest';
import { labelDepartures, readDirections } from './label-directions.ts';

describe('label directions', () => {
  it('give minutes, one or a range, wetness and rinsing', () => {
    expect(readDirections('Apply to damp hair. Leave for 3–5 min, then rinse.')).toEqual({
      minutes: [3, 5],
      wetness: ['damp', 'barely'],
      rinse: 'rinse',
    });
    expect(readDirections('Smooth through wet hair, do not rinse out.')).toEqual({
      minutes: null,
      wetness: ['wet', 'soaking'],
      rinse: 'leave',
    });
    expect(readDirections('10 minutes under a cap')).toMatchObject({ minutes: [10, 10], rinse: null });
    expect(readDirections('')).toEqual({ minutes: null, wetness: [], rinse: null });
  });

  it('are departed from in sentences', () => {
    const text = 'Leave on wet hair 3 to 5 min. Rinse.';
    expect(labelDepartures({ minutes: 4, wetness: 'wet' }, text)).toEqual([]);
    expect(labelDepartures({ minutes: 10, wetness: 'damp' }, text)).toEqual([
      'The label says 3–5 min, the plan 10.',
      'The label says wet or soaking hair, the plan damp.',
    ]);
    expect(labelDepartures({ minutes: 10, wetness: 'damp' }, 'Use daily.')).toEqual([]);
    expect(labelDepartures({ minutes: null, wetness: null }, text)).toEqual([]);
  });
});
