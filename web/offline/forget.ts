import { forgetKeptDays } from './kept.ts';

/** Takes away what this device keeps of the server's answers; what was told here and not sent yet stays. */
export async function forgetThisDevice(): Promise<void> {
  for (const name of (await globalThis.caches?.keys()) ?? []) await caches.delete(name);
  sessionStorage.clear();
  await forgetKeptDays().catch(() => {});
}
