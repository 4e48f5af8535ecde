import http from 'node:http';
import { stableReading } from '@sabor/core/basin/stable-reading';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ScaleMessage } from '../../devices/kitchen-scale.ts';
import { simulatedScale } from '../../devices/kitchen-scale.ts';
import { openBench, type TestBench } from '../../testing/bench.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

/** What the stream sends until there are so many messages, or it ends. */
function listen(many: number): Promise<ScaleMessage[]> {
  return new Promise((resolve, reject) => {
    const heard: ScaleMessage[] = [];
    const request = http.get(`${bench.url}/api/scale/stream`, (response) => {
      let text = '';
      response.on('data', (piece: Buffer) => {
        text += piece.toString();
        const parts = text.split('\n\n');
        text = parts.pop()!;
        for (const part of parts) heard.push(JSON.parse(part.replace(/^data: /, '')));
        if (heard.length >= many) request.destroy();
      });
      response.on('close', () => resolve(heard));
      response.on('error', () => resolve(heard));
    });
    request.on('error', (error) => (heard.length ? resolve(heard) : reject(error)));
  });
}

describe('the kitchen scale', () => {
  it('streams live, and comes to rest at what is put on it', async () => {
    expect((await bench.ask('POST', '/api/scale/put', { grams: 240 })).status).toBe(204);
    const heard = await listen(35);
    expect(heard.every(({ battery }) => battery === 'full')).toBe(true);
    expect(Math.abs(stableReading(heard)! - 240)).toBeLessThan(1);
  });

  it('tells a low battery, and ends when its connection is lost', async () => {
    await bench.ask('POST', '/api/scale/fault', { fault: 'low-battery' });
    expect((await listen(1))[0]!.battery).toBe('low');
    await bench.ask('POST', '/api/scale/fault', { fault: 'lost' });
    expect(await listen(5)).toEqual([]);
    await bench.ask('POST', '/api/scale/fault', { fault: 'none' });
    expect((await listen(1)).length).toBe(1);
  });

  it('takes nought where it is told to, and refuses what no scale carries', async () => {
    await bench.ask('POST', '/api/scale/put', { grams: 80 });
    await listen(30);
    await bench.ask('POST', '/api/scale/tare');
    expect(Math.abs((await listen(1))[0]!.grams)).toBeLessThan(1);
    expect((await bench.ask('POST', '/api/scale/put', { grams: 1e6 })).status).toBe(422);
    expect((await bench.ask('POST', '/api/scale/put', {})).status).toBe(422);
    expect((await bench.ask('POST', '/api/scale/fault', { fault: 'melted' })).status).toBe(422);
  });

  it('is quiet when nobody listens', async () => {
    let moment = 0;
    const scale = simulatedScale(3, () => moment++);
    const heard: unknown[] = [];
    const stop = scale.listen((message) => heard.push(message));
    await new Promise((done) => setTimeout(done, 250));
    stop();
    const n = heard.length;
    expect(n).toBeGreaterThan(0);
    await new Promise((done) => setTimeout(done, 250));
    expect(heard.length).toBe(n);
  });
});
