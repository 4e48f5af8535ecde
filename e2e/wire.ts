import { createServer } from 'node:http';
import net, { type AddressInfo, type Socket } from 'node:net';
import type { BrowserContext } from '@playwright/test';

/**
 * The way from a browser to its server, to be cut: what Chromium's own pretence of no network lets slip now and then does
 * not come through here. Source: RFC 9110, 9.3.6 (CONNECT).
 */
export async function wire(): Promise<{
  /** For a new context of a browser. */
  proxy: { server: string; bypass: string };
  cut: (of: BrowserContext) => Promise<void>;
  mend: (of: BrowserContext) => Promise<void>;
  close: () => void;
}> {
  const open = new Set<Socket>();
  let isCut = false;
  const server = createServer((_, answer) => answer.writeHead(502).end());
  const known = (socket: Socket) => {
    open.add(socket);
    socket.on('close', () => open.delete(socket)).on('error', () => socket.destroy());
  };
  server.on('connect', ({ url = '' }, from: Socket, head) => {
    known(from);
    if (isCut) return from.destroy();
    const [host, port] = url.split(':');
    const to = net.connect(Number(port), host, () => {
      from.write('HTTP/1.1 200 OK\r\n\r\n');
      to.write(head);
      to.pipe(from).pipe(to);
    });
    known(to);
    from.on('close', () => to.destroy());
    to.on('close', () => from.destroy());
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  return {
    proxy: { server: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, bypass: '<-loopback>' },
    cut: async (of) => {
      isCut = true;
      for (const socket of open) socket.destroy();
      await of.setOffline(true);
    },
    mend: async (of) => {
      isCut = false;
      await of.setOffline(false);
    },
    close: () => {
      for (const socket of open) socket.destroy();
      server.close();
    },
  };
}
