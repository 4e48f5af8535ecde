import { EndTrialInput, TrialInput } from '@sabor/contract/trial';
import { Router } from 'express';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { readWearer } from '../wearers/store.ts';
import { readingsCsv } from './readings.ts';
import { endTrial, readTrial, readTrials, saveTrial } from './store.ts';

export function trialRoutes(db: Db): Router {
  const router = Router();
  router.get('/trials', async (_request, response) => {
    response.json(await readTrials(db));
  });
  router.get('/trials/:id', async (request, response) => {
    response.json(await readTrial(db, pathId(request, 'trial')));
  });
  router.put('/trials/:id', async (request, response) => {
    response.json(await saveTrial(db, parse(TrialInput, bodyWithId(request, 'trial'))));
  });
  router.post('/trials/:id/end', async (request, response) => {
    const { reason } = parse(EndTrialInput, request.body);
    await endTrial(db, pathId(request, 'trial'), reason);
    response.status(204).end();
  });
  router.get('/trials/:id/readings.csv', async (request, response) => {
    const trial = await readTrial(db, pathId(request, 'trial'));
    const wearer = await readWearer(db, trial.wearerId);
    response.attachment(`sabor readings ${trial.createdAt.slice(0, 10)}.csv`).type('text/csv; charset=utf-8');
    response.send(`\uFEFF${readingsCsv(trial, wearer)}`);
  });
  router.use(archiveRoutes(db, 'trial'));
  return router;
}
