import type { HeardTap } from '@sabor/contract/taps';
import type { Client } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { Refusal } from '../../http/problems.ts';
import { mustKnowMixes } from '../routines/mixes.ts';
import { settingsFrom } from '../routines/step-sql.ts';
import { CLOCKS, changeInto } from './change.ts';
import { checkInInto, eventGone, eventInto } from './check-ins.ts';
import { finishInto, NOT_FOR_LATER } from './end.ts';
import type { SaidBefore } from './said-before.ts';
import { holdWashDay, mustBeOpen, type Standing } from './standing.ts';

type Of<K extends HeardTap['kind']> = Extract<HeardTap, { kind: K }>;

/** Columns of a step that a tap may set beside its settings, each from its field of the tap. */
const STEP_COLUMNS = [
  ['status', 'status', "b->>'status'"],
  ['started_at', 'startedAt', "(b->>'startedAt')::timestamptz"],
  ['done_at', 'doneAt', "(b->>'doneAt')::timestamptz"],
  ['note', 'note', "b->>'note'"],
  ['skip_reason', 'skipReason', "b->>'skipReason'"],
] as const;

const SET_STEP = `
  with given as (select $2::jsonb as b)
  update wash_step s set ${STEP_COLUMNS.map(
    ([column, field, value]) => `${column} = case when b ? '${field}' then ${value} else s.${column} end`,
  ).join(', ')}, ${settingsFrom('b', 's')}
  from given where s.id = $1`;

const without = <T extends object>(set: T, fields: ReadonlySet<string>): Partial<T> =>
  Object.fromEntries(
    Object.entries(set).filter(([field, value]) => value !== undefined && !fields.has(field)),
  ) as Partial<T>;

/** A wash day while its taps are heard. What the steps tell of its clocks is worked out when somebody needs it. */
export class Hearing {
  private stale = false;
  private readonly client: Client;
  readonly said: SaidBefore;
  private day: Standing;
  private readonly by: string;
  /** `by`: who is signed in, where that is not the tester. */
  constructor(client: Client, said: SaidBefore, day: Standing, by: string) {
    this.by = by;
    this.client = client;
    this.said = said;
    this.day = day;
  }

  get washDayId(): string {
    return this.day.id;
  }

  row(sql: string, values: unknown[]) {
    return this.client.query(sql, values);
  }

  /** Steps, clocks or the end of the routine have changed. */
  changed(): void {
    this.stale = true;
  }

  /** How the day stands now. */
  async standing(): Promise<Standing> {
    if (this.stale) {
      await this.row(CLOCKS, [this.day.id]);
      this.day = await holdWashDay(this.client, this.day.id);
      this.stale = false;
    }
    return this.day;
  }

  /** A step heard of late that still waits, although the routine was ended after the moment of its tap, was passed over, unless it was taken up again. */
  private async passOver(tap: Of<'step'> | Of<'add-step'>): Promise<void> {
    if (this.said.finishedAfter(tap) && !this.said.takenUpAgain(tap.stepId))
      await this.row(`update wash_step set status = 'skipped' where id = $1 and ${NOT_FOR_LATER}`, [
        tap.stepId,
      ]);
  }

  /** Does what a tap says, where nothing later has said otherwise. Throws a Refusal where it cannot stand. */
  async apply(tap: HeardTap): Promise<void> {
    const { client, said, washDayId } = this;
    mustBeOpen(this.day);
    const row = (sql: string, values: unknown[]) => this.row(sql, values);
    if ('stepId' in tap && tap.kind !== 'add-step' && tap.kind !== 'take-out') {
      const { rowCount } = await row('select 1 from wash_step where id = $1 and wash_day_id = $2', [
        tap.stepId,
        washDayId,
      ]);
      if (rowCount === 0) {
        if (said.tookOut(tap.stepId)) return;
        throw new Refusal(404, 'There is no such step on this wash day.');
      }
    }
    if (said.overtakes(tap)) return;
    switch (tap.kind) {
      case 'step': {
        const set = without(tap.set, said.fieldsSince(tap));
        await mustKnowMixes(client, [set.extra]);
        await row(SET_STEP, [tap.stepId, JSON.stringify(set)]);
        await this.passOver(tap);
        this.changed();
        return;
      }
      case 'add-step':
        if (!said.tookOut(tap.stepId))
          mustStore(
            await row(
              `insert into wash_step (id, wash_day_id, position, slot, status, extra) values ($1, $2, $3, $4, 'waiting', '{}')
               on conflict (id) do update set position = wash_step.position where wash_step.wash_day_id = excluded.wash_day_id`,
              [tap.stepId, washDayId, tap.position, tap.slot],
            ),
            'step',
          );
        await this.passOver(tap);
        return;
      case 'take-out':
        await row('delete from wash_step where id = $1 and wash_day_id = $2 and plan_step_id is null', [
          tap.stepId,
          washDayId,
        ]);
        return;
      case 'day': {
        await this.standing();
        await changeInto(client, washDayId, without(tap.set, said.fieldsSince(tap)));
        this.changed();
        return;
      }
      case 'pause':
        mustStore(
          await row(
            `insert into step_pause (id, wash_step_id, paused_at, resumed_at, reason) values ($1, $2, $3, $4, $5)
           on conflict (id) do update set paused_at = excluded.paused_at, resumed_at = excluded.resumed_at,
             reason = excluded.reason where step_pause.wash_step_id = excluded.wash_step_id`,
            [tap.pauseId, tap.stepId, tap.from, tap.to, tap.reason],
          ),
          'pause',
        );
        return;
      case 'mark':
        await row('delete from step_mark where id = $1 and wash_step_id = $2', [tap.markId, tap.stepId]);
        if (!tap.gone)
          await row(
            'insert into step_mark (id, wash_step_id, mark, reason, note, places, at) values ($1, $2, $3, $4, $5, $6, $7)',
            [tap.markId, tap.stepId, tap.mark, tap.reason, tap.note, tap.places, tap.at],
          );
        return;
      case 'in-hand':
        await row('delete from in_hand_reading where wash_step_id = $1 and quality = $2', [
          tap.stepId,
          tap.quality,
        ]);
        if (tap.value !== null)
          await row('insert into in_hand_reading (wash_step_id, quality, value) values ($1, $2, $3)', [
            tap.stepId,
            tap.quality,
            tap.value,
          ]);
        return;
      case 'idea':
        await row('delete from idea where id = $1 and wash_step_id = $2', [tap.ideaId, tap.stepId]);
        if (!tap.gone)
          await row(
            'insert into idea (id, wash_step_id, idea, at, slot, product_id) values ($1, $2, $3, $4, $5, $6)',
            [tap.ideaId, tap.stepId, tap.idea, tap.at, tap.slot, tap.productId],
          );
        return;
      case 'weighing':
        await row('delete from weighing where wash_step_id = $1 and phase = $2', [tap.stepId, tap.phase]);
        if (tap.grams !== null)
          await row('insert into weighing (wash_step_id, phase, grams) values ($1, $2, $3)', [
            tap.stepId,
            tap.phase,
            tap.grams,
          ]);
        return;
      case 'rate': {
        const { ratings, felt, overtaken } = said.ownOf(tap);
        const { checkInId: id, stage, part, lookedAt: at, note, rater } = tap;
        await checkInInto(
          client,
          await this.standing(),
          { id, washDayId, stage, day: tap.day, part, at, ratings, felt, curls: [], note, rater },
          this.by,
          overtaken,
        );
        return;
      }
      case 'event':
        if (tap.gone) await eventGone(client, await this.standing(), tap.eventId);
        else {
          const { fields, overtaken } = said.ownOfEvent(tap);
          const { eventId: id, event: kind, on } = tap;
          await eventInto(client, await this.standing(), { ...fields, id, washDayId, kind, on }, overtaken);
        }
        return;
      case 'finish':
        await this.standing();
        await finishInto(client, washDayId, tap.at);
        // A step that was taken up again after this moment, but heard of before it, still waits.
        await row("update wash_step set status = 'waiting' where wash_day_id = $1 and id = any($2::uuid[])", [
          washDayId,
          said.waitingAfter(tap),
        ]);
        this.changed();
    }
  }
}
