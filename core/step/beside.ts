import type { Dose } from '../doses/dose.ts';
import { MEASURES } from '../doses/measures.ts';
import { WHERE } from './choices.ts';
import { ownName } from './places.ts';

/** Another product of the same step, with its own places and amount: one at the roots, the other at the lengths. */
export interface Beside {
  productId: string;
  dose: Dose | null;
  places: readonly string[];
}

const MOST = 3;
const LARGEST = 500;

/** What else a step uses beside its product. */
export const besideOf = (value: unknown): readonly Beside[] =>
  Array.isArray(value) ? (value as Beside[]) : [];

const amountStands = (amount: unknown) => typeof amount === 'number' && amount > 0 && amount <= LARGEST;

function doseStands(dose: unknown): boolean {
  if (dose === null) return true;
  if (typeof dose !== 'object') return false;
  const { kind, amount, from, to, measure, per } = dose as Record<string, unknown>;
  if (kind === 'unknown') return true;
  const measured =
    typeof measure === 'string' && Object.hasOwn(MEASURES, measure) && (per === 'head' || per === 'section');
  if (kind === 'exact') return measured && amountStands(amount);
  return kind === 'range' && measured && amountStands(from) && amountStands(to) && Number(from) <= Number(to);
}

/** A sentence against what stands beside a step's product, or null when it can stand. */
export function besideProblem(value: unknown): string | null {
  if (!Array.isArray(value) || value.length === 0 || value.length > MOST)
    return `One to ${MOST} products can stand beside a step’s own.`;
  const seen = new Set<string>();
  for (const one of value as Partial<Beside>[]) {
    if (typeof one?.productId !== 'string' || one.productId === '')
      return 'Choose the product that is used beside the first.';
    if (
      !Array.isArray(one.places) ||
      one.places.length === 0 ||
      one.places.some((place) => !Object.hasOwn(WHERE, place) && ownName(place) === null)
    )
      return 'Say where the other product goes, one place at least.';
    if (!doseStands(one.dose ?? null))
      return `An amount runs from a little to ${LARGEST}, in a measure Sabor knows.`;
    if (seen.has(one.productId)) return 'Each product stands beside the first once. Give it both places.';
    seen.add(one.productId);
  }
  return null;
}

const usual = (dose: Dose | null): number | null =>
  dose === null || dose.kind === 'unknown'
    ? null
    : dose.kind === 'exact'
      ? dose.amount
      : (dose.from + dose.to) / 2;
const unitOf = (dose: Dose | null) =>
  dose === null || dose.kind === 'unknown' ? '' : `${dose.measure} ${dose.per}`;

/** Whether both sides use the same beside the step's product: products, places, and amounts within `tolerance`. */
export function sameBeside(planned: unknown, actual: unknown, tolerance: number): boolean {
  const [a, b] = [besideOf(planned), besideOf(actual)];
  return (
    a.length === b.length &&
    a.every((one) => {
      const other = b.find(({ productId }) => productId === one.productId);
      if (!other || [...one.places].sort().join() !== [...other.places].sort().join()) return false;
      if (unitOf(one.dose) !== unitOf(other.dose)) return false;
      const [x, y] = [usual(one.dose), usual(other.dose)];
      return x === null || y === null ? x === y : Math.abs(x - y) <= x * tolerance + 1e-9;
    })
  );
}
