import type { CareKind } from '@sabor/core/hair/care';
import { HAIR_EVENTS, type HairEventKind } from '@sabor/core/hair/history';
import { outcomesOf, POROSITY_TESTS, type PorosityTestKind } from '@sabor/core/hair/porosity/tests';
import * as v from 'valibot';
import { id, note, number, oneOf, pastDate, whole } from './fields.ts';
import type { HairMeasure } from './hair-measure.ts';

/** One result of a porosity test, on a zone or the whole head. Measured tests carry a value, the others an outcome. */
export const HairTestInput = v.pipe(
  v.object({
    id,
    wearerId: id,
    zoneId: v.nullable(id),
    kind: oneOf(POROSITY_TESTS, 'a test'),
    value: v.nullable(number('The result', 0, 100_000)),
    outcome: v.nullable(v.string()),
    on: pastDate,
    note: v.optional(note, ''),
  }),
  v.forward(
    v.partialCheck(
      [['kind'], ['value']],
      ({ kind, value }) => (POROSITY_TESTS[kind].unit !== null) === (value !== null),
      'This test is measured: give its result as a number.',
    ),
    ['value'],
  ),
  v.forward(
    v.partialCheck(
      [['kind'], ['outcome']],
      ({ kind, outcome }) => outcomeFits(kind, outcome),
      'Choose what you saw from the list.',
    ),
    ['outcome'],
  ),
);
export type HairTestInput = v.InferInput<typeof HairTestInput>;
export type HairTest = v.InferOutput<typeof HairTestInput>;

function outcomeFits(kind: PorosityTestKind, outcome: string | null): boolean {
  if (kind === 'history') return false;
  if (POROSITY_TESTS[kind].unit !== null) return outcome === null;
  return outcomesOf(kind).some(([key]) => key === outcome);
}

export const HairEventInput = v.object({
  id,
  wearerId: id,
  kind: oneOf(HAIR_EVENTS, 'what happened'),
  on: pastDate,
  /** Zones it touched; empty for the whole head. */
  zoneIds: v.array(id),
  note: v.optional(note, ''),
});
export type HairEventInput = v.InferInput<typeof HairEventInput>;
export type HairEvent = v.InferOutput<typeof HairEventInput>;

export interface HairFile {
  tests: HairTest[];
  events: HairEvent[];
  measures: HairMeasure[];
  /** What wash days add to the history: the dates of the washes, and care that their products did. */
  washedOn: string[];
  washCare: { kind: HairEventKind; on: string }[];
  /** The wearer's own days between care; null where it is switched off. */
  cadence: Partial<Record<CareKind, number | null>>;
}

export const CadenceInput = v.object({
  everyDays: v.nullable(whole('The days between', 1, 730)),
});
