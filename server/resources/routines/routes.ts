import { RoutineInput } from '@sabor/contract/routine';
import { Router } from 'express';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { readRoutine, readRoutines, saveRoutine } from './store.ts';

export function routineRoutes(db: Db): Router {
  const router = Router();
  router.get('/routines', async (_request, response) => {
    response.json(await readRoutines(db));
  });
  router.get('/routines/:id', async (request, response) => {
    response.json(await readRoutine(db, pathId(request, 'routine')));
  });
  router.put('/routines/:id', async (request, response) => {
    response.json(
      await saveRoutine(db, parse(RoutineInput, bodyWithId(request, 'routine')), versionOf(request)),
    );
  });
  router.use(archiveRoutes(db, 'routine'));
  return router;
}
