import { number, oneOf } from '@sabor/contract/fields';
import { Router } from 'express';
import * as v from 'valibot';
import { SCALE_FAULTS, simulatedScale } from '../../devices/kitchen-scale.ts';
import { parse } from '../../http/problems.ts';

const Load = v.object({ grams: number('The weight on the scale', 0, 20_000) });
const Fault = v.object({ fault: oneOf(SCALE_FAULTS, 'what is wrong with the scale') });

/** The kitchen scale, live; and what is put on the simulated one in place of hands. */
export function scaleRoutes(): Router {
  const scale = simulatedScale(20_262);
  const router = Router();
  router.get('/scale/stream', (request, response) => {
    response.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
    });
    response.flushHeaders();
    const stop = scale.listen((message) => {
      if (message) response.write(`data: ${JSON.stringify(message)}\n\n`);
      else response.end();
    });
    request.on('close', stop);
  });
  router.post('/scale/put', (request, response) => {
    scale.put(parse(Load, request.body).grams);
    response.status(204).end();
  });
  router.post('/scale/tare', (_request, response) => {
    scale.tare();
    response.status(204).end();
  });
  router.post('/scale/fault', (request, response) => {
    scale.fail(parse(Fault, request.body).fault);
    response.status(204).end();
  });
  return router;
}
