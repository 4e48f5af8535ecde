import { describe, expect, it } from 'vitest';
import { departureInWords } from '../../words/step.ts';
import { plainVoice } from '../../words/voice.ts';
import { departures, type StepRecord } from './departures.ts';
import type { StepSettings } from './settings.ts';
import { EMPTY_SETTINGS } from './step.ts';

const plan: StepSettings = {
  productId: 'gel',
  dose: { kind: 'exact', amount: 10, measure: 'g', per: 'head' },
  sections: 4,
  wetness: 'wet',
  minutes: 10,
  technique: 'rake',
  tool: 'fingers',
  heat: 'low',
  extra: {},
};
const voice = plainVoice((id) => ({ gel: 'Kelp Gel', foam: 'Foam' })[id] ?? id);
const done = (to: Partial<StepRecord> = {}): StepRecord => ({
  ...plan,
  status: 'done',
  planned: plan,
  ...to,
});
const told = (step: StepRecord) => departures(step).map((one) => departureInWords(one, voice));

describe('departures from the plan', () => {
  it('are none for a step done as planned, or not reached', () => {
    expect(told(done())).toEqual([]);
    expect(told(done({ status: 'waiting', productId: null }))).toEqual([]);
  });

  it('name every setting that was not held', () => {
    expect(
      told(
        done({
          productId: 'foam',
          dose: { kind: 'exact', amount: 13, measure: 'g', per: 'head' },
          wetness: 'damp',
          minutes: 15,
          technique: 'scrunch',
          tool: null,
          heat: 'high',
        }),
      ),
    ).toEqual([
      'Foam instead of Kelp Gel.',
      '13 g instead of 10 g.',
      'Wetness damp instead of wet.',
      'Technique scrunch instead of rake.',
      'Tool not recorded; fingers planned.',
      'Heat high instead of low.',
      '15 min instead of 10.',
    ]);
  });

  it('allow a fifth on dose and minutes', () => {
    expect(
      told(done({ minutes: 12, dose: { kind: 'exact', amount: 8, measure: 'g', per: 'head' } })),
    ).toEqual([]);
    expect(told(done({ minutes: 12.1 }))).toEqual(['12.1 min instead of 10.']);
  });

  it('say what cannot be shown', () => {
    const unsure = departures(done({ dose: { kind: 'unknown' }, minutes: null }));
    expect(unsure.map(({ verdict }) => verdict)).toEqual(['cannot show', 'cannot show']);
    expect(departureInWords(unsure[0]!, voice)).toBe('Amount not recorded; 10 g planned.');
    expect(told(done({ dose: { kind: 'exact', amount: 7, measure: 'pump', per: 'head' } }))).toEqual([
      '7 pumps may or may not be 10 g within 20 %: too rough a measure to tell.',
    ]);
  });

  it('tell skipped and added steps', () => {
    expect(told(done({ status: 'skipped' }))).toEqual(['Skipped.']);
    expect(told({ ...EMPTY_SETTINGS, status: 'done', planned: null })).toEqual(['Added: not in the plan.']);
    expect(told({ ...EMPTY_SETTINGS, status: 'skipped', planned: null })).toEqual([]);
  });

  it('do not mind what the plan left open', () => {
    const open = { ...EMPTY_SETTINGS };
    expect(
      told({ ...open, wetness: 'wet', tool: 'brush', minutes: 4, status: 'done', planned: open }),
    ).toEqual([]);
  });
});

describe('what the plan asks of a step', () => {
  const as = (to: Partial<StepRecord['planned'] & object>, done_: Partial<StepRecord> = {}) =>
    told(done({ planned: { ...plan, ...to }, ...done_ }));

  it('is nothing of a free step, and nothing of an optional one left out', () => {
    expect(as({ part: 'free' }, { minutes: 99 })).toEqual([]);
    expect(as({ part: 'held' }, { minutes: 99 })).toEqual(['99 min instead of 10.']);
    expect(as({ optional: true }, { status: 'skipped' })).toEqual([]);
    expect(as({ skipped: true }, { status: 'skipped' })).toEqual([]);
    expect(as({ skipped: true })).toEqual(['Done, though it was to be left out.']);
  });

  it('goes by the plan’s own tolerance', () => {
    expect(as({ tolerance: 0.5 }, { minutes: 15 })).toEqual([]);
    expect(as({ tolerance: 0.1 }, { minutes: 11.5 })).toEqual(['11.5 min instead of 10.']);
    expect(as({ tolerance: 0.1 }, { dose: { kind: 'unknown' } })).toEqual([
      'Amount not recorded; 10 g planned.',
    ]);
  });

  it('is told in words of each setting', () => {
    expect(as({}, { productId: null })).toEqual(['No product instead of Kelp Gel.']);
    expect(as({ productId: null })).toEqual(['Kelp Gel instead of no product.']);
    expect(as({}, { sections: 8 })).toEqual(['8 sections instead of 4.']);
    expect(as({}, { minutes: null })).toEqual(['Minutes not recorded; 10 min planned.']);
    const extra = (planned: StepSettings['extra'], was: StepSettings['extra']) =>
      as({ extra: planned }, { extra: was });
    expect(extra({ stopAt: 100 }, { stopAt: 75 })).toEqual([
      expect.stringMatching(/75.* instead of .*100.*\.$/),
    ]);
    expect(extra({ stopAt: 100 }, {})).toEqual([expect.stringMatching(/^Not recorded: .*100.*\.$/)]);
  });

  it('are not what a tester says of the amount', () => {
    for (const mark of ['too-much', 'too-little', 'little-enough', 'disliked'] as const)
      expect(departures(done({ marks: [{ mark, reason: 'untold' }] }))).toEqual([]);
  });

  it('says which setting it was, and whether it departed or cannot be shown', () => {
    const [tool, minutes] = departures(done({ minutes: 30, tool: null }));
    expect(tool).toMatchObject({ verdict: 'cannot show', fact: { setting: 'tool', a: null, b: 'fingers' } });
    expect(minutes).toMatchObject({
      verdict: 'departed',
      fact: { setting: 'minutes', a: 30, b: 10, off: 2 },
    });
    expect(departures(done({ marks: [{ mark: 'ran-out', reason: 'empty' }] }))).toEqual([
      { verdict: 'departed', what: 'mark', mark: 'ran-out', reason: 'empty' },
    ]);
    expect(departures(done({ status: 'skipped' }))).toEqual([{ verdict: 'departed', what: 'skipped' }]);
  });

  it('reads a measured pump by what this product’s pump was weighed at', () => {
    const pump = (amount: number) => ({ kind: 'exact', amount, measure: 'pump', per: 'head' }) as const;
    const step = done({ dose: pump(7), planned: { ...plan, dose: pump(5) } });
    expect(departures(step).map(({ verdict }) => verdict)).toEqual(['departed']);
  });
});

describe('departures told in one tap', () => {
  it('are also what went otherwise and was told in one tap, with its reason where there is one', () => {
    const step = { ...EMPTY_SETTINGS, status: 'done' as const, planned: { ...EMPTY_SETTINGS } };
    const marks = [
      { mark: 'ran-out' as const, reason: 'empty' as const },
      { mark: 'interrupted' as const, reason: 'untold' as const },
    ];
    expect(told({ ...step, marks })).toEqual(['Ran out (not enough left).', 'Interrupted.']);
  });
});
