import { describe, expect, it } from 'vitest';
import { productsOnHead } from './on-head.ts';
import { EMPTY_SETTINGS } from './step.ts';

const step = (id: string, part: 'held' | 'tested', to: object = {}) => ({
  ...EMPTY_SETTINGS,
  id,
  part,
  ...to,
});
const own = (stepId: string, productId: string | null, to: object = {}) => ({
  stepId,
  productId,
  dose: null,
  ...to,
});

describe('products on the head', () => {
  const plan = [step('c', 'held', { productId: 'wash' }), step('h', 'tested', { productId: 'plan' })];

  it('are those of the steps kept the same and of each option, not one that every option replaces', () => {
    const arms = [{ steps: [own('h', 'a')] }, { steps: [own('h', 'b')] }];
    expect(productsOnHead(plan, arms)).toEqual(['wash', 'a', 'b']);
    expect(productsOnHead(plan, [{ steps: [] }, arms[1]!])).toEqual(['wash', 'plan', 'b']);
  });

  it('leave out what an option leaves out, and take in what is mixed or goes on elsewhere', () => {
    const beside = [{ productId: 'edge', dose: null, places: ['hairline'] }];
    const arms = [
      { steps: [own('h', null, { skipped: true })] },
      { steps: [own('h', 'b', { settings: { extra: { beside } } })] },
    ];
    expect(productsOnHead(plan, arms)).toEqual(['wash', 'b', 'edge']);
  });
});
