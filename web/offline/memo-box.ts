import type { Memo, MemoInput } from '@sabor/contract/memo';
import { put, sendMedia } from '../http/http.ts';
import { createBox } from './box.ts';
import { type KeptMemo, memoStore } from './kept.ts';

let stored: (all: Memo[]) => void = () => {};
/** Who is told what notes the server has, once it took one. */
export const onMemoStored = (take: (all: Memo[]) => void): void => {
  stored = take;
};

const box = createBox<KeptMemo>({
  idOf: ({ memo }) => memo.id,
  keep: ({ memo, sound }) => memoStore.keep({ memo, sound }),
  letGo: memoStore.letGo,
  stored: memoStore.all,
  // A sound goes first, what was typed with it after: an address is too short for many words.
  send: async ({ memo, sound }) => {
    if (sound) {
      const beside = encodeURIComponent(JSON.stringify({ ...memo, words: '' }));
      stored(await sendMedia<Memo[]>(`/memos/${memo.id}/sound?memo=${beside}`, sound));
    }
    if (memo.words) stored(await put<Memo[]>(`/memos/${memo.id}`, { ...memo, seconds: null }));
  },
});

export const useMemoBox = box.use;
export const unboxMemo = box.drop;
export const memoAgain = box.again;
export const openMemoBox = box.open;
export const boxMemo = (memo: MemoInput, sound: Blob | null): Promise<boolean> => box.add({ memo, sound });
