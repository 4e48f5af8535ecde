import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { describe, expect, it } from 'vitest';
import { airMarks } from './air-marks.ts';

const air = (dewPointC: number | null, windMs: number | null) => ({
  readings: 24,
  lowC: 1,
  highC: 2,
  dewPointC,
  dewPointLowC: dewPointC,
  dewPointHighC: dewPointC,
  humidity: 80,
  windMs,
  gustMs: null,
});
const day = (on: string, one: ReturnType<typeof air> | null) => ({
  on,
  place: 'x',
  air: one,
  outdoorHours: null,
  indoorHours: null,
});
const washDay = (armId: string, date: string, days: object[], to: object = {}) => ({
  armId,
  status: 'finished',
  revealAt: `${date}T12:00:00Z`,
  days,
  ...to,
});
const trial = (...washDayRecords: object[]) =>
  ({ arms: [{ id: 'a' }, { id: 'b' }], washDayRecords }) as unknown as TrialDetail;
const wearer = { timeZone: 'UTC' } as Wearer;

describe('the weather under the wear curve', () => {
  it('is each arm’s mean dew point and strongest wind by day of wear', () => {
    const marks = airMarks(
      trial(
        washDay('a', '2026-01-01', [day('2026-01-01', air(4, 3)), day('2026-01-02', air(6, null))]),
        washDay('a', '2026-01-08', [day('2026-01-08', air(8, 9))]),
        washDay('b', '2026-01-15', [day('2026-01-15', air(null, 2))]),
      ),
      wearer,
    );
    expect(marks).toEqual([
      { day: 1, arm: 0, dewPointC: 6, windMs: 9 },
      { day: 1, arm: 1, dewPointC: null, windMs: 2 },
      { day: 2, arm: 0, dewPointC: 6, windMs: null },
    ]);
  });

  it('leaves out days before the reveal, without readings, and wash days that were abandoned', () => {
    expect(
      airMarks(
        trial(
          washDay('a', '2026-01-02', [day('2026-01-01', air(4, 3)), day('2026-01-02', null)]),
          washDay('b', '2026-01-05', [day('2026-01-05', air(4, 3))], { status: 'abandoned' }),
          washDay('b', '2026-01-06', [day('2026-01-06', air(4, 3))], { revealAt: null }),
        ),
        wearer,
      ),
    ).toEqual([]);
  });
});
