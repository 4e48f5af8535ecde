import { IDEAS, type Idea } from '@sabor/core/basin/ideas';
import { SLOTS, type Slot } from '@sabor/core/step/slots';

/** An idea for next time: "less", "add leave-in", "other product: Gel Two"; `product` is the name of what it names, if any. */
export function ideaInWords(
  { idea, slot }: { idea: Idea; slot: Slot | null },
  product: string | null,
): string {
  if (slot !== null) return `add ${SLOTS[slot].label.toLowerCase()}`;
  return product === null ? IDEAS[idea].label : `${IDEAS[idea].label}: ${product}`;
}
