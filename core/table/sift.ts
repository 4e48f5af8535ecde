/** How a list is narrowed and ordered: words that must all stand in an item's text, chosen facts, and an order. */
export interface Sieve {
  words: string;
  /** Chosen value of each fact; empty or left out for any. */
  facts: Readonly<Record<string, string | undefined>>;
  sort: string;
}

export interface SieveOf<T> {
  text: (item: T) => string;
  /** The values an item has of a fact. */
  facts: Readonly<Record<string, (item: T) => readonly string[]>>;
  sorts: Readonly<Record<string, (a: T, b: T) => number>>;
}

/** A text without case and accents, as it is compared. */
export const plainText = (text: string): string =>
  text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase();

/** Text order as a reader expects it: case and accents aside, numbers by their size. */
const collator = new Intl.Collator('en', { sensitivity: 'base', numeric: true });
export const byText = (a: string, b: string): number => collator.compare(a, b);

/** Numbers from small to large; what has none comes last. */
export const byNumber = (a: number | null, b: number | null): number =>
  a === b ? 0 : a === null ? 1 : b === null ? -1 : a - b;

/** The items that pass, in order; items that sort the same keep theirs. An order that is not known changes nothing. */
export function sift<T>(items: readonly T[], { words, facts, sort }: Sieve, of: SieveOf<T>): T[] {
  const wanted = plainText(words).split(/\s+/).filter(Boolean);
  const chosen = Object.entries(facts).filter(([, value]) => value);
  const passed = items.filter((item) => {
    if (chosen.some(([fact, value]) => !(of.facts[fact]?.(item) ?? []).includes(value!))) return false;
    if (wanted.length === 0) return true;
    const text = plainText(of.text(item));
    return wanted.every((word) => text.includes(word));
  });
  const order = Object.hasOwn(of.sorts, sort) ? of.sorts[sort] : undefined;
  return order ? passed.toSorted(order) : passed;
}
