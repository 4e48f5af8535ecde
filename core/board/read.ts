import { measuredFacts } from '../compare/measured-result.ts';
import { endOf, mostlyCut } from '../compare/wear.ts';
import type { Dose } from '../doses/dose.ts';
import type { Felt } from '../felt/felt.ts';
import { pseudoDays } from '../inference/lasting.ts';
import type { Between } from '../inference/turnbull.ts';
import { type DayValue, goodDays } from '../outcomes/good-days.ts';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import type { Slot } from '../step/slots.ts';
import type { ColumnKey, WishKey, WishWeights } from './columns.ts';
import type { NetworkTrial } from './network.ts';
import { amountsOf, type Tested } from './tested.ts';

/** A wash day, or one half of it, as the board reads it. */
export interface BoardDay {
  washDayId: string;
  position: number;
  half: 'left' | 'right' | null;
  arm: number;
  /** Its date on the wearer's own calendar. */
  on: string;
  dewPointC: number | null;
  /** Each outcome's number by day of wear. */
  rated: Partial<Record<Outcome, readonly DayValue[]>>;
  /** The same for longevity, which a spoiled other half does not shorten. */
  worn: Partial<Record<Outcome, readonly DayValue[]>>;
  /** Day of wear it was washed or restyled for its looks; null where it ended otherwise. */
  washedOn: number | null;
  /** Its wear is through. */
  over: boolean;
  /** Shrinkage in percent by day of wear. */
  shrinkage: readonly DayValue[];
  minutesToDry: number | null;
  handsOn: number | null;
  costPerWash: number | null;
  currency: string | null;
  /** What hand and eye told of it at the tested steps and while worn, the middle word of the wash day by its place among five. */
  felt: Partial<Record<Felt, number>>;
}

/** A board as it is asked for where nothing else is said: by its first day and column, all that counts, all of it in view. */
export const plainAsk = (
  trials: readonly BoardTrial[],
  role: BoardAsk['role'],
  to: Partial<Omit<BoardAsk, 'trials' | 'role'>> & Pick<BoardAsk, 'line'>,
): BoardAsk => ({
  trials,
  role,
  ...{ onDay: 1, lasting: 'definition', upTo: null, weakened: true, weights: {} },
  ...{ against: null, by: null, pooled: false, whole: false, view: WHOLE_VIEW },
  ...to,
});

/** What a fairness check came to. */
export type Fair = 'clean' | 'weakened' | 'broken';
const FAIRS: readonly Fair[] = ['clean', 'weakened', 'broken'];

/** A finished trial as the board reads it. */
export interface BoardTrial {
  id: string;
  question: string;
  wearerId: string;
  /** It was rated blind. */
  blind: boolean;
  halves: boolean;
  block: number | null;
  /** What its fairness check comes to, outcome by outcome: what spoils one may leave another as it was. */
  fair: Readonly<Record<Outcome, Fair>>;
  wearDays: number;
  endedOn: string;
  arms: readonly (Tested & { name: string })[];
  days: readonly BoardDay[];
}

/** How a board is asked for. */
export interface BoardAsk {
  trials: readonly BoardTrial[];
  role: Slot | 'line';
  /** Day of wear the outcomes are read on. */
  onDay: number;
  /** Good days are counted by this outcome, from (or up to) this value. */
  lasting: Outcome;
  line: number;
  /** Day of wear that they are counted to, by the trials that planned as many; null for the last that every trial planned for. */
  upTo: number | null;
  /** Trials that their fairness check weakens count. */
  weakened: boolean;
  weights: WishWeights;
  /** The thing all others are set against; null for the island's mean. */
  against: string | null;
  /** The column that orders: who is first is drawn for it alone. Null is as wished, or the first column where nothing is. */
  by: ColumnKey | null;
  /** Effects drawn towards the middle are wanted too. */
  pooled: boolean;
  /** All columns are wanted, not the one that orders alone. */
  whole: boolean;
  /** What is in view: first and better are told among these alone, though all evidence counts. */
  view: BoardView;
}

/** What of a board is looked at. */
export interface BoardView {
  /** These products alone, and what is no product not at all; null for everything. */
  productIds: readonly string[] | null;
  /** What was worn in a trial on this date or later; null for ever. */
  since: string | null;
  /** Wash days whose mean dew point lies in this range alone, in °C, its upper end left out; null for any air. */
  air: { from: number; to: number } | null;
}

export const WHOLE_VIEW: BoardView = { productIds: null, since: null, air: null };

/** Good days and shrinkage are weighed between these fixed ends, never the range at hand. Model assumption. */
const ENDS = { lasting: [0, 7], length: [100, 0] } as const;

/** A wash day's value by the wearer's weights, 0 to 10; null where something that is weighed has no number. Source: methods.md 9. */
export function wishValue(
  weights: WishWeights,
  numbers: Partial<Record<WishKey, number | null>>,
): number | null {
  let [sum, all] = [0, 0];
  for (const [key, weight] of Object.entries(weights) as [WishKey, number][]) {
    if (!(weight > 0)) continue;
    const value = numbers[key];
    if (value == null || Number.isNaN(value)) return null;
    const [from, to] =
      key === 'lasting' || key === 'length'
        ? ENDS[key]
        : OUTCOMES[key].better === 'higher'
          ? ([0, 10] as const)
          : ([10, 0] as const);
    sum += weight * 10 * ((value - from) / (to - from));
    all += weight;
  }
  return all > 0 ? sum / all : null;
}

/** What is weighed and has no number on the board's day in any of these trials: nothing can be told as wished then. */
export function unreadWishes(
  trials: readonly BoardTrial[],
  weights: WishWeights,
  day: number,
): Exclude<WishKey, 'lasting'>[] {
  const read = (wish: Exclude<WishKey, 'lasting'>) =>
    trials.some(({ days }) =>
      days.some((one) => onDay(wish === 'length' ? one.shrinkage : one.rated[wish], day) !== null),
    );
  return (Object.entries(weights) as [WishKey, number][]).flatMap(([wish, weight]) =>
    weight > 0 && wish !== 'lasting' && !read(wish) ? [wish] : [],
  );
}

const onDay = (days: readonly DayValue[] | undefined, wanted: number) => {
  const value = days?.find(({ day }) => day === wanted)?.value;
  return value === undefined || Number.isNaN(value) ? null : value;
};

/** When each wear of a trial stopped being good, in the order of its days; null while it may go on, or without a look. */
export function endsOf(
  { days }: { days: readonly Pick<BoardDay, 'worn' | 'washedOn' | 'over'>[] },
  outcome: Outcome,
  line: number,
  upTo: number,
): (Between | null)[] {
  const { better } = OUTCOMES[outcome];
  return days.map(({ worn, washedOn, over }) => {
    const values = (worn[outcome] ?? []).filter(({ value }) => !Number.isNaN(value));
    return endOf(values.length === 0 ? null : goodDays(values, line, better, washedOn), over, upTo);
  });
}

/** Good days of every wash day of a trial by pseudo-values of its own pooled curve, in the order of its days. */
function lastingOf(trial: BoardTrial, outcome: Outcome, line: number, wearDays: number): (number | null)[] {
  const ends = endsOf(trial, outcome, line, wearDays);
  const counted = ends.flatMap((end) => end ?? []);
  // Where most wears of one option were cut short, the trial says nothing of how long they last.
  const silent = trial.arms.some((_, arm) =>
    mostlyCut(
      ends.flatMap((end, i) => (end !== null && trial.days[i]!.arm === arm ? [end] : [])),
      wearDays,
    ),
  );
  if (counted.length === 0 || silent) return ends.map(() => null);
  const values = pseudoDays(counted, wearDays);
  let at = 0;
  return ends.map((end) => (end === null ? null : values[at++]!));
}

/**
 * The day of wear that good days are counted to on a board: the fewest that a trial of it planned, because three days of wear
 * cannot be set beside seven.
 */
export const countedTo = (ask: BoardAsk): number =>
  ask.upTo ??
  Math.min(
    ...ask.trials.flatMap((trial) =>
      inRole(ask.role)(trial) && counts(trial, 'good-days', ask) ? trial.wearDays : [],
    ),
  );

/** The scale a column's numbers lie on: its least step, and its ends. */
export function scaleOf(key: ColumnKey, upTo: number): { step?: number; ends: readonly [number, number] } {
  if (Object.hasOwn(OUTCOMES, key)) return { step: 0.5, ends: [0, 10] };
  if (key === 'good-days') return { ends: [0, upTo] };
  if (key === 'shrinkage') return { ends: [0, 100] };
  return { ends: [0, key === 'wish' ? 10 : Number.POSITIVE_INFINITY] };
}

/** Whether a wash day's air is looked at; one without weather is not where air is asked for. */
const inAir = ({ dewPointC }: BoardDay, air: BoardView['air']): boolean =>
  air === null || (dewPointC !== null && dewPointC >= air.from && dewPointC < air.to);

/** The mean dew point (°C) that wash days in an air met; null where none of them was read. */
export function meanDewPoint(trials: readonly BoardTrial[], air: BoardView['air']): number | null {
  const met = trials.flatMap(({ days }) =>
    days.flatMap((day) => (inAir(day, air) ? (day.dewPointC ?? []) : [])),
  );
  return met.length === 0 ? null : met.reduce((sum, dew) => sum + dew, 0) / met.length;
}

/** Every wash day's number for a column, trial by trial; none for those out of view. */
function numbersOf(trial: BoardTrial, key: ColumnKey, ask: BoardAsk, upTo: number): (number | null)[] {
  return allNumbersOf(trial, key, ask, upTo).map((value, i) =>
    inAir(trial.days[i]!, ask.view.air) ? value : null,
  );
}

function allNumbersOf(trial: BoardTrial, key: ColumnKey, ask: BoardAsk, upTo: number): (number | null)[] {
  // A wear that was planned shorter says nothing of the days after.
  const good = () =>
    trial.wearDays < upTo ? trial.days.map(() => null) : lastingOf(trial, ask.lasting, ask.line, upTo);
  if (key === 'good-days') return good();
  if (key === 'wish') {
    const lasting = (ask.weights.lasting ?? 0) > 0 ? good() : [];
    return trial.days.map((day, i) =>
      wishValue(ask.weights, {
        ...Object.fromEntries(
          (Object.keys(OUTCOMES) as Outcome[]).map((outcome) => [
            outcome,
            onDay(day.rated[outcome], ask.onDay),
          ]),
        ),
        length: onDay(day.shrinkage, ask.onDay),
        lasting: lasting[i] ?? null,
      }),
    );
  }
  return trial.days.map((day) => {
    switch (key) {
      case 'shrinkage':
        return onDay(day.shrinkage, ask.onDay);
      case 'minutes-to-dry':
        return day.half === null ? day.minutesToDry : null;
      case 'hands-on':
        return day.half === null ? day.handsOn : null;
      default:
        return onDay(day.rated[key], ask.onDay);
    }
  });
}

/** Each arm's place on the board, with amounts of one thing as things of their own where there are several. */
function placed(
  trials: readonly BoardTrial[],
): Map<string, { node: string; byAmount: boolean; dose: Dose | null }> {
  const arms = trials.flatMap((trial) => trial.arms.map((arm, at) => ({ id: `${trial.id} ${at}`, arm })));
  const found = new Map<string, { node: string; byAmount: boolean; dose: Dose | null }>();
  for (const key of new Set(arms.map(({ arm }) => arm.key))) {
    const own = arms.filter(({ arm }) => arm.key === key);
    const { amounts, of } = amountsOf(own.map(({ arm }) => arm.dose));
    for (const [i, { id }] of own.entries())
      found.set(id, {
        node: amounts.length > 1 ? `${key} amount ${of[i]}` : key,
        byAmount: amounts.length > 1,
        dose: amounts[of[i]!] ?? null,
      });
  }
  return found;
}

const inRole = (role: BoardAsk['role']) => (trial: BoardTrial) => trial.arms.some((arm) => arm.role === role);

/** The outcomes that a column speaks of, as the fairness check weighs them. */
function speaksOf(key: ColumnKey, { lasting, weights }: BoardAsk): Outcome[] {
  if (key === 'good-days') return [lasting];
  if (key === 'shrinkage' || key === 'minutes-to-dry' || key === 'hands-on') return [measuredFacts(key).like];
  if (key !== 'wish') return [key];
  return (Object.entries(weights) as [WishKey, number][]).flatMap(([wish, weight]) => {
    if (!(weight > 0)) return [];
    if (wish === 'length') return [measuredFacts('shrinkage').like];
    return wish === 'lasting' ? [lasting] : [wish];
  });
}

/** What a trial's fairness check comes to for a column: the worst of what it speaks of. */
export const fairFor = (trial: BoardTrial, key: ColumnKey, ask: BoardAsk): Fair =>
  FAIRS[Math.max(0, ...speaksOf(key, ask).map((outcome) => FAIRS.indexOf(trial.fair[outcome])))]!;

/** Whether a trial is fair enough to count in a column of a board. */
export function counts(trial: BoardTrial, key: ColumnKey, ask: BoardAsk): boolean {
  const fair = fairFor(trial, key, ask);
  return fair === 'clean' || (fair === 'weakened' && ask.weakened);
}

/** The trials that count in a column of a board, and what each of their days stands for. */
export function countedTrials(ask: BoardAsk, key: ColumnKey) {
  const all = ask.trials.filter(inRole(ask.role));
  return { all, counted: all.filter((trial) => counts(trial, key, ask)), places: placed(all) };
}

/** A column of a board put together: its trials, their days' numbers, and what they say of each other. */
export function columnOf(ask: BoardAsk, key: ColumnKey, upTo = countedTo(ask)) {
  const { counted, places } = countedTrials(ask, key);
  const numbers = counted.map((trial) => numbersOf(trial, key, ask, upTo));
  const trials = counted.map((trial, t) => networkTrial(trial, numbers[t]!, places));
  return { key, counted, numbers, trials, places };
}
export type Column = ReturnType<typeof columnOf>;

export function networkTrial(
  trial: BoardTrial,
  values: readonly (number | null)[],
  places: ReturnType<typeof placed>,
): NetworkTrial {
  return {
    id: trial.id,
    halves: trial.halves,
    block: trial.block,
    days: trial.days.map(({ position, half, arm }, i) => ({
      position,
      half,
      node: places.get(`${trial.id} ${arm}`)!.node,
      value: values[i]!,
    })),
  };
}
