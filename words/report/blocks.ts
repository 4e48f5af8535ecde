/** A drawing by what it shows; each form of a report draws it anew. */
export type Drawing = {
  arms: readonly string[];
  /** The scale's own ends; null for those of the numbers. */
  ends: readonly [number, number] | null;
  /** Decimal places its numbers are told with. */
  places: number;
} & (
  | {
      what: 'strip';
      values: readonly { arm: number; value: number }[];
      means: readonly (number | null)[];
    }
  | {
      what: 'curve';
      curves: readonly { arm: number; mean: readonly { day: number; value: number }[] }[];
    }
);

/** What a report is made of, whatever form it leaves in. */
export type Block =
  | { kind: 'heading'; level: 2 | 3; text: string }
  | { kind: 'text'; text: string }
  | { kind: 'list'; items: readonly string[] }
  | { kind: 'table'; caption: string; head: readonly string[]; rows: readonly (readonly string[])[] }
  /** A drawing, with the sentence that says the same. */
  | { kind: 'drawing'; drawing: Drawing; says: string }
  /** A photograph by its id, with what stands under it. */
  | { kind: 'picture'; photographId: string; caption: string };

export interface Report {
  title: string;
  /** One line under the title: what it is, on whose hair, when. */
  about: string;
  blocks: readonly Block[];
  /** Stands on every form of it, and on every page. */
  disclosure: string;
}

/** The longest a figure in a table is: "12.3 points". */
const FIGURE = 14;
/** Which columns of a table hold figures, to be set flush right; texts are set flush left. */
export const figureColumns = ({ head, rows }: Extract<Block, { kind: 'table' }>): boolean[] =>
  head.map((_, i) => i > 0 && rows.every((row) => (row[i] ?? '').length <= FIGURE));
