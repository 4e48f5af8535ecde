import type { IncomingMessage } from 'node:http';
import type { RequestHandler } from 'express';
import { Refusal } from './problems.ts';

const LOCAL = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostname = (host: string) => host.replace(/:\d+$/, '');

/** Methods that change nothing. Source: RFC 9110, 9.2.1. */
const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Requests that came in from the network, each with the names it may call this machine by. */
const fromNetwork = new WeakMap<IncomingMessage, ReadonlySet<string>>();

/** Marks a request as come in from the network; `hosts`: the names and addresses, with port, it may ask by. */
export const letThrough = (request: IncomingMessage, hosts: ReadonlySet<string>): void =>
  void fromNetwork.set(request, hosts);

/** Whether a request came in from the network, not on this machine. */
export const isFromNetwork = (request: IncomingMessage): boolean => fromNetwork.has(request);

/**
 * Lets through only requests addressed to this machine by name, and of browsers only those of pages this server gave:
 * keeps out rebound names and other sites' pages, their downloads too. A link from elsewhere may open a page of ours. From
 * the network, who changes something must say which page it comes from.
 * Source: Fetch Metadata Request Headers (W3C), resource isolation policy.
 */
export const sameOriginOnly: RequestHandler = (request, _response, next) => {
  const host = request.headers.host ?? '';
  const hosts = fromNetwork.get(request);
  if (hosts ? !hosts.has(host.toLowerCase()) : !LOCAL.has(hostname(host)))
    return next(new Refusal(403, 'Sabor answers only on this machine’s own address.'));
  const { origin } = request.headers;
  if (
    origin === undefined
      ? hosts !== undefined && !SAFE.has(request.method)
      : origin !== `${hosts ? 'https' : 'http'}://${host}`
  )
    return next(new Refusal(403, 'Sabor takes changes only from its own pages.'));
  const { 'sec-fetch-site': site, 'sec-fetch-mode': mode } = request.headers;
  const opensPage = request.method === 'GET' && mode === 'navigate' && !request.path.startsWith('/api/');
  if (site !== undefined && site !== 'same-origin' && site !== 'none' && !opensPage)
    return next(new Refusal(403, 'Sabor answers only its own pages.'));
  next();
};
