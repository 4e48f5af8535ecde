import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_SETTINGS } from '../step/step.ts';
import { BASIN_CAUTIONS, type CautionStep, cautionsFor } from './cautions.ts';
import { IDEAS, type Idea, ideaAsArm, ideaOfPlan, ideasFor, makesArm } from './ideas.ts';
import { minutesByPhase, minutesSpent, secondsLeft, type TimedStep, unpausedMs } from './minutes.ts';
import { mayTakeDown } from './take-down.ts';

const at = (minute: number) => new Date(Date.UTC(2026, 2, 10, 8, minute)).toISOString();
const ms = (minute: number) => Date.parse(at(minute));

describe('a step’s clock', () => {
  it('stands still in pauses, which may overlap each other and the ends', () => {
    const pauses = [
      { from: at(2), to: at(4) },
      { from: at(3), to: at(5) },
      { from: at(9), to: null },
      { from: at(-5), to: at(1) },
    ];
    expect(unpausedMs(ms(0), ms(10), pauses)).toBe((10 - 3 - 1 - 1) * 60_000);
    expect(unpausedMs(ms(0), ms(10), [])).toBe(600_000);
    expect(unpausedMs(ms(10), ms(0), [])).toBe(0);
  });

  it('never runs backwards or faster than the wall', () => {
    const minute = fc.integer({ min: -30, max: 90 });
    fc.assert(
      fc.property(minute, minute, fc.array(fc.tuple(minute, fc.option(minute))), (from, to, pauses) => {
        const spent = unpausedMs(
          ms(from),
          ms(to),
          pauses.map(([a, b]) => ({ from: at(a), to: b === null ? null : at(b) })),
        );
        expect(spent).toBeGreaterThanOrEqual(0);
        expect(spent).toBeLessThanOrEqual(Math.max(0, ms(to) - ms(from)));
      }),
    );
  });

  it('counts down on the wall clock and below nought', () => {
    const step = { startedAt: at(0), pauses: [{ from: at(1), to: at(3) }] };
    expect(secondsLeft(step, 5, ms(4))).toBe(180);
    expect(secondsLeft(step, 5, ms(10))).toBe(-180);
    expect(secondsLeft({ startedAt: null, pauses: [] }, 5, ms(4))).toBeNull();
  });
});

describe('minutes spent', () => {
  const step = (
    slot: TimedStep['slot'],
    to: Partial<TimedStep & { tool: string | null; minutes: number | null }> = {},
  ) => ({
    slot,
    status: 'done' as const,
    startedAt: null,
    doneAt: null,
    pauses: [],
    tool: null,
    minutes: null,
    ...to,
  });

  it('come from a step’s own start, else from the step before it', () => {
    const steps = [
      step('detangle', { doneAt: at(6) }),
      step('condition', { startedAt: at(8), doneAt: at(13), pauses: [{ from: at(9), to: at(10) }] }),
      step('rinse', { doneAt: at(15) }),
      step('hold', { status: 'skipped' }),
      step('dry', { doneAt: null }),
    ];
    expect(minutesSpent(steps, at(0))).toEqual([6, 4, 2, null, null]);
  });

  it('do not count a gap nobody can have worked through, but a started clock of any length', () => {
    const night = [step('hold', { doneAt: at(10) }), step('set', { startedAt: at(10), doneAt: at(700) })];
    expect(minutesSpent(night, at(0))).toEqual([10, 690]);
    expect(minutesSpent([night[0]!, step('break-cast', { doneAt: at(700) })], at(0))).toEqual([10, null]);
  });

  it('fall into phases, hands-on and waiting', () => {
    const sums = minutesByPhase(
      [
        step('cleanse', { doneAt: at(5) }),
        step('condition', { startedAt: at(6), doneAt: at(11) }),
        step('hold', { doneAt: at(20) }),
        step('dry', { tool: 'diffuser', doneAt: at(50) }),
        step('set', { startedAt: at(50), doneAt: at(110) }),
      ],
      at(0),
    );
    expect(sums.wash).toEqual({ handsOn: 5, waiting: 5 });
    expect(sums.style).toEqual({ handsOn: 9, waiting: 0 });
    expect(sums.dry).toEqual({ handsOn: 30, waiting: 60 });
  });
});

describe('an idea for next time', () => {
  const step = {
    ...EMPTY_SETTINGS,
    dose: { kind: 'exact', amount: 12, measure: 'g', per: 'head' },
    wetness: 'wet',
    minutes: 10,
    heat: 'low',
  } as const;

  it('becomes an arm’s settings where it is one', () => {
    expect(ideaAsArm('less', step)).toEqual({ dose: { ...step.dose, amount: 8 } });
    expect(ideaAsArm('more', step)).toEqual({ dose: { ...step.dose, amount: 18 } });
    expect(ideaAsArm('wetter', step)).toEqual({ wetness: 'soaking' });
    expect(ideaAsArm('drier', step)).toEqual({ wetness: 'moist' });
    expect(ideaAsArm('longer', step)).toEqual({ minutes: 15 });
    expect(ideaAsArm('hotter', step)).toEqual({ heat: 'medium' });
    expect(ideaAsArm('cooler', step)).toEqual({ heat: 'cool' });
    expect(ideaAsArm('leave-out', step)).toEqual({ skipped: true });
    expect(ideaAsArm('other-role', step)).toEqual({});
  });

  it('changes nothing that the step does not set, and cannot be wetter than soaking', () => {
    for (const idea of Object.keys(IDEAS) as Idea[])
      expect(ideaAsArm(idea, EMPTY_SETTINGS)).toEqual(idea === 'leave-out' ? { skipped: true } : {});
    expect(ideaAsArm('wetter', { ...step, wetness: 'soaking' })).toEqual({});
    expect(ideaAsArm('more', { ...step, dose: { kind: 'unknown' } })).toEqual({});
  });

  it('is offered only where it would make two unequal options', () => {
    expect(ideasFor(EMPTY_SETTINGS)).toEqual([
      'leave-out',
      'earlier',
      'later',
      'other-product',
      'other-place',
      'other-style',
      'other-role',
      'after-clarify',
    ]);
    const soaking = { ...step, wetness: 'soaking', heat: 'high' } as const;
    expect(ideasFor(soaking)).not.toContain('wetter');
    expect(ideasFor(soaking)).not.toContain('hotter');
    expect(ideasFor(soaking)).toEqual(expect.arrayContaining(['drier', 'cooler', 'less', 'longer']));
    expect(makesArm('other-role', step)).toBe(false);
    expect(ideaOfPlan({ idea: 'earlier', productId: null }, step, 0, 3)).toBeNull();
    expect(ideaOfPlan({ idea: 'earlier', productId: null }, step, 2, 3)).toEqual({ to: 'move', before: 1 });
    expect(ideaOfPlan({ idea: 'later', productId: null }, step, 1, 3)).toEqual({ to: 'move', before: 3 });
    expect(ideaOfPlan({ idea: 'later', productId: null }, step, 2, 3)).toBeNull();
    const other = (productId: string) => ideaOfPlan({ idea: 'other-product', productId }, step, 1, 3);
    expect(other('p2')).toEqual({ to: 'set', own: { productId: 'p2' } });
    expect(
      ideaOfPlan({ idea: 'other-product', productId: 'p1' }, { ...step, productId: 'p1' }, 1, 3),
    ).toBeNull();
    expect(ideaOfPlan({ idea: 'other-role', productId: null }, step, 1, 3)).toBeNull();
  });
});

describe('taking a set down', () => {
  it.each([
    [100, null, true],
    [90, null, false],
    [75, null, false],
    [80, 80, true],
    [75, 80, true],
    [75, 90, false],
    [90, 100, false],
    [100, 100, true],
  ])('at %i %% with a plan of %s: %s', (dry, stopAt, may) => {
    expect(mayTakeDown(dry, stopAt)).toBe(may);
  });
});

describe('cautions during the wash', () => {
  const quiet: CautionStep = {
    slot: 'rinse',
    heat: null,
    tool: null,
    warmth: null,
    product: null,
    child: false,
  };
  const product = { name: 'Gel', roles: ['gel'], usedBefore: true, past: false };
  const cases: Record<string, Partial<CautionStep>> = {
    'past-date': { product: { ...product, past: true } },
    'first-use': { product: { ...product, usedBefore: false } },
    protein: { slot: 'treat' },
    'dryer-water': { slot: 'dry', tool: 'diffuser' },
    heat: { heat: 'high' },
    'over-limit': { slot: 'dry', celsius: 190, heatLimitC: 180 },
    'no-limit': { slot: 'technique', tool: 'flat-iron' },
    tight: { slot: 'edges', pull: 'tight' },
    steam: { warmth: 'steamer' },
    oil: { slot: 'pre-wash', product: { ...product, roles: ['oil'] } },
    child: { child: true },
  };

  it.each(BASIN_CAUTIONS.map(({ id }) => id))('%s speaks of its own case and of no quiet step', (id) => {
    expect(cautionsFor({ ...quiet, ...cases[id] }).map((found) => found.id)).toContain(id);
    expect(cautionsFor({ ...quiet, product })).toEqual([]);
  });

  it('a heat limit is spoken of only where it is passed, and a dryer of any kind near water', () => {
    const ids = (to: Partial<CautionStep>) => cautionsFor({ ...quiet, ...to }).map(({ id }) => id);
    expect(ids({ celsius: 180, heatLimitC: 180 })).toEqual([]);
    expect(ids({ celsius: 200, heatLimitC: null })).toEqual([]);
    expect(ids({ tool: 'flat-iron', heatLimitC: 220, celsius: 200 })).toEqual(['dryer-water']);
    for (const tool of ['nozzle', 'comb-nozzle', 'hood'] as const)
      expect(ids({ tool })).toEqual(['dryer-water']);
    expect(ids({ pull: 'loose' })).toEqual([]);
  });
});
