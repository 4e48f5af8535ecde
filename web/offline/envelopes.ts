import type { Envelope } from '@sabor/contract/envelope';
import type { StartWashDay, WashDay } from '@sabor/contract/wash-day';
import { localDate } from '@sabor/core/time/zones';
import { useSyncExternalStore } from 'react';
import { v7 } from 'uuid';
import { get, post, put, remove } from '../http/http.ts';
import { createBox } from './box.ts';
import { envelopeStore, type KeptEnvelope, type KeptStart, keepDay, startStore } from './kept.ts';
import { newestOf } from './known-day.ts';
import { send as sendTaps } from './outbox.ts';

/**
 * Wash days prepared on this device for times without the network: each lies here sealed, is opened by its beginning alone, and
 * that it was opened goes to the server before anything that is told of it. Decision 026.
 */
let kept: readonly KeptEnvelope[] = [];
const listeners = new Set<() => void>();
const set = (to: readonly KeptEnvelope[]) => {
  kept = to;
  for (const tell of listeners) tell();
};

/** The envelope of a trial that lies on this device. */
export const useEnvelope = (trialId: string): KeptEnvelope | undefined =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => kept,
  ).find((one) => one.trialId === trialId);

let begun: (day: WashDay) => void = () => {};
/** Who is told of a wash day that was begun here, on this device alone or on the server too. */
export const onBegun = (take: (day: WashDay) => void): void => {
  begun = take;
};

const starts = createBox<KeptStart>({
  idOf: ({ id }) => id,
  keep: ({ id, start }) => startStore.keep({ id, start }),
  letGo: startStore.letGo,
  stored: startStore.all,
  send: async ({ id, start }) => {
    const told = { ...start, now: new Date().toISOString() };
    begun(newestOf(await put<WashDay>(`/wash-days/${id}`, told), performance.now()));
    sendTaps();
  },
});

/** Beginnings that are not on the server yet, each with why it is not taken, where it is not. */
export const useStarts = starts.use;
export const startAgain = starts.again;

export async function openEnvelopes(): Promise<void> {
  set(await envelopeStore.all().catch(() => []));
  await starts.open();
}

const bytes = (base64: string) => Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));

/** Fetches the next wash day of a trial, sealed, and what its pages need, so that they are kept here. Throws what the server says against it, or that this browser keeps nothing. */
export async function prepare(trialId: string, wearerId: string): Promise<void> {
  const answer = await post<Envelope>(`/trials/${trialId}/envelope`, { id: v7() });
  const { key: raw, ...rest } = answer;
  const key = await crypto.subtle.importKey('raw', bytes(raw), 'AES-GCM', false, ['decrypt']);
  const envelope = { ...rest, key };
  try {
    await envelopeStore.keep(envelope);
  } catch {
    await putBack(trialId);
    throw new Error('This browser keeps nothing, so nothing can be prepared on it. Not in a private window?');
  }
  set([...kept.filter((one) => one.trialId !== trialId), envelope]);
  await Promise.all(
    [`/trials/${trialId}`, `/wearers/${wearerId}`, '/shelf', '/settings'].map((path) => get(path)),
  );
}

/** Takes a trial's envelope back, wherever it lies. */
export async function putBack(trialId: string): Promise<void> {
  await remove(`/trials/${trialId}/envelope`);
  for (const { washDayId } of kept.filter((one) => one.trialId === trialId))
    await envelopeStore.letGo(washDayId).catch(() => {});
  set(kept.filter((one) => one.trialId !== trialId));
}

/** Opens an envelope and begins its wash day now, with or without the network; gives it. */
export async function begin(
  envelope: KeptEnvelope,
  wearEnd: StartWashDay['wearEnd'] = null,
): Promise<WashDay> {
  const { washDayId, trialId, timeZone, key, nonce, sealed } = envelope;
  const text = await crypto.subtle.decrypt({ name: 'AES-GCM', iv: bytes(nonce) }, key, bytes(sealed));
  const startedAt = new Date().toISOString();
  // The day it begins on, not the one it was prepared on; of that one's air nothing is known here.
  const day: WashDay = {
    ...(JSON.parse(new TextDecoder().decode(text)) as WashDay),
    startedAt,
    localDate: localDate(startedAt, timeZone),
    air: null,
    days: [],
  };
  // First what makes it begun, then what shows it: a page that is left in between finds it begun.
  const onDevice = await starts.add({
    id: washDayId,
    start: { id: washDayId, trialId, startedAt, prepared: true, wearEnd },
  });
  await keepDay(day).catch(() => {});
  if (onDevice) await envelopeStore.letGo(washDayId).catch(() => {});
  set(kept.filter((one) => one.washDayId !== washDayId));
  begun(newestOf(day, performance.now()));
  return day;
}
