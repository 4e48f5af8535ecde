import type { Memo, MemoInput } from '@sabor/contract/memo';
import { useSyncExternalStore } from 'react';
import { put, Refused, sendSound } from '../http/http.ts';
import { type KeptMemo, keepMemo, keptMemos, letGoMemo } from './kept.ts';

/** A note on its way: kept on this device until the server has it. */
export interface BoxedMemo extends KeptMemo {
  /** A sentence, where the server will not take it. */
  refused: string | null;
}

let box: readonly BoxedMemo[] = [];
const listeners = new Set<() => void>();
const set = (to: readonly BoxedMemo[]) => {
  box = to;
  for (const tell of listeners) tell();
};

export const useMemoBox = (): readonly BoxedMemo[] =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => box,
  );

let stored: (all: Memo[]) => void = () => {};
/** Who is told what notes the server has, once it took one. */
export const onMemoStored = (take: (all: Memo[]) => void): void => {
  stored = take;
};

let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits, one note after the other; tries again where the server does not answer. */
export async function sendMemos(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    for (let next = waiting(); next; next = waiting()) {
      const { memo, sound } = next;
      try {
        // A sound goes first, what was typed with it after: an address is too short for many words.
        if (sound) {
          const beside = encodeURIComponent(JSON.stringify({ ...memo, words: '' }));
          stored(await sendSound<Memo[]>(`/memos/${memo.id}/sound?memo=${beside}`, sound));
        }
        if (memo.words) stored(await put<Memo[]>(`/memos/${memo.id}`, { ...memo, seconds: null }));
        await letGoMemo(memo.id).catch(() => {});
        set(box.filter((one) => one.memo.id !== memo.id));
      } catch (error) {
        if (!(error instanceof Refused) || error.status === 0 || error.status >= 500) throw error;
        set(box.map((one) => (one.memo.id === memo.id ? { ...one, refused: error.message } : one)));
      }
    }
  } catch {
    timer = setTimeout(() => void sendMemos(), 4000);
  } finally {
    sending = false;
  }
}
const waiting = () => box.find(({ refused }) => refused === null);

/** Takes a note into the box: kept on this device first, then sent. Gives whether this device could keep it. */
export async function boxMemo(memo: MemoInput, sound: Blob | null): Promise<boolean> {
  set([...box, { memo, sound, refused: null }]);
  const kept = await keepMemo({ memo, sound }).then(
    () => true,
    () => false,
  );
  void sendMemos();
  return kept;
}

/** Takes a note that the server refused back out of the box. */
export async function unboxMemo(id: string): Promise<void> {
  set(box.filter(({ memo }) => memo.id !== id));
  await letGoMemo(id).catch(() => {});
}

export async function openMemoBox(): Promise<void> {
  const kept = await keptMemos().catch(() => []);
  const here = new Set(box.map(({ memo }) => memo.id));
  set([...box, ...kept.filter(({ memo }) => !here.has(memo.id)).map((one) => ({ ...one, refused: null }))]);
  addEventListener('online', () => void sendMemos());
  void sendMemos();
}
