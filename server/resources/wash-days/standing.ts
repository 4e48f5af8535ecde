import type { WashDay } from '@sabor/contract/wash-day';
import type { Client } from '../../db/pool.ts';
import { notFound, Refusal } from '../../http/problems.ts';

/** What a write must know of a wash day, without reading all that was told of it. */
export interface Standing {
  id: string;
  trialId: string;
  wearerId: string;
  timeZone: string;
  startedAt: string;
  washedAt: string | null;
  revealAt: string | null;
  status: WashDay['status'];
  /** The trial is over. */
  ended: boolean;
  blind: boolean;
}

/** Takes hold of a wash day until the transaction ends, and says how it stands. Throws a Refusal where there is none. */
export async function holdWashDay(client: Client, id: string): Promise<Standing> {
  const { rows } = await client.query<Standing>(
    `select d.id, d.trial_id as "trialId", t.wearer_id as "wearerId", w.time_zone as "timeZone",
       d.started_at as "startedAt", d.washed_at as "washedAt", d.reveal_at as "revealAt", t.ended_at is not null and not t.logged as ended, t.blind,
       case when d.abandoned_at is not null then 'abandoned' when d.wear_ended_at is not null then 'finished'
         when d.routine_done_at is not null then 'worn' else 'under way' end as status
     from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     where d.id = $1 for update of d`,
    [id],
  );
  if (!rows[0]) throw notFound('wash day');
  return rows[0];
}

/** Refuses changes to a wash day whose trial is over, or that was abandoned. */
export function mustBeOpen({ ended, status }: Standing): void {
  if (ended) throw new Refusal(409, 'This trial is over; its wash days are closed.');
  if (status === 'abandoned') throw new Refusal(409, 'This wash day was abandoned and stays as it was.');
}

/** Refuses readings and events where they no longer count. */
export function mustTakeReadings({ ended, status, blind }: Standing): void {
  if (ended) throw new Refusal(409, 'This trial is over; its readings are closed.');
  if (status === 'abandoned')
    throw new Refusal(409, 'This wash day was abandoned; it takes no more readings.');
  if (blind && status === 'finished')
    throw new Refusal(409, 'Ratings of a blind trial are locked when the wear of their wash day ends.');
}

/** {@link holdWashDay} of one that takes changes. */
export async function openWashDay(client: Client, id: string): Promise<Standing> {
  const standing = await holdWashDay(client, id);
  mustBeOpen(standing);
  return standing;
}
