import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { readToday } from './store.ts';

export function todayRoutes(db: Db): Router {
  const router = Router();
  router.get('/today', async (_request, response) => {
    response.json(await readToday(db, new Date()));
  });
  return router;
}
