import { storable } from '@sabor/contract/storable';
import type { NewTap, Tap, TapsHeard } from '@sabor/contract/taps';
import type { WashDay } from '@sabor/contract/wash-day';
import { useSyncExternalStore } from 'react';
import { v7 } from 'uuid';
import { deviceName, post, Refused } from '../http/http.ts';
import {
  forgetRefused,
  isOnlyHere,
  type KeptTap,
  keepTap,
  keptTaps,
  letGo,
  type RefusedHere,
  refusedHere,
} from './kept.ts';
import { databaseOf } from './known-day.ts';

/**
 * Taps of the basin on their way to the server. Each is shown at once, kept on this device before anything else, and
 * sent in its order whenever the server answers; the server hears each once, by its id. Decision 013.
 */
export interface Outbox {
  /** Not yet known to the server, in order. */
  waiting: readonly KeptTap[];
  /** How many of them this device has not yet written down. */
  unwritten: number;
  refused: readonly RefusedHere[];
  /** The server answered last time it was asked; true until it did not. */
  reached: boolean;
  /** This device could not write a tap down; it is sent all the same while the page is open. */
  noStore: boolean;
  /** Why the server did not take the taps of a wash day, though it answered; they stay here. */
  held: Readonly<Record<string, string>>;
  /** By how much this device's clock is ahead of the server's, ms; 0 where it is right. */
  clockAheadMs: number;
}

let state: Outbox = {
  waiting: [],
  unwritten: 0,
  refused: [],
  reached: true,
  noStore: false,
  held: {},
  clockAheadMs: 0,
};
const listeners = new Set<() => void>();
const set = (to: Partial<Outbox>) => {
  state = { ...state, ...to };
  for (const tell of listeners) tell();
};

export const useOutbox = (): Outbox =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => state,
  );

let dayHeard: (day: WashDay) => void = () => {};
/** Where a wash day goes that the server has answered with. */
export const onDayHeard = (take: (day: WashDay) => void): void => {
  dayHeard = take;
};

let lastMoment = 0;
/** Moments of one device never run backwards and never repeat, whatever its clock does. */
function momentNow(): string {
  lastMoment = Math.max(Date.now(), lastMoment + 1);
  return new Date(lastMoment).toISOString();
}

/** Places of taps that are shown but not yet written down: below every written one's successor, never sent twice. */
let unwrittenPlace = Number.MAX_SAFE_INTEGER / 2;

/** Takes a tap: shown now, written down next, sent when it can be. Settles when it is written down. */
export async function makeTap(washDayId: string, said: NewTap): Promise<void> {
  const start = performance.now();
  const at = momentNow();
  // A note cut in the middle of an emoji becomes one that can be stored.
  const clean = storable({ ...said, id: v7({ msecs: Date.parse(at) }), at });
  if (clean.problem !== null) throw new Error(clean.problem);
  const tap = clean.value as Tap;
  const database = databaseOf(washDayId);
  const shown: KeptTap = { place: ++unwrittenPlace, washDayId, database, tap };
  // The writing is under way before the page is drawn again.
  const keeping = keepTap({ washDayId, database, tap });
  set({ waiting: [...state.waiting, shown], unwritten: state.unwritten + 1 });
  try {
    const place = await keeping;
    // Read by the bench: how long a tap takes to be safe on this device.
    performance.measure('tap kept', { start });
    set({
      waiting: state.waiting.map((one) => (one === shown ? { ...one, place } : one)),
      unwritten: state.unwritten - 1,
    });
  } catch {
    set({ unwritten: state.unwritten - 1, noStore: true });
  }
  send();
}

/** Taps by their wash day and the database it was read from. */
const byDay = (taps: readonly KeptTap[]): KeptTap[][] => {
  const days = new Map<string, KeptTap[]>();
  for (const one of taps) {
    const key = `${one.washDayId} ${one.database ?? ''}`;
    days.set(key, [...(days.get(key) ?? []), one]);
  }
  return [...days.values()];
};

const BATCH = 200;

/**
 * Sends one wash day's taps; true when the server has heard them all. Only what it names as heard is let go: whatever
 * else it answers, the taps stay.
 */
async function sendDay(taps: readonly KeptTap[], most = BATCH): Promise<boolean> {
  const batch = taps.slice(0, most);
  const [{ washDayId, database }] = batch as [KeptTap];
  let answer: TapsHeard;
  try {
    answer = await post<TapsHeard>(`/wash-days/${washDayId}/taps`, {
      device: deviceName(),
      now: new Date().toISOString(),
      ...(database ? { database } : {}),
      taps: batch.map(({ tap }) => tap),
    });
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    if (error.status === 413 && batch.length > 1) return sendDay(taps, Math.ceil(batch.length / 2));
    const reached = error.status !== 0 && error.status < 500;
    const why =
      error.status === 404 && (await isOnlyHere(washDayId))
        ? 'this wash day was begun here and is not on the server yet.'
        : error.message;
    set({ reached, held: reached ? { ...state.held, [washDayId]: why } : state.held });
    // One that is too large alone holds up no other.
    if (error.status === 413 && taps.length > 1) await sendDay(taps.slice(1), most);
    return false;
  }
  const refused = answer.refused.map((one) => ({ ...one, washDayId }));
  const done = new Set(answer.heard);
  const gone = batch.filter(({ tap }) => done.has(tap.id));
  await letGo(
    gone.map(({ place }) => place),
    refused,
  ).catch(() => {});
  const { [washDayId]: _, ...held } = state.held;
  set({
    reached: true,
    held,
    clockAheadMs: answer.clockAheadMs,
    waiting: state.waiting.filter(({ tap }) => !done.has(tap.id)),
    refused: [...state.refused.filter(({ id }) => !done.has(id)), ...refused],
  });
  dayHeard(answer.day);
  return taps.length <= most || sendDay(taps.slice(most), most);
}

const WAITS = [500, 1000, 2000, 5000, 10_000];
let sending = false;
let again = false;
let failed = 0;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends whatever waits, one round at a time; tries again later where the server did not answer. */
export function send(): void {
  if (sending) {
    again = true;
    return;
  }
  sending = true;
  clearTimeout(timer);
  const round = async () => {
    // What another window of this device has kept goes out too; what could not be written down is only here.
    const kept = await keptTaps().catch(() => []);
    const known = new Set(kept.map(({ tap }) => tap.id));
    const here = state.noStore ? state.waiting.filter(({ tap }) => !known.has(tap.id)) : [];
    let well = true;
    for (const taps of byDay([...kept, ...here])) well = (await sendDay(taps)) && well;
    return well;
  };
  const locked = navigator.locks ? navigator.locks.request('sabor outbox', round) : round();
  locked
    .catch(() => false)
    .then((well) => {
      sending = false;
      failed = well ? 0 : failed + 1;
      if (!well) timer = setTimeout(send, WAITS[Math.min(failed, WAITS.length) - 1]);
      else if (again) queueMicrotask(send);
      again = false;
    });
}

/** Reads what an earlier page left behind, and begins to send it. */
export async function openOutbox(): Promise<void> {
  const [kept, refused] = await Promise.all([keptTaps(), refusedHere()]).catch(
    () => [[], []] as [KeptTap[], RefusedHere[]],
  );
  const here = new Set(state.waiting.map(({ tap }) => tap.id));
  set({
    waiting: [...kept.filter(({ tap }) => !here.has(tap.id)), ...state.waiting],
    refused: [...refused, ...state.refused],
  });
  addEventListener('online', send);
  document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && send());
  send();
}

/** Takes a refused tap's sentence away once it has been read. */
export function readRefused(id: string): void {
  set({ refused: state.refused.filter((one) => one.id !== id) });
  void forgetRefused(id).catch(() => {});
}
