import { describe, expect, it } from 'vitest';
import { excludedBy, type HAIR_EVENTS, historyOutcome } from '../history.ts';
import { isWeak, PRIOR, readPorosity } from './reading.ts';
import { outcomeOfMeasure, outcomesOf, POROSITY_TESTS, type PorosityTestKind } from './tests.ts';

const KINDS = Object.keys(POROSITY_TESTS) as PorosityTestKind[];

describe('the model’s tables', () => {
  it.each(KINDS)('%s: the chances of its outcomes sum to 1 for every porosity', (kind) => {
    for (const porosity of [0, 1, 2])
      expect(outcomesOf(kind).reduce((sum, [, { chance }]) => sum + chance[porosity]!, 0)).toBeCloseTo(1, 9);
  });

  it.each(KINDS)('%s: measured tests cover every result once, chosen ones have no bounds', (kind) => {
    const bounds = outcomesOf(kind).map(([, { below }]) => below);
    if (POROSITY_TESTS[kind].unit === null) expect(bounds.every((below) => below === undefined)).toBe(true);
    else {
      expect(bounds.at(-1)).toBeUndefined();
      const inner = bounds.slice(0, -1) as number[];
      expect(inner).toEqual(inner.toSorted((a, b) => a - b));
    }
  });

  it('calls the float test and air-drying weak, the bead and wetting through not', () => {
    expect(KINDS.filter(isWeak)).toEqual(expect.arrayContaining(['float', 'air-dry']));
    for (const kind of ['bead', 'wet-through', 'product'] as const) expect(isWeak(kind)).toBe(false);
  });

  it('bins a measured result', () => {
    expect(outcomeOfMeasure('bead', 0)).toBe('fast');
    expect(outcomeOfMeasure('bead', 29.9)).toBe('fast');
    expect(outcomeOfMeasure('bead', 30)).toBe('middling');
    expect(outcomeOfMeasure('bead', 600)).toBe('slow');
    expect(() => outcomeOfMeasure('bead', -1)).toThrow(RangeError);
    expect(() => outcomeOfMeasure('bead', Number.NaN)).toThrow(RangeError);
  });
});

describe('a porosity reading', () => {
  it('without evidence is the prior, and asks for the bead test first', () => {
    const { probabilities, call, moved, next } = readPorosity([]);
    expect(Object.values(probabilities)).toEqual([...PRIOR]);
    expect(call).toBeNull();
    expect(moved).toEqual([]);
    expect(next[0]!.kind).toBe('bead');
    expect(next).toHaveLength(KINDS.length);
  });

  it('by hand: a slow bead gives .195, .100 and .024 over .319', () => {
    const { probabilities, call } = readPorosity([{ kind: 'bead', outcome: 'slow' }]);
    expect(probabilities.low).toBeCloseTo(0.195 / 0.319, 9);
    expect(probabilities.medium).toBeCloseTo(0.1 / 0.319, 9);
    expect(call).toBe('low');
  });

  it('is clear when tests agree, and not when they quarrel', () => {
    const high = readPorosity([
      { kind: 'bead', outcome: 'fast' },
      { kind: 'product', outcome: 'sinks' },
      { kind: 'history', outcome: 'lifted' },
    ]);
    expect(high.call).toBe('high');
    expect(high.probabilities.high).toBeGreaterThan(0.85);
    expect(
      readPorosity([
        { kind: 'bead', outcome: 'slow' },
        { kind: 'wet-through', outcome: 'fast' },
      ]).call,
    ).toBeNull();
  });

  it('is hardly moved by the float test', () => {
    const { moved } = readPorosity([
      { kind: 'bead', outcome: 'slow' },
      { kind: 'float', outcome: 'floats' },
    ]);
    const float = moved.find(({ evidence }) => evidence.kind === 'float')!;
    expect(Math.max(...Object.values(float.by).map(Math.abs))).toBeLessThan(0.05);
    expect(float.weak).toBe(true);
    expect(moved[0]!.evidence.kind).toBe('bead');
  });

  it('says how much each piece moved it: what is without it, taken from what is', () => {
    const [only] = readPorosity([{ kind: 'slide', outcome: 'rough' }]).moved;
    const { probabilities } = readPorosity([{ kind: 'slide', outcome: 'rough' }]);
    expect(only!.by.high).toBeCloseTo(probabilities.high - PRIOR[2], 12);
    expect(only!.by.low + only!.by.medium + only!.by.high).toBeCloseTo(0, 12);
  });

  it('does not ask for a test that was made, and expects less from any as it grows sure', () => {
    const few = readPorosity([{ kind: 'bead', outcome: 'slow' }]);
    expect(few.next.some(({ kind }) => kind === 'bead')).toBe(false);
    const many = readPorosity([
      { kind: 'bead', outcome: 'slow' },
      { kind: 'wet-through', outcome: 'slow' },
      { kind: 'product', outcome: 'sits' },
    ]);
    expect(many.next[0]!.bits).toBeLessThan(few.next[0]!.bits);
  });

  it('refuses an outcome the test does not have', () => {
    expect(() => readPorosity([{ kind: 'float', outcome: 'flies' }])).toThrow(RangeError);
  });
});

describe('history as evidence', () => {
  const event = (kind: keyof typeof HAIR_EVENTS, on: string, ...zoneIds: string[]) => ({ kind, on, zoneIds });

  it('is the heaviest thing this zone has been through', () => {
    const events = [
      event('colour', '2025-01-01', 'ends'),
      event('heat', '2026-01-01'),
      event('trim', '2026-02-01'),
    ];
    expect(historyOutcome(events, 'ends')).toBe('colour');
    expect(historyOutcome(events, 'crown')).toBe('heat');
    expect(historyOutcome([...events, event('bleach', '2024-01-01', 'ends')], 'ends')).toBe('lifted');
    expect(historyOutcome([], 'crown')).toBe('none');
    expect(historyOutcome(events, null)).toBe('heat');
  });

  it('begins anew with a big cut', () => {
    const events = [event('bleach', '2024-01-01'), event('big-cut', '2025-01-01')];
    expect(historyOutcome(events, 'crown')).toBe('none');
    expect(historyOutcome([...events, event('colour', '2025-06-01')], 'crown')).toBe('colour');
  });

  it('knows what cannot be on one day', () => {
    expect(excludedBy('braids-in', ['trim', 'braids-out'])).toBe('braids-out');
    expect(excludedBy('braids-out', ['braids-in'])).toBe('braids-in');
    expect(excludedBy('trim', ['colour'])).toBeNull();
  });
});
