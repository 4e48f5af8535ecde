/** A vocabulary is an `as const` table from a stored key to the facts about it, its label among them. */
export type Vocabulary = Readonly<Record<string, { readonly label: string }>>;

export type KeyOf<V extends Vocabulary> = Extract<keyof V, string>;

/** The keys of a vocabulary, in the order it is written. */
export function keysOf<V extends Vocabulary>(vocabulary: V): [KeyOf<V>, ...KeyOf<V>[]] {
  return Object.keys(vocabulary) as [KeyOf<V>, ...KeyOf<V>[]];
}
