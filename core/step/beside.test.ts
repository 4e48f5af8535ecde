import { describe, expect, it } from 'vitest';
import { besideProblem, sameBeside } from './beside.ts';
import { compareSettings } from './compare.ts';
import { settingsInArm } from './in-arm.ts';
import { productsUsed } from './mix.ts';
import type { StepSettings } from './settings.ts';
import { EMPTY_SETTINGS } from './step.ts';

const pumps = (amount: number) => ({ kind: 'exact', amount, measure: 'pump', per: 'head' }) as const;
const roots = { productId: 'b', dose: pumps(2), places: ['roots'] };
const step = (beside: readonly unknown[]): StepSettings => ({
  ...EMPTY_SETTINGS,
  productId: 'a',
  dose: pumps(4),
  extra: { places: ['lengths'], beside: beside as never },
});

describe('two products on two places in one step', () => {
  it('are both used, each with its own amount, and on half a head half of it', () => {
    expect(productsUsed(step([roots]))).toEqual([
      { productId: 'a', dose: pumps(4) },
      { productId: 'b', dose: pumps(2) },
    ]);
    expect(productsUsed(settingsInArm(step([roots]), undefined, 'left'))).toEqual([
      { productId: 'a', dose: pumps(2) },
      { productId: 'b', dose: pumps(1) },
    ]);
  });

  it('are the same where product, places and amount are, whichever side is asked', () => {
    expect(sameBeside([roots], [{ ...roots, dose: pumps(2.3) }], 0.2)).toBe(true);
    for (const other of [
      [{ ...roots, dose: pumps(3) }],
      [{ ...roots, dose: { ...pumps(2), measure: 'drop' } }],
      [{ ...roots, dose: null }],
      [{ ...roots, places: ['roots', 'scalp'] }],
      [{ ...roots, productId: 'c' }],
      [],
    ]) {
      expect(sameBeside([roots], other, 0.2)).toBe(false);
      expect(sameBeside(other, [roots], 0.2)).toBe(false);
    }
  });

  it('depart from the plan when the other product is another, or its place', () => {
    const moved = step([{ ...roots, places: ['scalp'] }]);
    expect(compareSettings(moved, step([roots]), 0.2, 'plan').map(({ setting }) => setting)).toEqual([
      'beside',
    ]);
    expect(compareSettings(step([roots]), step([roots]), 0.2, 'peer')).toEqual([]);
  });

  it('refuse what cannot be, with a sentence', () => {
    expect(besideProblem([roots])).toBeNull();
    expect(besideProblem([{ ...roots, dose: null, places: ['own:Cowlick'] }])).toBeNull();
    for (const odd of [
      [],
      'gel',
      [null],
      [{ ...roots, productId: '' }],
      [{ ...roots, places: [] }],
      [{ ...roots, places: ['moon'] }],
      [{ ...roots, dose: pumps(-1) }],
      [{ ...roots, dose: pumps(1e9) }],
      [{ ...roots, dose: { kind: 'range', from: 3, to: 1, measure: 'pump', per: 'head' } }],
      [roots, roots],
      [roots, { ...roots, productId: 'c' }, { ...roots, productId: 'd' }, { ...roots, productId: 'e' }],
    ])
      expect(besideProblem(odd)).toMatch(/\.$/);
  });
});
