import { unguarded } from '../table/formula-guard.ts';
import { LABEL_HOLDS, type LabelHold, ROLES, type Role, STAKES, type Stake } from './products.ts';

/** What a column of a product file can hold; the keys are the headings Sabor itself writes. */
export const PRODUCT_COLUMNS = {
  name: { label: 'name', hints: /^(name|product|product name|title|artikel)$/i },
  line: { label: 'line or brand', hints: /^(line|brand|range|marke|maker)$/i },
  roles: { label: 'roles', hints: /^(roles?|type|kind|category)$/i },
  size_ml: { label: 'size in ml', hints: /^(size|volume|ml|size.?ml|content)$/i },
  price: { label: 'price', hints: /^(price|cost|preis|rrp)$/i },
  currency: { label: 'currency', hints: /^currency$/i },
  label_hold: { label: 'hold the label states', hints: /^(label.?hold|hold)$/i },
  ingredients: { label: 'ingredients', hints: /^(ingredients?|inci|composition|inhaltsstoffe)$/i },
  label_directions: { label: 'directions', hints: /^(label.?directions|directions|use)$/i },
  stake: { label: 'how you stand to it', hints: /^stake$/i },
  opened_on: { label: 'opened on', hints: /^opened.?(on)?$/i },
  months_after_opening: { label: 'months after opening', hints: /^(months.?after.?opening|pao)$/i },
  note: { label: 'note', hints: /^(notes?|remarks?)$/i },
} as const;
export type ProductColumn = keyof typeof PRODUCT_COLUMNS;
export type ProductColumns = (ProductColumn | null)[];

export interface ProductRow {
  line: string | null;
  name: string;
  roles: Role[];
  sizeMl: number | null;
  price: number | null;
  currency: string | null;
  labelHold: LabelHold;
  ingredients: string;
  labelDirections: string | null;
  stake: Stake;
  openedOn: string | null;
  monthsAfterOpening: number | null;
  note: string;
}

/** A first reading of the headings, each kind once. */
export function guessProductColumns(header: readonly string[]): ProductColumns {
  const taken = new Set<ProductColumn>();
  return header.map((heading) => {
    const plain = heading.trim().replaceAll('_', ' ');
    const found = (Object.keys(PRODUCT_COLUMNS) as ProductColumn[]).find(
      (key) =>
        !taken.has(key) && (key === heading.trim().toLowerCase() || PRODUCT_COLUMNS[key].hints.test(plain)),
    );
    if (found) taken.add(found);
    return found ?? null;
  });
}

const keyOf = <K extends string>(vocabulary: Record<K, { label: string }>, text: string): K | null => {
  const wanted = text.trim().toLowerCase();
  const keys = Object.keys(vocabulary) as K[];
  return keys.find((key) => key === wanted || vocabulary[key].label.toLowerCase() === wanted) ?? null;
};

/** Words by which other lists name a role. */
const ROLE_WORDS: readonly [RegExp, Role][] = [
  [/clarif/i, 'clarifier'],
  [/co-?wash|conditioner wash/i, 'co-wash'],
  [/shampoo|cleanser/i, 'shampoo'],
  [/leave-?in/i, 'leave-in'],
  [/mask|deep/i, 'mask'],
  [/protein|bond|treatment/i, 'treatment'],
  [/pre-?(wash|poo)/i, 'pre-wash'],
  [/conditioner/i, 'conditioner'],
  [/mousse|foam/i, 'foam'],
  [/edge/i, 'edge'],
  [/gel|jelly/i, 'gel'],
  [/cream|custard|butter/i, 'cream'],
  [/spray|mist|refresh/i, 'spray'],
  [/oil|serum/i, 'oil'],
];

function rolesOf(text: string): Role[] {
  const parts = text
    .split(/[;,|/+]/)
    .map((part) => part.trim())
    .filter(Boolean);
  return [
    ...new Set(
      parts.flatMap((part) => keyOf(ROLES, part) ?? ROLE_WORDS.find(([word]) => word.test(part))?.[1] ?? []),
    ),
  ];
}

function numberOf(text: string, what: string): number | null {
  const plain = text
    .trim()
    .replace(/\s*(ml|eur|usd|gbp|€|\$|£)\s*$/i, '')
    .replace(/^[€$£]\s*/, '')
    .replace(',', '.');
  if (plain === '') return null;
  if (!/^\d+(\.\d+)?$/.test(plain)) throw new RangeError(`${what}: “${text.trim()}” is no number.`);
  return Number(plain);
}

/**
 * Reads the rows of a product file: what can be used is taken, every other row is told with its line and the reason.
 * Two rows with one name and line are told too; the first is taken.
 */
export function readProductRows(
  rows: readonly (readonly string[])[],
  columns: ProductColumns,
  firstLine: number,
): { taken: ProductRow[]; refused: { line: number; reason: string }[] } {
  const at = (key: ProductColumn) => columns.indexOf(key);
  const taken: ProductRow[] = [];
  const refused: { line: number; reason: string }[] = [];
  const seen = new Map<string, number>();
  rows.forEach((row, i) => {
    const line = firstLine + i;
    if (row.every((cell) => cell.trim() === '')) return;
    // A mark in front keeps a spreadsheet from reading a formula; it is not part of the text.
    const raw = (key: ProductColumn) => unguarded(at(key) < 0 ? '' : (row[at(key)] ?? ''));
    const cell = (key: ProductColumn) => raw(key).trim();
    try {
      const name = cell('name');
      if (name === '') throw new RangeError('The name is missing.');
      const key = `${cell('line').toLowerCase()}\n${name.toLowerCase()}`;
      if (seen.has(key))
        throw new RangeError(`The same product as line ${seen.get(key)}; the first was taken.`);
      const roles = rolesOf(cell('roles') || name);
      if (roles.length === 0)
        throw new RangeError(
          cell('roles') ? `“${cell('roles')}” is no role Sabor knows.` : 'The role is missing.',
        );
      const price = numberOf(cell('price'), 'Price');
      const opened = cell('opened_on');
      if (opened && !/^\d{4}-\d{2}-\d{2}$/.test(opened))
        throw new RangeError('Give the opened date as 2026-11-25.');
      seen.set(key, line);
      taken.push({
        line: cell('line') || null,
        name,
        roles,
        sizeMl: numberOf(cell('size_ml'), 'Size'),
        price,
        currency: cell('currency').toUpperCase() || null,
        labelHold: keyOf<LabelHold>(LABEL_HOLDS, cell('label_hold')) ?? 'silent',
        ingredients: raw('ingredients'),
        labelDirections: cell('label_directions') || null,
        stake: keyOf<Stake>(STAKES, cell('stake')) ?? 'bought',
        openedOn: opened || null,
        monthsAfterOpening: numberOf(cell('months_after_opening'), 'Months after opening'),
        note: cell('note'),
      });
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      refused.push({ line, reason: error.message });
    }
  });
  return { taken, refused };
}

/** A product as the row of cells Sabor writes, which reads back the same. */
export function productCells(
  product: Omit<ProductRow, 'line'> & { line: string | null },
): Record<ProductColumn, string> {
  const text = (value: string | number | null) => (value === null ? '' : String(value));
  return {
    name: product.name,
    line: text(product.line),
    roles: product.roles.join('; '),
    size_ml: text(product.sizeMl),
    price: text(product.price),
    currency: text(product.currency),
    label_hold: product.labelHold,
    ingredients: product.ingredients,
    label_directions: text(product.labelDirections),
    stake: product.stake,
    opened_on: text(product.openedOn),
    months_after_opening: text(product.monthsAfterOpening),
    note: product.note,
  };
}
