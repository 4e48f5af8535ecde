import { describe, expect, it } from 'vitest';
import { CLAIMS, readClaims } from './claims.ts';
import { screenRoutine } from './judge/routine-screen.ts';
import { LEDGER } from './ledger/constants.ts';
import { ownScale, runLedger, unequalGround, wantsClarify } from './ledger/ledger.ts';
import { RESIDUES, residueProfile } from './ledger/residue.ts';
import { likeness } from './likeness.ts';
import { readProduct } from './read-product.ts';

const leaveOn = (ingredients: string) => readProduct({ ingredients, roles: ['gel'] });
const rinsed = (ingredients: string) => readProduct({ ingredients, roles: ['shampoo'] });

describe('claims', () => {
  const holds = (list: string, claim: keyof typeof CLAIMS) =>
    readClaims(leaveOn(list)).find((one) => one.claim === claim)!.holds;

  it('are true, false or open as the list says', () => {
    expect(holds('Aqua, Sodium Coco-Sulfate', 'sulfates')).toBe('false');
    expect(holds('Aqua, Decyl Glucoside', 'sulfates')).toBe('true');
    expect(holds('Aqua, Driftwood Essence', 'sulfates')).toBe('cannot tell');
    expect(holds('Aqua, Cetearyl Alcohol', 'drying-alcohol')).toBe('true');
    expect(holds('Aqua, Alcohol Denat.', 'drying-alcohol')).toBe('false');
    expect(holds('Aqua, Driftwood Essence, Dimethicone', 'silicones')).toBe('false');
    expect(holds('Aqua, Vegetable Glycerin', 'glycerin')).toBe('false');
  });

  /* An outside chemist's list of what was read wrongly, and what was right and stays so. */
  it.each<[string, keyof typeof CLAIMS, 'true' | 'false' | 'cannot tell']>([
    // True was said although the list has it.
    ['Disodium PEG-12 Dimethicone Sulfosuccinate', 'silicones', 'false'],
    ['Acrylates/Stearyl Acrylate/Dimethicone Methacrylate Copolymer', 'silicones', 'false'],
    ['Tapioca Starch Polymethylsilsesquioxane', 'silicones', 'false'],
    ['Hydrolyzed Sesame Protein PG-Propyl Methylsilanediol', 'silicones', 'false'],
    ['Cystine Bis-PG-Propyl Silanetriol', 'silicones', 'false'],
    ['Sodium Cocoyl Hydrolyzed Wheat Protein', 'protein', 'false'],
    ['Potassium Cocoyl Hydrolyzed Collagen', 'protein', 'false'],
    ['Sodium Lauroyl Hydrolyzed Silk', 'protein', 'false'],
    ['Hydrolyzed Placental Protein', 'protein', 'false'],
    ['Colloidal Oatmeal', 'protein', 'false'],
    ['Coconut Milk', 'protein', 'false'],
    ['Royal Jelly Extract', 'protein', 'false'],
    ['Yeast Extract', 'protein', 'false'],
    ['Glyoxylic Acid', 'formaldehyde-releasers', 'false'],
    ['Vanilla Planifolia Fruit Extract', 'perfume', 'false'],
    ['Mica', 'colourants', 'false'],
    // False was said although the list is free of it.
    ['Arginine', 'protein', 'true'],
    ['Taurine', 'protein', 'true'],
    ['Carnitine', 'protein', 'true'],
    ['Creatine', 'protein', 'true'],
    ['Benzyl Alcohol', 'perfume', 'true'],
    ['Hydrogenated Polyisobutene', 'mineral-oil', 'true'],
    ['Polybutene', 'mineral-oil', 'true'],
    ['4-Hydroxybenzoic Acid', 'parabens', 'true'],
    ['Styrax Benzoin Resin Extract', 'essential-oils', 'true'],
    ['Jasminum Grandiflorum Flower Extract', 'essential-oils', 'true'],
    // Left open where the list is plain.
    ['Sodium Coceth Sulfate', 'sulfates', 'false'],
    ['TIPA-Laureth Sulfate', 'sulfates', 'false'],
    ['SD Alcohol 39-C', 'drying-alcohol', 'false'],
    ['Serica', 'protein', 'false'],
    ['Polyoxymethylene Urea', 'formaldehyde-releasers', 'false'],
    // Right, and to stay so.
    ['Sodium Lauryl Sulfoacetate', 'sulfates', 'true'],
    ['Magnesium Sulfate', 'sulfates', 'true'],
    ['Behentrimonium Methosulfate', 'sulfates', 'true'],
    ['Sodium C14-16 Olefin Sulfonate', 'sulfates', 'true'],
    ['Disodium Laureth Sulfosuccinate', 'sulfates', 'true'],
    ['Sodium Laureth Sulphate', 'sulfates', 'false'],
    ['Cetearyl Alcohol', 'drying-alcohol', 'true'],
    ['Benzyl Alcohol', 'drying-alcohol', 'true'],
    ['PEG-12 Dimethicone', 'silicones', 'false'],
    ['Cyclopentasiloxane', 'silicones', 'false'],
    ['Silica', 'silicones', 'true'],
    ['Hydrolyzed Rice Protein', 'protein', 'false'],
    ['Silk Amino Acids', 'protein', 'false'],
    ['Glyceryl Oleate', 'glycerin', 'true'],
    ['Quaternium-15', 'formaldehyde-releasers', 'false'],
    ['Bronopol', 'formaldehyde-releasers', 'false'],
    ['Petrolatum', 'mineral-oil', 'false'],
    ['Methylparaben', 'parabens', 'false'],
    ['Lavandula Angustifolia Oil', 'essential-oils', 'false'],
    ['Linalool', 'perfume', 'false'],
    ['CI 19140', 'colourants', 'false'],
  ])('with %s on the list, free of %s is %s', (name, claim, wanted) => {
    expect(holds(`Aqua, ${name}, Citric Acid`, claim)).toBe(wanted);
  });

  it('stay open where it is only a “may contain”', () => {
    expect(holds('Aqua, Citric Acid. May contain: Dimethicone', 'silicones')).toBe('cannot tell');
    expect(holds('Aqua, Citric Acid. May contain: CI 19140', 'colourants')).toBe('cannot tell');
  });

  it('say what they are read as, with their exceptions', () => {
    for (const { says } of Object.values(CLAIMS)) expect(says).toMatch(/^[A-Z0-9].{20,}\.$/);
  });
});

describe('likeness', () => {
  const BASE = 'Aqua, VP/VA Copolymer, Glycerin, Carbomer, Panthenol, Phenoxyethanol';

  it('finds the same base under another scent', () => {
    const found = likeness(
      leaveOn(`${BASE}, Parfum, Linalool`),
      leaveOn(`${BASE}, Lavandula Angustifolia Oil`),
    );
    expect(found.sameBase).toBe(true);
    expect(found.onlyThere).toEqual(['Lavandula Angustifolia Oil']);
  });

  it('is one with itself, nothing with a stranger, and the same both ways', () => {
    const one = leaveOn(BASE);
    const other = leaveOn('Argania Spinosa Kernel Oil, Cocos Nucifera Oil');
    expect(likeness(one, one).alike).toBeCloseTo(1, 12);
    expect(likeness(one, other).alike).toBe(0);
    const near = leaveOn('Aqua, Glycerin, PVP, Carbomer, Phenoxyethanol');
    expect(likeness(one, near).alike).toBeCloseTo(likeness(near, one).alike, 12);
    expect(likeness(one, near).sameBase).toBe(false);
  });
});

describe('the build-up ledger', () => {
  const gel = residueProfile(leaveOn('Aqua, Dimethicone 5%, VP/VA Copolymer 5%, Phenoxyethanol'));
  const mild = residueProfile(rinsed('Aqua, Decyl Glucoside 10%, Sodium Benzoate'));
  const strong = residueProfile(rinsed('Aqua, Sodium Lauryl Sulfate 12%, Sodium Benzoate'));
  const day = (on: string, wash: typeof gel, grams = 10) => ({
    on,
    planned: false,
    steps: [
      { profile: wash, grams: 10 },
      { profile: gel, grams },
    ],
  });

  it('adds what stays and lifts by strength, worked by hand', () => {
    const [first, second] = runLedger([day('2026-11-01', mild), day('2026-11-08', strong)]);
    // 10 g × 5 % × .6 stays = .3 g of silicone; a strong wash leaves 5 % of it, then the gel adds .3 g again.
    expect(first!.loads.silicone).toBeCloseTo(0.3, 1);
    const lifted = first!.loads.silicone * (1 - RESIDUES.silicone.lifted[4]);
    expect(second!.loads.silicone).toBeCloseTo(lifted + first!.loads.silicone, 12);
    expect(second!.before).toBeCloseTo(first!.total, 12);
  });

  it('climbs under mild washes until it wants a clarify, and falls after one', () => {
    const weeks = Array.from({ length: 12 }, (_, i) =>
      day(new Date(Date.UTC(2026, 0, 1 + 7 * i)).toISOString().slice(0, 10), mild, 20),
    );
    const points = runLedger(weeks);
    for (let i = 1; i < points.length; i++)
      expect(points[i]!.loads.silicone).toBeGreaterThan(points[i - 1]!.loads.silicone);
    const wanted = wantsClarify(points, '2026-01-01').clarify!;
    expect(points.find(({ on }) => on === wanted)!.total).toBeGreaterThanOrEqual(LEDGER.coated);
    const [after] = runLedger([...weeks, day('2026-04-01', strong, 20)]).slice(-1);
    expect(after!.total).toBeLessThan(points.at(-1)!.total);
  });

  it('lets protein fade by half in its half-life', () => {
    const mask = residueProfile(
      readProduct({ ingredients: 'Aqua, Hydrolyzed Wheat Protein 10%, Cetyl Alcohol', roles: ['leave-in'] }),
    );
    const none = { profile: mild, grams: 0 };
    const [first, later] = runLedger([
      { on: '2026-01-01', planned: false, steps: [{ profile: mask, grams: 10 }] },
      { on: '2026-01-22', planned: false, steps: [none] },
    ]);
    expect(later!.protein / first!.protein).toBeCloseTo(0.5, 10);
  });

  it('is shifted by the user’s own hand: the median, within limits', () => {
    const points = runLedger([day('2026-01-01', mild), day('2026-01-08', mild)]);
    const load = points[1]!.total;
    const feels = (10 * load) / (2 * LEDGER.coated);
    expect(ownScale(points, [{ on: '2026-01-09', feels }])).toBeCloseTo(1, 10);
    expect(ownScale(points, [{ on: '2026-01-09', feels: feels * 1.5 }])).toBeCloseTo(1.5, 10);
    expect(ownScale(points, [])).toBe(1);
    expect(ownScale(points, [{ on: '2025-12-01', feels: 9 }])).toBe(1);
    expect(ownScale(points, [{ on: '2026-01-09', feels: 0 }])).toBe(0.3);
    const scaled = runLedger([day('2026-01-01', mild)], 2);
    expect(scaled[0]!.total).toBeCloseTo(2 * points[0]!.total, 10);
  });

  it('tells whether two arms start from unequal ground', () => {
    const points = runLedger([
      day('2026-01-01', mild),
      day('2026-01-08', mild),
      day('2026-01-15', strong),
      day('2026-01-22', strong),
    ]);
    const gap = unequalGround(points, [['2026-01-08', '2026-01-15'], ['2026-01-22']])!;
    expect(gap).toBeGreaterThan(0);
    expect(unequalGround(points, [['2026-01-08'], []])).toBeNull();
  });

  it('is in any order the same', () => {
    const days = [day('2026-01-08', mild), day('2026-01-01', mild)];
    expect(runLedger(days)).toEqual(runLedger(days.toReversed()));
  });
});

describe('a whole wash day', () => {
  const step = (
    slot: 'cleanse' | 'leave-in' | 'emollient' | 'hold',
    product: string,
    ingredients: string,
  ) => ({
    slot,
    product,
    formula: slot === 'cleanse' ? rinsed(ingredients) : leaveOn(ingredients),
  });
  const WASH = step('cleanse', 'Wash', 'Aqua, Decyl Glucoside, Glycerin, Sodium Benzoate');
  const found = (steps: Parameters<typeof screenRoutine>[0], dew: number | null = null) =>
    screenRoutine(steps, dew).map(({ id }) => id);

  it('finds silicones that nothing in it lifts, and proposes a change', () => {
    const shine = step('hold', 'Shine', 'Aqua, Dimethicone, Phenyl Trimethicone, Phenoxyethanol');
    const [first] = screenRoutine([WASH, shine], null);
    expect(first).toMatchObject({ id: 'silicone-unlifted', products: ['Shine'] });
    expect(first!.change).toContain('clarifying wash in the place of Wash');
    const strong = step('cleanse', 'Strip', 'Aqua, Sodium Laureth Sulfate, Sodium Benzoate');
    expect(found([strong, shine])).not.toContain('silicone-unlifted');
  });

  it('adds protein up over steps', () => {
    const protein = ['A', 'B', 'C'].map((name) =>
      step('leave-in', name, 'Aqua, Hydrolyzed Keratin, Glycerin, Phenoxyethanol'),
    );
    expect(found([WASH, ...protein])).toContain('protein-stacked');
    expect(found([WASH, protein[0]!])).not.toContain('protein-stacked');
  });

  it('reads humectants against the dew point, both ways', () => {
    const wet = step('leave-in', 'Wet', 'Aqua, Glycerin 12%, Phenoxyethanol');
    expect(found([WASH, wet], -4)).toContain('humectants-dry');
    expect(found([WASH, wet], 20)).toContain('humectants-humid');
    expect(found([WASH, wet], 10)).not.toContain('humectants-humid');
    const film = step('hold', 'Film', 'Aqua, VP/DMAPA Acrylates Copolymer, Phenoxyethanol');
    expect(found([WASH, wet, film], 20)).not.toContain('humectants-humid');
  });

  it('sees an oil under water, film on film, and a day without a cleanse', () => {
    const oil = step('emollient', 'Oil', 'Argania Spinosa Kernel Oil, Olea Europaea Fruit Oil');
    const gel = (name: string) => step('hold', name, 'Aqua, VP/VA Copolymer, Phenoxyethanol');
    expect(found([WASH, oil, gel('Gel')])).toContain('oil-under-water');
    expect(found([WASH, gel('Gel'), oil])).not.toContain('oil-under-water');
    expect(found([WASH, gel('A'), gel('B'), gel('C')])).toContain('film-on-film');
    expect(found([gel('A')])).toContain('no-cleanse');
    expect(found([])).toEqual([]);
  });
});
