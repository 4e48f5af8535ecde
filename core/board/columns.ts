import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';

/** Fewest things of an island that are drawn towards their middle. Source: methods.md 7. */
export const FEWEST_POOLED = 5;

/** What a column of the board reads. */
export type ColumnKey = Outcome | 'good-days' | 'shrinkage' | 'minutes-to-dry' | 'hands-on' | 'wish';

/** The columns that are read as they are; the wish is made of them. `matters`: a difference worth a trial, a model assumption. */
export const COLUMNS = {
  ...(Object.fromEntries(
    (Object.keys(OUTCOMES) as Outcome[]).map((key) => [
      key,
      { label: OUTCOMES[key].label, wanted: OUTCOMES[key].better, unit: 'points', places: 1, matters: 1 },
    ]),
  ) as Record<
    Outcome,
    { label: string; wanted: 'higher' | 'lower'; unit: string; places: number; matters: number }
  >),
  'good-days': { label: 'Good days', wanted: 'higher', unit: 'days', places: 1, matters: 1 },
  shrinkage: { label: 'Shrinkage', wanted: 'lower', unit: '%', places: 0, matters: 5 },
  'minutes-to-dry': { label: 'Minutes to dry', wanted: 'lower', unit: 'min', places: 0, matters: 10 },
  'hands-on': { label: 'Hands-on minutes', wanted: 'lower', unit: 'min', places: 0, matters: 5 },
  wish: { label: 'As wished', wanted: 'higher', unit: 'points', places: 1, matters: 1 },
} as const satisfies Record<
  ColumnKey,
  { label: string; wanted: 'higher' | 'lower'; unit: string; places: number; matters: number }
>;

/** What may be weighed in a wish. */
export type WishKey = Outcome | 'length' | 'lasting';
export type WishWeights = Partial<Record<WishKey, number>>;
