import { describe, expect, it } from 'vitest';
import { readFormula } from './formula.ts';
import { parseLabel } from './label/parse-label.ts';

const formula = (list: string, leaveOn = true) => readFormula(parseLabel(list).items, { leaveOn });
const share = (list: string, name: string, leaveOn = true) =>
  formula(list, leaveOn).items.find((item) => item.name === name)!;

describe('a label as a formula', () => {
  it('takes the law’s caps, with the salt’s factor', () => {
    const list = 'Aqua, Glycerin, Sodium Benzoate, Potassium Sorbate, Parfum';
    expect(share(list, 'Sodium Benzoate').share!.high).toBeCloseTo(0.5 * 1.18, 6);
    expect(share(list, 'Sodium Benzoate', false).share!.high).toBeCloseTo(2.5 * 1.18, 6);
    expect(share(list, 'Parfum').share!.high).toBeCloseTo(1, 6);
  });

  it('keeps colourants and drug actives out of the order', () => {
    const dyed = formula('Aqua, Glycerin, Panthenol, CI 19140');
    expect(dyed.items.map(({ ordered }) => ordered)).toEqual([true, true, true, false]);
    expect(dyed.items[1]!.share!.high).toBeCloseTo(50, 6);
    const drug = formula(
      'Active ingredient: Zinc Pyrithione 1%. Inactive ingredients: Aqua, Sodium Laureth Sulfate',
      false,
    );
    expect(drug.items[0]).toMatchObject({ ordered: false });
    expect(drug.items[0]!.share!.low).toBeCloseTo(0.5, 6);
  });

  it('never adds up what is inside perfume', () => {
    const { items } = formula('Aqua, Glycerin, Parfum (Linalool, Limonene), Citral');
    expect(items.slice(3, 5).map((item) => item.share)).toEqual([null, null]);
    expect(items[5]!.share).toEqual({ low: 0.001, high: 1 });
    const counted = items.slice(0, 3).reduce((sum, item) => sum + item.expected, 0);
    expect(counted).toBeCloseTo(100, 6);
  });

  it('takes a stated percentage at its word', () => {
    const list = 'Aqua, Niacinamide 5%, Glycerin, Panthenol';
    expect(share(list, 'Niacinamide').share).toEqual({ low: 4.5, high: 5.5 });
    expect(share(list, 'Glycerin').share!.high).toBeCloseTo(5.5, 6);
  });

  it('names the items of a list that contradicts itself', () => {
    const { conflict, line, items } = formula('Aqua, Phenoxyethanol, Glycerin 20%');
    expect(conflict).toContain('These cannot stand in this order: Phenoxyethanol, Glycerin');
    expect(line).toBeNull();
    expect(items[0]!.share).toBeNull();
  });

  it('is empty for an empty list and whole for one ingredient', () => {
    expect(formula('').items).toEqual([]);
    expect(formula('Argan Oil').items[0]).toMatchObject({ expected: 100, share: { low: 100, high: 100 } });
  });

  it('is the same every time', () => {
    const list = 'Aqua, Glycerin, Cetyl Alcohol, Behentrimonium Chloride, Panthenol, Parfum';
    expect(formula(list)).toEqual(formula(list));
  });
});
