import type { FiledPhotograph, ListedPhotograph, PhotographMeasured } from '@sabor/contract/photograph';
import { DESIGNS, type Design } from '@sabor/core/trial/designs';
import { type Db, transaction } from '../../db/pool.ts';
import { atField, notFound } from '../../http/problems.ts';
import { MEASURED, PHOTOGRAPH } from '../wash-days/photograph-sql.ts';
import { hasImage } from './store.ts';

/** Designs that wear two options on the two halves of a head. */
const HALVED = (Object.keys(DESIGNS) as Design[]).filter((key) => DESIGNS[key].halves);

/** The width of a photograph `p` beside its height, upright. */
const ASPECT =
  'case when p.orientation >= 5 then p.height::float8 / p.width else p.width::float8 / p.height end';

/**
 * The width of a curl that other pictures from near of the same head and place are read by, mm, the first of them first: both
 * halves' places of one name are one.
 */
const CURL_WIDTH = `(select m.curl_width_mm from photograph o join photograph_measured m on m.photograph_id = o.id
    join wash_day od on od.id = o.wash_day_id join trial ot on ot.id = od.trial_id
    left join zone oz on oz.id = o.zone_id left join zone pz on pz.id = p.zone_id
  where ot.wearer_id = t.wearer_id and o.angle = p.angle and o.id <> p.id and m.curl_width_mm is not null
    and oz.place is not distinct from pz.place and oz.own_name is not distinct from pz.own_name
  order by m.measured_at, o.id limit 1)`;

/** A stored photograph with where it belongs. */
export async function readFiled(db: Db, id: string): Promise<FiledPhotograph> {
  const { rows } = await db.query<FiledPhotograph>(
    `select ${PHOTOGRAPH} as photograph, d.id as "washDayId", t.wearer_id as "wearerId", d.position, t.question,
       t.logged, t.design = any($2) as halves, ${CURL_WIDTH} as "curlWidth",
       (select json_build_object('id', o.id, 'leftOut', m.left_out,
            'parting', case when 'parting guessed' <> all(m.notes) then m.parting end, 'ruleMm', m.rule_mm, 'card', m.card,
            'aspect', ${ASPECT.replaceAll('p.', 'o.')}) from photograph o
          join wash_day od on od.id = o.wash_day_id join trial ot on ot.id = od.trial_id
          join photograph_measured m on m.photograph_id = o.id
        where ot.wearer_id = t.wearer_id and o.angle = p.angle and o.zone_id is not distinct from p.zone_id and o.id <> p.id and m.card is not null
          and o.taken_at <= p.taken_at
        order by o.taken_at desc, o.id limit 1) as before
     from photograph p join wash_day d on d.id = p.wash_day_id join trial t on t.id = d.trial_id
     where p.id = $1 and p.bytes is not null`,
    [id, HALVED],
  );
  if (!rows[0]) throw notFound('photograph');
  return rows[0];
}

/** The whole photographs of a head, latest wash day first, in the order they were taken. */
export async function readListed(db: Db, wearerId: string): Promise<ListedPhotograph[]> {
  const { rows } = await db.query<ListedPhotograph>(
    `select p.id, d.id as "washDayId", d.position, t.question, t.logged, p.stage, p.day, p.angle,
       p.taken_at as "takenAt", ${ASPECT} as aspect, m.card, m.exposure,
       (select r.value from photograph_reading r where r.photograph_id = p.id and r.measure = 'halo' and r.half = 'both') as halo,
       (select r.value from photograph_reading r where r.photograph_id = p.id and r.measure = 'clump-contrast' and r.half = 'both') as contrast
     from photograph p join wash_day d on d.id = p.wash_day_id join trial t on t.id = d.trial_id
       left join photograph_measured m on m.photograph_id = p.id
     where t.wearer_id = $1 and p.bytes is not null order by d.started_at desc, p.taken_at, p.id`,
    [wearerId],
  );
  return rows;
}

/** Keeps what was read in a whole photograph, in the place of what was read before. Its wash day may be over: the picture is what it was. */
export async function storeMeasured(
  db: Db,
  id: string,
  measured: PhotographMeasured,
): Promise<PhotographMeasured> {
  return transaction(db, async (client) => {
    // Held, so that two that measure one picture come one after the other.
    await client.query('select from photograph where id = $1 for update', [id]);
    if (!(await hasImage(client, id))) throw notFound('photograph');
    if (measured.curlWidth !== null) {
      const fixed = await client.query<{ width: number | null }>(
        `select ${CURL_WIDTH} as width from photograph p join wash_day d on d.id = p.wash_day_id
           join trial t on t.id = d.trial_id where p.id = $1`,
        [id],
      );
      const width = fixed.rows[0]?.width ?? null;
      if (width !== null && width !== measured.curlWidth)
        throw atField(
          'curlWidth',
          `Other pictures of this place are read by a curl ${width} mm wide. Read this one by the same.`,
        );
    }
    await client.query('delete from photograph_measured where photograph_id = $1', [id]);
    const { taken } = measured;
    await client.query(
      `insert into photograph_measured (photograph_id, measured_at, rule_mm, left_out, card, px_per_mm, edge_mm, tilt,
         exposure, kelvin, clipped, thinnest_mm, widths, notes, curl_width_mm, curls, way, parting, leans)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19)`,
      [
        id,
        measured.measuredAt,
        measured.ruleMm,
        JSON.stringify(measured.leftOut),
        taken && JSON.stringify(taken.card),
        taken?.pxPerMm ?? null,
        taken?.edgeMm ?? null,
        taken?.tilt ?? null,
        taken?.exposure ?? null,
        taken?.kelvin ?? null,
        taken?.clipped ?? null,
        measured.thinnest,
        measured.widths,
        measured.notes,
        measured.curlWidth,
        JSON.stringify(measured.curls),
        taken?.way ?? 'silhouette',
        measured.parting && JSON.stringify(measured.parting),
        measured.leans,
      ],
    );
    await client.query(
      `insert into photograph_reading (photograph_id, measure, half, value, why)
       select $1, x.measure, coalesce(x.half, 'both'), x.value, x.why
       from json_to_recordset($2) as x (measure text, half text, value double precision, why text)`,
      [id, JSON.stringify(measured.readings)],
    );
    const { rows } = await client.query<{ measured: PhotographMeasured }>(
      `select ${MEASURED} as measured from photograph p where p.id = $1`,
      [id],
    );
    return rows[0]!.measured;
  });
}
