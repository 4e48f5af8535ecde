import type { CareKind } from '@sabor/core/hair/care-kinds';
import type { HairEventKind } from '@sabor/core/hair/history';
import type { Client } from '../../db/pool.ts';

/** What tells of the care a head has had. */
export interface CareOf {
  wearerId: string;
  name: string;
  events: { kind: HairEventKind; on: string }[];
  cadence: Partial<Record<CareKind, number | null>>;
}

interface Told {
  wearerId: string;
  kind: HairEventKind;
  on: string;
}

/** Events, care on wash days and cadence of every head that is not put away, in the order they were made. */
export async function readCareOfAll(db: Client): Promise<CareOf[]> {
  const wearers = await db.query<{ id: string; name: string }>(
    'select id, name from wearer where archived_at is null order by created_at',
  );
  const ids = wearers.rows.map(({ id }) => id);
  const events = await db.query<Told>(
    'select wearer_id as "wearerId", kind, happened_on as "on" from hair_event where wearer_id = any($1::uuid[])',
    [ids],
  );
  // On a wash day a clarifier counts as clarifying, a mask as deep conditioning.
  const washed = await db.query<Told>(
    `select distinct t.wearer_id as "wearerId", case s.slot when 'cleanse' then 'clarify' else 'deep-condition' end as kind,
       (d.started_at at time zone w.time_zone)::date as "on"
     from wash_step s join wash_day d on d.id = s.wash_day_id join trial t on t.id = d.trial_id
       join wearer w on w.id = t.wearer_id join product p on p.id = s.product_id
     where t.wearer_id = any($1::uuid[]) and d.washed_at is not null and s.status = 'done'
       and ((s.slot = 'cleanse' and 'clarifier' = any(p.roles)) or (s.slot = 'condition' and 'mask' = any(p.roles)))`,
    [ids],
  );
  const cadence = await db.query<{ wearerId: string; kind: CareKind; everyDays: number | null }>(
    'select wearer_id as "wearerId", kind, every_days as "everyDays" from care_cadence where wearer_id = any($1::uuid[])',
    [ids],
  );
  const told = new Map<string, Told[]>();
  for (const one of [...events.rows, ...washed.rows]) {
    const own = told.get(one.wearerId);
    if (own) own.push(one);
    else told.set(one.wearerId, [one]);
  }
  return wearers.rows.map(({ id, name }) => ({
    wearerId: id,
    name,
    events: told.get(id) ?? [],
    cadence: Object.fromEntries(
      cadence.rows.flatMap(({ wearerId, kind, everyDays }) => (wearerId === id ? [[kind, everyDays]] : [])),
    ),
  }));
}
