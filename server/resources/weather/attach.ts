import type { WashDay } from '@sabor/contract/wash-day';
import type { AttachedAir, DayAir } from '@sabor/contract/weather';
import { nearest, summarise } from '@sabor/core/climate/observation';
import { localDate, startOfDay } from '@sabor/core/time/zones';
import type { Client } from '../../db/pool.ts';

/** Days after its start over which a wash day's weather is followed. */
const FOLLOWED_DAYS = 10;
const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** A wash day as its own store reads it, before the weather is with it. */
export type BareDay = Omit<WashDay, 'air' | 'days' | 'checkIns'> & {
  timeZone: string;
  checkIns: Omit<WashDay['checkIns'][number], 'air'>[];
  outdoors: { on: string; outdoorHours: number | null; indoorHours: number | null }[];
};

interface Stay {
  wearerId: string;
  placeId: string;
  place: string;
  from: number;
}

/** Where each wearer was from which moment on, by the calendar of the place they came to. */
async function readStays(db: Client, wearerIds: readonly string[]): Promise<Stay[]> {
  const { rows } = await db.query<Omit<Stay, 'from'> & { on: string; timeZone: string }>(
    `select s.wearer_id as "wearerId", p.id as "placeId", p.name as place, s.from_on as "on", p.time_zone as "timeZone"
     from stay s join locality p on p.id = s.locality_id where s.wearer_id = any($1::uuid[]) order by s.from_on`,
    [[...new Set(wearerIds)]],
  );
  return rows.map(({ on, timeZone, ...stay }) => ({ ...stay, from: startOfDay(on, timeZone) }));
}

/** The moment until which a wash day's weather counts: the end of its wear, or its last look, or now. */
function endOf(day: BareDay, now: number): number {
  const known = day.wearEnd ? Date.parse(day.wearEnd.at) : now;
  const last = Math.max(known, ...day.checkIns.map(({ at }) => Date.parse(at)));
  return Math.min(last, Date.parse(day.startedAt) + FOLLOWED_DAYS * DAY);
}

type PlacedReading = AttachedAir;

/** A stretch of a wearer's time. */
interface Window {
  wearerId: string;
  from: number;
  to: number;
}

/** Readings of each stretch at the places where its wearer was then, in order of time. */
async function readingsOf(db: Client, stretches: readonly Window[]): Promise<PlacedReading[][]> {
  const stays = await readStays(
    db,
    stretches.map(({ wearerId }) => wearerId),
  );
  const windows = stretches.flatMap(({ wearerId, from, to }, n) => {
    const mine = stays.filter((stay) => stay.wearerId === wearerId);
    return mine.flatMap((stay, i) => {
      const begins = Math.max(from, stay.from);
      const ends = Math.min(to, mine[i + 1]?.from ?? Number.POSITIVE_INFINITY);
      return begins < ends
        ? [{ n, place: stay.placeId, from: new Date(begins).toISOString(), to: new Date(ends).toISOString() }]
        : [];
    });
  });
  const found: PlacedReading[][] = stretches.map(() => []);
  if (windows.length === 0) return found;
  const { rows } = await db.query<PlacedReading & { n: number }>(
    `select w.n, r.at, r.temperature_c as "temperatureC", r.humidity, r.wind_ms as "windMs", r.gust_ms as "gustMs",
       coalesce(b.source, 'station') as source, p.name as place
     from jsonb_to_recordset($1::jsonb) as w(n int, place uuid, "from" timestamptz, "to" timestamptz)
     join weather_reading r on r.locality_id = w.place and r.at >= w."from" and r.at < w."to"
     join locality p on p.id = w.place left join weather_batch b on b.id = r.batch_id
     order by w.n, r.at`,
    [JSON.stringify(windows)],
  );
  for (const { n, ...reading } of rows) found[n]!.push(reading);
  return found;
}

/** When a wash was, and whose. */
export interface WashAir {
  wearerId: string;
  at: string;
}

/** The air at each wash, where its wearer was; null where no reading tells. */
export async function airAtWash(db: Client, washes: readonly WashAir[]): Promise<(AttachedAir | null)[]> {
  const around = await readingsOf(
    db,
    washes.map(({ wearerId, at }) => ({
      wearerId,
      from: Date.parse(at) - 3 * HOUR,
      to: Date.parse(at) + 3 * HOUR,
    })),
  );
  return washes.map(({ at }, i) => nearest(around[i]!, at));
}

function dayAirs(day: BareDay, readings: readonly PlacedReading[], now: number): DayAir[] {
  const dates: string[] = [];
  for (let ms = Date.parse(day.startedAt); ; ms += 12 * HOUR) {
    const end = endOf(day, now);
    const on = localDate(new Date(Math.min(ms, end)).toISOString(), day.timeZone);
    if (dates.at(-1) !== on) dates.push(on);
    if (ms >= end) break;
  }
  const byDate = new Map<string, PlacedReading[]>(dates.map((on) => [on, []]));
  for (const reading of readings) byDate.get(localDate(reading.at, day.timeZone))?.push(reading);
  return dates.map((on) => {
    const mine = byDate.get(on)!;
    const places = [...new Set(mine.map(({ place }) => place))];
    const hours = day.outdoors.find((one) => one.on === on);
    return {
      on,
      place: places.length ? places.join(', then ') : null,
      air: summarise(mine),
      outdoorHours: hours?.outdoorHours ?? null,
      indoorHours: hours?.indoorHours ?? null,
    };
  });
}

/**
 * Puts the weather to wash days, their looks and each day of their wear, by where the wearer was and when. Days are
 * those of the wearer's own calendar, so that a journey neither adds nor drops one. Nothing is copied: readings that
 * come in later are there the next time.
 */
export async function withWeather(db: Client, days: readonly BareDay[], now: number): Promise<WashDay[]> {
  const all = await readingsOf(
    db,
    days.map((day) => ({
      wearerId: day.wearerId,
      from: Date.parse(day.startedAt) - DAY,
      to: endOf(day, now) + DAY,
    })),
  );
  return days.map((day, n) => {
    const readings = all[n]!;
    const { timeZone, outdoors, ...rest } = day;
    return {
      ...rest,
      air: nearest(readings, day.washedAt ?? day.startedAt),
      days: dayAirs(day, readings, now),
      checkIns: day.checkIns.map((look) => ({ ...look, air: nearest(readings, look.at) })),
    };
  });
}
