import { MEASURES } from '@sabor/core/doses/measures';
import {
  HEAT_LIMIT_C,
  LABEL_HOLDS,
  PACKAGINGS,
  PRICE_KINDS,
  ROLES,
  STAKES,
} from '@sabor/core/shelf/products';
import * as v from 'valibot';
import {
  asStored,
  date,
  eachOnce,
  id,
  kept,
  name,
  note,
  number,
  oneOf,
  pastDate,
  positive,
  whole,
} from './fields.ts';
import { ProductPicture } from './product-picture.ts';

const short = (what: string) =>
  v.pipe(v.string(), v.trim(), v.maxLength(80, `${what} is longer than 80 characters. Keep it short.`));

export const LineInput = v.object({
  id,
  name: name('A line'),
  note: v.optional(note, ''),
  /** What the line claims of all its products, or of those of one collection. */
  claims: v.optional(
    v.pipe(
      v.array(v.object({ collection: short('A collection'), claim: name('A claim') })),
      v.maxLength(40, 'Forty claims are the most a line has room for.'),
      eachOnce(({ collection, claim }) => `${collection} ${claim}`.toLowerCase(), 'Each claim stands once.'),
    ),
    [],
  ),
});
export type LineInput = v.InferInput<typeof LineInput>;

export const INGREDIENTS_LIMIT = 20_000;

export const ProductInput = v.pipe(
  v.object({
    id,
    lineId: v.nullable(id),
    name: name('A product'),
    roles: v.pipe(
      v.array(oneOf(ROLES, 'a role')),
      v.minLength(1, 'Choose at least one use of this product.'),
    ),
    sizeMl: v.nullable(positive('The size', 10_000)),
    price: v.nullable(number('The price', 0, 10_000)),
    currency: v.nullable(
      v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'Give the currency as three letters, such as EUR.')),
    ),
    labelHold: oneOf(LABEL_HOLDS, 'the hold the label states'),
    ingredients: v.pipe(
      v.string('Paste the ingredient list as text.'),
      v.maxLength(
        INGREDIENTS_LIMIT,
        'This is longer than any label: over 20,000 characters. Paste the ingredient list alone.',
      ),
    ),
    labelDirections: v.nullable(note),
    stake: oneOf(STAKES, 'how you stand to this product'),
    openedOn: v.nullable(pastDate),
    monthsAfterOpening: v.nullable(whole('The period after opening', 1, 120)),
    note: v.optional(note, ''),
    heatLimitC: v.optional(
      v.nullable(number('The heat limit in °C', HEAT_LIMIT_C.lowest, HEAT_LIMIT_C.highest)),
      null,
    ),
    /** How many applications a pack holds, by its label. */
    applications: v.optional(v.nullable(whole('The applications', 1, 500)), null),
    /** The edition or formula date; with another, the list that was is kept. */
    edition: v.optional(short('The edition'), ''),
    /** The part of its line it belongs to. */
    collection: v.optional(short('The collection'), ''),
    packaging: v.optional(v.nullable(oneOf(PACKAGINGS, 'what it comes in')), null),
    /** What the label claims, each as it stands there. */
    claims: v.optional(
      v.pipe(
        v.array(name('A claim')),
        v.maxLength(20, 'Twenty claims are the most a label has room for.'),
        eachOnce((claim) => claim.toLowerCase(), 'Each claim stands once.'),
      ),
      [],
    ),
    prices: v.optional(
      v.pipe(
        v.array(
          v.object({
            on: pastDate,
            kind: oneOf(PRICE_KINDS, 'how it was priced'),
            amount: positive('A price', 10_000),
            currency: v.pipe(
              v.string(),
              v.regex(/^[A-Z]{3}$/, 'Give the currency as three letters, such as EUR.'),
            ),
          }),
        ),
        v.maxLength(200, 'Two hundred prices are plenty.'),
        eachOnce(({ on, kind }) => `${on} ${kind}`, 'Each day has one price of a kind.'),
      ),
      [],
    ),
  }),
  v.forward(
    v.partialCheck(
      [['price'], ['currency']],
      ({ price, currency }) => price === null || currency !== null,
      'A price needs its currency.',
    ),
    ['currency'],
  ),
);
export type ProductInput = v.InferInput<typeof ProductInput>;

/** Part of a product file: lines it names, then its products. Lines that exist by name are found, not made twice. */
export const ShelfImport = v.object({
  products: v.pipe(
    v.array(v.intersect([ProductInput, v.object({ line: v.nullable(name('A line')) })])),
    v.maxLength(500, 'Send at most 500 products at once.'),
    eachOnce(({ id }) => id, 'Each product stands once.'),
  ),
});
export type ShelfImport = v.InferInput<typeof ShelfImport>;

/** A bottle is finished: the next use begins another. */
export const FinishBottle = v.object({ on: pastDate });

/** Weighed repeats of one measure of a product; they replace what was weighed before. None takes it away. */
export const CalibrationInput = v.object({
  grams: v.pipe(v.array(positive('A weight in grams', 2000)), v.maxLength(50, 'Fifty repeats are plenty.')),
});
export type CalibrationInput = v.InferInput<typeof CalibrationInput>;

export const Line = v.strictObject({ ...asStored(LineInput.entries), ...kept });
export type Line = v.InferOutput<typeof Line>;

export const Product = v.strictObject({
  ...asStored(ProductInput.entries),
  ...kept,
  /** Pictures of its bottle and label, newest first. */
  pictures: v.array(ProductPicture),
  /** How many trials, routines and wash days name this product. */
  uses: v.number(),
  /** Earlier editions with their ingredient lists, newest first. */
  editions: v.array(v.strictObject({ edition: v.string(), ingredients: v.string(), until: date })),
  /** Its bottles, newest first, with the wash days each was used on. */
  bottles: v.array(
    v.strictObject({ id, openedOn: v.nullable(date), finishedOn: v.nullable(date), uses: v.number() }),
  ),
  /** Measures of this product that were weighed: grams of each repeat. */
  calibrations: v.array(
    v.strictObject({ measure: oneOf(MEASURES, 'a measure'), grams: v.array(v.number()), at: v.string() }),
  ),
});
export type Product = v.InferOutput<typeof Product>;

export const Shelf = v.strictObject({ lines: v.array(Line), products: v.array(Product) });
export type Shelf = v.InferOutput<typeof Shelf>;
