import type { RequestHandler } from 'express';
import { Refusal } from './problems.ts';

const LOCAL = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostname = (host: string) => host.replace(/:\d+$/, '');

/**
 * Lets through only requests addressed to this machine by name, and of browsers only those of pages this server gave:
 * keeps out rebound names and other sites' pages, their downloads too. A link from elsewhere may open a page of ours.
 * Source: Fetch Metadata Request Headers (W3C), resource isolation policy.
 */
export const sameOriginOnly: RequestHandler = (request, _response, next) => {
  const host = request.headers.host ?? '';
  if (!LOCAL.has(hostname(host)))
    return next(new Refusal(403, 'Sabor answers only on this machine’s own address.'));
  const { origin } = request.headers;
  if (origin !== undefined && origin !== `http://${host}`)
    return next(new Refusal(403, 'Sabor takes changes only from its own pages.'));
  const { 'sec-fetch-site': site, 'sec-fetch-mode': mode } = request.headers;
  const opensPage = request.method === 'GET' && mode === 'navigate' && !request.path.startsWith('/api/');
  if (site !== undefined && site !== 'same-origin' && site !== 'none' && !opensPage)
    return next(new Refusal(403, 'Sabor answers only its own pages.'));
  next();
};
