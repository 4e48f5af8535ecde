import type { RequestListener } from 'node:http';
import { letThrough } from '../http/same-origin.ts';

/** Sabor behind a proxy that ends TLS: everybody signs in, on this machine too. */
export interface Hosted {
  /** The address people open: `https://` and a name, with its port where it is not 443. */
  origin: string;
  /** Proxies whose word on who asks is taken, as Express names them. */
  proxies: string;
}

/** Why an address cannot be the one people open; null where it can. */
export function originProblem(text: string): string | null {
  let url: URL;
  try {
    url = new URL(text);
  } catch {
    return 'It is no address.';
  }
  if (url.protocol !== 'https:') return 'It does not begin with https://.';
  return url.origin === text ? null : `Write it as ${url.origin}, with nothing behind it.`;
}

/** Marks every request as one from the network that has to call Sabor by the name people open. */
export function behindProxy(origin: string, answer: RequestListener): RequestListener {
  const hosts = new Set([new URL(origin).host]);
  return (request, response) => {
    letThrough(request, hosts);
    answer(request, response);
  };
}
