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

export interface Found {
  kind: FoundKind;
  id: string;
  title: string;
  /** Where the words stand: a piece of the note or list around them; empty where it is the title. */
  where: string;
}
