import type { Consents } from '@sabor/contract/consent';
import type { Looks, Own } from '@sabor/contract/looks';
import type { WashDay } from '@sabor/contract/wash-day';
import { localDate } from '@sabor/core/time/zones';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, zoneOfAfternoon } from '../../testing/samples.ts';
import { tapFinish } from '../../testing/tapping.ts';
import { letIn, openDoor, testDoor, type Visitor } from '../../testing/through-door.ts';

let bench: TestBench;
let letInAs: (role: 'rater' | 'wearer' | 'helper', name: string, wearerId?: string) => Promise<Visitor>;
beforeAll(async () => {
  bench = await openBench(null, testDoor);
  const address = await openDoor(bench);
  const ca = (await bench.ask<string>('GET', '/sabor-authority.crt')).body;
  letInAs = (role, name, wearerId) => letIn(bench, address, ca, role, name, wearerId ?? null);
});
afterAll(() => bench.close());

const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();

/** A head whose hair was finished a quarter of an hour ago. */
async function finishedHair(name: string) {
  const { trial, wearer, gels } = await sampleBench(
    bench,
    { question: 'Does Gel One outlast Gel Two?' },
    { name, timeZone: zoneOfAfternoon() },
  );
  const id = v7();
  await bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt: ago(90) });
  await tapFinish(bench, id);
  const changed = await bench.ask('PATCH', `/api/wash-days/${id}`, {
    washedAt: ago(80),
    dryAt: ago(20),
    revealAt: ago(15),
  });
  expect(changed.status).toBe(200);
  return { id, trial, wearer, gels };
}

const lookAt = (washDayId: string, zoneId: string, value: number, id = v7()) => ({
  id,
  washDayId,
  stage: 'wear',
  day: 1,
  at: new Date().toISOString(),
  ratings: [{ outcome: 'definition', zoneId, value }],
});

async function picture(
  bench: Visitor['ask'],
  washDayId: string,
): Promise<{ id: string; status: number; detail?: string }> {
  const bytes = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#642' } })
    .jpeg()
    .toBuffer();
  const id = v7();
  const announced = await bench('PUT', `/api/photographs/${id}`, {
    washDayId,
    stage: 'wear',
    day: 1,
    angle: 'front',
    takenAt: new Date().toISOString(),
    type: 'image/jpeg',
    width: 8,
    height: 8,
    size: bytes.length,
  });
  if (announced.status !== 200) return { id, status: announced.status, detail: announced.body.detail };
  return { id, status: 200 };
}

describe('a rater', () => {
  it('is told which hair waits, and nothing of what was used on it', async () => {
    const { id, trial, wearer, gels } = await finishedHair('Una of the looks');
    const rater = await letInAs('rater', 'Wim Aster');
    const { text, body } = await rater.ask('GET', '/api/looks');
    const looks = (body as Looks).looks.filter(({ washDayId }) => washDayId === id);
    expect(looks).toEqual([
      expect.objectContaining({ stage: 'wear', day: 1, main: 'definition', said: null, wearerId: wearer.id }),
    ]);
    for (const secret of [
      ...trial.arms.flatMap((arm) => [arm.id, arm.name]),
      ...gels.map(({ name }) => name),
      trial.id,
    ])
      expect(text).not.toContain(secret);
  });

  it('rates in their own name, once or again, and hears of nobody else’s ratings', async () => {
    const { id, trial } = await finishedHair('Mara of the looks');
    const rater = await letInAs('rater', 'Ines Vail');
    const [first, second] = trial.weights.map(({ zoneId }) => zoneId) as [string, string];
    const said = lookAt(id, first, 7);
    expect((await rater.ask('PUT', `/api/looks/${said.id}`, said)).status).toBe(200);
    // Sent again, and another zone: one look.
    await rater.ask('PUT', `/api/looks/${said.id}`, said);
    const { body } = await rater.ask('PUT', `/api/looks/${said.id}`, lookAt(id, second, 6, said.id));
    const mine = (body as Looks).looks.find(({ washDayId }) => washDayId === id)!;
    expect(mine.said!.ratings.map(({ value }) => value).sort()).toEqual([6, 7]);
    const day = (await bench.ask<WashDay>('GET', `/api/wash-days/${id}`)).body;
    expect(day.checkIns).toEqual([expect.objectContaining({ rater: 'Ines Vail', stage: 'wear', day: 1 })]);
    // To another rater that look is taken.
    const other = await letInAs('rater', 'Bo Quist');
    expect(
      ((await other.ask('GET', '/api/looks')).body as Looks).looks.some(({ washDayId }) => washDayId === id),
    ).toBe(false);
    const late = lookAt(id, first, 2);
    const refused = await other.ask('PUT', `/api/looks/${late.id}`, late);
    expect([refused.status, refused.body.detail]).toEqual([
      409,
      expect.stringMatching(/^Somebody else has rated/),
    ]);
  });

  it('is refused what a check-in could not have been, field by field', async () => {
    const { id, trial } = await finishedHair('Oda of the looks');
    const rater = await letInAs('rater', 'Lea Storm');
    const wrong = { ...lookAt(id, trial.weights[0]!.zoneId, 7), day: 3 };
    expect((await rater.ask('PUT', `/api/looks/${wrong.id}`, wrong)).status).toBe(422);
    const nowhere = lookAt(v7(), trial.weights[0]!.zoneId, 7);
    expect((await rater.ask('PUT', `/api/looks/${nowhere.id}`, nowhere)).status).toBe(404);
    expect((await rater.ask('GET', '/api/own')).status).toBe(403);
    expect((await bench.ask('GET', '/api/looks')).status).toBe(409);
  });
});

describe('a wearer', () => {
  it('looks at their own hair and sees their own pictures alone', async () => {
    const mine = await finishedHair('Tova');
    const other = await finishedHair('Runa');
    const wearer = await letInAs('wearer', 'Tova at home', mine.wearer.id);
    const looks = (await wearer.ask('GET', '/api/looks')).body as Looks;
    expect(looks.heads.map(({ name }) => name)).toEqual(['Tova']);
    expect(looks.looks.map(({ washDayId }) => washDayId)).toEqual([mine.id]);
    const foreign = lookAt(other.id, other.trial.weights[0]!.zoneId, 7);
    expect((await wearer.ask('PUT', `/api/looks/${foreign.id}`, foreign)).status).toBe(404);
    // Her own picture goes in and is shown; another head’s neither.
    const added = await picture(wearer.ask, mine.id);
    expect(added.status).toBe(200);
    expect((await picture(wearer.ask, other.id)).status).toBe(404);
    const theirs = await picture((method, path, body) => bench.ask(method, path, body) as never, other.id);
    expect(theirs.status).toBe(200);
    for (const path of ['image', 'bytes?from=0']) {
      const method = path === 'image' ? 'GET' : 'PUT';
      expect((await wearer.ask(method, `/api/photographs/${theirs.id}/${path}`)).status).toBe(404);
    }
    await wearer.ask('DELETE', `/api/own/photographs/${theirs.id}`);
    expect((await bench.db.query('select from photograph where id = $1', [theirs.id])).rowCount).toBe(1);
  });

  it('takes their own pictures away, whatever became of the trial, and that is on record', async () => {
    const { id, trial, wearer } = await finishedHair('Kaja');
    const device = await letInAs('wearer', 'Kaja at home', wearer.id);
    const { id: one } = await picture(device.ask, id);
    await bench.db.query(`update photograph set bytes = 'x' where id = $1`, [one]);
    expect(((await device.ask('GET', '/api/own')).body as Own).pictures.map((shown) => shown.id)).toEqual([
      one,
    ]);
    await bench.ask('POST', `/api/wash-days/${id}/end-wear`, {
      kind: 'washed-schedule',
      at: new Date().toISOString(),
    });
    await bench.ask('POST', `/api/trials/${trial.id}/end`, { reason: 'Enough.' });
    expect(((await device.ask('DELETE', '/api/own/pictures')).body as Own).pictures).toEqual([]);
    const { rows } = await bench.db.query<{ person: string }>(
      `select person from change_log where trial_id = $1 and act = 'photograph taken away'`,
      [trial.id],
    );
    expect(rows).toEqual([{ person: 'Kaja at home' }]);
  });

  it('withdraws consent: no more pictures are taken, and none leaves in a report or a part; gives it again', async () => {
    const { id, wearer } = await finishedHair('Sif');
    const device = await letInAs('wearer', 'Sif at home', wearer.id);
    const before = await picture(device.ask, id);
    const say = async (about: string, yes: boolean) =>
      ((await device.ask('PUT', '/api/own/consents', { about, yes })).body as Own).consents;
    expect(await say('pictures', false)).toMatchObject({
      pictures: { yes: false, by: 'Sif at home' },
      publishing: null,
    });
    const refused = await picture(device.ask, id);
    expect(refused).toMatchObject({
      status: 409,
      detail: expect.stringMatching(/^Sif at home said on 20\d\d-/),
    });
    await bench.db.query(`update photograph set bytes = $2 where id = $1`, [
      before.id,
      await sharp({ create: { width: 8, height: 8, channels: 3, background: '#642' } })
        .jpeg()
        .toBuffer(),
    ]);
    const pdf = () =>
      bench.ask('POST', '/api/reports/pdf', {
        paper: 'A4',
        report: {
          title: 'T',
          about: 'a',
          disclosure: 'd',
          blocks: [{ kind: 'picture', photographId: before.id, caption: 'c' }],
        },
      });
    const allowed = await pdf();
    expect(allowed.status).toBe(200);
    await say('publishing', false);
    const { status, body } = await pdf();
    expect([status, body.detail]).toEqual([403, expect.stringMatching(/said no/)]);
    const part = await fetch(`${bench.url}/api/part.zip?head=${wearer.id}&pictures=1`);
    expect(part.status).toBe(200);
    expect(Buffer.from(await part.arrayBuffer()).toString('latin1')).not.toContain(before.id);
    // Written down by the tester, as it was said.
    const told = await bench.ask<Consents>('PUT', `/api/wearers/${wearer.id}/consents`, {
      about: 'pictures',
      yes: true,
      by: 'Sif',
    });
    expect(told.body.pictures).toMatchObject({ yes: true, by: 'Sif' });
    expect((await picture(device.ask, id)).status).toBe(200);
    expect(localDate(told.body.pictures!.at, 'UTC')).toMatch(/^20/);
  });
});
