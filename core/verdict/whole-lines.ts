import type { BoardTrial } from '../board/read.ts';

/**
 * Trials of whole lines with each line as one thing to be judged, by its id: an arm all of whose items are products of one line
 * stands for that line. An arm that mixes lines, or leaves a step out, stands for none. `lineOf` a product's line.
 */
export const linesAsOne = (
  trials: readonly BoardTrial[],
  lineOf: (productId: string) => string | null,
): BoardTrial[] =>
  trials.map((trial) => ({
    ...trial,
    arms: trial.arms.map((arm) => {
      const line = lineOfItems(arm.items, lineOf);
      return line === null ? arm : { ...arm, kind: 'product' as const, productId: line };
    }),
  }));

/** The line that all of these items are products of; null where there is none. */
export function lineOfItems(
  items: BoardTrial['arms'][number]['items'],
  lineOf: (productId: string) => string | null,
): string | null {
  if (items === null || items.length === 0) return null;
  const lines = new Set(items.map(([, productId]) => (productId === null ? null : lineOf(productId))));
  const [line] = lines;
  return lines.size === 1 ? (line ?? null) : null;
}
