import { DaysInput } from '@sabor/contract/day-import';
import { date } from '@sabor/contract/fields';
import { LogWashDay } from '@sabor/contract/logged-day';
import { TapsInput } from '@sabor/contract/taps';
import { AbandonInput, StartWashDay, WashDayChange, WearEndInput } from '@sabor/contract/wash-day';
import { OutdoorsInput } from '@sabor/contract/weather';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { deviceOf } from '../../http/device.ts';
import { parse, parseAsIs } from '../../http/problems.ts';
import { isFromNetwork } from '../../http/same-origin.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { changeWashDay } from './change.ts';
import { abandonWashDay, endWear, reopenWear } from './end.ts';
import { importDays, listDayImports, takeBackImport } from './import.ts';
import { listWashDays, logWashDay } from './log.ts';
import { saveOutdoors } from './outdoors.ts';
import { readPulse, readWashDay } from './read.ts';
import { startWashDay } from './start.ts';
import { hearTaps } from './taps.ts';

export function washDayRoutes(db: Db): Router {
  const router = Router();
  router.get('/wash-days', async (_request, response) => {
    response.json(await listWashDays(db));
  });
  router.put('/logged-days/:id', async (request, response) => {
    response.json(await logWashDay(db, parse(LogWashDay, bodyWithId(request, 'wash day'))));
  });
  router.get('/day-imports', async (_request, response) => {
    response.json(await listDayImports(db));
  });
  router.put('/day-imports/:id', async (request, response) => {
    response.json(await importDays(db, parse(DaysInput, bodyWithId(request, 'file of wash days'))));
  });
  router.post('/day-imports/:id/take-back', async (request, response) => {
    response.json(await takeBackImport(db, pathId(request, 'file of wash days')));
  });
  router.put('/wash-days/:id', async (request, response) => {
    response.json(await startWashDay(db, parse(StartWashDay, bodyWithId(request, 'wash day'))));
  });
  router.get('/wash-days/:id', async (request, response) => {
    response.json(await readWashDay(db, pathId(request, 'wash day')));
  });
  router.get('/wash-days/:id/pulse', async (request, response) => {
    response.json({ pulse: await readPulse(db, pathId(request, 'wash day')) });
  });
  router.patch('/wash-days/:id', async (request, response) => {
    response.json(
      await changeWashDay(
        db,
        pathId(request, 'wash day'),
        deviceOf(request),
        parse(WashDayChange, request.body),
      ),
    );
  });
  router.put('/wash-days/:id/outdoors/:on', async (request, response) => {
    const id = pathId(request, 'wash day');
    await saveOutdoors(db, id, parse(date, request.params.on), parse(OutdoorsInput, request.body));
    response.json(await readWashDay(db, id));
  });
  router.post('/wash-days/:id/taps', async (request, response) => {
    const said = parseAsIs(TapsInput, request.body);
    // Who is signed in cannot tap in another's name.
    const device = isFromNetwork(request) ? deviceOf(request) : said.device;
    response.json(await hearTaps(db, pathId(request, 'wash day'), { ...said, device }));
  });
  router.post('/wash-days/:id/abandon', async (request, response) => {
    const { reason } = parse(AbandonInput, request.body);
    response.json(await abandonWashDay(db, pathId(request, 'wash day'), reason));
  });
  router.post('/wash-days/:id/end-wear', async (request, response) => {
    response.json(await endWear(db, pathId(request, 'wash day'), parse(WearEndInput, request.body)));
  });
  router.post('/wash-days/:id/reopen-wear', async (request, response) => {
    response.json(await reopenWear(db, pathId(request, 'wash day')));
  });
  return router;
}
