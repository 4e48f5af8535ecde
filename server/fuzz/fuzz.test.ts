import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../app.ts';
import { openBench, type TestBench } from '../testing/bench.ts';
import { attack } from './attack.ts';
import { APART, BODIES, routesOf } from './routes.ts';

let bench: TestBench;
let routes: string[];
beforeAll(async () => {
  bench = await openBench();
  routes = routesOf(createApp({ db: bench.db, log: pino({ level: 'silent' }), webRoot: null }));
});
afterAll(() => bench.close());

describe('hostile requests', () => {
  it('reach every route there is', () => {
    expect(routes.length).toBeGreaterThan(80);
    for (const route of [...Object.keys(BODIES), ...APART]) expect(routes).toContain(route);
    const bodied = routes.filter((route) => /^(PUT|PATCH) /.test(route) && !APART.has(route));
    expect(bodied.filter((route) => !BODIES[route])).toEqual([]);
  });

  const areAnswered = async (requests: number) => {
    const { faults, byStatus } = await attack(bench, routes, requests, 20_261_127);
    expect(faults).toEqual([]);
    expect(byStatus[200]! + byStatus[204]!).toBeGreaterThan(0.107 * requests);
    expect(byStatus[422]).toBeGreaterThan(0.128 * requests);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  };
  it('are answered in words of ours, never in the five hundreds', () => areAnswered(400));
  it('are so by the thousand', { tags: 'soak' }, () => areAnswered(1400));
});
