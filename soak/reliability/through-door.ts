import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { PERSON_ROLES, type PersonRole } from '@sabor/core/access/people';
import { startCluster } from '../../scripts/postgres/cluster.ts';
import { mayAsk } from '../../server/access/rights.ts';
import { attack } from '../../server/fuzz/attack.ts';
import { routesOf } from '../../server/fuzz/routes.ts';
import { openBenchOn, type TestBench } from '../../server/testing/open-bench.ts';
import { sampleWashDay } from '../../server/testing/samples.ts';
import { letIn, openDoor, testDoor, visitor } from '../../server/testing/through-door.ts';
import type { Row } from './kills.ts';

/** A stranger, and whoever can be let in. */
const WHO = ['stranger', ...(Object.keys(PERSON_ROLES) as PersonRole[])] as const;

/** Hostile requests through the door, by a stranger and everybody who is let in: none breaks anything, nobody gets more than the table of rights says. */
export async function throughDoor(requests: number): Promise<Row> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-soak-door-'));
  const cluster = await startCluster(folder, true);
  const bench = await openBenchOn(cluster.url, null, undefined, testDoor);
  try {
    const address = await openDoor(bench);
    const { body: ca } = await bench.ask<string>('GET', '/sabor-authority.crt');
    // Their own sign-in would end with it, and who may come in would change under them.
    const routes = routesOf(bench.app).filter((route) => !/ \/(sign-|scale\/stream)/.test(route));
    const faults: string[] = [];
    const byStatus: Record<string, number> = {};
    const { wearerId } = await sampleWashDay(bench);
    for (const [part, role] of WHO.entries()) {
      const head = role === 'wearer' ? wearerId : null;
      const device =
        role === 'stranger' ? visitor(address, ca) : await letIn(bench, address, ca, role, undefined, head);
      const ask = (async (method: string, to: string, body?: unknown) => {
        const heard = await device.ask(method, to, body);
        const plain = to.replace(/^\/api|\?.*$/g, '');
        const wanted = role === 'stranger' ? 401 : mayAsk(role, method, plain) ? null : 403;
        if (wanted !== null && heard.status !== wanted)
          faults.push(`${heard.status} instead of ${wanted} to a ${role}: ${method} ${to.slice(0, 200)}`);
        return { status: heard.status, body: heard.body ?? heard.text, headers: new Headers() };
      }) as TestBench['ask'];
      const found = await attack(
        bench,
        routes,
        Math.round(requests / WHO.length),
        (Date.now() % 1e6) + part,
        ask,
      );
      faults.push(...found.faults);
      for (const [status, n] of Object.entries(found.byStatus))
        byStatus[status] = (byStatus[status] ?? 0) + n;
    }
    const statuses = Object.entries(byStatus).map(([status, n]) => `${status}: ${n.toLocaleString('en')}`);
    return {
      what: `${requests.toLocaleString('en')} hostile requests through the door, by a stranger and everybody who is let in`,
      came: `${statuses.join(', ')}; ${faults.length} in the five hundreds, giving something away, or beyond the table of rights${faults.length ? ` — ${faults[0]}` : ''}`,
      well: faults.length === 0,
    };
  } finally {
    await bench.close();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
