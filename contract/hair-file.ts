import { FELT } from '@sabor/core/felt/felt';
import { CARE } from '@sabor/core/hair/care-kinds';
import type { DryingRun } from '@sabor/core/hair/drying';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { PATCH_HOURS, PATCH_OUTCOMES } from '@sabor/core/hair/patch-test';
import { outcomesOf, POROSITY_TESTS, type PorosityTestKind } from '@sabor/core/hair/porosity/tests';
import { PROBLEM_STATES } from '@sabor/core/hair/problem-states';
import { WASHED_WITH } from '@sabor/core/hair/wash-care';
import { AVOIDED, DISLIKES, SCHOOLS, WISHES } from '@sabor/core/hair/wishes';
import { PLACES } from '@sabor/core/hair/zones';
import { readAllergy, UNKNOWN_ALLERGY } from '@sabor/core/ingredients/allergy';
import { HEATS, TECHNIQUES, TOOLS } from '@sabor/core/step/choices';
import * as v from 'valibot';
import {
  asStored,
  date,
  eachOnce,
  id,
  name,
  nearDate,
  note,
  number,
  oneOf,
  pastDate,
  pastMoment,
  whole,
} from './fields.ts';
import { HairMeasureInput } from './hair-measure.ts';

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
  /** A date ahead is an appointment. */
  on: nearDate,
  /** Zones it touched; empty for the whole head. */
  zoneIds: v.array(id),
  note: v.optional(note, ''),
});
export type HairEventInput = v.InferInput<typeof HairEventInput>;
export type HairEvent = v.InferOutput<typeof HairEventInput>;

const told = (what: string) =>
  v.optional(v.pipe(v.string(), v.trim(), v.maxLength(1000, `Keep ${what} under 1,000 characters.`)), '');

/** What bothers a head until it is solved: where, what was tried, what helped. */
export const HeadProblemInput = v.pipe(
  v.object({
    id,
    wearerId: id,
    what: v.pipe(
      v.string('Say what bothers.'),
      v.trim(),
      v.nonEmpty('Say what bothers.'),
      v.maxLength(200, 'Keep it under 200 characters; what was tried has its own place.'),
    ),
    places: v.optional(v.pipe(v.array(oneOf(PLACES, 'a place')), v.maxLength(9)), []),
    tried: told('what was tried'),
    helped: told('what helped'),
    since: pastDate,
    state: oneOf(PROBLEM_STATES, 'how far it is'),
    solvedOn: v.nullable(pastDate),
  }),
  v.forward(
    v.partialCheck(
      [['state'], ['solvedOn']],
      ({ state, solvedOn }) => (state === 'solved') === (solvedOn !== null),
      'A solved problem has the day it was solved, and no other.',
    ),
    ['solvedOn'],
  ),
  v.forward(
    v.partialCheck(
      [['since'], ['solvedOn']],
      ({ since, solvedOn }) => solvedOn === null || solvedOn >= since,
      'It cannot be solved before it began. Check the dates.',
    ),
    ['solvedOn'],
  ),
);
export type HeadProblemInput = v.InferInput<typeof HeadProblemInput>;
export const HeadProblem = v.strictObject(asStored(HeadProblemInput.entries));
export type HeadProblem = v.InferOutput<typeof HeadProblem>;

/** NaN where either is no moment, which its own field says. */
const hoursBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 3_600_000;

/** A product on the inner arm before it comes on a head. `outcome` is null until the skin was looked at. */
export const PatchTestInput = v.pipe(
  v.object({
    id,
    wearerId: id,
    productId: id,
    startedAt: pastMoment,
    outcome: v.nullable(oneOf(PATCH_OUTCOMES, 'how the skin looked')),
    lookedAt: v.nullable(pastMoment),
    note: v.optional(note, ''),
  }),
  v.forward(
    v.partialCheck(
      [['outcome'], ['lookedAt']],
      ({ outcome, lookedAt }) => (outcome === null) === (lookedAt === null),
      'How the skin looked, and when, are said together.',
    ),
    ['lookedAt'],
  ),
  v.forward(
    v.partialCheck(
      [['startedAt'], ['lookedAt']],
      ({ startedAt, lookedAt }) => lookedAt === null || !(hoursBetween(startedAt, lookedAt) < 0),
      'The skin cannot be looked at before the product was on it. Check the times.',
    ),
    ['lookedAt'],
  ),
  v.forward(
    v.partialCheck(
      [['startedAt'], ['outcome'], ['lookedAt']],
      ({ startedAt, outcome, lookedAt }) =>
        outcome !== 'clear' || lookedAt === null || !(hoursBetween(startedAt, lookedAt) < PATCH_HOURS),
      `A patch test is clear after ${PATCH_HOURS} hours, not before. A reaction may be said at any time.`,
    ),
    ['outcome'],
  ),
);
export type PatchTestInput = v.InferInput<typeof PatchTestInput>;
export const PatchTest = v.strictObject(asStored(PatchTestInput.entries));
export type PatchTest = v.InferOutput<typeof PatchTest>;

/** What a wearer wants of a wash day, and what is kept away from them. */
export const WishesInput = v.pipe(
  v.object({
    /** Weight of each wish, in any unit; nothing for what does not matter. */
    weights: v.pipe(
      v.array(v.object({ wish: oneOf(WISHES, 'a wish'), weight: number('A weight', 0.1, 100) })),
      v.check((all) => new Set(all.map(({ wish }) => wish)).size === all.length, 'Weigh each wish once.'),
    ),
    /** The word that is wished for of a reading, by its place among the five. */
    words: v.optional(v.record(oneOf(FELT, 'a reading'), whole('A word', 0, 4)), {}),
    line: v.nullable(number('The line', 0, 10)),
    styleDays: v.nullable(whole('The days a style must last', 1, 60)),
    budget: v.nullable(number('The budget', 0, 100_000)),
    currency: v.nullable(
      v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'Give the currency as three letters, such as EUR.')),
    ),
    school: v.nullable(oneOf(SCHOOLS, 'an approach')),
    dislikes: v.array(oneOf(DISLIKES, 'a dislike')),
    /** Dislikes in the wearer's own words. */
    ownDislikes: v.optional(
      v.pipe(
        v.array(name('A dislike')),
        v.maxLength(20, 'Twenty dislikes are plenty.'),
        eachOnce((one) => one.toLowerCase(), 'Name each dislike once.'),
      ),
      [],
    ),
    avoided: v.pipe(
      v.array(v.object({ ingredient: name('An ingredient'), why: oneOf(AVOIDED, 'the reason') })),
      v.maxLength(200, 'Two hundred ingredients are plenty.'),
      v.checkItems(({ ingredient }) => readAllergy(ingredient) !== null, UNKNOWN_ALLERGY),
      v.check(
        (all) => new Set(all.map(({ ingredient }) => ingredient.toLowerCase())).size === all.length,
        'Name each ingredient once.',
      ),
    ),
  }),
  v.forward(
    v.partialCheck(
      [['budget'], ['currency']],
      ({ budget, currency }) => budget === null || currency !== null,
      'A budget needs its currency.',
    ),
    ['currency'],
  ),
);
export type WishesInput = v.InferInput<typeof WishesInput>;
export const Wishes = v.strictObject({ ...asStored(WishesInput.entries), version: v.number() });
export type Wishes = v.InferOutput<typeof Wishes>;

const minutes = v.nullable(v.number());
const TimedDrying = v.strictObject({
  washDayId: id,
  on: date,
  techniques: v.array(oneOf(TECHNIQUES, 'a technique')),
  tool: v.nullable(oneOf(TOOLS, 'a tool')),
  heat: v.nullable(oneOf(HEATS, 'a heat')),
  minutes: v.strictObject({ eighty: minutes, ninety: minutes, dry: minutes }),
  deficitHpa: v.nullable(v.number()),
}) satisfies v.GenericSchema<unknown, DryingRun>;

export type TimedDrying = v.InferOutput<typeof TimedDrying>;

export const HairFile = v.strictObject({
  tests: v.array(v.strictObject(asStored(HairTestInput.entries))),
  events: v.array(v.strictObject(asStored(HairEventInput.entries))),
  measures: v.array(HairMeasureInput),
  /** What bothers this head, open ones first. */
  problems: v.array(HeadProblem),
  /** Newest first. */
  patchTests: v.array(PatchTest),
  /** What wash days add to the history: the dates of the washes, and care that their products did. */
  washedOn: v.array(date),
  washCare: v.array(
    v.strictObject({ kind: oneOf({ ...HAIR_EVENTS, ...WASHED_WITH }, 'what happened'), on: date }),
  ),
  /** The wearer's own days between care; null where it is switched off. */
  cadence: v.record(oneOf(CARE, 'a kind of care'), v.nullable(v.number())),
  /** Kinds that take turns with another. */
  alternate: v.array(oneOf(CARE, 'a kind of care')),
  drying: v.array(TimedDrying),
  wishes: Wishes,
  /** The tester's own weight of screening rules for this wearer; 0 is switched off. */
  ruleWeights: v.record(v.string(), v.number()),
  /** Trials planned or running on this head, with the wash days still to come. */
  ahead: v.array(
    v.strictObject({
      id,
      question: v.string(),
      status: v.picklist(['planned', 'running']),
      washDaysLeft: v.number(),
      wearDays: v.number(),
    }),
  ),
});
export type HairFile = v.InferOutput<typeof HairFile>;

export const CadenceInput = v.object({
  everyDays: v.nullable(whole('The days between', 1, 730)),
  /** In turns with what it can take turns with. */
  alternates: v.optional(v.boolean(), false),
});
