import { describe, expect, it } from 'vitest';
import type { Run, RunStep } from './run.ts';
import { day, g, gift, inWords, PLAN, run, second, step } from './runs.fixture.ts';
import { judge, type Overruling, slipOfPair, slipOfTrial, standing } from './slip.ts';
import { alignSteps } from './step-differences.ts';

const ARMS = [
  { id: 'a', name: 'Gel' },
  { id: 'b', name: 'Foam' },
];
const planned = (one: Run) => ({
  run: one,
  plan: { ...run({ side: PLAN, half: one.half }), arm: one.arm },
});
const slip = (runs: readonly Run[], overrulings: readonly Overruling[] = [], arms = ARMS) =>
  slipOfTrial(runs.map(planned), arms, 'frizz', overrulings);
const told = (runs: readonly Run[], arms = ARMS) =>
  slip(runs, [], arms).map(
    ({ washDayId, gravity, difference }) => `${washDayId} ${gravity}: ${inWords(difference)}`,
  );

describe('two sides', () => {
  it('are halves only where they are of one wash day', () => {
    const scarf = { events: { bonnet: 1, scarf: 1 } };
    const gravity = (a: Run, b: Run) => slipOfPair(a, b, 'frizz').map((item) => item.gravity);
    expect(gravity(run(), run({ half: 'right', ...scarf }))).toEqual(['breaks']);
    // Plans have no wash day; two of them are no halves of one.
    const one = { events: { scarf: 1 } };
    expect(gravity(run({ washDayId: null, events: {} }), run({ washDayId: null, ...one }))).toEqual([
      'weakens',
    ]);
    expect(gravity(run({ events: {} }), second(one))).toEqual(['weakens']);
  });

  it('stand in the order they were found where they weigh the same', () => {
    const other = second({ rater: 'Wim', blind: false, bottleDays: { gel: 400 } });
    expect(slipOfPair(run(), other, 'frizz').map(({ difference }) => difference.key)).toEqual([
      'bottle gel',
      'rater',
      'blind',
    ]);
  });

  it('are noted where no rule speaks', () => {
    const [old] = slipOfPair(run(), second({ bottleDays: { gel: 100 } }), 'frizz');
    expect(old).toMatchObject({
      gravity: 'note',
      source: 'none',
      because: 'Too small for any rule to weigh.',
    });
    expect(judge(old!.difference, 'frizz', false, [])).toMatchObject({ source: 'none' });
  });
});

describe('an overruling', () => {
  const oil = { 'leave-in': { productId: 'oil' }, condition: { dose: g(40) } } as const;
  const runs = [run({}, oil), second({ arm: 'b' }, oil)];
  const gravities = (over: Partial<Overruling>) =>
    slip(runs, [{ washDayId: 'd2', difference: 'product leave-in', gravity: 'note', reason: 'r', ...over }])
      .map(
        ({ washDayId, gravity, difference, overruled }) =>
          `${washDayId} ${difference.key} ${gravity}${overruled ? '!' : ''}`,
      )
      .sort();

  it('is of one difference on one wash day alone', () => {
    expect(gravities({})).toEqual([
      'd1 dose condition weakens',
      'd1 product leave-in breaks',
      'd2 dose condition weakens',
      'd2 product leave-in note!',
    ]);
    expect(gravities({ washDayId: 'd1', difference: 'dose condition' })[0]).toBe('d1 dose condition note!');
    expect(gravities({ difference: 'dose leave-in' }).join()).not.toContain('!');
    expect(gravities({ washDayId: null }).join()).not.toContain('!');
  });
});

describe('a trial on whole heads', () => {
  it('sets the arms beside each other by the means of their wash days', () => {
    const days = [
      run({ windMs: 2, outdoorHours: 1, buildUp: 0.1, protein: 0 }),
      run({ washDayId: 'd3', windMs: null, outdoorHours: 2, buildUp: null, protein: 0.1 }),
      second({ arm: 'b', windMs: 10, outdoorHours: 5, buildUp: 1, protein: 0.5 }),
      second({ arm: 'b', washDayId: 'd4', windMs: 6, outdoorHours: 5, buildUp: 2, protein: 0.5 }),
    ];
    expect(told(days)).toEqual([
      'null weakens: Wind up to 2 m/s on Gel’s wash days, 8 m/s on Foam’s wash days.',
      'null weakens: Gel’s wash days began with 0.1 g of residue on the hair, Foam’s wash days with 1.5 g.',
      'null note: 1.5 h a day outdoors on Gel’s wash days, 5 h on Foam’s wash days.',
      'null note: Gel’s wash days began with 0.05 g of protein on the hair, Foam’s wash days with 0.5 g.',
    ]);
  });

  it('sets raters beside each other, whatever the order they came in', () => {
    const days = [
      run({ rater: 'Ada' }),
      run({ washDayId: 'd3', rater: 'Wim' }),
      second({ arm: 'b', rater: 'Wim' }),
      second({ arm: 'b', washDayId: 'd4', rater: 'Ada' }),
    ];
    expect(told(days)).toEqual([]);
    days[3]!.rater = 'Wim';
    expect(told(days)).toEqual([
      'null weakens: Rated by Ada, Wim on Gel’s wash days, by Wim on Foam’s wash days.',
    ]);
  });

  it('counts events by wash day, to the nearest whole one', () => {
    const rain = (n: number) => ({ events: { bonnet: 1, rain: n } });
    expect(
      told([run(rain(1)), run({ washDayId: 'd3', ...rain(2) }), second({ arm: 'b', ...rain(0) })]),
    ).toEqual([
      expect.stringMatching(/^null weakens: .*: 2 times on Gel’s wash days, not on Foam’s wash days\.$/),
    ]);
    expect(
      told([run(rain(1)), run({ washDayId: 'd3', ...rain(0) }), second({ arm: 'b', ...rain(1) })]),
    ).toEqual([]);
  });

  it('names the arms in the key, each pair once, and leaves out an arm without a wash day', () => {
    const keys = (...runs: Run[]) =>
      slip(runs, [], [...ARMS, { id: 'c', name: 'Wax' }, { id: 'none', name: 'Oil' }]).map(
        ({ difference }) => difference.key,
      );
    expect(
      keys(run({ stakes: [gift('gel')] }), second({ arm: 'b' }), second({ arm: 'c', washDayId: 'd3' })),
    ).toEqual(['stake a b', 'stake a c']);
  });
});

describe('a change of the hair between wash days', () => {
  const at = (since: Run['since']) =>
    told([run({ since: {} }), second({ since })].map((one) => ({ ...one, arm: 'a' })));

  it('is told once, of the wash day it came before', () => {
    expect(at({ bleach: 1 })).toEqual([
      'd2 breaks: The hair was bleached the day before, since the last wash day.',
    ]);
    expect(at({ trim: 3 })).toEqual([
      'd2 weakens: The hair was trimmed 3 days before, since the last wash day.',
    ]);
  });

  it('leaves care out, which the build-up tells of', () => {
    expect(at({ clarify: 1 })).toEqual([]);
    expect(at({ 'deep-condition': 1 })).toEqual([]);
  });

  it('is none where it lies before the wash day before', () => {
    const from = (earlier: number, later: number) =>
      told(
        [run({ since: { colour: earlier } }), second({ since: { colour: later } })].map((one) => ({
          ...one,
          arm: 'a',
        })),
      );
    expect(from(4, 11)).toEqual([]);
    expect(from(4, 4)).toEqual([]);
    expect(from(4, 3)).toHaveLength(1);
  });
});

describe('half-heads', () => {
  const half = (side: 'left' | 'right', to: Partial<Run> = {}, change: Parameters<typeof run>[1] = {}) =>
    run({ half: side, arm: side === 'left' ? 'a' : 'b', side: day(1, side), ...to }, change);

  it('tell a half that stands alone as the day it was', () => {
    const oil = { 'leave-in': { productId: 'oil' } } as const;
    expect(told([half('right', {}, oil)])).toEqual([
      'd1 breaks: Leave-in: OIL on the right half, MIST in the plan.',
    ]);
  });

  it('tell what one half alone did otherwise once, and what both did alike once', () => {
    const both = { condition: { minutes: 9 }, 'leave-in': { productId: 'oil' } } as const;
    const left = { ...both, cleanse: { productId: 'bar' } } as const;
    expect(told([half('left', {}, left), half('right', {}, both)])).toEqual([
      'd1 weakens: Cleanse: BAR on the left half, SOAP on the right half.',
      'd1 note: Condition: 9 min on both halves, 5 min in the plan.',
      'd1 note: Leave-in: OIL on both halves, MIST in the plan.',
    ]);
  });

  it('weigh nothing of the weather between arms, and every pair’s gifts', () => {
    const three = [...ARMS, { id: 'c', name: 'Wax' }];
    const days = [
      half('left', { stakes: [gift('gel')], dewPointC: 2 }),
      half('right', { dewPointC: 2 }),
      half('left', { washDayId: 'd2', dewPointC: 20 }),
      half('right', {
        washDayId: 'd2',
        arm: 'c',
        stakes: [{ productId: 'wax', stake: 'paid' }],
        dewPointC: 20,
      }),
    ];
    expect(
      slip(days, [], three)
        .filter(({ washDayId }) => washDayId === null)
        .map(({ difference }) => `${difference.key}: ${inWords(difference)}`),
    ).toEqual([
      'stake a b: Gel: GEL, gift; Foam: all bought.',
      'stake a c: Gel: GEL, gift; Wax: WAX, paid partnership.',
      'stake b c: Foam: all bought; Wax: WAX, paid partnership.',
    ]);
    const two = [half('left', { stakes: [gift('gel')] }), half('right', {})];
    expect(slip(two).map(({ washDayId, difference }) => `${washDayId} ${difference.key}`)).toContain(
      'null stake',
    );
    expect(slip([half('left', {}), half('right', {})])).toEqual([]);
    expect(slip([half('left', { stakes: [gift('gel')] })])).toEqual([]);
  });
});

describe('where a trial stands', () => {
  it('is as bad as the worst on its slip', () => {
    expect(standing(slip([run({}, { condition: { dose: g(40) } }), second({ arm: 'b' })]))).toBe('weakened');
    expect(standing(slip([run({}, { condition: { minutes: 6.5 } }), second({ arm: 'b' })]))).toBe('clean');
  });
});

describe('steps', () => {
  const swap = (a: readonly string[], b: readonly string[]) => {
    const at = (slots: readonly string[]) =>
      slots.map((slot) => step(slot as 'hold', { key: slot, productId: null }));
    return slipOfPair({ ...run(), steps: at(a) }, { ...second(), steps: at(b) }, 'frizz').map(
      ({ difference }) => `${difference.key}: ${inWords(difference)}`,
    );
  };

  it('that stand elsewhere are moved, at the start, in the middle and at the end', () => {
    const moved = (slot: string, label: string) => [
      `moved ${slot}: ${label} came at another point on wash day 1 than on wash day 2.`,
    ];
    expect(
      swap(['cleanse', 'condition', 'hold', 'dry'], ['cleanse', 'hold', 'condition', 'dry']),
    ).toHaveLength(1);
    expect(swap(['cleanse', 'condition', 'hold'], ['condition', 'hold', 'cleanse'])).toEqual(
      moved('cleanse', 'Cleanse'),
    );
    expect(swap(['cleanse', 'condition', 'hold'], ['hold', 'cleanse', 'condition'])).toEqual(
      moved('hold', 'Hold'),
    );
    expect(swap(['cleanse', 'hold'], ['cleanse', 'condition', 'hold'])).toEqual([
      'missing condition: Condition was done on wash day 2 and not on wash day 1.',
    ]);
  });

  it('stand beside each other by the plan’s step, else by their place and product, else not at all', () => {
    const one = (slot: RunStep['slot'], key: string | null, productId: string | null = null) =>
      step(slot, { key, productId });
    const pairs = (a: RunStep[], b: RunStep[]) =>
      alignSteps(a, b).map((pair) => `${pair.a ?? '-'}${pair.b ?? '-'}`);
    const day = [one('cleanse', 'p1'), one('condition', 'p2'), one('hold', 'p3'), one('dry', 'p4')];
    expect(pairs(day, day)).toEqual(['00', '11', '22', '33']);
    expect(pairs(day, [day[0]!, day[2]!, day[3]!])).toEqual(['00', '1-', '21', '32']);
    expect(pairs([day[0]!, day[3]!], day)).toEqual(['00', '-1', '-2', '13']);
    // Nobody planned these: the same slot pairs them, the same product pairs them rather, another slot never.
    expect(pairs([one('hold', null)], [one('hold', null)])).toEqual(['00']);
    expect(pairs([one('hold', null)], [one('dry', null)])).toEqual(['0-', '-0']);
    const gel = one('hold', null, 'gel');
    expect(pairs([gel], [one('hold', null, 'foam'), one('hold', null, 'gel')])).toEqual(['-0', '01']);
    expect(pairs([gel], [one('hold', null, 'gel'), one('hold', null, 'foam')])).toEqual(['00', '-1']);
    expect(pairs([one('hold', 'p3', 'gel')], [one('hold', null, 'gel'), one('hold', 'p3', 'foam')])).toEqual([
      '-0',
      '01',
    ]);
    expect(pairs([one('hold', null)], [one('hold', null, 'x'), one('hold', null)])).toHaveLength(2);
  });

  it('a mark is told of its own side', () => {
    const early = { hold: { marks: ['early'] } } as const;
    const keys = (a: Run, b: Run) => slipOfPair(a, b, 'frizz').map(({ difference }) => inWords(difference));
    expect(keys(run({}, early), second())).toEqual([expect.stringMatching(/on wash day 1\.$/)]);
    expect(keys(run(), second({}, early))).toEqual([expect.stringMatching(/on wash day 2\.$/)]);
  });

  it('of one arm are compared also where it is under test, those of two arms with their own plans', () => {
    const more = { hold: { dose: g(40) } } as const;
    expect(slipOfPair(run({}, more), second(), 'frizz')).toHaveLength(1);
    expect(slipOfPair(run({}, more), second({ arm: 'b' }), 'frizz')).toHaveLength(0);
    const strayed = (arm: string) => ({
      arm,
      steps: run({}, more).steps.map((one) =>
        one.slot === 'hold' ? { ...one, planned: { ...one.settings, dose: g(12) } } : one,
      ),
    });
    const says = (a: Run, b: Run) => slipOfPair(a, b, 'frizz').map(({ difference }) => inWords(difference));
    expect(says(run(strayed('a')), second({ arm: 'b' }))).toEqual([
      'Hold: 40 g on wash day 1, 12 g in its own plan.',
    ]);
    expect(says(run(), second(strayed('b')))).toEqual(['Hold: 40 g on wash day 2, 12 g in its own plan.']);
  });

  it('go by the narrower tolerance, and free ones by none', () => {
    const minutes = (minutes: number, tolerance: number) => ({ condition: { minutes, tolerance } });
    const keys = (a: Run, b: Run) => slipOfPair(a, b, 'frizz').map(({ difference }) => difference.key);
    expect(keys(run({}, minutes(5, 0.5)), second({}, minutes(6.5, 0.2)))).toEqual(['minutes condition']);
    expect(keys(run({}, minutes(5, 0.5)), second({}, minutes(6.5, 0.5)))).toEqual([]);
    for (const [a, b] of [
      [{ part: 'free' }, {}],
      [{}, { part: 'free' }],
    ] as const)
      expect(
        keys(run({}, { condition: { ...a, minutes: 5 } }), second({}, { condition: { ...b, minutes: 9 } })),
      ).toEqual([]);
    const alone = (part: 'free' | 'held' | 'tested', arm: string) =>
      keys(run({}, { condition: { part } }), second({ arm }, { condition: null }));
    expect(alone('free', 'a')).toEqual([]);
    expect(alone('held', 'b')).toEqual(['missing condition']);
    expect(alone('tested', 'b')).toEqual([]);
    expect(alone('tested', 'a')).toEqual(['missing condition']);
  });

  it('say what a setting was on either side', () => {
    const says = (a: Parameters<typeof run>[1], b: Parameters<typeof run>[1]) =>
      slipOfPair(run({}, a), second({}, b), 'frizz').map(({ difference }) => inWords(difference));
    const on = (x: string, y: string) => `${x} on wash day 1, ${y} on wash day 2.`;
    expect(says({ condition: { sections: 4 } }, { condition: { sections: 8 } })).toEqual([
      `Condition: ${on('4 sections', '8 sections')}`,
    ]);
    expect(says({ hold: { technique: 'rake' } }, { hold: { technique: 'praying' } })).toEqual([
      `Hold: ${on('rake', 'praying hands')}`,
    ]);
    expect(says({ condition: { productId: null } }, {})).toEqual([`Condition: ${on('no product', 'MILK')}`]);
    // Between equals what one did not record cannot be told; against the plan it cannot be shown to be held.
    expect(says({ condition: { minutes: null }, hold: { technique: null } }, {})).toEqual([]);
    expect(
      told([run({}, { condition: { minutes: null }, hold: { technique: null }, dry: { extra: {} } })]),
    ).toEqual([
      'd1 note: Condition: minutes not recorded on the day, 5 min in the plan.',
      'd1 note: Hold: technique not recorded on the day, rake in the plan.',
      expect.stringMatching(/^d1 note: Dry: not .* on the day, .*100.* in the plan\.$/),
    ]);
  });

  it('minutes come from the arm where it sets them, and not elsewhere', () => {
    const ofArm = (slot: 'dry' | 'condition', arm: string) =>
      slipOfPair(run(), second({ arm }, { [slot]: { minutes: 90 } }), 'frizz')[0]!.difference.ofArm;
    expect(ofArm('dry', 'b')).toBe(true);
    expect(ofArm('dry', 'a')).toBe(false);
    expect(ofArm('condition', 'b')).toBe(false);
    const tool = slipOfPair(run(), second({ arm: 'b' }, { dry: { tool: 'brush' } }), 'frizz');
    expect(tool.map(({ difference }) => difference.ofArm)).toEqual([false]);
  });
});
