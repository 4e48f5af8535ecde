import { moment } from '@sabor/contract/fields';
import { BatchInput, MetarInput, PlaceInput, StayInput } from '@sabor/contract/weather';
import { DAY_MS } from '@sabor/core/time/day';
import { Router } from 'express';
import * as v from 'valibot';
import { archiveRoutes } from '../../db/archive.ts';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { versionOf } from '../../http/version.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import {
  readPlaceWeather,
  readStations,
  readWeather,
  removeBatch,
  removeStay,
  savePlace,
  saveStay,
  storeBatch,
  storeMetar,
} from './store.ts';

/** The longest stretch of readings that is given at once, days. */
const LONGEST_STRETCH = 400;

const Stretch = v.pipe(
  v.object({ from: moment, to: moment }),
  v.forward(
    v.partialCheck(
      [['from'], ['to']],
      ({ from, to }) => Date.parse(to) - Date.parse(from) <= LONGEST_STRETCH * DAY_MS,
      'Ask for a year of readings at most.',
    ),
    ['to'],
  ),
);

export function weatherRoutes(db: Db): Router {
  const router = Router();
  router.use(archiveRoutes(db, 'place'));
  router.get('/weather', async (_request, response) => {
    response.json(await readWeather(db));
  });
  router.put('/places/:id', async (request, response) => {
    response.json(
      await savePlace(db, parse(PlaceInput, bodyWithId(request, 'place')), new Date(), versionOf(request)),
    );
  });
  router.get('/places/:id/weather', async (request, response) => {
    const { from, to } = parse(Stretch, request.query);
    const now = new Date();
    await readStations(db, now, pathId(request, 'place'));
    response.json(await readPlaceWeather(db, pathId(request, 'place'), from, to, now));
  });
  router.put('/places/:id/readings/:batchId', async (request, response) => {
    const body = { ...(request.body as object), id: pathId(request, 'set of readings', 'batchId') };
    response.json(await storeBatch(db, parse(BatchInput, { ...body, placeId: pathId(request, 'place') })));
  });
  router.put('/places/:id/metar/:batchId', async (request, response) => {
    const body = { ...(request.body as object), id: pathId(request, 'set of readings', 'batchId') };
    const input = parse(MetarInput, { ...body, placeId: pathId(request, 'place') });
    response.json(await storeMetar(db, input, new Date()));
  });
  router.delete('/weather-batches/:id', async (request, response) => {
    await removeBatch(db, pathId(request, 'set of readings'));
    response.status(204).end();
  });
  router.put('/stays/:id', async (request, response) => {
    await saveStay(db, parse(StayInput, bodyWithId(request, 'stay')));
    response.status(204).end();
  });
  router.delete('/stays/:id', async (request, response) => {
    await removeStay(db, pathId(request, 'stay'));
    response.status(204).end();
  });
  return router;
}
