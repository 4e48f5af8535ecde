import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { demoBackup } from '../../demo/scenario.ts';
import { type Db, transaction } from '../../server/db/pool.ts';
import { clear, isEmpty, loadBackup, saveBackup } from '../../server/resources/backup/store.ts';
import { saveDemoState } from '../../server/resources/settings/store.ts';

/** Loads the demo scenario, dated up to now, into an empty database. */
export async function loadDemo(db: Db): Promise<void> {
  await loadBackup(db, demoBackup(new Date()));
  await saveDemoState(db, 'loaded');
}

/** Replaces everything by a fresh demo; what was there is first written to a file in `folder`, whose name it gives. */
export async function resetToDemo(db: Db, folder: string | null): Promise<string | null> {
  let kept: string | null = null;
  if (folder && !(await isEmpty(db))) {
    mkdirSync(folder, { recursive: true });
    kept = path.join(folder, `sabor backup ${new Date().toISOString().replaceAll(':', '-')}.json`);
    writeFileSync(kept, JSON.stringify(await saveBackup(db)), { mode: 0o600 });
  }
  await transaction(db, clear);
  await loadDemo(db);
  return kept;
}
