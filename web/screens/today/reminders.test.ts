import type { Due } from '@sabor/contract/today';
import { describe, expect, it } from 'vitest';
import { pressing } from './reminders.ts';

const ofDay = { trialId: 't', question: 'Which?', wearerName: 'Una', number: 2, of: 8, washDayId: 'd' };
const kinds = (due: Due[]) => pressing(due, '2026-11-29').map(({ one }) => one.kind);

describe('what is reminded of', () => {
  it('is what waits for a person and an hour, and nothing that only waits', () => {
    expect(
      kinds([
        { kind: 'check-in', stage: 'wear', day: 2, ...ofDay },
        { kind: 'night', setWaits: false, ...ofDay },
        { kind: 'end wear', ...ofDay },
        { kind: 'bottle', productId: 'p', productName: 'Gel', last: '2026-12-01', past: false },
        { kind: 'care', wearerId: 'w', wearerName: 'Una', care: [] },
      ]),
    ).toEqual(['check-in', 'night', 'end wear']);
  });

  it('is a wash day on the day it was put on, or later, and a patch test once its hours are over', () => {
    const { washDayId: _, ...ofTrial } = ofDay;
    const start = (on: string | null): Due => ({ kind: 'start wash day', begun: true, on, ...ofTrial });
    expect(kinds([start(null), start('2026-11-30')])).toEqual([]);
    expect(kinds([start('2026-11-29'), start('2026-11-20')])).toEqual(['start wash day', 'start wash day']);
    const patch = (over: boolean): Due => ({
      kind: 'patch test',
      wearerId: 'w',
      wearerName: 'Una',
      productName: 'Gel',
      until: '2026-11-29T10:00:00Z',
      timeZone: 'UTC',
      over,
    });
    expect(kinds([patch(false), patch(true)])).toEqual(['patch test']);
  });

  it('is told by one key a day, another for another day worn', () => {
    const look = (day: number): Due => ({ kind: 'check-in', stage: 'wear', day, ...ofDay });
    const [one, other] = pressing([look(2), look(3)], '2026-11-29');
    expect(one!.key).not.toBe(other!.key);
    expect(pressing([look(2)], '2026-11-29')[0]!.key).toBe(one!.key);
    expect(pressing([look(2)], '2026-11-30')[0]!.key).not.toBe(one!.key);
  });
});
