import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { BackupFolder, type BackupState, PackagePart } from '@sabor/contract/backup';
import express, { type Request, Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse, Refusal } from '../../http/problems.ts';
import { readBackup } from './file.ts';
import { isEmpty, mustBeEmpty } from './load.ts';
import { chooseFolder, Nightly } from './nightly.ts';
import { writePackage } from './write-package.ts';

/** Takes one import after the other, so that what waits is not on the disk yet. */
let last: Promise<unknown> = Promise.resolve();

async function takeIn(db: Db, request: Request, scratch: string): Promise<void> {
  const file = path.join(scratch, `import ${randomUUID()}`);
  try {
    await pipeline(request, createWriteStream(file, { mode: 0o600, flags: 'wx' }));
    await readBackup(db, file);
  } finally {
    await rm(file, { force: true });
  }
}

/** Whole backups out and in, streamed; and the nightly ones. `scratch` is where an upload waits on the disk. */
export function backupRoutes(db: Db, scratch: string, nightly = new Nightly(db)): Router {
  const router = Router();
  router.get('/backup.zip', async (request, response) => {
    response.attachment(`sabor backup ${new Date().toISOString().slice(0, 10)}.zip`).type('application/zip');
    await writePackage(db, response).catch((error) => {
      if (!response.headersSent) throw error;
      // Whoever asked has gone away, or the zip is cut short: it has no end then, and no Sabor reads it.
      request.log?.warn({ err: error }, 'backup cut short');
      response.destroy();
    });
  });
  router.get('/part.zip', async (request, response) => {
    const { head, line, from, to, pictures } = request.query;
    const part = parse(PackagePart, {
      ...{ head: head ?? null, line: line ?? null, from: from ?? null, to: to ?? null },
      pictures: pictures !== 'no',
    });
    if (part.from && part.to && part.from > part.to)
      throw new Refusal(422, 'The span ends before it begins.');
    response.attachment(`sabor part ${new Date().toISOString().slice(0, 10)}.zip`).type('application/zip');
    await writePackage(db, response, part).catch((error) => {
      if (!response.headersSent) throw error;
      request.log?.warn({ err: error }, 'part cut short');
      response.destroy();
    });
  });
  router.post('/import', async (request, response) => {
    if (request.headers['content-encoding'] !== undefined)
      throw new Refusal(415, 'Send the backup as it is, not packed again.');
    await mustBeEmpty(db);
    const mine = last.then(async () => {
      await mustBeEmpty(db);
      await takeIn(db, request, scratch);
    });
    last = mine.catch(() => {});
    await mine;
    response.status(204).end();
  });
  router.get('/backups', async (_request, response) => {
    const state: BackupState = { empty: await isEmpty(db), nightly: await nightly.state() };
    response.json(state);
  });
  router.put('/backups', express.json({ limit: '10kb' }), async (request, response) => {
    await chooseFolder(db, parse(BackupFolder, request.body).folder);
    response.json(await nightly.state());
  });
  router.post('/backups/now', async (_request, response) => {
    await nightly.run().catch((error) => {
      throw new Refusal(409, (error as Error).message);
    });
    response.json(await nightly.state());
  });
  return router;
}
