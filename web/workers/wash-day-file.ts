import { type Remote, wrap } from 'comlink';
import type { WashDayFile } from './wash-day-file.worker.ts';

/** A spreadsheet of wash days held and read off the page's thread until it is let go. */
export function openWashDayFile(): { file: Remote<WashDayFile>; close: () => void } {
  const worker = new Worker(new URL('./wash-day-file.worker.ts', import.meta.url), { type: 'module' });
  return { file: wrap<WashDayFile>(worker), close: () => worker.terminate() };
}
