import { mkdtempSync, rmSync } from 'node:fs';
import type { RequestListener } from 'node:http';
import { request as ask } from 'node:https';
import os from 'node:os';
import path from 'node:path';
import type { Access, Invitation } from '@sabor/contract/access';
import type { PersonRole } from '@sabor/core/access/people';
import { v7 } from 'uuid';
import { type Door, networkDoor } from '../network/door.ts';
import type { TestBench } from './open-bench.ts';

/** Where the doors of tests are: on this machine's loop, but not where it answers itself. */
export const DOOR_ADDRESS = '127.0.0.2';

export interface Heard {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  text: string;
  // biome-ignore lint/suspicious/noExplicitAny: a test reads what it expects
  body: any;
}

/** A device that comes by the door: trusts its authority, keeps its cookie. */
export interface Visitor {
  ask: (method: string, path: string, body?: unknown, headers?: Record<string, string>) => Promise<Heard>;
  cookie: string;
}

/** A door for one test bench, to be opened and closed through its own routes. */
export function testDoor(answer: RequestListener): Door {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-door-'));
  const door = networkDoor({ folder, port: 0, addresses: () => [DOOR_ADDRESS], answer });
  return {
    ...door,
    close: async () => {
      await door.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Somebody at the door of `address`; `ca` is the certificate trusted. */
export function visitor(address: string, ca: string | null): Visitor {
  const here: Visitor = {
    cookie: '',
    ask: (method, to, body, headers = {}) =>
      new Promise((resolve, reject) => {
        const said = body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body);
        const going = ask(
          `${address}${to}`,
          {
            method,
            ...(ca ? { ca } : {}),
            // Asked by another name, it is still this door that is spoken to.
            ...('host' in headers ? { checkServerIdentity: () => undefined } : {}),
            headers: {
              ...(method === 'GET' ? {} : { origin: address }),
              ...(said === undefined
                ? {}
                : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(said) }),
              ...(here.cookie ? { cookie: here.cookie } : {}),
              ...headers,
            },
          },
          (answer) => {
            const parts: Buffer[] = [];
            answer.on('data', (part: Buffer) => parts.push(part));
            answer.once('end', () => {
              const text = Buffer.concat(parts).toString();
              for (const one of answer.headers['set-cookie'] ?? []) here.cookie = one.split(';')[0]!;
              const isJson = String(answer.headers['content-type']).includes('json');
              resolve({
                status: answer.statusCode!,
                headers: answer.headers,
                text,
                body: isJson ? JSON.parse(text) : null,
              });
            });
          },
        );
        going.once('error', reject);
        going.end(said);
      }),
  };
  return here;
}

/** Opens the bench's door; gives its address. */
export async function openDoor(bench: TestBench): Promise<string> {
  const { body } = await bench.ask<Access>('PUT', '/api/access/open', { open: true });
  return body.addresses[0]!;
}

/** No two people have one name. */
let letInSoFar = 0;
/** Lets somebody in by a code, as a new person would be. */
export async function letIn(
  bench: TestBench,
  address: string,
  ca: string,
  role: PersonRole,
  name = `A ${role} ${++letInSoFar}`,
  wearerId: string | null = null,
): Promise<Visitor & { personId: string; deviceId: string }> {
  const [personId, deviceId] = [v7(), v7()];
  await bench.ask('PUT', `/api/people/${personId}`, { name, role, wearerId });
  const { body } = await bench.ask<Invitation>('POST', `/api/people/${personId}/invitations`, {});
  const device = visitor(address, ca);
  const said = { code: body.code, device: deviceId, called: `Phone of ${name}` };
  const { status, text } = await device.ask('POST', '/api/sign-in', said);
  if (status !== 200) throw new Error(text);
  return Object.assign(device, { personId, deviceId });
}
