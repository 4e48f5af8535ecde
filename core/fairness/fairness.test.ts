import { describe, expect, it } from 'vitest';
import { OUTCOMES } from '../outcomes/outcomes.ts';
import type { Mark } from '../step/marks.ts';
import { EMPTY_SETTINGS } from '../step/step.ts';
import { DIFFERENCE_KINDS, type Difference } from './difference.ts';
import { differencesOf } from './differences.ts';
import { GRAVITIES } from './gravity.ts';
import { speaksOf } from './rule.ts';
import { FAIRNESS_RULES } from './rules.ts';
import type { Run } from './run.ts';
import { day, g, gift, inWords, PLAN, run, second, step } from './runs.fixture.ts';
import { brokenDays, judge, slipOfPair, slipOfTrial, standing } from './slip.ts';

const told = (a: Run, b: Run) => differencesOf(a, b).map(inWords);
const kinds = (a: Run, b: Run) => differencesOf(a, b).map(({ kind }) => kind);
const gravity = (a: Run, b: Run, outcome: keyof typeof OUTCOMES = 'frizz') =>
  slipOfPair(a, b, outcome).map((item) => `${item.gravity}: ${item.difference.key}`);

describe('two wash days side by side', () => {
  it('have no difference when everything was held', () => {
    expect(told(run(), second())).toEqual([]);
  });

  it('show a held product that was another, and what that does', () => {
    const other = second({}, { 'leave-in': { productId: 'oil' } });
    expect(told(run(), other)).toEqual(['Leave-in: MIST on wash day 1, OIL on wash day 2.']);
    expect(gravity(run(), other)).toEqual(['breaks: product leave-in']);
  });

  it('let doses and minutes be off within the tolerance', () => {
    expect(told(run(), second({}, { condition: { dose: g(17.9), minutes: 6 } }))).toEqual([]);
    expect(kinds(run(), second({}, { condition: { dose: g(20), minutes: 7 } }))).toEqual(['dose', 'minutes']);
    const pumps = { kind: 'exact', amount: 5, measure: 'pump', per: 'head' } as const;
    expect(kinds(run(), second({}, { cleanse: { dose: pumps } }))).toEqual(['dose-unsure']);
  });

  it('name steps missing, added and moved', () => {
    const without = second({}, { condition: null });
    expect(told(run(), without)).toEqual(['Condition was done on wash day 1 and not on wash day 2.']);
    const added = second();
    const extra = step('second-coat', { key: null, productId: 'oil' });
    expect(told(run(), { ...added, steps: [...added.steps, extra] })).toEqual([
      'Second layer was added on wash day 2, not on wash day 1: OIL.',
    ]);
    const [cleanse, condition, leaveIn, hold, dry] = second().steps;
    const swapped = { ...second(), steps: [cleanse!, condition!, hold!, leaveIn!, dry!] };
    expect(kinds(run(), swapped)).toEqual(['moved']);
  });

  it('do not mind an optional step, nor a free one', () => {
    expect(told(run({}, { condition: { optional: true } }), second({}, { condition: null }))).toEqual([]);
    const free = { part: 'free', productId: 'oil' } as const;
    expect(told(run({}, { condition: { part: 'free' } }), second({}, { condition: free }))).toEqual([]);
  });

  it('hold how far the hair was dried, not how long that took', () => {
    const slow = { arm: 'b' };
    const minutes = { dry: { minutes: 55 } };
    expect(gravity(run(), second(slow, minutes))).toEqual(['note: minutes dry']);
    expect(gravity(run(), second({}, minutes))).toEqual(['weakens: minutes dry']);
    expect(gravity(run(), second(slow, { dry: { extra: { stopAt: 80 } } }))).toEqual(['breaks: stopAt dry']);
  });

  it('never count what the arms set on purpose, but a side that strayed from its own plan', () => {
    const hold = { productId: 'foam', dose: g(20), technique: 'praying' } as const;
    expect(
      told(run(), second({ arm: 'b' }, { hold: { ...hold, planned: { ...EMPTY_SETTINGS, ...hold } } })),
    ).toEqual([]);
    const strayed = { ...hold, dose: g(40), planned: { ...EMPTY_SETTINGS, ...hold } };
    expect(told(run(), second({ arm: 'b' }, { hold: strayed }))).toEqual([
      'Hold: 40 g on wash day 2, 20 g in its own plan.',
    ]);
    expect(told(run(), second({ arm: 'b' }, { hold: null }))).toEqual([]);
  });

  it('weigh the weather by band, and the more the further apart', () => {
    expect(kinds(run(), second({ dewPointC: 12 }))).toEqual([]);
    expect(gravity(run(), second({ dewPointC: 17 }))).toEqual(['weakens: dew-point']);
    expect(gravity(run(), second({ dewPointC: 21 }))).toEqual(['breaks: dew-point']);
    expect(gravity(run(), second({ dewPointC: 21 }), 'shine')).toEqual(['weakens: dew-point']);
  });

  it('know the state of the hair, its build-up, its bottles, its rater', () => {
    expect(kinds(run(), second({ since: { clarify: 10, colour: 2 } }))).toEqual(['state']);
    expect(gravity(run(), second({ since: { clarify: 10, bleach: 2 } }))).toEqual(['breaks: state bleach']);
    expect(gravity(run(), second({ buildUp: 1.6 }), 'volume')).toEqual(['breaks: build-up']);
    expect(gravity(run(), second({ bottleDays: { gel: 400 } }))).toEqual(['weakens: bottle gel']);
    expect(gravity(run(), second({ rater: 'Wim' }))).toEqual(['weakens: rater']);
    expect(gravity(run(), second({ wearerId: 'x' }))).toEqual(['breaks: head']);
  });

  it('weigh what happened at a step, on one side alone, by what it does', () => {
    const with_ = (...marks: Mark[]) => second({}, { hold: { marks } });
    expect(told(run(), with_('ran-out'))).toEqual(['Hold: ran out on wash day 2.']);
    expect(gravity(run(), with_('ran-out'))).toEqual(['weakens: ran-out hold']);
    expect(gravity(run(), with_('ran-out'), 'scalp')).toEqual(['note: ran-out hold']);
    expect(gravity(run(), with_('early'), 'definition')).toEqual(['breaks: early hold']);
    expect(gravity(run(), with_('interrupted'))).toEqual(['note: interrupted hold']);
    expect(told(with_('early'), with_('early'))).toEqual([]);
  });

  it('leave gifts out of a comparison with itself, and weigh them between arms', () => {
    expect(kinds(run(), second({ stakes: [gift('foam')] }))).toEqual([]);
    expect(gravity(run(), second({ arm: 'b', stakes: [gift('foam')] }))).toEqual(['weakens: stake']);
  });
});

describe('two halves of one wash day', () => {
  const left = run({ half: 'left', side: { is: 'this day', half: 'left' } });
  const right = (to: Partial<Run>) =>
    run({ half: 'right', arm: 'b', side: { is: 'this day', half: 'right' }, ...to });

  it('are broken by a scarf on one side for frizz, not for what hand and scalp feel', () => {
    const scarf = right({ events: { bonnet: 1, scarf: 1 } });
    expect(gravity(left, scarf, 'frizz')).toEqual(['breaks: sleep protected']);
    expect(gravity(left, scarf, 'softness')).toEqual(['note: sleep protected']);
    expect(gravity(left, scarf, 'scalp')).toEqual(['note: sleep protected']);
  });

  it('stand as they are when both slept alike', () => {
    expect(told(left, right({}))).toEqual([]);
  });
});

describe('the slip of a trial', () => {
  const plan = run({ side: PLAN });
  const days = (...runs: Run[]) => runs.map((one) => ({ run: one, plan: { ...plan, arm: one.arm } }));
  const arms = [
    { id: 'a', name: 'Gel' },
    { id: 'b', name: 'Foam' },
  ];

  it('is clean when every wash day was held and the arms met like air', () => {
    const items = slipOfTrial(days(run(), second({ arm: 'b' })), arms, 'frizz', []);
    expect(items).toEqual([]);
    expect(standing(items)).toBe('clean');
  });

  it('lists the worst first, by wash day, and says which are broken', () => {
    const items = slipOfTrial(
      days(
        run({}, { condition: { minutes: 9 } }),
        second({ arm: 'b' }, { 'leave-in': { productId: 'oil' } }),
        run({ washDayId: 'd3', side: day(3), dewPointC: 20 }),
      ),
      arms,
      'definition',
      [],
    );
    expect(items.map((item) => item.gravity)).toEqual(['breaks', 'note']);
    expect([...brokenDays(items)]).toEqual(['d2']);
    expect(standing(items)).toBe('broken');
  });

  it('tells of air that the arms met unequally', () => {
    const damp = days(run({ dewPointC: 4 }), second({ arm: 'b', dewPointC: 18 }));
    const items = slipOfTrial(damp, arms, 'frizz', []);
    expect(items.map(({ washDayId, difference }) => `${washDayId} ${inWords(difference)}`)).toEqual([
      'null The air was a bit dry on Gel’s wash days (dew point 4 °C) and humid on Foam’s wash days (18 °C).',
    ]);
  });

  it('keeps an overrule with what the rules said and the tester’s reason', () => {
    const broken = days(run(), second({ arm: 'b' }, { 'leave-in': { productId: 'oil' } }));
    const items = slipOfTrial(broken, arms, 'frizz', [
      {
        washDayId: 'd2',
        difference: 'product leave-in',
        gravity: 'note',
        reason: 'Same formula, new label.',
      },
    ]);
    expect(items[0]).toMatchObject({
      gravity: 'note',
      overruled: { was: 'breaks', reason: 'Same formula, new label.' },
    });
    expect(standing(items)).toBe('clean');
  });

  it('marks a change of the hair under way', () => {
    const before = run({ since: {} });
    const after = second({ arm: 'b', since: { bleach: 1 } });
    const items = slipOfTrial(days(before, after), arms, 'shine', []);
    expect(items.map(({ gravity: g, washDayId }) => `${g} ${washDayId}`)).toEqual(['breaks d2']);
  });
});

describe('the slip of a half-head trial', () => {
  const half = (side: 'left' | 'right', to: Partial<Run> = {}, change: Parameters<typeof run>[1] = {}) =>
    run({ half: side, arm: side === 'left' ? 'a' : 'b', side: day(1, side), ...to }, change);
  const slip = (...runs: Run[]) =>
    slipOfTrial(
      runs.map((one) => ({ run: one, plan: { ...run({ side: PLAN, half: one.half }), arm: one.arm } })),
      [
        { id: 'a', name: 'Gel' },
        { id: 'b', name: 'Foam' },
      ],
      'frizz',
      [],
    ).map((item) => `${item.gravity}: ${inWords(item.difference)}`);

  it('takes what was the same on both halves as a note, told once', () => {
    const oil = { 'leave-in': { productId: 'oil' } } as const;
    expect(slip(half('left', {}, oil), half('right', {}, oil))).toEqual([
      'note: Leave-in: OIL on both halves, MIST in the plan.',
    ]);
  });

  it('is broken by what one half had alone', () => {
    const oil = { 'leave-in': { productId: 'oil' } } as const;
    expect(slip(half('left'), half('right', {}, oil))).toEqual([
      'breaks: Leave-in: MIST on the left half, OIL on the right half.',
    ]);
  });

  it('takes a change of the hair between wash days as a note: both halves had it', () => {
    const later = { washDayId: 'd2', since: { clarify: 10, trim: 2 } };
    expect(slip(half('left'), half('right'), half('left', later), half('right', later))).toEqual([
      'note: The hair was trimmed 2 days before, since the last wash day.',
    ]);
  });
});

describe('the rules', () => {
  const ids = FAIRNESS_RULES.map(({ id }) => id);

  it('go by one name each, say why in a sentence, and name their source', () => {
    expect(new Set(ids).size).toBe(ids.length);
    for (const { because, source } of FAIRNESS_RULES) {
      expect(because).toMatch(/^[A-Z].*\.$/);
      expect(source).not.toBe('');
    }
  });

  it('speak of every kind of difference, for every outcome', () => {
    for (const kind of Object.keys(DIFFERENCE_KINDS) as Difference['kind'][]) {
      if (kind === 'bottle' || kind === 'state') continue; // Small ones are mere notes.
      const difference: Difference = {
        kind,
        key: kind,
        fact: { what: 'heads' },
        a: PLAN,
        b: PLAN,
        size: 1,
        slot: null,
        detail: null,
        ofArm: false,
      };
      for (const outcome of Object.keys(OUTCOMES) as (keyof typeof OUTCOMES)[])
        expect(judge(difference, outcome, false).source, kind).not.toBe('none');
    }
  });

  it.each(FAIRNESS_RULES.map((rule) => [rule.id, rule] as const))(
    '%s is heard, not drowned by one above it',
    (_, rule) => {
      const { when } = rule;
      const difference: Difference = {
        kind: when.kind ?? 'product',
        ...(when.shared === undefined ? {} : { shared: when.shared }),
        key: '',
        fact: { what: 'heads' },
        a: PLAN,
        b: PLAN,
        size: when.from ?? 0.3,
        slot: (when.slots?.[0] ?? 'edges') as Difference['slot'],
        detail: (when.details?.[0] ?? null) as Difference['detail'],
        ofArm: when.ofArm ?? false,
      };
      const first = FAIRNESS_RULES.find((one) => speaksOf(one, difference, when.halves ?? false));
      expect(first?.id).toBe(rule.id);
      for (const value of Object.values(rule.does)) expect(GRAVITIES).toHaveProperty(value);
    },
  );
});
