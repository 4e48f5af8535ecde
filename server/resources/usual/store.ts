import type { UsualInput, UsualOfZone } from '@sabor/contract/usual';
import { usualOf } from '@sabor/core/board/usual';
import { mean } from '@sabor/core/middle';
import type { Outcome } from '@sabor/core/outcomes/outcomes';
import type * as v from 'valibot';
import type { Db } from '../../db/pool.ts';

/** Ratings go by half points, from 0 to 10. */
const SCALE = { step: 0.5, ends: [0, 10] } as const;

interface Row {
  washDayId: string;
  outcome: Outcome;
  zoneId: string | null;
  value: number;
  product: string;
}

/**
 * Where a head's ratings of a stage or day worn usually lie, zone by zone and over the zones, from its earlier finished wash
 * days; one trial left out, and blind ones whose key is shut, because a band may name its product. A wash day counts for what was tested on that side of it, without a test for what held it.
 * Source: methods.md 8.
 */
export async function readUsual(
  db: Db,
  wearerId: string,
  { stage, day, without }: v.InferOutput<typeof UsualInput>,
): Promise<UsualOfZone[]> {
  const { rows } = await db.query<Row>(
    `select d.id as "washDayId", r.outcome, r.zone_id as "zoneId", r.value::float8 as value,
       coalesce((select p.name from wash_step s left join product p on p.id = s.product_id
          where s.wash_day_id = d.id and s.status = 'done' and (s.half is null or s.half = z.side)
            and (s.planned ->> 'part' = 'tested' or s.slot = 'hold')
          order by (s.planned ->> 'part' = 'tested') desc nulls last, s.position limit 1), 'no product') as product
     from trial t join wash_day d on d.trial_id = t.id join check_in c on c.wash_day_id = d.id
       join reading r on r.check_in_id = c.id left join zone z on z.id = r.zone_id
     where t.wearer_id = $1 and t.id is distinct from $2 and d.wear_ended_at is not null and d.abandoned_at is null
       and (not t.blind or t.key_opened_at is not null)
       and c.stage = $3 and c.day is not distinct from $4 and c.part = 'first' and r.obtained = 'rated'`,
    [wearerId, without, stage, day],
  );
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const key = `${row.outcome} ${row.zoneId}`;
    groups.set(key, [...(groups.get(key) ?? []), row]);
  }
  const zoned = [...groups.values()].map((own) => ({
    outcome: own[0]!.outcome,
    zoneId: own[0]!.zoneId,
    usual: usualOf(own, SCALE),
  }));
  // One number a wash day over its zones; on two halves of two products each side is one.
  const outcomes = [...new Set(rows.map(({ outcome }) => outcome))];
  const whole = outcomes.map((outcome) => {
    const days = new Map<string, Row[]>();
    for (const row of rows) {
      if (row.outcome !== outcome || row.zoneId === null) continue;
      const key = `${row.washDayId} ${row.product}`;
      days.set(key, [...(days.get(key) ?? []), row]);
    }
    const earlier = [...days.values()].map((own) => ({
      product: own[0]!.product,
      value: mean(own.map(({ value }) => value))!,
    }));
    return { outcome, zoneId: null, usual: usualOf(earlier, SCALE) };
  });
  return [...zoned.filter(({ zoneId }) => zoneId !== null), ...whole];
}
