import type { Pulse } from '@sabor/contract/wash-day';
import { get } from '../http/http.ts';
import { pulseOf } from './known-day.ts';

/** Between two questions to a server that does not keep them waiting, or does not answer, ms. */
const PACE_MS = 4000;

const seconds = (ms: number, stop: AbortSignal) =>
  new Promise<void>((resolve) => {
    const timer = setTimeout(resolve, ms);
    stop.addEventListener('abort', () => {
      clearTimeout(timer);
      resolve();
    });
  });

/** Until the page is looked at; a page in the background follows nothing. */
const seen = (stop: AbortSignal) =>
  new Promise<void>((resolve) => {
    if (document.visibilityState === 'visible' || stop.aborted) return resolve();
    document.addEventListener('visibilitychange', () => resolve(), { once: true, signal: stop });
    stop.addEventListener('abort', () => resolve());
  });

/** Follows a wash day: calls `changed`, and waits for it, whenever the server has another state of it than this page read last. Gives how it ends. */
export function followDay(id: string, changed: () => Promise<unknown>): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  void (async () => {
    while (!signal.aborted) {
      await seen(signal);
      // A page that has just opened reads the day by itself.
      if (pulseOf(id) === undefined) await seconds(PACE_MS, signal);
      if (signal.aborted) return;
      const since = pulseOf(id);
      let waited = false;
      try {
        const asked = since === undefined ? '' : `?since=${encodeURIComponent(since)}`;
        const answer = await get<Pulse>(`/wash-days/${id}/pulse${asked}`, signal);
        ({ waited } = answer);
        if (answer.pulse !== since && !signal.aborted) await changed();
      } catch {
        // No server: what is known stays.
      }
      // One that keeps a question waiting paces it; but a state that cannot be read must not be asked for without pause.
      if (!waited || pulseOf(id) === since) await seconds(waited ? 250 : PACE_MS, signal);
    }
  })();
  return () => stop.abort();
}
