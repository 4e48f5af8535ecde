import type { RequestHandler } from 'express';
import { Refusal } from './problems.ts';

const LOCAL = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostname = (host: string) => host.replace(/:\d+$/, '');

/**
 * Lets through only requests addressed to this machine by name, and changes only from pages this server gave: keeps
 * out rebound names and other sites' pages.
 */
export const sameOriginOnly: RequestHandler = (request, _response, next) => {
  const host = request.headers.host ?? '';
  if (!LOCAL.has(hostname(host)))
    return next(new Refusal(403, 'Sabor answers only on this machine’s own address.'));
  const { origin } = request.headers;
  if (origin !== undefined && origin !== `http://${host}`)
    return next(new Refusal(403, 'Sabor takes changes only from its own pages.'));
  next();
};
