/** Cells that weather files use for "no value". */
const BLANK = /^(|-|–|na|n\/a|nan|null|none|m|\/+|-?9999?(\.0+)?)$/i;

/**
 * A number as weather files write it: decimal point or comma, true minus or hyphen, a unit behind it. Null for a cell
 * that says it has no value; undefined for one that is no number.
 */
export function readNumber(cell: string): number | null | undefined {
  const text = cell.trim();
  if (BLANK.test(text)) return null;
  const plain = text.replace(/−/g, '-').replace(/\s*(°?\s*[cf]|%|m\/s|km\/h|mph|kn|kts?)$/i, '');
  if (!/^[-+]?\d+([.,]\d+)?$/.test(plain)) return undefined;
  return Number(plain.replace(',', '.'));
}
