import { execFileSync } from 'node:child_process';
import path from 'node:path';
import { installPostgres, POSTGRES, postgresVersions } from '../install.mjs';
import { Stop } from '../stages.mjs';

/** Installs Debian's PostgreSQL when it is missing; says which it found. */
export function ensurePostgres(): string {
  const said = installPostgres();
  return `${said}, ${binaries()}`;
}

/** The folder of PostgreSQL's programs, of the newest version or the one asked for. Throws a Stop without it. */
export function binaries(version = postgresVersions()[0]): string {
  if (!version || !postgresVersions().includes(version))
    throw new Stop(
      version ? `PostgreSQL ${version} is missing.` : 'PostgreSQL is missing.',
      `Install it:  sudo apt-get install -y postgresql${version ? `-${version}` : ''}`,
    );
  return path.join(POSTGRES, version, 'bin');
}

/** The user PostgreSQL runs as: `postgres` when we are root, since it refuses to run as root; else ourselves. */
export function owner(): { uid: number; gid: number } | null {
  if (process.getuid?.() !== 0) return null;
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }).trim());
  return { uid: id('-u'), gid: id('-g') };
}
