import type { WashDay } from '@sabor/contract/wash-day';
import { dewPoint } from '@sabor/core/climate/dew-point';
import type { Slot } from '@sabor/core/step/slots';
import { localDate } from '@sabor/core/time/zones';
import { airOf } from '@sabor/reading/air-of';
import type { Client } from '../../db/pool.ts';
import { notFound } from '../../http/problems.ts';
import { settingsPairs } from '../routines/step-sql.ts';
import { airAtWash, type BareDay, type WashAir, withWeather } from '../weather/attach.ts';
import { PHOTOGRAPH } from './photograph-sql.ts';

/** A wash day that came to Sabor hours after it began; `d` is its row. */
export const ENTERED_LATER = `d.created_at > d.started_at + interval '6 hours'`;

const WASH_DAYS = `
  select d.id, (select value #>> '{}' from setting where key = 'database') as database, d.trial_id as "trialId", t.wearer_id as "wearerId", w.time_zone as "timeZone", d.position,
    d.arm_id as "armId", d.right_arm_id as "rightArmId", d.dose_felt as "doseFelt", d.strain, d.patience, d.shed_hairs as "shedHairs", d.shed_counted as "shedCounted",
    d.came_from as "cameFrom", d.fastened, d.style_days as "styleDays",
    ${ENTERED_LATER} as "enteredLater", d.style_meant as "styleMeant", to_json(d.accepts) as accepts,
    d.started_at as "startedAt", d.washed_at as "washedAt", d.dry80_at as "dry80At", d.dry90_at as "dry90At", d.dry_at as "dryAt",
    d.reveal_at as "revealAt", d.routine_done_at as "routineDoneAt", d.temperature_c as "temperatureC", d.humidity,
    d.wind_ms as "windMs",
    d.note, d.abandon_reason as "abandonReason",
    case when d.abandoned_at is not null then 'abandoned' when d.wear_ended_at is not null then 'finished'
      when d.routine_done_at is not null then 'worn' else 'under way' end as status,
    case when d.wear_end_kind is not null
      then json_build_object('kind', d.wear_end_kind, 'at', d.wear_ended_at) end as "wearEnd",
    (select coalesce(json_agg(json_build_object('id', s.id, 'planStepId', s.plan_step_id, 'position', s.position,
        'slot', s.slot, 'status', s.status, ${settingsPairs('s')},
        'note', s.note, 'startedAt', s.started_at, 'doneAt', s.done_at, 'skipReason', s.skip_reason, 'half', s.half,
        'code', case when t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested' then a.code end,
        'planned', s.planned,
        'pauses', (select coalesce(json_agg(json_build_object('id', p.id, 'from', p.paused_at, 'to', p.resumed_at,
            'reason', p.reason) order by p.paused_at, p.id), '[]') from step_pause p where p.wash_step_id = s.id),
        'marks', (select coalesce(json_agg(json_build_object('id', m.id, 'mark', m.mark, 'reason', m.reason,
            'note', m.note, 'places', m.places, 'at', m.at) order by m.at, m.id), '[]') from step_mark m where m.wash_step_id = s.id),
        'inHand', (select coalesce(json_object_agg(h.quality, h.value), '{}') from in_hand_reading h
          where h.wash_step_id = s.id),
        'ideas', (select coalesce(json_agg(json_build_object('id', i.id, 'idea', i.idea, 'slot', i.slot, 'productId', i.product_id, 'at', i.at) order by i.at, i.id), '[]')
          from idea i where i.wash_step_id = s.id),
        'weighed', (select json_build_object('before', max(g.grams) filter (where g.phase = 'before'),
            'after', max(g.grams) filter (where g.phase = 'after')) from weighing g where g.wash_step_id = s.id),
        'usedBefore', s.product_id is null or (t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested')
          or exists (select 1 from wash_step o join wash_day od on od.id = o.wash_day_id join trial ot on ot.id = od.trial_id
            where o.product_id = s.product_id and o.status = 'done' and od.started_at < d.started_at
              and ot.wearer_id = t.wearer_id)
          or coalesce((select x.outcome from patch_test x where x.wearer_id = t.wearer_id and x.product_id = s.product_id
              and x.looked_at <= d.started_at order by x.looked_at desc, x.id desc limit 1) = 'clear', false))
        order by s.position), '[]')
      from wash_step s left join arm a on a.id = case when s.half = 'right' then d.right_arm_id else d.arm_id end
      where s.wash_day_id = d.id) as steps,
    (select coalesce(json_agg(json_build_object('id', c.id, 'washDayId', c.wash_day_id, 'stage', c.stage, 'day', c.day,
        'part', c.part, 'at', c.at, 'note', c.note, 'rater', c.rater,
        'ratings', (select coalesce(json_agg(json_build_object('outcome', r.outcome, 'zoneId', r.zone_id, 'value', r.value)
            order by r.outcome, r.zone_id), '[]') from reading r where r.check_in_id = c.id and r.obtained = 'rated'),
        'felt', (select coalesce(json_agg(json_build_object('quality', f.quality, 'zoneId', f.zone_id, 'value', f.value)
            order by f.quality, f.zone_id), '[]') from felt_reading f where f.check_in_id = c.id),
        'curls', (select coalesce(json_agg(json_build_object('curlId', r.curl_id, 'restingMm', r.value,
            'stretchedMm', u.stretched_mm) order by u.position), '[]')
            from reading r join curl u on u.id = r.curl_id
            where r.check_in_id = c.id and r.outcome = 'resting-length'))
        order by c.at, c.id), '[]') from check_in c where c.wash_day_id = d.id) as "checkIns",
    (select coalesce(json_agg(json_build_object('id', e.id, 'washDayId', e.wash_day_id, 'kind', e.kind,
        'on', e.happened_on, 'note', e.note, 'how', e.how, 'productId', e.product_id, 'dose', e.dose, 'tool', e.tool,
        'spoiledAt', e.spoiled_at, 'announced', e.announced, 'came', e.came,
        'zoneIds', (select coalesce(json_agg(z.zone_id order by z.zone_id), '[]') from event_zone z where z.event_id = e.id)) order by e.happened_on, e.id), '[]')
      from event e where e.wash_day_id = d.id) as events,
    (select coalesce(json_agg(json_build_object('on', o.on_date, 'outdoorHours', o.outdoor_hours,
        'indoorHours', o.indoor_hours) order by o.on_date), '[]') from day_outdoors o where o.wash_day_id = d.id) as outdoors,
    (select coalesce(json_agg(json_build_object('device', x.device, 'at', x.at,
        'called', (select y.name || ' (' || o.name || ')' from device y join person o on o.id = y.person_id
          where y.id::text = x.device)) order by x.at desc), '[]')
      from (select device, max(at) as at from wash_tap where wash_day_id = d.id group by device) x) as devices,
    (select count(*)::int from wash_tap where wash_day_id = d.id) as "tapsHeard",
    (select coalesce(json_agg(${PHOTOGRAPH} order by p.taken_at, p.id), '[]') from photograph p where p.wash_day_id = d.id) as photographs
  from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id`;

type Row = Omit<BareDay, 'localDate'>;

/** While a trial is blind its tested steps show the bottle's code and no product. */
const masked = (steps: Row['steps']): Row['steps'] =>
  steps.map((step) =>
    step.code === null || step.planned === null
      ? step
      : { ...step, productId: null, planned: { ...step.planned, productId: null } },
  );

function whole(db: Client, rows: readonly Row[]): Promise<WashDay[]> {
  const dated = rows.map((row) => ({
    ...row,
    steps: masked(row.steps),
    localDate: localDate(row.startedAt, row.timeZone),
  }));
  return withWeather(db, dated, Date.now());
}

/** The wash days of trials, in order of time. */
export async function readWashDays(db: Client, trialIds: readonly string[]): Promise<WashDay[]> {
  const { rows } = await db.query<Row>(
    `${WASH_DAYS} where d.trial_id = any($1::uuid[]) order by d.started_at`,
    [trialIds],
  );
  return whole(db, rows);
}

/** A wash day under way or worn, with what it may wait for and nothing of what was rated. */
export type OpenDay = Pick<
  WashDay,
  'id' | 'trialId' | 'position' | 'status' | 'startedAt' | 'dryAt' | 'revealAt' | 'localDate'
> & {
  checkIns: Pick<WashDay['checkIns'][number], 'stage' | 'day' | 'part'>[];
  events: Pick<WashDay['events'][number], 'kind' | 'on' | 'announced' | 'came'>[];
  /** Waiting steps of a day worn that is named. */
  later: { id: string; slot: Slot; half: 'left' | 'right' | null; day: number }[];
  /** A set still waits, and with it the drying. */
  setWaits: boolean;
};

/** The wash days of all trials that are under way or worn. */
export async function readOpenDays(db: Client): Promise<OpenDay[]> {
  const { rows } = await db.query<Omit<OpenDay, 'localDate'> & { timeZone: string }>(
    `select d.id, d.trial_id as "trialId", w.time_zone as "timeZone", d.position, d.started_at as "startedAt",
       d.dry_at as "dryAt", d.reveal_at as "revealAt",
       case when d.routine_done_at is not null then 'worn' else 'under way' end as status,
       (select coalesce(json_agg(json_build_object('stage', c.stage, 'day', c.day, 'part', c.part)), '[]') from check_in c
          where c.wash_day_id = d.id) as "checkIns",
       (select coalesce(json_agg(json_build_object('kind', e.kind, 'on', e.happened_on, 'announced', e.announced,
          'came', e.came)), '[]') from event e where e.wash_day_id = d.id) as events,
       (select coalesce(json_agg(json_build_object('id', s.id, 'slot', s.slot, 'half', s.half,
          'day', (s.extra->>'wearDay')::numeric) order by s.position), '[]') from wash_step s
          where s.wash_day_id = d.id and s.status = 'waiting' and s.extra ? 'wearDay') as later,
       exists (select from wash_step s where s.wash_day_id = d.id and s.slot = 'set' and s.status = 'waiting') as "setWaits"
     from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     where d.abandoned_at is null and d.wear_ended_at is null order by d.started_at`,
  );
  return rows.map(({ timeZone, ...day }) => ({ ...day, localDate: localDate(day.startedAt, timeZone) }));
}

/** The dew points (°C) that the wash days of these trials have met, abandoned ones left out. */
export async function readMet(db: Client, trialIds: readonly string[]): Promise<Map<string, number[]>> {
  const { rows } = await db.query<
    WashAir & { trialId: string } & Pick<WashDay, 'temperatureC' | 'humidity' | 'windMs'>
  >(
    `select d.trial_id as "trialId", t.wearer_id as "wearerId", coalesce(d.washed_at, d.started_at) as at,
       d.temperature_c as "temperatureC", d.humidity, d.wind_ms as "windMs"
     from wash_day d join trial t on t.id = d.trial_id
     where d.trial_id = any($1::uuid[]) and d.abandoned_at is null`,
    [trialIds],
  );
  const met = new Map<string, number[]>(trialIds.map((id) => [id, []]));
  const airs = await airAtWash(db, rows);
  rows.forEach((row, i) => {
    const { temperatureC, humidity } = airOf({ ...row, air: airs[i]! });
    const dew = temperatureC === null || humidity === null ? null : dewPoint(temperatureC, humidity);
    if (dew !== null) met.get(row.trialId)!.push(dew);
  });
  return met;
}

export async function readWashDay(db: Client, id: string): Promise<WashDay> {
  const { rows } = await db.query<Row>(`${WASH_DAYS} where d.id = $1`, [id]);
  const [day] = await whole(db, rows);
  if (!day) throw notFound('wash day');
  return day;
}

/**
 * A word that changes whenever something of a wash day does: a page that has it asks for the day again only then. What
 * the weather adds afterwards does not change it.
 */
export async function readPulse(db: Client, id: string): Promise<string> {
  const { rows } = await db.query<{ pulse: string }>(
    `select concat_ws(' ', d.xmin, t.xmin, (select count(*) from wash_tap w where w.wash_day_id = d.id),
       (select string_agg(concat(p.xmin, ' ', m.xmin), ',' order by p.id) from photograph p
         left join photograph_measured m on m.photograph_id = p.id where p.wash_day_id = d.id),
       (select string_agg(o.xmin::text, ',' order by o.on_date) from day_outdoors o where o.wash_day_id = d.id)) as pulse
     from wash_day d join trial t on t.id = d.trial_id where d.id = $1`,
    [id],
  );
  if (!rows[0]) throw notFound('wash day');
  return rows[0].pulse;
}
