import { type MeasureResult, readMeasure } from '@sabor/core/hair/measured/kinds';
import { WORN_MEANWHILE } from '@sabor/core/hair/measured/shed';
import * as v from 'valibot';
import { id, note, number, oneOf, pastDate, positive } from './fields.ts';

const shapes = v.variant(
  'kind',
  [
    v.object({ kind: v.literal('strand'), micrometres: positive('The thickness', 1000) }),
    v.object({
      kind: v.literal('curl'),
      diameterMm: positive('The diameter', 500),
      waves: positive('The number of waves', 500),
      overMm: positive('The length the waves were counted over', 2000),
      restingMm: positive('The length at rest', 2000),
      stretchedMm: positive('The length pulled straight', 2000),
    }),
    v.object({ kind: v.literal('build-up'), feels: number('The rating', 0, 10) }),
    v.object({ kind: v.literal('ponytail'), circumferenceMm: positive('The circumference', 1000) }),
    v.object({
      kind: v.literal('stretch'),
      wetMm: positive('The length at rest', 2000),
      stretchedMm: positive('The stretched length', 2000),
      releasedMm: positive('The length let go', 2000),
    }),
    v.object({
      kind: v.literal('shed'),
      from: number('The count', 0, 100_000),
      to: number('The count', 0, 100_000),
      days: positive('The days since the last detangle', 400),
      worn: oneOf(WORN_MEANWHILE, 'how the hair was worn'),
    }),
  ],
  'Choose what was measured.',
);

/** The field that a measurement which cannot be is told at. */
const BLAMED: Record<MeasureResult['kind'], string> = {
  strand: 'micrometres',
  curl: 'stretchedMm',
  'build-up': 'feels',
  ponytail: 'circumferenceMm',
  stretch: 'stretchedMm',
  shed: 'to',
};

export const HairMeasureInput = v.object({
  id,
  wearerId: id,
  zoneId: v.nullable(id),
  on: pastDate,
  note: v.optional(note, ''),
  result: v.pipe(
    shapes,
    v.rawCheck(({ dataset, addIssue }) => {
      if (!dataset.typed) return;
      try {
        readMeasure(dataset.value);
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        const key = BLAMED[dataset.value.kind];
        addIssue({
          message: error.message,
          path: [{ type: 'unknown', origin: 'value', input: dataset.value, key, value: null }],
        });
      }
    }),
  ),
});
export type HairMeasureInput = v.InferInput<typeof HairMeasureInput>;
export type HairMeasure = v.InferOutput<typeof HairMeasureInput>;
