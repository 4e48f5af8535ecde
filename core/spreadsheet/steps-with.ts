import { ROLES, type Role } from '../shelf/products.ts';
import { SLOTS, type Slot } from '../step/slots.ts';
import { EMPTY_SETTINGS, type RoutineStep } from '../step/step.ts';

/** A step of a routine, without an identity of its own. */
export type StepOfDay = Omit<RoutineStep, 'id'>;

/** A product that a day used, at a step where that is said, else where its first role is at home. */
export interface ProductOfDay {
  id: string;
  roles: readonly Role[];
  slot: Slot | null;
}

const ORDER = Object.keys(SLOTS) as Slot[];

/**
 * A routine's steps with a day's products in them: each takes the place of the product at the first free step of its
 * slot, whose amount was that other product's and is no longer known; where the routine has no such step, one is added in
 * the usual order. What a day does not name stays as the routine has it.
 */
export function stepsWith(steps: readonly StepOfDay[], products: readonly ProductOfDay[]): StepOfDay[] {
  const day = steps.map((step) => ({ ...step }));
  const filled = new Set<StepOfDay>();
  for (const { id, roles, slot } of products) {
    const slots: readonly Slot[] = slot ? [slot] : roles.flatMap((role) => ROLES[role].slots);
    const free = slots
      .flatMap((wanted) => day.filter((step) => step.slot === wanted && !filled.has(step)))
      .toSorted((a, b) => Number(b.productId === id) - Number(a.productId === id))[0];
    if (free) {
      if (free.productId !== id) Object.assign(free, { productId: id, dose: null });
      filled.add(free);
      continue;
    }
    const added: StepOfDay = { ...EMPTY_SETTINGS, slot: slots[0]!, productId: id, note: '' };
    filled.add(added);
    const after = day.findIndex((step) => ORDER.indexOf(step.slot) > ORDER.indexOf(added.slot));
    day.splice(after < 0 ? day.length : after, 0, added);
  }
  return day;
}
