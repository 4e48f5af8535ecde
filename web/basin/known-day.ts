import type { WashDay } from '@sabor/contract/wash-day';
import { get, Refused } from '../api/http.ts';
import { keepDay, keptDay } from './kept.ts';

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

/** A wash day from the server; without it, the last that this device knows. */
export async function readDay(id: string): Promise<WashDay> {
  const askedAt = performance.now();
  try {
    return newestOf(await get<WashDay>(`/wash-days/${id}`), askedAt);
  } catch (error) {
    if (error instanceof Refused && error.status > 0 && error.status < 500) throw error;
    const kept = known.get(id)?.day ?? (await keptDay(id).catch(() => undefined));
    if (!kept) throw error;
    known.set(id, { day: kept, heardAt: known.get(id)?.heardAt ?? askedAt });
    return kept;
  }
}
