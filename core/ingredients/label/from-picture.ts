import { findIngredient } from '../dictionary.ts';
import { type LabelItem, parseLabel } from './parse-label.ts';
import { suggest } from './suggest.ts';

/** An item as a picture was read, and what it may have been meant for. */
export interface PictureItem {
  text: string;
  known: boolean;
  /** Names of the dictionary that are near it; empty where it is known or nothing is near. */
  meant: readonly string[];
}

/** Fewest names that must be known, or nearly, before a picture is taken for an ingredient list. Model assumption. */
const FEWEST = 3;
/** Least share of the pieces that must be. */
const LEAST_SHARE = 0.25;

/**
 * Lines as they are read off a picture, put together to one list: a word broken at a line's end is whole again, a full
 * stop that stands where a comma should, between two names, is one.
 */
export function joinedLines(text: string): string {
  return text
    .replace(/\r\n?/g, '\n')
    .replace(/[|¦]/g, 'l')
    .replace(/(\p{Ll})-\n\s*(\p{Ll})/gu, '$1$2')
    .replace(/-\n\s*/g, '-')
    .replace(/\n\s*\n/g, '\n')
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .join(' ')
    .replace(/([^,;.]+)\.\s+(?=\p{Lu})/gu, (whole, name: string) =>
      findIngredient(name.replace(/^.*:\s*/, '').trim()) ? `${name}, ` : whole,
    );
}

const itemOf = ({ text, name, ingredient }: LabelItem): PictureItem => ({
  // A list ends with a full stop, which is no part of its last name.
  text: text.replace(/\.$/, ''),
  known: ingredient !== null,
  meant: ingredient ? [] : suggest(name).map((one) => one.name),
});

/**
 * The ingredient list in a text read off a picture, item by item for its reader to check; null where there is none: too
 * few of the pieces are names the dictionary knows or nearly knows.
 */
export function listInPicture(text: string): PictureItem[] | null {
  const { items } = parseLabel(joinedLines(text));
  const read = items.filter(({ inside }) => inside === null).map(itemOf);
  const near = read.filter(({ known, meant }) => known || meant.length > 0).length;
  return near < FEWEST || near < read.length * LEAST_SHARE ? null : read;
}
