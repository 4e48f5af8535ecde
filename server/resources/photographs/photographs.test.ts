import { randomBytes } from 'node:crypto';
import type { PhotographInput, PhotographReceived } from '@sabor/contract/photograph';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench } from '../../testing/samples.ts';

let bench: TestBench;
let day: WashDay;
let wearerId: string;
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  const { trial, wearer } = await sampleBench(bench);
  wearerId = wearer.id;
  day = (
    await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
      trialId: trial.id,
      startedAt: new Date().toISOString(),
    })
  ).body;
});
afterAll(() => bench.close());

/** Bytes that begin as a JPEG does. */
const jpeg = (size: number) => Buffer.concat([Buffer.from([0xff, 0xd8]), randomBytes(size - 2)]);
const photo = (to: Partial<PhotographInput> = {}): PhotographInput => ({
  id: v7(),
  washDayId: day.id,
  stage: 'wet',
  day: null,
  angle: 'back',
  takenAt: new Date().toISOString(),
  type: 'image/jpeg',
  width: 1200,
  height: 1600,
  size: 1000,
  ...to,
});
const announce = (one: PhotographInput) =>
  bench.ask<PhotographReceived>('PUT', `/api/photographs/${one.id}`, one);
const send = async (id: string, from: number, bytes: Buffer) => {
  const response = await fetch(`${bench.url}/api/photographs/${id}/bytes?from=${from}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: new Uint8Array(bytes),
  });
  return {
    status: response.status,
    body: (await response.json()) as PhotographReceived & { detail: string },
  };
};

describe('a photograph', () => {
  it('comes in pieces, can be taken up again, and is given back byte for byte', async () => {
    const bytes = jpeg(1000);
    const one = photo();
    expect((await announce(one)).body).toEqual({ received: 0, size: 1000 });
    expect((await send(one.id, 0, bytes.subarray(0, 400))).body.received).toBe(400);
    // Sent again, and one that comes too early: nothing twice, nothing out of place.
    expect((await send(one.id, 0, bytes.subarray(0, 400))).body.received).toBe(400);
    expect((await send(one.id, 700, bytes.subarray(700))).body.received).toBe(400);
    expect((await bench.ask('GET', `/api/photographs/${one.id}/image`)).status).toBe(404);
    expect((await announce(one)).body).toEqual({ received: 400, size: 1000 });
    expect((await send(one.id, 400, bytes.subarray(400))).body.received).toBe(1000);
    const got = await fetch(`${bench.url}/api/photographs/${one.id}/image`);
    expect(got.headers.get('content-type')).toBe('image/jpeg');
    expect(Buffer.from(await got.arrayBuffer()).equals(bytes)).toBe(true);
    const { photographs } = (await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`)).body;
    expect(photographs).toMatchObject([{ angle: 'back', stage: 'wet', size: 1000, received: 1000 }]);
  });

  it('is refused where it is not a picture, runs over, or tells where it was taken', async () => {
    const one = photo();
    await announce(one);
    expect((await send(one.id, 0, Buffer.from('not a picture'))).status).toBe(422);
    expect((await send(one.id, 0, jpeg(1001))).status).toBe(422);
    const told = Buffer.concat([jpeg(20), Buffer.from('Exif\0\0 48.85N', 'latin1')]);
    expect((await send(one.id, 0, told)).body.detail).toMatch(/where and how it was taken/);
    expect((await bench.ask('PUT', `/api/photographs/${v7()}`, photo({ size: 13_000_000 }))).status).toBe(
      422,
    );
    expect((await bench.ask('PUT', `/api/photographs/${v7()}`, photo({ stage: 'wear' }))).status).toBe(422);
    expect((await bench.ask('PUT', `/api/photographs/${v7()}`, photo({ washDayId: v7() }))).status).toBe(404);
    expect((await send(v7(), 0, jpeg(10))).status).toBe(404);
  });

  it('is the ghost of its angle until a later one is whole, and can be taken away', async () => {
    const whole = async (takenAt: string) => {
      const one = photo({ size: 10, takenAt });
      await announce(one);
      await send(one.id, 0, jpeg(10));
      return one.id;
    };
    const first = await whole(new Date(Date.now() - 60_000).toISOString());
    await announce(photo());
    const ghosts = async () => (await bench.ask('GET', `/api/wearers/${wearerId}/ghosts`)).body;
    expect(await ghosts()).toEqual({ back: first });
    const second = await whole(new Date().toISOString());
    expect(await ghosts()).toEqual({ back: second });
    expect((await bench.ask('DELETE', `/api/photographs/${second}`)).status).toBe(204);
    expect(await ghosts()).toEqual({ back: first });
  });
});
