import type { WishKey } from './columns.ts';
import { networkOf } from './network.ts';
import { type BoardAsk, columnOf } from './read.ts';

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
 * weights at which another thing has the highest estimate of those shown on the leader's island. Null where the leader's own estimate is
 * not the highest now: it leads by draws alone, and no weight can be said to turn that. Source: methods.md 9.
 */
export function turnsOf(ask: BoardAsk, leader: string, shown: readonly string[]): Turn[] | null {
  const weighed = (Object.entries(ask.weights) as [WishKey, number][]).filter(([, weight]) => weight > 0);
  const all = weighed.reduce((sum, [, weight]) => sum + weight, 0);
  const firstAt = (wish: WishKey, share: number): string | null => {
    const others = all - ask.weights[wish]!;
    const weights = Object.fromEntries(
      weighed.map(([key, weight]) => [
        key,
        key === wish ? share : others > 0 ? ((1 - share) * weight) / others : 0,
      ]),
    );
    const to = { ...ask, weights };
    const network = networkOf(columnOf(to, 'wish').trials);
    const at = network.island[network.nodes.indexOf(leader)];
    const own = network.nodes.flatMap((node, i) =>
      network.island[i] === at && shown.includes(node) ? [{ node, value: network.estimate[i]! }] : [],
    );
    return own.toSorted((a, b) => b.value - a.value)[0]?.node ?? null;
  };
  const [first] = weighed;
  if (!first || firstAt(first[0], first[1] / all) !== leader) return null;
  if (weighed.length < 2) return [];
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
