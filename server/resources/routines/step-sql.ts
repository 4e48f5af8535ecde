/** Columns that a planned step, an arm's step and a wash day's step share, in SQL. */

/** Dose columns from a jsonb dose named `source`. */
export const doseColumns = (source: string) =>
  `${source}->>'kind', coalesce(${source}->>'amount', ${source}->>'from')::numeric,
   coalesce(${source}->>'amount', ${source}->>'to')::numeric, ${source}->>'measure', ${source}->>'per'`;

export const DOSE_COLUMN_NAMES = 'dose_kind, dose_low, dose_high, dose_measure, dose_per';

/** A row's dose as the wire carries it. */
export const doseOf = (row: string) =>
  `dose_json(${row}.dose_kind, ${row}.dose_low, ${row}.dose_high, ${row}.dose_measure, ${row}.dose_per)`;

/** The settings of a step row but for product and dose, as pairs for json_build_object. */
export const settingsOf = (row: string) =>
  `'sections', ${row}.sections, 'wetness', ${row}.wetness, 'minutes', ${row}.minutes, 'technique', ${row}.technique,
   'tool', ${row}.tool, 'heat', ${row}.heat, 'extra', ${row}.extra`;

/** A planned step as the wire carries it, `part` included. */
export const stepJson = (row: string) =>
  `json_build_object('id', ${row}.id, 'slot', ${row}.slot, 'part', ${row}.part, 'productId', ${row}.product_id,
   'dose', ${doseOf(row)}, ${settingsOf(row)}, 'note', ${row}.note, 'optional', ${row}.optional,
   'tolerance', ${row}.tolerance)`;
