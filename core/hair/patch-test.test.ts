import { describe, expect, it } from 'vitest';
import { PATCH_HOURS, type Patch, patchOver, patchState } from './patch-test.ts';

const HOUR = 3_600_000;
const zero = Date.parse('2026-03-27T10:00:00Z');
const at = (hours: number) => new Date(zero + hours * HOUR).toISOString();
const test = (from: number, outcome: Patch['outcome'] = null, looked: number | null = null): Patch => ({
  productId: 'gel',
  startedAt: at(from),
  outcome,
  lookedAt: looked === null ? null : at(looked),
});
const state = (tests: readonly Patch[], now: number) => patchState(tests, 'gel', zero + now * HOUR).is;

describe('patch tests', () => {
  it('last their hours of elapsed time, also over the night the clocks change', () => {
    expect(patchOver('2026-03-28T12:00:00+00:00')).toBe('2026-03-30T12:00:00.000Z');
    expect(Date.parse(patchOver(at(0))) - zero).toBe(PATCH_HOURS * HOUR);
  });

  it('wait until the skin was looked at, and speak of their own product', () => {
    const tests = [test(0)];
    expect(patchState(tests, 'gel', zero + 47 * HOUR)).toMatchObject({ is: 'on the arm', over: false });
    expect(patchState(tests, 'gel', zero + 48 * HOUR)).toMatchObject({ is: 'on the arm', over: true });
    expect(patchState(tests, 'cream', zero)).toEqual({ is: 'none' });
  });

  it.each<[string, Patch[], string]>([
    ['none', [], 'none'],
    ['clear', [test(0, 'clear', 49)], 'clear'],
    ['reacted early', [test(0, 'reacted', 2)], 'reacted'],
    ['clear, then reacted', [test(0, 'clear', 49), test(60, 'reacted', 70)], 'reacted'],
    ['reacted, then clear', [test(0, 'reacted', 5), test(60, 'clear', 110)], 'clear'],
    ['reacted, another on the arm', [test(0, 'reacted', 5), test(60)], 'reacted'],
    ['clear, another on the arm', [test(0, 'clear', 49), test(60)], 'on the arm'],
    ['one forgotten, a later one clear', [test(0), test(10, 'clear', 60)], 'clear'],
  ])('%s, in any order of the list', (_, tests, is) => {
    expect(state(tests, 120)).toBe(is);
    expect(state([...tests].reverse(), 120)).toBe(is);
  });
});
