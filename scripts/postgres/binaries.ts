import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { installDebian } from '../install.mjs';
import { Stop } from '../stages.mjs';

const BASE = '/usr/lib/postgresql';

function newest(): string | null {
  if (!existsSync(BASE)) return null;
  const versions = readdirSync(BASE)
    .filter((version) => existsSync(path.join(BASE, version, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a));
  return versions[0] ? path.join(BASE, versions[0], 'bin') : null;
}

/** Installs Debian's PostgreSQL when it is missing; says which it found. */
export function ensurePostgres(): string {
  const said = installDebian('postgresql', () => newest() !== null);
  return `${said}, ${binaries()}`;
}

export function binaries(): string {
  const found = newest();
  if (!found) throw new Stop('PostgreSQL is missing.', 'Install it:  sudo apt-get install -y postgresql');
  return found;
}

/** The user PostgreSQL runs as: `postgres` when we are root, since it refuses to run as root; else ourselves. */
export function owner(): { uid: number; gid: number } | null {
  if (process.getuid?.() !== 0) return null;
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }).trim());
  return { uid: id('-u'), gid: id('-g') };
}
