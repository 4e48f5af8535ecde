import type {
  HairEvent,
  HairEventInput,
  HairFile,
  HairTest,
  HairTestInput,
  HeadProblem,
  HeadProblemInput,
} from '@sabor/contract/hair-file';
import type { HairMeasure, HairMeasureInput } from '@sabor/contract/hair-measure';
import type { CareKind } from '@sabor/core/hair/care-kinds';
import { excludedBy, HAIR_EVENTS, type HairEventKind } from '@sabor/core/hair/history';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { atField, notFound } from '../../http/problems.ts';
import { readPatchTests } from '../patch-tests/store.ts';
import { readWashCare } from './care.ts';
import { readDrying } from './drying.ts';
import { readWishes } from './wishes.ts';

/** A wearer's tests and history, newest first. */
export async function readHairFile(db: Client, wearerId: string): Promise<HairFile> {
  const wearer = await db.query('select 1 from wearer where id = $1', [wearerId]);
  if (wearer.rowCount === 0) throw notFound('wearer');
  const tests = await db.query<HairTest>(
    `select id, wearer_id as "wearerId", zone_id as "zoneId", kind, value, outcome, tested_on as "on", note
     from hair_test where wearer_id = $1 order by tested_on desc, id desc`,
    [wearerId],
  );
  const events = await db.query<HairEvent>(
    `select e.id, e.wearer_id as "wearerId", e.kind, e.happened_on as "on", e.note,
       coalesce(json_agg(z.zone_id) filter (where z.zone_id is not null), '[]') as "zoneIds"
     from hair_event e left join hair_event_zone z on z.event_id = e.id
     where e.wearer_id = $1 group by e.id order by e.happened_on desc, e.id desc`,
    [wearerId],
  );
  const measures = await db.query<HairMeasure>(
    `select id, wearer_id as "wearerId", zone_id as "zoneId", measured_on as "on", note, result
     from hair_measure where wearer_id = $1 order by measured_on desc, id desc`,
    [wearerId],
  );
  const washes = await db.query<{ on: string }>(
    `select (d.started_at at time zone w.time_zone)::date as "on"
     from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     where t.wearer_id = $1 and d.washed_at is not null order by 1`,
    [wearerId],
  );
  const washCare = await readWashCare(db, [wearerId]);
  const cadence = await db.query<{ kind: CareKind; everyDays: number | null; alternates: boolean }>(
    'select kind, every_days as "everyDays", alternates from care_cadence where wearer_id = $1',
    [wearerId],
  );
  const ahead = await db.query<HairFile['ahead'][number]>(
    `select t.id, t.question, t.status, t.wear_days as "wearDays",
       t.wash_days - (select count(*)::int from wash_day d where d.trial_id = t.id and d.abandoned_at is null
         and d.wear_ended_at is not null) as "washDaysLeft"
     from trial t where t.wearer_id = $1 and t.status in ('planned', 'running') and t.archived_at is null
       and not t.logged
     order by t.created_at`,
    [wearerId],
  );
  const problems = await db.query<HeadProblem>(
    `select id, wearer_id as "wearerId", what, to_json(places) as places, tried, helped, since_date as since, state,
       solved_on as "solvedOn" from head_problem where wearer_id = $1
     order by state = 'solved', since_date desc, id desc`,
    [wearerId],
  );
  const rules = await db.query<{ id: string; weight: number }>(
    'select rule_id as id, weight from rule_weight where wearer_id = $1',
    [wearerId],
  );
  return {
    tests: tests.rows,
    events: events.rows,
    measures: measures.rows,
    problems: problems.rows,
    patchTests: await readPatchTests(db, wearerId),
    washedOn: washes.rows.map(({ on }) => on),
    washCare: washCare.map(({ kind, on }) => ({ kind, on })),
    cadence: Object.fromEntries(cadence.rows.map(({ kind, everyDays }) => [kind, everyDays])),
    alternate: cadence.rows.flatMap(({ kind, alternates }) => (alternates ? [kind] : [])),
    drying: await readDrying(db, wearerId),
    wishes: await readWishes(db, wearerId),
    ruleWeights: Object.fromEntries(rules.rows.map(({ id, weight }) => [id, weight])),
    ahead: ahead.rows,
  };
}

async function refuseStrangeZones(
  client: Client,
  wearerId: string,
  zoneIds: readonly string[],
  path: string,
): Promise<void> {
  const { rows } = await client.query<{ n: number }>(
    'select count(*) as n from zone where wearer_id = $1 and id = any($2::uuid[])',
    [wearerId, zoneIds],
  );
  if (rows[0]!.n !== new Set(zoneIds).size) throw atField(path, 'This zone is not on this wearer’s head.');
}

export async function saveHairTest(db: Db, test: v.InferOutput<typeof HairTestInput>): Promise<HairFile> {
  return transaction(db, async (client) => {
    if (test.zoneId) await refuseStrangeZones(client, test.wearerId, [test.zoneId], 'zoneId');
    mustStore(
      await client.query(
        `insert into hair_test (id, wearer_id, zone_id, kind, value, outcome, tested_on, note)
       values ($1, $2, $3, $4, $5, $6, $7, $8)
       on conflict (id) do update set zone_id = excluded.zone_id, kind = excluded.kind, value = excluded.value,
         outcome = excluded.outcome, tested_on = excluded.tested_on, note = excluded.note
       where hair_test.wearer_id = excluded.wearer_id`,
        [test.id, test.wearerId, test.zoneId, test.kind, test.value, test.outcome, test.on, test.note],
      ),
      'test',
    );
    return readHairFile(client, test.wearerId);
  });
}

export async function saveHairMeasure(
  db: Db,
  measure: v.InferOutput<typeof HairMeasureInput>,
): Promise<HairFile> {
  return transaction(db, async (client) => {
    if (measure.zoneId) await refuseStrangeZones(client, measure.wearerId, [measure.zoneId], 'zoneId');
    mustStore(
      await client.query(
        `insert into hair_measure (id, wearer_id, zone_id, kind, result, measured_on, note)
       values ($1, $2, $3, $4, $5, $6, $7)
       on conflict (id) do update set zone_id = excluded.zone_id, kind = excluded.kind, result = excluded.result,
         measured_on = excluded.measured_on, note = excluded.note
       where hair_measure.wearer_id = excluded.wearer_id`,
        [
          measure.id,
          measure.wearerId,
          measure.zoneId,
          measure.result.kind,
          JSON.stringify(measure.result),
          measure.on,
          measure.note,
        ],
      ),
      'measurement',
    );
    return readHairFile(client, measure.wearerId);
  });
}

export async function saveHairEvent(db: Db, event: v.InferOutput<typeof HairEventInput>): Promise<HairFile> {
  return transaction(db, async (client) => {
    await refuseStrangeZones(client, event.wearerId, event.zoneIds, 'zoneIds');
    const { rows } = await client.query<{ kind: HairEventKind }>(
      'select kind from hair_event where wearer_id = $1 and happened_on = $2 and id <> $3',
      [event.wearerId, event.on, event.id],
    );
    const other = excludedBy(
      event.kind,
      rows.map(({ kind }) => kind),
    );
    if (other)
      throw atField(
        'kind',
        `${HAIR_EVENTS[event.kind].label} and ${HAIR_EVENTS[other].label.toLowerCase()} exclude each other on one day. Change one of the dates.`,
      );
    mustStore(
      await client.query(
        `insert into hair_event (id, wearer_id, kind, happened_on, note) values ($1, $2, $3, $4, $5)
       on conflict (id) do update set kind = excluded.kind, happened_on = excluded.happened_on, note = excluded.note
       where hair_event.wearer_id = excluded.wearer_id`,
        [event.id, event.wearerId, event.kind, event.on, event.note],
      ),
      'event',
    );
    await client.query('delete from hair_event_zone where event_id = $1', [event.id]);
    await client.query(
      'insert into hair_event_zone (event_id, zone_id) select $1, unnest($2::uuid[]) on conflict do nothing',
      [event.id, event.zoneIds],
    );
    return readHairFile(client, event.wearerId);
  });
}

/** Sets the wearer's own days between care of one kind; null switches it off, undefined goes back to the usual. */
export async function saveCadence(
  db: Db,
  wearerId: string,
  kind: CareKind,
  everyDays: number | null | undefined,
  alternates = false,
): Promise<HairFile> {
  return transaction(db, async (client) => {
    if (everyDays === undefined)
      await client.query('delete from care_cadence where wearer_id = $1 and kind = $2', [wearerId, kind]);
    else
      await client.query(
        `insert into care_cadence (wearer_id, kind, every_days, alternates) values ($1, $2, $3, $4)
         on conflict (wearer_id, kind) do update set every_days = excluded.every_days, alternates = excluded.alternates`,
        [wearerId, kind, everyDays, alternates],
      );
    return readHairFile(client, wearerId);
  });
}

export async function saveProblem(
  db: Db,
  problem: v.InferOutput<typeof HeadProblemInput>,
): Promise<HairFile> {
  const { id, wearerId, what, places, tried, helped, since, state, solvedOn } = problem;
  mustStore(
    await db.query(
      `insert into head_problem (id, wearer_id, what, places, tried, helped, since_date, state, solved_on)
         values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
       on conflict (id) do update set what = excluded.what, places = excluded.places, tried = excluded.tried,
         helped = excluded.helped, since_date = excluded.since_date, state = excluded.state, solved_on = excluded.solved_on
       where head_problem.wearer_id = excluded.wearer_id`,
      [id, wearerId, what, places, tried, helped, since, state, solvedOn],
    ),
    'problem',
  );
  return readHairFile(db, wearerId);
}

const REMOVALS = {
  test: 'delete from hair_test where id = $1 returning wearer_id',
  measure: 'delete from hair_measure where id = $1 returning wearer_id',
  event: 'delete from hair_event where id = $1 returning wearer_id',
  problem: 'delete from head_problem where id = $1 returning wearer_id',
  'patch test': 'delete from patch_test where id = $1 returning wearer_id',
} as const;

/** Takes a test or an event out; the page offers to put it back, which saves it again under its id. */
export async function removeFromFile(db: Client, what: keyof typeof REMOVALS, id: string): Promise<HairFile> {
  const { rows } = await db.query<{ wearer_id: string }>(REMOVALS[what], [id]);
  if (!rows[0]) throw notFound(what);
  return readHairFile(db, rows[0].wearer_id);
}
