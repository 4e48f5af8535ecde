import type { PhotographInput, PhotographReceived } from '@sabor/contract/photograph';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { JPEG, jpegOf, jpegSegment } from '../../testing/pictures.ts';
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
  it('comes in pieces, can be taken up again, and is given back without what it said besides', async () => {
    const bytes = jpegOf(1000);
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
    // The comment that filled it up is gone; so are the pieces.
    expect(Buffer.from(await got.arrayBuffer()).equals(JPEG)).toBe(true);
    expect((await bench.db.query('select from photograph_piece')).rowCount).toBe(0);
    const { photographs } = (await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`)).body;
    // Its own size, not the one it claimed.
    expect(photographs).toMatchObject([
      { angle: 'back', stage: 'wet', size: 1000, received: 1000, width: 24, height: 16 },
    ]);
  });

  it('is refused where it is not a picture or runs over, and is then not kept', async () => {
    const one = photo();
    await announce(one);
    expect((await send(one.id, 0, jpegOf(1001))).status).toBe(422);
    expect((await send(one.id, 0, Buffer.alloc(0))).status).toBe(422);
    await send(one.id, 0, Buffer.alloc(500, 1));
    expect((await send(one.id, 500, Buffer.alloc(500, 1))).body.detail).toContain('not a whole picture');
    expect((await bench.db.query('select from photograph where id = $1', [one.id])).rowCount).toBe(0);
    expect((await bench.ask('PUT', `/api/photographs/${v7()}`, photo({ size: 13_000_000 }))).status).toBe(
      422,
    );
    expect((await bench.ask('PUT', `/api/photographs/${v7()}`, photo({ stage: 'wear' }))).status).toBe(422);
    expect((await bench.ask('PUT', `/api/photographs/${v7()}`, photo({ washDayId: v7() }))).status).toBe(404);
    expect((await send(v7(), 0, jpegOf(1000))).status).toBe(404);
  });

  it('loses its place even where that is cut in two by the pieces', async () => {
    const place = Buffer.from('Exif\0\0 48.85N 2.35E', 'latin1');
    const bytes = Buffer.concat([JPEG.subarray(0, 2), jpegSegment(0xe1, place), JPEG.subarray(2)]);
    const one = photo({ size: bytes.length });
    await announce(one);
    await send(one.id, 0, bytes.subarray(0, 8));
    expect((await send(one.id, 8, bytes.subarray(8))).body.received).toBe(bytes.length);
    const got = await fetch(`${bench.url}/api/photographs/${one.id}/image`);
    expect(Buffer.from(await got.arrayBuffer()).equals(JPEG)).toBe(true);
  });

  it('of a trial that is over is closed: none added, none taken away', async () => {
    const whole = photo({ size: JPEG.length });
    await announce(whole);
    await send(whole.id, 0, JPEG);
    const half = photo();
    await announce(half);
    await bench.ask('POST', `/api/trials/${day.trialId}/end`, { reason: 'Moved away.' });
    expect((await announce(photo())).status).toBe(409);
    expect((await send(half.id, 0, jpegOf(1000))).status).toBe(409);
    expect((await bench.ask('DELETE', `/api/photographs/${whole.id}`)).status).toBe(409);
    expect((await fetch(`${bench.url}/api/photographs/${whole.id}/image`)).status).toBe(200);
  });

  it('taken away is gone from the browser’s own store too', async () => {
    const one = photo({ size: JPEG.length });
    await announce(one);
    await send(one.id, 0, JPEG);
    const image = (headers: Record<string, string> = {}) =>
      fetch(`${bench.url}/api/photographs/${one.id}/image`, { headers });
    const first = await image();
    expect(first.headers.get('cache-control')).toBe('private, no-cache');
    const tag = { 'If-None-Match': first.headers.get('etag')! };
    expect((await image(tag)).status).toBe(304);
    await bench.ask('DELETE', `/api/photographs/${one.id}`);
    expect((await image(tag)).status).toBe(404);
  });

  it('under the id of another wash day’s is not acknowledged', async () => {
    const one = photo();
    await announce(one);
    const { trial } = await sampleBench(bench);
    const other = await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
      trialId: trial.id,
      startedAt: new Date().toISOString(),
    });
    expect((await announce({ ...one, washDayId: other.body.id })).status).toBe(409);
  });

  it('is the ghost of its angle until a later one is whole, and can be taken away', async () => {
    const whole = async (takenAt: string) => {
      const one = photo({ size: JPEG.length, takenAt });
      await announce(one);
      await send(one.id, 0, JPEG);
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
