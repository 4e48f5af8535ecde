import type { Role } from '@sabor/core/shelf/products';
import { demoId } from './ids.ts';

interface DemoProduct {
  key: string;
  line: string;
  name: string;
  roles: Role[];
  sizeMl: number;
  price: number;
  hold: string;
  stake: string;
  opened: number | null;
  months: number;
  directions: string | null;
  ingredients: string;
}

/** Three invented lines. Sizes in ml, prices in EUR, `opened` in days before today. */
export const LINES = [
  { key: 'tidewrack', name: 'Tidewrack', note: 'Light, made near the coast; sells to salons in small lots.' },
  { key: 'marrowby', name: 'Marrowby', note: 'Rich formulas for thirsty lengths.' },
  { key: 'quillet', name: 'Quillet Fen', note: 'Plain formulas, large bottles.' },
] as const;

export const PRODUCTS: readonly DemoProduct[] = [
  {
    key: 'low-tide',
    line: 'tidewrack',
    name: 'Low Tide Shampoo',
    roles: ['shampoo'],
    sizeMl: 300,
    price: 14.5,
    hold: 'none',
    stake: 'bought',
    opened: 84,
    months: 12,
    directions: 'Massage into the scalp, rinse. Repeat if needed.',
    ingredients:
      'Aqua, Sodium Cocoyl Isethionate, Cocamidopropyl Betaine, Glycerin, Decyl Glucoside, Panthenol, Laminaria Digitata Extract, Guar Hydroxypropyltrimonium Chloride, Citric Acid, Sodium Benzoate, Potassium Sorbate, Parfum, Linalool',
  },
  {
    key: 'slack-water',
    line: 'tidewrack',
    name: 'Slack Water Conditioner',
    roles: ['conditioner'],
    sizeMl: 300,
    price: 15.5,
    hold: 'none',
    stake: 'bought',
    opened: 84,
    months: 12,
    directions: 'Leave on for 3 minutes.',
    ingredients:
      'Aqua, Cetearyl Alcohol, Behentrimonium Methosulfate, Glycerin, Cetyl Esters, Isopropyl Myristate, Panthenol, Laminaria Digitata Extract, Sodium Benzoate, Lactic Acid, Parfum, Limonene',
  },
  {
    key: 'spindrift',
    line: 'tidewrack',
    name: 'Spindrift Leave-in',
    roles: ['leave-in', 'spray'],
    sizeMl: 200,
    price: 17,
    hold: 'none',
    stake: 'bought',
    opened: 80,
    months: 9,
    directions: null,
    ingredients:
      'Aqua, Behentrimonium Chloride, Cetyl Alcohol, Propanediol, Panthenol, Hydrolyzed Rice Protein, Polyquaternium-11, Aloe Barbadensis Leaf Juice, Phenoxyethanol, Ethylhexylglycerin, Parfum',
  },
  {
    key: 'kelp-fold',
    line: 'tidewrack',
    name: 'Kelp Fold Gel',
    roles: ['gel'],
    sizeMl: 250,
    price: 18,
    hold: 'strong',
    stake: 'gift',
    opened: 66,
    months: 12,
    directions: 'Rake through wet hair.',
    ingredients:
      'Aqua, PVP, Linum Usitatissimum Seed Extract, Polyquaternium-69, Panthenol, Carrageenan, Laminaria Digitata Extract, Xanthan Gum, Sodium Hydroxide, Phenoxyethanol, Caprylyl Glycol, Parfum, Linalool',
  },
  {
    key: 'brine-foam',
    line: 'tidewrack',
    name: 'Brine Foam',
    roles: ['foam'],
    sizeMl: 200,
    price: 16,
    hold: 'medium',
    stake: 'bought',
    opened: 30,
    months: 12,
    directions: null,
    ingredients:
      'Aqua, Polyquaternium-11, PEG-40 Hydrogenated Castor Oil, Cocamidopropyl Betaine, Panthenol, Magnesium Sulfate, Chondrus Crispus Extract, Phenoxyethanol, Ethylhexylglycerin, Parfum',
  },
  {
    key: 'hearth-wash',
    line: 'marrowby',
    name: 'Hearth Wash',
    roles: ['co-wash'],
    sizeMl: 400,
    price: 19,
    hold: 'none',
    stake: 'bought',
    opened: null,
    months: 12,
    directions: 'Work through wet hair for 5 minutes.',
    ingredients:
      'Aqua, Cetyl Alcohol, Behentrimonium Methosulfate, Glycerin, Cocamidopropyl Betaine, Butyrospermum Parkii Butter, Avena Sativa Kernel Flour, Benzyl Alcohol, Dehydroacetic Acid, Parfum',
  },
  {
    key: 'fallow-mask',
    line: 'marrowby',
    name: 'Fallow Mask',
    roles: ['mask', 'conditioner'],
    sizeMl: 240,
    price: 24,
    hold: 'none',
    stake: 'bought',
    opened: 340,
    months: 12,
    directions: '10 to 20 minutes. Cap or heat: label silent.',
    ingredients:
      'Aqua, Cetearyl Alcohol, Glycerin, Butyrospermum Parkii Butter, Behentrimonium Chloride, Persea Gratissima Oil, Mangifera Indica Seed Butter, Honey, Hydrolyzed Wheat Protein, Benzyl Alcohol, Salicylic Acid, Parfum, Coumarin',
  },
  {
    key: 'bramble-cream',
    line: 'marrowby',
    name: 'Bramble Cream',
    roles: ['cream', 'leave-in'],
    sizeMl: 250,
    price: 21,
    hold: 'light',
    stake: 'bought',
    opened: 120,
    months: 12,
    directions: 'A little goes a long way.',
    ingredients:
      'Aqua, Cetearyl Alcohol, Glycerin, Rubus Fruticosus Seed Oil, Butyrospermum Parkii Butter, Polyquaternium-37, Propylene Glycol Dicaprylate/Dicaprate, PPG-1 Trideceth-6, Phenoxyethanol, Parfum, Geraniol',
  },
  {
    key: 'anvil',
    line: 'marrowby',
    name: 'Anvil Gel',
    roles: ['gel'],
    sizeMl: 300,
    price: 15,
    hold: 'strong',
    stake: 'bought',
    opened: 66,
    months: 12,
    directions: 'Apply to damp hair.',
    ingredients:
      'Aqua, VP/VA Copolymer, Glycerin, Carbomer, Aminomethyl Propanol, Panthenol, Castor Oil/IPDI Copolymer, Hydrolyzed Wheat Protein, Phenoxyethanol, Ethylhexylglycerin, Parfum',
  },
  {
    key: 'plum-stone',
    line: 'marrowby',
    name: 'Plum Stone Oil',
    roles: ['oil'],
    sizeMl: 50,
    price: 13,
    hold: 'none',
    stake: 'bought',
    opened: 150,
    months: 6,
    directions: 'A few drops on dry ends.',
    ingredients:
      'Prunus Domestica Seed Oil, Helianthus Annuus Seed Oil, Squalane, Tocopherol, Parfum, Benzyl Benzoate',
  },
  {
    key: 'reed-clarifier',
    line: 'quillet',
    name: 'Reed Clarifier',
    roles: ['clarifier', 'shampoo'],
    sizeMl: 500,
    price: 11,
    hold: 'none',
    stake: 'bought',
    opened: 100,
    months: 12,
    directions: 'Once or twice a month.',
    ingredients:
      'Aqua, Sodium C14-16 Olefin Sulfonate, Cocamidopropyl Betaine, Sodium Chloride, Tetrasodium Glutamate Diacetate, Phragmites Communis Extract, Citric Acid, Sodium Benzoate, Parfum',
  },
  {
    key: 'peat-protein',
    line: 'quillet',
    name: 'Peat Protein',
    roles: ['treatment'],
    sizeMl: 250,
    price: 16,
    hold: 'none',
    stake: 'bought',
    opened: null,
    months: 12,
    directions: '5 minutes, no longer. Rinse fully.',
    ingredients:
      'Aqua, Hydrolyzed Keratin, Cetearyl Alcohol, Hydrolyzed Wheat Protein, Stearamidopropyl Dimethylamine, Lactic Acid, Magnesium Sulfate, Phenoxyethanol, Parfum',
  },
  {
    key: 'sedge-jelly',
    line: 'quillet',
    name: 'Sedge Jelly',
    roles: ['gel', 'cream'],
    sizeMl: 500,
    price: 12.5,
    hold: 'light',
    stake: 'bought',
    opened: 30,
    months: 12,
    directions: null,
    ingredients:
      'Aqua, Propanediol, Linum Usitatissimum Seed Extract, Hydroxypropyl Starch Phosphate, Panthenol, Xanthan Gum, Cyamopsis Tetragonoloba Gum, Sodium Benzoate, Potassium Sorbate, Citric Acid',
  },
  {
    key: 'fenlight-foam',
    line: 'quillet',
    name: 'Fenlight Foam',
    roles: ['foam'],
    sizeMl: 300,
    price: 7.5,
    hold: 'light',
    stake: 'bought',
    opened: 200,
    months: 12,
    directions: 'Two handfuls through wet hair.',
    ingredients:
      'Aqua, Polyquaternium-11, Cocamidopropyl Betaine, Glycerin, Polysorbate 20, Althaea Officinalis Root Extract, Sodium Benzoate, Potassium Sorbate, Citric Acid, Parfum',
  },
  {
    key: 'heron-mist',
    line: 'quillet',
    name: 'Heron Mist',
    roles: ['spray', 'leave-in'],
    sizeMl: 250,
    price: 9.5,
    hold: 'none',
    stake: 'code',
    opened: 60,
    months: 9,
    directions: 'Mist on dry or damp hair.',
    ingredients:
      'Aqua, Aloe Barbadensis Leaf Juice, Panthenol, Glycerin, Sodium PCA, Polysorbate 20, Phenoxyethanol, Ethylhexylglycerin, Parfum, Citral',
  },
];

export const productId = (key: string): string => demoId(`product ${key}`);
export const lineId = (key: string): string => demoId(`line ${key}`);
