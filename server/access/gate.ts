import { hasOwnPage, SESSION_DAYS } from '@sabor/core/access/people';
import { parse as parseCookie } from 'cookie';
import type { CookieOptions, Request, RequestHandler, Response } from 'express';
import { type Db, inName } from '../db/pool.ts';
import { callerOf } from '../http/caller.ts';
import { Refusal } from '../http/problems.ts';
import { isFromNetwork } from '../http/same-origin.ts';
import { mayAsk } from './rights.ts';
import { recognise, wasStruckOut } from './sessions.ts';

/** Tied to this host and to HTTPS by its name alone. Source: RFC 6265bis, 4.1.3.2. */
const COOKIE = '__Host-sabor';
const KEPT: CookieOptions = { secure: true, httpOnly: true, sameSite: 'strict', path: '/' };

/** Gives a device what it is known by; takes it back with null. */
export function giveToken(response: Response, token: string | null): void {
  if (token === null) response.clearCookie(COOKIE, KEPT);
  else response.cookie(COOKIE, token, { ...KEPT, maxAge: SESSION_DAYS * 86_400_000 });
}

const tokenOf = (request: Request): string | undefined => parseCookie(request.headers.cookie ?? '')[COOKIE];

/** Finds out who asks from the network; on this machine itself nobody signs in. */
export const recogniseCallers =
  (db: Db): RequestHandler =>
  async (request, response, next) => {
    const token = isFromNetwork(request) ? tokenOf(request) : undefined;
    if (token !== undefined && token.length < 200) {
      const found = await recognise(db, token);
      response.locals.caller = found?.caller;
      if (found?.token) giveToken(response, found.token);
      if (!found) response.locals.struckOut = await wasStruckOut(db, token);
    }
    next();
  };

/** What a stranger may ask: to be let in. */
const FOR_STRANGERS = new Set(['POST /sign-in']);

/** Whatever is done from here on is done in the caller's name; mounted once what was sent has been read. */
export const inCallersName: RequestHandler = (_request, response, next) => {
  const caller = callerOf(response);
  if (caller) inName.run({ person: caller.person.name, device: caller.device.name }, () => next());
  else next();
};

/** Refuses what a stranger or somebody's role may not ask; mounted where the interface is. */
export const onlyWhatOneMay: RequestHandler = (request, response, next) => {
  if (!isFromNetwork(request)) return next();
  const caller = callerOf(response);
  if (!caller) {
    if (FOR_STRANGERS.has(`${request.method} ${request.path}`)) return next();
    if (response.locals.struckOut) {
      response.set('Sabor-Struck-Out', 'yes');
      throw new Refusal(
        401,
        'This device was struck out. What it kept of Sabor is taken away from it, except what was not sent yet.',
      );
    }
    throw new Refusal(
      401,
      'Sabor does not know this device, or not any more. Sign in again with a new code; nothing told here is lost.',
    );
  }
  if (!mayAsk(caller.person.role, request.method, request.path))
    throw new Refusal(
      403,
      `Not from here: what a ${caller.person.role} may do on this device leaves this out.`,
    );
  next();
};

/** Leads strangers who open a page from the network to the one where they sign in, and raters and wearers to their own. */
export const toOnesOwnPage: RequestHandler = (request, response, next) => {
  if (!isFromNetwork(request) || request.path === '/sign-in') return next();
  const caller = callerOf(response);
  const led = !caller
    ? '/sign-in'
    : hasOwnPage(caller.person.role) && !/^\/own(\/|$)/.test(request.path)
      ? '/own'
      : null;
  if (led === null) next();
  else response.set('Cache-Control', 'no-store').redirect(303, led);
};
