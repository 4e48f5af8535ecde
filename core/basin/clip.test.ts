import { describe, expect, it } from 'vitest';
import { broughtInStep } from './clip.ts';

describe('clips that play in step', () => {
  it('are moved only where they drifted, and the shorter is held on its last picture', () => {
    expect(broughtInStep(3, 3.05, 8)).toBeNull();
    expect(broughtInStep(3, 3.2, 8)).toBe(3);
    expect(broughtInStep(3, 2.8, 8)).toBe(3);
    expect(broughtInStep(7, 5, 5)).toBeNull();
    expect(broughtInStep(7, 4.2, 5)).toBe(5);
    expect(broughtInStep(-1, 0.5, 5)).toBe(0);
  });
});
