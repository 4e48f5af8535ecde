import type { Usual } from '@sabor/core/board/usual';
import { counted } from './numbers.ts';

/** A number beside what is usual for it: "usual for this zone (5.5 to 8.0, 31 wash days)", "outside what is usual …". Null where too little is known. */
export function besideUsual(value: number, usual: Usual, where: string): string | null {
  if (usual.known === 'too few') return null;
  const range = `${usual.low.toFixed(1)} to ${usual.high.toFixed(1)}`;
  // A band over the whole scale says nothing.
  if (usual.low <= 0 && usual.high >= 10) return null;
  const of = usual.known === 'one product' ? ` with ${usual.product}` : '';
  const rests = `${range}${of}, ${counted(usual.days, usual.known === 'one product' ? 'wash day' : 'number')}`;
  const inside = value >= usual.low && value <= usual.high;
  return inside
    ? `${value.toFixed(1)} is usual for ${where} (${rests}).`
    : `${value.toFixed(1)} lies outside what is usual for ${where} (${rests}). Right as it is, if that is what you see.`;
}
