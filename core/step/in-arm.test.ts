import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Dose } from '../doses/dose.ts';
import { type ArmStep, halfDose, inArm, setOtherwise, settingsInArm } from './in-arm.ts';
import type { StepSettings } from './settings.ts';
import { EMPTY_SETTINGS, settingsOf } from './step.ts';

const g = (amount: number, per: 'head' | 'section' = 'head'): Dose => ({
  kind: 'exact',
  amount,
  measure: 'g',
  per,
});
const plan: StepSettings = {
  ...EMPTY_SETTINGS,
  productId: 'gel',
  dose: g(12),
  sections: 4,
  technique: 'rake',
  extra: { rounds: 2, cap: true },
};
const arm = (to: Partial<ArmStep> = {}): ArmStep => ({
  stepId: 's',
  productId: null,
  dose: null,
  skipped: false,
  settings: {},
  ...to,
});

describe('a step on an arm', () => {
  it('is the plan’s where the arm sets nothing', () => {
    expect(inArm(plan, undefined)).toEqual(plan);
    expect(inArm(plan, arm())).toEqual(plan);
  });

  it('takes what the arm sets, and the rest from the plan', () => {
    const own = arm({
      productId: 'foam',
      dose: g(20),
      settings: { technique: 'scrunch', extra: { rounds: 1 } },
    });
    expect(inArm(plan, own)).toEqual({
      ...plan,
      productId: 'foam',
      dose: g(20),
      technique: 'scrunch',
      extra: { rounds: 1, cap: true },
    });
  });

  it('may set what the plan sets to nothing', () => {
    expect(inArm(plan, arm({ settings: { technique: null } }))).toEqual({ ...plan, technique: null });
  });

  it('is left out where the arm says so', () => {
    expect(inArm(plan, arm({ skipped: true }))).toBe('left out');
    expect(settingsInArm(plan, arm({ skipped: true }))).toEqual(plan);
  });

  it('takes half of a whole head’s dose on one half, and all of what goes by the section', () => {
    expect(inArm(plan, arm({ dose: g(20) }), 'left')).toMatchObject({ dose: g(10) });
    expect(inArm(plan, arm(), 'right')).toMatchObject({ dose: g(6) });
    expect(halfDose(g(3, 'section'))).toEqual(g(3, 'section'));
    expect(halfDose({ kind: 'range', from: 1, to: 3, measure: 'pump', per: 'head' })).toMatchObject({
      from: 0.5,
      to: 1.5,
    });
    expect(halfDose({ kind: 'unknown' })).toEqual({ kind: 'unknown' });
    expect(halfDose(null)).toBeNull();
  });
});

describe('what an arm sets otherwise', () => {
  const settings = fc.record({
    sections: fc.option(fc.integer({ min: 1, max: 6 })),
    technique: fc.option(fc.constantFrom('rake' as const, 'scrunch' as const)),
    minutes: fc.option(fc.integer({ min: 1, max: 9 })),
    extra: fc.record(
      { rounds: fc.integer({ min: 1, max: 3 }), cap: fc.constant(true) },
      { requiredKeys: [] },
    ),
  });

  it('put over the plan again gives what was set, but for extras the plan alone has', () => {
    fc.assert(
      fc.property(settings, settings, (a, b) => {
        const [from, to] = [
          { ...plan, ...a },
          { ...plan, ...b },
        ];
        const again = settingsInArm(from, arm({ settings: setOtherwise(from, to) }));
        expect({ ...again, extra: {} }).toEqual({ ...settingsOf(to), extra: {} });
        expect(again.extra).toEqual({ ...from.extra, ...to.extra });
      }),
    );
    expect(setOtherwise(plan, plan)).toEqual({});
  });
});
