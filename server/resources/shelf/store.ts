import type { Line, LineInput, Product, ProductInput, Shelf } from '@sabor/contract/shelf';
import type { Measure } from '@sabor/core/doses/measures';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { atField, notFound } from '../../http/problems.ts';

/** The bottle in use of every product, the newest that is not finished, read in one pass. */
export const OPEN_BOTTLES = `select distinct on (product_id) product_id, opened_on from bottle where finished_on is null
    order by product_id, created_at desc`;

/**
 * Products with what is counted of them; a step without a moment of its own was done on its wash day. What is behind a code shows in no count: a step under test of a trial that is
 * still blind is left out.
 */
const PRODUCTS = `
  with hidden as (
    select s.id from trial t join wash_day d on d.trial_id = t.id join wash_step s on s.wash_day_id = d.id
    where t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested'
  ), told as (
    select s.product_id, s.wash_day_id, s.status, coalesce(s.done_at, d.started_at) as done_at
    from wash_step s join wash_day d on d.id = s.wash_day_id
    where s.product_id is not null and s.id not in (select id from hidden)
  )
  select p.id, p.line_id as "lineId", p.name, p.roles::text[], p.size_ml as "sizeMl", p.price, p.currency,
    p.label_hold as "labelHold", p.ingredients, p.label_directions as "labelDirections", p.stake,
    b.opened_on as "openedOn", p.months_after_opening as "monthsAfterOpening", p.note, p.archived_at as "archivedAt", p.version,
    p.heat_limit_c as "heatLimitC", p.applications, p.edition, p.collection, p.packaging, to_json(p.claims) as claims,
    coalesce(pr.prices, '[]') as prices, coalesce(pi.pictures, '[]') as pictures, coalesce(e.editions, '[]') as editions, coalesce(bs.bottles, '[]') as bottles,
    coalesce(u.uses, 0) as uses, coalesce(c.calibrations, '[]') as calibrations
  from product p
  left join (
    select product_id, count(*) as uses from (
      select product_id from step union all select product_id from arm_step
      union all select product_id from told) s
    where product_id is not null group by product_id
  ) u on u.product_id = p.id
  left join (
    select product_id, json_agg(json_build_object('on', on_date, 'kind', kind, 'amount', amount, 'currency', currency)
      order by on_date desc, kind) as prices from product_price group by product_id
  ) pr on pr.product_id = p.id
  left join (
    select product_id, json_agg(json_build_object('id', id, 'shows', shows, 'takenAt', taken_at) order by taken_at desc, id)
      as pictures from product_picture where bytes is not null group by product_id
  ) pi on pi.product_id = p.id
  left join (
    select product_id, json_agg(json_build_object('edition', edition, 'ingredients', ingredients, 'until', until_date)
      order by until_date desc) as editions from product_edition group by product_id
  ) e on e.product_id = p.id
  left join (
    select b.product_id, json_agg(json_build_object('id', b.id, 'openedOn', b.opened_on, 'finishedOn', b.finished_on,
      'uses', b.uses) order by b.created_at desc) as bottles
    from (
      select b.id, b.product_id, b.opened_on, b.finished_on, b.created_at, count(distinct s.wash_day_id) as uses
      from bottle b left join told s on s.product_id = b.product_id and s.status = 'done'
        and s.done_at >= coalesce(b.opened_on, '-infinity') and s.done_at < coalesce(b.finished_on + 1, 'infinity')
      where b.opened_on is not null or b.finished_on is not null group by b.id
    ) b group by b.product_id
  ) bs on bs.product_id = p.id
  left join (
    select product_id, json_agg(json_build_object('measure', measure, 'grams', grams, 'at', at) order by measure) as calibrations
    from calibration group by product_id
  ) c on c.product_id = p.id
  left join (${OPEN_BOTTLES}) b on b.product_id = p.id`;

export async function readShelf(db: Client): Promise<Shelf> {
  const lines = await db.query<Line>(
    `select id, name, note, archived_at as "archivedAt", version, (
       select coalesce(json_agg(json_build_object('collection', collection, 'claim', claim) order by collection, claim), '[]')
       from line_claim c where c.line_id = line.id) as claims from line order by lower(name)`,
  );
  const products = await db.query<Product>(`${PRODUCTS} order by lower(p.name)`);
  return { lines: lines.rows, products: products.rows };
}

/** Products that are not put away and whose bottle in use was opened on a known day. */
export async function readOpenBottles(
  db: Client,
): Promise<Pick<Product, 'id' | 'name' | 'openedOn' | 'monthsAfterOpening'>[]> {
  const { rows } = await db.query<Pick<Product, 'id' | 'name' | 'openedOn' | 'monthsAfterOpening'>>(
    `select p.id, p.name, b.opened_on as "openedOn", p.months_after_opening as "monthsAfterOpening"
     from product p join (${OPEN_BOTTLES}) b on b.product_id = p.id and b.opened_on is not null
     where p.archived_at is null and p.months_after_opening is not null order by lower(p.name)`,
  );
  return rows;
}

export async function readProduct(db: Client, id: string): Promise<Product> {
  const { rows } = await db.query<Product>(`${PRODUCTS} where p.id = $1`, [id]);
  if (!rows[0]) throw notFound('product');
  return rows[0];
}

/** Replaces the weighed repeats of one measure of a product; an empty list takes them away. */
export async function saveCalibration(
  db: Client,
  id: string,
  measure: Measure,
  grams: readonly number[],
): Promise<Product> {
  await readProduct(db, id);
  if (grams.length === 0)
    await db.query('delete from calibration where product_id = $1 and measure = $2', [id, measure]);
  else
    await db.query(
      `insert into calibration (product_id, measure, grams) values ($1, $2, $3)
       on conflict (product_id, measure) do update set grams = excluded.grams, at = now()`,
      [id, measure, grams],
    );
  return readProduct(db, id);
}

export async function saveLine(
  db: Db,
  line: v.InferOutput<typeof LineInput>,
  from: number | null = null,
): Promise<void> {
  await transaction(db, async (client) => {
    await mustBeNewest(client, 'line', line.id, from, async () =>
      (await readShelf(client)).lines.find(({ id }) => id === line.id),
    );
    await client.query(
      `insert into line (id, name, note) values ($1, $2, $3)
       on conflict (id) do update set name = excluded.name, note = excluded.note`,
      [line.id, line.name, line.note],
    );
    await client.query('delete from line_claim where line_id = $1', [line.id]);
    await client.query(
      `insert into line_claim (line_id, collection, claim)
       select $1, c.collection, c.claim from jsonb_to_recordset($2::jsonb) as c(collection text, claim text)`,
      [line.id, JSON.stringify(line.claims)],
    );
  });
}

/** With another edition, the list of the one that was is kept beside it. */
async function keepEdition(client: Client, product: v.InferOutput<typeof ProductInput>): Promise<void> {
  await client.query(
    `insert into product_edition (product_id, edition, ingredients, until_date)
     select id, edition, ingredients, current_date from product
     where id = $1 and edition <> $2 and ingredients <> $3 and ingredients <> ''
     on conflict (product_id, edition) do update set ingredients = excluded.ingredients, until_date = excluded.until_date`,
    [product.id, product.edition, product.ingredients],
  );
}

/** Ends the bottle that is in use; the next use begins another, which is not opened yet. */
export async function finishBottle(db: Db, id: string, on: string): Promise<Product> {
  return transaction(db, async (client) => {
    await readProduct(client, id);
    const { rows } = await client.query<{ id: string; opened_on: string | null }>(
      `select id, opened_on from bottle where product_id = $1 and finished_on is null order by created_at desc limit 1 for update`,
      [id],
    );
    const [bottle] = rows;
    if (!bottle?.opened_on)
      throw atField('on', 'No bottle of this is open. Give the day it was opened first.');
    if (on < bottle.opened_on)
      throw atField('on', 'It cannot be finished before it was opened. Check the date.');
    await client.query('update bottle set finished_on = $2 where id = $1', [bottle.id, on]);
    await client.query('insert into bottle (product_id) values ($1)', [id]);
    return readProduct(client, id);
  });
}

export async function saveProduct(
  db: Db,
  product: v.InferOutput<typeof ProductInput>,
  from: number | null = null,
): Promise<Product> {
  return transaction(db, async (client) => {
    await mustBeNewest(client, 'product', product.id, from, () => readProduct(client, product.id));
    await keepEdition(client, product);
    await client.query(
      `insert into product (id, line_id, name, roles, size_ml, price, currency, label_hold, ingredients,
         label_directions, stake, months_after_opening, note, heat_limit_c, applications, edition, collection, packaging,
         claims)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19)
       on conflict (id) do update set line_id = excluded.line_id, name = excluded.name, roles = excluded.roles,
         size_ml = excluded.size_ml, price = excluded.price, currency = excluded.currency,
         label_hold = excluded.label_hold, ingredients = excluded.ingredients,
         label_directions = excluded.label_directions, stake = excluded.stake,
         months_after_opening = excluded.months_after_opening, note = excluded.note, heat_limit_c = excluded.heat_limit_c,
         applications = excluded.applications, edition = excluded.edition, collection = excluded.collection,
         packaging = excluded.packaging, claims = excluded.claims`,
      [
        product.id,
        product.lineId,
        product.name,
        product.roles,
        product.sizeMl,
        product.price,
        product.currency,
        product.labelHold,
        product.ingredients,
        product.labelDirections,
        product.stake,
        product.monthsAfterOpening,
        product.note,
        product.heatLimitC,
        product.applications,
        product.edition,
        product.collection,
        product.packaging,
        product.claims,
      ],
    );
    await client.query('delete from product_price where product_id = $1', [product.id]);
    await client.query(
      `insert into product_price (product_id, on_date, kind, amount, currency)
       select $1, p."on", p.kind, p.amount, p.currency
       from jsonb_to_recordset($2::jsonb) as p("on" date, kind text, amount numeric, currency text)`,
      [product.id, JSON.stringify(product.prices)],
    );
    const { rowCount } = await client.query(
      `update bottle set opened_on = $2 where id = (
         select id from bottle where product_id = $1 and finished_on is null order by created_at desc limit 1)`,
      [product.id, product.openedOn],
    );
    if (rowCount === 0)
      await client.query('insert into bottle (product_id, opened_on) values ($1, $2)', [
        product.id,
        product.openedOn,
      ]);
    return readProduct(client, product.id);
  });
}
