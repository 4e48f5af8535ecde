import { byNormalName, knownNames } from '../dictionary.ts';
import type { Ingredient } from '../facts.ts';
import { normalName } from '../normal-name.ts';

/** Restricted edit distance (neighbouring letters swapped count once), or more than `most` when it exceeds that. */
export function editDistance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let cost = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + same);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        cost = Math.min(cost, before[j - 2]! + 1);
      row.push(cost);
      if (cost < least) least = cost;
    }
    if (least > most) return most + 1;
    before = last;
    last = row;
  }
  return last[b.length]!;
}

/**
 * What a name the dictionary does not know may have been meant for: few letters wrong, or cut off. Best first, at most
 * three; empty when nothing is near enough.
 */
export function suggest(name: string): Ingredient[] {
  const wanted = normalName(name);
  if (wanted.length < 5) return [];
  const most = wanted.length >= 12 ? 3 : wanted.length >= 8 ? 2 : 1;
  const near: { distance: number; ingredient: Ingredient }[] = [];
  for (const known of knownNames()) {
    const cut = wanted.length >= 7 && known.startsWith(wanted);
    const distance = cut ? 0.5 + (known.length - wanted.length) / 100 : editDistance(wanted, known, most);
    if (distance <= most) near.push({ distance, ingredient: byNormalName(known)! });
  }
  near.sort((a, b) => a.distance - b.distance || a.ingredient.name.length - b.ingredient.name.length);
  return [...new Set(near.map(({ ingredient }) => ingredient))].slice(0, 3);
}
