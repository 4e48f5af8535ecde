import { type Remote, wrap } from 'comlink';
import type { ScreeningWorker } from './screening.worker.ts';

let remote: Remote<ScreeningWorker> | null = null;

/** The one worker that holds the dictionary and every formula it has read; it lives as long as the page. */
export function screeningWorker(): Remote<ScreeningWorker> {
  remote ??= wrap<ScreeningWorker>(
    new Worker(new URL('./screening.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
}
