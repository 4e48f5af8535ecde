import { describe, expect, it } from 'vitest';
import { EMPTY_SETTINGS } from '../step/step.ts';
import { minutesToWashed, routineMinutes, startBy, thingsNeeded } from './lay-out.ts';

const step = (slot: 'cleanse' | 'condition' | 'dry' | 'protect', to: object = {}) => ({
  ...EMPTY_SETTINGS,
  slot,
  ...to,
});

describe('laying out', () => {
  it('names every tool once, in order, and not the fingers', () => {
    expect(
      thingsNeeded([
        step('cleanse', { tool: 'fingers' }),
        step('condition', { tool: 'brush', extra: { cap: true, warmth: 'steamer', water: 50 } }),
        step('dry', { tool: 'diffuser' }),
        step('protect', { tool: 'brush' }),
      ]),
    ).toEqual(['brush', 'cap', 'steamer', 'a measuring cup', 'diffuser']);
  });

  it('reckons the minutes from clocks, from earlier days where there are any', () => {
    const steps = [step('cleanse'), step('condition', { minutes: 10 }), step('protect', { minutes: 400 })];
    expect(routineMinutes(steps, [])).toBe(14);
    expect(routineMinutes(steps, [50, 70, 90])).toBe(70);
    expect(routineMinutes(steps, [50, 70])).toBe(60);
  });

  it('reckons the minutes until the hair is washed to the last water, not the last step', () => {
    const steps = [step('cleanse'), step('condition', { minutes: 10 }), step('dry', { minutes: 40 })];
    expect(minutesToWashed(steps, [])).toBe(14);
    expect(minutesToWashed(steps, [20, 31, 30])).toBe(30);
    expect(minutesToWashed([step('dry', { minutes: 40 })], [])).toBe(0);
  });

  it.each([
    ['21:00', 85, '19:35'],
    ['00:30', 45, '23:45'],
    ['7:05', 5, '07:00'],
    ['24:00', 5, null],
    ['soon', 5, null],
  ])('through by %s after %i min: start by %s', (doneBy, minutes, start) => {
    expect(startBy(doneBy, minutes)).toBe(start);
  });
});
