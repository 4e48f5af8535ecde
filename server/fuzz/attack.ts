import { seededRandom } from '@sabor/core/random';
import { v7 } from 'uuid';
import type { TestBench } from '../testing/bench.ts';
import { sampleBench, sampleProduct } from '../testing/samples.ts';
import { generated, HOSTILE, mutated } from './generate.ts';
import { APART, BODIES } from './routes.ts';

/** Words that only a database, a stack or a parser says. */
const GIVEN_AWAY =
  /violates|duplicate key|syntax error|invalid input|relation "|column "|\bpg_|postgres|SQLSTATE|\.ts:\d|node_modules|at \w+ \(|ECONN|undefined is not|Cannot read prop/i;

/** What an attack came to. */
export interface Attack {
  requests: number;
  byStatus: Record<string, number>;
  /** Answers in the five hundreds, and those that gave something away: with the request that had them. */
  faults: string[];
}

/** Bodies that are taken as they are, one of each kind, and the ids of what is stored. */
async function stored(bench: TestBench) {
  const { gels, wearer, routine, trial } = await sampleBench(bench, { washDays: 6, wearDays: 3 });
  const [washDayId, placeId] = [v7(), v7()];
  const put = (path: string, body: object) => bench.ask<{ steps: { id: string }[] }>('PUT', path, body);
  await put(`/api/places/${placeId}`, {
    name: 'Shore',
    timeZone: 'Europe/Dublin',
    station: 'seasons',
    normals: [],
  });
  const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
  const day = await put(`/api/wash-days/${washDayId}`, { trialId: trial.id, startedAt: ago(300) });
  const steps = day.body.steps.map(({ id }) => id);
  const [stepId] = steps as [string];
  const zoneId = wearer.zones[0]!.id;
  const rating = { outcome: 'definition', zoneId, value: 7 };
  const today = new Date().toISOString().slice(0, 10);
  const tap = (said: object) => ({ id: v7(), at: ago(5), stepId, ...said });
  const bodies: Record<string, object> = {
    'PUT /lines/:id': { name: 'Tidewrack', note: '' },
    'PUT /products/:id': sampleProduct(),
    'PUT /products/:id/calibrations/:measure': { grams: [1.2, 1.3] },
    'POST /shelf/import': { products: [{ ...sampleProduct(), line: 'Tidewrack' }] },
    'PUT /wearers/:id': {
      ...wearer,
      id: v7(),
      zones: wearer.zones.map((zone) => ({ ...zone, id: v7() })),
      curls: [],
    },
    'PUT /wearers/:id/cadence/:kind': { everyDays: 20 },
    'PUT /wearers/:id/wishes': {
      weights: [{ wish: 'definition', weight: 3 }],
      line: 6,
      styleDays: 3,
      budget: 20,
      currency: 'EUR',
      school: 'free',
      dislikes: ['crunch'],
      avoided: [{ ingredient: 'Limonene', why: 'allergy' }],
    },
    'PUT /wearers/:id/rules/:rule': { weight: 2 },
    'PUT /hair-tests/:id': {
      wearerId: wearer.id,
      zoneId,
      kind: 'bead',
      value: 40,
      outcome: null,
      on: '2026-01-05',
      note: '',
    },
    'PUT /hair-events/:id': {
      wearerId: wearer.id,
      kind: 'trim',
      on: '2026-01-05',
      note: '',
      zoneIds: [zoneId],
    },
    'PUT /hair-measures/:id': {
      wearerId: wearer.id,
      zoneId,
      on: '2026-01-05',
      note: '',
      result: { kind: 'stretch', wetMm: 50, stretchedMm: 65, releasedMm: 52 },
    },
    'PUT /own-ingredients': { name: 'sea foam', likeName: 'Glycerin', group: null },
    'PUT /routines/:id': {
      ...routine,
      id: v7(),
      steps: routine.steps.map((step) => ({ ...step, id: v7() })),
    },
    'PUT /trials/:id': { ...trial, id: v7(), plan: trial.plan, arms: trial.arms },
    'PUT /trials/:id/amendments/:amendment': { field: 'line', value: 5, reason: 'Changed my mind.' },
    'PUT /trials/:id/step-amendments/:amendment': {
      stepId: trial.plan[0]!.id,
      step: trial.plan[0]!,
      reason: 'Ran out.',
    },
    'PUT /trials/:id/overrules/:overrule': {
      washDayId,
      difference: 'dose',
      gravity: 'note',
      reason: 'Small.',
    },
    'PUT /trials/:id/panel': { wearerIds: [wearer.id] },
    'POST /trials/:id/end': { reason: 'Enough.' },
    'PUT /wash-days/:id': { trialId: trial.id, startedAt: ago(1) },
    'PATCH /wash-days/:id': {
      temperatureC: 12,
      humidity: 60,
      windMs: 2,
      washedAt: ago(200),
      dryAt: ago(100),
      note: 'x',
    },
    'POST /wash-days/:id/taps': {
      device: 'phone',
      taps: [
        tap({ kind: 'step', set: { status: 'done', doneAt: ago(6), note: 'x', extra: { cap: true } } }),
        tap({ kind: 'mark', markId: v7(), mark: 'more', reason: 'untold' }),
        tap({ kind: 'pause', pauseId: v7(), from: ago(9), to: ago(8), reason: 'door' }),
        tap({ kind: 'weighing', phase: 'before', grams: 200 }),
        tap({ kind: 'day', set: { shedHairs: 40 } }),
        tap({ kind: 'rate', checkInId: v7(), stage: 'wet', day: null, lookedAt: ago(4), ratings: [rating] }),
        tap({ kind: 'event', eventId: v7(), event: 'rain', on: today }),
      ],
    },
    'POST /wash-days/:id/abandon': { reason: 'No water.' },
    'POST /wash-days/:id/end-wear': { kind: 'washed-schedule', at: ago(1) },
    'PUT /wash-days/:id/guess': { half: null, armName: 'Gel 1' },
    'PUT /wash-days/:id/outdoors/:on': { outdoorHours: 2, indoorHours: 10 },
    'PUT /check-ins/:id': {
      washDayId,
      stage: 'wet',
      day: null,
      at: ago(3),
      note: 'x',
      ratings: [rating],
      curls: [],
    },
    'PUT /events/:id': { washDayId, kind: 'rain', on: today, note: '', zoneIds: [zoneId] },
    'PUT /photographs/:id': {
      washDayId,
      stage: 'wet',
      day: null,
      angle: 'back',
      takenAt: ago(2),
      type: 'image/jpeg',
      width: 100,
      height: 100,
      size: 1000,
    },
    'PUT /photographs/:id/measured': {
      measuredAt: ago(1),
      ruleMm: 100,
      leftOut: [],
      taken: null,
      thinnest: null,
      widths: [],
      notes: [],
      readings: [{ measure: 'halo', value: null, why: 'no card' }],
    },
    'PUT /places/:id': { name: 'Harbour', timeZone: 'UTC', station: null, normals: [], note: '' },
    'PUT /places/:id/readings/:batchId': {
      source: 'csv',
      name: 'a file',
      rows: [[ago(60), 12, 60, 2, null]],
    },
    'PUT /places/:id/metar/:batchId': { text: 'EIDW 221630Z 24012KT 9999 12/08 Q1013', month: null },
    'PUT /stays/:id': { wearerId: wearer.id, placeId, from: '2026-02-01' },
    'PATCH /settings': { currency: 'EUR' },
    'PUT /backups': { folder: null },
    'POST /scale/put': { grams: 200 },
    'POST /scale/fault': { fault: 'none' },
  };
  const names: Record<string, string[]> = {
    lines: [v7()],
    products: [...gels.map(({ id }) => id), v7()],
    wearers: [wearer.id],
    routines: [routine.id, v7()],
    trials: [trial.id, v7()],
    'wash-days': [washDayId],
    places: [placeId],
  };
  const ids = [...Object.values(names).flat(), ...steps, zoneId, trial.arms[0]!.id, trial.plan[0]!.id, v7()];
  return { bodies, names, ids };
}

const PARAMS: Record<string, string[]> = {
  measure: ['pump', 'ball', 'constructor'],
  kind: ['trim', 'clarify', 'toString'],
  rule: ['film-stacking', '__proto__'],
  on: ['2026-11-20', '0000-01-01', '2024-02-30', 'today'],
  name: ['sea%20foam', '%00', '%E0%A4%A', "'--", '..%2f'],
};

/**
 * Asks every route with bodies made from the contract: valid but for one place, or made up by the schema. Seeded: the same
 * seed asks the same of a fresh bench.
 */
export async function attack(
  bench: TestBench,
  routes: readonly string[],
  requests: number,
  seed: number,
  /** How it is asked: as this machine asks, or through the door in somebody's name. */
  ask: TestBench['ask'] = bench.ask,
): Promise<Attack> {
  const random = seededRandom(seed);
  const pick = <T>(items: readonly T[]): T => items[random.below(items.length)]!;
  const found: Attack = { requests: 0, byStatus: {}, faults: [] };
  const asked = routes.filter((route) => !APART.has(route));
  const bodied = asked.filter((route) => BODIES[route]);
  let { bodies, names, ids } = await stored(bench);
  const one = async () => {
    // Most faults hide behind a body.
    const route = random.below(5) === 0 ? pick(asked) : pick(bodied);
    const [method, path] = route.split(' ') as [string, string];
    const schema = BODIES[route];
    const resource = path.split('/')[1]!;
    const at = path.replaceAll(/:(\w+)/g, (_, name: string) => {
      if (PARAMS[name] && name !== 'id') return pick(PARAMS[name]);
      if (random.below(12) === 0)
        return (
          encodeURIComponent((JSON.stringify(pick(HOSTILE)) ?? '').slice(0, 100).toWellFormed()).replaceAll(
            '.',
            '%2e',
          ) || '-'
        );
      return name === 'id' ? pick(names[resource] ?? [v7(), ...ids]) : v7();
    });
    const query = path.endsWith('/weather')
      ? `?from=${pick(['2026-01-01T00:00:00Z', '0000-01-01T00:00:00Z', 'x'])}&to=2026-02-01T00:00:00Z`
      : '';
    const body = !schema
      ? undefined
      : random.below(10) < 7
        ? mutated(bodies[route]!, ids, random)
        : generated(schema, ids, random);
    const text = body === undefined ? undefined : JSON.stringify(body);
    const { status, body: answer } = await ask<unknown>(method, `/api${at}${query}`, text);
    found.requests++;
    found.byStatus[status] = (found.byStatus[status] ?? 0) + 1;
    const said = typeof answer === 'string' ? answer : JSON.stringify(answer ?? '');
    const told = status >= 400 && GIVEN_AWAY.test(said);
    if (status >= 500 || told)
      found.faults.push(`${status} ${method} ${at}${query} ${text?.slice(0, 600)} → ${said.slice(0, 300)}`);
  };
  while (found.requests < requests) {
    await Promise.all(Array.from({ length: 8 }, one));
    // What was ended or abandoned on the way takes little more: begin anew now and then.
    if (found.requests % 400 < 8) ({ bodies, names, ids } = await stored(bench));
  }
  return found;
}
