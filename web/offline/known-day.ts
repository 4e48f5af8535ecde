import type { Pulse, WashDay } from '@sabor/contract/wash-day';
import { get, Refused } from '../http/http.ts';
import { isOnlyHere, keepDay, keptDay } from './kept.ts';

/** What was last said of each wash day, and when this page heard it. */
const known = new Map<string, { day: WashDay; heardAt: number }>();

/**
 * Takes what the server said of a wash day and gives the newest that is known: an answer that was asked for before taps
 * were heard, and knows fewer of them, must not take them from the screen again. `askedAt`: on the page's own clock, ms.
 */
export function newestOf(day: WashDay, askedAt: number): WashDay {
  const before = known.get(day.id);
  if (before && askedAt < before.heardAt && day.tapsHeard < before.day.tapsHeard) return before.day;
  known.set(day.id, { day, heardAt: performance.now() });
  void keepDay(day).catch(() => {});
  return day;
}

/** The database a wash day was last read from; null where this page has not read it. */
export const databaseOf = (washDayId: string): string | null => known.get(washDayId)?.day.database ?? null;

/** What the server called the state of each wash day when this page last read it. */
const pulses = new Map<string, string>();

/**
 * A wash day from the server; without it, the last that this device knows. `live` asks first whether anything has
 * changed, and fetches the day only then; a day that is not known yet is fetched at once.
 */
export async function readDay(id: string, live = false): Promise<WashDay> {
  const askedAt = performance.now();
  try {
    const pulse = live && known.has(id) ? (await get<Pulse>(`/wash-days/${id}/pulse`)).pulse : null;
    const same = pulse !== null && pulses.get(id) === pulse ? known.get(id) : undefined;
    if (same) return same.day;
    const at = pulse === null ? '' : `?at=${encodeURIComponent(pulse)}`;
    const day = newestOf(await get<WashDay>(`/wash-days/${id}${at}`), askedAt);
    if (pulse !== null) pulses.set(id, pulse);
    return day;
  } catch (error) {
    const isOurs = error instanceof Refused && error.status === 404 && (await isOnlyHere(id));
    if (error instanceof Refused && error.status > 0 && error.status < 500 && !isOurs) throw error;
    const kept = known.get(id)?.day ?? (await keptDay(id).catch(() => undefined));
    if (!kept) throw error;
    known.set(id, { day: kept, heardAt: known.get(id)?.heardAt ?? askedAt });
    return kept;
  }
}

/** What the server called the state of a wash day when this page last read it. */
export const pulseOf = (id: string): string | undefined => pulses.get(id);
