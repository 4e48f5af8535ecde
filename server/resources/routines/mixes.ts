import { mixParts } from '@sabor/core/step/mix';
import type { Client } from '../../db/pool.ts';
import { atField } from '../../http/problems.ts';

/** Holds the home mixes in steps' further settings to products that are on the shelf. Throws a Refusal at `mix`. */
export async function mustKnowMixes(
  client: Client,
  extras: readonly (object | null | undefined)[],
): Promise<void> {
  const ids = new Set(
    extras.flatMap((extra) =>
      mixParts((extra as { mix?: unknown } | null | undefined)?.mix).flatMap(
        ({ productId }) => productId ?? [],
      ),
    ),
  );
  if (ids.size === 0) return;
  const { rows } = await client.query<{ n: number }>(
    'select count(*) as n from product where id::text = any($1::text[])',
    [[...ids]],
  );
  if (rows[0]!.n !== ids.size)
    throw atField('mix', 'A product in this mix is not on the shelf. Choose the part again.');
}
