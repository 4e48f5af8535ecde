import { type Random, seededRandom } from '../random.ts';
import { AllocationError, type AllocationScheme, balancedComplete } from './allocation.ts';

/**
 * Two arms in blocks: in every block of `block` wash days each arm falls on half of them, all orders equally likely,
 * and blocks are drawn apart. Keeps arms side by side in time under a trend. Never blocks of two: the second day is
 * guessed. Throws an {@link AllocationError} where the days do not fill whole blocks. Source: methods.md 3.
 */
export function blocksOf(block: number, units: number): AllocationScheme {
  if (block < 4 || block % 2 !== 0) throw new AllocationError('A block holds four wash days or more.');
  if (!(units >= block) || units % block !== 0) {
    const lower = Math.max(block, units - (units % block));
    throw new AllocationError(
      `${units} wash days do not fill blocks of ${block}. Plan ${lower} or ${lower + block}.`,
    );
  }
  const one = balancedComplete(2, block);
  const blocks = units / block;
  const orders = [...one.enumerate()];
  const sample = (random: Random) =>
    Array.from({ length: blocks }, () => orders[random.below(orders.length)]!).flat();
  return {
    arms: 2,
    units,
    size: one.size ** blocks,
    sample,
    draw: (seed) => sample(seededRandom(seed)),
    *enumerate() {
      const at = new Array<number>(blocks).fill(0);
      for (;;) {
        yield at.flatMap((order) => orders[order]!);
        let last = blocks - 1;
        while (last >= 0 && at[last] === orders.length - 1) at[last--] = 0;
        if (last < 0) return;
        at[last]!++;
      }
    },
  };
}
