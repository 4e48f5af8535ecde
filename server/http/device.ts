import type { Request } from 'express';
import { callerOf } from './caller.ts';

/**
 * The device a request comes from: the one that is signed in; on this machine itself the one it says, a name it made
 * itself.
 */
export function deviceOf(request: Request): string {
  const signedIn = request.res && callerOf(request.res)?.device.id;
  if (signedIn) return signedIn;
  const name = request.get('Sabor-Device') ?? '';
  return /^[\w -]{1,60}$/.test(name) ? name : 'bench';
}
