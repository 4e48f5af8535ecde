import { describe, expect, it } from 'vitest';
import { spokenOver, spokenStep } from './spoken.ts';

const step = {
  slot: 'hold',
  half: null,
  code: null,
  dose: { kind: 'exact', amount: 2, measure: 'pump', per: 'head' },
  wetness: 'wet',
  technique: null,
  minutes: 5,
} as const;

describe('a step read out', () => {
  it('says what, with what, how much, how wet and how long', () => {
    expect(spokenStep(step, 'Kelp Fold Gel')).toBe('Hold, Kelp Fold Gel, 2 pumps, on wet hair, 5 minutes.');
  });

  it('says the side first, and a code digit by digit with nothing of what is behind it', () => {
    const blind = spokenStep({ ...step, half: 'left', code: 471 }, 'Kelp Fold Gel');
    expect(blind).toMatch(/^Left half, Hold, bottle 4 7 1,/);
    expect(blind).not.toContain('Kelp');
  });

  it('leaves out what is not known', () => {
    const bare = { ...step, dose: { kind: 'unknown' as const }, wetness: null, minutes: null };
    expect(spokenStep(bare, null)).toBe('Hold.');
    expect(spokenOver('condition', null)).toBe('Condition: time is up.');
    expect(spokenOver('hold', 'right')).toBe('Right half, Hold: time is up.');
  });
});
