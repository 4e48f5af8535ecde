import type { Memo, MemoInput } from '@sabor/contract/memo';
import type { Problem } from '@sabor/contract/problem';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench } from '../../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const at = () => new Date().toISOString();
const tell = (id: string, memo: Omit<MemoInput, 'id'>) =>
  bench.ask<Memo[] & Problem>('PUT', `/api/memos/${id}`, memo);
const WEBM = Buffer.concat([Buffer.from([0x1a, 0x45, 0xdf, 0xa3]), Buffer.alloc(200, 7)]);
const sound = (id: string, bytes: Buffer, memo: object, type = 'audio/webm') =>
  fetch(`${bench.url}/api/memos/${id}/sound?memo=${encodeURIComponent(JSON.stringify(memo))}`, {
    method: 'PUT',
    headers: { 'Content-Type': type },
    body: new Uint8Array(bytes),
  });

describe('a note from anywhere', () => {
  it('is kept once with what it is about, seen to, and taken away', async () => {
    const { trial } = await sampleBench(bench, {}, { name: 'Nell Note' });
    const id = v7();
    const memo = { at: at(), words: ' Smells of pear. ', about: { kind: 'trial', id: trial.id } } as const;
    expect((await tell(id, memo)).status).toBe(200);
    const { body } = await tell(id, memo);
    expect(body.filter((one) => one.id === id)).toEqual([
      {
        id,
        at: memo.at,
        words: 'Smells of pear.',
        about: { kind: 'trial', id: trial.id, name: trial.question, on: null },
        sound: null,
        doneAt: null,
      },
    ]);
    const later = v7();
    await tell(later, { at: at(), words: 'Buy bobbles', about: null });
    await bench.ask('PUT', `/api/memos/${id}/done`, { done: true });
    const all = (await bench.ask<Memo[]>('GET', '/api/memos')).body;
    // What waits comes first.
    expect(all.map((one) => one.id)).toEqual([later, id]);
    expect(all[1]!.doneAt).not.toBeNull();
    expect(
      (await bench.ask<Memo[]>('PUT', `/api/memos/${id}/done`, { done: false })).body[1]!.doneAt,
    ).toBeNull();
    await bench.ask('DELETE', `/api/memos/${id}`);
    expect((await bench.ask<Memo[]>('DELETE', `/api/memos/${id}`)).body.map((one) => one.id)).toEqual([
      later,
    ]);
  });

  it('by voice comes back byte for byte, and is refused in words where it is no sound', async () => {
    const id = v7();
    const memo = { at: at(), words: '', about: null, seconds: 12 };
    expect((await sound(id, WEBM, memo)).status).toBe(200);
    const kept = (await bench.ask<Memo[]>('GET', '/api/memos')).body.find((one) => one.id === id)!;
    expect(kept.sound).toEqual({ seconds: 12, type: 'audio/webm' });
    const back = await fetch(`${bench.url}/api/memos/${id}/sound`);
    expect(back.headers.get('content-type')).toBe('audio/webm');
    expect(back.headers.get('x-content-type-options')).toBe('nosniff');
    expect(Buffer.from(await back.arrayBuffer())).toEqual(WEBM);
    const refused = async (answer: Promise<Response>) => {
      const { status, detail } = (await (await answer).json()) as Problem;
      return [status, detail];
    };
    expect(await refused(sound(v7(), Buffer.from('<script>'), memo))).toEqual([
      422,
      'This is no sound that Sabor knows. It was not kept; record it again.',
    ]);
    expect((await refused(sound(v7(), WEBM, memo, 'text/html')))[0]).toBe(422);
    expect((await refused(sound(v7(), WEBM, { ...memo, seconds: 4000 })))[0]).toBe(422);
    // An hour at many times the rate that Sabor records at.
    expect((await refused(sound(v7(), Buffer.concat([WEBM, Buffer.alloc(12_100_000)]), memo)))[0]).toBe(413);
  });

  it('says something, of something there is', async () => {
    const says = async (memo: object) => {
      const { status, body } = await tell(v7(), memo as never);
      return [status, body.fields?.[0]?.message ?? body.detail];
    };
    expect(await says({ at: at(), words: '  ', about: null })).toEqual([
      422,
      'Say something, in words or by voice.',
    ]);
    expect((await says({ at: at(), words: 'x'.repeat(4001), about: null }))[0]).toBe(422);
    expect((await says({ at: at(), words: 'x', about: { kind: 'wearer', id: v7() } }))[0]).toBe(404);
    expect((await says({ at: at(), words: 'x', about: null, seconds: 3 }))[0]).toBe(422);
    expect((await bench.ask('PUT', `/api/memos/${v7()}/done`, { done: true })).status).toBe(404);
    expect((await bench.ask('GET', `/api/memos/${v7()}/sound`)).status).toBe(404);
  });
});
