import type { CheckInInput, EventInput } from '@sabor/contract/check-in';
import type { WashDay } from '@sabor/contract/wash-day';
import { dayOfWear } from '@sabor/core/outcomes/day-of-wear';
import { localDate } from '@sabor/core/time/zones';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { atField, notFound } from '../../http/problems.ts';
import { readWashDay } from './read.ts';
import { holdWashDay, mustTakeReadings, type Standing } from './standing.ts';
import { recordAsTap } from './tap-record.ts';

/** Refuses a look at the hair that cannot have been: before the wash day, or on another day of wear than it says. */
function refuseImpossible(input: v.InferOutput<typeof CheckInInput>, day: Standing): void {
  const { timeZone } = day;
  const at = Date.parse(input.at);
  if (at < Date.parse(day.startedAt)) throw atField('at', 'This check-in is before its wash day began.');
  if (input.stage !== 'wear') return;
  if (day.revealAt === null)
    throw atField('at', 'Days are counted from the finished hair. Record first when it was finished.');
  const counted =
    at < Date.parse(day.revealAt)
      ? null
      : dayOfWear(localDate(day.revealAt, timeZone), localDate(input.at, timeZone));
  if (counted === null) throw atField('at', 'This check-in is before the hair was finished.');
  if (counted !== input.day) throw atField('at', `That moment is day ${counted}, not day ${input.day}.`);
}

/** Saves a check-in and the readings given with it; a reading without a value is taken away. May be sent twice. */
export async function saveCheckIn(
  db: Db,
  input: v.InferOutput<typeof CheckInInput>,
  device: string,
): Promise<WashDay> {
  return transaction(db, async (client) => {
    await checkInInto(client, await holdWashDay(client, input.washDayId), input);
    const { id: checkInId, washDayId, stage, day, at: lookedAt, ratings, note, rater } = input;
    const said = { checkInId, stage, day, lookedAt, ratings, note, rater };
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
  overtaken: { look: boolean; note: boolean; rater: boolean } = { look: false, note: false, rater: false },
): Promise<void> {
  mustTakeReadings(day);
  refuseImpossible(input, day);
  const { rows } = await client.query<{ id: string }>(
    `insert into check_in (id, wash_day_id, stage, day, at, note, rater)
       values ($1, $2, $3, $4, $5, coalesce($6, ''), coalesce($7, ''))
       on conflict (wash_day_id, stage, day) do update set at = case when $8 then check_in.at else excluded.at end,
         note = case when $9 then check_in.note else coalesce($6, check_in.note) end,
         rater = case when $10 then check_in.rater else coalesce($7, check_in.rater) end
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
    ],
  );
  const checkInId = rows[0]!.id;
  const zoneIds = input.ratings.flatMap(({ zoneId }) => zoneId ?? []);
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
    const said = { eventId: input.id, event: input.kind, on: input.on, gone: false };
    await recordAsTap(client, input.washDayId, device, { kind: 'event', ...said });
    return readWashDay(client, input.washDayId);
  });
}

/** {@link saveEvent} within a transaction under way, without its record. What is left out stays as it was. */
export async function eventInto(
  client: Client,
  day: Standing,
  input: Omit<v.InferOutput<typeof EventInput>, 'note' | 'zoneIds'> & { note?: string; zoneIds?: string[] },
): Promise<void> {
  mustTakeReadings(day);
  if (input.on < localDate(day.startedAt, day.timeZone))
    throw atField('on', 'This happened before the wash day. Check the date.');
  mustStore(
    await client.query(
      `insert into event (id, wash_day_id, kind, happened_on, note) values ($1, $2, $3, $4, coalesce($5, ''))
       on conflict (id) do update set kind = excluded.kind, happened_on = excluded.happened_on,
         note = coalesce($5, event.note) where event.wash_day_id = excluded.wash_day_id`,
      [input.id, day.id, input.kind, input.on, input.note ?? null],
    ),
    'event',
  );
  if (!input.zoneIds) return;
  await client.query('delete from event_zone where event_id = $1', [input.id]);
  const zones = await client.query(
    `insert into event_zone (event_id, zone_id) select $1, z.id from zone z
       where z.wearer_id = $2 and z.id = any($3::uuid[])`,
    [input.id, day.wearerId, input.zoneIds],
  );
  if (zones.rowCount !== new Set(input.zoneIds).size)
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
