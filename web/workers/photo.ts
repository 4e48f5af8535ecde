import { proxy, type Remote, wrap } from 'comlink';
import type { PhotoWorker } from './photo.worker.ts';

export type { Brought, MeasuredPicture } from './photo.worker.ts';
export { proxy };

/** Pictures drawn and measured off the page's thread; `close` ends the work at once. */
export function openPhotoWorker(): { photo: Remote<PhotoWorker>; close: () => void } {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  return { photo: wrap<PhotoWorker>(worker), close: () => worker.terminate() };
}
