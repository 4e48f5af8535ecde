import type { PhotographInput, PhotographReceived } from '@sabor/contract/photograph';
import {
  PHOTOGRAPH_LIMIT,
  PHOTOGRAPH_PIXELS,
  PIECE,
  PRODUCT_PICTURE_LIMIT,
} from '@sabor/core/basin/photograph-size';
import { noteSignIn, Refused } from '../http/http.ts';
import { createBox } from './box.ts';
import { isOnlyHere, type KeptPhoto, keepPhoto, keptPhotos, letGoPhoto } from './kept.ts';

/** A photograph on its way. */
interface GoingPhoto extends KeptPhoto {
  /** Address of the picture in this page. */
  url: string;
  sent: number;
}

let stored: (washDayId: string) => void = () => {};
/** Who is told that a wash day has one more photograph on the server. */
export const onPhotoStored = (take: (washDayId: string) => void): void => {
  stored = take;
};

async function ask(path: string, init: RequestInit): Promise<PhotographReceived> {
  const response = await fetch(`/api${path}`, { method: 'PUT', ...init });
  noteSignIn(response);
  if (response.ok) return (await response.json()) as PhotographReceived;
  const problem = (await response.json().catch(() => null)) as { detail?: string } | null;
  throw new Refused({ status: response.status, detail: problem?.detail ?? 'The server does not answer.' });
}

const going = (one: KeptPhoto): GoingPhoto => ({ ...one, url: URL.createObjectURL(one.blob), sent: 0 });

const box = createBox<GoingPhoto>({
  idOf: ({ photo }) => photo.id,
  keep: ({ photo, blob }) => keepPhoto({ photo, blob }),
  letGo: letGoPhoto,
  stored: async () => (await keptPhotos()).map(going),
  // From where the server has it up to.
  send: async ({ photo, blob }, mark) => {
    // Its wash day was begun here and is on its way before it.
    if (await isOnlyHere(photo.washDayId))
      throw new Refused({ status: 0, detail: 'Its wash day is on its way.' });
    const json = { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(photo) };
    let { received } = await ask(`/photographs/${photo.id}`, json);
    mark({ sent: received });
    while (received < photo.size) {
      const piece = await blob.slice(received, received + PIECE).arrayBuffer();
      ({ received } = await ask(`/photographs/${photo.id}/bytes?from=${received}`, {
        headers: { 'Content-Type': 'application/octet-stream' },
        body: piece,
      }));
      mark({ sent: received });
    }
    stored(photo.washDayId);
  },
});

export const usePhotoBox = box.use;
export const unboxPhoto = box.drop;
export const openPhotoBox = box.open;
export const boxPhoto = (photo: PhotographInput, blob: Blob): Promise<boolean> =>
  box.add(going({ photo, blob }));

const KEPT_AS_TAKEN = ['image/jpeg', 'image/png', 'image/webp'] as const;
type KeptType = (typeof KEPT_AS_TAKEN)[number];

/**
 * A picture file as its camera wrote it, so that strands can still be told apart in it; the server takes out what it says
 * of place and maker. One of a kind that is not kept, too large or with too many pixels is drawn afresh, smaller. Throws a
 * sentence for a file that is no picture.
 */
export async function asTaken(
  file: Blob,
): Promise<{ blob: Blob; width: number; height: number; type: KeptType }> {
  const type = KEPT_AS_TAKEN.find((one) => one === file.type);
  if (!type || file.size > PHOTOGRAPH_LIMIT) return fitPicture(file);
  const { width, height } = await sizeOf(file);
  return width * height > PHOTOGRAPH_PIXELS ? fitPicture(file) : { blob: file, width, height, type };
}

async function sizeOf(file: Blob): Promise<{ width: number; height: number }> {
  const bitmap = await drawable(file);
  const { width, height } = bitmap;
  bitmap.close();
  return { width, height };
}

const drawable = (file: Blob): Promise<ImageBitmap> =>
  createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('This file is not a picture that this browser can read.');
  });

/** Longest side of a picture that is drawn afresh, pixels. */
const LONGEST = 3000;

/**
 * A picture file made fit to be stored: turned as its camera says, at most 3,000 pixels long, and drawn afresh, so that
 * nothing of where and how it was taken is left in it. Throws a sentence for a file that is no picture.
 */
export async function fitPicture(
  file: Blob,
): Promise<{ blob: Blob; width: number; height: number; type: 'image/jpeg' }> {
  const bitmap = await drawable(file);
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext('2d')!;
  pen.imageSmoothingQuality = 'high';
  pen.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  for (const quality of [0.92, 0.8, 0.6]) {
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (blob.size <= PRODUCT_PICTURE_LIMIT) return { blob, width, height, type: 'image/jpeg' };
  }
  throw new Error('This picture stays over 12 MB, even made smaller. Take it again, closer or simpler.');
}
