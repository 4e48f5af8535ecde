import { describe, expect, it } from 'vitest';
import { type AskedStep, SCHOOL_QUESTIONS, schoolsOf } from './school-questions.ts';

const step = (slot: AskedStep['slot'], to: Partial<AskedStep> = {}): AskedStep => ({
  slot,
  wetness: null,
  technique: null,
  tool: null,
  heat: null,
  roles: [],
  ...to,
});
const sides = (...steps: AskedStep[]) =>
  Object.fromEntries(schoolsOf(steps).map(({ question, taken }) => [question, taken.does]));

describe('where schools differ on a wash day', () => {
  it('reads which side a routine takes, and tells the other', () => {
    const found = sides(
      step('cleanse', { roles: ['co-wash'] }),
      step('leave-in', { wetness: 'soaking' }),
      step('emollient', { roles: ['oil'] }),
      step('emollient', { roles: ['cream'] }),
      step('hold', { roles: ['gel'] }),
      step('dry', { tool: 'diffuser', heat: 'low' }),
      step('protect', { tool: 'bonnet' }),
    );
    expect(found).toMatchObject({
      Cleansing: 'co-wash or low lather, seldom',
      'Wetness for styling': 'soaking',
      'Oil and cream': 'liquid, oil, cream',
      Hold: 'gel always',
      Drying: 'diffuser or hood',
      Night: 'a bonnet',
    });
    const other = sides(
      step('cleanse', { roles: ['shampoo'] }),
      step('condition', { roles: ['mask'], wetness: 'damp' }),
      step('emollient', { roles: ['cream'], wetness: 'damp' }),
      step('emollient', { roles: ['oil'] }),
      step('wet-check'),
      step('dry'),
      step('protect', { tool: 'pillowcase' }),
    );
    expect(other).toEqual({
      Cleansing: 'a lather, twice if need be, often',
      'Wetness for styling': 'damp',
      'Oil and cream': 'liquid, cream, oil',
      Hold: 'cream or foam alone',
      Masks: 'on air-dried damp hair',
      Drying: 'air',
      Night: 'scarf on top, curls free, or a satin pillowcase',
      Separating: 'while wet',
    });
  });

  it('keeps silent on what a routine does not say', () => {
    expect(sides()).toEqual({ Separating: 'once dry, with oil, or never' });
  });

  it('gives every side its reason', () => {
    for (const { sides: both } of SCHOOL_QUESTIONS) {
      expect(both.length).toBeGreaterThan(1);
      for (const { because } of both) expect(because.length).toBeGreaterThan(5);
    }
  });
});
