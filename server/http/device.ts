import type { Request } from 'express';

/** The device a request says it comes from: a name it made itself. */
export function deviceOf(request: Request): string {
  const name = request.get('Sabor-Device') ?? '';
  return /^[\w -]{1,60}$/.test(name) ? name : 'bench';
}
