import { type Board, type BoardNode, boardOf, FEWEST_GOOD } from '../board/board.ts';
import { COLUMNS, type ColumnKey } from '../board/columns.ts';
import type { Firmness } from '../board/draws.ts';
import { type BoardAsk, type BoardDay, type BoardTrial, type Fair, fairFor } from '../board/read.ts';
import { isOutcome, mainResult } from '../compare/main-result.ts';
import type { Primary } from '../compare/primary.ts';
import type { TrialRecord } from '../compare/trial-record.ts';
import type { Dose } from '../doses/dose.ts';
import { type Felt, middleWord } from '../felt/felt.ts';
import { mean } from '../middle.ts';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';

/** How a product stands to another of its step on one head, as far as the board's trials carry it over all in view. */
export interface Versus {
  productId: string;
  state: 'ahead' | 'behind' | 'cannot tell';
  /** How far the one lies over the other in the column, whichever way is wanted; null where no interval can be given. */
  by: { value: number; low: number; high: number } | null;
}

/** A trial that a verdict rests on, with what travels beside it. */
export interface RestsOn {
  trialId: string;
  question: string;
  blind: boolean;
  fair: Fair;
  washDays: number;
  endedOn: string;
}

/** What one trial decided by its own promised main result: the one product over the other. */
export interface Decided {
  trialId: string;
  /** The rated outcome it was promised for; days good enough by one count as lasting. */
  about: About;
  productId: string;
  state: 'ahead' | 'behind';
}

/** What a comparison may be about: an outcome, or how long it stays good. */
export type About = Outcome | 'good-days';

/** What trials of one head say of a product (or way, or line) in a step: what a verdict is prefilled from and held to. */
export interface Evidence {
  column: ColumnKey;
  trials: RestsOn[];
  washDays: number;
  /** When it was last worn in a trial. */
  lastOn: string;
  /** Last day of wear with a number. */
  seenTo: number;
  /** Dew points of its wash days, in °C. */
  air: { low: number; high: number } | null;
  dose: Dose | null;
  costPerWash: number | null;
  costPerGoodDay: number | null;
  currency: string | null;
  /** Mean good days, by the outcome that the board counts them by, and to which day. */
  goodDays: { value: number; to: number; by: Outcome } | null;
  handsOn: number | null;
  minutesToDry: number | null;
  /** Share of the draws in which it comes first, and how firm its place is where it is first. */
  first: { share: number; firmness: Firmness | null } | null;
  versus: Versus[];
  /** The same outcome by outcome, and for how long it stays good. */
  versusIn: Partial<Record<About, Versus[]>>;
  /** What its trials decided by themselves. */
  decided: Decided[];
  /** Means of its rated outcomes on the day read. */
  rated: Partial<Record<Outcome, { value: number; days: number }>>;
  /** The middle and the highest word of what hand and eye told of it, by their places among five, and from how many wash days. */
  felt: Partial<Record<Felt, { middle: number; worst: number; days: number }>>;
}

type Promised = TrialRecord['promise'];

/** The days of a trial on which a thing was worn. */
const daysOf = (trial: BoardTrial, productId: string): BoardDay[] =>
  trial.days.filter(({ arm }) => trial.arms[arm]!.productId === productId);

/**
 * What the board of a head and step says of one product. Null where no trial that counts in the column held it. Where it stands
 * on the board at several amounts, the one with most wash days speaks.
 */
export function evidenceOf(board: Board, ask: BoardAsk, productId: string): Evidence | null {
  const column = board.columns.find(({ key }) => key === board.by)!;
  const [node] = board.nodes
    .filter((one) => one.productId === productId && one.kind === 'product' && one.trials.length > 0)
    .toSorted((a, b) => b.washDays - a.washDays);
  if (!node) return null;
  const trials = ask.trials.filter(({ id }) => node.trials.includes(id));
  const days = trials.flatMap((trial) => daysOf(trial, productId));
  const seen = days.flatMap(({ rated }) =>
    Object.values(rated).flatMap((values) => values.map(({ day }) => day)),
  );
  const airs = days.flatMap(({ dewPointC }) => dewPointC ?? []);
  const leader = column.leaders.find((one) => one.node === node.node);
  const good = node.goodDays;
  return {
    column: board.by,
    trials: trials.map((trial) => ({
      trialId: trial.id,
      question: trial.question,
      blind: trial.blind,
      fair: fairFor(trial, board.by, ask),
      washDays: new Set(daysOf(trial, productId).map(({ washDayId }) => washDayId)).size,
      endedOn: trial.endedOn,
    })),
    washDays: node.washDays,
    lastOn: node.lastOn,
    seenTo: Math.max(0, ...seen),
    air: airs.length === 0 ? null : { low: Math.min(...airs), high: Math.max(...airs) },
    dose: node.dose,
    costPerWash: node.costPerWash,
    costPerGoodDay: node.costPerGoodDay,
    currency: node.currency,
    goodDays: good === null ? null : { value: good, to: board.countedTo, by: ask.lasting },
    handsOn: mean(days.flatMap(({ handsOn }) => handsOn ?? [])),
    minutesToDry: mean(days.flatMap(({ minutesToDry }) => minutesToDry ?? [])),
    first:
      column.first[node.node] === undefined
        ? null
        : { share: column.first[node.node]!, firmness: leader?.firmness ?? null },
    versus: versusOf(board, node),
    versusIn: {},
    decided: [],
    rated: Object.fromEntries(
      ratedKeys(days).map((key) => {
        const values = days.flatMap(
          ({ rated }) => rated[key]?.find(({ day }) => day === ask.onDay)?.value ?? [],
        );
        return [key, { value: mean(values) ?? Number.NaN, days: values.length }];
      }),
    ),
    felt: Object.fromEntries(
      feltKeys(days).map((key) => {
        const values = days.flatMap(({ felt }) => felt[key] ?? []);
        return [key, { middle: middleWord(values)!, worst: Math.max(...values), days: values.length }];
      }),
    ),
  };
}

const ratedKeys = (days: readonly BoardDay[]) => [
  ...new Set(days.flatMap(({ rated }) => Object.keys(rated) as Outcome[])),
];
const feltKeys = (days: readonly BoardDay[]) => [
  ...new Set(days.flatMap(({ felt }) => Object.keys(felt) as Felt[])),
];

/** How a thing stands to every other thing of its island that is a product, by what holds over all in view. */
function versusNodes(board: Board, node: BoardNode): Versus[] {
  const column = board.columns.find(({ key }) => key === board.by)!;
  const wanted = COLUMNS[board.by].wanted === 'higher' ? 1 : -1;
  const islandOf = (of: string) => column.cells.find((cell) => cell.node === of)?.island ?? null;
  const island = islandOf(node.node);
  return board.nodes.flatMap((other): Versus[] => {
    const { productId } = other;
    // Amounts of one product are no two products.
    if (productId === null || productId === node.productId || other.kind !== 'product') return [];
    if (island === null || islandOf(other.node) !== island) return [];
    const pair = column.joint.find(
      (one) => [one.node, one.from].includes(node.node) && [one.node, one.from].includes(other.node),
    );
    if (!pair) return [{ productId, state: 'cannot tell', by: null }];
    const by =
      pair.node === node.node
        ? { value: pair.value, low: pair.low, high: pair.high }
        : { value: -pair.value, low: -pair.high, high: -pair.low };
    const ends = [wanted * by.low, wanted * by.high];
    const state = ends.every((end) => end > 0)
      ? 'ahead'
      : ends.every((end) => end < 0)
        ? 'behind'
        : 'cannot tell';
    return [{ productId, state, by }];
  });
}

/** {@link versusNodes}, each product once: one that was tested at several amounts is ahead or behind only where all of them are. */
function versusOf(board: Board, node: BoardNode): Versus[] {
  const all = versusNodes(board, node);
  return [...new Set(all.map(({ productId }) => productId))].map((productId): Versus => {
    const [first, ...more] = all.filter((one) => one.productId === productId) as [Versus, ...Versus[]];
    if (more.length === 0) return first;
    const same = more.every(({ state }) => state === first.state);
    return { productId, state: same ? first.state : 'cannot tell', by: null };
  });
}

/** Good days counted as far as any of its trials planned: three days of wear say nothing of a claim of five. */
function longestOf(ask: BoardAsk, { trials, goodDays }: Evidence, productId: string): Evidence['goodDays'] {
  const longest = Math.max(
    0,
    ...ask.trials.flatMap(({ id, wearDays }) =>
      trials.some(({ trialId }) => trialId === id) ? wearDays : [],
    ),
  );
  if (goodDays !== null && longest <= goodDays.to) return goodDays;
  const far = evidenceOf(boardOf({ ...ask, upTo: longest }), ask, productId)?.goodDays ?? null;
  return far ?? goodDays;
}

const ABOUT: readonly About[] = [...(Object.keys(OUTCOMES) as Outcome[]), 'good-days'];

/** {@link evidenceOf} with each outcome's own comparisons: a board for each, all products of it in view. */
export function evidenceInAll(ask: BoardAsk, productId: string): Evidence | null {
  const evidence = evidenceOf(boardOf(ask), ask, productId);
  if (!evidence) return null;
  const versusIn = Object.fromEntries(
    ABOUT.flatMap((about) => {
      const found = evidenceOf(boardOf({ ...ask, by: about }), { ...ask, by: about }, productId);
      return found ? [[about, found.versus] as const] : [];
    }),
  );
  const goodDays = longestOf(ask, evidence, productId);
  const { costPerWash } = evidence;
  return {
    ...evidence,
    versusIn,
    goodDays,
    // By the same days as are told beside it.
    costPerGoodDay:
      costPerWash === null || goodDays === null || goodDays.value < FEWEST_GOOD
        ? null
        : costPerWash / goodDays.value,
  };
}

/**
 * What a trial decided of a product by its own main result, where that is a rated outcome or how long it stays good; nothing where
 * it only describes, cannot tell, or its fairness check broke it for what it was promised.
 */
export function decidedBy(
  trial: BoardTrial,
  promise: Pick<Promised, 'primary'>,
  primary: Primary,
  productId: string,
): Decided[] {
  const { like, lasting } = mainResult(promise.primary);
  // What is measured or told in words stands near a rated outcome in fairness; it is no answer about it.
  const about: About | null = lasting ? 'good-days' : isOutcome(promise.primary) ? promise.primary : null;
  if (about === null || primary.state !== 'decided' || !primary.tested || trial.fair[like] === 'broken')
    return [];
  const productsOf = (arms: readonly number[]) => arms.flatMap((arm) => trial.arms[arm]?.productId ?? []);
  const [ahead, behind] = [productsOf(primary.tested.named), productsOf(primary.tested.over)];
  const say = (others: readonly string[], state: Decided['state']) =>
    // Amounts of one product are no two products.
    others
      .filter((other) => other !== productId)
      .map((other): Decided => ({ trialId: trial.id, about, productId: other, state }));
  return [
    ...(ahead.includes(productId) ? say(behind, 'ahead') : []),
    ...(behind.includes(productId) ? say(ahead, 'behind') : []),
  ];
}
