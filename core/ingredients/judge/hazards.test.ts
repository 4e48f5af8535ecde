import { describe, expect, it } from 'vitest';
import { NO_TRAITS } from '../../hair/traits.ts';
import type { Role } from '../../shelf/products.ts';
import { BANS, bansOf, cited } from '../bans.ts';
import { findIngredient } from '../dictionary.ts';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import { hazardsIn } from './hazards.ts';
import { RULES } from './rules/all.ts';
import { type ScreenFor, screenFormula, staysOn } from './screen.ts';

const whom: ScreenFor = {
  roles: ['mask'],
  parts: [{ where: null, traits: { ...NO_TRAITS, damage: 'marked', porosity: 'high' } }],
  history: ['lifted'],
  stretch: 'protein',
  child: false,
  hardWater: false,
  scalp: [],
  wantsHold: true,
  dislikes: [],
  avoided: [],
  dewPointC: 12,
  school: null,
  market: 'eu',
  weights: {},
};
const screen = (list: string, to: Partial<ScreenFor> = {}, role: Role = 'mask') => {
  const own = { ...whom, roles: [role], ...to };
  return screenFormula(
    readFormula(parseLabel(list).items, { leaveOn: staysOn(own.roles), market: own.market }),
    own,
    RULES,
  );
};

describe('what is for a licensed professional', () => {
  // From names alone, at any place, on lists of the kind an outside chemist found to pass.
  const hazards: [string, string][] = [
    [
      'a keratin treatment',
      'Aqua, Methylene Glycol, Hydrolyzed Keratin, Cetearyl Alcohol, Behentrimonium Chloride, Parfum',
    ],
    [
      'a glyoxylic straightener',
      'Aqua, Glyoxylic Acid, Cetearyl Alcohol, Hydrolyzed Keratin, Behentrimonium Chloride, Parfum',
    ],
    [
      'a carbocysteine straightener',
      'Aqua, Cetearyl Alcohol, Glyoxyloyl Carbocysteine, Glyoxyloyl Keratin Amino Acids',
    ],
    [
      'a lye relaxer',
      'Aqua, Petrolatum, Mineral Oil, Cetearyl Alcohol, Sodium Hydroxide, Polysorbate 60, Parfum',
    ],
    [
      'a no-lye relaxer',
      'Aqua, Petrolatum, Mineral Oil, Calcium Hydroxide, Cetearyl Alcohol, Guanidine Carbonate',
    ],
    ['a lithium relaxer', 'Aqua, Mineral Oil, Petrolatum, Cetearyl Alcohol, Lithium Hydroxide, Laureth-3'],
    [
      'a perm, thioglycolate in fourth place',
      'Aqua, Glycerin, Cetearyl Alcohol, Ammonium Thioglycolate, Parfum',
    ],
    ['a perm, thioglycolate last', 'Aqua, Glycerin, Cetearyl Alcohol, Parfum, Ethanolamine Thioglycolate'],
    ['a bleach powder', 'Ammonium Persulfate, Potassium Persulfate, Sodium Metasilicate, Silica'],
    ['a developer', 'Aqua, Hydrogen Peroxide, Cetearyl Alcohol, Phosphoric Acid'],
    ['peroxide in fourth place', 'Aqua, Cetearyl Alcohol, Glycerin, Hydrogen Peroxide, Parfum'],
    ['an oxidative dye', 'Aqua, Cetearyl Alcohol, p-Phenylenediamine, Resorcinol, Parfum'],
    ['shares that conflict', 'Aqua 10%, Ammonium Thioglycolate 12%, Glycerin 40%, Parfum'],
  ];

  it.each(hazards)('%s is never worth a trial, on any role, market or hair', (_, list) => {
    for (const role of ['mask', 'treatment', 'cream', 'gel', 'shampoo'] as const)
      for (const market of ['eu', 'us'] as const) {
        const { verdict, reasons } = screen(list, { market }, role);
        expect(['professional', 'never'], `${role} ${market}`).toContain(verdict);
        expect(reasons.some(({ effect }) => effect === 'professional')).toBe(true);
        expect(screen(list, { market, child: true }, role).verdict).toBe('never');
      }
  });

  it.each([
    ['a gel whose acid thickener takes lye', 'Aqua, Carbomer, Sodium Hydroxide, Glycerin, Phenoxyethanol'],
    [
      'a shampoo with lye behind its preservative',
      'Aqua, Sodium Laureth Sulfate, Sodium Benzoate, Sodium Hydroxide',
    ],
    ['a soap', 'Aqua, Stearic Acid, Potassium Hydroxide, Glycerin'],
    ['a conditioner', 'Aqua, Cetearyl Alcohol, Behentrimonium Chloride, Citric Acid, Phenoxyethanol'],
    ['baking soda', 'Aqua, Sodium Bicarbonate, Glycerin, Phenoxyethanol'],
    [
      'a preservative that sets a little free',
      'Aqua, Cetearyl Alcohol, Behentrimonium Chloride, DMDM Hydantoin',
    ],
  ])('is not %s', (_, list) => {
    expect(hazardsIn(readFormula(parseLabel(list).items, { leaveOn: false }))).toEqual([]);
  });

  it('is lye up to the eighth place, told with the relaxer it stands beside', () => {
    const kinds = (list: string) =>
      hazardsIn(readFormula(parseLabel(list).items, { leaveOn: false })).map(
        ({ kind, items }) => `${kind}: ${items.map(({ name }) => name).join(', ')}`,
      );
    const base = ['Aqua', 'Petrolatum', 'Cetearyl Alcohol', 'Glycerin', 'Panthenol', 'Urea', 'Sorbitol'];
    const lye = 'Sodium Hydroxide';
    expect(kinds([...base, lye].join(', '))).toEqual([`relaxer: ${lye}`]);
    expect(kinds([...base, 'Betaine', lye].join(', '))).toEqual([]);
    expect(kinds(`${lye}, Aqua, Petrolatum`)).toEqual([`relaxer: ${lye}`]);
    // Something kept or scented before it means a pH set at the end; behind it does not.
    expect(kinds(`Aqua, Petrolatum, Phenoxyethanol, ${lye}`)).toEqual([]);
    expect(kinds(`Phenoxyethanol, Petrolatum, ${lye}`)).toEqual([]);
    expect(kinds(`Aqua, Petrolatum, Parfum, ${lye}`)).toEqual([]);
    expect(kinds(`Aqua, Petrolatum, ${lye}, Phenoxyethanol, Parfum`)).toEqual([`relaxer: ${lye}`]);
    expect(kinds(`Aqua, Petrolatum, ${lye}, Lactic Acid`)).toEqual([]);
    expect(kinds(`Aqua, Lithium Hydroxide, ${lye}, Hydrogen Peroxide`)).toEqual([
      `relaxer: Lithium Hydroxide, ${lye}`,
      'bleach: Hydrogen Peroxide',
    ]);
    expect(kinds(`Aqua, Zorblax, Petrolatum, ${lye}`)).toEqual([`relaxer: ${lye}`]);
  });

  it('cannot be outweighed or switched off', () => {
    const weights = Object.fromEntries(RULES.map(({ id }) => [id, 3]));
    expect(screen(hazards[1]![1], { weights }).verdict).toBe('professional');
  });
});

describe('what a market keeps out', () => {
  it('names substances the dictionary knows, an act each, and marks what was not looked up', () => {
    for (const ban of BANS) {
      expect(ban.act).toMatch(/Regulation|Annex/);
      for (const name of ban.names) expect(findIngredient(name)?.name, name).toBe(name);
      if (!ban.checked) expect(cited(ban)).toContain('unchecked');
    }
    expect(cited({ act: 'An act', checked: true })).toBe('An act');
    expect(bansOf('Aqua')).toEqual([]);
  });

  it('is forbidden there with its date, and told elsewhere', () => {
    const list = 'Aqua, Sodium Laureth Sulfate, Zinc Pyrithione, Sodium Benzoate';
    const eu = screen(list, { scalp: ['flakes'] }, 'shampoo');
    expect(eu.verdict).toBe('never');
    expect(eu.reasons[0]).toMatchObject({
      says: 'Zinc Pyrithione: not allowed in cosmetics in the EU since 2022.',
      source: 'Regulation (EU) 2021/1902; unchecked',
    });
    const us = screen(list, { market: 'us' }, 'shampoo');
    expect(us.verdict).not.toBe('never');
    expect(us.reasons.some(({ says }) => says.includes('Zinc Pyrithione'))).toBe(true);
  });

  it('is told of isothiazolinones that stay on in every market, to a child and a sensitive scalp too', () => {
    const list = 'Water, Glycerin, Cetearyl Alcohol, Methylchloroisothiazolinone, Methylisothiazolinone';
    const eu = screen(list, {}, 'leave-in');
    expect(eu.verdict).toBe('never');
    expect(eu.reasons[0]!.says).toMatch(/: not allowed in what stays on in the EU since \d{4}\.$/);
    expect(
      screen(list, {}, 'shampoo')
        .reasons.map(({ says }) => says)
        .join(),
    ).not.toContain('what stays on in');
    const us = screen(list, { market: 'us', child: true, scalp: ['sensitive'] }, 'leave-in');
    expect(us.reasons.map(({ ruleId }) => ruleId)).toEqual(
      expect.arrayContaining(['isothiazolinone-leave', 'isothiazolinone-child', 'isothiazolinone-sensitive']),
    );
    expect(screen('Water, Sodium Laureth Sulfate, Methylisothiazolinone', {}, 'shampoo').verdict).not.toBe(
      'never',
    );
    expect(screen('Water, Sodium Laureth Sulfate, Benzisothiazolinone', {}, 'shampoo').verdict).toBe('never');
  });
});

describe('a list that contradicts itself', () => {
  it('says that amounts were not judged and is never a good bet', () => {
    const { verdict, reasons } = screen(
      'Aqua 10%, VP/VA Copolymer 60%, Glycerin 40%, Phenoxyethanol',
      {},
      'gel',
    );
    expect(reasons.some(({ ruleId }) => ruleId === 'list-conflict')).toBe(true);
    expect(verdict).not.toBe('good');
  });
});

describe('a child', () => {
  it('is never told that a strong cleanser, a soap or a common sensitiser is kind', () => {
    const kind = (list: string) =>
      screen(list, { child: true }, 'shampoo').reasons.some(({ ruleId }) => ruleId === 'child-mild');
    expect(kind('Aqua, Decyl Glucoside, Glycerin, Sodium Benzoate')).toBe(true);
    for (const list of [
      'Aqua, Sodium Lauryl Sulfate, Glycerin, Sodium Benzoate',
      'Aqua, Decyl Glucoside, Methylchloroisothiazolinone, Methylisothiazolinone',
      'Aqua, Decyl Glucoside, DMDM Hydantoin',
      'Aqua, Potassium Cocoate, Glycerin',
      'Aqua, Decyl Glucoside, Parfum, Sodium Benzoate',
    ])
      expect(kind(list), list).toBe(false);
  });

  it('is spoken of at salicylic acid that stays on, nut oils and mint extracts', () => {
    const ids = (list: string, role: Role = 'cream') =>
      screen(list, { child: true }, role).reasons.map(({ ruleId }) => ruleId);
    expect(ids('Aqua, Glycerin, Salicylic Acid, Phenoxyethanol')).toContain('child-salicylic');
    expect(ids('Aqua, Prunus Amygdalus Dulcis Oil, Cetearyl Alcohol, Phenoxyethanol')).toContain(
      'child-nuts',
    );
    expect(ids('Aqua, Glycerin, Mentha Piperita Leaf Extract, Phenoxyethanol')).toContain('child-mint');
    expect(ids('Aqua, Decyl Glucoside, Parfum', 'shampoo')).toContain('child-scent');
  });
});
