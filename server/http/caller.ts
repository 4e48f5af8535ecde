import type { PersonRole } from '@sabor/core/access/people';
import type { Response } from 'express';

/** Somebody who asks from another device and is signed in. */
export interface Caller {
  sessionId: string;
  /** `wearerId`: the head that a wearer is; null for everybody else. */
  person: { id: string; name: string; role: PersonRole; wearerId: string | null };
  device: { id: string; name: string };
}

/** Who asks from another device; null for a stranger, and on this machine itself, where nobody signs in. */
export const callerOf = (response: Response): Caller | null =>
  (response.locals.caller as Caller | undefined) ?? null;

/** Whose ratings these are, where they are not the tester’s own; empty for the tester, and on this machine itself. */
export function raterOf(response: Response): string {
  const person = callerOf(response)?.person;
  return person && person.role !== 'tester' ? person.name : '';
}
