import { fieldsOf, type Problem } from '@sabor/contract/problem';
import { storable } from '@sabor/contract/storable';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import * as v from 'valibot';

/** An error with a sentence for the user. */
export class Refusal extends Error {
  readonly status: number;
  readonly fields: { path: string; message: string }[];
  /** The record as it is now, where an edit began from an older state. */
  readonly current: unknown;
  constructor(
    status: number,
    detail: string,
    fields: { path: string; message: string }[] = [],
    current?: unknown,
  ) {
    super(detail);
    this.current = current;
    this.status = status;
    this.fields = fields;
  }
}

export const notFound = (what: string) =>
  new Refusal(404, `Sabor has no such ${what}. It may have been opened from an old link.`);

export const atField = (path: string, message: string) => new Refusal(422, message, [{ path, message }]);

/** The parsed input, or a Refusal that names every field at fault. */
export function parse<S extends v.GenericSchema>(schema: S, input: unknown): v.InferOutput<S> {
  const clean = storable(input ?? {});
  if (clean.problem !== null) throw new Refusal(422, clean.problem);
  return parseAsIs(schema, clean.value);
}

/** {@link parse} for what holds parts that stand or fall alone. */
export function parseAsIs<S extends v.GenericSchema>(schema: S, input: unknown): v.InferOutput<S> {
  const result = v.safeParse(schema, input ?? {});
  if (result.success) return result.output;
  const fields = fieldsOf(result.issues);
  throw new Refusal(422, fields[0]?.message ?? 'This cannot be saved as it is.', fields);
}

const TITLES: Record<number, string> = {
  400: 'Not understood',
  401: 'Not signed in',
  403: 'Not allowed',
  404: 'Not found',
  409: 'In conflict with what is already there',
  412: 'Changed meanwhile',
  413: 'Too large',
  422: 'Not saved',
  429: 'Too often',
  500: 'Something broke',
  503: 'Not ready',
  507: 'No room left',
};

function problem(status: number, detail: string, fields?: Problem['fields']): Problem {
  return {
    type: 'about:blank',
    title: TITLES[status] ?? 'Not done',
    status,
    detail,
    ...(fields?.length ? { fields } : {}),
  };
}

interface Known {
  message?: string;
  type?: string;
  code?: string;
  status?: number;
  constraint?: string;
}

/** Whether an error means that the database is gone, going or coming. Source: PostgreSQL, appendix A, classes 08 and 57P. */
const isAway = ({ code = '', message = '' }: Known): boolean =>
  /^(08|57P)/.test(code) ||
  ['ECONNREFUSED', 'ECONNRESET', 'EPIPE'].includes(code) ||
  /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/.test(
    message,
  );

function asProblem(error: unknown): Problem {
  if (error instanceof Refusal)
    return {
      ...problem(error.status, error.message, error.fields),
      ...(error.current === undefined ? {} : { current: error.current }),
    };
  const known = error as Known;
  if (known.type === 'entity.too.large')
    return problem(413, 'This is more than Sabor takes at once. Send less of it.');
  if (known.type === 'entity.parse.failed') return problem(400, 'This is not JSON that Sabor can read.');
  if (known.code === '23503')
    return problem(422, 'This names something Sabor does not have, or that is still in use.');
  if (known.code === '23505') return problem(409, 'Sabor already has this one.');
  if (known.code === '23514')
    return problem(422, 'These values contradict each other. Check times, lengths and ranges.');
  if (known.code === '22P02' || known.code === '22003')
    return problem(422, 'A value is not of the kind Sabor expects.');
  if (isAway(known))
    return problem(
      503,
      'The database is not answering just now. What you typed is still here; try again in a moment.',
    );
  if (known.code === '53100')
    return problem(507, 'The disk is full. Make room on it; what is already saved is safe.');
  if (known.code === '55P03' || known.code === '57014')
    return problem(
      503,
      'Sabor was busy with something long. What you typed is still here; try again in a moment.',
    );
  if (known.status && known.status >= 400 && known.status < 500)
    return problem(known.status, 'Sabor could not read this request.');
  return problem(500, 'Sabor could not do this. What you typed is still here; try again.');
}

export const unknownRoute: RequestHandler = (_request, _response, next) => next(notFound('page'));

export const sendProblem: ErrorRequestHandler = (error, request, response, next) => {
  if (response.headersSent) return next(error);
  const body = asProblem(error);
  if (body.status >= 500) request.log?.error({ err: error }, 'request failed');
  response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
};
