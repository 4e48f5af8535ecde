import type { PersonRole } from '@sabor/core/access/people';
import type { Response } from 'express';

/** Somebody who asks from another device and is signed in. */
export interface Caller {
  sessionId: string;
  person: { id: string; name: string; role: PersonRole };
  device: { id: string; name: string };
}

/** Who asks from another device; null for a stranger, and on this machine itself, where nobody signs in. */
export const callerOf = (response: Response): Caller | null =>
  (response.locals.caller as Caller | undefined) ?? null;
