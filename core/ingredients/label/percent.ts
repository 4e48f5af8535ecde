/** What a label states of a share, in %: a bare "5 %" stands for half a unit of its last digit to either side. */
export interface Stated {
  low: number;
  high: number;
}

const FIGURE = String.raw`\d{1,3}(?:[.,]\d+)?`;
const BEFORE = String.raw`<=|>=|[<>~≤≥≈]|(?<!\p{L})(?:min(?:imum)?\b\.?|max(?:imum)?\b\.?|ca\b\.?|circa|approx\b\.?|about|up to|at least|at most|less than|more than|over|under)`;
const BEHIND = String.raw`min\b\.?|max\b\.?|or more|or less`;
/** A share as labels write it: "5 %", "<1%", "min. 5 %", "5–15 %", "(0,5 % w/w)", "2 % max". */
export const STATED = new RegExp(
  String.raw`\(?\s*(${BEFORE})?\s*(?<![\p{L}\d.,-])(${FIGURE})(?:\s*%?\s*(?:[-–—]|to|bis)\s*(${FIGURE}))?\s*%\s*(?:[wv]\/[wv])?\s*(?:(?<![\p{L}])(${BEHIND}))?\s*\)?`,
  'iu',
);
/** Sides of "about 5 %". Model assumption. */
const ABOUT = 1.5;

const AT_MOST = /^(?:<=?|≤|max|up to|at most|less than|under|or less)/i;
const AT_LEAST = /^(?:>=?|≥|min|at least|more than|over|or more)/i;

/** The share a piece of a label states, as bounds; null where it states none. */
export function statedShare(text: string): Stated | null {
  if (!text.includes('%')) return null;
  const match = STATED.exec(text);
  if (!match) return null;
  const [, before = '', first = '', second, behind = ''] = match;
  const figure = (digits: string) => Number(digits.replace(',', '.'));
  const value = figure(first);
  if (second !== undefined) {
    const other = figure(second);
    return { low: Math.min(value, other), high: Math.min(100, Math.max(value, other)) };
  }
  const sign = before || behind;
  if (AT_MOST.test(sign)) return { low: 0, high: Math.min(100, value) };
  if (AT_LEAST.test(sign)) return { low: Math.min(100, value), high: 100 };
  if (sign) return { low: value / ABOUT, high: Math.min(100, value * ABOUT) };
  const decimals = first.replace(',', '.').split('.')[1]?.length ?? 0;
  const within = 0.5 * 10 ** -decimals;
  return { low: Math.max(0, value - within), high: Math.min(100, value + within) };
}
