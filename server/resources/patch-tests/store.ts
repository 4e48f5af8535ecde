import type { PatchTest, PatchTestInput } from '@sabor/contract/hair-file';
import type { Due } from '@sabor/contract/today';
import { PATCH_HOURS, patchOver } from '@sabor/core/hair/patch-test';
import type * as v from 'valibot';
import type { Client, Db } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { atField, Refusal } from '../../http/problems.ts';
import { allOnShelf } from '../routines/mixes.ts';

export async function readPatchTests(db: Client, wearerId: string): Promise<PatchTest[]> {
  const { rows } = await db.query<PatchTest>(
    `select id, wearer_id as "wearerId", product_id as "productId", started_at as "startedAt", outcome,
       looked_at as "lookedAt", note from patch_test where wearer_id = $1 order by started_at desc, id desc`,
    [wearerId],
  );
  return rows;
}

export async function savePatchTest(db: Db, test: v.InferOutput<typeof PatchTestInput>): Promise<void> {
  if (!(await allOnShelf(db, [test.productId])))
    throw atField('productId', 'This product is not on the shelf. Choose another.');
  const wearer = await db.query('select from wearer where id = $1', [test.wearerId]);
  if (wearer.rowCount === 0) throw atField('wearerId', 'Sabor has no such wearer. Choose another.');
  const other = await db.query(
    'select from patch_test where wearer_id = $1 and product_id = $2 and outcome is null and id <> $3',
    [test.wearerId, test.productId, test.id],
  );
  if (test.outcome === null && other.rowCount)
    throw atField('productId', 'This product is on the arm already. Say first how the skin looks.');
  mustStore(
    await db.query(
      `insert into patch_test (id, wearer_id, product_id, started_at, outcome, looked_at, note)
       values ($1, $2, $3, $4, $5, $6, $7)
       on conflict (id) do update set product_id = excluded.product_id, started_at = excluded.started_at,
         outcome = excluded.outcome, looked_at = excluded.looked_at, note = excluded.note
       where patch_test.wearer_id = excluded.wearer_id`,
      [test.id, test.wearerId, test.productId, test.startedAt, test.outcome, test.lookedAt, test.note],
    ),
    'patch test',
  );
}

/** Patch tests whose outcome is not yet said, those whose hours are over first. */
export async function readOpenPatches(
  db: Client,
  now: Date,
): Promise<(Extract<Due, { kind: 'patch test' }> & { id: string })[]> {
  const { rows } = await db.query<{
    id: string;
    wearerId: string;
    wearerName: string;
    timeZone: string;
    productName: string;
    startedAt: string;
  }>(
    `select x.id, w.id as "wearerId", w.name as "wearerName", w.time_zone as "timeZone", p.name as "productName",
       x.started_at as "startedAt"
     from patch_test x join wearer w on w.id = x.wearer_id join product p on p.id = x.product_id
     where x.outcome is null and w.archived_at is null order by x.started_at, x.id`,
  );
  return rows.map(({ startedAt, ...of }) => {
    const until = patchOver(startedAt);
    return { kind: 'patch test', ...of, until, over: Date.parse(until) <= now.getTime() };
  });
}

/**
 * Refuses a wash with products of which one made this wearer's skin react by `at` and has not stayed clear in a later
 * patch test.
 */
export async function mustNotReact(
  client: Client,
  wearerId: string,
  productIds: readonly string[],
  at: string,
): Promise<void> {
  const { rows } = await client.query<{ product: string; wearer: string }>(
    `with last as (
       select distinct on (product_id) product_id, outcome from patch_test
       where wearer_id = $1 and looked_at <= $3 and product_id = any($2::uuid[])
       order by product_id, looked_at desc, id desc
     )
     select p.name as product, w.name as wearer from last join product p on p.id = last.product_id
       join wearer w on w.id = $1
     where last.outcome = 'reacted' order by p.name limit 1`,
    [wearerId, productIds, at],
  );
  if (rows[0])
    throw new Refusal(
      409,
      `${rows[0].product} made ${rows[0].wearer}’s skin react in a patch test. No wash day begins with it: take it out of the plan, or end the trial. A doctor decides whether it may be tried again; a later patch test of ${PATCH_HOURS} hours that stays clear lifts this.`,
    );
}
