import { envelopeStore, forgetKeptDays } from './kept.ts';

/** How many sheets were begun in this tab and not saved. */
export const sheetsBegun = (): number =>
  Object.keys(sessionStorage).filter((key) => key.startsWith('sabor draft ')).length;

/** Takes away what this device keeps of the server's answers, unopened envelopes with it; what was told here and not sent yet stays. */
export async function forgetThisDevice(): Promise<void> {
  for (const name of (await globalThis.caches?.keys()) ?? []) await caches.delete(name);
  sessionStorage.clear();
  await forgetKeptDays().catch(() => {});
  for (const { washDayId } of await envelopeStore.all().catch(() => []))
    await envelopeStore.letGo(washDayId).catch(() => {});
}
