import { ALLERGY_GROUPS, type AllergyGroup } from './allergy-groups.ts';
import { findIngredient } from './dictionary.ts';
import type { Ingredient } from './facts.ts';
import { normalName } from './normal-name.ts';

/** An item of a label as an allergy is looked for in it. */
export interface Named {
  name: string;
  text?: string;
  ingredient: Ingredient | null;
}

export type Reading = 'has' | 'may have';

/** An allergy as it is looked for: by an ingredient, a group, or the label's own letters. */
export interface Allergy {
  /** What it was understood as. */
  label: string;
  /** How an item of a label stands to it; null where it has nothing to do with it. */
  reads(item: Named): Reading | null;
}

/** Names told once are told again on the next label: so many are kept. */
const MOST_KEPT = 20_000;
const spacedOnce = new Map<string, string>();
function spaced(text: string): string {
  let found = spacedOnce.get(text);
  if (found === undefined) {
    found = ` ${text
      .toLowerCase()
      .replace(/sulph/g, 'sulf')
      .replace(/[^a-z0-9]+/g, ' ')} `;
    if (spacedOnce.size >= MOST_KEPT) spacedOnce.clear();
    spacedOnce.set(text, found);
  }
  return found;
}
/** A stem begins a word; one of six letters and more may stand within one. */
const stemIn = (called: string, stem: string): boolean =>
  called.includes(` ${stem.trimStart()}`) || (stem.length > 5 && called.includes(stem));

const calledBy = new WeakMap<Named, string>();
/** Every way an item is called, as stems are looked for in it; worked out once an item. */
function calledAs(item: Named): string {
  let found = calledBy.get(item);
  if (found === undefined) {
    const { name, text = '', ingredient } = item;
    found = [...new Set([name, text, ingredient?.name ?? ''])].map(spaced).join('|');
    calledBy.set(item, found);
  }
  return found;
}

function ofGroup(group: AllergyGroup): Allergy {
  const { stems = [], names = [], marks = [], mayHold = [], mayMarks = [] } = group;
  const not = (group.not ?? []).map((other) => spaced(other).trimEnd());
  const wanted = stems.map((stem) => stem.replace(/sulph/g, 'sulf').replace(/[^a-z0-9 ]+/g, ' '));
  return {
    label: group.label,
    reads(item) {
      const { ingredient } = item;
      if (ingredient && names.includes(ingredient.name)) return 'has';
      if (marks.some((mark) => ingredient?.marks.has(mark))) return 'has';
      if (wanted.length > 0) {
        let called = calledAs(item);
        for (const other of not) called = called.replaceAll(other, ' ');
        if (wanted.some((stem) => stemIn(called, stem))) return 'has';
      }
      if (ingredient && mayHold.includes(ingredient.name)) return 'may have';
      return mayMarks.some((mark) => ingredient?.marks.has(mark)) ? 'may have' : null;
    },
  };
}

const byWord = new Map(
  ALLERGY_GROUPS.flatMap((group) => group.words.map((word) => [normalName(word), group])),
);
const singular = (word: string) => word.replace(/(?:ies)$/, 'y').replace(/s$/, '');

/**
 * What a word on a file means: a group or plain word, or an ingredient by any of its names; null where Sabor does not
 * know it, and it would match nothing.
 */
export function readAllergy(word: string): Allergy | null {
  let found = readOnce.get(word);
  if (found === undefined) {
    found = understood(word);
    if (readOnce.size >= MOST_KEPT) readOnce.clear();
    readOnce.set(word, found);
  }
  return found;
}
const readOnce = new Map<string, Allergy | null>();

function understood(word: string): Allergy | null {
  const normal = normalName(word);
  if (normal === '') return null;
  const group = byWord.get(normal) ?? byWord.get(normalName(singular(word.trim().toLowerCase())));
  const meant = findIngredient(word);
  if (!group && !meant) return null;
  if (!group) return { label: meant!.name, reads: ({ ingredient }) => (ingredient === meant ? 'has' : null) };
  const whole = ofGroup(group);
  return meant
    ? { ...whole, reads: (item) => (item.ingredient === meant ? 'has' : whole.reads(item)) }
    : whole;
}

/** The sentence for a word that is refused. */
export const UNKNOWN_ALLERGY =
  'Sabor does not know this word: it will match nothing yet. Use the name on the label (INCI), or a plain word such as “wheat”, “nuts” or “perfume”.';

/** Items of a label that an allergy reaches, and whether they hold it or may. A word that is not known is looked for by its letters. */
export function itemsWith<T extends Named>(
  items: readonly T[],
  word: string,
): { item: T; reading: Reading }[] {
  const allergy = readAllergy(word);
  const letters = normalName(word);
  return items.flatMap((item): { item: T; reading: Reading }[] => {
    if (allergy) {
      const reading = allergy.reads(item);
      return reading ? [{ item, reading }] : [];
    }
    const called = [item.name, item.text ?? ''].map(normalName);
    return letters !== '' && called.some((name) => name.includes(letters)) ? [{ item, reading: 'has' }] : [];
  });
}
