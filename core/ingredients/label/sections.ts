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
const HEADING = new RegExp(
  `(?:^|[\\n.!;]|(?<=\\s))[ \\t]*((?:[\\p{L}\\d&'’ -]{0,40}\\b)?(?:(?:in)?active |other |full |key )?(?:${WORDS})(?:\\s*\\([^)\\n]{0,40}\\))?(?:\\s*/\\s*(?:${WORDS}))*)\\s*[:\\n–-]`,
  'giu',
);
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
  const found = [...text.matchAll(HEADING)].map((match) => ({
    heading: match[1]!.replace(/\s+/g, ' ').trim(),
    from: match.index,
    to: match.index + match[0].length,
  }));
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
