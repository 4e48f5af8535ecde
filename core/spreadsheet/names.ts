/** A name without case, accents, signs and doubled blanks: how two people write the same thing. */
export const plainName = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What a name stands for: the one thing it is the name of; `several` where more than one has it, null where none. */
export type Meant = string | 'several' | null;

/** Looks things up by their names, each with as many as it goes by; an own word for a thing goes before all names. */
export function nameBook(
  things: readonly { id: string; names: readonly string[] }[],
  own: Readonly<Record<string, string>> = {},
): (text: string) => Meant {
  const book = new Map<string, Meant>();
  for (const { id, names } of things)
    for (const name of new Set(names.map(plainName))) {
      if (name === '') continue;
      const there = book.get(name);
      book.set(name, there === undefined || there === id ? id : 'several');
    }
  for (const [word, id] of Object.entries(own)) book.set(plainName(word), id);
  return (text) => book.get(plainName(text)) ?? null;
}
