import type { RequestListener } from 'node:http';
import { createServer, type Server } from 'node:https';
import type { AddressInfo } from 'node:net';
import { letThrough } from '../http/same-origin.ts';
import { hostOf, networkAddresses } from './addresses.ts';
import { Authority, ownNames } from './authority.ts';

/** The door to the network: closed until it is opened. */
export interface Door {
  /** Opens it on every network this machine is on. */
  open(): Promise<void>;
  close(): Promise<void>;
  state(): Promise<DoorState>;
  /** The authority's certificate, for phones to trust; null until the door was open once. */
  certificate(): string | null;
}

export interface DoorState {
  /** Where it is reached, as addresses of pages. */
  addresses: string[];
  /** Why it is not open though it was to be. */
  trouble: string | null;
  fingerprint: string | null;
}

/** How often the networks of this machine are looked at again, ms: a laptop is carried about. */
const LOOKED_AT_EVERY = 15_000;
/** Most connections at once, and how long a request may take to come in, ms. */
const MOST_CONNECTIONS = 200;
const HEADERS_WITHIN = 15_000;
const REQUEST_WITHIN = 300_000;

/**
 * A door on the machine's own network addresses: HTTPS alone, with a certificate of Sabor's own authority in `folder`.
 * `port` 0 takes any that is free.
 */
export function networkDoor({
  folder,
  port,
  answer,
  addresses: here = networkAddresses,
}: {
  folder: string;
  port: number;
  answer: RequestListener;
  addresses?: () => string[];
}): Door {
  const authority = new Authority(folder);
  const servers = new Map<string, Server>();
  let wanted = false;
  let trouble: string | null = null;
  let looking: ReturnType<typeof setInterval> | undefined;

  const shut = async (address: string) => {
    const server = servers.get(address);
    servers.delete(address);
    if (!server) return;
    const closed = new Promise((resolve) => server.close(resolve));
    server.closeIdleConnections();
    // Streams never end by themselves; what is being answered has a moment to be.
    setTimeout(() => server.closeAllConnections(), 500).unref();
    await closed;
  };

  const listenAt = async (address: string, secure: { cert: string; key: string }) => {
    const server = createServer(
      {
        ...secure,
        minVersion: 'TLSv1.2',
        headersTimeout: HEADERS_WITHIN,
        requestTimeout: REQUEST_WITHIN,
      },
      (request, response) => {
        letThrough(request, names());
        answer(request, response);
      },
    );
    server.maxConnections = MOST_CONNECTIONS;
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(port, address, () => {
        server.off('error', reject);
        resolve();
      });
    });
    server.on('error', () => {});
    servers.set(address, server);
  };

  const portOf = (server: Server) => (server.address() as AddressInfo).port;
  /** Names of this machine and the port of each server, as a request may call it. */
  const names = () =>
    new Set(
      [...servers].flatMap(([address, server]) =>
        [address, ...ownNames()].map((host) => `${hostOf(host)}:${portOf(server)}`),
      ),
    );

  /** Opens where a network came, shuts where one went, and takes a certificate that names them all. */
  const look = async () => {
    if (!wanted) return;
    const now = here();
    try {
      const secure = await authority.certified(now);
      for (const address of [...servers.keys()]) if (!now.includes(address)) await shut(address);
      for (const server of servers.values()) server.setSecureContext(secure);
      trouble = now.length === 0 ? 'This machine is on no network just now.' : null;
      for (const address of now)
        if (!servers.has(address))
          await listenAt(address, secure).catch((error: NodeJS.ErrnoException) => {
            trouble =
              error.code === 'EADDRINUSE'
                ? `Port ${port} is taken by another program. Start Sabor with another: SABOR_NETWORK_PORT=${port + 1} npm start`
                : `The network at ${address} cannot be listened on: ${error.message}`;
          });
    } catch (error) {
      trouble = `The certificate cannot be made in ${folder}: ${(error as Error).message}`;
    }
  };
  /** One look after the other. */
  let queue: Promise<unknown> = Promise.resolve();
  const inTurn = (work: () => Promise<unknown>): Promise<void> => {
    queue = queue.then(work, work);
    return queue.then(() => {});
  };

  return {
    open: async () => {
      wanted = true;
      looking ??= setInterval(() => void inTurn(look), LOOKED_AT_EVERY);
      looking.unref();
      await inTurn(look);
    },
    close: async () => {
      wanted = false;
      clearInterval(looking);
      looking = undefined;
      await inTurn(async () => {
        trouble = null;
        await Promise.all([...servers.keys()].map(shut));
      });
    },
    state: async () => ({
      addresses: [...servers].map(([address, server]) => `https://${hostOf(address)}:${portOf(server)}`),
      trouble,
      fingerprint: authority.fingerprint(),
    }),
    certificate: () => authority.certificate(),
  };
}
