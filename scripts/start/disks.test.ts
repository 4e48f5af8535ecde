import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { startCluster } from '../postgres/cluster.ts';
import { Stop } from '../stages.mjs';
import { lockFolder } from './data-folder.ts';

const mounted: string[] = [];

/** A small disk of its own, in memory; null where this user may not mount one. */
function disk(size: string): string | null {
  const at = mkdtempSync(path.join(os.tmpdir(), 'sabor-disk-'));
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${size},mode=0755`, 'tmpfs', at]).status !== 0) {
    rmSync(at, { recursive: true });
    return null;
  }
  mounted.push(at);
  return at;
}

const mayMount = (() => {
  const tried = disk('64k');
  return tried !== null;
})();

function fill(at: string): void {
  try {
    for (let i = 0; ; i++) writeFileSync(path.join(at, `filler-${i}`), Buffer.alloc(4096));
  } catch (error) {
    expect((error as NodeJS.ErrnoException).code).toBe('ENOSPC');
  }
}

const told = (error: unknown) =>
  error instanceof Stop ? `${error.message}\n${error.remedy}` : `not told: ${(error as Error).stack}`;

afterEach(() => {
  for (const at of mounted.splice(0)) {
    spawnSync('umount', ['-l', at]);
    rmSync(at, { recursive: true, force: true });
  }
});

describe.skipIf(!mayMount)('a disk that cannot take the data', () => {
  it('is full: the folder cannot be locked', () => {
    const at = disk('64k')!;
    fill(at);
    let said = '';
    try {
      lockFolder(path.join(at, 'sabor'));
    } catch (error) {
      said = told(error);
    }
    expect(said).toMatch(/^The disk that holds .* is full\.\nMake room on it/);
  });

  it('is read-only: the folder cannot be locked', () => {
    const at = disk('64k')!;
    spawnSync('mount', ['-o', 'remount,ro', at]);
    let said = '';
    try {
      lockFolder(path.join(at, 'sabor'));
    } catch (error) {
      said = told(error);
    }
    expect(said).toMatch(/is on a disk that cannot be written to\.\nMake the disk writable/);
  });

  it('runs full while the first database is made: nothing half-made stays', async () => {
    const at = disk('8m')!;
    const said = await startCluster(at, true).then(
      () => 'it started',
      (error) => told(error),
    );
    expect(said).toMatch(/^The disk is full\.\n/);
    expect(readdirSync(path.join(at, 'postgres'))).toEqual([]);
  });

  it('is read-only under a database that was made: it is told, and not touched', async () => {
    const at = disk('200m')!;
    const cluster = await startCluster(at, true);
    await cluster.stop();
    spawnSync('mount', ['-o', 'remount,ro', at]);
    const said = await startCluster(at, true).then(
      () => 'it started',
      (error) => told(error),
    );
    expect(said).toMatch(/^The data folder is on a disk that cannot be written to\.\n/);
  });

  it('has no room for a database to start: it is told', { tags: 'soak' }, async () => {
    const at = disk('200m')!;
    const cluster = await startCluster(at, true);
    await cluster.stop();
    fill(at);
    const said = await startCluster(at, true).then(
      () => 'it started',
      (error) => told(error),
    );
    expect(said).toMatch(/^The disk is full\.\n/);
  });
});
