import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Access, Invitation, OnRecord } from '@sabor/contract/access';
import type { Problem } from '@sabor/contract/problem';
import { PERSON_ROLES, type PersonRole } from '@sabor/core/access/people';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { routesOf } from '../fuzz/routes.ts';
import { openBench, type TestBench } from '../testing/bench.ts';
import { sampleWashDay } from '../testing/samples.ts';
import { letIn, openDoor, testDoor, visitor } from '../testing/through-door.ts';
import { mayAsk, RIGHTS } from './rights.ts';

let bench: TestBench;
let webRoot: string;
/** Where the door is, and the certificate a device trusts. */
let address: string;
let ca: string;
beforeAll(async () => {
  webRoot = mkdtempSync(path.join(os.tmpdir(), 'sabor-web-'));
  mkdirSync(path.join(webRoot, 'assets'));
  writeFileSync(path.join(webRoot, 'index.html'), '<meta nonce="__SABOR_NONCE__"><p>page</p>');
  writeFileSync(path.join(webRoot, 'assets', 'a-1.js'), 'export {}');
  bench = await openBench(webRoot, testDoor);
  address = await openDoor(bench);
  ca = (await bench.ask<string>('GET', '/sabor-authority.crt')).body;
});
afterAll(async () => {
  await bench.close();
  rmSync(webRoot, { recursive: true, force: true });
});

const access = async () => (await bench.ask<Access>('GET', '/api/access')).body;
let people = 0;
const person = async (name = `Somebody ${++people}`, role = 'tester') => {
  const id = v7();
  expect((await bench.ask('PUT', `/api/people/${id}`, { name, role })).status).toBe(200);
  return id;
};
const invite = async (id: string) =>
  (await bench.ask<Invitation>('POST', `/api/people/${id}/invitations`, {})).body;
const signIn = (code: string, device = v7(), headers = {}) =>
  visitor(address, ca).ask('POST', '/api/sign-in', { code, device, called: 'A phone' }, headers);
/** Nobody has tried anything yet. */
const forgetTries = () => bench.db.query('delete from sign_in_try');

describe('the door to the network', () => {
  it('is shut until it is opened, and shut again; its certificate is the authority’s', async () => {
    const other = await openBench(null, testDoor);
    const before = (await other.ask<Access>('GET', '/api/access')).body;
    expect(before).toMatchObject({
      open: false,
      addresses: [],
      trouble: null,
      fingerprint: null,
      people: [],
    });
    expect((await other.ask('GET', '/sabor-authority.crt')).status).toBe(404);
    const at = await openDoor(other);
    const trusted = (await other.ask<string>('GET', '/sabor-authority.crt')).body;
    expect((await visitor(at, trusted).ask('GET', '/api/me')).status).toBe(401);
    // A device that trusts another authority, or none, comes to no answer.
    await expect(visitor(at, ca).ask('GET', '/api/me')).rejects.toThrow();
    const { body } = await other.ask<Access>('PUT', '/api/access/open', { open: false });
    expect(body).toMatchObject({ open: false, addresses: [] });
    await expect(visitor(at, trusted).ask('GET', '/api/me')).rejects.toThrow('ECONNREFUSED');
    await other.close();
  });

  it('lets a stranger see the page to sign in, and no more', async () => {
    const stranger = visitor(address, ca);
    for (const page of ['/', '/trials', `/wash-days/${v7()}`, '/healthz']) {
      const led = await stranger.ask('GET', page);
      expect([led.status, led.headers.location]).toEqual([303, '/sign-in']);
    }
    expect((await stranger.ask('GET', '/sign-in')).text).toContain('page');
    expect((await stranger.ask('GET', '/assets/a-1.js')).status).toBe(200);
    for (const route of routesOf(bench.app)) {
      const [method, asked] = route.split(' ') as [string, string];
      if (route === 'POST /sign-in') continue;
      const heard = await stranger.ask(
        method,
        `/api${asked.replaceAll(/:\w+/g, v7())}`,
        method === 'GET' ? undefined : {},
      );
      expect([route, heard.status]).toEqual([route, 401]);
    }
  });

  it('answers only to its own name, over HTTPS, and takes changes from its own pages alone', async () => {
    const tester = await letIn(bench, address, ca, 'tester');
    const host = new URL(address).host;
    const heard = async (method: string, headers: Record<string, string>) =>
      (await tester.ask(method, '/api/settings', method === 'GET' ? undefined : {}, headers)).status;
    expect(await heard('GET', {})).toBe(200);
    expect(await heard('PATCH', {})).toBe(200);
    for (const name of ['sabor.example', 'localhost', '127.0.0.1', `127.0.0.1:${new URL(address).port}`])
      expect(await heard('GET', { host: name })).not.toBe(200);
    for (const origin of [`http://${host}`, 'https://sabor.example', 'null', 'https://127.0.0.2'])
      expect([origin, await heard('PATCH', { origin })]).toEqual([origin, 403]);
    expect(await heard('GET', { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'cors' })).toBe(403);
    expect(await heard('GET', { 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'no-cors' })).toBe(403);
    // Nobody who says no page changes anything.
    const silent = await tester.ask('PATCH', '/api/settings', {}, { origin: '' });
    expect(silent.status).toBe(403);
  });
});

describe('a one-time code', () => {
  it('lets one device in, once, however many bring it at the same time', async () => {
    await forgetTries();
    const { code } = await invite(await person());
    const all = await Promise.all([1, 2, 3, 4].map(() => signIn(code)));
    expect(all.map(({ status }) => status).sort()).toEqual([200, 403, 403, 403]);
    expect((await signIn(code)).body.detail).toMatch(/^This code is not good any more/);
  });

  it('is over after five minutes, and when another is made for the same person', async () => {
    await forgetTries();
    const id = await person();
    const first = await invite(id);
    expect(Date.parse(first.expiresAt) - Date.now()).toBeGreaterThan(4.9 * 60_000);
    expect(Date.parse(first.expiresAt) - Date.now()).toBeLessThan(5.1 * 60_000);
    const second = await invite(id);
    expect((await signIn(first.code)).status).toBe(403);
    await bench.db.query(`update invitation set expires_at = now() - interval '1 second'`);
    expect((await signIn(second.code)).status).toBe(403);
    expect(second.links).toEqual([`${address}/sign-in#${second.code}`]);
  });

  it('is taken as a tired hand types it, and what is none is told before it is tried', async () => {
    await forgetTries();
    const { code } = await invite(await person());
    expect((await signIn('12345')).body.detail).toMatch(/^Type all ten letters and digits/);
    expect((await signIn(` ${code.toLowerCase().replace('-', ' ')} `)).status).toBe(200);
  });

  it('cannot be guessed: ten tries in ten minutes', async () => {
    await forgetTries();
    const { code } = await invite(await person());
    for (let i = 0; i < 10; i++) expect((await signIn('0000000000')).status).toBe(403);
    expect((await signIn(code)).status).toBe(429);
    await bench.db.query(`update sign_in_try set at = at - interval '11 minutes'`);
    expect((await signIn(code)).status).toBe(200);
    await forgetTries();
  });

  it('is of no use on the laptop itself', async () => {
    const { code } = await invite(await person());
    const { status } = await bench.ask('POST', '/api/sign-in', { code, device: v7(), called: 'Here' });
    expect(status).toBe(409);
  });
});

describe('a device that was let in', () => {
  it('is known by a cookie that no script and no other place sees, and by none it brought along', async () => {
    await forgetTries();
    const { code } = await invite(await person());
    const heard = await signIn(code, v7(), { cookie: '__Host-sabor=mine' });
    const [cookie] = heard.headers['set-cookie'] as string[];
    expect(cookie).toMatch(
      /^__Host-sabor=[\w-]{43}; Max-Age=7776000; Path=\/; Expires=.*; HttpOnly; Secure; SameSite=Strict$/,
    );
    const { rows } = await bench.db.query('select token_hash from session');
    expect(JSON.stringify(rows)).not.toContain(cookie!.slice(13, 50));
    const guest = visitor(address, ca);
    guest.cookie = '__Host-sabor=mine';
    expect((await guest.ask('GET', '/api/me')).status).toBe(401);
  });

  it('says who it is, and is on the list with its name', async () => {
    const device = await letIn(bench, address, ca, 'helper', 'Ines Oyelaran');
    expect((await device.ask('GET', '/api/me')).body).toEqual({
      person: { name: 'Ines Oyelaran', role: 'helper' },
    });
    expect((await bench.ask('GET', '/api/me')).body).toEqual({ person: null });
    const here = (await access()).people.find(({ id }) => id === device.personId)!;
    expect(here.devices).toEqual([
      {
        id: device.deviceId,
        name: 'Phone of Ines Oyelaran',
        letInAt: expect.any(String),
        seenAt: expect.any(String),
        signedInUntil: expect.any(String),
      },
    ]);
  });

  it('is shut out by the laptop at once: signed out, it is known and signs in again; struck out, it is not known', async () => {
    await forgetTries();
    const device = await letIn(bench, address, ca, 'tester');
    await bench.ask('DELETE', `/api/devices/${device.deviceId}/session`);
    expect((await device.ask('GET', '/api/trials')).status).toBe(401);
    const { code } = await invite(device.personId);
    const said = { code, device: device.deviceId, called: 'The same phone' };
    expect((await device.ask('POST', '/api/sign-in', said)).status).toBe(200);
    expect((await device.ask('GET', '/api/trials')).status).toBe(200);
    const { devices } = (await access()).people.find(({ id }) => id === device.personId)!;
    expect(devices.map(({ id, name }) => [id, name])).toEqual([[device.deviceId, 'The same phone']]);
    await bench.ask('DELETE', `/api/devices/${device.deviceId}`);
    expect((await device.ask('GET', '/api/trials')).status).toBe(401);
    expect((await access()).people.find(({ id }) => id === device.personId)!.devices).toEqual([]);
  });

  it('does not take another person’s device over by its name', async () => {
    await forgetTries();
    const first = await letIn(bench, address, ca, 'tester');
    const { code } = await invite(await person('Sefa Brandt', 'helper'));
    expect((await signIn(code, first.deviceId)).status).toBe(200);
    expect((await first.ask('GET', '/api/me')).body.person.role).toBe('tester');
  });

  it('takes another token once a week; the one before serves what is on its way', async () => {
    const device = await letIn(bench, address, ca, 'tester');
    const before = device.cookie;
    await bench.db.query(`update session set rotated_at = now() - interval '8 days' where device_id = $1`, [
      device.deviceId,
    ]);
    await device.ask('GET', '/api/me');
    expect(device.cookie).not.toBe(before);
    const late = visitor(address, ca);
    late.cookie = before;
    expect((await late.ask('GET', '/api/me')).status).toBe(200);
    expect(late.cookie).toBe(before);
    await bench.db.query(`update session set former_until = now() - interval '1 second'`);
    expect((await late.ask('GET', '/api/me')).status).toBe(401);
    expect((await device.ask('GET', '/api/me')).status).toBe(200);
  });

  it('is signed in for ninety days, and never shut out while a wash is under way', async () => {
    const device = await letIn(bench, address, ca, 'tester');
    await bench.db.query(`update session set ends_at = now() - interval '1 minute'`);
    expect((await device.ask('GET', '/api/me')).status).toBe(401);
    const { day } = await sampleWashDay(bench);
    expect((await device.ask('GET', '/api/me')).status).toBe(200);
    // Its taps are the signed-in device's, whatever it calls itself.
    const tap = { id: v7(), at: new Date().toISOString(), kind: 'finish' };
    const heard = await device.ask('POST', `/api/wash-days/${day.id}/taps`, {
      device: 'Somebody',
      taps: [tap],
    });
    expect(heard.body.heard).toEqual([tap.id]);
    const { rows } = await bench.db.query('select device from wash_tap where id = $1', [tap.id]);
    expect(rows).toEqual([{ device: device.deviceId }]);
    expect((await device.ask('GET', '/api/me')).status).toBe(401);
  });

  it('signs out by itself', async () => {
    const device = await letIn(bench, address, ca, 'helper');
    const { cookie } = device;
    expect((await device.ask('POST', '/api/sign-out', {})).status).toBe(204);
    device.cookie = cookie;
    expect((await device.ask('GET', '/api/me')).status).toBe(401);
  });
});

describe('what a role may do', () => {
  /** The table is held against what is said here of every route; every nth that is refused is asked for at the door. */
  const isSaidAndHeld = async (every: number) => {
    await forgetTries();
    const routes = routesOf(bench.app);
    for (const named of Object.values(RIGHTS).flat()) expect(routes).toContain(named);
    const { wearerId } = await sampleWashDay(bench);
    const theirs = { helper: RIGHTS.HELPER, rater: RIGHTS.RATER, wearer: RIGHTS.WEARER };
    let refused = 0;
    for (const role of Object.keys(PERSON_ROLES) as PersonRole[]) {
      const device = await letIn(bench, address, ca, role, undefined, role === 'wearer' ? wearerId : null);
      for (const route of routes) {
        const [method, asked] = route.split(' ') as [string, string];
        // Their own sign-in would end with it; streams never end.
        if (['POST /sign-out', 'POST /sign-in', 'GET /scale/stream'].includes(route)) continue;
        const named = (list: readonly string[]) => list.includes(route);
        const isHis =
          !named(RIGHTS.LAPTOP_ALONE) &&
          (role === 'tester' ? !named(RIGHTS.NOT_THE_TESTERS) : named(theirs[role]));
        expect([route, mayAsk(role, method, asked)]).toEqual([route, isHis]);
        if (isHis || refused++ % every) continue;
        const to = `/api${asked.replaceAll(/:\w+/g, v7())}`;
        const heard = await device.ask(method, to, method === 'GET' ? undefined : {});
        expect([route, heard.status]).toEqual([route, 403]);
        expect(heard.body.detail).toMatch(/^Not from here/);
      }
    }
  };
  it('is said of every route by the table, and held', () => isSaidAndHeld(5));
  it('is held at every route', { tags: 'soak' }, () => isSaidAndHeld(1));

  it('holds however the address is written', () => {
    for (const asked of ['/backup.zip', '/BACKUP.zip', '/backup.zip/', '/Access', '/ACCESS/'])
      for (const method of ['GET', 'HEAD'])
        expect([asked, mayAsk('tester', method, asked)]).toEqual([asked, false]);
    for (const asked of ['/people/x/invitations/', '/PEOPLE/x/Invitations', '/people//invitations'])
      expect([asked, mayAsk('helper', 'POST', asked)]).toEqual([asked, false]);
  });
});

describe('names', () => {
  it('stand on ratings and beside devices as they are signed in; the tester’s own stay unnamed', async () => {
    await forgetTries();
    const { day } = await sampleWashDay(bench);
    const helper = await letIn(bench, address, ca, 'helper', 'Bea Lund');
    const tester = await letIn(bench, address, ca, 'tester', 'Ola Brandt');
    const [zoneId, other] = await bench.db
      .query<{ id: string }>('select id from zone z where wearer_id = $1 order by position', [day.wearerId])
      .then(({ rows }) => rows.map(({ id }) => id));
    const rate = (who: typeof helper, zone: string) => {
      const at = new Date().toISOString();
      const ratings = [{ outcome: 'definition', zoneId: zone, value: 5 }];
      const said = { kind: 'rate', checkInId: v7(), stage: 'wet', day: null, lookedAt: at, ratings };
      const taps = [{ ...said, id: v7(), at }];
      return who.ask('POST', `/api/wash-days/${day.id}/taps`, { device: 'phone', taps });
    };
    const rated = async (heard: ReturnType<typeof rate>) => (await heard).body.day.checkIns[0].rater;
    expect(await rated(rate(tester, zoneId!))).toBe('');
    expect(await rated(rate(helper, other!))).toBe('the tester, Bea Lund');
    expect(await rated(rate(helper, other!))).toBe('the tester, Bea Lund');
    const fresh = (await sampleWashDay(bench)).day;
    const put = (who: typeof helper, ratings: object[]) =>
      who.ask('PUT', `/api/check-ins/${v7()}`, {
        washDayId: fresh.id,
        stage: 'wet',
        day: null,
        at: new Date().toISOString(),
        ratings,
      });
    // Words alone are no rating.
    expect((await put(helper, [])).body.checkIns[0].rater).toBe('');
    const zones = await bench.db.query<{ id: string }>('select id from zone where wearer_id = $1', [
      fresh.wearerId,
    ]);
    const heard = await put(helper, [{ outcome: 'frizz', zoneId: zones.rows[0]!.id, value: 3 }]);
    expect(heard.body.checkIns[0].rater).toBe('Bea Lund');
    expect(heard.body.devices).toEqual([
      { device: helper.deviceId, at: expect.any(String), called: 'Phone of Bea Lund (Bea Lund)' },
    ]);
  });

  it('are another device’s where somebody else signs in with it, and it is told so', async () => {
    await forgetTries();
    const first = await letIn(bench, address, ca, 'tester');
    const other = await invite(await person());
    const { body } = await signIn(other.code, first.deviceId);
    expect(body.device).toMatch(/^[0-9a-f-]{36}$/);
    expect(body.device).not.toBe(first.deviceId);
  });
});

describe('raters and wearers', () => {
  it('see their own page and no other', async () => {
    await forgetTries();
    const rater = await letIn(bench, address, ca, 'rater');
    for (const page of ['/', '/trials', `/wash-days/${v7()}`, '/shelf', '/owner', '/welcome']) {
      const led = await rater.ask('GET', page);
      expect([page, led.status, led.headers.location]).toEqual([page, 303, '/own']);
    }
    for (const page of ['/own', '/own/a/day-1'])
      expect((await rater.ask('GET', page)).text).toContain('page');
  });
});

describe('the list of who may come in', () => {
  it('knows a wearer by their head and everybody by a name of their own', async () => {
    const put = async (body: object) =>
      (await bench.ask<Problem>('PUT', `/api/people/${v7()}`, body)).body.fields?.map(({ path }) => path);
    const { wearerId } = await sampleWashDay(bench);
    expect(await put({ name: 'Ada Wren', role: 'wearer' })).toEqual(['wearerId']);
    expect(await put({ name: 'Ada Wren', role: 'wearer', wearerId: v7() })).toEqual(['wearerId']);
    expect(await put({ name: 'Ada Wren', role: 'helper', wearerId })).toEqual(['wearerId']);
    expect(await put({ name: 'Ada Wren', role: 'wearer', wearerId })).toBeUndefined();
    expect(await put({ name: 'ada wren', role: 'rater' })).toEqual(['name']);
    const { people } = await access();
    expect(people.find(({ name }) => name === 'Ada Wren')).toMatchObject({ role: 'wearer', wearerId });
  });

  it('tells a device that was struck out so, and to clear what it keeps', async () => {
    await forgetTries();
    const device = await letIn(bench, address, ca, 'helper');
    await bench.ask('DELETE', `/api/devices/${device.deviceId}/session`);
    const ended = await device.ask('GET', '/api/me');
    expect([ended.status, ended.headers['sabor-struck-out']]).toEqual([401, undefined]);
    const other = await letIn(bench, address, ca, 'helper');
    await bench.ask('DELETE', `/api/devices/${other.deviceId}`);
    const gone = await other.ask('GET', '/api/me');
    expect([gone.status, gone.headers['sabor-struck-out']]).toEqual([401, 'yes']);
    expect(gone.body.detail).toMatch(/struck out/);
    // A phone that was lost: its sign-in is ended first, then it is struck out.
    await bench.ask('DELETE', `/api/devices/${device.deviceId}`);
    const lost = await device.ask('GET', '/api/me');
    expect([lost.status, lost.headers['sabor-struck-out']]).toEqual([401, 'yes']);
  });

  it('is guarded by its passphrase; shutting somebody out is not', async () => {
    await forgetTries();
    const device = await letIn(bench, address, ca, 'helper');
    const words = 'fern under slow rain';
    const say = (said: string) => ({ 'Sabor-Passphrase': encodeURIComponent(said) });
    const set = (passphrase: string | null, said = '') =>
      bench.ask<Access>('PUT', '/api/access/passphrase', { passphrase }, say(said));
    expect((await set('short')).status).toBe(422);
    expect((await set(words)).body.guarded).toBe(true);
    const { rows } = await bench.db.query<{ passphrase: string }>('select passphrase from access');
    expect(rows[0]!.passphrase).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    const ask = (said: string) =>
      bench.ask('POST', `/api/people/${device.personId}/invitations`, {}, say(said));
    expect((await ask('')).status).toBe(403);
    const torn = { 'Sabor-Passphrase': '%E0%A4%A' };
    const heard = await bench.ask('POST', `/api/people/${device.personId}/invitations`, {}, torn);
    expect(heard.status).toBe(403);
    expect((await ask('fern under slow rain ')).status).toBe(403);
    expect((await ask(words)).status).toBe(200);
    expect((await bench.ask('PUT', `/api/people/${v7()}`, { name: 'Me too', role: 'tester' })).status).toBe(
      403,
    );
    expect((await set(null)).status).toBe(403);
    expect((await bench.ask('DELETE', `/api/devices/${device.deviceId}`)).status).toBe(200);
    expect((await set(null, words)).body.guarded).toBe(false);
  });

  it('and every sign-in is on record, which nobody can change', async () => {
    await forgetTries();
    const device = await letIn(bench, address, ca, 'helper', 'Kofi Lindqvist');
    await bench.ask('DELETE', `/api/people/${device.personId}`);
    expect((await device.ask('GET', '/api/me')).status).toBe(401);
    const { rows } = await bench.db.query(
      'select act, person, device from change_log order by id desc limit 4',
    );
    expect(rows.reverse()).toEqual([
      { act: 'person let in', person: null, device: null },
      { act: 'code made', person: 'Kofi Lindqvist', device: null },
      { act: 'signed in', person: 'Kofi Lindqvist', device: 'Phone of Kofi Lindqvist' },
      { act: 'person struck out', person: null, device: null },
    ]);
    const told = (await bench.ask<OnRecord[]>('GET', '/api/access/record')).body;
    expect(told[0]).toMatchObject({ act: 'person struck out', before: { name: 'Kofi Lindqvist' } });
    for (const change of ["update change_log set act = ''", 'delete from change_log', 'truncate change_log'])
      await expect(bench.db.query(change)).rejects.toThrow('What is on record stays on record.');
  });
});

describe('a change after the first wash day', () => {
  it('is on record with what it was, what it became, who and where; what is told first is not', async () => {
    await forgetTries();
    const { day, wearerId } = await sampleWashDay(bench);
    const record = async () =>
      (await bench.ask<OnRecord[]>('GET', `/api/trials/${day.trialId}/record`)).body.map(
        ({ act, person, device, before, after }) => ({ act, person, device, before, after }),
      );
    const device = await letIn(bench, address, ca, 'tester', 'Noor Halvorsen');
    const [zone] = (await bench.ask<{ zones: { id: string }[] }>('GET', `/api/wearers/${wearerId}`)).body
      .zones;
    const at = new Date().toISOString();
    const look = { id: v7(), washDayId: day.id, stage: 'wet', day: null, at, note: '' };
    const rate = (value: number) => ({
      ...look,
      ratings: [{ outcome: 'definition', zoneId: zone!.id, value }],
      curls: [],
    });
    expect((await bench.ask('PUT', `/api/check-ins/${look.id}`, rate(6))).body).toMatchObject({ id: day.id });
    expect(await record()).toEqual([]);
    const heard = await device.ask('PUT', `/api/check-ins/${look.id}`, rate(7));
    expect([heard.status, heard.text.slice(0, 80)]).toEqual([200, expect.any(String)]);
    const changed = { act: 'reading changed', before: { id: expect.any(String), value: 6 } };
    expect(await record()).toEqual([
      {
        ...changed,
        person: 'Noor Halvorsen',
        device: 'Phone of Noor Halvorsen',
        after: { id: expect.any(String), value: 7 },
      },
    ]);
    // The same by a statement of its own, on the laptop.
    await bench.ask('PATCH', `/api/wash-days/${day.id}`, { note: 'windy' });
    // A first note changes nothing that was told.
    expect(await record()).toHaveLength(1);
    await bench.ask('PATCH', `/api/wash-days/${day.id}`, { note: 'windy, then calm' });
    expect((await record())[0]).toMatchObject({
      act: 'wash day changed',
      person: null,
      before: { note: 'windy' },
      after: { note: 'windy, then calm' },
    });
    // That a trial ended is on record, though there was nothing before.
    await device.ask('POST', `/api/trials/${day.trialId}/end`, { reason: 'Ran out.' });
    expect((await record()).find(({ act }) => act === 'trial changed')).toMatchObject({
      person: 'Noor Halvorsen',
      before: { ended_at: null },
      after: { ended_at: expect.any(String) },
    });
    const csv = (await bench.ask<string>('GET', `/api/trials/${day.trialId}/record.csv`)).body;
    expect(csv).toMatch(
      /^at,person,device,act,before,after\r\n.*Noor Halvorsen,Phone of Noor Halvorsen,reading changed/,
    );
  });
});
