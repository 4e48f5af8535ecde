/** Invented labels in the typography of real ones, with what they read as. */
interface LabelCase {
  what: string;
  text: string;
  reads: string[];
  unknown?: number;
}

const BASE = ['Aqua', 'Glycerin', 'Panthenol'];
const l = (what: string, text: string, reads: string[] = BASE, unknown = 0): LabelCase => ({
  what,
  text,
  reads,
  unknown,
});

export const LABELS: readonly LabelCase[] = [
  l('commas', 'Aqua, Glycerin, Panthenol'),
  l('commas without spaces', 'Aqua,Glycerin,Panthenol'),
  l('capitals', 'AQUA, GLYCERIN, PANTHENOL'),
  l('small letters and a full stop', 'aqua, glycerin, panthenol.'),
  l('semicolons', 'Aqua; Glycerin; Panthenol'),
  l('bullets', 'Aqua • Glycerin • Panthenol'),
  l('middle dots', 'Aqua · Glycerin · Panthenol'),
  l('bars', 'Aqua | Glycerin | Panthenol'),
  l('one a line', 'Aqua\nGlycerin\nPanthenol'),
  l('one a line, Windows', 'Aqua\r\nGlycerin\r\nPanthenol'),
  l('numbered lines', '1. Aqua\n2. Glycerin\n3. Panthenol'),
  l('bulleted lines', '• Aqua\n• Glycerin\n• Panthenol'),
  l('a heading', 'Ingredients: Aqua, Glycerin, Panthenol'),
  l('a heading in capitals', 'INGREDIENTS: Aqua, Glycerin, Panthenol'),
  l('INCI as heading', 'INCI: Aqua, Glycerin, Panthenol'),
  l('two languages in the heading', 'Ingredients/Ingrédients: Aqua, Glycerin, Panthenol'),
  l('a German heading', 'Inhaltsstoffe: Aqua, Glycerin, Panthenol'),
  l('a French heading with a space', 'Ingrédients : Aqua, Glycerin, Panthenol'),
  l('an Italian heading', 'Ingredienti: Aqua, Glycerin, Panthenol'),
  l('a heading on its own line', 'Ingredients\nAqua, Glycerin, Panthenol'),
  l('words before the heading', 'Store cool. Ingredients: Aqua, Glycerin, Panthenol'),
  l('wrapped lines', 'Aqua, Glycerin,\nPanthenol'),
  l('a name over two lines', 'Aqua, Cetearyl\nAlcohol, Panthenol', ['Aqua', 'Cetearyl Alcohol', 'Panthenol']),
  l('a hyphen at the line end', 'Aqua, Coco-\nGlucoside, Panthenol', ['Aqua', 'Coco-Glucoside', 'Panthenol']),
  l('comma within a name', 'Aqua, 1,2-Hexanediol, Panthenol', ['Aqua', '1,2-Hexanediol', 'Panthenol']),
  l('a code and a name that begins with figures', 'Aqua,CI 77491,1,2-Hexanediol', [
    'Aqua',
    'CI 77491',
    '1,2-Hexanediol',
  ]),
  l('a number and a name that begins with figures', 'Polyquaternium-7,1,2-Hexanediol,Aqua', [
    'Polyquaternium-7',
    '1,2-Hexanediol',
    'Aqua',
  ]),
  l('three languages of water', 'Aqua/Water/Eau, Glycerin, Panthenol'),
  l('water in brackets', 'Water (Aqua), Glycerin, Panthenol'),
  l('water in square brackets', 'Aqua [Water], Glycerin, Panthenol'),
  l('slashes with spaces', 'Water / Aqua / Eau, Glycerin, Panthenol'),
  l('a common name inside', 'Aqua, Butyrospermum Parkii (Shea) Butter, Glycerin', [
    'Aqua',
    'Butyrospermum Parkii Butter',
    'Glycerin',
  ]),
  l('a common name behind', 'Aqua, Simmondsia Chinensis (Jojoba) Seed Oil', [
    'Aqua',
    'Simmondsia Chinensis Seed Oil',
  ]),
  l('a common name alone', 'Water, Shea Butter, Coconut Oil', [
    'Aqua',
    'Butyrospermum Parkii Butter',
    'Cocos Nucifera Oil',
  ]),
  l('footnote stars', 'Aqua, Glycerin*, Panthenol**'),
  l('footnote daggers', 'Aqua, Glycerin†, Panthenol‡'),
  l('raised figures', 'Aqua, Glycerin¹, Panthenol²'),
  l('percentages behind', 'Aqua, Glycerin 5%, Panthenol 0.5%'),
  l('percentages in brackets', 'Aqua, Glycerin (5 %), Panthenol (0,5 %)'),
  l('percentages in front', 'Aqua, 5% Glycerin, 0.5% Panthenol'),
  l('more than a percentage', 'Aqua, Glycerin (>5%), Panthenol (<1%)'),
  l('colourants at the end', 'Aqua, Glycerin, CI 19140, CI 42090', [
    'Aqua',
    'Glycerin',
    'CI 19140',
    'CI 42090',
  ]),
  l('may contain', 'Aqua, Glycerin, Panthenol. May contain: CI 77891', [...BASE, 'Titanium Dioxide']),
  l('plus or minus', 'Aqua, Glycerin, Panthenol [+/- CI 77491, CI 77492]', [...BASE, 'CI 77491', 'CI 77492']),
  l('constituents of perfume', 'Aqua, Parfum (Linalool, Limonene), Glycerin', [
    'Aqua',
    'Parfum',
    'Linalool',
    'Limonene',
    'Glycerin',
  ]),
  l('perfume twice named', 'Aqua, Parfum (Fragrance), Glycerin', ['Aqua', 'Parfum', 'Glycerin']),
  l('an "and" blend', 'Behentrimonium Methosulfate (and) Cetearyl Alcohol, Aqua', [
    'Behentrimonium Methosulfate',
    'Cetearyl Alcohol',
    'Aqua',
  ]),
  l('active and inactive', 'Active ingredient: Zinc Pyrithione 1%. Inactive ingredients: Water, Glycerin', [
    'Zinc Pyrithione',
    'Aqua',
    'Glycerin',
  ]),
  l('HTML', '<p>Ingredients: <b>Aqua</b>, Glycerin,&nbsp;Panthenol</p>'),
  l('HTML list', '<ul><li>Aqua</li><li>Glycerin</li><li>Panthenol</li></ul>'),
  l('entities', 'Aqua &bull; Glycerin &bull; Panthenol'),
  l('marks that steer direction', '\u202bAqua\u202c, \u200fGlycerin, Panthenol\u200e'),
  l('no-break spaces', 'Aqua,\u00a0Glycerin,\u00a0Panthenol'),
  l('soft hyphens', 'Aqua, Gly\u00adcerin, Panthenol'),
  l('full-width commas', 'Aqua，Glycerin，Panthenol'),
  l('accents', 'Aqua, Glycérin, Panthénol'),
  l('British spelling', 'Aqua, Hydrolysed Wheat Protein, Sodium Laureth Sulphate', [
    'Aqua',
    'Hydrolyzed Wheat Protein',
    'Sodium Laureth Sulfate',
  ]),
  l('hyphens left out', 'Aqua, Polyquaternium 11, PEG 40 Hydrogenated Castor Oil', [
    'Aqua',
    'Polyquaternium-11',
    'PEG-40 Hydrogenated Castor Oil',
  ]),
  l('other hyphens', 'Aqua, Polyquaternium‑11, Coco‐Glucoside', [
    'Aqua',
    'Polyquaternium-11',
    'Coco-Glucoside',
  ]),
  l('double commas', 'Aqua,, Glycerin, , Panthenol,'),
  l(
    'a name nobody knows',
    'Aqua, Driftwood Essence, Panthenol',
    ['Aqua', 'Driftwood Essence', 'Panthenol'],
    1,
  ),
  l('a silicone with slashes', 'Aqua, PEG/PPG-20/15 Dimethicone', ['Aqua', 'PEG/PPG-20/15 Dimethicone']),
  l('a glucoside with a slash', 'Aqua, Caprylyl/Capryl Glucoside', ['Aqua', 'Caprylyl/Capryl Glucoside']),
  l('alcohol with a full stop', 'Aqua, Alcohol Denat., Panthenol', ['Aqua', 'Alcohol Denat.', 'Panthenol']),
  l(
    'a bracket never closed',
    'Aqua, Glycerin (vegetable, Panthenol',
    ['Aqua', 'Glycerin', 'vegetable', 'Panthenol'],
    1,
  ),
  l('a product name as heading', 'Kelp Fold Gel ingredients: Aqua, Glycerin, Panthenol'),
];
