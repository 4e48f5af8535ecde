import { incompleteBeta } from './student-t.ts';

/** P(F ≥ f) for Fisher's F with `above` and `below` degrees of freedom, both > 0. Source: Abramowitz & Stegun 26.6.2. */
export function fTail(f: number, above: number, below: number): number {
  if (!(above > 0 && below > 0)) throw new RangeError('Degrees of freedom must be more than 0.');
  if (f <= 0) return 1;
  const x = below / (below + above * f);
  return incompleteBeta(x, 1 - x, below / 2, above / 2);
}
