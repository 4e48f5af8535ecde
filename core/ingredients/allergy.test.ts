import { describe, expect, it } from 'vitest';
import { itemsWith, readAllergy } from './allergy.ts';
import { ALLERGY_GROUPS } from './allergy-groups.ts';
import { findIngredient, INGREDIENTS } from './dictionary.ts';
import { picks } from './judge/select.ts';
import { parseLabel } from './label/parse-label.ts';

/** How a label stands to a word on a file. */
function reads(label: string, word: string): 'has' | 'may have' | null {
  const found = itemsWith(parseLabel(label).items, word);
  if (found.length === 0) return null;
  return found.some(({ reading }) => reading === 'has') ? 'has' : 'may have';
}

describe('an allergy is held to a table of pairs', () => {
  // Labels in the typography an outside chemist pasted, and what was missed then.
  it.each([
    ['Aqua, Parfum/Linalool/Limonene', 'linalool'],
    ['Aqua, Parfum (Limonene)', 'limonene'],
    ['Aqua, Fragrance (contains Linalool)', 'linalool'],
    ['Aqua, Parfum, [Linalool, Limonene, Citral]', 'citral'],
    ['Aqua, (Olea Europaea Fruit Oil, Arachis Hypogaea Oil)', 'peanut'],
    ['Aqua, Glycerin*, Methylisothiazolinone. *Certified Organic', 'methylisothiazolinone'],
    ['Aqua, Methylchloroisothiazolinone/Methylisothiazolinone', 'MI'],
    ['Key Ingredients: Panthenol / Ingredients: Aqua, Hydrolyzed Wheat Protein', 'wheat'],
    ['Aqua, Hydrolyzed Wheat Protein', 'Wheat'],
    ['Aqua, Triticum Vulgare Germ Oil', 'gluten'],
    ['Aqua, Sodium Cocoyl Hydrolyzed Wheat Protein', 'wheat'],
    ['Aqua, Prunus Amygdalus Dulcis Oil', 'almond'],
    ['Aqua, Prunus Amygdalus Dulcis Oil', 'nuts'],
    ['Aqua, PEG-60 Almond Glycerides', 'almonds'],
    ['Aqua, Arachis Hypogaea Oil', 'peanuts'],
    ['Aqua, Cocos Nucifera Oil', 'coconut'],
    ['Aqua, Cocamidopropyl Betaine', 'coconut'],
    ['Aqua, Butyrospermum Parkii (Shea, Karite) Butter', 'nuts'],
    ['Aqua, Lanolin Alcohol', 'lanolin'],
    ['Aqua, PEG-75 Lanolin', 'wool'],
    ['Aqua, Methylparaben', 'parabens'],
    ['Aqua, Sodium Propylparaben', 'paraben'],
    ['Aqua, DMDM Hydantoin', 'formaldehyde'],
    ['Aqua, Methylene Glycol', 'formaldehyde'],
    ['Aqua, Lavandula Angustifolia Oil', 'linalool'],
    ['Aqua, Linalool', 'perfume'],
    ['Aqua, Parfum', 'fragrance'],
    ['Aqua, Mentha Piperita Oil', 'perfume'],
    ['Aqua, Toluene-2,5-Diamine', 'PPD'],
    ['Aqua, p-Phenylenediamine', 'hair dye'],
    ['Aqua, Ammonium Persulfate', 'bleach'],
    ['Aqua, Hydrolyzed Silk', 'silk'],
    ['Aqua, Chitosan', 'shellfish'],
    ['Aqua, Mel', 'honey'],
    ['Aqua, Cera Alba', 'bees'],
    ['Aqua, Hydrolyzed Milk Protein', 'milk'],
    ['Aqua, Glycine Soja Oil', 'soy'],
    ['Aqua, Sodium Laureth Sulfate', 'sulphates'],
    ['Aqua, Cetearyl Alcohol', 'cetearyl alcohol'],
    ['Aqua, Ceteareth-20, Driftwood Almond Milk', 'almond'],
  ])('%s holds %s', (label, word) => {
    expect(reads(label, word)).toBe('has');
  });

  it.each([
    ['Aqua, Parfum', 'linalool'],
    ['Aqua, Mentha Piperita Oil', 'limonene'],
    ['Aqua, Parfum', 'lavender'],
    ['Aqua, Lecithin', 'soy'],
    ['Aqua, Caprylic/Capric Triglyceride', 'coconut'],
  ])('%s may hold %s', (label, word) => {
    expect(reads(label, word)).toBe('may have');
  });

  it.each([
    ['Aqua, Cetearyl Alcohol', 'alcohol'],
    ['Aqua, Cocos Nucifera Fruit Extract (Coconut Milk)', 'milk'],
    ['Aqua, Lonicera Japonica (Honeysuckle) Flower Extract', 'honey'],
    ['Aqua, Melissa Officinalis Leaf Extract', 'honey'],
    ['Aqua, Sodium Sulfate, Behentrimonium Methosulfate', 'sulfates'],
    ['Aqua, Benzoic Acid', 'parabens'],
    ['Aqua, 4-Hydroxybenzoic Acid', 'parabens'],
    ['Aqua, Phenoxyethanol', 'perfume'],
    ['Aqua, Coco-Glucoside', 'oats'],
    ['Aqua, Hydrolyzed Rice Protein', 'wheat'],
    ['Aqua, Glycerin', 'lanolin'],
    ['Aqua, Sodium Benzoate', 'isothiazolinones'],
    ['Aqua, Lac Powder', 'milk'],
  ])('%s has nothing to do with %s', (label, word) => {
    expect(reads(label, word)).toBeNull();
  });
});

describe('a word on a file', () => {
  it('is understood as a group, a plain word or any name of an ingredient', () => {
    expect(readAllergy('Parabens')?.label).toBe('parabens');
    expect(readAllergy('tree nuts')?.label).toBe('nuts');
    expect(readAllergy('almonds')?.label).toBe('almond');
    expect(readAllergy('vitamin b5')?.label ?? readAllergy('Panthenol')?.label).toBe('Panthenol');
    expect(readAllergy('Limonen')).toBeNull();
    expect(readAllergy('zorblax')).toBeNull();
    expect(readAllergy('  ')).toBeNull();
  });

  it('of every group reaches something in the dictionary, and its own name where it has one', () => {
    for (const { words, label, stems } of ALLERGY_GROUPS) {
      const reached = INGREDIENTS.filter(
        (one) => readAllergy(words[0]!)!.reads({ name: one.name, ingredient: one }) === 'has',
      );
      // Names that stand in no dictionary are reached by their letters.
      if (reached.length === 0)
        expect(itemsWith([{ name: `Some ${stems![0]}`, ingredient: null }], words[0]!), label).toHaveLength(
          1,
        );
      for (const word of words) {
        const meant = findIngredient(word);
        if (meant)
          expect(readAllergy(word)!.reads({ name: meant.name, ingredient: meant }), word).toBe('has');
      }
    }
  });

  it('reaches whole classes: every releaser, isothiazolinone, paraben and declared allergen', () => {
    for (const [word, mark] of [
      ['formaldehyde', 'releaser'],
      ['isothiazolinone', 'mit'],
      ['paraben', 'paraben'],
      ['perfume', 'alg'],
    ] as const)
      for (const one of INGREDIENTS.filter((known) => picks(known, { mark: [mark] })))
        expect(readAllergy(word)!.reads({ name: one.name, ingredient: one }), one.name).toBe('has');
  });
});
