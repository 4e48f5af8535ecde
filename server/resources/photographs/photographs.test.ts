import type {
  FiledPhotograph,
  PhotographInput,
  PhotographMeasured,
  PhotographReceived,
} from '@sabor/contract/photograph';
import type { WashDay } from '@sabor/contract/wash-day';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { JPEG, jpegOf, jpegSegment } from '../../testing/pictures.ts';
import { sampleBench, sampleWashDay } from '../../testing/samples.ts';

let bench: TestBench;
let day: WashDay;
let wearerId: string;
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  ({ day, wearerId } = await sampleWashDay(bench));
});
afterAll(() => bench.close());

const photo = (to: Partial<PhotographInput> = {}): PhotographInput => ({
  id: v7(),
  washDayId: day.id,
  stage: 'wet',
  day: null,
  zoneId: null,
  angle: 'back',
  takenAt: new Date().toISOString(),
  film: false,
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
    const got = await fetch(`${bench.url}/api/photographs/${one.id}/original`);
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
    expect((await bench.ask('PUT', `/api/photographs/${v7()}`, photo({ size: 16_000_001 }))).status).toBe(
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
    const got = await fetch(`${bench.url}/api/photographs/${one.id}/original`);
    expect(Buffer.from(await got.arrayBuffer()).equals(JPEG)).toBe(true);
  });

  for (const orientation of [1, 2, 3, 4, 5, 6, 7, 8] as const)
    it(`turned as ${orientation} is kept to the byte, its turning beside it; pages show it upright and small`, {
      // A usual one, and one that lies on its side and is mirrored.
      tags: [1, 5].includes(orientation) ? [] : ['soak'],
    }, async () => {
      // Left half black, right half white, below it a grey band: every turning and mirroring looks different.
      const upright = await sharp({ create: { width: 2000, height: 1200, channels: 3, background: '#fff' } })
        .composite([
          {
            input: { create: { width: 1000, height: 1200, channels: 3, background: '#000' } },
            left: 0,
            top: 0,
          },
          {
            input: { create: { width: 2000, height: 300, channels: 3, background: '#808080' } },
            left: 0,
            top: 900,
          },
        ])
        .removeAlpha()
        .raw()
        .toBuffer();
      const picture = () => sharp(upright, { raw: { width: 2000, height: 1200, channels: 3 } });
      // The way back: turned to the left, then mirrored.
      const turns = { 1: 0, 2: 0, 3: 180, 4: 180, 5: 90, 6: 270, 7: 270, 8: 90 }[orientation];
      const turned = sharp(await picture().rotate(turns).png().toBuffer()).flop(
        [2, 4, 5, 7].includes(orientation),
      );
      const bare = await turned.jpeg({ quality: 90 }).toBuffer();
      const noted = await sharp(bare)
        .keepMetadata()
        .withMetadata({ orientation })
        .jpeg({ quality: 90 })
        .toBuffer();
      const one = photo({ size: noted.length });
      await announce(one);
      for (let from = 0; from < noted.length; from += 200_000)
        expect((await send(one.id, from, noted.subarray(from, from + 200_000))).status).toBe(200);
      const { photographs } = (await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`)).body;
      const sideways = orientation > 4;
      expect(photographs.find(({ id }) => id === one.id)).toMatchObject({
        orientation,
        width: sideways ? 1200 : 2000,
        height: sideways ? 2000 : 1200,
      });
      const bytesOf = async (what: string) =>
        Buffer.from(await (await fetch(`${bench.url}/api/photographs/${one.id}/${what}`)).arrayBuffer());
      const original = await bytesOf('original');
      expect(original.includes('Exif')).toBe(false);
      const pixels = (bytes: Buffer) => sharp(bytes).raw().toBuffer();
      expect((await pixels(original)).equals(await pixels(noted))).toBe(true);
      for (const _ of ['made', 'kept']) {
        const { data, info } = await sharp(await bytesOf('image'))
          .raw()
          .toBuffer({ resolveWithObject: true });
        expect([info.width, info.height]).toEqual([1600, 960]);
        const at = (x: number, y: number) => data[info.channels * (y * info.width + x)]!;
        expect(at(200, 200)).toBeLessThan(20);
        expect(at(1400, 200)).toBeGreaterThan(235);
        expect(Math.abs(at(800, 900) - 128)).toBeLessThan(10);
      }
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
    expect(await ghosts()).toEqual({ back: { id: first, frameMm: null } });
    const second = await whole(new Date().toISOString());
    expect(await ghosts()).toEqual({ back: { id: second, frameMm: null } });
    expect((await bench.ask('DELETE', `/api/photographs/${second}`)).status).toBe(204);
    expect(await ghosts()).toEqual({ back: { id: first, frameMm: null } });
  });
});

describe('what was read in a photograph', () => {
  const CARD = [
    { x: 0.7, y: 0.4 },
    { x: 0.9, y: 0.4 },
    { x: 0.9, y: 0.5 },
    { x: 0.7, y: 0.5 },
  ];
  const measured = (to: Partial<PhotographMeasured> = {}): PhotographMeasured => ({
    measuredAt: new Date().toISOString(),
    ruleMm: 99.5,
    leftOut: [CARD],
    taken: {
      card: CARD,
      pxPerMm: 5.1,
      edgeMm: 0.3,
      tilt: 2,
      exposure: -0.2,
      kelvin: 6400,
      clipped: false,
      way: 'silhouette',
    },
    thinnest: null,
    widths: [10, 80.5],
    curlWidth: null,
    curls: [],
    leans: [],
    parting: null,
    notes: ['coarse'],
    readings: [
      { measure: 'halo', half: null, value: 1.25, why: null },
      { measure: 'strays', half: null, value: null, why: 'too coarse' },
    ],
    ...to,
  });
  const stored = async (to: Partial<PhotographInput> = {}) => {
    const one = photo({ size: JPEG.length, ...to });
    await announce(one);
    await send(one.id, 0, JPEG);
    return one;
  };
  const keep = (id: string, body: unknown) =>
    bench.ask<PhotographMeasured & { detail: string }>('PUT', `/api/photographs/${id}/measured`, body);

  it('is kept with it, in the place of what was read before, and goes with it', async () => {
    const one = await stored();
    const pulse = async () => (await bench.ask('GET', `/api/wash-days/${day.id}/pulse`)).body;
    const before = await pulse();
    expect((await keep(one.id, measured())).status).toBe(200);
    expect(await pulse()).not.toEqual(before);
    const again = measured({
      leftOut: [],
      readings: [{ measure: 'halo', half: null, value: 0.8, why: null }],
    });
    await keep(one.id, again);
    const kept = async () =>
      (await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`)).body.photographs[0]!.measured!;
    expect({ ...(await kept()), measuredAt: again.measuredAt }).toEqual(again);
    // Split at the parting: of all of it, and of each half.
    const halves = measured({
      parting: [
        { x: 0.5, y: 0.2 },
        { x: 0.52, y: 0.7 },
      ],
      taken: { ...again.taken!, way: 'colour' },
      readings: [null, 'left' as const, 'right' as const].map((half, i) => ({
        ...{ measure: 'halo' as const, half },
        ...{ value: i, why: null },
      })),
    });
    await keep(one.id, halves);
    const { readings, ...rest } = await kept();
    expect(new Set(readings)).toEqual(new Set(halves.readings));
    expect({ ...rest, measuredAt: halves.measuredAt }).toEqual({
      ...Object.fromEntries(Object.entries(halves).filter(([key]) => key !== 'readings')),
    });
    // Listed with what is read of all of it.
    const listed = await bench.ask<{ id: string; halo: number }[]>(
      'GET',
      `/api/wearers/${wearerId}/photographs`,
    );
    expect(listed.body.find(({ id }) => id === one.id)!.halo).toBe(0);
    await bench.ask('DELETE', `/api/photographs/${one.id}`);
    expect((await bench.db.query('select from photograph_reading')).rowCount).toBe(0);
  });

  it('is refused without a sound reading, without a whole photograph, and without a card’s light', async () => {
    const one = await stored();
    const [halo] = measured().readings;
    for (const wrong of [
      measured({ readings: [{ ...halo!, why: 'too noisy' }] }),
      measured({ readings: [{ ...halo!, value: null }] }),
      measured({ readings: [halo!, halo!] }),
      measured({ readings: [{ measure: 'volume', half: null, value: 3, why: null }] }),
      measured({ readings: [{ ...halo!, why: 'bad hair' as 'too noisy', value: null }] }),
      measured({ ruleMm: 3 }),
      measured({ leftOut: [CARD.slice(0, 2)] }),
      measured({ taken: { ...measured().taken!, pxPerMm: 0 } }),
      measured({ measuredAt: new Date(Date.now() + 3_600_000).toISOString() }),
    ])
      expect((await keep(one.id, wrong)).status, JSON.stringify(wrong)).toBe(422);
    const half = photo();
    await announce(half);
    expect((await keep(half.id, measured())).status).toBe(404);
    expect((await keep(v7(), measured())).status).toBe(404);
    // Nothing was found in it: that is a reading too.
    const none = measured({
      taken: null,
      leftOut: [],
      widths: [],
      readings: [{ measure: 'halo', half: null, value: null, why: 'no card' }],
    });
    expect((await keep(one.id, none)).body).toMatchObject({ taken: null, readings: none.readings });
  });

  it('comes with what was left out in the last picture of that head from that angle', async () => {
    const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
    const filed = async (id: string) =>
      (await bench.ask<FiledPhotograph>('GET', `/api/photographs/${id}`)).body;
    const [oldest, older, side] = [
      await stored({ takenAt: ago(9) }),
      await stored({ takenAt: ago(6) }),
      await stored({ takenAt: ago(5), angle: 'left' }),
    ];
    const here = await stored({ takenAt: ago(3) });
    expect(await filed(here.id)).toMatchObject({ washDayId: day.id, wearerId, position: 0, before: null });
    await keep(oldest.id, measured({ leftOut: [] }));
    await keep(older.id, measured());
    await keep(side.id, measured({ leftOut: [CARD, CARD] }));
    expect((await filed(here.id)).before).toEqual({
      id: older.id,
      leftOut: [CARD],
      parting: null,
      ruleMm: 99.5,
      card: CARD,
      aspect: 24 / 16,
    });
    // Where its parting was put comes with it; where it was only guessed does not.
    const parting = [
      { x: 0.5, y: 0.2 },
      { x: 0.48, y: 0.8 },
    ];
    await keep(older.id, measured({ parting }));
    expect((await filed(here.id)).before).toMatchObject({ parting });
    await keep(older.id, measured({ parting, notes: ['parting guessed'] }));
    expect((await filed(here.id)).before).toMatchObject({ parting: null });
    // The light table's list: with the halo, and nothing of what was under test.
    const listed = (await bench.ask<object[]>('GET', `/api/wearers/${wearerId}/photographs`)).body;
    expect(listed).toHaveLength(4);
    expect(listed[0]).toMatchObject({ id: oldest.id, halo: 1.25, exposure: -0.2, aspect: 24 / 16 });
    expect(JSON.stringify(listed)).not.toMatch(/arm|product|code/i);
    // What came later says nothing of it.
    expect((await filed(oldest.id)).before).toBeNull();
    expect((await bench.ask('GET', `/api/photographs/${v7()}`)).status).toBe(404);
  });

  it('from near is of a zone of that head, and of all its pictures there by one curl’s width', async () => {
    const { rows: zones } = await bench.db.query<{ id: string; mine: boolean }>(
      `select id, wearer_id = $1 as mine from zone where place = 'crown' order by side, position`,
      [wearerId],
    );
    const [left, right] = zones.filter(({ mine }) => mine).map(({ id }) => id) as [string, string];
    const near = (zoneId: string | null) => photo({ angle: 'close-up', zoneId, size: JPEG.length });
    const announced = (one: PhotographInput) =>
      bench.ask<{ fields?: { path: string }[] }>('PUT', `/api/photographs/${one.id}`, one);
    const other = await announced(near(zones.find(({ mine }) => !mine)!.id));
    expect([other.status, other.body.fields?.[0]?.path]).toEqual([422, 'zoneId']);
    expect((await announced(photo({ angle: 'back', zoneId: left }))).status).toBe(422);
    const read = (curlWidth: number) =>
      measured({
        curlWidth,
        curls: [CARD],
        readings: [
          { measure: 'clump-contrast', half: null, value: 1.9, why: null },
          { measure: 'curl-index', half: null, value: null, why: 'few curls' },
        ],
      });
    const [one, again, none] = [
      await stored({ angle: 'close-up', zoneId: left }),
      await stored({ angle: 'close-up', zoneId: right }),
      await stored({ angle: 'close-up' }),
    ];
    // The first may still be read by another width; the second, of the other half's crown, goes by the first.
    expect((await keep(one.id, read(9))).status).toBe(200);
    expect((await keep(one.id, read(12))).body).toMatchObject({ curlWidth: 12, curls: [CARD] });
    const filed = async (id: string) =>
      (await bench.ask<FiledPhotograph>('GET', `/api/photographs/${id}`)).body;
    expect((await filed(again.id)).curlWidth).toBe(12);
    expect((await filed(none.id)).curlWidth).toBeNull();
    const refused = await keep(again.id, read(20));
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain('by a curl 12 mm wide');
    expect((await keep(again.id, read(12))).status).toBe(200);
    expect((await keep(none.id, read(20))).status).toBe(200);
  });
});
