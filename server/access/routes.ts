import { type Access, DoorInput, PassphraseInput, PersonInput, SignInInput } from '@sabor/contract/access';
import { type Request, Router } from 'express';
import type { Db } from '../db/pool.ts';
import { callerOf } from '../http/caller.ts';
import { parse, Refusal } from '../http/problems.ts';
import { isFromNetwork } from '../http/same-origin.ts';
import { bodyWithId, pathId } from '../http/with-id.ts';
import type { Door } from '../network/door.ts';
import { giveToken } from './gate.ts';
import {
  endSessions,
  invite,
  passGuard,
  readAccess,
  removePerson,
  saveOpen,
  savePassphrase,
  savePerson,
  strikeOut,
} from './people.ts';
import { readDoorRecord, readRecord, recordCsv } from './record.ts';
import { signIn, signOut } from './sessions.ts';

const noDoor = () => new Refusal(409, 'This Sabor has no door to the network.');

/** Letting devices in, and what a device that was let in asks about itself. */
export function accessRoutes(db: Db, door: Door | undefined): Router {
  const router = Router();
  const state = async (): Promise<Access> => ({
    ...(await readAccess(db)),
    ...((await door?.state()) ?? { addresses: [], trouble: noDoor().message, fingerprint: null }),
  });
  /** Who changes the list must know its passphrase, where it has one. */
  const guarded = (request: Request) => {
    let said = '';
    try {
      said = decodeURIComponent(request.get('Sabor-Passphrase') ?? '');
    } catch {
      // Nobody’s passphrase is written like that.
    }
    return passGuard(db, said);
  };

  router.get('/access', async (_request, response) => {
    response.json(await state());
  });
  router.get('/access/record', async (_request, response) => {
    response.json(await readDoorRecord(db));
  });
  router.put('/access/open', async (request, response) => {
    const { open } = parse(DoorInput, request.body);
    if (!door) throw noDoor();
    if (open) await guarded(request);
    await saveOpen(db, open);
    await (open ? door.open() : door.close());
    response.json(await state());
  });
  router.put('/access/passphrase', async (request, response) => {
    const said = parse(PassphraseInput, request.body);
    await guarded(request);
    await savePassphrase(db, said);
    response.json(await state());
  });
  router.put('/people/:id', async (request, response) => {
    const person = parse(PersonInput, bodyWithId(request, 'person'));
    await guarded(request);
    await savePerson(db, person);
    response.json(await state());
  });
  router.delete('/people/:id', async (request, response) => {
    await guarded(request);
    await removePerson(db, pathId(request, 'person'));
    response.json(await state());
  });
  router.post('/people/:id/invitations', async (request, response) => {
    await guarded(request);
    const { addresses } = await state();
    if (addresses.length === 0)
      throw new Refusal(409, 'Open the door first: there is no address to come to yet.');
    response.json(await invite(db, pathId(request, 'person'), addresses));
  });
  // Shutting somebody out needs no passphrase: it has to be quick.
  router.delete('/devices/:id', async (request, response) => {
    await strikeOut(db, pathId(request, 'device'));
    response.json(await state());
  });
  router.delete('/devices/:id/session', async (request, response) => {
    await endSessions(db, pathId(request, 'device'));
    response.json(await state());
  });

  router.post('/sign-in', async (request, response) => {
    if (!isFromNetwork(request)) throw new Refusal(409, 'On this machine itself nobody signs in.');
    const { token, device } = await signIn(db, parse(SignInInput, request.body), request.ip ?? '');
    giveToken(response, token);
    response.json({ device });
  });
  router.post('/sign-out', async (_request, response) => {
    const caller = callerOf(response);
    if (caller) await signOut(db, caller);
    giveToken(response, null);
    response.status(204).end();
  });
  router.get('/trials/:id/record', async (request, response) => {
    response.json(await readRecord(db, pathId(request, 'trial')));
  });
  router.get('/trials/:id/record.csv', async (request, response) => {
    const record = await readRecord(db, pathId(request, 'trial'));
    response.attachment('sabor on record.csv').type('text/csv; charset=utf-8').send(recordCsv(record));
  });
  router.get('/me', (_request, response) => {
    const caller = callerOf(response);
    response.json({ person: caller && { name: caller.person.name, role: caller.person.role } });
  });
  return router;
}
