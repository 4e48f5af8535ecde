import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { describe, expect, it } from 'vitest';
import { panelRecord } from './panel-record.ts';

const wearer = (id: string) =>
  ({ id, timeZone: 'UTC', zones: [{ id: `z ${id}`, side: 'left' }], curls: [] }) as unknown as Wearer;
const trial = (id: string, order: (string | null)[], values: number[]) =>
  ({
    id,
    wearerId: id,
    design: 'complete',
    status: 'finished',
    arms: [
      { id: 'a', name: 'A' },
      { id: 'b', name: 'B' },
    ],
    plan: [],
    weights: [{ zoneId: `z ${id}`, weight: 1 }],
    primary: 'frizz',
    onDay: 1,
    looks: 1,
    lookedAt: null,
    amendments: [],
    outcomesShownAt: null,
    endedAt: '2026-02-01T00:00:00Z',
    allocation: order.map((arm) => arm && { left: arm, right: arm }),
    washDayRecords: values.map((value, position) => ({
      id: `${id} ${position}`,
      position,
      status: 'finished',
      armId: order[position],
      rightArmId: null,
      wearEnd: null,
      steps: [],
      events: [],
      checkIns: [
        {
          stage: 'wear',
          day: 1,
          at: '2026-01-01T09:00:00Z',
          ratings: [{ outcome: 'frizz', zoneId: `z ${id}`, value }],
          curls: [],
        },
      ],
    })),
  }) as unknown as TrialDetail;

describe('a panel as its test reads it', () => {
  it('has a row a head: its arms in their order, and their numbers', () => {
    const record = panelRecord(
      [trial('una', ['a', 'b'], [3, 5]), trial('wanda', ['b', 'a'], [6])],
      [wearer('una'), wearer('wanda')],
    );
    expect(record.rows).toEqual([
      [0, 1],
      [1, 0],
    ]);
    expect(record.values).toEqual([
      [3, 5],
      [6, null],
    ]);
  });

  it('knows nothing of what is sealed', () => {
    expect(panelRecord([trial('una', ['a', null], [3])], [wearer('una')])).toEqual({
      rows: [[0, -1]],
      values: [[3, null]],
    });
  });
});
