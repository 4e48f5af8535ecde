import type { Ingredient } from '../facts.ts';
import { normalName } from '../normal-name.ts';
import { matchIngredient } from './match.ts';
import { findLists, type LabelList, type Section } from './sections.ts';
import { splitItems } from './split.ts';
import { LABEL_LIMIT, tidy } from './tidy.ts';

export interface LabelItem {
  /** As the label writes it. */
  text: string;
  /** Its name without percentage and footnote marks. */
  name: string;
  ingredient: Ingredient | null;
  section: Section;
  /** Percentage the label states, with half a unit of its last digit; null without one. */
  percent: { value: number; within: number } | null;
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
  /** Sentences about the paste itself. */
  says: string[];
}

const PERCENT =
  /\(?\s*(?:<|>|~|≤|≥|min\.?|max\.?|ca\.?)?\s*(\d{1,3}(?:[.,]\d+)?)\s*%\s*(?:w\/w|v\/v)?\s*\)?/i;
const MARKS = /[*†‡§¹²³⁴⁵°^#+]+/g;
const BLEND = /\s*\(\s*(?:and|und|et|y)\s*\)\s*|\s+\band\b\s+(?=[A-Z])/;

function percentOf(text: string): LabelItem['percent'] {
  if (!text.includes('%')) return null;
  const m = PERCENT.exec(text);
  if (!m) return null;
  const digits = m[1]!.replace(',', '.');
  const decimals = digits.split('.')[1]?.length ?? 0;
  return { value: Number(digits), within: 0.5 * 10 ** -decimals };
}

/** Names as most labels write them need no cleaning. */
const PLAIN = /^[A-Za-z][A-Za-z0-9 /'-]*[A-Za-z0-9]$/;

function bare(text: string): string {
  if (PLAIN.test(text)) return text;
  return text
    .replace(PERCENT, ' ')
    .replace(/^[\s\d]+[.)]\s+/, '')
    .replace(MARKS, '')
    .replace(/\s+/g, ' ')
    .replace(/^[\s.:-]+|[\s.:]+$/g, '')
    .trim();
}

/** Constituents named in brackets behind perfume or an oil; other brackets hold a common name. */
function constituents(name: string): string[] {
  const m = /^[^([{]*[([{]([^)\]}]*,[^)\]}]*)[)\]}]?/.exec(name);
  return m ? splitItems(m[1]!) : [];
}

function itemsOf(list: LabelList, own: ReadonlyMap<string, Ingredient> | null): LabelItem[] {
  const items: LabelItem[] = [];
  for (const { section, text } of list.parts)
    for (const written of splitItems(text)) {
      const whole = bare(written);
      const direct = matchIngredient(whole, own);
      const pieces = direct || !BLEND.test(whole) ? [whole] : whole.split(BLEND).filter(Boolean);
      pieces.forEach((piece, n) => {
        const inner = pieces.length === 1 ? constituents(piece) : [];
        const name = inner.length ? piece.replace(/\s*[([{].*$/, '') : piece;
        if (!/\p{L}/u.test(name)) return;
        const item: LabelItem = {
          text: pieces.length === 1 ? written : piece,
          name,
          ingredient: pieces.length === 1 && !inner.length ? direct : matchIngredient(name, own),
          section,
          percent: n === 0 ? percentOf(written) : null,
          inside: null,
          marks: PLAIN.test(written) ? '' : (written.match(MARKS) ?? []).join(''),
        };
        items.push(item);
        const place = items.length - 1;
        for (const part of inner)
          items.push({
            text: part,
            name: bare(part),
            ingredient: matchIngredient(bare(part), own),
            section,
            percent: percentOf(part),
            inside: place,
            marks: '',
          });
      });
    }
  return items;
}

const NUTRITION =
  /\b(kcal|kJ|calories|saturates|carbohydrates?|dietary fib(?:re|er)|per 100 ?g|serving size|of which sugars)\b/i;

/** What is odd about a paste, a sentence each. */
function oddities(text: string, items: readonly LabelItem[], lists: number): string[] {
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
    (sum, { percent, inside }) => sum + (inside === null ? (percent?.value ?? 0) : 0),
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
    says.push(`This paste holds ${lists} lists; the first is read. Choose another if that is the one.`);
  return says;
}

/**
 * Reads a label's ingredient list as people paste it. Never throws; keeps every name in its order, known or not; says
 * what is odd in sentences. `which` chooses among several lists in one paste.
 */
export function parseLabel(
  text: string,
  which = 0,
  own: ReadonlyMap<string, Ingredient> | null = null,
): ParsedLabel & { lists: string[] } {
  if (text.length > LABEL_LIMIT)
    return {
      items: [],
      before: '',
      heading: '',
      lists: [],
      says: [
        `This is longer than any label: ${text.length.toLocaleString('en')} characters. Paste the ingredient list alone.`,
      ],
    };
  const { before, lists } = findLists(tidy(text));
  const list = lists[Math.min(which, lists.length - 1)] ?? { heading: '', parts: [] };
  const items = itemsOf(list, own);
  return {
    items,
    before,
    heading: list.heading,
    lists: lists.map(({ heading }, i) => heading || `List ${i + 1}`),
    says: oddities(text, items, lists.length),
  };
}
