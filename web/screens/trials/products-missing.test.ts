import type { TrialInput } from '@sabor/contract/trial';
import { describe, expect, it } from 'vitest';
import { withoutProduct } from './products-missing.tsx';

type Step = TrialInput['plan'][number];
const step = (to: Partial<Step>) => ({ part: 'held', productId: null, dose: null, extra: {}, ...to }) as Step;
const named = (...steps: Step[]) => withoutProduct(steps).map(({ slot }) => slot);
const dose = { kind: 'exact', amount: 2, measure: 'pump', per: 'head' } as const;

describe('products that a plan does not name', () => {
  it('are asked for at the wash first, and elsewhere once it is said what is tested', () => {
    const wash = [step({ slot: 'cleanse' }), step({ slot: 'hold', dose }), step({ slot: 'leave-in', dose })];
    expect(named(...wash)).toEqual(['cleanse']);
    expect(named(wash[0]!, { ...wash[1]!, part: 'tested' }, wash[2]!)).toEqual(['cleanse', 'leave-in']);
  });
  it('are not those of a home mix, of a step that may vary, or that uses nothing', () => {
    const mix = ['water', 'vinegar'].map((name) => ({ name, productId: null, parts: 1 }));
    expect(
      named(
        step({ slot: 'cleanse', extra: { mix } }),
        step({ slot: 'condition', part: 'free' }),
        step({ slot: 'rinse' }),
        step({ slot: 'hold', part: 'tested' }),
      ),
    ).toEqual([]);
  });
});
