import type { Usual } from '@sabor/core/board/usual';
import { DOSE_TOLERANCE } from '@sabor/core/doses/dose';
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

/** A range's ends rounded to whole units, as they are said; one number where both are the same. */
function wholeRange(low: number, high: number): string {
  const [from, to] = [Math.round(low), Math.round(high)];
  return from === to ? `${from}` : `${from} to ${to}`;
}

/** Minutes or hairs of a wash day beside what is usual on its head: "usual (31 to 44)", "outside what is usual (31 to 44)". Null where too little is known. */
export function wholeBesideUsual(value: number, usual: Usual): string | null {
  if (usual.known === 'too few') return null;
  const inside = Math.round(value) >= Math.round(usual.low) && Math.round(value) <= Math.round(usual.high);
  return `${inside ? 'usual on this head' : 'outside what is usual on this head'} (${wholeRange(usual.low, usual.high)})`;
}

/** An amount beside what was usually taken: null where it is usual, or within what holds for a kept amount, or where too little is known. */
export function amountOffUsual(name: string, amount: number, usual: Usual, unit: string): string | null {
  if (usual.known === 'too few') return null;
  if (amount >= usual.low && amount <= usual.high) return null;
  if (Math.abs(amount - usual.middle) <= DOSE_TOLERANCE * usual.middle) return null;
  const said = (x: number) => Number(x.toFixed(1)).toString();
  return `${name}: ${said(amount)} ${unit}, usually ${said(usual.middle)} (${counted(usual.days, 'wash day')})`;
}
