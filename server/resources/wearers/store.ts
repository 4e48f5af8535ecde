import type { Wearer, WearerInput } from '@sabor/contract/wearer';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { atField, notFound } from '../../http/problems.ts';

const WEARERS = `
  select w.id, w.name, w.time_zone as "timeZone", w.under_age as "underAge", w.guardian, w.consent_on as "consentOn",
    w.length_mm as "lengthMm", w.porosity, w.density, w.strand, w.pattern, w.damage, w.cut, w.parting, w.hard_water as "hardWater", w.scalp::text[], w.born_year as "bornYear",
    w.styled_by as "styledBy", w.note, w.archived_at as "archivedAt", w.version,
    (select coalesce(json_agg(json_build_object('id', z.id, 'place', z.place, 'side', z.side, 'ownName', z.own_name,
        'porosity', z.porosity, 'density', z.density, 'strand', z.strand, 'pattern', z.pattern, 'damage', z.damage, 'note', z.note)
        order by z.position), '[]') from zone z where z.wearer_id = w.id) as zones,
    (select coalesce(json_agg(json_build_object('id', c.id, 'zoneId', c.zone_id, 'name', c.name,
        'stretchedMm', c.stretched_mm, 'restingMm', c.resting_mm) order by c.position), '[]')
        from curl c where c.wearer_id = w.id) as curls
  from wearer w`;

export async function readWearers(db: Client): Promise<Wearer[]> {
  return (await db.query<Wearer>(`${WEARERS} order by w.created_at, w.name`)).rows;
}

export async function readWearer(db: Client, id: string): Promise<Wearer> {
  const { rows } = await db.query<Wearer>(`${WEARERS} where w.id = $1`, [id]);
  if (!rows[0]) throw notFound('wearer');
  return rows[0];
}

function refuseInUse(path: string, what: string) {
  return (error: { code?: string }) => {
    if (error.code !== '23503') throw error;
    throw atField(path, `A ${what} that readings or trials rest on cannot be removed. Keep it.`);
  };
}

/** Saves a wearer whole: zones and curls that are no longer named go, unless something rests on them. */
export async function saveWearer(
  db: Db,
  wearer: v.InferOutput<typeof WearerInput>,
  from: number | null = null,
): Promise<Wearer> {
  return transaction(db, async (client) => {
    await mustBeNewest(client, 'wearer', wearer.id, from, () => readWearer(client, wearer.id));
    await client.query(
      `insert into wearer (id, name, time_zone, under_age, guardian, consent_on, length_mm, porosity, density, strand,
         pattern, note, damage, cut, parting, hard_water, scalp, born_year, styled_by)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16,
         $17::text[]::scalp_key[], $18, $19)
       on conflict (id) do update set name = excluded.name, time_zone = excluded.time_zone,
         under_age = excluded.under_age, guardian = excluded.guardian, consent_on = excluded.consent_on,
         length_mm = excluded.length_mm, porosity = excluded.porosity, density = excluded.density,
         strand = excluded.strand, pattern = excluded.pattern, note = excluded.note, damage = excluded.damage,
         cut = excluded.cut, parting = excluded.parting, hard_water = excluded.hard_water, scalp = excluded.scalp,
         born_year = excluded.born_year, styled_by = excluded.styled_by`,
      [
        wearer.id,
        wearer.name,
        wearer.timeZone,
        wearer.underAge,
        wearer.guardian,
        wearer.consentOn,
        wearer.lengthMm,
        wearer.porosity,
        wearer.density,
        wearer.strand,
        wearer.pattern,
        wearer.note,
        wearer.damage,
        wearer.cut,
        wearer.parting,
        wearer.hardWater,
        wearer.scalp,
        wearer.bornYear,
        wearer.styledBy,
      ],
    );
    await client
      .query('delete from curl where wearer_id = $1 and id <> all($2::uuid[])', [
        wearer.id,
        wearer.curls.map((curl) => curl.id),
      ])
      .catch(refuseInUse('curls', 'tagged curl'));
    const place = (row: object, position: number) => ({ ...row, position });
    mustStore(
      await client.query(
        `insert into zone (id, wearer_id, place, side, own_name, porosity, density, strand, pattern, damage, note, position)
       select z.id, $1, z.place, z.side, z."ownName", z.porosity, z.density, z.strand, z.pattern, z.damage, z.note, z.position
       from jsonb_to_recordset($2::jsonb) as z(id uuid, place text, side text, "ownName" text, porosity text,
         density text, strand text, pattern text, damage text, note text, position int)
       on conflict (id) do update set own_name = excluded.own_name, porosity = excluded.porosity,
         density = excluded.density, strand = excluded.strand, pattern = excluded.pattern, damage = excluded.damage, note = excluded.note,
         position = excluded.position
       where zone.wearer_id = excluded.wearer_id`,
        [wearer.id, JSON.stringify(wearer.zones.map(place))],
      ),
      'zone',
      wearer.zones.length,
    );
    mustStore(
      await client.query(
        `insert into curl (id, wearer_id, zone_id, name, stretched_mm, resting_mm, position)
       select c.id, $1, c."zoneId", c.name, c."stretchedMm", c."restingMm", c.position
       from jsonb_to_recordset($2::jsonb) as c(id uuid, "zoneId" uuid, name text, "stretchedMm" numeric,
         "restingMm" numeric, position int)
       on conflict (id) do update set zone_id = excluded.zone_id, name = excluded.name,
         stretched_mm = excluded.stretched_mm, resting_mm = excluded.resting_mm, position = excluded.position
       where curl.wearer_id = excluded.wearer_id`,
        [wearer.id, JSON.stringify(wearer.curls.map(place))],
      ),
      'curl',
      wearer.curls.length,
    );
    await client
      .query('delete from zone where wearer_id = $1 and id <> all($2::uuid[])', [
        wearer.id,
        wearer.zones.map((zone) => zone.id),
      ])
      .catch(refuseInUse('zones', 'zone'));
    return readWearer(client, wearer.id);
  });
}
