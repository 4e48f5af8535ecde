import type { Request } from 'express';
import { Refusal } from './problems.ts';

/** The state an edit began from (`If-Match: "3"`); null where the request does not say. Throws a Refusal for nonsense. */
export function versionOf(request: Request): number | null {
  const given = request.get('If-Match');
  if (given === undefined) return null;
  const found = /^"(\d{1,9})"$/.exec(given);
  if (!found) throw new Refusal(400, 'This does not say which state of the record was edited.');
  return Number(found[1]);
}
