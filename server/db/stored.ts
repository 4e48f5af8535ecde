import type { QueryResult } from 'pg';
import { Refusal } from '../http/problems.ts';

/**
 * Holds a write to having stored what it was given: fewer rows mean that an id in it belongs to something else. Throws
 * a Refusal (409), so that nothing is acknowledged that is not stored.
 */
export function mustStore({ rowCount }: Pick<QueryResult, 'rowCount'>, what: string, rows = 1): void {
  if (rowCount !== rows)
    throw new Refusal(
      409,
      `This ${what} is recorded elsewhere under the same id. Reload the page, then enter it again.`,
    );
}
