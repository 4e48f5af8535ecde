import type { CareMark } from '../hair/wash-care.ts';
import type { Slot } from '../step/slots.ts';
import type { Role } from './products.ts';

/** The care that a done step of a wash day was, by its slot and its product's uses; null for none. */
export function careOfStep(slot: Slot, roles: readonly Role[]): CareMark | null {
  if (slot === 'cleanse')
    return roles.includes('clarifier')
      ? 'clarify'
      : roles.includes('co-wash')
        ? 'co-wash'
        : roles.includes('shampoo')
          ? 'shampoo'
          : null;
  return slot === 'condition' && roles.includes('mask') ? 'deep-condition' : null;
}
