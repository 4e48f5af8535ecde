import { SettingsChange } from '@sabor/contract/settings';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { changeSettings, readSettings } from './store.ts';

export function settingsRoutes(db: Db): Router {
  const router = Router();
  router.get('/settings', async (_request, response) => {
    response.json(await readSettings(db));
  });
  router.patch('/settings', async (request, response) => {
    await changeSettings(db, parse(SettingsChange, request.body));
    response.json(await readSettings(db));
  });
  return router;
}
