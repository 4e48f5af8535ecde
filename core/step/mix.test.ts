import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { settingInWords } from '../../words/step.ts';
import { plainVoice } from '../../words/voice.ts';
import { extraProblem, sameExtra } from './extra.ts';
import { type MixPart, mixShares, productsUsed, sameMix } from './mix.ts';
import { EMPTY_SETTINGS } from './step.ts';

const part = (name: string, parts: number, productId: string | null = null): MixPart => ({
  name,
  parts,
  productId,
});
const MASK = [part('Slack Water', 2, 'slack'), part('aloe juice', 1), part('honey', 1)];

describe('a home mix', () => {
  it('is told by its parts', () => {
    const words = (mix: readonly MixPart[] | string) => settingInWords('mix', mix, plainVoice());
    expect(words(MASK)).toBe('home mix of 2 Slack Water : 1 aloe juice : 1 honey');
    expect(words('flaxseed gel')).toBe('home mix of flaxseed gel');
  });

  it('has two parts at least, each with a name and an amount', () => {
    expect(extraProblem('mix', MASK)).toBeNull();
    expect(extraProblem('mix', [MASK[0]])).toMatch(/One alone is a product/);
    expect(extraProblem('mix', [part('', 1), part('water', 1)])).toMatch(/Name each part/);
    expect(extraProblem('mix', [part('oil', 0), part('water', 1)])).toMatch(/How much of oil/);
    expect(extraProblem('mix', [part('oil', Number.NaN), part('water', 1)])).toMatch(/How much of oil/);
    expect(extraProblem('mix', 7)).toMatch(/two to 8 parts/);
  });

  it('is the same when every share is within the tolerance, whatever the batch and the order', () => {
    const twice = [...MASK].reverse().map((one) => ({ ...one, parts: one.parts * 2 }));
    expect(sameExtra('mix', MASK, twice, 0)).toBe(true);
    expect(sameMix(MASK, [part('Slack Water', 3, 'slack'), MASK[1]!, MASK[2]!], 0.2)).toBe(true);
    expect(sameMix(MASK, [part('Slack Water', 4, 'slack'), MASK[1]!, MASK[2]!], 0.2)).toBe(false);
    expect(sameMix(MASK, [MASK[0]!, MASK[1]!, part('Syrup', 1)], 0.2)).toBe(false);
    expect(sameMix(MASK, MASK.slice(0, 2), 0.5)).toBe(false);
  });

  it('shares out to one', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.constantFrom('oil', 'water', 'honey', 'Oil '), fc.integer({ min: 1, max: 50 })),
          {
            minLength: 2,
            maxLength: 8,
          },
        ),
        (parts) => {
          const shares = [...mixShares(parts.map(([name, n]) => part(name, n))).values()];
          expect(shares.reduce((sum, x) => sum + x, 0)).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('uses each product by its share of the dose, and one beside the mix in full', () => {
    const dose = { kind: 'exact', amount: 40, measure: 'ml', per: 'head' } as const;
    const step = { ...EMPTY_SETTINGS, dose, extra: { mix: MASK } };
    expect(productsUsed(step)).toEqual([{ productId: 'slack', dose: { ...dose, amount: 20 } }]);
    expect(productsUsed({ ...step, productId: 'slack' })).toHaveLength(1);
    expect(productsUsed({ ...step, productId: 'oil' })).toEqual([
      { productId: 'oil', dose },
      { productId: 'slack', dose: { ...dose, amount: 20 } },
    ]);
    const range = { kind: 'range', from: 10, to: 20, measure: 'ml', per: 'head' } as const;
    expect(productsUsed({ ...step, dose: range })[0]!.dose).toEqual({ ...range, from: 5, to: 10 });
    expect(productsUsed({ ...step, extra: {}, productId: 'oil' })).toEqual([{ productId: 'oil', dose }]);
    expect(productsUsed(EMPTY_SETTINGS)).toEqual([]);
  });
});
