import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { v7 } from 'uuid';
import { openPool } from '../../server/db/pool.ts';
import type { Row } from './kills.ts';
import { newFolder, pause, Sabor, urlOf } from './sabor.ts';

/** A disk of 200 MB runs full under writes: nothing acknowledged is lost, and it is said in words. */
export async function diskFull(): Promise<Row> {
  const what = 'a disk of 200 MB runs full under writes';
  const disk = newFolder('disk');
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=200m', 'tmpfs', disk]).status !== 0) {
    rmSync(disk, { recursive: true, force: true });
    return { what, came: 'not tried: this user may not mount a disk', well: false };
  }
  chmodSync(disk, 0o711);
  const folder = path.join(disk, 'sabor');
  const sabor = await Sabor.on(folder);
  const filler = path.join(disk, 'filler');
  try {
    await sabor.start();
    // Room for a little more than what stands there.
    writeFileSync(filler, Buffer.alloc(60_000_000));
    const acknowledged: string[] = [];
    let refused: { status: number; detail: string } | null = null;
    for (let i = 0; i < 40_000 && !refused; i++) {
      const ids = Array.from({ length: 8 }, () => v7());
      await Promise.all(
        ids.map(async (id) => {
          const { status, body } = await sabor.ask('PUT', `/lines/${id}`, {
            name: id,
            // What cannot be packed fills a disk soonest.
            note: randomBytes(1950).toString('hex'),
          });
          if (status === 204) acknowledged.push(id);
          else refused ??= { status, detail: (body as { detail?: string } | null)?.detail ?? '' };
        }),
      );
    }
    const stays = sabor.alive();
    rmSync(filler);
    for (
      let wait = 0;
      wait < 200 && (await sabor.ask('PUT', `/lines/${v7()}`, { name: 'after', note: '' })).status !== 204;
      wait++
    )
      await pause(100);
    const db = openPool(urlOf(folder));
    const { rows } = await db.query<{ id: string }>('select id from line');
    await db.end();
    const there = new Set(rows.map(({ id }) => id));
    const lost = acknowledged.filter((id) => !there.has(id)).length;
    const told = refused as { status: number; detail: string } | null;
    return {
      what,
      came: `${acknowledged.length.toLocaleString('en')} rows acknowledged, ${lost} lost after room was made; refused with ${told?.status}: “${told?.detail}”`,
      well: lost === 0 && stays && (told?.status === 507 || told?.status === 503),
    };
  } finally {
    await sabor.close();
    if (existsSync(filler)) rmSync(filler);
    spawnSync('umount', ['-l', disk]);
    rmSync(disk, { recursive: true, force: true });
  }
}
