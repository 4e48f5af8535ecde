import type { Ingredient } from '../facts.ts';
import { normalName } from '../normal-name.ts';
import { type Lookup, lookupWith } from './match.ts';
import { cutNotes } from './notes.ts';
import type { Stated } from './percent.ts';
import { bare, type ReadItem, readPiece } from './read-item.ts';
import { findLists, type LabelList, type Section, usualList } from './sections.ts';
import { splitItems } from './split.ts';
import { LABEL_LIMIT, tidy } from './tidy.ts';

export interface LabelItem {
  /** As the label writes it. */
  text: string;
  /** Its name without percentage and footnote marks. */
  name: string;
  ingredient: Ingredient | null;
  section: Section;
  /** Share in % the label states, as bounds; null without one. */
  percent: Stated | null;
  /** Place of the item it is said to be inside of ("Parfum (Linalool, …)"), else null. */
  inside: number | null;
  /** Footnote marks behind it. */
  marks: string;
}

export interface ParsedLabel {
  items: LabelItem[];
  /** Text that belongs to no list: what stood before the first heading. */
  before: string;
  heading: string;
  /** What stood among or behind the names and is none: claims, warnings, footnotes. */
  notes: string[];
  /** Which of the paste's lists was read. */
  which: number;
  /** Sentences about the paste itself. */
  says: string[];
}

/** The items of one list in their order, and what was read as notes. */
function itemsOf(list: LabelList, find: Lookup): { items: LabelItem[]; notes: string[] } {
  const items: LabelItem[] = [];
  const notes: string[] = [];
  const known = (name: string) => find(bare(name)) !== null;
  const keep = (read: ReadItem, section: Section, inside: number | null) => {
    // Field by field: records put together by spreading took a third of a label's time.
    const { text, name, ingredient, percent, marks, inner } = read;
    items.push({ text, name, ingredient, section, percent, inside, marks });
    const place = items.length - 1;
    for (const part of inner) keep(part, section, inside ?? place);
  };
  for (const { section, text } of list.parts) {
    const cut = cutNotes(text, known);
    notes.push(...cut.notes);
    for (const written of splitItems(cut.text, known))
      for (const read of readPiece(written, find, notes)) keep(read, section, null);
  }
  return { items, notes };
}

const NUTRITION =
  /\b(kcal|kJ|calories|saturates|carbohydrates?|dietary fib(?:re|er)|per 100 ?g|serving size|of which sugars)\b/i;

/** What is odd about a paste, a sentence each. */
function oddities(text: string, items: readonly LabelItem[], lists: number, which: string): string[] {
  const says: string[] = [];
  if (text.trim() === '') return ['Paste the ingredient list as it stands on the label.'];
  const known = items.filter(({ ingredient }) => ingredient).length;
  if (NUTRITION.test(text) && known < items.length / 2)
    says.push('This reads like a nutrition label. Paste the list that begins with “Ingredients”.');
  else if (known === 0) {
    const words = text.trim().split(/\s+/).length;
    says.push(
      words > 25
        ? 'No ingredient was found in this text. It reads like a description: paste the list that begins with “Ingredients”.'
        : 'No name here is in the dictionary. Check the spelling, or classify the names yourself.',
    );
  } else if (items.length === 1)
    says.push('Only one ingredient. If the label lists more, paste the rest as well.');
  const total = items.reduce(
    (sum, { percent, inside }) => sum + (inside === null ? (percent?.low ?? 0) : 0),
    0,
  );
  if (total > 100.5) says.push(`The percentages on this label add up to ${Math.round(total)}: over 100.`);
  const seen = new Set<string>();
  const twice = new Set<string>();
  for (const { name, ingredient, inside } of items) {
    const key = ingredient?.name ?? normalName(name);
    if (inside === null && seen.has(key)) twice.add(ingredient?.name ?? name);
    seen.add(key);
  }
  if (twice.size) says.push(`Named twice: ${[...twice].slice(0, 4).join(', ')}.`);
  if (lists > 1)
    says.push(`This paste holds ${lists} lists; ${which} is read. Choose another if that is the one.`);
  return says;
}

/**
 * Reads a label's ingredient list as people paste it. Never throws; keeps every name in its order, known or not; says
 * what is odd in sentences. `which` chooses among several lists in one paste; left out, the full one is read where another
 * only names key ingredients.
 */
export function parseLabel(
  text: string,
  which: number | null = null,
  own: ReadonlyMap<string, Ingredient> | null = null,
): ParsedLabel & { lists: string[] } {
  if (text.length > LABEL_LIMIT)
    return {
      items: [],
      before: '',
      heading: '',
      notes: [],
      which: 0,
      lists: [],
      says: [
        `This is longer than any label: ${text.length.toLocaleString('en')} characters. Paste the ingredient list alone.`,
      ],
    };
  const find = lookupWith(own);
  const { before, lists } = findLists(tidy(text));
  const chosen = which === null ? usualList(lists) : Math.min(which, lists.length - 1);
  const list = lists[chosen] ?? { heading: '', parts: [] };
  const { items, notes } = itemsOf(list, find);
  const called = (i: number) => lists[i]?.heading || `List ${i + 1}`;
  return {
    items,
    before,
    heading: list.heading,
    notes,
    which: Math.max(0, chosen),
    lists: lists.map((_, i) => called(i)),
    says: oddities(text, items, lists.length, chosen === 0 ? 'the first' : `“${called(chosen)}”`),
  };
}
