import { constants } from 'node:fs';
import { access, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import type { NightlyBackup } from '@sabor/contract/backup';
import type { Client, Db } from '../../db/pool.ts';
import { atField } from '../../http/problems.ts';
import { readKey, saveKey } from '../settings/store.ts';
import { restores, writeBackup } from './file.ts';

/** The hour from which a night's backup is due, on this machine's clock. */
const HOUR = 3;
/** Nights that are kept, and months of which the first is kept beside. */
export const NIGHTS = 7;
export const MONTHS = 12;

const NAME = /^sabor (\d{4}-\d\d-\d\d)\.zip$/;
const pad = (n: number) => String(n).padStart(2, '0');
const dateOf = (at: Date) => `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`;

/** Which of these nights (yyyy-mm-dd) are let go: all but the last seven, and the first of each of the last twelve months. */
export function letGo(nights: readonly string[]): string[] {
  const sorted = [...nights].sort();
  const firsts = new Map<string, string>();
  for (const night of sorted) if (!firsts.has(night.slice(0, 7))) firsts.set(night.slice(0, 7), night);
  const kept = new Set([...sorted.slice(-NIGHTS), ...[...firsts.values()].slice(-MONTHS)]);
  return sorted.filter((night) => !kept.has(night));
}

async function nightsIn(folder: string): Promise<string[]> {
  return (await readdir(folder)).flatMap((name) => NAME.exec(name)?.[1] ?? []).sort();
}

interface Chosen {
  folder: string | null;
}

const readChosen = async (db: Client): Promise<Chosen> =>
  (await readKey<Chosen>(db, 'backups')) ?? { folder: null };

/** Chooses where nightly backups go; null for none. Throws a Refusal where nothing can be written. */
export async function chooseFolder(db: Client, folder: string | null): Promise<void> {
  if (folder !== null) {
    if (!path.isAbsolute(folder)) throw atField('folder', 'Give the whole path of the folder, from / on.');
    try {
      await mkdir(folder).catch((error: NodeJS.ErrnoException) => {
        if (error.code !== 'EEXIST') throw error;
      });
      await access(folder, constants.W_OK);
    } catch {
      throw atField('folder', 'Sabor cannot write in this folder. Choose another, or give it the right to.');
    }
  }
  await saveKey(db, 'backups', { folder });
}

const said = (error: unknown): string => {
  const { code, message } = error as NodeJS.ErrnoException;
  if (code === 'ENOSPC') return 'The disk of the backup folder is full.';
  if (code === 'ENOENT') return 'The backup folder is gone.';
  if (code === 'EACCES' || code === 'EROFS') return 'Sabor may not write in the backup folder.';
  return `The backup did not succeed: ${message}`;
};

/** Makes the night's backup when it is due, tries it out, and lets the oldest go. */
export class Nightly {
  private problem: string | null = null;
  private under: Promise<void> | null = null;
  constructor(private readonly db: Db) {}

  /** Makes a backup now; a second call while one is under way waits for that one. */
  run(now = new Date()): Promise<void> {
    this.under ??= this.make(now).finally(() => (this.under = null));
    return this.under;
  }

  private async make(now: Date): Promise<void> {
    const { folder } = await readChosen(this.db);
    if (folder === null) return;
    const file = path.join(folder, `sabor ${dateOf(now)}.zip`);
    const untried = `${file}.untried`;
    try {
      await writeBackup(this.db, untried);
      if (!(await restores(this.db, untried)))
        throw new Error(
          'read back into an empty Sabor it was not the same. The file ending in .untried is kept.',
        );
      await rename(untried, file);
      for (const night of letGo(await nightsIn(folder))) await rm(path.join(folder, `sabor ${night}.zip`));
      this.problem = null;
    } catch (error) {
      this.problem = said(error);
      throw error;
    }
  }

  /** Makes a backup when tonight's hour has come and it is not there yet; what goes wrong is kept for the page. */
  async ifDue(now = new Date()): Promise<void> {
    try {
      const { folder } = await readChosen(this.db);
      if (folder === null || now.getHours() < HOUR) return;
      if ((await nightsIn(folder)).includes(dateOf(now))) return;
    } catch (error) {
      this.problem = said(error);
      return;
    }
    await this.run(now).catch(() => {});
  }

  async state(): Promise<NightlyBackup> {
    const { folder } = await readChosen(this.db);
    if (folder === null) return { folder, last: null, kept: 0, problem: null };
    try {
      const nights = await nightsIn(folder);
      const night = nights.at(-1);
      if (night === undefined) return { folder, last: null, kept: 0, problem: this.problem };
      const { size, mtime } = await stat(path.join(folder, `sabor ${night}.zip`));
      return {
        folder,
        last: { at: mtime.toISOString(), bytes: size },
        kept: nights.length,
        problem: this.problem,
      };
    } catch (error) {
      return { folder, last: null, kept: 0, problem: said(error) };
    }
  }
}
