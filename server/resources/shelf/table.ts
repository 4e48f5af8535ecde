import type { ShelfImport } from '@sabor/contract/shelf';
import {
  PRODUCT_COLUMNS,
  type ProductColumn,
  type ProductRow,
  productCells,
} from '@sabor/core/shelf/product-table';
import { BOM, guarded } from '@sabor/core/table/formula-guard';
import Papa from 'papaparse';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { OPEN_BOTTLES } from './store.ts';

/** Every product that is not put away, a row each, with the columns the import knows; nothing is counted for it. */
export async function shelfCsv(db: Client): Promise<string> {
  const { rows } = await db.query<ProductRow>(
    `select l.name as line, p.name, p.roles::text[], p.size_ml as "sizeMl", p.price, p.currency,
       p.label_hold as "labelHold", p.ingredients, p.label_directions as "labelDirections", p.stake,
       b.opened_on as "openedOn", p.months_after_opening as "monthsAfterOpening", p.note
     from product p left join line l on l.id = p.line_id
     left join (${OPEN_BOTTLES}) b on b.product_id = p.id
     where p.archived_at is null order by lower(p.name)`,
  );
  const columns = Object.keys(PRODUCT_COLUMNS);
  return (
    BOM +
    Papa.unparse([
      columns,
      ...rows.map((row) => {
        const cells = productCells(row);
        return columns.map((key) => guarded(cells[key as ProductColumn]));
      }),
    ])
  );
}

/** Stores products in two statements; a product the shelf already has by line and name is left as it is. */
export async function importProducts(
  db: Db,
  products: v.InferOutput<typeof ShelfImport>['products'],
): Promise<{ stored: number; known: number }> {
  return transaction(db, async (client) => {
    // The same file sent twice at once: the second finds what the first has stored.
    await client.query("select pg_advisory_xact_lock(hashtext('sabor shelf import'))");
    await client.query(
      `insert into line (id, name)
       select gen_random_uuid(), n.name from (select distinct name from unnest($1::text[]) as name where name is not null) n
       where not exists (select 1 from line l where lower(l.name) = lower(n.name))`,
      [products.map(({ line }) => line)],
    );
    const { rows } = await client.query<{ id: string }>(
      `insert into product (id, line_id, name, roles, size_ml, price, currency, label_hold, ingredients, label_directions,
         stake, months_after_opening, note)
       select p.id, l.id, p.name, array(select jsonb_array_elements_text(p.roles))::role_key[], p."sizeMl", p.price,
         p.currency, p."labelHold", p.ingredients, p."labelDirections", p.stake, p."monthsAfterOpening", p.note
       from jsonb_to_recordset($1::jsonb) as p(id uuid, line text, name text, roles jsonb, "sizeMl" numeric,
         price numeric, currency text, "labelHold" text, ingredients text, "labelDirections" text, stake text,
         "monthsAfterOpening" int, note text)
       left join lateral (select id from line where lower(line.name) = lower(p.line) order by created_at limit 1) l on true
       where not exists (select 1 from product q where lower(q.name) = lower(p.name)
         and q.line_id is not distinct from l.id)
       on conflict (id) do nothing returning id`,
      [JSON.stringify(products)],
    );
    const stored = new Set(rows.map(({ id }) => id));
    const opened = products.filter(({ id }) => stored.has(id));
    await client.query(
      'insert into bottle (product_id, opened_on) select * from unnest($1::uuid[], $2::date[])',
      [opened.map(({ id }) => id), opened.map(({ openedOn }) => openedOn)],
    );
    return { stored: stored.size, known: products.length - stored.size };
  });
}
