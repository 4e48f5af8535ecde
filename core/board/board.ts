import { Matrix, pseudoInverse } from 'ml-matrix';
import type { Dose } from '../doses/dose.ts';
import { daysNeeded } from '../inference/days-needed.ts';
import { pseudoDays } from '../inference/lasting.ts';
import { NOISE_ALONE } from '../inference/power.ts';
import { studentCdf, studentQuantile } from '../inference/student-t.ts';
import type { Between } from '../inference/turnbull.ts';
import { mean } from '../middle.ts';
import { type DayValue, goodDays } from '../outcomes/good-days.ts';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import type { Slot } from '../step/slots.ts';
import { airSlope, type Slope } from './air-slope.ts';
import { COLUMNS, type ColumnKey, FEWEST_POOLED, type WishKey, type WishWeights } from './columns.ts';
import { drawsOf, type Firmness, firmness, type JointPair, jointPairs, sharesFirst } from './draws.ts';
import { type Agreement, type Effect, type Network, type NetworkTrial, networkOf } from './network.ts';
import { towardsMiddle } from './shrunken.ts';
import { amountsOf, type Tested } from './tested.ts';
import { type Usual, usualOf } from './usual.ts';

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
}

/** A finished trial as the board reads it. */
export interface BoardTrial {
  id: string;
  question: string;
  wearerId: string;
  halves: boolean;
  block: number | null;
  /** What its fairness check came to for its main result. */
  fair: 'clean' | 'weakened' | 'broken';
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
  /** Good days are counted by this outcome, from (or up to) this value, to the last day that every trial planned for. */
  lasting: Outcome;
  line: number;
  /** Trials that their fairness check weakens count. */
  weakened: boolean;
  weights: WishWeights;
  /** The thing all others are set against; null for the island's mean. */
  against: string | null;
  /** The column that orders: who is first is drawn for it alone. Null is as wished, or the first column where nothing is. */
  by: ColumnKey | null;
  /** Effects drawn towards the middle are wanted too. */
  pooled: boolean;
}

/** One row of the board. */
export interface BoardNode extends Tested {
  /** The key with its amount, where several were tested. */
  node: string;
  name: string;
  /** Several amounts of it stand on the board. */
  byAmount: boolean;
  island: number;
  trials: string[];
  washDays: number;
  /** When it was last worn in a trial. */
  lastOn: string;
  costPerWash: number | null;
  costPerGoodDay: number | null;
  currency: string | null;
  /** How its wished-for value goes with the dew point. */
  air: { slope: Slope | null; days: { on: string; dewPointC: number; value: number }[] };
}

export interface BoardCell {
  node: string;
  /** Mean of its wash days, as they were. */
  mean: number | null;
  days: number;
  /** Against the island's mean, or what was picked. */
  effect: Effect | null;
  /** The same drawn towards the middle; null under five things on the island. */
  pooled: { value: number; sd: number } | null;
}

export interface Leader {
  island: number;
  node: string;
  /** The one that comes next. */
  next: string;
  share: number;
  firmness: Firmness;
  /** It would be firm, were it not that the trials that held both cannot tell them apart. */
  heldBack: boolean;
}

export interface BoardColumn {
  key: ColumnKey;
  cells: BoardCell[];
  /** Pairs that hold together over all rows; of the column that orders. */
  joint: JointPair[];
  /** Share of the draws in which it is first on its island; of the column that orders. */
  first: Record<string, number>;
  /** Who is first on each island, and how firmly; none on an island of one. */
  leaders: Leader[];
  agreement: Agreement[];
  /** Where a number of this head usually lies, from all these wash days. */
  usual: Usual;
}

/** Two trials' things set side by side, by every way they are known. */
export interface PairWays {
  both: Effect | null;
  direct: { effect: Effect | null; trials: string[]; washDays: number };
  others: { effect: Effect | null; trials: string[] };
  /** How far the direct way lies over the other. */
  apart: { value: number; low: number; high: number; p: number } | null;
}

export interface Board {
  /** The column that orders. */
  by: ColumnKey;
  /** Day of wear that good days are counted to. */
  countedTo: number;
  nodes: BoardNode[];
  columns: BoardColumn[];
  /** Trials of the role that stay out, and why. */
  out: { id: string; question: string; why: 'broken' | 'weakened' }[];
  /** Trials in it that are weakened. */
  weakened: string[];
  /** Which things met in which trials. */
  met: { a: string; b: string; trials: string[]; washDays: number }[];
}

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

const onDay = (days: readonly DayValue[] | undefined, wanted: number) => {
  const value = days?.find(({ day }) => day === wanted)?.value;
  return value === undefined || Number.isNaN(value) ? null : value;
};

/** When each wear of a trial stopped being good, in the order of its days; null while it may go on, or without a look. */
export function endsOf(
  { days }: BoardTrial,
  outcome: Outcome,
  line: number,
  upTo: number,
): (Between | null)[] {
  const { better } = OUTCOMES[outcome];
  return days.map(({ worn, washedOn, over }) => {
    const values = (worn[outcome] ?? []).filter(({ value }) => !Number.isNaN(value));
    if (values.length === 0) return null;
    const seen = goodDays(values, line, better, washedOn);
    if (!over && seen.to === null && seen.from < upTo) return null;
    return { low: seen.from, high: seen.to ?? Number.POSITIVE_INFINITY };
  });
}

/** Good days of every wash day of a trial by pseudo-values of its own pooled curve, in the order of its days. */
function lastingOf(trial: BoardTrial, outcome: Outcome, line: number, wearDays: number): (number | null)[] {
  const ends = endsOf(trial, outcome, line, wearDays);
  const counted = ends.flatMap((end) => end ?? []);
  // Of a trial most of whose wears were cut short nothing is said. Source: methods.md 6.
  const cut = counted.filter(({ low, high }) => high === Number.POSITIVE_INFINITY && low < wearDays).length;
  if (counted.length === 0 || cut * 2 > counted.length) return ends.map(() => null);
  const values = pseudoDays(counted, wearDays);
  let at = 0;
  return ends.map((end) => (end === null ? null : values[at++]!));
}

/**
 * The day of wear that good days are counted to on a board: the fewest that a trial of it planned, because three days of wear
 * cannot be set beside seven.
 */
export const countedTo = (ask: BoardAsk): number => {
  const { counted } = countedTrials(ask);
  return Math.min(...counted.map(({ wearDays }) => wearDays));
};

/** The scale a column's numbers lie on: its least step, and its ends. */
function scaleOf(key: ColumnKey, upTo: number): { step?: number; ends: readonly [number, number] } {
  if (Object.hasOwn(OUTCOMES, key)) return { step: 0.5, ends: [0, 10] };
  if (key === 'good-days') return { ends: [0, upTo] };
  if (key === 'shrinkage') return { ends: [0, 100] };
  return { ends: [0, key === 'wish' ? 10 : Number.POSITIVE_INFINITY] };
}

/** Every wash day's number for a column, trial by trial. */
function numbersOf(trial: BoardTrial, key: ColumnKey, ask: BoardAsk): (number | null)[] {
  const good = () => lastingOf(trial, ask.lasting, ask.line, countedTo(ask));
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

/** The trials that count on a board, and what each of their days stands for. */
export function countedTrials({ trials, role, weakened }: BoardAsk) {
  const all = trials.filter(inRole(role));
  const counted = all.filter(({ fair }) => fair === 'clean' || (fair === 'weakened' && weakened));
  return { all, counted, places: placed(all) };
}

function networkTrial(
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

/** What is known of each thing on an island, drawn towards the middle; empty under five. */
function pooledOn(network: Network, island: number): Map<string, { value: number; sd: number }> {
  const own = network.nodes.flatMap((_, i) => (network.island[i] === island ? [i] : []));
  if (own.length < FEWEST_POOLED) return new Map();
  const { estimate, agreement } = network;
  const parts = network.parts();
  const wider = agreement[island]!.inflation ** 2;
  const covariance = Matrix.add(parts.whole, parts.half).selection(own, own).mul(wider);
  const estimates = own.map((i) => estimate[i]!);
  const found = towardsMiddle(estimates, pseudoInverse(covariance));
  if (!found) return new Map();
  const middle = mean([...found.values])!;
  return new Map(
    own.map((i, k) => [network.nodes[i]!, { value: found.values[k]! - middle, sd: found.sds[k]! }]),
  );
}

/**
 * Who is first on each island of a column, by its share of the draws. Never firm where the trials that held it and the next
 * one cannot tell them apart. Source: methods.md 9.
 */
function leadersOf(
  network: Network,
  trials: readonly NetworkTrial[],
  first: ReadonlyMap<string, number>,
): Leader[] {
  return [...new Set(network.island)].flatMap((island) => {
    const [best, second] = network.nodes
      .filter((_, i) => network.island[i] === island)
      .map((node) => ({ node, share: first.get(node) ?? 0 }))
      .toSorted((a, b) => b.share - a.share);
    if (!best || !second) return [];
    const held = trials.filter(({ days }) =>
      [best.node, second.node].every((node) => days.some((day) => day.node === node && day.value !== null)),
    );
    const direct = held.length > 0 ? networkOf(held).between(best.node, second.node) : null;
    const cannotTell =
      held.length > 0 && (!direct?.interval || (direct.interval.low <= 0 && direct.interval.high >= 0));
    const plain = firmness(best.share);
    const heldBack = plain === 'firm' && cannotTell;
    return [
      {
        island,
        node: best.node,
        next: second.node,
        share: best.share,
        firmness: heldBack ? ('leaning' as const) : plain,
        heldBack,
      },
    ];
  });
}

/** By which share of the weights one wish, the others in proportion, would turn who is first. */
export interface Turn {
  wish: WishKey;
  /** Its share of all weights now, and where the order turns. */
  now: number;
  at: number;
  /** Who would be first then. */
  node: string;
}

/**
 * Which wish would turn the order of a board, the others kept in proportion: for each that is weighed the nearest share of all
 * weights at which another thing has the highest estimate on the leader's island. Source: methods.md 9.
 */
export function turnsOf(ask: BoardAsk, leader: string): Turn[] {
  const { counted, places } = countedTrials(ask);
  const weighed = (Object.entries(ask.weights) as [WishKey, number][]).filter(([, weight]) => weight > 0);
  const all = weighed.reduce((sum, [, weight]) => sum + weight, 0);
  if (weighed.length < 2) return [];
  const firstAt = (wish: WishKey, share: number): string | null => {
    const others = all - ask.weights[wish]!;
    const weights = Object.fromEntries(
      weighed.map(([key, weight]) => [key, key === wish ? share : ((1 - share) * weight) / others]),
    );
    const to = { ...ask, weights };
    const network = networkOf(
      counted.map((trial) => networkTrial(trial, numbersOf(trial, 'wish', to), places)),
    );
    const at = network.island[network.nodes.indexOf(leader)];
    const own = network.nodes.flatMap((node, i) =>
      network.island[i] === at ? [{ node, value: network.estimate[i]! }] : [],
    );
    return own.toSorted((a, b) => b.value - a.value)[0]?.node ?? null;
  };
  return weighed.flatMap(([wish, weight]): Turn[] => {
    const now = weight / all;
    // Never quite nothing: what is not weighed may be missing.
    const ends = [0.001, 0.999].flatMap((end) => {
      const node = firstAt(wish, end);
      return node === null || node === leader ? [] : [{ end, node }];
    });
    const turned = ends.map(({ end }) => {
      let [same, other] = [now, end];
      for (let i = 0; i < 8; i++) {
        const middle = (same + other) / 2;
        if (firstAt(wish, middle) === leader) same = middle;
        else other = middle;
      }
      return { at: other, node: firstAt(wish, other)! };
    });
    const [nearest] = turned.toSorted((a, b) => Math.abs(a.at - now) - Math.abs(b.at - now));
    return nearest ? [{ wish, now, ...nearest }] : [];
  });
}

const KEYS = Object.keys(COLUMNS) as ColumnKey[];

/**
 * The board of one head and role: every thing that was tested in it, each column put together over its trials. Broken trials
 * stay out, weakened ones are in unless asked otherwise. Source: methods.md 7 to 9.
 */
export function boardOf(ask: BoardAsk): Board {
  const { all, counted, places } = countedTrials(ask);
  const placeOf = (trial: BoardTrial, arm: number) => places.get(`${trial.id} ${arm}`)!;
  const wanted = Object.values(ask.weights).some((weight) => weight > 0);
  const columns = KEYS.filter((key) => key !== 'wish' || wanted).map((key) => {
    const numbers = counted.map((trial) => numbersOf(trial, key, ask));
    const network = networkOf(counted.map((trial, t) => networkTrial(trial, numbers[t]!, places)));
    return { key, numbers, network };
  });
  const main = columns.find(({ key }) => key === 'wish') ?? columns[0]!;
  const by = columns.find(({ key }) => key === ask.by) ?? main;
  const keys = [
    ...new Set(counted.flatMap((trial) => trial.arms.map((_, arm) => placeOf(trial, arm).node))),
  ].sort();
  // Islands are of the trials themselves, whatever a column has numbers of.
  const joined = networkOf(
    counted.map((trial) =>
      networkTrial(
        trial,
        trial.days.map(() => 0),
        places,
      ),
    ),
  );
  const nodes = keys.map((node): BoardNode => {
    const own = counted.flatMap((trial, t) =>
      trial.days.flatMap((day, i) =>
        placeOf(trial, day.arm).node === node
          ? [
              {
                trial,
                day,
                wish: main.numbers[t]![i] ?? null,
                good: columns.find(({ key }) => key === 'good-days')!.numbers[t]![i] ?? null,
              },
            ]
          : [],
      ),
    );
    const trial = counted.find((one) => one.arms.some((_, arm) => placeOf(one, arm).node === node))!;
    const at = trial.arms.findIndex((_, arm) => placeOf(trial, arm).node === node);
    const { byAmount, dose } = placeOf(trial, at);
    const currencies = new Set(own.flatMap(({ day }) => day.currency ?? []));
    const costPerWash = currencies.size === 1 ? mean(own.flatMap(({ day }) => day.costPerWash ?? [])) : null;
    const good = mean(own.flatMap((one) => one.good ?? []));
    const inAir = own.flatMap(({ trial: of, day, wish }) =>
      day.dewPointC === null || wish === null
        ? []
        : [{ trial: of.id, on: day.on, dewPointC: day.dewPointC, value: wish }],
    );
    return {
      ...trial.arms[at]!,
      node,
      dose,
      byAmount,
      island: joined.island[joined.nodes.indexOf(node)] ?? -1,
      trials: [...new Set(own.map((one) => one.trial.id))],
      washDays: new Set(own.map((one) => one.day.washDayId)).size,
      lastOn:
        own
          .map(({ day }) => day.on)
          .sort()
          .at(-1) ?? '',
      costPerWash,
      costPerGoodDay: costPerWash === null || good === null || good < 0.5 ? null : costPerWash / good,
      currency: currencies.size === 1 ? [...currencies][0]! : null,
      air: {
        slope: airSlope(inAir),
        days: inAir.map(({ on, dewPointC, value }) => ({ on, dewPointC, value })),
      },
    };
  });
  const upTo = countedTo(ask);
  return {
    by: by.key,
    countedTo: upTo,
    nodes,
    columns: columns.map(({ key, numbers, network }): BoardColumn => {
      const draws = key === by.key ? drawsOf(network) : null;
      const first = draws
        ? sharesFirst(draws, network.nodes, COLUMNS[key].wanted)
        : new Map<string, number>();
      const pooled = ask.pooled ? network.agreement.map((_, island) => pooledOn(network, island)) : [];
      const told = counted.flatMap((trial, t) =>
        trial.days.flatMap((day, i) => {
          const value = numbers[t]![i] ?? null;
          return value === null ? [] : [{ product: placeOf(trial, day.arm).node, value }];
        }),
      );
      return {
        key,
        cells: keys.map((node): BoardCell => {
          const own = told.flatMap((one) => (one.product === node ? one.value : []));
          const island = network.island[network.nodes.indexOf(node)];
          return {
            node,
            mean: mean(own),
            days: own.length,
            effect: ask.against === null ? network.overIsland(node) : network.between(node, ask.against),
            pooled: (island === undefined ? undefined : pooled[island]?.get(node)) ?? null,
          };
        }),
        joint: draws ? jointPairs(draws, network.nodes) : [],
        first: Object.fromEntries(first),
        leaders: draws
          ? leadersOf(
              network,
              counted.map((trial, t) => networkTrial(trial, numbers[t]!, places)),
              first,
            )
          : [],
        agreement: [...network.agreement],
        usual: usualOf(told, scaleOf(key, upTo)),
      };
    }),
    out: all.flatMap((trial) =>
      counted.includes(trial)
        ? []
        : [
            {
              id: trial.id,
              question: trial.question,
              why: trial.fair === 'broken' ? ('broken' as const) : ('weakened' as const),
            },
          ],
    ),
    weakened: counted.flatMap(({ id, fair }) => (fair === 'weakened' ? [id] : [])),
    met: keys.flatMap((a, i) =>
      keys.slice(i + 1).flatMap((b) => {
        const both = counted.filter((trial) => {
          const here = new Set(trial.arms.map((_, arm) => placeOf(trial, arm).node));
          return here.has(a) && here.has(b);
        });
        return both.length === 0
          ? []
          : [
              {
                a,
                b,
                trials: both.map(({ id }) => id),
                washDays: both.reduce(
                  (sum, { days }) => sum + new Set(days.map(({ washDayId }) => washDayId)).size,
                  0,
                ),
              },
            ];
      }),
    ),
  };
}

/**
 * Two things of a board by each way they are known in a column: in trials that held both, through others in trials that did
 * not, and over all. Source: methods.md 7.
 */
export function pairWays(ask: BoardAsk, key: ColumnKey, a: string, b: string): PairWays {
  const { counted, places } = countedTrials(ask);
  const trials = counted.map((trial) => networkTrial(trial, numbersOf(trial, key, ask), places));
  const holds = ({ days }: NetworkTrial, node: string) =>
    days.some((day) => day.node === node && day.value !== null);
  const direct = trials.filter((trial) => holds(trial, a) && holds(trial, b));
  const others = trials.filter((trial) => !(holds(trial, a) && holds(trial, b)));
  const [all, one, other] = [trials, direct, others].map((of) => networkOf(of).between(a, b)) as [
    Effect | null,
    Effect | null,
    Effect | null,
  ];
  return {
    both: all,
    direct: {
      effect: one,
      trials: direct.map(({ id }) => id),
      washDays: direct.reduce((sum, { days }) => sum + new Set(days.map(({ position }) => position)).size, 0),
    },
    others: { effect: other, trials: other ? others.map(({ id }) => id) : [] },
    apart: one && other ? apartOf(one, other) : null,
  };
}

/** How far one way of knowing lies over another, with its interval and the chance of as much by luck (two-sided t). */
function apartOf(one: Effect, other: Effect): PairWays['apart'] {
  const variance = one.se ** 2 + other.se ** 2;
  const freedom = variance ** 2 / (one.se ** 4 / one.freedom + other.se ** 4 / other.freedom);
  const value = one.value - other.value;
  const reach = studentQuantile(0.975, freedom) * Math.sqrt(variance);
  return {
    value,
    low: value - reach,
    high: value + reach,
    p: 2 * (1 - studentCdf(Math.abs(value) / Math.sqrt(variance), freedom)),
  };
}

/** Two things whose direct way and way through others disagree, by how much. */
export interface Disagreement {
  a: string;
  b: string;
  apart: NonNullable<PairWays['apart']>;
}

/** Chance of calling any pair in disagreement that is none. */
const ALPHA = 0.05;

/**
 * Pairs of a column whose ways disagree beyond luck, over all pairs that can be checked (Holm 1979), and how many those are.
 * Source: methods.md 7.
 */
export function disagreements(ask: BoardAsk, key: ColumnKey): { found: Disagreement[]; checked: number } {
  const checked = boardPairs(ask).flatMap(([a, b]) => {
    const { apart } = pairWays(ask, key, a, b);
    return apart ? [{ a, b, apart }] : [];
  });
  const sorted = checked.toSorted((x, y) => x.apart.p - y.apart.p);
  const end = sorted.findIndex(({ apart }, i) => apart.p > ALPHA / (sorted.length - i));
  return { found: end < 0 ? sorted : sorted.slice(0, end), checked: checked.length };
}

/** Things that met in a trial of the board, pair by pair. */
function boardPairs(ask: BoardAsk): [string, string][] {
  const { counted, places } = countedTrials(ask);
  const found = new Map<string, [string, string]>();
  for (const trial of counted) {
    const nodes = [...new Set(trial.arms.map((_, arm) => places.get(`${trial.id} ${arm}`)!.node))].sort();
    for (const [i, a] of nodes.entries())
      for (const b of nodes.slice(i + 1)) found.set(JSON.stringify([a, b]), [a, b]);
  }
  return [...found.values()];
}

/** What a trial of two things would take on this head: by the noise its trials showed, whole heads and half-heads apart. */
export interface TrialToTell {
  design: 'complete' | 'half';
  sd: number;
  freedom: number;
  /** Fewest wash days that find what matters four times in five; null over what a plan holds. */
  days: number | null;
}

/** What a trial of any two things of the board would take in a column, with the noise as uncertain as it is: {@link daysNeeded}. */
export function trialsToTell(ask: BoardAsk, key: ColumnKey): TrialToTell[] {
  const { counted, places } = countedTrials(ask);
  const { whole, half } = networkOf(
    counted.map((trial) => networkTrial(trial, numbersOf(trial, key, ask), places)),
  );
  return (
    [
      ['complete', whole],
      ['half', half],
    ] as const
  ).flatMap(([design, spread]) => {
    if (spread === null || spread.variance <= 0) return [];
    const sd = Math.sqrt(spread.variance);
    const { usual } = daysNeeded(
      {
        ...NOISE_ALONE,
        ...{ design, arms: 2, looks: 1, alpha: ALPHA, better: COLUMNS[key].wanted },
        noise: { sd, freedom: spread.freedom },
      },
      COLUMNS[key].matters,
    );
    return [{ design, sd, freedom: spread.freedom, days: usual }];
  });
}
