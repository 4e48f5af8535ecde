import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { clipId, clipTables, type Filmed } from '../../demo/clips.ts';
import { type Drawn, photographId, photographTables } from '../../demo/photographs.ts';
import { demoBackup } from '../../demo/scenario.ts';
import { type DemoTrial, TRIALS } from '../../demo/trials.ts';
import { type Db, transaction } from '../../server/db/pool.ts';
import { TABLE_NAMES } from '../../server/db/tables.ts';
import { writeBackup } from '../../server/resources/backup/file.ts';
import { clear, isEmpty, loadBackup } from '../../server/resources/backup/load.ts';
import { jsonSource } from '../../server/resources/backup/read-json.ts';
import type { BackupSource } from '../../server/resources/backup/source.ts';
import { saveDemoState } from '../../server/resources/settings/store.ts';
import { root } from '../install.mjs';

/** Where the demo's photographs lie, as `scripts/draw-demo.ts` drew and read them. */
const DRAWN = path.join(root, 'demo', 'photographs');
/** Where its clips lie, as `scripts/film-demo.ts` filmed them. */
const FILMED = path.join(root, 'demo', 'clips');
const listed = <T>(folder: string): T[] => JSON.parse(readFileSync(path.join(folder, 'index.json'), 'utf8'));

/**
 * The demo scenario with its photographs and clips, dated up to `now`; tables it says nothing of stay empty. `trials` where
 * fewer of them will do.
 */
export function demoSource(now: Date, trials: readonly DemoTrial[] = TRIALS): BackupSource {
  const backup = demoBackup(now, trials);
  const isOf = ({ trial }: { trial: string }) => trials.some(({ key }) => key === trial);
  const drawn = listed<Drawn>(DRAWN).filter(isOf);
  const filmed = listed<Filmed>(FILMED).filter(isOf);
  return {
    ...jsonSource({
      ...backup,
      tables: { ...backup.tables, ...photographTables(drawn, now), ...clipTables(filmed, now) },
    }),
    tables: new Set(TABLE_NAMES),
    async *pictures(table) {
      if (table === 'photograph')
        for (const one of drawn)
          yield { id: photographId(one), bytes: readFileSync(path.join(DRAWN, one.file)) };
      if (table === 'clip')
        for (const one of filmed) yield { id: clipId(one), bytes: readFileSync(path.join(FILMED, one.file)) };
    },
  };
}

/** Loads the demo scenario, dated up to now, into an empty database. */
export async function loadDemo(db: Db): Promise<void> {
  await loadBackup(db, demoSource(new Date()));
  await saveDemoState(db, 'loaded');
}

/** The moment as part of a file's name. */
export const stamp = (now: Date): string => now.toISOString().replaceAll(':', '-').slice(0, 19);

/** Replaces everything by a fresh demo; what was there is first written to a file in `folder`, whose name it gives. */
export async function resetToDemo(db: Db, folder: string | null): Promise<string | null> {
  let kept: string | null = null;
  if (folder && !(await isEmpty(db))) {
    mkdirSync(folder, { recursive: true });
    kept = path.join(folder, `sabor backup ${stamp(new Date())}.zip`);
    await writeBackup(db, kept);
  }
  await transaction(db, clear);
  await loadDemo(db);
  return kept;
}
