import { COLUMNS, type ColumnKey } from './columns.ts';
import { type Effect, networkOf } from './network.ts';
import { type OverHeads, overHeads } from './over-heads.ts';
import { type BoardAsk, columnOf } from './read.ts';

/** One head's answer to a comparison of two products. */
export interface HeadAnswer {
  wearerId: string;
  /** How far the first lies over the second on it. */
  effect: Effect;
  /** Trials of it that held both; none where they are known through others. */
  trials: number;
}

/** Two products that were set against each other on several heads. */
export interface AcrossHeads {
  /** The one that is ahead on the mean of the heads as they stand, first. */
  a: string;
  b: string;
  /** Each head's answer, the one it is furthest ahead on first. */
  heads: HeadAnswer[];
  /** Null where the heads' numbers do not count alike. */
  over: OverHeads | null;
}

/** A head's board. */
export interface HeadAsk {
  wearerId: string;
  ask: BoardAsk;
}

/** Each pair of products on one head, by their keys; what was tested at several amounts there is none. */
function pairsOn({ wearerId, ask }: HeadAsk, key: ColumnKey) {
  const { counted, trials, places } = columnOf(ask, key);
  const network = networkOf(trials);
  const arms = counted.flatMap((trial) =>
    trial.arms.map((arm, at) => ({ arm, place: places.get(`${trial.id} ${at}`)! })),
  );
  const products = [
    ...new Set(arms.flatMap(({ arm, place }) => (arm.kind === 'product' && !place.byAmount ? arm.key : []))),
  ].sort();
  const heldIn = (product: string) =>
    new Set(
      trials.flatMap(({ id, days }) =>
        days.some(({ node, value }) => node === product && value !== null) ? id : [],
      ),
    );
  return products.flatMap((a, i) =>
    products.slice(i + 1).flatMap((b) => {
      const effect = network.between(a, b);
      if (!effect) return [];
      const with_ = heldIn(b);
      return [{ a, b, wearerId, effect, trials: [...heldIn(a)].filter((id) => with_.has(id)).length }];
    }),
  );
}

const turned = ({ interval, ...effect }: Effect): Effect => ({
  ...effect,
  value: -effect.value,
  interval: interval && { low: -interval.high, high: -interval.low },
});

/**
 * Every pair of products of a role that at least two heads' own trials answer, head by head and over them. `alike`: the
 * heads' numbers count to the same day, so that they may be averaged. Source: methods.md 7.
 */
export function acrossHeads(heads: readonly HeadAsk[], key: ColumnKey, alike: boolean): AcrossHeads[] {
  const all = heads.flatMap((head) => pairsOn(head, key));
  const sign = COLUMNS[key].wanted === 'higher' ? 1 : -1;
  const groups = new Map<string, typeof all>();
  for (const one of all) {
    const own = groups.get(`${one.a} ${one.b}`);
    if (own) own.push(one);
    else groups.set(`${one.a} ${one.b}`, [one]);
  }
  return [...groups.values()]
    .filter((own) => own.length >= 2)
    .map((own): AcrossHeads => {
      const { a, b } = own[0]!;
      const sum = own.reduce((at, { effect }) => at + sign * effect.value, 0);
      const answers = own
        .map(({ wearerId, effect, trials }) => ({
          wearerId,
          effect: sum < 0 ? turned(effect) : effect,
          trials,
        }))
        .toSorted((x, y) => sign * (y.effect.value - x.effect.value));
      return {
        ...(sum < 0 ? { a: b, b: a } : { a, b }),
        heads: answers,
        over: alike ? overHeads(answers.map(({ effect }) => effect)) : null,
      };
    })
    .toSorted((x, y) => y.heads.length - x.heads.length || (`${x.a} ${x.b}` < `${y.a} ${y.b}` ? -1 : 1));
}
