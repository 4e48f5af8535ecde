/** A field that was changed on both sides: where it is, and what each side has there. */
export interface Conflict {
  /** Keys to the field; of a list whose items have ids, the id. */
  path: readonly string[];
  mine: unknown;
  theirs: unknown;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

type Item = { id: string };
const isList = (value: unknown): value is Item[] =>
  Array.isArray(value) && value.every((item) => isPlain(item) && typeof item.id === 'string');

/** Lists whose items have ids: what one side added, changed or took out; what was taken out here and changed there stays. */
function mergeLists(
  base: Item[],
  mine: Item[],
  theirs: Item[],
  path: readonly string[],
  found: Conflict[],
): Item[] {
  const [was, there] = [base, theirs].map((list) => new Map(list.map((item) => [item.id, item])));
  const here = new Set(mine.map(({ id }) => id));
  const kept = mine.flatMap((item): Item[] => {
    const [before, other] = [was!.get(item.id), there!.get(item.id)];
    if (!before) return [item];
    if (!other) return same(item, before) ? [] : [item];
    return [merge(before, item, other, [...path, item.id], found) as Item];
  });
  const added = theirs.filter(
    ({ id }) => !here.has(id) && (!was!.has(id) || !same(was!.get(id), there!.get(id))),
  );
  return [...kept, ...added];
}

/**
 * What two edits of one record come to: a field changed on one side alone is taken from there, one changed on both is
 * put among `found` and stays as mine until it is chosen. Nothing that either side typed is lost.
 */
export function merge(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: readonly string[] = [],
  found: Conflict[] = [],
): unknown {
  if (same(mine, theirs) || same(theirs, base)) return mine;
  if (same(mine, base)) return theirs;
  if (isPlain(base) && isPlain(mine) && isPlain(theirs)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    return Object.fromEntries(
      [...keys].map((key) => [key, merge(base[key], mine[key], theirs[key], [...path, key], found)]),
    );
  }
  if (isList(base) && isList(mine) && isList(theirs)) return mergeLists(base, mine, theirs, path, found);
  found.push({ path, mine, theirs });
  return mine;
}

/** The value with another one at a path of {@link merge}. */
export function withAt(value: unknown, [key, ...rest]: readonly string[], to: unknown): unknown {
  if (key === undefined) return to;
  if (isList(value)) return value.map((item) => (item.id === key ? withAt(item, rest, to) : item));
  return { ...(value as object), [key]: withAt((value as Record<string, unknown>)[key], rest, to) };
}

const spaced = (key: string) => key.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

/** A field's place in words: "zones, crown, porosity". */
export function placeInWords(value: unknown, path: readonly string[]): string {
  const words: string[] = [];
  let at = value;
  for (const key of path) {
    if (isList(at)) {
      const item = at.find(({ id }) => id === key) as Record<string, unknown> | undefined;
      words.push(String(item?.name ?? item?.ownName ?? item?.place ?? item?.slot ?? 'one of them'));
      at = item;
    } else {
      words.push(spaced(key));
      at = isPlain(at) ? at[key] : undefined;
    }
  }
  const text = words.join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A field's value in words. */
export function valueInWords(value: unknown): string {
  if (value === null || value === undefined || value === '' || (Array.isArray(value) && value.length === 0))
    return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.map(valueInWords).join('; ');
  if (isPlain(value))
    return Object.entries(value)
      .filter(([key, item]) => key !== 'id' && !key.endsWith('Id') && valueInWords(item) !== 'nothing')
      .map(([key, item]) => `${spaced(key)} ${valueInWords(item)}`)
      .join(', ');
  return String(value);
}
