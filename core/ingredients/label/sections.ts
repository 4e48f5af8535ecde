import { splitItems } from './split.ts';
import { tidy } from './tidy.ts';

/** Which part of a label an item stands in. */
export const SECTIONS = {
  main: { label: 'ingredients' },
  active: { label: 'active ingredients' },
  'may contain': { label: 'may contain' },
} as const;
export type Section = keyof typeof SECTIONS;

export interface ListPart {
  section: Section;
  text: string;
}

/** One list of a paste, with its heading where it had one. */
export interface LabelList {
  heading: string;
  parts: ListPart[];
}

const WORDS =
  'ingredients?|ingrédients?|ingredienti|ingredientes|inhaltsstoffe|zutaten|ingrediënten|ingredienser|składniki|inci|composition|composição|состав';
const WORD = new RegExp(`(?<!\\p{L})(?:${WORDS})(?!\\p{L})`, 'giu');
const BEHIND = new RegExp(`^(?:\\s*\\([^)\\n]{0,40}\\))?(?:\\s*/\\s*(?:${WORDS}))*\\s*[:\\n–-]`, 'iu');
const BEFORE = /[\p{L}\d&'’ -]{0,40}$/u;

/** Headings in a text: a word for "ingredients" with what stands before it on its line, and a colon or line end behind. */
function headings(text: string): { heading: string; from: number; to: number }[] {
  const found: { heading: string; from: number; to: number }[] = [];
  for (const match of text.matchAll(WORD)) {
    if (match.index < (found.at(-1)?.to ?? 0)) continue;
    const end = match.index + match[0].length;
    const behind = BEHIND.exec(text.slice(end, end + 120));
    if (!behind) continue;
    const before = BEFORE.exec(text.slice(Math.max(0, match.index - 40), match.index))?.[0] ?? '';
    const from = match.index - before.length;
    const heading = text.slice(from, end + behind[0].length).replace(/[\s:–-]+$/, '');
    found.push({ heading: heading.replace(/\s+/g, ' ').trim(), from, to: end + behind[0].length });
  }
  return found;
}

const MAY =
  /(?:\[?\s*\+\s*\/\s*-\s*:?|\bmay contain\b\s*(?:\(?\+\/-\)?)?\s*:?|\bpeut contenir\b\s*:?|\bkann enthalten\b\s*:?|±\s*:?)/i;

function partsOf(text: string, section: Section): ListPart[] {
  const may = MAY.exec(text);
  if (!may) return [{ section, text }];
  const after = text.slice(may.index + may[0].length).replace(/\]\s*\.?\s*$/, '');
  return [
    { section, text: text.slice(0, may.index) },
    { section: 'may contain', text: after },
  ];
}

/**
 * The lists of a tidied paste. Headings begin them; "active" and "inactive" belong to one label; whatever stands before
 * the first heading is given apart, not lost. Without headings the whole text is one list.
 */
export function findLists(text: string): { before: string; lists: LabelList[] } {
  const found = headings(text);
  if (found.length === 0) return { before: '', lists: [{ heading: '', parts: partsOf(text, 'main') }] };
  const lists: LabelList[] = [];
  found.forEach(({ heading, to }, i) => {
    const body = text.slice(to, found[i + 1]?.from ?? text.length);
    if (!/[\p{L}]/u.test(body)) return;
    const kind = /\binactive\b|\bother\b/i.test(heading)
      ? 'inactive'
      : /\bactive\b/i.test(heading)
        ? 'active'
        : 'main';
    const last = lists.at(-1);
    if (kind === 'inactive' && last?.parts.every(({ section }) => section === 'active'))
      last.parts.push(...partsOf(body, 'main'));
    else lists.push({ heading, parts: partsOf(body, kind === 'active' ? 'active' : 'main') });
  });
  return { before: text.slice(0, found[0]!.from).trim(), lists };
}

/** The pieces of the list a paste most likely means, as written: split, not yet read. */
export function piecesOf(text: string): string[] {
  const { lists } = findLists(tidy(text));
  return (lists[usualList(lists)]?.parts ?? []).flatMap((part) => splitItems(part.text));
}

/** Headings over a choice of a product's ingredients, not its list. */
const KEY_ONLY =
  /\b(?:key|hero|star|main|featured|highlights?|signature|powerhouse|notable|selected|beneficial)\b/i;

/**
 * The list to read where nobody chose: the first that is not only of key ingredients; of lists of one product the longer
 * one where it holds the other.
 */
export function usualList(lists: readonly LabelList[]): number {
  if (lists.length < 2) return 0;
  const full = lists.flatMap(({ heading }, i) => (KEY_ONLY.test(heading) ? [] : [i]));
  const [first = 0] = full;
  const words = ({ parts }: LabelList) =>
    parts
      .flatMap(({ text }) => text.toLowerCase().split(/[,;•·|\n]/))
      .map((piece) => piece.trim())
      .filter(Boolean);
  const own = new Set(words(lists[first]!));
  const larger = full.find((i) => {
    const others = new Set(words(lists[i]!));
    return others.size > own.size && [...own].every((piece) => others.has(piece));
  });
  return larger ?? first;
}
