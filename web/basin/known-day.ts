import type { WashDay } from '@sabor/contract/wash-day';
import { get, Refused } from '../api/http.ts';
import { keepDay, keptDay } from './kept.ts';

const known = new Map<string, WashDay>();

/**
 * Takes what the server said of a wash day and gives the newest that is known: an answer that was on its way while taps
 * were heard knows less than the answer to those taps, and must not take them from the screen again.
 */
export function newestOf(day: WashDay): WashDay {
  const before = known.get(day.id);
  if (before && before.tapsHeard > day.tapsHeard) return before;
  known.set(day.id, day);
  void keepDay(day).catch(() => {});
  return day;
}

/** A wash day from the server; without it, the last that this device knows. */
export async function readDay(id: string): Promise<WashDay> {
  try {
    return newestOf(await get<WashDay>(`/wash-days/${id}`));
  } catch (error) {
    if (error instanceof Refused && error.status > 0 && error.status < 500) throw error;
    const kept = known.get(id) ?? (await keptDay(id).catch(() => undefined));
    if (!kept) throw error;
    return kept;
  }
}
