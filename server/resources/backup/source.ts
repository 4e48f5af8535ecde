import type { Table } from '../../db/tables.ts';
import type { Row } from './cell-checks.ts';

/** A row and where it stands in its file, for the sentence that refuses it. */
export interface Placed {
  row: Row;
  /** Line of the CSV, or number of the row in an older file; from 1. */
  line: number;
}

/** A backup, opened: what a file of any age is read through. */
export interface BackupSource {
  /** The schema it was written by. */
  schema: number;
  /** The tables it holds. */
  tables: ReadonlySet<string>;
  /** Columns of a table's file; null where every row names its own. */
  columns(table: string): Promise<readonly string[] | null>;
  rows(table: string): AsyncIterable<Placed>;
  /** A table's pictures, which are files of their own. Throws a Refusal where one is not as it was written. */
  pictures(table: Table): AsyncIterable<{ id: string; bytes: Buffer }>;
  close(): void;
}
