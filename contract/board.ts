import type { BoardTrial } from '@sabor/core/board/read';
import { FELT, type Felt } from '@sabor/core/felt/felt';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import * as v from 'valibot';
import { date, id } from './fields.ts';
import { Dose } from './routine.ts';
import { byDay, byOutcome } from './worn.ts';

const slot = v.picklist(Object.keys(SLOTS) as Slot[]);
const fair = v.picklist(['clean', 'weakened', 'broken']);
const number = v.nullable(v.number());

const BoardDay = v.strictObject({
  washDayId: id,
  position: v.number(),
  half: v.nullable(v.picklist(['left', 'right'])),
  arm: v.number(),
  on: date,
  dewPointC: number,
  rated: byOutcome,
  worn: byOutcome,
  washedOn: number,
  over: v.boolean(),
  shrinkage: byDay,
  minutesToDry: number,
  handsOn: number,
  costPerWash: number,
  currency: v.nullable(v.string()),
  felt: v.strictObject(
    Object.fromEntries(Object.keys(FELT).map((key) => [key, v.optional(v.number())])) as Record<
      Felt,
      v.OptionalSchema<v.NumberSchema<undefined>, undefined>
    >,
  ),
});

const Arm = v.strictObject({
  kind: v.picklist(['product', 'way', 'without', 'line']),
  role: v.union([slot, v.literal('line')]),
  key: v.string(),
  productId: v.nullable(id),
  dose: v.nullable(Dose),
  items: v.nullable(v.array(v.tuple([slot, v.nullable(id)]))),
  ways: v.nullable(v.array(v.tuple([v.string(), v.unknown()]))),
  name: v.string(),
});

/** A head's trials as its board reads them, and those that are not on it, with why. */
export const OwnBoard = v.strictObject({
  trials: v.array(
    v.strictObject({
      id,
      question: v.string(),
      wearerId: id,
      blind: v.boolean(),
      halves: v.boolean(),
      block: number,
      fair: v.strictObject(
        Object.fromEntries(Object.keys(OUTCOMES).map((key) => [key, fair])) as Record<Outcome, typeof fair>,
      ),
      wearDays: v.number(),
      endedOn: v.string(),
      arms: v.array(Arm),
      days: v.array(BoardDay),
    }),
  ),
  waiting: v.array(
    v.strictObject({
      id,
      question: v.string(),
      why: v.picklist(['running', 'blind', 'unopened', 'compares nothing']),
    }),
  ),
});
export interface OwnBoard {
  trials: BoardTrial[];
  waiting: v.InferOutput<typeof OwnBoard>['waiting'];
}
