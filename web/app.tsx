import { QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { queryClient } from './api/queries.ts';
import { heard, onStruckOut } from './http/http.ts';
import { onBegun, openEnvelopes } from './offline/envelopes.ts';
import { forgetThisDevice } from './offline/forget.ts';
import { newestOf } from './offline/known-day.ts';
import { onMemoStored, openMemoBox } from './offline/memo-box.ts';
import { onDayHeard, openOutbox } from './offline/outbox.ts';
import { onPhotoStored, openPhotoBox } from './offline/photo-box.ts';
import { router } from './routes.tsx';
import { UndoProvider } from './ui/undo.tsx';

/** Lets the worker hear what the page has heard already; the page itself has no use for it. */
async function keepWhatWasHeard(): Promise<void> {
  // Read to its end: an answer that nobody takes must not hold its connection.
  for (const path of heard)
    await fetch(`/api${path}`)
      .then((answer) => answer.arrayBuffer())
      .catch(() => {});
}

/** Opens the application; `build` is the address of the script that began it, another for every build. */
export function start(build: string): void {
  const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
  if (nonce) setNonce(nonce);

  onDayHeard((heard) => {
    const key = ['wash-days', heard.id];
    const day = newestOf(heard, performance.now());
    // An answer that is still on its way was asked for before these taps were heard.
    void queryClient.cancelQueries({ queryKey: key }).then(() => queryClient.setQueryData(key, day));
    queryClient.setQueryData(key, day);
    for (const key of ['trials', 'today']) void queryClient.invalidateQueries({ queryKey: [key] });
  });
  onBegun((day) => {
    queryClient.setQueryData(['wash-days', day.id], day);
    for (const key of ['trials', 'today']) void queryClient.invalidateQueries({ queryKey: [key] });
  });
  void openEnvelopes();
  void openOutbox();
  onPhotoStored((id) => void queryClient.invalidateQueries({ queryKey: ['wash-days', id] }));
  void openPhotoBox();
  onMemoStored((all) => queryClient.setQueryData(['memos'], all));
  void openMemoBox();
  onStruckOut(() => void forgetThisDevice());
  if (import.meta.env.PROD && 'serviceWorker' in navigator) {
    // What this first page asked for before the worker was in charge goes by it once more, so that it is kept.
    if (!navigator.serviceWorker.controller)
      navigator.serviceWorker.addEventListener('controllerchange', () => void keepWhatWasHeard(), {
        once: true,
      });
    // Another build is another address, and is kept afresh.
    navigator.serviceWorker.register(`/offline.js?of=${encodeURIComponent(build)}`).catch(() => {
      // Without it a reload needs the server; everything else stays.
    });
  }

  // Not as a transition: what the router hears between its first render and its mounting, when it begins to listen, would be lost.
  createRoot(document.getElementById('sabor')!).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <UndoProvider>
          <RouterProvider router={router} />
        </UndoProvider>
      </QueryClientProvider>
    </StrictMode>,
  );
}
