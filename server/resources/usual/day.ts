import type { UsualDay } from '@sabor/contract/usual';
import { minutesOfDay, type TimedStep } from '@sabor/core/basin/minutes';
import { type Earlier, usualOf } from '@sabor/core/board/usual';
import { amountOf, type Dose } from '@sabor/core/doses/dose';
import type { Db } from '../../db/pool.ts';
import { ENTERED_LATER } from '../wash-days/read.ts';

interface Step extends TimedStep {
  tool: string | null;
  minutes: number | null;
  dose: Dose | null;
  productId: string | null;
  tested: boolean;
}

interface Day {
  startedAt: string;
  shed: number | null;
  enteredLater: boolean;
  steps: Step[];
}

/** Nothing is under none. */
const SCALE = { ends: [0, Number.POSITIVE_INFINITY] } as const;

/**
 * Where a head's minutes, shed hairs and amounts usually lie, from its earlier finished wash days of whole heads, one wash day
 * left out; blind trials whose key is shut stay out, because an amount may name its product. Source: methods.md 8.
 */
export async function readUsualDay(db: Db, wearerId: string, without: string | null): Promise<UsualDay> {
  const { rows } = await db.query<Day>(
    `select d.started_at as "startedAt", d.shed_hairs as shed, ${ENTERED_LATER} as "enteredLater",
       (select coalesce(json_agg(json_build_object('slot', s.slot, 'status', s.status, 'startedAt', s.started_at,
            'doneAt', s.done_at, 'tool', s.tool, 'minutes', s.minutes, 'dose', s.dose, 'productId', s.product_id,
            'tested', coalesce(s.planned ->> 'part' = 'tested', false),
            'pauses', (select coalesce(json_agg(json_build_object('from', p.paused_at, 'to', p.resumed_at)), '[]')
              from step_pause p where p.wash_step_id = s.id)) order by s.position), '[]')
          from wash_step s where s.wash_day_id = d.id) as steps
     from trial t join wash_day d on d.trial_id = t.id
     where t.wearer_id = $1 and d.id is distinct from $2 and d.wear_ended_at is not null and d.abandoned_at is null
       and (not t.blind or t.key_opened_at is not null)
       and not exists (select 1 from wash_step h where h.wash_day_id = d.id and h.half is not null)
     order by d.started_at`,
    [wearerId, without],
  );
  const days = rows.map((day) => {
    const hold =
      day.steps.find(({ status, tested }) => status === 'done' && tested) ??
      day.steps.find(({ status, slot }) => status === 'done' && slot === 'hold');
    return {
      product: hold?.productId ?? 'no product',
      shed: day.shed,
      ...(day.enteredLater ? { dry: null, handsOn: null } : minutesOfDay(day.steps, day.startedAt)),
    };
  });
  const of = (key: 'dry' | 'handsOn' | 'shed') =>
    usualOf(
      days.flatMap((day): Earlier[] => {
        const value = day[key];
        return value === null ? [] : [{ product: day.product, value }];
      }),
      SCALE,
    );
  return { dry: of('dry'), handsOn: of('handsOn'), shed: of('shed'), doses: dosesOf(rows) };
}

function dosesOf(days: readonly Day[]): UsualDay['doses'] {
  const told = days.flatMap(({ steps }) =>
    steps.flatMap(({ status, slot, dose, productId }) => {
      const amount = amountOf(dose);
      return status !== 'done' || productId === null || amount === null || !dose || dose.kind === 'unknown'
        ? []
        : [{ slot, productId, measure: dose.measure, per: dose.per, amount }];
    }),
  );
  const groups = new Map<string, typeof told>();
  for (const one of told) {
    const key = [one.productId, one.slot, one.measure, one.per].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()].map((own) => {
    const { amount: _, ...which } = own[0]!;
    return {
      ...which,
      usual: usualOf(
        own.map(({ productId, amount }) => ({ product: productId, value: amount })),
        SCALE,
      ),
    };
  });
}
