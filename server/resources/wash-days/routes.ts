import { DaysInput } from '@sabor/contract/day-import';
import { EnvelopeInput } from '@sabor/contract/envelope';
import { date } from '@sabor/contract/fields';
import { LogWashDay } from '@sabor/contract/logged-day';
import { TapsInput } from '@sabor/contract/taps';
import { AbandonInput, StartWashDay, WashDayChange, WearEndInput } from '@sabor/contract/wash-day';
import { OutdoorsInput } from '@sabor/contract/weather';
import { Router } from 'express';
import type { Live } from '../../db/live.ts';
import type { Db } from '../../db/pool.ts';
import { raterOf } from '../../http/caller.ts';
import { deviceOf } from '../../http/device.ts';
import { parse, parseAsIs } from '../../http/problems.ts';
import { isFromNetwork } from '../../http/same-origin.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { changeWashDay } from './change.ts';
import { aheadOf, setRight } from './device-clock.ts';
import { abandonWashDay, endWear, reopenWear } from './end.ts';
import { readEnvelopeOut, takeBackEnvelope } from './envelope.ts';
import { importDays, listDayImports, takeBackImport } from './import.ts';
import { listWashDays, logWashDay } from './log.ts';
import { saveOutdoors } from './outdoors.ts';
import { readPulse, readWashDay } from './read.ts';
import { SharedDays } from './shared-days.ts';
import { prepareWashDay, startWashDay } from './start.ts';
import { hearTaps } from './taps.ts';

/** How long a screen is kept waiting for a change, ms: under what proxies and phones take for a dead connection. */
const WAIT_MS = 25_000;

export function washDayRoutes(db: Db, live?: Live): Router {
  const router = Router();
  const shared = new SharedDays(db);
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
    const body = bodyWithId(request, 'wash day');
    // A day that was begun without the network has the moment of its device's own clock.
    const aheadMs = aheadOf(typeof body.now === 'string' ? body.now : undefined);
    response.json(
      await startWashDay(db, parse(StartWashDay, aheadMs === 0 ? body : setRight(body, aheadMs))),
    );
  });
  router.get('/trials/:id/envelope', async (request, response) => {
    response.json(await readEnvelopeOut(db, pathId(request, 'trial')));
  });
  router.post('/trials/:id/envelope', async (request, response) => {
    const { id } = parse(EnvelopeInput, request.body);
    response.json(await prepareWashDay(db, pathId(request, 'trial'), id));
  });
  router.delete('/trials/:id/envelope', async (request, response) => {
    response.json(await takeBackEnvelope(db, pathId(request, 'trial')));
  });
  router.get('/wash-days/:id', async (request, response) => {
    const id = pathId(request, 'wash day');
    const { at } = request.query;
    // Who follows a wash day heard of its state with others, and reads it with them.
    response.json(await (typeof at === 'string' && at !== '' ? shared.at(id, at) : readWashDay(db, id)));
  });
  router.get('/wash-days/:id/pulse', async (request, response) => {
    const id = pathId(request, 'wash day');
    const { since } = request.query;
    if (typeof since !== 'string' || !live?.hears)
      return void response.json({ pulse: await readPulse(db, id), waited: false });
    // Whoever knows the pulse waits until it is another: listened for before it is read, so that no change falls between.
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    const change = live.next(id, WAIT_MS, gone.signal);
    let pulse = await readPulse(db, id).catch((error) => {
      gone.abort();
      throw error;
    });
    if (pulse === since) {
      await change;
      if (response.destroyed) return;
      pulse = await readPulse(db, id);
    }
    gone.abort();
    response.json({ pulse, waited: true });
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
    response.json(await hearTaps(db, pathId(request, 'wash day'), { ...said, device }, raterOf(response)));
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
