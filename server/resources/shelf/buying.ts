import type { Buying } from '@sabor/contract/buying';
import type { Dose } from '@sabor/core/doses/dose';
import { runsOut, spendOf, type Use } from '@sabor/core/shelf/buying';
import { productsUsed } from '@sabor/core/step/mix';
import type { Extra } from '@sabor/core/step/settings';
import { doseGrams, weighedBy } from '@sabor/core/step/weighed';
import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import type { Client } from '../../db/pool.ts';
import { readShelf } from './store.ts';

/** Days back that are counted: thirteen months, so that a year ago can be seen beside now. */
const COUNTED_DAYS = 396;

/** What open bottles have left and what was used up, over the last thirteen months. */
export async function readBuying(db: Client, now = new Date()): Promise<Buying> {
  const today = localToday(now);
  const since = plusDays(today, -COUNTED_DAYS);
  const { products } = await readShelf(db);
  const { rows } = await db.query<{
    on: string;
    wearerId: string;
    productId: string | null;
    dose: Dose | null;
    sections: number | null;
    extra: Extra;
  }>(
    `select (d.started_at at time zone w.time_zone)::date as "on", t.wearer_id as "wearerId", s.product_id as "productId",
       s.dose, s.sections, s.extra
     from wash_step s join wash_day d on d.id = s.wash_day_id join trial t on t.id = d.trial_id
       join wearer w on w.id = t.wearer_id
     where s.status = 'done' and d.started_at >= $1::date and (s.product_id is not null or s.extra ?| array['mix', 'beside'])
       -- What is behind the code of a blind trial cannot be read off a bottle either.
       and not (t.blind and t.key_opened_at is null and s.planned->>'part' = 'tested')`,
    [since],
  );
  const weighed = weighedBy(products);
  const uses: Use[] = rows.flatMap(({ on, wearerId, sections, ...step }) =>
    productsUsed(step).map(({ productId, dose }) => ({
      on,
      wearerId,
      productId,
      ml: doseGrams(weighed, productId, dose, sections),
    })),
  );
  const bought = products.map((product) => ({
    ...product,
    finished: product.bottles.flatMap(({ finishedOn, uses }) => (finishedOn === null ? [] : [uses])),
  }));
  return {
    runsOut: runsOut(
      bought.filter(({ archivedAt }) => archivedAt === null),
      uses,
      today,
    ),
    ...spendOf(bought, uses),
    since,
  };
}
