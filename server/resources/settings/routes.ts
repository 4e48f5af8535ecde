import { Settings } from '@sabor/contract/settings';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { readSettings, saveSettings } from './store.ts';

export function settingsRoutes(db: Db): Router {
  const router = Router();
  router.get('/settings', async (_request, response) => {
    response.json(await readSettings(db));
  });
  router.put('/settings', async (request, response) => {
    await saveSettings(db, parse(Settings, request.body));
    response.json(await readSettings(db));
  });
  return router;
}
