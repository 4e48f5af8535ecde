import type { Ingredient } from '../facts.ts';
import { type Lookup, matchIngredient, partBrackets, slashed } from './match.ts';
import { isNote } from './notes.ts';
import { STATED, type Stated, statedShare } from './percent.ts';
import { splitItems } from './split.ts';

/** One name of a label, with what it is said to hold. */
export interface ReadItem {
  text: string;
  name: string;
  ingredient: Ingredient | null;
  percent: Stated | null;
  marks: string;
  inner: ReadItem[];
}

const MARKS = /[*†‡§¹²³⁴⁵°^#+]+/g;
/** Names as most labels write them need no cleaning. */
const PLAIN = /^[A-Za-z][A-Za-z0-9 /'-]*[A-Za-z0-9]$/;
/** Joints between names: "(and)", "and", "&", "+". */
const JOINT = /\s*\(\s*(?:and|und|et|y)\s*\)\s*|\s+(?:and|und|et|&|\+)\s+/i;
/** A full stop that ends a sentence; not one that shortens a word ("Alcohol Denat.", "C.I.", "var."). */
const SENTENCE_END = /(?<!\b(?:denat|var|spp?|ssp|ext|no|st|ste|c\.i|l|cv|fam|approx|min|max|ca))\.\s+/i;
const MOST_DEEP = 4;

/** A name without percentage, number in front and footnote marks. */
export function bare(text: string): string {
  if (PLAIN.test(text)) return text;
  return text
    .replace(STATED, ' ')
    .replace(/^[\s\d]+[.)]\s+/, '')
    .replace(MARKS, '')
    .replace(/\s+/g, ' ')
    .replace(/^[\s.:-]+|[\s.:]+$/g, '')
    .trim();
}

/** A text parted where a pattern matches outside its brackets. `(and)` is a joint though it stands in brackets. */
function partOutside(text: string, by: RegExp): string[] {
  const pieces: string[] = [];
  let from = 0;
  for (const match of text.matchAll(new RegExp(by.source, `${by.flags}g`))) {
    const before = text.slice(from, match.index);
    const opened = (before.match(/[([{]/g) ?? []).length;
    const closed = (before.match(/[)\]}]/g) ?? []).length;
    if (opened > closed) continue;
    pieces.push(before);
    from = match.index + match[0].length;
  }
  return [...pieces, text.slice(from)].filter((piece) => /\p{L}/u.test(piece));
}

/** Perfume's brackets hold its constituents, whatever they are. */
const isPerfume = (ingredient: Ingredient | null) => ingredient?.marks.has('scent') ?? false;
const withoutLead = (text: string) =>
  text.replace(/^(?:contains?|incl(?:uding|\.)?|of which|with|enth[äa]lt)\b:?\s*/i, '');

/**
 * The names in a piece of a label between two separators: usually one; more where it joins several ("A and B", "A/B", "A. B"),
 * and none where it is a note, which is then given as that. Nothing that could be a name is dropped.
 */
export function readPiece(written: string, find: Lookup, notes: string[], deep = 0): ReadItem[] {
  const name = bare(written);
  if (!/\p{L}/u.test(name)) return [];
  const again = (piece: string) => (deep < MOST_DEEP ? readPiece(piece, find, notes, deep + 1) : []);
  const one = (ingredient: Ingredient | null, called = name, inner: ReadItem[] = []): ReadItem[] => [
    {
      text: written,
      name: called,
      ingredient,
      percent: statedShare(written),
      marks: PLAIN.test(written) ? '' : (written.match(MARKS) ?? []).join(''),
      inner,
    },
  ];
  const whole = find(name);
  if (whole) return one(whole);

  // "Methylisothiazolinone. *Certified organic": a sentence ends; "Aqua. Glycerin. Panthenol": full stops part names.
  const sentences = partOutside(written, SENTENCE_END);
  if (sentences.length > 1) {
    const knows = sentences.filter((piece) => matchIngredient(bare(piece), find));
    return sentences.flatMap((piece, i) => {
      if (i === 0 || matchIngredient(bare(piece), find) || (knows.length > 1 && !isNote(piece)))
        return again(piece);
      notes.push(piece.trim());
      return [];
    });
  }
  // "Glycerin* from organic farming", "*of natural origin".
  const starred = /^([^*†‡§]+?)\s*[*†‡§]+\s*(\p{L}.*)$/u.exec(written);
  if (starred) {
    const [, first = '', rest = ''] = starred;
    if (matchIngredient(bare(rest), find)) return [...again(first), ...again(rest)];
    if (matchIngredient(bare(first), find)) {
      notes.push(rest.trim());
      return again(first);
    }
  }
  if (/^\s*[*†‡§]/.test(written) || isNote(written)) {
    if (!matchIngredient(name, find)) {
      notes.push(written.replace(/^[\s*†‡§]+/, '').trim());
      return [];
    }
  }

  // "Glycerin & Panthenol", "A and b": only where both sides are names, but for the joint of blends, "(and)".
  const joined = partOutside(name, JOINT);
  if (joined.length > 1) {
    const knows = joined.filter((piece) => matchIngredient(piece, find)).length;
    if (
      /\(\s*(?:and|und|et|y)\s*\)/i.test(name) ||
      knows === joined.length ||
      (knows > 0 && knows >= joined.length - 1)
    ) {
      const stated = statedShare(written);
      return joined.flatMap((piece, i) =>
        again(piece).map((item) => (i === 0 && stated ? { ...item, percent: stated } : item)),
      );
    }
  }
  const bracketed = readBrackets(written, name, find, again);
  if (bracketed === 'group')
    return partBrackets(name).groups.flatMap((group) => splitItems(group).flatMap(again));
  if (bracketed) return one(bracketed.ingredient, bracketed.name, bracketed.inner);

  // "Parfum/Linalool/Limonene" are three; "Aqua/Water/Eau" one; a copolymer is itself.
  const parts = slashed(name);
  if (parts.length > 1) {
    const meant = parts.map((part) => find(part));
    if (meant.some((part) => part !== null) && new Set(meant).size > 1 && meant[0] !== null)
      return parts.flatMap((part, i) =>
        again(part).map((item) => (i === 0 ? { ...item, percent: statedShare(written) } : item)),
      );
  }
  // Two names whose comma looked like that of a number: "FD&C Blue 1,2-Bromo-2-Nitropropane-1,3-Diol".
  for (const comma of name.matchAll(/(?<=\d),(?=\d)/g)) {
    const [first, rest] = [name.slice(0, comma.index), name.slice(comma.index + 1)];
    if (find(first.trim()) && find(rest.trim())) return [...again(first), ...again(rest)];
  }
  return one(matchIngredient(name, find));
}

/**
 * What a name's brackets are: a common name or a translation (dropped from the name, kept in the text), constituents of
 * perfume or of an oil, or, with nothing outside, a group of names.
 */
function readBrackets(
  written: string,
  name: string,
  find: Lookup,
  again: (piece: string) => ReadItem[],
): { ingredient: Ingredient | null; name: string; inner: ReadItem[] } | 'group' | null {
  if (!/[([{]/.test(name)) return null;
  if (/\(\s*(?:and|und|et|y)\s*\)/i.test(name)) return null;
  const { outside, groups } = partBrackets(name);
  if (outside === '') return groups.length > 0 ? 'group' : null;
  const ingredient = matchIngredient(outside, find);
  const ends = /[)\]}]\s*$/.test(name) || !/[)\]}]/.test(name);
  // "Butyrospermum Parkii (Shea, Karite) Butter": a name goes on behind its brackets.
  if (!ends)
    return {
      ingredient: ingredient ?? matchIngredient(name, find),
      name: ingredient ? outside : name,
      inner: [],
    };
  const pieces = groups.flatMap((group) => splitItems(withoutLead(group)));
  if (isPerfume(ingredient)) {
    const inner = pieces.flatMap(again).filter((item) => item.ingredient !== ingredient);
    return { ingredient, name: inner.length > 0 ? outside : name, inner };
  }
  const others = pieces.filter((piece) => {
    const meant = matchIngredient(bare(piece), find);
    return meant !== null && meant !== ingredient;
  });
  if (ingredient === null) {
    // Nothing outside is known: one known name in brackets says what it is, several are what it holds.
    if (others.length > 1) return { ingredient: null, name: outside, inner: others.flatMap(again) };
    const unclosed = !/[)\]}]\s*$/.test(name);
    return unclosed && pieces.length > 1
      ? null
      : { ingredient: matchIngredient(name, find), name, inner: [] };
  }
  // An unclosed bracket swallowed names that follow: keep them all.
  const inner = (/[)\]}]/.test(written) ? others : pieces)
    .flatMap(again)
    .filter((item) => item.ingredient !== ingredient);
  return { ingredient, name: inner.length > 0 ? outside : name, inner };
}
