import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { ZipFile } from 'yazl';
import type { Db } from '../../db/pool.ts';
import { pathId } from '../../http/with-id.ts';
import { trialPackage } from './package.ts';

export function trialPackageRoutes(db: Db): Router {
  const router = Router();
  router.get('/trials/:id/package.zip', async (request, response) => {
    const files = await trialPackage(db, pathId(request, 'trial'));
    const zip = new ZipFile();
    for (const { path, bytes } of files) zip.addBuffer(bytes, path, { mtime: new Date(1980, 0, 1) });
    zip.end();
    response.attachment('sabor trial.zip').type('application/zip');
    await pipeline(zip.outputStream as unknown as Readable, response);
  });
  return router;
}
