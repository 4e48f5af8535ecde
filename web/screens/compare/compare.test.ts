import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { PLAIN_EVENT } from '@sabor/reading/nothing-told';
import { describe, expect, it } from 'vitest';
import { nightMarks } from './night-marks.ts';
import { zoneDifferences } from './zone-differences.ts';

const look = (...ratings: [string | null, number][]) => ({
  stage: 'wear',
  day: 1,
  ratings: ratings.map(([zoneId, value]) => ({ outcome: 'frizz', zoneId, value })),
});
const day = (armId: string, to: object = {}) => ({
  armId,
  status: 'finished',
  revealAt: '2026-03-10T11:00:00Z',
  checkIns: [],
  events: [],
  ...to,
});
const trial = (...washDayRecords: object[]) =>
  ({ arms: [{ id: 'a' }, { id: 'b' }], onDay: 1, washDayRecords }) as unknown as TrialDetail;
const sideOf = (zone: string) => (zone.endsWith('right') ? 'right' : 'left');
const wearer = { timeZone: 'UTC', zones: [] as Wearer['zones'], curls: [] as Wearer['curls'] } as Wearer;

describe('differences by zone', () => {
  it('are arm b’s mean less arm a’s, where both were rated', () => {
    const found = zoneDifferences(
      trial(
        day('a', { checkIns: [look(['crown', 4], ['nape', 2])] }),
        day('a', { checkIns: [look(['crown', 6])] }),
        day('b', { checkIns: [look(['crown', 8], ['fringe', 1])] }),
      ),
      'frizz',
      'a',
      'b',
      sideOf,
    );
    expect([...found]).toEqual([['crown', 3]]);
  });

  it('leave out abandoned days, other outcomes, later days and whole-head ratings', () => {
    const other = { stage: 'wear', day: 2, ratings: [{ outcome: 'frizz', zoneId: 'crown', value: 9 }] };
    const found = zoneDifferences(
      trial(
        day('a', { status: 'abandoned', checkIns: [look(['crown', 9])] }),
        day('a', { checkIns: [look(['crown', 4], [null, 9]), other] }),
        day('b', { checkIns: [look(['crown', 5])] }),
      ),
      'frizz',
      'a',
      'b',
      sideOf,
    );
    expect([...found]).toEqual([['crown', 1]]);
    expect(zoneDifferences(trial(day('a'), day('b')), 'frizz', 'a', 'b', sideOf).size).toBe(0);
  });
});

describe('differences by zone of a half-head', () => {
  it('take each zone’s arm from its side', () => {
    const found = zoneDifferences(
      trial(
        day('a', { rightArmId: 'b', checkIns: [look(['crown left', 4], ['crown right', 7])] }),
        day('b', { rightArmId: 'a', checkIns: [look(['crown left', 6], ['crown right', 3])] }),
      ),
      'frizz',
      'a',
      'b',
      sideOf,
    );
    expect([...found]).toEqual([
      ['crown left', 2],
      ['crown right', 4],
    ]);
  });
});

describe('marks under the wear curve', () => {
  const event = (kind: string, on: string, to: object = {}) => ({ ...PLAIN_EVENT, kind, on, ...to });

  it('count events by day of wear and arm', () => {
    const marks = nightMarks(
      trial(
        day('a', { events: [event('wind', '2026-03-11'), event('bonnet', '2026-03-10')] }),
        day('a', { revealAt: '2026-03-20T11:00:00Z', events: [event('wind', '2026-03-21')] }),
        day('b', { events: [event('wind', '2026-03-11')] }),
      ),
      wearer,
    );
    expect(marks).toEqual([
      { day: 1, arm: 0, kind: 'bonnet', times: 1 },
      { day: 2, arm: 0, kind: 'wind', times: 2 },
      { day: 2, arm: 1, kind: 'wind', times: 1 },
    ]);
  });

  it('leave out what came before the reveal, and days without one', () => {
    const events = [event('rain', '2026-03-09')];
    expect(nightMarks(trial(day('a', { events }), day('a', { revealAt: null, events })), wearer)).toEqual([]);
  });

  it('count days on the wearer’s own calendar', () => {
    const late = day('a', { revealAt: '2026-03-10T23:30:00Z', events: [event('wind', '2026-03-11')] });
    expect(nightMarks(trial(late), { ...wearer, timeZone: 'Asia/Tokyo' } as Wearer)[0]!.day).toBe(1);
    expect(nightMarks(trial(late), wearer)[0]!.day).toBe(2);
  });

  it('stand on the side they were on, and leave out what needed nothing or did not happen', () => {
    const halves = day('a', {
      rightArmId: 'b',
      events: [
        event('edges', '2026-03-11', { zoneIds: ['zr'] }),
        event('covered', '2026-03-11', { zoneIds: ['zl'] }),
        event('rain', '2026-03-11'),
        event('nothing-needed', '2026-03-12'),
        event('workout', '2026-03-12', { announced: true }),
      ],
    });
    const sided = {
      ...wearer,
      zones: [
        { id: 'zl', side: 'left' },
        { id: 'zr', side: 'right' },
      ],
    } as Wearer;
    expect(nightMarks(trial(halves), sided).map(({ arm, kind }) => [arm, kind])).toEqual([
      [0, 'covered'],
      [0, 'rain'],
      [1, 'edges'],
      [1, 'rain'],
    ]);
  });
});
