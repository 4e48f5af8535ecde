import { createHash, randomBytes, randomInt } from 'node:crypto';
import { CODE_LENGTH, CODE_LETTERS } from '@sabor/core/access/people';

/** What is stored of a secret. It is random and long, or gone in minutes: one round is enough. */
export const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest();

/** A secret that a device shows with every request: 256 bits. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** A one-time code, 50 bits. */
export const newCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
