import type { Slot } from '../step/slots.ts';
import type { ColumnKey } from './columns.ts';
import { type Effect, networkOf } from './network.ts';
import { type BoardAsk, columnOf } from './read.ts';
import type { LineItem } from './tested.ts';

/** What one item of a line did by itself: the other line with this item in place of its own. */
export interface ItemEffect {
  slot: Slot;
  /** How far the first line's item lies over the second's; null where no trial swapped it. */
  effect: Effect | null;
}

const same = (one: readonly LineItem[], other: readonly LineItem[]) =>
  JSON.stringify(one) === JSON.stringify(other);

/**
 * Which item carried one line against another in a column, item by item, where a follow-up swapped one at a time: the second
 * line with the first's item over the second as it was, or the first over itself with the second's. Each effect holds with
 * the other items as they were in that follow-up. Empty where the two are no lines of the same steps.
 */
export function carriedBy(ask: BoardAsk, key: ColumnKey, a: string, b: string): ItemEffect[] {
  const { trials, counted, places } = columnOf(ask, key);
  const network = networkOf(trials);
  const lines = new Map(
    counted.flatMap((trial) =>
      trial.arms.flatMap(({ items }, arm) =>
        items ? [[places.get(`${trial.id} ${arm}`)!.node, items] as const] : [],
      ),
    ),
  );
  const [first, second] = [lines.get(a), lines.get(b)];
  if (!first || !second || first.length !== second.length) return [];
  if (first.some(([slot], i) => second[i]![0] !== slot)) return [];
  const nodeOf = (items: readonly LineItem[]) => [...lines].find(([, one]) => same(one, items))?.[0];
  return first.flatMap(([slot, productId], i): ItemEffect[] => {
    if (second[i]![1] === productId) return [];
    const swapped = (line: readonly LineItem[], by: readonly LineItem[]) =>
      line.map((item, j) => (j === i ? by[j]! : item));
    const [into, out] = [nodeOf(swapped(second, first)), nodeOf(swapped(first, second))];
    const effect =
      (into !== undefined && into !== a ? network.between(into, b) : null) ??
      (out !== undefined && out !== b ? network.between(a, out) : null);
    return [{ slot, effect }];
  });
}
