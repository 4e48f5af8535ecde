import { STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { COLUMNS } from '@sabor/core/board/columns';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { STAKES } from '@sabor/core/shelf/products';
import type { Decided, RestsOn, Versus } from '@sabor/core/verdict/evidence';
import type { Objection } from '@sabor/core/verdict/held';
import { wayOf } from '@sabor/core/verdict/ways';
import {
  BUY_AGAIN,
  CAUSES,
  CLAIM_STATES,
  SUITS,
  type Suits,
  VERDICT_STEPS,
} from '@sabor/core/verdict/words-of-verdict';
import { keysOf } from '@sabor/core/vocabulary';
import * as v from 'valibot';
import { date, eachOnce, id, name, note, number, oneOf } from './fields.ts';
import { Dose } from './routine.ts';

const words = (what: string, most: number) =>
  v.pipe(
    v.string(`${what} is text.`),
    v.trim(),
    v.maxLength(
      most,
      () => `${what} is longer than ${most.toLocaleString('en')} characters. Say it in fewer words.`,
    ),
  );

const ForWhom = v.pipe(
  v.object({
    trait: oneOf(SUITS, 'a trait'),
    value: v.string(),
    suits: v.boolean('Say whether it suits or not.'),
    how: v.picklist(['tested', 'guess'], 'Say whether that was tested or is a guess.'),
  }),
  v.check(
    ({ trait, value }) => keysOf(SUITS[trait as Suits].options).includes(value as never),
    'Choose this trait from the list.',
  ),
);

/** What a verdict's figures name: a product or line by its id, a way by its key. */
const thing = v.union(
  [
    id,
    v.pipe(
      v.string(),
      v.check((key) => wayOf(key) !== null),
    ),
  ],
  'This is neither a product, a line nor a way that Sabor knows.',
);

/** What a verdict says. Four things are asked; the rest may stay as it was found. */
export const VerdictContent = v.object({
  /** Out of ten; null where none is given yet. */
  score: v.nullable(
    v.pipe(
      number('The score', 0, 10),
      v.check((score) => Number.isInteger(2 * score), 'Scores go by half points.'),
    ),
  ),
  why: words('The reason', 4000),
  forWhom: v.pipe(
    v.array(ForWhom),
    v.maxLength(60, 'Sixty traits are plenty.'),
    eachOnce(({ trait, value, how }) => `${trait} ${value} ${how}`, 'Each trait stands once.'),
  ),
  amount: v.nullable(Dose),
  buyAgain: v.nullable(oneOf(BUY_AGAIN, 'whether you would buy it again')),
  buyWhy: words('The reason', 1000),
  claims: v.pipe(
    v.array(
      v.object({
        claim: name('A claim'),
        state: oneOf(CLAIM_STATES, 'what became of the claim'),
        because: words('What it rests on', 400),
        proposed: v.nullable(oneOf(CLAIM_STATES, 'what became of the claim')),
      }),
    ),
    v.maxLength(60, 'Sixty claims are the most a verdict has room for.'),
    eachOnce(({ claim }) => claim.toLowerCase(), 'Each claim stands once.'),
  ),
  against: v.pipe(
    v.array(
      v.object({
        productId: thing,
        says: v.picklist(['better', 'as good', 'worse'], 'Choose how it compares.'),
      }),
    ),
    v.maxLength(20, 'Twenty comparisons are plenty.'),
    eachOnce(({ productId }) => productId, 'Each product stands once.'),
  ),
  style: v.nullable(oneOf(STYLES_MEANT, 'a style')),
  effort: words('The effort', 400),
  feel: words('Scent and feel', 400),
  packaging: words('The packaging', 400),
  next: words('What to try next', 1000),
  /** What is still open, and the date it comes back on. */
  open: v.pipe(
    v.array(
      v.object({
        what: v.pipe(words('What is open', 200), v.nonEmpty('Say what is still open.')),
        due: date,
      }),
    ),
    v.maxLength(10, 'Ten open questions are plenty.'),
  ),
});
export type VerdictContent = v.InferOutput<typeof VerdictContent>;

const than = v.nullable(v.string());
const about = v.picklist([...keysOf(OUTCOMES), 'good-days'], 'Choose an outcome from the list.');
const range = v.object({ low: v.number(), high: v.number() });
const column = oneOf(COLUMNS, 'a column');

/** What stood behind a verdict when it was said; the stake is the server's own to fill in. */
export const VerdictRests = v.object({
  column,
  trials: v.pipe(
    v.array(
      v.object({
        trialId: id,
        question: v.pipe(v.string(), v.maxLength(400)),
        blind: v.boolean(),
        fair: v.picklist(['clean', 'weakened', 'broken']),
        washDays: v.number(),
        endedOn: v.string(),
      }) satisfies v.GenericSchema<unknown, RestsOn>,
    ),
    v.maxLength(200),
  ),
  washDays: v.number(),
  seenTo: v.number(),
  air: v.nullable(range),
  dose: v.nullable(Dose),
  costPerWash: v.nullable(v.number()),
  costPerGoodDay: v.nullable(v.number()),
  currency: v.nullable(v.string()),
  goodDays: v.nullable(v.object({ value: v.number(), to: v.number(), by: oneOf(OUTCOMES, 'an outcome') })),
  handsOn: v.nullable(v.number()),
  minutesToDry: v.nullable(v.number()),
  first: v.nullable(
    v.object({ share: v.number(), firmness: v.nullable(v.picklist(['firm', 'leaning', 'open'])) }),
  ),
  versus: v.pipe(
    v.array(
      v.object({
        productId: thing,
        state: v.picklist(['ahead', 'behind', 'cannot tell']),
        by: v.nullable(v.object({ value: v.number(), low: v.number(), high: v.number() })),
      }) satisfies v.GenericSchema<unknown, Versus>,
    ),
    v.maxLength(500),
  ),
  /** What its trials decided by themselves. */
  decided: v.pipe(
    v.array(
      v.object({
        trialId: id,
        about,
        productId: thing,
        state: v.picklist(['ahead', 'behind']),
      }) satisfies v.GenericSchema<unknown, Decided>,
    ),
    v.maxLength(500),
  ),
});
export type VerdictRests = v.InferOutput<typeof VerdictRests>;

const claimState = oneOf(CLAIM_STATES, 'what became of the claim');
/** A sentence that stands beside a verdict, because it says more than its figures. */
export const Beside = v.variant('kind', [
  v.object({ kind: v.literal('impression') }),
  v.object({ kind: v.literal('cannot tell'), than, about: v.nullable(about) }),
  v.object({ kind: v.literal('only in'), than: v.string(), about }),
  v.object({ kind: v.literal('other way'), than: v.string(), about: v.nullable(about) }),
  v.object({ kind: v.literal('never met'), than: v.string() }),
  v.object({ kind: v.literal('as good'), than }),
  v.object({ kind: v.literal('not seen so long'), said: v.number(), seen: v.number() }),
  v.object({
    kind: v.literal('not so long'),
    said: v.number(),
    good: v.number(),
    by: oneOf(OUTCOMES, 'an outcome'),
  }),
  v.object({ kind: v.literal('claim'), claim: v.string(), said: claimState, found: claimState }),
  v.object({ kind: v.literal('not tested on'), trait: oneOf(SUITS, 'a trait'), value: v.string() }),
  v.object({ kind: v.literal('amount'), tested: Dose }),
  v.object({ kind: v.literal('health') }),
  v.object({ kind: v.literal('weakened') }),
]) satisfies v.GenericSchema<unknown, Objection>;

const Subject = v.variant('kind', [
  v.object({ kind: v.literal('product'), productId: id }),
  v.object({ kind: v.literal('line'), lineId: id }),
  v.object({ kind: v.literal('way'), way: name('A technique, style or tool') }),
]);

/** A verdict said, or said anew: `said` names this saying, so that a repeated save says it once. */
export const VerdictInput = v.pipe(
  v.object({
    id,
    wearerId: id,
    slot: oneOf(VERDICT_STEPS, 'a step'),
    subject: Subject,
    said: id,
    cause: oneOf(CAUSES, 'why it is said anew'),
    causeNote: v.optional(v.pipe(note, v.maxLength(400, 'Keep the cause under 400 characters.')), ''),
    content: VerdictContent,
    /** Null for an impression: no trial stands behind it. */
    rests: v.nullable(VerdictRests),
    beside: v.pipe(v.array(Beside), v.maxLength(100)),
  }),
  v.check(
    ({ rests, beside }) => (rests === null) === beside.some(({ kind }) => kind === 'impression'),
    'Without a trial behind it this is an impression, and says so.',
  ),
);
export type VerdictInput = v.InferInput<typeof VerdictInput>;

/** One saying of a verdict, with what stood behind it and how the tester stood to the product. */
export const VerdictSaid = v.strictObject({
  id,
  at: v.string(),
  cause: oneOf(CAUSES, 'a cause'),
  causeNote: v.string(),
  content: VerdictContent,
  rests: v.nullable(VerdictRests),
  stake: v.nullable(oneOf(STAKES, 'a stake')),
  edition: v.string(),
  beside: v.array(Beside),
});
export type VerdictSaid = v.InferOutput<typeof VerdictSaid>;

export const Verdict = v.strictObject({
  id,
  wearerId: id,
  wearerName: v.string(),
  slot: oneOf(VERDICT_STEPS, 'a step'),
  subject: Subject,
  /** What it is about, by name. */
  name: v.string(),
  archivedAt: v.nullable(v.string()),
  version: v.number(),
  /** The newest first. */
  said: v.array(VerdictSaid),
});
export type Verdict = v.InferOutput<typeof Verdict>;

/** What somebody else said of a product; it enters no figure. */
export const HearsayInput = v.object({
  id,
  productId: id,
  who: name('Whoever said it'),
  said: v.pipe(words('What was said', 1000), v.nonEmpty('Say what was said.')),
  on: date,
  edition: v.optional(words('The edition', 80), ''),
});
export type HearsayInput = v.InferInput<typeof HearsayInput>;
export const Hearsay = v.strictObject({
  id,
  productId: id,
  who: v.string(),
  said: v.string(),
  on: v.string(),
  edition: v.string(),
});
export type Hearsay = v.InferOutput<typeof Hearsay>;

/** Where a product was used: trials that tested it, and wash days that held or tested it, the newest first. */
export const ProductUsed = v.strictObject({
  trials: v.array(
    v.strictObject({
      trialId: id,
      question: v.string(),
      wearerId: id,
      wearerName: v.string(),
      slot: oneOf(VERDICT_STEPS, 'a step'),
      status: v.string(),
      endedAt: v.nullable(v.string()),
    }),
  ),
  washDays: v.array(
    v.strictObject({
      washDayId: id,
      on: v.string(),
      wearerName: v.string(),
      slot: oneOf(VERDICT_STEPS, 'a step'),
      tested: v.boolean(),
      dose: v.nullable(Dose),
    }),
  ),
  /** All wash days it was used on; the list holds the latest. */
  count: v.number(),
});
export type ProductUsed = v.InferOutput<typeof ProductUsed>;
