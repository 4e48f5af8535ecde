import { AmendmentInput, OverruleInput, StepAmendmentInput } from '@sabor/contract/promise';
import { EndTrialInput, GuessInput, PanelInput, RetestInput, TrialInput } from '@sabor/contract/trial';
import { Router } from 'express';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { readDoseRuns } from '../wash-days/next-dose.ts';
import { readWearer } from '../wearers/store.ts';
import { savePanel } from './panel.ts';
import {
  amendStep,
  amendTrial,
  endTrial,
  guessArm,
  openKey,
  overrule,
  readKey,
  showOutcomes,
  takeBackOverrule,
  takeLook,
} from './promise.ts';
import { readProductLabels, readTrial, readTrials } from './read.ts';
import { readingsCsv } from './readings.ts';
import { askForRetest } from './retest.ts';
import { saveTrial } from './save.ts';

export function trialRoutes(db: Db): Router {
  const router = Router();
  router.get('/trials', async (_request, response) => {
    response.json(await readTrials(db));
  });
  router.get('/trials/:id', async (request, response) => {
    response.json(await readTrial(db, pathId(request, 'trial')));
  });
  router.put('/trials/:id', async (request, response) => {
    response.json(await saveTrial(db, parse(TrialInput, bodyWithId(request, 'trial')), versionOf(request)));
  });
  router.post('/trials/:id/end', async (request, response) => {
    const { reason } = parse(EndTrialInput, request.body);
    await endTrial(db, pathId(request, 'trial'), reason);
    response.status(204).end();
  });
  router.put('/trials/:id/amendments/:amendment', async (request, response) => {
    const input = parse(AmendmentInput, { ...request.body, id: pathId(request, 'amendment', 'amendment') });
    response.json(await amendTrial(db, pathId(request, 'trial'), input));
  });
  router.put('/trials/:id/step-amendments/:amendment', async (request, response) => {
    const input = parse(StepAmendmentInput, {
      ...request.body,
      id: pathId(request, 'amendment', 'amendment'),
    });
    response.json(await amendStep(db, pathId(request, 'trial'), input));
  });
  router.put('/trials/:id/overrules/:overrule', async (request, response) => {
    const input = parse(OverruleInput, { ...request.body, id: pathId(request, 'difference', 'overrule') });
    response.json(await overrule(db, pathId(request, 'trial'), input));
  });
  router.delete('/trials/:id/overrules/:overrule', async (request, response) => {
    response.json(
      await takeBackOverrule(db, pathId(request, 'trial'), pathId(request, 'difference', 'overrule')),
    );
  });
  router.put('/trials/:id/retest', async (request, response) => {
    response.json(await askForRetest(db, pathId(request, 'trial'), parse(RetestInput, request.body)));
  });
  router.delete('/trials/:id/retest', async (request, response) => {
    response.json(await askForRetest(db, pathId(request, 'trial'), null));
  });
  router.put('/trials/:id/panel', async (request, response) => {
    response.json(await savePanel(db, pathId(request, 'trial'), parse(PanelInput, request.body)));
  });
  router.post('/trials/:id/outcomes', async (request, response) => {
    response.json(await showOutcomes(db, pathId(request, 'trial')));
  });
  router.post('/trials/:id/look', async (request, response) => {
    response.json(await takeLook(db, pathId(request, 'trial')));
  });
  router.get('/trials/:id/key', async (request, response) => {
    response.json(await readKey(db, pathId(request, 'trial')));
  });
  router.post('/trials/:id/key/open', async (request, response) => {
    response.json(await openKey(db, pathId(request, 'trial')));
  });
  router.get('/wearers/:id/doses', async (request, response) => {
    response.json(await readDoseRuns(db, pathId(request, 'wearer')));
  });
  router.put('/wash-days/:id/guess', async (request, response) => {
    response.json(await guessArm(db, pathId(request, 'wash day'), parse(GuessInput, request.body)));
  });
  router.get('/trials/:id/readings.csv', async (request, response) => {
    const trial = await readTrial(db, pathId(request, 'trial'));
    const wearer = await readWearer(db, trial.wearerId);
    response.attachment(`sabor readings ${trial.createdAt.slice(0, 10)}.csv`).type('text/csv; charset=utf-8');
    const labels = await readProductLabels(db);
    response.send(readingsCsv(trial, wearer, (product) => labels.get(product)));
  });
  router.use(archiveRoutes(db, 'trial'));
  return router;
}
