import { type Dose, timesDose } from '../doses/dose.ts';
import { besideOf } from './beside.ts';
import type { StepSettings } from './settings.ts';

/** One part of a home mix: a product of the shelf, or anything by name (water, flaxseed, vinegar). */
export interface MixPart {
  name: string;
  productId: string | null;
  /** Volume parts. */
  parts: number;
}

export const MIX_LIMITS = { most: 8, leastParts: 0.1, mostParts: 100, nameLength: 80 } as const;

/** A mix's parts. Text, as earlier versions kept it, is one part by that name. */
export function mixParts(value: unknown): readonly MixPart[] {
  if (typeof value === 'string') return value === '' ? [] : [{ name: value, productId: null, parts: 1 }];
  return Array.isArray(value) ? (value as MixPart[]) : [];
}

/** A sentence against a mix, or null when it can stand. */
export function mixProblem(value: unknown): string | null {
  if (typeof value === 'string') return value.trim() ? null : 'A home mix: say what goes in.';
  if (!Array.isArray(value) || value.length < 2 || value.length > MIX_LIMITS.most)
    return `A home mix has two to ${MIX_LIMITS.most} parts. One alone is a product, not a mix.`;
  for (const part of value as Partial<MixPart>[]) {
    if (typeof part?.name !== 'string' || part.name.trim() === '' || part.name.length > MIX_LIMITS.nameLength)
      return `Name each part of the mix, in up to ${MIX_LIMITS.nameLength} characters.`;
    if (part.productId !== null && typeof part.productId !== 'string')
      return 'Choose a product of the shelf for this part, or none.';
    const { parts } = part;
    if (typeof parts !== 'number' || !(parts >= MIX_LIMITS.leastParts && parts <= MIX_LIMITS.mostParts))
      return `How much of ${part.name} goes in runs from ${MIX_LIMITS.leastParts} to ${MIX_LIMITS.mostParts} parts.`;
  }
  return null;
}

const whatOf = ({ productId, name }: MixPart) => productId ?? name.trim().toLowerCase();

/** Each part's share of the whole by what it is; the same thing named twice counts once. Sums to 1. */
export function mixShares(value: unknown): Map<string, number> {
  const parts = mixParts(value);
  const whole = parts.reduce((sum, part) => sum + part.parts, 0);
  const shares = new Map<string, number>();
  for (const part of parts) shares.set(whatOf(part), (shares.get(whatOf(part)) ?? 0) + part.parts / whole);
  return shares;
}

/** Whether two mixes are the same: of the same things, each share within `tolerance` of the planned one. */
export function sameMix(planned: unknown, actual: unknown, tolerance: number): boolean {
  const [a, b] = [mixShares(planned), mixShares(actual)];
  if (a.size !== b.size) return false;
  for (const [what, share] of a) {
    const other = b.get(what);
    if (other === undefined || Math.abs(other - share) > share * tolerance + 1e-9) return false;
  }
  return true;
}

/**
 * The products that a step puts on the head, each with its own dose. Where a mix is set the step's dose is one of the
 * mix, and each product has its share of it; a product of the step that is no part of the mix is used beside it, as is
 * what the step uses at other places.
 */
export function productsUsed(
  step: Pick<StepSettings, 'productId' | 'dose' | 'extra'>,
): { productId: string; dose: Dose | null }[] {
  const parts = mixParts(step.extra.mix);
  const shares = mixShares(step.extra.mix);
  const ids = [...new Set(parts.flatMap(({ productId }) => productId ?? []))];
  const used = ids.map((productId) => ({ productId, dose: timesDose(step.dose, shares.get(productId)!) }));
  const elsewhere = besideOf(step.extra.beside).map(({ productId, dose }) => ({ productId, dose }));
  return step.productId === null || ids.includes(step.productId)
    ? [...used, ...elsewhere]
    : [{ productId: step.productId, dose: step.dose }, ...used, ...elsewhere];
}
