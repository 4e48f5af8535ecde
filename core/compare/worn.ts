import type { Wear } from './wear.ts';

/** How many of an arm's wears were still good on a day, of those of which that is known. */
export function goodOn(wears: readonly Wear[], arm: number, day: number): { good: number; known: number } {
  const own = wears.flatMap((wear) => (wear.arm === arm && wear.seen ? [wear.seen] : []));
  const good = own.filter(({ from }) => from >= day).length;
  const ended = own.filter(({ from, to }) => from < day && to !== null && to <= day).length;
  return { good, known: good + ended };
}

/** What ended an arm's wears by `upTo`. */
export interface Ended {
  /** A check-in saw that it was no longer good. */
  look: number;
  /** It was washed or restyled for its looks or an itch. */
  wash: number;
  /** It was cut short while still good, for another reason. */
  cut: number;
  /** It was still good on the last day. */
  lasted: number;
}

export function endedBy(wears: readonly Wear[], arm: number, upTo: number): Ended {
  const found: Ended = { look: 0, wash: 0, cut: 0, lasted: 0 };
  for (const { arm: own, seen } of wears) {
    if (own !== arm || !seen) continue;
    if (seen.from >= upTo) found.lasted++;
    else if (seen.to === null) found.cut++;
    else found[seen.toldBy ?? 'look']++;
  }
  return found;
}
