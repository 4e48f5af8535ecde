import { randomBytes } from 'node:crypto';
import { createReadStream, createWriteStream, readFileSync, rmSync, statSync } from 'node:fs';
import { request } from 'node:http';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { v7 } from 'uuid';
import { liveTenYears } from '../../bench/ten-years.ts';
import { openPool } from '../../server/db/pool.ts';
import { sha256 } from '../../server/resources/backup/file.ts';
import type { Row } from './kills.ts';
import { newFolder, Sabor, urlOf } from './sabor.ts';

/** The most memory a process has had, MB. Source: proc(5), VmHWM. */
const peakOf = (pid: number): number =>
  Math.round(Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024);

async function download(sabor: Sabor, file: string): Promise<number> {
  const began = performance.now();
  const response = await fetch(`http://127.0.0.1:${sabor.port}/api/backup.zip`);
  await pipeline(response.body as unknown as NodeJS.ReadableStream, createWriteStream(file));
  return (performance.now() - began) / 1000;
}

async function upload(sabor: Sabor, file: string): Promise<{ status: number; seconds: number }> {
  const began = performance.now();
  const status = await new Promise<number>((resolve, reject) => {
    const asking = request(
      {
        host: '127.0.0.1',
        port: sabor.port,
        path: '/api/import',
        method: 'POST',
        headers: { 'Content-Type': 'application/octet-stream', 'Content-Length': statSync(file).size },
      },
      (answer) => {
        answer.resume();
        answer.once('end', () => resolve(answer.statusCode ?? 0));
      },
    );
    asking.once('error', reject);
    pipeline(createReadStream(file), asking).catch(reject);
  });
  return { status, seconds: (performance.now() - began) / 1000 };
}

/** Ten years of data and a gigabyte of photographs, out and in again, with the memory the servers took for it. */
export async function largeBackup(photographs: number): Promise<Row> {
  const [from, to] = [newFolder('from'), newFolder('to')];
  const [one, other] = [await Sabor.on(from), await Sabor.on(to)];
  const [file, again] = [path.join(from, 'out.zip'), path.join(to, 'again.zip')];
  try {
    await one.start();
    const db = openPool(urlOf(from));
    const { washDayId } = await liveTenYears(db);
    for (let i = 0; i < photographs; i++)
      await db.query(
        `insert into photograph (id, wash_day_id, stage, angle, taken_at, type, width, height, size, bytes)
         values ($1, $2, 'wet', 'front', now(), 'image/jpeg', 3000, 2000, 10000000, $3)`,
        [v7(), washDayId, randomBytes(10_000_000)],
      );
    await db.end();
    const out = await download(one, file);
    const outPeak = peakOf(one.pid);
    await other.start();
    const { status, seconds } = await upload(other, file);
    const inPeak = peakOf(other.pid);
    await download(other, again);
    const equal = (await sha256(file)) === (await sha256(again));
    const gigabytes = (statSync(file).size / 1e9).toFixed(2);
    return {
      what: `a backup of ${gigabytes} GB (ten years of data, ${photographs} photographs of 10 MB) out and in`,
      came: `out in ${out.toFixed(0)} s with the server at ${outPeak} MB at most, in with ${status} in ${seconds.toFixed(0)} s at ${inPeak} MB; written out again ${equal ? 'equal to the byte' : 'NOT equal'}`,
      well: equal && status === 204 && outPeak < 400 && inPeak < 400,
    };
  } finally {
    await one.close();
    await other.close();
    rmSync(from, { recursive: true, force: true });
    rmSync(to, { recursive: true, force: true });
  }
}
