import { id } from '@sabor/contract/fields';
import type { Request } from 'express';
import * as v from 'valibot';
import { notFound } from './problems.ts';

/** The id in a route's path; anything that is not one is answered as not found. */
export function pathId(request: Request, what: string, name = 'id'): string {
  const result = v.safeParse(id, request.params[name]);
  if (!result.success) throw notFound(what);
  return result.output;
}

/** The request's body with the path's id in it, so that the two cannot disagree. */
export function bodyWithId(request: Request, what: string): Record<string, unknown> {
  const body: unknown = request.body;
  const fields = typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {};
  return { ...fields, id: pathId(request, what) };
}
