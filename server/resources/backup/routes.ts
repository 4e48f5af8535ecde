import { Backup } from '@sabor/contract/backup';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { loadBackup, saveBackup } from './store.ts';

export function backupRoutes(db: Db): Router {
  const router = Router();
  router.get('/export.json', async (_request, response) => {
    const backup = await saveBackup(db);
    response.attachment(`sabor backup ${backup.savedAt.slice(0, 10)}.json`).json(backup);
  });
  router.post('/import', async (request, response) => {
    await loadBackup(db, parse(Backup, request.body));
    response.status(204).end();
  });
  return router;
}
