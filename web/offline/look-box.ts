import type { LookInput, Looks } from '@sabor/contract/looks';
import { v7 } from 'uuid';
import { put } from '../http/http.ts';
import { createBox } from './box.ts';
import { type KeptLook, lookStore } from './kept.ts';

let stored: (looks: Looks) => void = () => {};
/** Who is told what looks the server then has. */
export const onLookStored = (take: (looks: Looks) => void): void => {
  stored = take;
};

const box = createBox<KeptLook>({
  idOf: ({ id }) => id,
  keep: ({ id, look }) => lookStore.keep({ id, look }),
  letGo: lookStore.letGo,
  stored: lookStore.all,
  send: async ({ look }) => stored(await put<Looks>(`/looks/${look.id}`, look)),
});

export const useLookBox = box.use;
export const unboxLook = box.drop;
export const lookAgain = box.again;
export const openLookBox = box.open;
export const boxLook = (look: LookInput): Promise<boolean> => box.add({ id: v7(), look });
