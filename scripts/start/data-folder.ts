import { accessSync, constants, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Stop } from '../stages.mjs';

/** Where this user's Sabor keeps everything. As root it must be a place the postgres user can reach. */
export function dataFolder(): string {
  if (process.env.SABOR_DATA) return path.resolve(process.env.SABOR_DATA);
  if (process.getuid?.() === 0) return '/var/lib/sabor';
  return path.join(process.env.XDG_DATA_HOME ?? path.join(os.homedir(), '.local', 'share'), 'sabor');
}

/** When a process began, in the kernel's own count; null when there is no such process, or no /proc to ask. */
function beganAt(pid: number): string | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name in brackets may hold blanks: fields are counted after it. Source: proc(5), field 22.
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
  } catch {
    return null;
  }
}

/** Node says ENOENT of a folder that a read-only disk does not let it make: the nearest one there is knows why. */
function reasonAt(folder: string, error: NodeJS.ErrnoException): NodeJS.ErrnoException {
  if (error.code !== 'ENOENT') return error;
  let there = folder;
  while (!existsSync(there)) there = path.dirname(there);
  try {
    accessSync(there, constants.W_OK);
    return error;
  } catch (reason) {
    return reason as NodeJS.ErrnoException;
  }
}

const unusable = (folder: string, error: unknown): Stop => {
  const { code, message } = reasonAt(folder, error as NodeJS.ErrnoException);
  const another = 'or choose another folder:  SABOR_DATA=<folder> npm start';
  if (code === 'ENOSPC')
    return new Stop(`The disk that holds ${folder} is full.`, `Make room on it, ${another}`);
  if (code === 'EROFS')
    return new Stop(
      `${folder} is on a disk that cannot be written to.`,
      `Make the disk writable, ${another}`,
    );
  if (code === 'EACCES' || code === 'EPERM')
    return new Stop(
      `This user may not write in ${folder}.`,
      `Start Sabor as the user it belongs to, give this one the right, ${another}`,
    );
  if (code === 'ENOTDIR' || code === 'EEXIST')
    return new Stop(
      `${folder} is a file, or lies in one, and no folder.`,
      'Choose another:  SABOR_DATA=<folder> npm start',
    );
  return new Stop(
    `The data folder ${folder} cannot be used: ${message}`,
    'Choose another:  SABOR_DATA=<folder> npm start',
  );
};

/**
 * Keeps a second Sabor off the same folder; a lock that a killed one or a power cut left is taken over. Gives the way
 * to let go. Throws a Stop where the folder is in use or cannot be written to.
 */
export function lockFolder(folder: string): () => void {
  const lock = path.join(folder, 'sabor.pid');
  try {
    mkdirSync(folder, { recursive: true, mode: 0o711 });
    if (existsSync(lock)) {
      const [pid, began] = readFileSync(lock, 'utf8').trim().split(' ');
      // A number may have gone to another program since; the moment it began has not.
      const now = beganAt(Number(pid));
      if (Number(pid) !== process.pid && now !== null && now === began)
        throw new Stop(
          `Another Sabor (process ${pid}) is using the data in ${folder}.`,
          'Stop it with Ctrl-C, or give this one a folder of its own:  SABOR_DATA=<folder> PORT=<port> npm start',
        );
    }
    writeFileSync(lock, `${process.pid} ${beganAt(process.pid) ?? ''}`);
  } catch (error) {
    throw error instanceof Stop ? error : unusable(folder, error);
  }
  return () => rmSync(lock, { force: true });
}
