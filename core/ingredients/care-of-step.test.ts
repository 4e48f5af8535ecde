import { describe, expect, it } from 'vitest';
import type { Role } from '../shelf/products.ts';
import type { Slot } from '../step/slots.ts';
import { careOfStep } from './care-of-step.ts';

const care = (slot: Slot, roles: Role[], ingredients = '') => careOfStep(slot, { roles, ingredients });

describe('care that a wash day was', () => {
  it('follows from the slot and the uses of its product', () => {
    expect(care('cleanse', ['shampoo'])).toEqual(['shampoo']);
    expect(care('cleanse', ['shampoo', 'clarifier'])).toEqual(['clarify']);
    expect(care('cleanse', ['co-wash', 'conditioner'])).toEqual(['co-wash']);
    expect(care('cleanse', ['conditioner'])).toEqual([]);
    expect(care('condition', ['mask'])).toEqual(['deep-condition']);
    expect(care('condition', ['conditioner'])).toEqual([]);
    // A mask left in is no deep conditioning, a clarifier in a refresh no clarifying.
    expect(care('leave-in', ['mask'])).toEqual([]);
    expect(care('refresh', ['clarifier'])).toEqual([]);
  });

  it('of a treatment follows from its list: protein, a bond builder, both or neither', () => {
    const protein = 'Aqua, Cetearyl Alcohol, Hydrolyzed Wheat Protein';
    const bond = 'Aqua, Bis-Aminopropyl Diglycol Dimaleate';
    expect(care('treat', ['treatment'], protein)).toEqual(['protein-light']);
    expect(care('pre-wash', ['treatment'], bond)).toEqual(['bond']);
    expect(care('treat', ['treatment'], `${protein}, Bis-Aminopropyl Diglycol Dimaleate`)).toEqual([
      'protein-light',
      'bond',
    ]);
    expect(care('treat', ['treatment'], 'Aqua, Glycerin')).toEqual([]);
    expect(care('treat', ['treatment'])).toEqual([]);
    // A conditioner with some protein in it is no treatment.
    expect(care('condition', ['conditioner'], protein)).toEqual([]);
  });
});
