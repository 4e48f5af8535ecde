import { describe, expect, it } from 'vitest';
import { shareAt, shareWords } from '../../drawings/share-bars.tsx';
import { dewPointAhead, placeNow } from './start-asked.ts';

const air = (temperatureC: number, humidity: number) => ({
  at: '2026-11-25T12:00:00Z',
  temperatureC,
  humidity,
  windMs: null,
  gustMs: null,
});

describe('what a screening begins with', () => {
  it('is the mean dew point foreseen, else that of the last readings, to half a degree', () => {
    expect(dewPointAhead([air(20, 60), air(20, 60)], [air(5, 90)])).toBe(12);
    expect(dewPointAhead([], [air(20, 60)])).toBe(12);
    expect(dewPointAhead([], [])).toBeNull();
    expect(dewPointAhead([air(20, 0)], [])).toBeNull();
  });

  it('is the place of the newest stay that has begun', () => {
    const stays = [
      { id: '1', wearerId: 'a', placeId: 'home', from: '2026-01-01' },
      { id: '2', wearerId: 'a', placeId: 'away', from: '2026-11-20' },
      { id: '3', wearerId: 'a', placeId: 'later', from: '2026-12-20' },
      { id: '4', wearerId: 'b', placeId: 'other', from: '2026-01-01' },
    ];
    expect(placeNow({ places: [], stays }, 'a', '2026-11-25')).toBe('away');
    expect(placeNow({ places: [], stays }, 'a', '2026-02-01')).toBe('home');
    expect(placeNow({ places: [], stays }, 'c', '2026-02-01')).toBeNull();
    expect(placeNow(undefined, 'a', '2026-02-01')).toBeNull();
  });
});

describe('share bars', () => {
  it('stand on a log scale from a thousandth to all of it', () => {
    expect([0.001, 0.1, 10, 100].map(shareAt)).toEqual([0, 0.4, 0.8, 1]);
    expect(shareAt(0)).toBe(0);
    expect(shareAt(1000)).toBe(1);
  });

  it('say a share in two figures and never as a false zero', () => {
    expect([0, 0.003, 0.024, 0.5, 2, 4.56, 12.4, 100].map(shareWords)).toEqual([
      '0',
      '0.003',
      '0.02',
      '0.5',
      '2',
      '4.6',
      '12',
      '100',
    ]);
  });
});
