import { type HairTest, HairTestInput } from '@sabor/contract/hair-file';
import { fieldsOf } from '@sabor/contract/problem';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { evidenceOn } from './porosity-evidence.ts';

const test = (to: Partial<HairTest>): HairTest => ({
  id: v7(),
  wearerId: v7(),
  zoneId: null,
  kind: 'bead',
  value: 200,
  outcome: null,
  on: '2026-01-01',
  note: '',
  ...to,
});
const told = (
  tests: HairTest[],
  zoneId: string | null,
  events: Parameters<typeof evidenceOn>[0]['events'] = [],
) => evidenceOn({ tests, events }, zoneId).map(({ kind, outcome }) => `${kind} ${outcome}`);

describe('evidence on a zone', () => {
  it('takes the newest result of each test', () => {
    expect(told([test({ value: 10, on: '2026-02-01' }), test({ value: 200 })], null)).toEqual(['bead fast']);
  });

  it('prefers the zone’s own result, however old, and never another zone’s', () => {
    const tests = [
      test({ zoneId: 'crown', value: 10, on: '2020-01-01' }),
      test({ value: 200, on: '2026-02-01' }),
      test({ zoneId: 'nape', value: 60 }),
    ];
    expect(told(tests, 'crown')).toEqual(['bead fast']);
    expect(told(tests, 'fringe')).toEqual(['bead slow']);
    expect(told(tests, null)).toEqual(['bead slow']);
  });

  it('reads the timeline once there is one', () => {
    const bleach = {
      id: v7(),
      wearerId: v7(),
      kind: 'bleach' as const,
      on: '2025-01-01',
      zoneIds: ['ends'],
      note: '',
    };
    expect(told([], 'ends', [bleach])).toEqual(['history lifted']);
    expect(told([], 'crown', [bleach])).toEqual(['history none']);
    expect(told([], 'crown')).toEqual([]);
  });
});

describe('a test’s result', () => {
  const faults = (to: Partial<HairTest>) => {
    const result = v.safeParse(HairTestInput, test(to));
    return result.success ? [] : fieldsOf(result.issues);
  };

  it('is a number for measured tests and a choice for the others', () => {
    expect(faults({})).toEqual([]);
    expect(faults({ kind: 'slide', value: null, outcome: 'rough' })).toEqual([]);
    expect(faults({ value: null })).toEqual([
      { path: 'value', message: 'This test is measured: give its result as a number.' },
    ]);
    expect(faults({ value: Number.NaN })).toEqual([
      { path: 'value', message: 'The result must be a number.' },
    ]);
    expect(faults({ kind: 'slide', value: null, outcome: 'furry' })).toEqual([
      { path: 'outcome', message: 'Choose what you saw from the list.' },
    ]);
    expect(faults({ on: '2999-01-01' })[0]?.path).toBe('on');
  });

  it('of the history is never typed in: the timeline tells it', () => {
    expect(faults({ kind: 'history', value: null, outcome: 'none' })[0]?.path).toBe('outcome');
  });
});
