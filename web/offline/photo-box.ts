import type { PhotographInput, PhotographReceived } from '@sabor/contract/photograph';
import { PHOTOGRAPH_LIMIT, PIECE } from '@sabor/core/basin/photograph-size';
import { useSyncExternalStore } from 'react';
import { Refused } from '../http/http.ts';
import { type KeptPhoto, keepPhoto, keptPhotos, letGoPhoto } from './kept.ts';

/** A photograph on its way: kept on this device until the server has all of it. */
export interface BoxedPhoto extends KeptPhoto {
  /** Address of the picture in this page. */
  url: string;
  sent: number;
  /** A sentence, where the server will not take it. */
  refused: string | null;
  /** Whether it is written down on this device; what is not is gone with the page. */
  kept: boolean;
}

let box: readonly BoxedPhoto[] = [];
const listeners = new Set<() => void>();
const set = (to: readonly BoxedPhoto[]) => {
  box = to;
  for (const tell of listeners) tell();
};
const mark = (id: string, to: Partial<BoxedPhoto>) =>
  set(box.map((one) => (one.photo.id === id ? { ...one, ...to } : one)));

export const usePhotoBox = (): readonly BoxedPhoto[] =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => box,
  );

let stored: (washDayId: string) => void = () => {};
/** Who is told that a wash day has one more photograph on the server. */
export const onPhotoStored = (take: (washDayId: string) => void): void => {
  stored = take;
};

async function ask(path: string, init: RequestInit): Promise<PhotographReceived> {
  const response = await fetch(`/api${path}`, { method: 'PUT', ...init });
  if (response.ok) return (await response.json()) as PhotographReceived;
  const problem = (await response.json().catch(() => null)) as { detail?: string } | null;
  throw new Refused({ status: response.status, detail: problem?.detail ?? 'The server does not answer.' });
}

/** Sends one photograph from where the server has it up to. */
async function sendOne({ photo, blob }: BoxedPhoto): Promise<void> {
  const json = { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(photo) };
  let { received } = await ask(`/photographs/${photo.id}`, json);
  mark(photo.id, { sent: received });
  while (received < photo.size) {
    const piece = await blob.slice(received, received + PIECE).arrayBuffer();
    ({ received } = await ask(`/photographs/${photo.id}/bytes?from=${received}`, {
      headers: { 'Content-Type': 'application/octet-stream' },
      body: piece,
    }));
    mark(photo.id, { sent: received });
  }
  await letGoPhoto(photo.id).catch(() => {});
  stored(photo.washDayId);
  set(box.filter((one) => one.photo.id !== photo.id));
}

let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits, one photograph after the other; tries again where the server does not answer. */
export async function sendPhotos(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    for (let next = waiting(); next; next = waiting()) {
      try {
        await sendOne(next);
      } catch (error) {
        if (!(error instanceof Refused) || error.status === 0 || error.status >= 500) throw error;
        mark(next.photo.id, { refused: error.message });
      }
    }
  } catch {
    timer = setTimeout(() => void sendPhotos(), 4000);
  } finally {
    sending = false;
  }
}
const waiting = () => box.find(({ refused }) => refused === null);

/** Takes a photograph into the box: kept on this device first, then sent. */
export async function boxPhoto(photo: PhotographInput, blob: Blob): Promise<void> {
  set([...box, { photo, blob, url: URL.createObjectURL(blob), sent: 0, refused: null, kept: false }]);
  await keepPhoto({ photo, blob }).then(
    () => mark(photo.id, { kept: true }),
    () => {
      // The disk is full, or this window keeps nothing: it is said beside the picture.
    },
  );
  void sendPhotos();
}

/** Takes a photograph that is not yet on the server back out of the box. */
export async function unboxPhoto(id: string): Promise<void> {
  set(box.filter((one) => one.photo.id !== id));
  await letGoPhoto(id).catch(() => {});
}

export async function openPhotoBox(): Promise<void> {
  const kept = await keptPhotos().catch(() => []);
  const here = new Set(box.map(({ photo }) => photo.id));
  set([
    ...box,
    ...kept
      .filter(({ photo }) => !here.has(photo.id))
      .map((one) => ({ ...one, url: URL.createObjectURL(one.blob), sent: 0, refused: null, kept: true })),
  ]);
  addEventListener('online', () => void sendPhotos());
  void sendPhotos();
}

/** Longest side a photograph is stored with, pixels. */
const LONGEST = 3000;

/**
 * A picture file made fit to be stored: turned as its camera says, at most 3,000 pixels long, and drawn afresh, so that
 * nothing of where and how it was taken is left in it. Throws a sentence for a file that is no picture.
 */
export async function fitPicture(
  file: Blob,
): Promise<{ blob: Blob; width: number; height: number; type: 'image/jpeg' }> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('This file is not a picture that this browser can read.');
  });
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext('2d')!;
  pen.imageSmoothingQuality = 'high';
  pen.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  for (const quality of [0.92, 0.8, 0.6]) {
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (blob.size <= PHOTOGRAPH_LIMIT) return { blob, width, height, type: 'image/jpeg' };
  }
  throw new Error('This picture stays over 12 MB, even made smaller. Take it again, closer or simpler.');
}
