import { OwnConsentInput } from '@sabor/contract/consent';
import { id } from '@sabor/contract/fields';
import { LookInput } from '@sabor/contract/looks';
import { type Request, type Response, Router } from 'express';
import * as v from 'valibot';
import type { Db } from '../../db/pool.ts';
import { callerOf } from '../../http/caller.ts';
import { parse, Refusal } from '../../http/problems.ts';
import { bodyWithId, pathId } from '../../http/with-id.ts';
import { saveConsent } from '../wearers/consents.ts';
import {
  mustBeOwn,
  mustBeOwnDay,
  readLooks,
  readOwn,
  removeAllOwn,
  removeOwn,
  type Seen,
  saveLook,
} from './store.ts';

/** What a rater, and a wearer of one head, is told and tells; mounted before pictures, which a wearer adds of their own head alone. */
export function lookRoutes(db: Db): Router {
  const router = Router();
  const who = (response: Response) => {
    const caller = callerOf(response);
    if (!caller) throw new Refusal(409, 'This page is for raters and wearers on their own devices.');
    return caller;
  };
  const person = (response: Response) => who(response).person;
  router.get('/looks', async (_request, response) => {
    response.json(await readLooks(db, person(response)));
  });
  router.put('/looks/:id', async (request, response) => {
    const look = parse(LookInput, bodyWithId(request, 'look'));
    const { person, device } = who(response);
    response.json(await saveLook(db, person, device.id, look));
  });
  router.get('/own', async (_request, response) => {
    response.json(await readOwn(db, person(response)));
  });
  router.put('/own/consents', async (request, response) => {
    const { name, wearerId } = person(response);
    const said = parse(OwnConsentInput, request.body);
    if (!wearerId) throw new Refusal(403, 'Consent is the wearer’s own.');
    await saveConsent(db, wearerId, { ...said, by: name });
    response.json(await readOwn(db, person(response)));
  });
  router.delete('/own/pictures', async (_request, response) => {
    response.json(await removeAllOwn(db, person(response)));
  });
  router.delete('/own/photographs/:id', async (request, response) => {
    response.json(await removeOwn(db, person(response), 'photograph', pathId(request, 'photograph')));
  });
  router.delete('/own/clips/:id', async (request, response) => {
    response.json(await removeOwn(db, person(response), 'clip', pathId(request, 'clip')));
  });

  // Of pictures a wearer has the same routes as others, for their own head.
  const isWearer = (response: Response) => callerOf(response)?.person.role === 'wearer';
  const own =
    (table: Seen) => async (request: Request, response: Response, next: (error?: unknown) => void) => {
      if (isWearer(response)) await mustBeOwn(db, person(response), table, pathId(request, table));
      next();
    };
  router.put('/photographs/:id', async (request, response, next) => {
    // What is no id is refused where it is read.
    const day = v.safeParse(id, request.body?.washDayId);
    if (isWearer(response) && day.success) await mustBeOwnDay(db, person(response), day.output);
    next();
  });
  router.put('/photographs/:id/bytes', own('photograph'));
  router.get('/photographs/:id/image', own('photograph'));
  router.get('/clips/:id/film', own('clip'));
  return router;
}
