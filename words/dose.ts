import type { Dose } from '@sabor/core/doses/dose';
import { MEASURES } from '@sabor/core/doses/measures';
import { rounded } from './numbers.ts';

/** An amount; a field that is still empty leaves its place open. */
const told = (amount: number | null) => (amount === null ? '…' : rounded(amount, 2));

/** A dose in words: "2 pumps per section", "1–2 peas", "amount not remembered". */
export function doseInWords(dose: Dose | null): string {
  if (dose === null) return 'no amount';
  if (dose.kind === 'unknown') return 'amount not remembered';
  const measure = MEASURES[dose.measure];
  const amount = dose.kind === 'exact' ? told(dose.amount) : `${told(dose.from)}–${told(dose.to)}`;
  const most = dose.kind === 'exact' ? dose.amount : dose.to;
  return `${amount} ${most === 1 ? measure.label : measure.plural}${dose.per === 'section' ? ' per section' : ''}`;
}
