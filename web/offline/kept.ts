import type { Envelope } from '@sabor/contract/envelope';
import type { LookInput } from '@sabor/contract/looks';
import type { MemoInput } from '@sabor/contract/memo';
import type { PhotographInput } from '@sabor/contract/photograph';
import type { Tap } from '@sabor/contract/taps';
import type { StartWashDay, WashDay } from '@sabor/contract/wash-day';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** A tap kept on this device until the server has it; `place` is its order. */
export interface KeptTap {
  place: number;
  washDayId: string;
  /** The database the wash day was read from; its taps are for no other. */
  database: string | null;
  tap: Tap;
}

/** A tap the server could not take, kept until it has been read. */
export interface RefusedHere {
  id: string;
  washDayId: string;
  detail: string;
}

/** A photograph kept on this device until the server has all of it. */
export interface KeptPhoto {
  photo: PhotographInput;
  blob: Blob;
}

/** A note kept on this device until the server has it; its sound, where it has one. */
export interface KeptMemo {
  memo: MemoInput;
  sound: Blob | null;
}

/** What somebody said of a look, kept on this device until the server has it: some of its ratings, or its note. */
export interface KeptLook {
  id: string;
  look: LookInput;
}

interface Kept extends DBSchema {
  days: { key: string; value: WashDay };
  photos: { key: string; value: KeptPhoto };
  taps: { key: number; value: Omit<KeptTap, 'place'> };
  refused: { key: string; value: RefusedHere };
}

let opened: Promise<IDBPDatabase<Kept>> | null = null;
const open = () => {
  opened ??= openDB<Kept>('sabor basin', 1, {
    upgrade(db) {
      db.createObjectStore('taps', { autoIncrement: true });
      db.createObjectStore('refused', { keyPath: 'id' });
      db.createObjectStore('photos', { keyPath: 'photo.id' });
      db.createObjectStore('days', { keyPath: 'id' });
    },
  });
  return opened;
};

/** A store by itself in a database of its own: one of another number would wait for every tab that still has the old one open. */
function ownStore<Item>(database: string, store: string, keyPath: string) {
  let opened: Promise<IDBPDatabase> | null = null;
  const open = () => {
    opened ??= openDB(database, 1, { upgrade: (db) => void db.createObjectStore(store, { keyPath }) });
    return opened;
  };
  return {
    keep: async (item: Item): Promise<unknown> => {
      askToStay();
      return (await open()).put(store, item);
    },
    all: async (): Promise<Item[]> => (await open()).getAll(store),
    letGo: async (id: string): Promise<void> => (await open()).delete(store, id),
  };
}

let asked = false;
/** Asks the browser, once, not to clear what waits here when its disk runs short. */
function askToStay(): void {
  if (!asked) void navigator.storage?.persist?.().catch(() => false);
  asked = true;
}

/** Keeps a tap, down to the disk, and gives its place. */
export async function keepTap(one: Omit<KeptTap, 'place'>): Promise<number> {
  askToStay();
  const db = await open();
  const writing = db.transaction('taps', 'readwrite', { durability: 'strict' });
  const adding = writing.store.add(one);
  // Asked for at once: a page that is left in the same moment no longer takes its tap with it.
  writing.commit();
  const [place] = await Promise.all([adding, writing.done]);
  return place;
}

/** Every tap still kept, in the order they were made. */
export async function keptTaps(): Promise<KeptTap[]> {
  const reading = (await open()).transaction('taps');
  const [places, values] = await Promise.all([reading.store.getAllKeys(), reading.store.getAll()]);
  return values.map((value, i) => ({ ...value, database: value.database ?? null, place: places[i]! }));
}

/** Lets go of taps the server has; those it refused stay as sentences. */
export async function letGo(places: readonly number[], refused: readonly RefusedHere[]): Promise<void> {
  const db = await open();
  const writing = db.transaction(['taps', 'refused'], 'readwrite', { durability: 'strict' });
  await Promise.all([
    ...places.map((place) => writing.objectStore('taps').delete(place)),
    ...refused.map((one) => writing.objectStore('refused').put(one)),
    writing.done,
  ]);
}

export const refusedHere = async (): Promise<RefusedHere[]> => (await open()).getAll('refused');
export const forgetRefused = async (id: string): Promise<void> => (await open()).delete('refused', id);

export const keepPhoto = async (photo: KeptPhoto): Promise<unknown> => {
  askToStay();
  return (await open()).put('photos', photo);
};
export const keptPhotos = async (): Promise<KeptPhoto[]> => (await open()).getAll('photos');
export const letGoPhoto = async (id: string): Promise<void> => (await open()).delete('photos', id);

export const memoStore = ownStore<KeptMemo>('sabor memos', 'memos', 'memo.id');
/** A wash day that was prepared here, sealed. Its key can be used by this page, and not be read out of the browser. */
export interface KeptEnvelope extends Omit<Envelope, 'key'> {
  key: CryptoKey;
}

/** A wash day that was begun here from its envelope and is not yet on the server. */
export interface KeptStart {
  id: string;
  start: StartWashDay;
}

export const envelopeStore = ownStore<KeptEnvelope>('sabor envelopes', 'envelopes', 'washDayId');
export const startStore = ownStore<KeptStart>('sabor starts', 'starts', 'id');
/** Whether a wash day was begun here and the server does not know of it yet. */
export const isOnlyHere = async (washDayId: string): Promise<boolean> =>
  (await startStore.all().catch(() => [])).some(({ id }) => id === washDayId);
export const lookStore = ownStore<KeptLook>('sabor looks', 'looks', 'id');

/** The last that was known of a wash day from the server, for times without it. */
export const keepDay = async (day: WashDay): Promise<unknown> => (await open()).put('days', day);
export const keptDay = async (id: string): Promise<WashDay | undefined> => (await open()).get('days', id);
/** Forgets every wash day that was kept for times without the server. */
export const forgetKeptDays = async (): Promise<void> => (await open()).clear('days');
