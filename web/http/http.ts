import type { Problem } from '@sabor/contract/problem';
import { v7 } from 'uuid';
import { takeEarly } from './early.ts';

/** What the server refused, with its sentence and the fields at fault. */
export class Refused extends Error {
  readonly status: number;
  readonly fields: { path: string; message: string }[];
  /** The record as it is now, where it was changed elsewhere meanwhile. */
  readonly current: unknown;
  constructor(problem: Pick<Problem, 'status' | 'detail' | 'fields' | 'current'>) {
    super(problem.detail);
    this.current = problem.current;
    this.status = problem.status;
    this.fields = problem.fields ?? [];
  }
}

let isSignedOut = false;
const asking = new Set<() => void>();
let struckOut: () => void = () => {};
/** Who is told that the laptop struck this device out. */
export const onStruckOut = (take: () => void): void => {
  struckOut = take;
};
/** Whether the server says it does not know this device, or not any more. */
export const signedOut = {
  now: (): boolean => isSignedOut,
  hear: (tell: () => void): (() => void) => {
    asking.add(tell);
    return () => asking.delete(tell);
  },
};
/** Notes what an answer says of this device's sign-in: 401 that there is none, and a good one that there is. */
export function noteSignIn({ status, headers }: Pick<Response, 'status' | 'headers'>): void {
  if (status === 401 && headers.has('Sabor-Struck-Out')) struckOut();
  const next = status === 401 || (isSignedOut && status >= 400);
  if (next === isSignedOut) return;
  isSignedOut = next;
  for (const tell of asking) tell();
}

/** Answers that this device kept of earlier, by what was asked, each with when the server gave it. */
const old = new Map<string, string>();
let oldest: string | null = null;
const hearing = new Set<() => void>();
/** When the oldest answer was given that stands on the page for want of a newer one; null where all are fresh. */
export const keptAnswer = {
  now: (): string | null => oldest,
  hear: (tell: () => void): (() => void) => {
    hearing.add(tell);
    return () => hearing.delete(tell);
  },
};
/** Notes that what stands on the page of an answer is that old, because the server does not answer anew; `since` null: it did. */
export function noteOld(path: string, since: string | null): void {
  if (since) old.set(path, since);
  // One that answers afresh is there for the others too.
  else old.clear();
  const next = [...old.values()].sort((a, b) => Date.parse(a) - Date.parse(b))[0] ?? null;
  if (next === oldest) return;
  oldest = next;
  for (const tell of hearing) tell();
}

const OFFLINE = 'Sabor’s server does not answer. Is it still running? What you typed is still here.';

/** What this page has asked the server for and got an answer to. */
export const heard = new Set<string>();

/** Small changes outlive the page that sent them, should it be reloaded or closed on the way. */
const small = (body: unknown) => body !== undefined && JSON.stringify(body).length < 30_000;

/** This device's own name on the server: made once and kept. */
export function deviceName(): string {
  try {
    const known = localStorage.getItem('sabor device');
    if (known) return known;
    const made = v7();
    localStorage.setItem('sabor device', made);
    return made;
  } catch {
    return 'a private window';
  }
}

/** Calls this device as the server does. */
export function setDeviceName(name: string): void {
  try {
    localStorage.setItem('sabor device', name);
  } catch {
    // A private window has no name of its own.
  }
}

async function send<T>(
  method: string,
  path: string,
  body?: unknown,
  version: number | null = null,
  further: Readonly<Record<string, string>> = {},
  signal: AbortSignal | null = null,
): Promise<T> {
  let response: Response;
  try {
    const early = method === 'GET' ? takeEarly(path) : undefined;
    response = await (early ??
      fetch(`/api${path}`, {
        method,
        keepalive: small(body),
        headers: {
          'Sabor-Device': deviceName(),
          ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
          ...(version === null ? {} : { 'If-Match': `"${version}"` }),
          ...further,
        },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal,
      }));
  } catch {
    throw new Refused({ status: 0, detail: OFFLINE });
  }
  noteSignIn(response);
  if (response.ok && method === 'GET') {
    heard.add(path);
    noteOld(path, response.headers.get('Sabor-Kept'));
  }
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as T;
  const problem = (await response.json().catch(() => null)) as Problem | null;
  throw new Refused(problem ?? { status: response.status, detail: OFFLINE });
}

/** Sends bytes as they are, streamed from where they lie. */
async function sendBytes(method: string, path: string, bytes: Blob, type: string): Promise<Response> {
  const response = await fetch(`/api${path}`, {
    method,
    headers: { 'Sabor-Device': deviceName(), 'Content-Type': type },
    body: bytes,
  }).catch(() => {
    throw new Refused({ status: 0, detail: OFFLINE });
  });
  noteSignIn(response);
  if (response.ok) return response;
  const problem = (await response.json().catch(() => null)) as Problem | null;
  throw new Refused(problem ?? { status: response.status, detail: OFFLINE });
}

/** Sends a picture as it is. */
export const sendPicture = async (path: string, picture: Blob): Promise<void> =>
  void (await sendBytes('PUT', path, picture, picture.type));
/** Sends a sound or a film as it is, and gives the answer. */
export const sendMedia = async <T>(path: string, media: Blob): Promise<T> =>
  (await sendBytes('PUT', path, media, media.type)).json() as Promise<T>;
/** Sends a file as it is. */
export const sendFile = async (path: string, file: Blob): Promise<void> =>
  void (await sendBytes('POST', path, file, 'application/octet-stream'));

/** Sends something and hears a file. */
export const postForFile = async (path: string, body: unknown): Promise<Blob> =>
  (await sendBytes('POST', path, new Blob([JSON.stringify(body)]), 'application/json')).blob();

export const get = <T>(path: string, signal: AbortSignal | null = null) =>
  send<T>('GET', path, undefined, null, {}, signal);
/** `version`: the state of the record this began from; refused (412) where it was changed since. */
export const put = <T>(path: string, body: unknown, version: number | null = null) =>
  send<T>('PUT', path, body, version);
/** A change of who may come in, with the words that guard the list. */
export const guarded = <T>(
  method: 'PUT' | 'POST' | 'DELETE',
  path: string,
  passphrase: string,
  body?: unknown,
): Promise<T> => send<T>(method, path, body, null, { 'Sabor-Passphrase': encodeURIComponent(passphrase) });
export const patch = <T>(path: string, body: unknown) => send<T>('PATCH', path, body);
export const post = <T>(path: string, body: unknown = {}) => send<T>('POST', path, body);
export const remove = <T>(path: string) => send<T>('DELETE', path);
