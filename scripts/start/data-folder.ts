import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Stop } from '../stages.mjs';

/** Where this user's Sabor keeps everything. As root it must be a place the postgres user can reach. */
export function dataFolder(): string {
  if (process.env.SABOR_DATA) return path.resolve(process.env.SABOR_DATA);
  if (process.getuid?.() === 0) return '/var/lib/sabor';
  return path.join(process.env.XDG_DATA_HOME ?? path.join(os.homedir(), '.local', 'share'), 'sabor');
}

function isSabor(pid: number): boolean {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return false;
  }
}

/** Keeps a second Sabor off the same folder; a lock left by a killed one is taken over. Gives the way to let go. */
export function lockFolder(folder: string): () => void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o755 });
  } catch (error) {
    throw new Stop(
      `The data folder ${folder} cannot be made: ${(error as Error).message}`,
      'Choose another:  SABOR_DATA=<folder> npm start',
    );
  }
  const lock = path.join(folder, 'sabor.pid');
  if (existsSync(lock)) {
    const pid = Number(readFileSync(lock, 'utf8'));
    if (pid !== process.pid && isSabor(pid))
      throw new Stop(
        `Another Sabor (process ${pid}) is using the data in ${folder}.`,
        'Stop it with Ctrl-C, or give this one a folder of its own:  SABOR_DATA=<folder> PORT=<port> npm start',
      );
  }
  writeFileSync(lock, String(process.pid));
  return () => rmSync(lock, { force: true });
}
