import * as v from 'valibot';

/** What a search can find, in the order it is shown. */
export const FOUND_KINDS = {
  product: { label: 'Products' },
  line: { label: 'Lines' },
  wearer: { label: 'Heads' },
  routine: { label: 'Routines' },
  trial: { label: 'Trials' },
  'wash-day': { label: 'Wash days' },
  place: { label: 'Places' },
} as const;
export type FoundKind = keyof typeof FOUND_KINDS;

export const SearchInput = v.object({
  q: v.pipe(
    v.string('Type what you look for.'),
    v.trim(),
    v.maxLength(100, 'Search for under 100 characters.'),
  ),
});

export const Found = v.strictObject({
  kind: v.picklist(Object.keys(FOUND_KINDS) as FoundKind[]),
  id: v.string(),
  title: v.string(),
  /** Where the words stand: a piece of the note or list around them; empty where it is the title. */
  where: v.string(),
});
export type Found = v.InferOutput<typeof Found>;
