import { useSyncExternalStore } from 'react';
import { Refused } from '../http/http.ts';

/** How long is waited before what the server did not answer goes again, ms. */
const AGAIN_MS = 4000;

/** No answer to what was sent: there was none, nobody is signed in here, it was too much at once, or the server broke. */
const isForLater = (status: number): boolean =>
  status === 0 || status === 401 || status === 429 || status >= 500;

/** Something on its way to the server. */
export type Boxed<Item> = Item & {
  /** A sentence, where the server will not take it. */
  refused: string | null;
  /** Whether it is written down on this device; what is not is gone with the page. */
  kept: boolean;
};

/**
 * A box on this device for what must not be lost on its way: kept first, then sent, one after the other, until the server
 * has it. What it refuses stays, with its sentence, until it is tried again or taken out; a reload tries it again too.
 */
export function createBox<Item>({
  idOf,
  keep,
  letGo,
  stored,
  send,
}: {
  idOf: (item: Item) => string;
  keep: (item: Item) => Promise<unknown>;
  letGo: (id: string) => Promise<unknown>;
  /** What this device still keeps of earlier. */
  stored: () => Promise<Item[]>;
  /** Sends one whole; `mark` tells how far it is. */
  send: (item: Item, mark: (to: Partial<Item>) => void) => Promise<void>;
}) {
  let box: readonly Boxed<Item>[] = [];
  const listeners = new Set<() => void>();
  const set = (to: readonly Boxed<Item>[]) => {
    box = to;
    for (const tell of listeners) tell();
  };
  const mark = (id: string, to: Partial<Boxed<Item>>) =>
    set(box.map((one) => (idOf(one) === id ? { ...one, ...to } : one)));
  const out = (id: string) => set(box.filter((one) => idOf(one) !== id));

  let sending = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const sendAll = async (): Promise<void> => {
    if (sending) return;
    sending = true;
    clearTimeout(timer);
    try {
      for (;;) {
        const next = box.find(({ refused }) => refused === null);
        if (!next) break;
        const id = idOf(next);
        try {
          await send(next, (to) => mark(id, to as Partial<Boxed<Item>>));
          await letGo(id).catch(() => {});
          out(id);
        } catch (error) {
          if (!(error instanceof Refused) || isForLater(error.status)) throw error;
          mark(id, { refused: error.message } as Partial<Boxed<Item>>);
        }
      }
    } catch {
      timer = setTimeout(() => void sendAll(), AGAIN_MS);
    } finally {
      sending = false;
    }
  };

  return {
    use: (): readonly Boxed<Item>[] =>
      useSyncExternalStore(
        (tell) => {
          listeners.add(tell);
          return () => listeners.delete(tell);
        },
        () => box,
      ),
    /** Takes one in. Gives whether this device could keep it: its disk may be full, or the window private. */
    add: async (item: Item): Promise<boolean> => {
      set([...box, { ...item, refused: null, kept: false }]);
      const kept = await keep(item).then(
        () => true,
        () => false,
      );
      if (kept) mark(idOf(item), { kept } as Partial<Boxed<Item>>);
      void sendAll();
      return kept;
    },
    /** Takes one that is not yet on the server back out. */
    drop: async (id: string): Promise<void> => {
      out(id);
      await letGo(id).catch(() => {});
    },
    /** Tries one again that was refused. */
    again: (id: string): void => {
      mark(id, { refused: null } as Partial<Boxed<Item>>);
      void sendAll();
    },
    open: async (): Promise<void> => {
      const before = await stored().catch(() => []);
      const here = new Set(box.map(idOf));
      set([
        ...box,
        ...before.filter((one) => !here.has(idOf(one))).map((one) => ({ ...one, refused: null, kept: true })),
      ]);
      addEventListener('online', () => void sendAll());
      void sendAll();
    },
  };
}
