import type { CheckInInput, EventInput } from '@sabor/contract/check-in';
import type { WashDay } from '@sabor/contract/wash-day';
import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { eventOf } from '@sabor/core/outcomes/events';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate, startOfDay } from '@sabor/core/time/zones';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { atField, notFound } from '../../http/problems.ts';
import { readWashDay } from './read.ts';
import { holdWashDay, mustTakeReadings, type Standing } from './standing.ts';
import { recordAsTap } from './tap-record.ts';

/** Whether a look of this stage and day is stored already. */
async function isKnown(client: Client, { washDayId, stage, day }: v.InferOutput<typeof CheckInInput>) {
  const { rowCount } = await client.query(
    'select from check_in where wash_day_id = $1 and stage = $2 and day is not distinct from $3',
    [washDayId, stage, day],
  );
  return rowCount !== 0;
}

/**
 * Refuses a look at the hair that cannot have been: before the wash day, or on another day of wear than it says. One that is
 * known may have been counted from midnight, as days once were.
 */
function refuseImpossible(input: v.InferOutput<typeof CheckInInput>, day: Standing, known: boolean): void {
  const { timeZone } = day;
  const at = Date.parse(input.at);
  if (input.stage === 'before') {
    if (day.washedAt !== null && at > Date.parse(day.washedAt))
      throw atField('at', 'This check-in is of the hair before the wash, and the wash had begun.');
    if (at < Date.parse(day.startedAt) - DAY_MS)
      throw atField('at', 'This check-in is more than a day before its wash day. Check the time.');
    return;
  }
  if (at < Date.parse(day.startedAt)) throw atField('at', 'This check-in is before its wash day began.');
  if (input.stage !== 'wear') return;
  if (day.revealAt === null)
    throw atField('at', 'Days are counted from the finished hair. Record first when it was finished.');
  const { revealAt } = day;
  const by = (date: typeof wearDate) => dayOfWear(date(revealAt, timeZone), date(input.at, timeZone));
  const counted = at < Date.parse(revealAt) ? null : by(wearDate);
  if (counted === null) throw atField('at', 'This check-in is before the hair was finished.');
  if (counted !== input.day && !(known && by(localDate) === input.day))
    throw atField('at', `That moment is day ${counted}, not day ${input.day}.`);
}

/**
 * Saves a check-in and the readings given with it; a reading without a value is taken away. May be sent twice. `by`: who is
 * signed in, where that is not the tester.
 */
export async function saveCheckIn(
  db: Db,
  input: v.InferOutput<typeof CheckInInput>,
  device: string,
  by = '',
): Promise<WashDay> {
  return transaction(db, async (client) => {
    await checkInInto(client, await holdWashDay(client, input.washDayId), input, by);
    const { id: checkInId, washDayId, stage, day, part, at: lookedAt, ratings, felt, note, rater } = input;
    const said = { checkInId, stage, day, part, lookedAt, ratings, felt, note, rater };
    await recordAsTap(client, washDayId, device, { kind: 'rate', ...said });
    return readWashDay(client, input.washDayId);
  });
}

/**
 * {@link saveCheckIn} within a transaction under way, without its record. `overtaken`: a later word on this look is known
 * already; its moment, note and rater stay.
 */
export async function checkInInto(
  client: Client,
  day: Standing,
  input: v.InferOutput<typeof CheckInInput>,
  by = '',
  overtaken: { look: boolean; note: boolean; rater: boolean } = { look: false, note: false, rater: false },
): Promise<void> {
  mustTakeReadings(day);
  refuseImpossible(input, day, await isKnown(client, input));
  const { rows } = await client.query<{ id: string }>(
    `insert into check_in (id, wash_day_id, stage, day, at, note, rater, part)
       values ($1, $2, $3, $4, $5, coalesce($6, ''), coalesce($7, $12), $11)
       on conflict (wash_day_id, stage, day, part) do update set at = case when $8 then check_in.at else excluded.at end,
         note = case when $9 then check_in.note else coalesce($6, check_in.note) end,
         rater = case when $10 then check_in.rater when $7 is not null then $7
           when $12 = '' or $12 = any(string_to_array(check_in.rater, ', ')) then check_in.rater
           when not exists (select from reading r where r.check_in_id = check_in.id and r.obtained = 'rated') then $12
           else left(coalesce(nullif(check_in.rater, ''), 'the tester') || ', ' || $12, 80) end
       returning id`,
    [
      input.id,
      input.washDayId,
      input.stage,
      input.day,
      input.at,
      input.note ?? null,
      input.rater ?? null,
      overtaken.look,
      overtaken.note,
      overtaken.rater,
      input.part,
      // Whoever only adds words has not rated.
      input.ratings.length > 0 ? by : '',
    ],
  );
  const checkInId = rows[0]!.id;
  const zoneIds = [...input.ratings, ...input.felt].flatMap(({ zoneId }) => zoneId ?? []);
  const curlIds = input.curls.map(({ curlId }) => curlId);
  const strangers = await client.query<{ zones: number; curls: number }>(
    `select (select count(*) from unnest($2::uuid[]) as given where not exists
           (select 1 from zone where id = given and wearer_id = $1)) as zones,
         (select count(*) from unnest($3::uuid[]) as given where not exists
           (select 1 from curl where id = given and wearer_id = $1)) as curls`,
    [day.wearerId, zoneIds, curlIds],
  );
  if (strangers.rows[0]!.zones > 0) throw atField('ratings', 'A rated zone is not on this wearer’s head.');
  if (strangers.rows[0]!.curls > 0) throw atField('curls', 'A measured curl is not this wearer’s.');
  const readings = [
    ...input.ratings.map(({ outcome, zoneId, value }) => ({
      outcome,
      zoneId,
      curlId: null,
      value,
      unit: 'points',
      obtained: 'rated',
    })),
    ...input.curls.map(({ curlId, restingMm }) => ({
      outcome: 'resting-length',
      zoneId: null,
      curlId,
      value: restingMm,
      unit: 'mm',
      obtained: 'measured',
    })),
  ];
  const given = `jsonb_to_recordset($2::jsonb) as r(outcome text, "zoneId" uuid, "curlId" uuid, value numeric, unit text, obtained text)`;
  await client.query(
    `delete from reading old using ${given} where old.check_in_id = $1 and r.value is null and old.outcome = r.outcome
         and old.zone_id is not distinct from r."zoneId" and old.curl_id is not distinct from r."curlId"`,
    [checkInId, JSON.stringify(readings)],
  );
  await client.query(
    `insert into reading (check_in_id, outcome, zone_id, curl_id, value, unit, obtained)
       select $1, r.outcome, r."zoneId", r."curlId", r.value, r.unit, r.obtained from ${given} where r.value is not null
       on conflict (check_in_id, outcome, zone_id, curl_id) do update set value = excluded.value`,
    [checkInId, JSON.stringify(readings)],
  );
  await refuseLongRest(client, checkInId);
  await feltInto(client, checkInId, input.felt);
}

/** Stores readings in five words of a check-in; one without a value is taken away. */
async function feltInto(
  client: Client,
  checkInId: string,
  felt: v.InferOutput<typeof CheckInInput>['felt'],
): Promise<void> {
  if (felt.length === 0) return;
  const given = `jsonb_to_recordset($2::jsonb) as r(quality text, "zoneId" uuid, value int)`;
  const values = [checkInId, JSON.stringify(felt)];
  await client.query(
    `delete from felt_reading old using ${given} where old.check_in_id = $1 and old.quality = r.quality
       and old.zone_id is not distinct from r."zoneId"`,
    values,
  );
  await client.query(
    `insert into felt_reading (check_in_id, quality, zone_id, value)
       select $1, r.quality, r."zoneId", r.value from ${given} where r.value is not null`,
    values,
  );
}

/** Refuses a resting length over the curl's stretched one. */
async function refuseLongRest(client: Client, checkInId: string): Promise<void> {
  const { rows } = await client.query<{ name: string; stretched: number }>(
    `select u.name, u.stretched_mm as stretched from reading r join curl u on u.id = r.curl_id
     where r.check_in_id = $1 and r.value > u.stretched_mm limit 1`,
    [checkInId],
  );
  if (rows[0])
    throw atField(
      'curls',
      `${rows[0].name} cannot rest longer than it stretches (${rows[0].stretched} mm). Check the length.`,
    );
}

export async function saveEvent(
  db: Db,
  input: v.InferOutput<typeof EventInput>,
  device: string,
): Promise<WashDay> {
  return transaction(db, async (client) => {
    await eventInto(client, await holdWashDay(client, input.washDayId), input);
    const { id: eventId, kind: event, washDayId, ...said } = input;
    await recordAsTap(client, washDayId, device, { kind: 'event', eventId, event, ...said, gone: false });
    return readWashDay(client, washDayId);
  });
}

/** An event as it is set; what is left out stays as it was, kind and day alone are always said. */
export type SaidOfEvent = Pick<v.InferOutput<typeof EventInput>, 'id' | 'washDayId' | 'kind' | 'on'> & {
  [K in keyof v.InferOutput<typeof EventInput>]?: v.InferOutput<typeof EventInput>[K] | undefined;
};

/** Columns of an event that may be left out, each from its field. */
const EVENT_COLUMNS = [
  ['note', 'note', "coalesce(e->>'note', '')"],
  ['how', 'how', "e->>'how'"],
  ['product_id', 'productId', "(e->>'productId')::uuid"],
  ['dose', 'dose', "nullif(e->'dose', 'null')"],
  ['tool', 'tool', "e->>'tool'"],
  ['spoiled_at', 'spoiledAt', "(e->>'spoiledAt')::timestamptz"],
  ['came', 'came', "e->>'came'"],
] as const;

/** Refuses what an event of its kind cannot tell, or a day it cannot have had. */
function refuseImpossibleEvent(said: SaidOfEvent, day: Standing): void {
  const { label, as, uses, spoils, group } = eventOf(said.kind);
  const today = localDate(new Date().toISOString(), day.timeZone);
  if (said.on < wearDate(day.startedAt, day.timeZone))
    throw atField('on', 'This happened before the wash day. Check the date.');
  if (said.on > today && said.came && said.came !== 'off')
    throw atField('came', 'Its day has not come yet; say then what it came to.');
  if (group === 'care' && day.revealAt === null && said.on <= today)
    throw atField('on', `“${label}” is for finished hair. Record first when it was finished.`);
  if (said.how && !Object.hasOwn(as ?? {}, said.how))
    throw atField('how', as ? `Choose how from the list.` : `“${label}” has no such detail.`);
  if ((said.productId || said.dose || said.tool) && !uses)
    throw atField('productId', `“${label}” is not done with a product or a tool.`);
  if (said.spoiledAt && !spoils) throw atField('spoiledAt', `“${label}” spoils no side.`);
}

/**
 * From when on a spoiled place counts as spoiled: the day itself, where nothing had been rated on it yet; else now, after
 * the rating, which then counts. Whoever has seen a rating cannot take it out any more.
 */
async function spoiledFrom(client: Client, day: Standing, on: string): Promise<string> {
  const { rows } = await client.query<{ at: string }>(
    `select c.at from check_in c where c.wash_day_id = $1 and c.stage = 'wear'
       and exists (select from reading r where r.check_in_id = c.id and r.obtained = 'rated')`,
    [day.id],
  );
  const rated = rows.some(({ at }) => wearDate(at, day.timeZone) === on);
  return new Date(rated ? Date.now() : startOfDay(on, day.timeZone)).toISOString();
}

/**
 * {@link saveEvent} within a transaction under way, without its record. `overtaken`: a later word on this event is known
 * already; its kind and day stay.
 */
export async function eventInto(
  client: Client,
  day: Standing,
  said: SaidOfEvent,
  overtaken = false,
): Promise<void> {
  mustTakeReadings(day);
  refuseImpossibleEvent(said, day);
  const given = said.spoiledAt ? { ...said, spoiledAt: await spoiledFrom(client, day, said.on) } : said;
  const set = EVENT_COLUMNS.filter(([, field]) => said[field] !== undefined);
  mustStore(
    await client.query(
      `with given as (select $5::jsonb as e)
       insert into event (id, wash_day_id, kind, happened_on, announced${set.map(([column]) => `, ${column}`).join('')})
       select $1, $2, $3, $4, $6${set.map(([, , value]) => `, ${value}`).join('')} from given
       on conflict (id) do update set ${overtaken ? '' : 'kind = excluded.kind, happened_on = excluded.happened_on,'}
         announced = event.announced or excluded.announced
         ${set.map(([column]) => `, ${column} = excluded.${column}`).join('')}
       where event.wash_day_id = excluded.wash_day_id`,
      [
        said.id,
        day.id,
        said.kind,
        said.on,
        JSON.stringify(given),
        said.on > localDate(new Date().toISOString(), day.timeZone),
      ],
    ),
    'event',
  );
  if (!said.zoneIds) return;
  await client.query('delete from event_zone where event_id = $1', [said.id]);
  const zones = await client.query(
    `insert into event_zone (event_id, zone_id) select $1, z.id from zone z
       where z.wearer_id = $2 and z.id = any($3::uuid[])`,
    [said.id, day.wearerId, said.zoneIds],
  );
  if (zones.rowCount !== new Set(said.zoneIds).size)
    throw atField('zoneIds', 'A zone is not on this wearer’s head. Choose the zones again.');
}

/** Takes an event of a wash day away; one that is not there is gone already. */
export async function eventGone(client: Client, day: Standing, id: string): Promise<void> {
  mustTakeReadings(day);
  await client.query('delete from event where id = $1 and wash_day_id = $2', [id, day.id]);
}

export async function removeEvent(db: Db, id: string, device: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    const { rows } = await client.query<{ wash_day_id: string }>(
      'select wash_day_id from event where id = $1',
      [id],
    );
    if (!rows[0]) throw notFound('event');
    const washDayId = rows[0].wash_day_id;
    await eventGone(client, await holdWashDay(client, washDayId), id);
    await recordAsTap(client, washDayId, device, { kind: 'event', eventId: id, gone: true });
    return readWashDay(client, washDayId);
  });
}
