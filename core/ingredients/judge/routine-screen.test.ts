import { describe, expect, it } from 'vitest';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import { type RoutineStep, screenRoutine } from './routine-screen.ts';

/** A share as a label of great precision states it, a hair over: a stated percentage is read with its rounding. */
const stated = (share: number) => (share + 0.0002).toFixed(4);
const step = (slot: RoutineStep['slot'], product: string, list: string): RoutineStep => ({
  slot,
  product,
  formula: readFormula(parseLabel(list).items, { leaveOn: !['cleanse', 'condition'].includes(slot) }),
});
const MILD = step('cleanse', 'Mild', 'Aqua, Decyl Glucoside 10 %');
const strong = (share: number) => step('cleanse', 'Strip', `Aqua, Sodium Laureth Sulfate ${stated(share)} %`);
const holding = (product: string, name: string, share: number) =>
  step('hold', product, `Aqua, ${name} ${stated(share)} %`);

const of = (id: string, steps: readonly RoutineStep[], dew: number | null = null) =>
  screenRoutine(steps, dew).find((one) => one.id === id);
const told = (...args: Parameters<typeof of>) => of(...args) !== undefined;

describe('silicones that need a strong cleanser', () => {
  const shine = (share: number) => holding('Shine', 'Dimethicone', share);
  it('are told from 0.2 % on, where nothing strong enough cleanses', () => {
    expect(of('silicone-unlifted', [MILD, shine(0.2)])).toEqual({
      id: 'silicone-unlifted',
      strength: 3,
      says: 'Shine leaves silicones that need a strong cleanser, and this wash day has none.',
      change: 'Put a clarifying wash in the place of Mild every second week.',
      products: ['Shine'],
      items: [expect.objectContaining({ name: 'Dimethicone' })],
    });
    expect(of('silicone-unlifted', [shine(1)])!.change).toBe('Add a cleanse.');
    expect(told('silicone-unlifted', [MILD, shine(0.1)])).toBe(false);
    expect(told('silicone-unlifted', [strong(2), shine(1)])).toBe(false);
    expect(told('silicone-unlifted', [strong(1.9), shine(1)])).toBe(true);
  });

  it('that are rinsed off again are not told', () => {
    expect(told('silicone-unlifted', [MILD, step('condition', 'Slip', 'Aqua, Dimethicone 2 %')])).toBe(false);
  });
});

describe('a day without a cleanse', () => {
  it('is told, but not of an empty one', () => {
    const gel = holding('Gel', 'Glycerin', 2);
    expect(of('no-cleanse', [gel])).toMatchObject({
      strength: 2,
      says: 'Nothing cleanses: what is left on adds up.',
      products: [],
    });
    expect(told('no-cleanse', [MILD, gel])).toBe(false);
    expect(screenRoutine([], null)).toEqual([]);
  });
});

describe('protein in several steps', () => {
  const protein = (product: string, share: number) => holding(product, 'Hydrolyzed Keratin', share);
  it('stacks in three, or in two with 3 % together', () => {
    expect(told('protein-stacked', [MILD, protein('A', 5)])).toBe(false);
    expect(told('protein-stacked', [MILD, protein('A', 1), protein('B', 1.9)])).toBe(false);
    expect(told('protein-stacked', [MILD, protein('A', 1), protein('B', 2)])).toBe(true);
    expect(
      of('protein-stacked', [MILD, protein('A', 0.1), protein('B', 0.2), protein('C', 0.2)]),
    ).toMatchObject({
      says: 'Protein in 3 steps, about 0.5 % in all: it stacks.',
      change: 'Leave one of them out: A, B, C.',
      products: ['A', 'B', 'C'],
    });
    expect(told('protein-stacked', [MILD, protein('A', 0.1), protein('B', 0.2), protein('C', 0.09)])).toBe(
      false,
    );
  });
});

describe('humectants that stay on', () => {
  const wet = (product: string, share: number) => holding(product, 'Glycerin', share);
  it('are told from 6 % on in dry and in humid air, between them not', () => {
    const days = (share: number, dew: number | null) =>
      screenRoutine([MILD, wet('Wet', share)], dew).map(({ id }) => id);
    expect(days(6, 1.9)).toEqual(['humectants-dry']);
    expect(days(5.9, 1.9)).toEqual([]);
    expect(days(6, 2)).toEqual([]);
    expect(days(6, 16)).toEqual(['humectants-humid']);
    expect(days(5.9, 16)).toEqual([]);
    expect(days(6, 15.9)).toEqual([]);
    expect(days(20, null)).toEqual([]);
  });

  it('add up over steps of half a percent and more', () => {
    const days = [MILD, wet('A', 5.6), wet('B', 0.5)];
    expect(of('humectants-dry', days, 0)).toMatchObject({
      says: 'About 6 % humectants stay on over 2 steps, in dry air.',
      change: 'Change B for one with less, or seal over it.',
      products: ['A', 'B'],
    });
    expect(told('humectants-dry', [MILD, wet('A', 5.6), wet('B', 0.4)], 0)).toBe(false);
    expect(of('humectants-humid', days, 20)!.says).toBe(
      'About 6 % humectants stay on in humid air, with nothing over them that resists it.',
    );
  });

  it('bear humid air under a film that resists it', () => {
    const film = (share: number) => holding('Film', 'VP/DMAPA Acrylates Copolymer', share);
    expect(told('humectants-humid', [MILD, wet('Wet', 9), film(0.3)], 20)).toBe(false);
    expect(told('humectants-humid', [MILD, wet('Wet', 9), film(0.2)], 20)).toBe(true);
  });
});

describe('an oil under water', () => {
  const oil = step('emollient', 'Oil', 'Argania Spinosa Kernel Oil, Olea Europaea Fruit Oil');
  const gel = holding('Gel', 'Glycerin', 2);
  it('is told with the last that should go before it', () => {
    const second = holding('Second', 'Panthenol', 1);
    expect(of('oil-under-water', [MILD, oil, gel, second])).toMatchObject({
      says: 'Oil goes on before Gel, Second: water does not pass an oil well. Schools differ on the order.',
      change: 'Move Oil behind Second.',
      products: ['Oil', 'Gel', 'Second'],
    });
    expect(told('oil-under-water', [MILD, gel, oil])).toBe(false);
    expect(told('oil-under-water', [MILD, gel, second])).toBe(false);
  });

  it('is one from 30 % of oil under half water on', () => {
    const cream = (share: number) =>
      step('emollient', 'Cream', `Aqua 60 %, Argania Spinosa Kernel Oil ${stated(share)} %, Glycerin`);
    expect(told('oil-under-water', [MILD, cream(30), gel])).toBe(true);
    expect(told('oil-under-water', [MILD, cream(29), gel])).toBe(false);
    const thick = (water: number) => step('hold', 'Thick', `Aqua ${stated(water)} %, Glycerin`);
    expect(told('oil-under-water', [MILD, oil, thick(50)])).toBe(true);
    const little = step('hold', 'Little', 'Aqua 49 %, Glycerin 48 %, Panthenol 3 %');
    expect(told('oil-under-water', [MILD, oil, little])).toBe(false);
  });
});

describe('film on film', () => {
  const film = (product: string, share = 2) => holding(product, 'VP/VA Copolymer', share);
  it('is told of three, each with 0.3 %', () => {
    expect(of('film-on-film', [MILD, film('A'), film('B'), film('C', 0.3)])).toMatchObject({
      strength: 1,
      says: '3 products lay film on film: flakes are likely where they meet.',
      change: 'Leave out B.',
      products: ['A', 'B', 'C'],
    });
    expect(told('film-on-film', [MILD, film('A'), film('B'), film('C', 0.2)])).toBe(false);
    expect(told('film-on-film', [MILD, film('A'), film('B')])).toBe(false);
  });
});

describe('charges that clash', () => {
  const cationic = (share: number) => holding('Foam', 'Polyquaternium-10', share);
  const carbomer = (share: number) => holding('Gel', 'Carbomer', share);
  it('are told of two products, not of one that holds both', () => {
    expect(of('charge-clash', [MILD, cationic(0.3), carbomer(0.1)])).toMatchObject({
      says: 'Foam is cationic and Gel thickened with carbomer: together they can ball into white flakes.',
      products: ['Foam', 'Gel'],
      items: [
        expect.objectContaining({ name: 'Polyquaternium-10' }),
        expect.objectContaining({ name: 'Carbomer' }),
      ],
    });
    expect(told('charge-clash', [MILD, cationic(0.2), carbomer(0.1)])).toBe(false);
    expect(told('charge-clash', [MILD, cationic(0.3), carbomer(0.09)])).toBe(false);
    expect(told('charge-clash', [MILD, cationic(0.3)])).toBe(false);
    const both = step('hold', 'Both', 'Aqua, Polyquaternium-10 1.0 %, Carbomer 0.5 %');
    expect(told('charge-clash', [MILD, both])).toBe(false);
    expect(told('charge-clash', [MILD, both, carbomer(0.5)])).toBe(true);
  });
});

it('the heaviest stands first', () => {
  const day = [
    holding('Shine', 'Dimethicone', 2),
    ...['A', 'B', 'C'].map((name) => holding(name, 'VP/VA Copolymer', 2)),
  ];
  const strengths = screenRoutine(day, 0).map(({ strength }) => strength);
  expect(strengths).toEqual([3, 2, 1]);
});
