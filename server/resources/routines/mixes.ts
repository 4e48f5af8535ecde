import { besideOf } from '@sabor/core/step/beside';
import { mixParts } from '@sabor/core/step/mix';
import type { Client } from '../../db/pool.ts';
import { atField } from '../../http/problems.ts';

/**
 * Holds home mixes, and what a step uses beside its product, to products that are on the shelf. Throws a Refusal at `mix`
 * or `beside`.
 */
export async function mustKnowMixes(
  client: Client,
  extras: readonly (object | null | undefined)[],
): Promise<void> {
  const all = extras as readonly ({ mix?: unknown; beside?: unknown } | null | undefined)[];
  const mixed = all.flatMap((extra) => mixParts(extra?.mix).flatMap(({ productId }) => productId ?? []));
  const beside = all.flatMap((extra) => besideOf(extra?.beside).map(({ productId }) => productId));
  if (!(await allOnShelf(client, mixed)))
    throw atField('mix', 'A product in this mix is not on the shelf. Choose the part again.');
  if (!(await allOnShelf(client, beside)))
    throw atField('beside', 'The product beside the first is not on the shelf. Choose it again.');
}

export async function allOnShelf(client: Client, ids: readonly string[]): Promise<boolean> {
  const each = [...new Set(ids)];
  if (each.length === 0) return true;
  const { rows } = await client.query<{ n: number }>(
    'select count(*) as n from product where id::text = any($1::text[])',
    [each],
  );
  return rows[0]!.n === each.length;
}
