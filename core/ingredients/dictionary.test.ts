import { describe, expect, it } from 'vitest';
import { DICTIONARY, findIngredient, INGREDIENTS } from './dictionary.ts';
import { PROTEIN_SIZES, REMOVALS } from './facts.ts';
import { normalName } from './normal-name.ts';
import { readFacts, table } from './table.ts';

describe('the dictionary', () => {
  it('holds over a thousand ingredients, every group with its origin', () => {
    expect(INGREDIENTS.length).toBeGreaterThan(1000);
    for (const { origin } of DICTIONARY) expect(origin.length).toBeGreaterThan(20);
  });

  it('has no two names that read alike, synonyms included', () => {
    const seen = new Map<string, string>();
    const twice: string[] = [];
    for (const { name, synonyms } of INGREDIENTS)
      for (const one of new Set([name, ...synonyms])) {
        const normal = normalName(one);
        if (normal === '') twice.push(`${name}: empty`);
        const known = seen.get(normal);
        if (known !== undefined) twice.push(`${one} (${name}) = ${known}`);
        seen.set(normal, name);
      }
    expect(twice).toEqual([]);
  });

  it('writes only facts that are known', () => {
    for (const one of INGREDIENTS) {
      if (one.silicone) expect(Object.keys(REMOVALS), one.name).toContain(one.silicone);
      if (one.protein) expect(Object.keys(PROTEIN_SIZES), one.name).toContain(one.protein.size);
      for (const rank of [one.humectant, one.film, one.hold, one.oil?.weight, one.cationic])
        if (rank !== undefined) expect([1, 2, 3], one.name).toContain(rank);
      if (one.alcohol) expect(['short', 'fatty'], one.name).toContain(one.alcohol);
      expect(one.name, one.name).toBe(one.name.trim());
    }
  });

  it('knows every allergen that was on the first list of twenty-six (Annex III, from memory)', () => {
    for (const name of [
      'Linalool',
      'Limonene',
      'Coumarin',
      'Citral',
      'Eugenol',
      'Geraniol',
      'Benzyl Alcohol',
      'Farnesol',
    ])
      expect(findIngredient(name)?.marks.has('alg'), name).toBe(true);
  });

  it('caps preservatives as Annex V does, acid against salt (from memory)', () => {
    expect(findIngredient('Phenoxyethanol')?.cap).toEqual({ leaveOn: 1, rinseOff: 1, salt: 1 });
    expect(findIngredient('Sodium Benzoate')?.cap).toEqual({ leaveOn: 0.5, rinseOff: 2.5, salt: 1.18 });
    expect(findIngredient('Methylisothiazolinone')?.cap).toMatchObject({ leaveOn: null, rinseOff: 0.0015 });
    // Molar masses: sodium benzoate 144.11 over benzoic acid 122.12; potassium sorbate 150.22 over sorbic acid 112.13.
    expect(144.11 / 122.12).toBeCloseTo(1.18, 2);
    expect(150.22 / 112.13).toBeCloseTo(1.34, 2);
  });

  it('calls everything that is capped a preservative', () => {
    for (const { name, cap, marks } of INGREDIENTS) if (cap) expect(marks.has('pres'), name).toBe(true);
  });

  it('gives every name with a silicone or a protein in it that fact', () => {
    const silicone = /methicone|siloxane|silsesquioxane|silanetriol|silanediol|silicone|silazane/i;
    const protein = /protein|keratin|collagen|silk|serica|sericin|elastin/i;
    for (const one of INGREDIENTS) {
      if (silicone.test(one.name)) expect(one.silicone, one.name).toBeDefined();
      if (protein.test(one.name)) expect(one.protein, one.name).toBeDefined();
    }
  });

  it('calls no acid, lactone or sugar a cationic conditioner', () => {
    for (const { name, group, cationic } of INGREDIENTS)
      if (group === 'conditioner') expect(cationic, name).toBeDefined();
  });

  // What an outside chemist found missing, the names that matter most; British and long spellings among them.
  it.each([
    'Ammonium Persulfate',
    'Potassium Persulfate',
    'Sodium Bromate',
    'Ethanolamine Thioglycolate',
    'Monoethanolamine Sulfite',
    'Ammonium Bisulfite',
    'Sodium Metasilicate',
    'Glyoxyloyl Keratin Amino Acids',
    '2,4-Diaminophenoxyethanol HCl',
    '4-Amino-2-Hydroxytoluene',
    '1-Naphthol',
    'HC Blue 15',
    'Lawsonia Inermis Leaf Powder',
    'Sodium Coceth Sulfate',
    'TIPA-Laureth Sulfate',
    'Capryl/Capramidopropyl Betaine',
    'Trideceth-9',
    'Polymethylsilsesquioxane',
    'Silicone Quaternium-17',
    'Polyquaternium-74',
    'Quaternium-95',
    'Polyurethane-18',
    'Hydrolyzed Sesame Protein',
    'Potassium Cocoyl Hydrolyzed Rice Protein',
    'Isododecene',
    'Lavandula Angustifolia Flower Oil',
    'Silica Dimethyl Silylate',
    'Bambusa Vulgaris Leaf/Stem Extract',
    'Aluminium Starch Octenylsuccinate',
    'Butylated Hydroxytoluene',
    'SD Alcohol 39-C',
    'Serica',
    'Polyoxymethylene Urea',
    'Citrus Aurantium Peel Oil',
    'Rose Flower Oil/Extract',
    'Cananga Odorata Oil/Extract',
    'Lavandula Oil/Extract',
    'Eucalyptus Globulus Oil',
    'Lippia Citriodora Absolute',
    'Narcissus Extract',
    'Pinus Mugo',
    'Lilial',
    'Lyral',
  ])('knows %s', (name) => {
    expect(findIngredient(name)).not.toBeNull();
  });

  it('tells the two kinds of alcohol apart', () => {
    expect(findIngredient('SD Alcohol 40-B')?.alcohol).toBe('short');
    expect(findIngredient('Cetostearyl alcohol')?.alcohol).toBe('fatty');
  });

  it('knows coconut oil goes into hair, mineral and sunflower oil do not (Rele & Mohile 2003, unchecked)', () => {
    expect(findIngredient('Coconut Oil')?.oil?.penetrates).toBe(true);
    expect(findIngredient('Mineral Oil')?.oil?.penetrates).toBe(false);
    expect(findIngredient('Helianthus Annuus Seed Oil')?.oil?.penetrates).toBe(false);
  });
});

describe('names', () => {
  it('are found however they are spelt', () => {
    for (const name of [
      'PEG 40 hydrogenated castor oil',
      'Hydrolysed Wheat Protein',
      'SODIUM COCO-SULPHATE',
      'aloe vera',
      'Panthénol',
    ])
      expect(findIngredient(name), name).not.toBeNull();
    expect(findIngredient('Nothingium')).toBeNull();
    expect(findIngredient('')).toBeNull();
  });
});

describe('a table of the dictionary', () => {
  it('refuses words it does not know', () => {
    expect(() => readFacts('shiny')).toThrow('No mark: shiny');
    expect(() => readFacts('gloss=3')).toThrow('No fact: gloss');
    expect(() => readFacts('cleans=x9')).toThrow('No cleanser');
    expect(() => readFacts('cap=high')).toThrow('No cap');
    expect(() => table({ group: 'nonsense', base: '', origin: '' }, '')).toThrow('No group');
  });
});
