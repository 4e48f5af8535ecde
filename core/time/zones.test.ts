import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { momentsOf, startOfDay, zoneOffset } from './zones.ts';

const iso = (moments: readonly number[]) => moments.map((ms) => new Date(ms).toISOString());
const at = (date: string, hour: number, minute = 0) => {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  return { year, month, day, hour, minute };
};

/* Clock changes as published in the IANA time zone database; Node.js ships it. */
describe('a wall clock in a time zone', () => {
  it('is one moment on an ordinary day', () => {
    expect(iso(momentsOf(at('2026-11-25', 14, 30), 'Europe/Paris'))).toEqual(['2026-11-25T13:30:00.000Z']);
    expect(iso(momentsOf(at('2026-07-01', 14), 'America/St_Johns'))).toEqual(['2026-07-01T16:30:00.000Z']);
    expect(iso(momentsOf(at('2026-07-01', 14), 'Asia/Kathmandu'))).toEqual(['2026-07-01T08:15:00.000Z']);
  });

  it('is no moment in the hour left out in spring', () => {
    expect(momentsOf(at('2026-03-29', 2, 30), 'Europe/Paris')).toEqual([]);
    expect(momentsOf(at('2026-03-08', 2, 0), 'America/New_York')).toEqual([]);
    expect(iso(momentsOf(at('2026-03-29', 3), 'Europe/Paris'))).toEqual(['2026-03-29T01:00:00.000Z']);
  });

  it('is two moments in the hour that comes twice in autumn', () => {
    expect(iso(momentsOf(at('2026-10-25', 2, 30), 'Europe/Paris'))).toEqual([
      '2026-10-25T00:30:00.000Z',
      '2026-10-25T01:30:00.000Z',
    ]);
    expect(momentsOf(at('2026-04-05', 2, 30), 'Australia/Sydney')).toHaveLength(2);
    expect(momentsOf(at('2026-04-05', 1, 45), 'Australia/Lord_Howe')).toHaveLength(2);
  });

  it('shows again what a moment showed, for every zone and moment', () => {
    const zones = [
      'Europe/Paris',
      'America/Sao_Paulo',
      'Asia/Kolkata',
      'Pacific/Apia',
      'Africa/Casablanca',
      'UTC',
    ];
    fc.assert(
      fc.property(
        fc.integer({ min: Date.UTC(2012, 0, 1) / 60_000, max: Date.UTC(2030, 0, 1) / 60_000 }),
        fc.constantFrom(...zones),
        (minutes, zone) => {
          const ms = minutes * 60_000;
          const wall = new Date(ms + zoneOffset(ms, zone) * 60_000);
          const moments = momentsOf(
            {
              year: wall.getUTCFullYear(),
              month: wall.getUTCMonth() + 1,
              day: wall.getUTCDate(),
              hour: wall.getUTCHours(),
              minute: wall.getUTCMinutes(),
            },
            zone,
          );
          expect(moments).toContain(ms);
        },
      ),
    );
  });

  it('begins a day at its first moment, also where midnight is left out', () => {
    expect(iso([startOfDay('2026-11-25', 'America/New_York')])).toEqual(['2026-11-25T05:00:00.000Z']);
    expect(iso([startOfDay('2018-11-04', 'America/Sao_Paulo')])).toEqual(['2018-11-04T03:00:00.000Z']);
  });

  it('refuses a zone that is not one', () => {
    expect(() => zoneOffset(0, 'Nowhere/Else')).toThrow(RangeError);
  });
});
