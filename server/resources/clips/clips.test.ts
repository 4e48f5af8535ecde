import type { ClipInput, ListedClip } from '@sabor/contract/clip';
import type { Problem } from '@sabor/contract/problem';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleWashDay } from '../../testing/samples.ts';

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

/** An MP4 of some size, that says where it was taken. */
const PLACE = Buffer.from('+53.3498-006.2603/');
const box = (kind: string, body: Buffer) => {
  const head = Buffer.alloc(8);
  head.writeUInt32BE(8 + body.length);
  head.write(kind, 4, 'latin1');
  return Buffer.concat([head, body]);
};
const film = (size: number, fill = 7) =>
  Buffer.concat([
    box('ftyp', Buffer.from('isom')),
    box('udta', PLACE),
    box('mdat', Buffer.alloc(size, fill)),
  ]);

const clip = (to: Partial<ClipInput> = {}): ClipInput => ({
  id: v7(),
  washDayId: day.id,
  stage: 'wet',
  day: null,
  kind: 'bounce',
  takenAt: new Date().toISOString(),
  seconds: 6.5,
  ...to,
});
async function send(one: ClipInput, bytes = film(1000), type = 'video/mp4') {
  const answer = await fetch(
    `${bench.url}/api/clips/${one.id}?clip=${encodeURIComponent(JSON.stringify(one))}`,
    { method: 'PUT', headers: { 'Content-Type': type }, body: new Uint8Array(bytes) },
  );
  return { status: answer.status, body: (await answer.json()) as ListedClip[] & Problem };
}

describe('a clip', () => {
  it('is kept once without where it was taken, listed with its wash day, heard in parts, and removed', async () => {
    const one = clip();
    expect((await send(one)).status).toBe(200);
    const { body } = await send(one);
    expect(body).toEqual([
      { ...one, type: 'video/mp4', position: 0, question: expect.any(String), logged: false },
    ]);
    expect((await bench.ask<ListedClip[]>('GET', `/api/wearers/${wearerId}/clips`)).body).toEqual(body);
    const whole = await fetch(`${bench.url}/api/clips/${one.id}/film`);
    expect([whole.status, whole.headers.get('content-type'), whole.headers.get('accept-ranges')]).toEqual([
      200,
      'video/mp4',
      'bytes',
    ]);
    const bytes = Buffer.from(await whole.arrayBuffer());
    expect(bytes.length).toBe(film(1000).length);
    expect(bytes.includes(PLACE)).toBe(false);
    const part = await fetch(`${bench.url}/api/clips/${one.id}/film`, { headers: { Range: 'bytes=10-19' } });
    expect([part.status, part.headers.get('content-range')]).toEqual([206, `bytes 10-19/${bytes.length}`]);
    expect(Buffer.from(await part.arrayBuffer()).equals(bytes.subarray(10, 20))).toBe(true);
    const rest = await fetch(`${bench.url}/api/clips/${one.id}/film`, { headers: { Range: 'bytes=1000-' } });
    expect(Buffer.from(await rest.arrayBuffer()).equals(bytes.subarray(1000))).toBe(true);
    await bench.ask('DELETE', `/api/clips/${one.id}`);
    expect((await bench.ask('GET', `/api/clips/${one.id}/film`)).status).toBe(404);
  });

  it('of a phone that calls it a QuickTime film is taken for what its bytes are', async () => {
    const { status, body } = await send(clip(), film(500), 'video/quicktime');
    expect([status, body[0]!.type]).toEqual([200, 'video/mp4']);
  });

  it('is refused in words: no film, too long, too large, of no wash day, of one that is over', async () => {
    const refused = async (answer: ReturnType<typeof send>) => {
      const { status, body } = await answer;
      return [status, body.fields?.[0]?.message ?? body.detail];
    };
    expect(await refused(send(clip(), Buffer.from('Dear curls')))).toEqual([
      422,
      'This is no film that Sabor knows: WebM or MP4. It was not kept; take it again.',
    ]);
    expect((await refused(send(clip(), film(10), 'text/html')))[0]).toBe(422);
    expect(await refused(send(clip({ seconds: 14 })))).toEqual([
      422,
      'A clip runs 8 seconds at most. Cut it, or take a shorter one.',
    ]);
    expect((await refused(send(clip({ day: 2 }))))[0]).toBe(422);
    expect((await refused(send(clip({ washDayId: v7() }))))[0]).toBe(404);
    expect((await refused(send(clip(), film(16_800_000))))[0]).toBe(413);
    const kept = clip();
    await send(kept);
    // Another film under the same name is not taken for it.
    expect((await send(kept, film(999))).status).toBe(409);
    await bench.ask('POST', `/api/wash-days/${day.id}/abandon`, {
      reason: 'The water went.',
      at: new Date().toISOString(),
    });
    expect((await send(clip())).status).toBe(409);
    expect((await bench.ask('DELETE', `/api/clips/${kept.id}`)).status).toBe(409);
    expect((await bench.ask<ListedClip[]>('GET', `/api/wearers/${wearerId}/clips`)).body).toHaveLength(1);
  });
});
