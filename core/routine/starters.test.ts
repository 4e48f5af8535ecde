import { describe, expect, it } from 'vitest';
import { departures } from '../trial/departures.ts';
import {
  EXTRAS,
  type ExtraKey,
  type ExtraSetting,
  extraProblem,
  extrasOf,
  extraWords,
  sameExtra,
} from './extras.ts';
import { SLOTS, type Slot } from './slots.ts';
import { STARTERS } from './starters.ts';

describe('the starters', () => {
  it('go by names of their own and name no product', () => {
    expect(new Set(STARTERS.map(({ name }) => name)).size).toBe(STARTERS.length);
    for (const { steps } of STARTERS) for (const { productId } of steps) expect(productId).toBeNull();
  });

  it.each(STARTERS.map((starter) => [starter.name, starter] as const))(
    '%s sets only what its slots can have, cleanses, holds and protects',
    (_, { steps }) => {
      for (const { slot, extra } of steps)
        for (const [key, value] of Object.entries(extra)) {
          expect(extrasOf(slot), `${slot} ${key}`).toContain(key);
          expect(extraProblem(key as ExtraKey, value), `${slot} ${key}`).toBeNull();
        }
      const slots = steps.map(({ slot }) => slot);
      for (const slot of ['cleanse', 'hold', 'protect'] as Slot[]) expect(slots).toContain(slot);
    },
  );

  it('run as planned without a departure', () => {
    for (const { steps } of STARTERS)
      for (const step of steps)
        expect(
          departures({ ...step, status: 'done', planned: step }, String).filter((d) => d.kind === 'departed'),
        ).toEqual([]);
  });
});

describe('settings of single slots', () => {
  const keys = Object.keys(EXTRAS) as ExtraKey[];

  it('belong to slots there are, and every slot of a wash day has its own', () => {
    for (const key of keys) for (const slot of EXTRAS[key].slots) expect(SLOTS).toHaveProperty(slot);
    expect(extrasOf('cleanse')).toContain('rounds');
    expect(extrasOf('dry')).toContain('stopAt');
    expect(extrasOf('refresh')).toContain('tier');
    expect(extrasOf('blot')).not.toContain('stopAt');
  });

  it('refuse what they cannot be, with a sentence', () => {
    for (const key of keys) {
      expect(extraProblem(key, { odd: true }), key).toMatch(/\.$/);
      const setting: ExtraSetting = EXTRAS[key];
      if (setting.kind === 'number') {
        expect(extraProblem(key, setting.least)).toBeNull();
        expect(extraProblem(key, setting.most + 1)).toContain(String(setting.most));
      }
    }
    expect(extraProblem('places', [])).toContain('one at least');
    expect(extraProblem('cap', false)).toContain('left out');
  });

  it('are the same within the tolerance; how far hair is dried within five points', () => {
    expect(sameExtra('water', 100, 119, 0.2)).toBe(true);
    expect(sameExtra('water', 100, 130, 0.2)).toBe(false);
    expect(sameExtra('stopAt', 90, 94, 0.2)).toBe(true);
    expect(sameExtra('stopAt', 100, 90, 0.2)).toBe(false);
    expect(sameExtra('places', ['crown', 'nape'], ['nape', 'crown'], 0.2)).toBe(true);
    expect(sameExtra('cap', true, undefined, 0.2)).toBe(false);
  });

  it('say themselves in words', () => {
    expect(extraWords('stopAt', 90)).toBe('stop when dry to 90 %');
    expect(extraWords('cap', true)).toBe('under a cap');
    expect(extraWords('posture', 'forward')).toBe('head forward');
  });
});
