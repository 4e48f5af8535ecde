import { CheckInInput, EventInput } from '@sabor/contract/check-in';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { raterOf } from '../../http/caller.ts';
import { deviceOf } from '../../http/device.ts';
import { parse } from '../../http/problems.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { removeEvent, saveCheckIn, saveEvent } from './check-ins.ts';

export function checkInRoutes(db: Db): Router {
  const router = Router();
  router.put('/check-ins/:id', async (request, response) => {
    response.json(
      await saveCheckIn(
        db,
        parse(CheckInInput, bodyWithId(request, 'check-in')),
        deviceOf(request),
        raterOf(response),
      ),
    );
  });
  router.put('/events/:id', async (request, response) => {
    response.json(await saveEvent(db, parse(EventInput, bodyWithId(request, 'event')), deviceOf(request)));
  });
  router.delete('/events/:id', async (request, response) => {
    response.json(await removeEvent(db, pathId(request, 'event'), deviceOf(request)));
  });
  return router;
}
