import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { pathId } from '../../http/with-id.ts';
import { readBoard } from './store.ts';

export function boardRoutes(db: Db): Router {
  const router = Router();
  router.get('/wearers/:id/board', async (request, response) => {
    response.json(await readBoard(db, pathId(request, 'wearer')));
  });
  return router;
}
