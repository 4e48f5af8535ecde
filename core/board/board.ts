import { Matrix, pseudoInverse } from 'ml-matrix';
import { mean } from '../middle.ts';
import { airSlope, type Slope } from './air-slope.ts';
import { COLUMNS, type ColumnKey, FEWEST_POOLED } from './columns.ts';
import { drawsOf, type Firmness, firmness, type JointPair, jointPairs, sharesFirst } from './draws.ts';
import { type Agreement, type Effect, type Network, type NetworkTrial, networkOf } from './network.ts';
import {
  type BoardAsk,
  type BoardTrial,
  type BoardView,
  type Column,
  columnOf,
  countedTo,
  countedTrials,
  counts,
  fairFor,
  scaleOf,
} from './read.ts';
import { towardsMiddle } from './shrunken.ts';
import type { Tested } from './tested.ts';
import { type Usual, usualOf } from './usual.ts';

/** One row of the board. */
export interface BoardNode extends Tested {
  /** The key with its amount, where several were tested. */
  node: string;
  name: string;
  /** Several amounts of it stand on the board. */
  byAmount: boolean;
  /** Trials and wash days of it that count in the column that orders. */
  trials: string[];
  washDays: number;
  /** When it was last worn in a trial. */
  lastOn: string;
  costPerWash: number | null;
  costPerGoodDay: number | null;
  /** Mean of its wash days' good days, to the day that they are counted to. */
  goodDays: number | null;
  currency: string | null;
  /** How its wished-for value goes with the dew point. */
  air: { slope: Slope | null; days: { on: string; dewPointC: number; value: number }[] };
}

export interface BoardCell {
  node: string;
  /** The island it lies on by this column's numbers; null where it has none. */
  island: number | null;
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
  /** Why it is not firm, though it comes first often enough: the trials that held both cannot tell them apart, or its lead does not hold over all together. */
  heldBack: 'own trial' | 'together' | null;
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

export interface Board {
  /** The things in view, in the order of the nodes. */
  shown: string[];
  /** The columns there are, of which a board that is not whole holds the one that orders alone. */
  offered: ColumnKey[];
  /** The column that orders. */
  by: ColumnKey;
  /** Day of wear that good days are counted to. */
  countedTo: number;
  nodes: BoardNode[];
  columns: BoardColumn[];
  /** Trials of the role that stay out of the column that orders, and why. */
  out: { id: string; question: string; why: 'broken' | 'weakened' }[];
  /** Trials in that column that are weakened. */
  weakened: string[];
  /** Which things met in which trials. */
  met: { a: string; b: string; trials: string[]; washDays: number }[];
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
 * one cannot tell them apart, nor where its lead over any other does not hold over all together. Source: methods.md 7 and 9.
 */
function leadersOf(
  network: Network,
  trials: readonly NetworkTrial[],
  first: ReadonlyMap<string, number>,
  joint: readonly JointPair[],
  shown: readonly string[],
): Leader[] {
  return [...new Set(network.island)].flatMap((island) => {
    const own = network.nodes.filter((node, i) => network.island[i] === island && shown.includes(node));
    const [best, second] = own
      .map((node) => ({ node, share: first.get(node) ?? 0 }))
      .toSorted((a, b) => b.share - a.share);
    if (!best || !second) return [];
    const held = trials.filter(({ days }) =>
      [best.node, second.node].every((node) => days.some((day) => day.node === node && day.value !== null)),
    );
    const direct = held.length > 0 ? networkOf(held).between(best.node, second.node) : null;
    const cannotTell =
      held.length > 0 && (!direct?.interval || (direct.interval.low <= 0 && direct.interval.high >= 0));
    const together = own
      .filter((node) => node !== best.node)
      .every((node) =>
        joint.some(
          (pair) =>
            [pair.node, pair.from].includes(best.node) &&
            [pair.node, pair.from].includes(node) &&
            (pair.low > 0 || pair.high < 0),
        ),
      );
    const plain = firmness(best.share);
    const heldBack = plain !== 'firm' ? null : cannotTell ? 'own trial' : together ? null : 'together';
    return [
      {
        island,
        node: best.node,
        next: second.node,
        share: best.share,
        firmness: heldBack === null ? plain : ('leaning' as const),
        heldBack,
      },
    ];
  });
}

/** Good days under which a price of one says nothing. Model assumption. */
export const FEWEST_GOOD = 0.5;

/** Whether a thing of the board is looked at. */
export const inView = (
  { productId, lastOn }: Pick<BoardNode, 'productId' | 'lastOn'>,
  { productIds, since }: BoardView,
): boolean =>
  (productIds === null || (productId !== null && productIds.includes(productId))) &&
  (since === null || lastOn >= since);

const KEYS = Object.keys(COLUMNS) as ColumnKey[];

/**
 * The board of one head and role: every thing that was tested in it, each column put together over the trials that are fair for
 * what it reads. Those broken for it stay out, weakened ones are in unless asked otherwise. Source: methods.md 7 to 9.
 */
export function boardOf(ask: BoardAsk): Board {
  const wanted = Object.values(ask.weights).some((weight) => weight > 0);
  const offered = KEYS.filter((key) => key !== 'wish' || wanted);
  const upTo = countedTo(ask);
  const kept = new Map<ColumnKey, Column>();
  const read = (key: ColumnKey) => kept.get(key) ?? kept.set(key, columnOf(ask, key, upTo)).get(key)!;
  const main = read(wanted ? 'wish' : offered[0]!);
  const by = read(offered.find((key) => key === ask.by) ?? main.key);
  const columns = (ask.whole ? offered : [by.key]).map((key) => {
    const column = read(key);
    return { ...column, network: networkOf(column.trials) };
  });
  const { all, counted, places } = countedTrials(ask, by.key);
  const placeOf = (trial: BoardTrial, arm: number) => places.get(`${trial.id} ${arm}`)!;
  const somewhere = all.filter((trial) => offered.some((key) => counts(trial, key, ask)));
  const keys = [
    ...new Set(somewhere.flatMap((trial) => trial.arms.map((_, arm) => placeOf(trial, arm).node))),
  ].sort();
  const numberOf = ({ counted: of, numbers }: Column, trial: BoardTrial, i: number) =>
    numbers[of.indexOf(trial)]?.[i] ?? null;
  const goodDays = read('good-days');
  const nodes = keys.map((node): BoardNode => {
    const worn = somewhere.flatMap((trial) =>
      trial.days.flatMap((day, i) => {
        if (placeOf(trial, day.arm).node !== node) return [];
        return [{ trial, day, wish: numberOf(main, trial, i), good: numberOf(goodDays, trial, i) }];
      }),
    );
    const own = worn.filter((one) => counted.includes(one.trial));
    const trial = somewhere.find((one) => one.arms.some((_, arm) => placeOf(one, arm).node === node))!;
    const at = trial.arms.findIndex((_, arm) => placeOf(trial, arm).node === node);
    const { byAmount, dose } = placeOf(trial, at);
    const currencies = new Set(worn.flatMap(({ day }) => day.currency ?? []));
    const costPerWash = currencies.size === 1 ? mean(worn.flatMap(({ day }) => day.costPerWash ?? [])) : null;
    const good = mean(worn.flatMap((one) => one.good ?? []));
    const inAir = worn.flatMap(({ trial: of, day, wish }) =>
      day.dewPointC === null || wish === null
        ? []
        : [{ trial: of.id, on: day.on, dewPointC: day.dewPointC, value: wish }],
    );
    return {
      ...trial.arms[at]!,
      node,
      dose,
      byAmount,
      trials: [...new Set(own.map((one) => one.trial.id))],
      washDays: new Set(own.map((one) => one.day.washDayId)).size,
      lastOn:
        worn
          .map(({ day }) => day.on)
          .sort()
          .at(-1) ?? '',
      costPerWash,
      goodDays: good,
      costPerGoodDay: costPerWash === null || good === null || good < FEWEST_GOOD ? null : costPerWash / good,
      currency: currencies.size === 1 ? [...currencies][0]! : null,
      air: {
        slope: airSlope(inAir),
        days: inAir.map(({ on, dewPointC, value }) => ({ on, dewPointC, value })),
      },
    };
  });
  const shown = nodes.filter((node) => inView(node, ask.view)).map(({ node }) => node);
  return {
    shown,
    offered,
    by: by.key,
    countedTo: upTo,
    nodes,
    columns: columns.map(({ key, counted: of, numbers, trials, network }): BoardColumn => {
      const draws = key === by.key ? drawsOf(network) : null;
      const first = draws ? sharesFirst(draws, shown, COLUMNS[key].wanted) : new Map<string, number>();
      const joint = draws
        ? jointPairs(
            draws,
            network.nodes.filter((node) => shown.includes(node)),
          )
        : [];
      const pooled = ask.pooled ? network.agreement.map((_, island) => pooledOn(network, island)) : [];
      const told = of.flatMap((trial, t) =>
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
            island: island ?? null,
            mean: mean(own),
            days: own.length,
            effect: ask.against === null ? network.overIsland(node) : network.between(node, ask.against),
            pooled: (island === undefined ? undefined : pooled[island]?.get(node)) ?? null,
          };
        }),
        joint,
        first: Object.fromEntries(first),
        leaders: draws ? leadersOf(network, trials, first, joint, shown) : [],
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
              why: fairFor(trial, by.key, ask) === 'broken' ? ('broken' as const) : ('weakened' as const),
            },
          ],
    ),
    weakened: counted.flatMap((trial) => (fairFor(trial, by.key, ask) === 'weakened' ? [trial.id] : [])),
    met: keys.flatMap((a, i) =>
      keys.slice(i + 1).flatMap((b) => {
        const both = somewhere.filter((trial) => {
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
