import { UsualDayInput, UsualInput } from '@sabor/contract/usual';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { pathId } from '../../http/with-id.ts';
import { readUsualDay } from './day.ts';
import { readUsual } from './store.ts';
import { readWorn } from './worn.ts';

export function usualRoutes(db: Db): Router {
  const router = Router();
  router.get('/wearers/:id/usual', async (request, response) => {
    const { stage, day, without } = request.query;
    const asked = parse(UsualInput, {
      stage,
      day: day === undefined ? null : Number(day),
      without: without ?? null,
    });
    response.json(await readUsual(db, pathId(request, 'wearer'), asked));
  });
  router.get('/wearers/:id/usual-day', async (request, response) => {
    const { without } = parse(UsualDayInput, { without: request.query.without ?? null });
    response.json(await readUsualDay(db, pathId(request, 'wearer'), without));
  });
  router.get('/wearers/:id/worn', async (request, response) => {
    response.json(await readWorn(db, pathId(request, 'wearer')));
  });
  return router;
}
