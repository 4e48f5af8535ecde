import { findIngredient } from './dictionary.ts';
import type { Ingredient, Mark } from './facts.ts';
import { normalName } from './normal-name.ts';

/** An item of a label as an allergy is looked for in it. */
export interface Named {
  name: string;
  text?: string;
  ingredient: Ingredient | null;
}

/** A word people write on a file, and everything on a label that it means. */
interface AllergyGroup {
  label: string;
  /** Words that mean it, in small letters. */
  words: readonly string[];
  /** Stems in INCI names or in the label's own words. */
  stems?: readonly string[];
  /** Stems that look alike and are something else. */
  not?: readonly string[];
  names?: readonly string[];
  marks?: readonly Mark[];
  /** Names that may hold it without saying so. */
  mayHold?: readonly string[];
  mayMarks?: readonly Mark[];
}

/**
 * Groups and plain words. Botanical names and cross-reactions are common knowledge of patch testing, no source looked
 * up; a doctor's word stands over all of it.
 */
export const ALLERGY_GROUPS: readonly AllergyGroup[] = [
  {
    label: 'wheat',
    words: ['wheat', 'gluten', 'wheat protein'],
    stems: ['wheat', 'triticum'],
    mayHold: ['Hydrolyzed Vegetable Protein', 'Barley Extract'],
  },
  { label: 'oats', words: ['oat', 'oats'], stems: ['oat ', 'oatmeal', 'avena', 'oat amino'], not: ['coat'] },
  { label: 'barley', words: ['barley'], stems: ['barley', 'hordeum'] },
  { label: 'corn', words: ['corn', 'maize'], stems: ['corn ', 'zea mays'] },
  { label: 'rice', words: ['rice'], stems: ['rice ', 'oryza'] },
  {
    label: 'soy',
    words: ['soy', 'soya', 'soybean'],
    stems: ['soy', 'glycine max', 'glycine soja'],
    mayHold: ['Lecithin', 'Hydrogenated Lecithin', 'Tocopherol', 'Hydrolyzed Vegetable Protein'],
  },
  {
    label: 'nuts',
    words: ['nut', 'nuts', 'tree nut', 'tree nuts'],
    stems: [
      'almond',
      'prunus amygdalus',
      'macadamia',
      'walnut',
      'juglans',
      'hazelnut',
      'corylus',
      'cashew',
      'anacardium',
      'pecan',
      'carya',
      'brazil nut',
      'bertholletia',
      'pistach',
      'chestnut',
      'castanea',
      'peanut',
      'arachis',
      'shea',
      'butyrospermum',
      'coconut',
      'cocos nucifera',
      'argan',
      'kukui',
      'aleurites',
      'marula',
      'sclerocarya',
    ],
  },
  { label: 'almond', words: ['almond', 'almonds'], stems: ['almond', 'prunus amygdalus', 'prunus dulcis'] },
  { label: 'peanut', words: ['peanut', 'peanuts', 'groundnut'], stems: ['peanut', 'arachis'] },
  { label: 'walnut', words: ['walnut', 'walnuts'], stems: ['walnut', 'juglans'] },
  { label: 'hazelnut', words: ['hazelnut', 'hazelnuts'], stems: ['hazelnut', 'corylus'] },
  { label: 'macadamia', words: ['macadamia'], stems: ['macadamia'] },
  { label: 'shea', words: ['shea'], stems: ['shea', 'butyrospermum'] },
  {
    label: 'coconut',
    words: ['coconut', 'coconuts'],
    stems: [
      'coconut',
      'cocos nucifera',
      'coco-',
      'cocam',
      'cocoyl',
      'cocoate',
      'coceth',
      'cocoamph',
      'coconut',
    ],
    mayHold: ['Sodium Lauryl Sulfate', 'Lauryl Glucoside', 'Caprylic/Capric Triglyceride'],
  },
  { label: 'sesame', words: ['sesame'], stems: ['sesam'] },
  {
    label: 'milk',
    words: ['milk', 'dairy', 'lactose', 'casein', 'whey'],
    stems: ['milk', 'casein', 'whey', 'lac ', 'lactalbumin', 'lactoglobulin', 'yogurt'],
    not: ['coconut milk', 'oat milk', 'almond milk', 'rice milk', 'soy milk', 'lac powder'],
  },
  {
    label: 'egg',
    words: ['egg', 'eggs'],
    stems: ['egg', 'ovum', 'albumen', 'albumin'],
    not: ['lactalbumin'],
  },
  {
    label: 'fish and shellfish',
    words: ['fish', 'shellfish', 'seafood', 'crustaceans'],
    stems: [
      'fish',
      'marine collagen',
      'chitosan',
      'carapace',
      'shrimp',
      'caviar',
      'roe ',
      'salmon',
      'oyster',
      'pearl powder',
    ],
  },
  { label: 'silk', words: ['silk'], stems: ['silk', 'serica', 'sericin', 'fibroin'] },
  { label: 'keratin', words: ['keratin'], stems: ['keratin', 'wool protein', 'hair keratin'] },
  { label: 'collagen', words: ['collagen', 'gelatin'], stems: ['collagen', 'gelatin'] },
  {
    label: 'bee products',
    words: ['bee', 'bees', 'honey', 'propolis', 'beeswax', 'royal jelly', 'bee products'],
    stems: ['honey', ' mel', 'mel ', 'propolis', 'beeswax', 'cera alba', 'royal jelly'],
    not: ['honeysuckle', 'melissa', 'melia', 'melon', 'synthetic beeswax', 'caramel'],
    names: ['Mel', 'Cera Alba'],
  },
  {
    label: 'lanolin',
    words: ['lanolin', 'wool alcohol', 'wool alcohols', 'wool wax', 'wool'],
    stems: ['lanolin', 'laneth', 'wool', 'lanosterol', 'adeps lanae'],
  },
  { label: 'parabens', words: ['paraben', 'parabens'], stems: ['paraben'], marks: ['paraben'] },
  {
    label: 'perfume',
    words: ['perfume', 'fragrance', 'parfum', 'scent', 'fragrances', 'fragrance mix', 'fragrance allergens'],
    marks: ['scent', 'alg', 'ess'],
    names: ['Parfum'],
  },
  {
    label: 'essential oils',
    words: ['essential oil', 'essential oils'],
    marks: ['ess'],
    mayHold: ['Parfum'],
  },
  { label: 'lavender', words: ['lavender'], stems: ['lavandula', 'lavender'], mayHold: ['Parfum'] },
  {
    label: 'citrus',
    words: ['citrus', 'lemon', 'orange', 'lime', 'bergamot'],
    stems: ['citrus', 'lemon', 'orange ', 'bergamot', 'lime oil'],
    mayHold: ['Parfum'],
    not: ['acid orange', 'basic orange', 'lemongrass'],
  },
  { label: 'tea tree', words: ['tea tree'], stems: ['tea tree', 'melaleuca'] },
  {
    label: 'peppermint',
    words: ['mint', 'peppermint', 'spearmint', 'menthol'],
    stems: ['mentha', 'mint', 'menth'],
  },
  {
    label: 'limonene',
    words: ['limonene'],
    names: ['Limonene'],
    mayHold: ['Parfum'],
    stems: ['citrus'],
    mayMarks: ['ess'],
  },
  {
    label: 'linalool',
    words: ['linalool'],
    names: ['Linalool', 'Linalyl Acetate'],
    stems: ['lavandula'],
    mayHold: ['Parfum'],
    mayMarks: ['ess'],
  },
  {
    label: 'balsam of Peru',
    words: ['balsam of peru', 'peru balsam', 'balsam'],
    stems: ['myroxylon', 'balsam'],
    names: [
      'Benzyl Benzoate',
      'Benzyl Cinnamate',
      'Cinnamal',
      'Cinnamyl Alcohol',
      'Benzyl Alcohol',
      'Vanillin',
      'Coumarin',
      'Eugenol',
      'Isoeugenol',
    ],
    mayHold: ['Parfum'],
  },
  {
    label: 'formaldehyde',
    words: ['formaldehyde', 'formaldehyde releaser', 'formaldehyde releasers', 'formalin'],
    marks: ['releaser', 'straight'],
  },
  {
    label: 'isothiazolinones',
    words: [
      'isothiazolinone',
      'isothiazolinones',
      'mi',
      'mit',
      'mci',
      'cmit',
      'methylisothiazolinone',
      'methylchloroisothiazolinone',
      'kathon',
    ],
    marks: ['mit'],
  },
  {
    label: 'hair dye',
    words: [
      'hair dye',
      'ppd',
      'ptd',
      'para-phenylenediamine',
      'p-phenylenediamine',
      'paraphenylenediamine',
      'toluene-2,5-diamine',
      'oxidative dye',
      'oxidative dyes',
    ],
    marks: ['oxdye'],
  },
  {
    label: 'persulfates',
    words: ['persulfate', 'persulfates', 'bleach powder', 'bleach'],
    stems: ['persulf', 'persulph'],
    marks: ['bleach'],
  },
  {
    label: 'thioglycolates',
    words: ['thioglycolate', 'thioglycolates', 'perm'],
    stems: ['thioglycol', 'thiolact'],
    marks: ['perm'],
  },
  {
    label: 'sulfates',
    words: ['sulfate', 'sulfates', 'sulphate', 'sulphates', 'sls', 'sles'],
    marks: ['sulfate'],
  },
  {
    label: 'sulfites',
    words: ['sulfite', 'sulfites', 'sulphite', 'sulphites', 'metabisulfite'],
    stems: ['sulfite', 'sulphite', 'bisulf'],
  },
  {
    label: 'betaine',
    words: ['cocamidopropyl betaine', 'capb', 'betaine', 'amidoamine'],
    stems: ['amidopropyl betaine', 'amidopropyl dimethylamine', 'hydroxysultaine'],
  },
  {
    label: 'propylene glycol',
    words: ['propylene glycol'],
    names: ['Propylene Glycol'],
    stems: ['propylene glycol', 'butylene glycol'],
  },
  {
    label: 'silicones',
    words: ['silicone', 'silicones', 'dimethicone'],
    stems: ['methicone', 'siloxane', 'silanetriol', 'silsesquioxane', 'dimethiconol'],
  },
  {
    label: 'cetearyl alcohol',
    words: ['cetearyl alcohol', 'cetyl alcohol', 'stearyl alcohol', 'cetostearyl alcohol'],
    names: ['Cetearyl Alcohol', 'Cetyl Alcohol', 'Stearyl Alcohol'],
  },
  { label: 'colophony', words: ['colophony', 'rosin'], stems: ['rosin', 'colophon', 'abiet'] },
  {
    label: 'salicylates',
    words: ['salicylate', 'salicylates', 'aspirin', 'salicylic acid'],
    stems: ['salicyl', 'willow bark', 'salix'],
  },
  { label: 'aloe', words: ['aloe', 'aloe vera'], stems: ['aloe'] },
  {
    label: 'chamomile and daisies',
    words: ['chamomile', 'ragweed', 'daisy', 'daisies', 'compositae', 'arnica', 'calendula'],
    stems: [
      'chamomil',
      'arnica',
      'calendula',
      'matricaria',
      'anthemis',
      'achillea',
      'helianthus',
      'echinacea',
      'tanacetum',
    ],
  },
  { label: 'avocado', words: ['avocado'], stems: ['avocado', 'persea'] },
  { label: 'banana', words: ['banana'], stems: ['banana', 'musa '] },
  { label: 'mango', words: ['mango'], stems: ['mango', 'mangifera'] },
  { label: 'castor', words: ['castor', 'castor oil'], stems: ['castor', 'ricin'] },
  { label: 'olive', words: ['olive'], stems: ['olive', 'olea europaea', 'olivate'] },
  { label: 'argan', words: ['argan'], stems: ['argan'] },
  { label: 'jojoba', words: ['jojoba'], stems: ['jojoba', 'simmondsia'] },
  { label: 'vitamin E', words: ['vitamin e', 'tocopherol'], stems: ['tocopher'] },
  { label: 'UV filters', words: ['sunscreen', 'uv filter', 'uv filters', 'oxybenzone'], marks: ['uv'] },
  { label: 'phenoxyethanol', words: ['phenoxyethanol'], names: ['Phenoxyethanol'] },
  {
    label: 'alcohol',
    words: ['alcohol', 'ethanol'],
    names: ['Alcohol', 'Alcohol Denat.', 'Isopropyl Alcohol'],
  },
  { label: 'glycerin', words: ['glycerin', 'glycerine', 'glycerol'], names: ['Glycerin'] },
  {
    label: 'colourants',
    words: ['colourant', 'colourants', 'dye', 'dyes', 'food colour'],
    marks: ['dyes', 'oxdye'],
  },
];

export type Reading = 'has' | 'may have';

/** An allergy as it is looked for: by an ingredient, a group, or the label's own letters. */
export interface Allergy {
  /** What it was understood as. */
  label: string;
  /** How an item of a label stands to it; null where it has nothing to do with it. */
  reads(item: Named): Reading | null;
}

const spaced = (text: string) =>
  ` ${text
    .toLowerCase()
    .replace(/sulph/g, 'sulf')
    .replace(/[^a-z0-9]+/g, ' ')} `;
/** A stem begins a word; one of six letters and more may stand within one. */
const stemIn = (called: string, stem: string): boolean =>
  called.includes(` ${stem.trimStart()}`) || (stem.length > 5 && called.includes(stem));

const calledBy = new WeakMap<Named, string>();
/** Every way an item is called, as stems are looked for in it; worked out once an item. */
function calledAs(item: Named): string {
  let found = calledBy.get(item);
  if (found === undefined) {
    const { name, text = '', ingredient } = item;
    found = [...new Set([name, text, ingredient?.name ?? ''])].map(spaced).join('|');
    calledBy.set(item, found);
  }
  return found;
}

function ofGroup(group: AllergyGroup): Allergy {
  const { stems = [], names = [], marks = [], mayHold = [], mayMarks = [] } = group;
  const not = (group.not ?? []).map((other) => spaced(other).trimEnd());
  const wanted = stems.map((stem) => stem.replace(/sulph/g, 'sulf').replace(/[^a-z0-9 ]+/g, ' '));
  return {
    label: group.label,
    reads(item) {
      const { ingredient } = item;
      if (ingredient && names.includes(ingredient.name)) return 'has';
      if (marks.some((mark) => ingredient?.marks.has(mark))) return 'has';
      if (wanted.length > 0) {
        let called = calledAs(item);
        for (const other of not) called = called.replaceAll(other, ' ');
        if (wanted.some((stem) => stemIn(called, stem))) return 'has';
      }
      if (ingredient && mayHold.includes(ingredient.name)) return 'may have';
      return mayMarks.some((mark) => ingredient?.marks.has(mark)) ? 'may have' : null;
    },
  };
}

const byWord = new Map(
  ALLERGY_GROUPS.flatMap((group) => group.words.map((word) => [normalName(word), group])),
);
const singular = (word: string) => word.replace(/(?:ies)$/, 'y').replace(/s$/, '');

/**
 * What a word on a file means: a group or plain word, or an ingredient by any of its names; null where Sabor does not
 * know it, and it would match nothing.
 */
export function readAllergy(word: string): Allergy | null {
  const normal = normalName(word);
  if (normal === '') return null;
  const group = byWord.get(normal) ?? byWord.get(normalName(singular(word.trim().toLowerCase())));
  const meant = findIngredient(word);
  if (!group && !meant) return null;
  if (!group) return { label: meant!.name, reads: ({ ingredient }) => (ingredient === meant ? 'has' : null) };
  const whole = ofGroup(group);
  return meant
    ? { ...whole, reads: (item) => (item.ingredient === meant ? 'has' : whole.reads(item)) }
    : whole;
}

/** The sentence for a word that is refused. */
export const UNKNOWN_ALLERGY =
  'Sabor does not know this word: it will match nothing yet. Use the name on the label (INCI), or a plain word such as “wheat”, “nuts” or “perfume”.';

/** Items of a label that an allergy reaches, and whether they hold it or may. A word that is not known is looked for by its letters. */
export function itemsWith<T extends Named>(
  items: readonly T[],
  word: string,
): { item: T; reading: Reading }[] {
  const allergy = readAllergy(word);
  const letters = normalName(word);
  return items.flatMap((item): { item: T; reading: Reading }[] => {
    if (allergy) {
      const reading = allergy.reads(item);
      return reading ? [{ item, reading }] : [];
    }
    const called = [item.name, item.text ?? ''].map(normalName);
    return letters !== '' && called.some((name) => name.includes(letters)) ? [{ item, reading: 'has' }] : [];
  });
}
