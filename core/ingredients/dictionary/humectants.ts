import { table } from '../table.ts';

/** Humectants: how strongly they draw water, 1 to 3. */
export const humectants = table(
  {
    group: 'humectant',
    origin: 'Water activity of polyols and salts; ranks are ours, common practice.',
    base: 'hum=2',
  },
  `
Glycerin | hum=3 | Glycerol; Glycerine; Vegetable Glycerin
Diglycerin | hum=3 |
Polyglycerin-3 | hum=2 |
Polyglyceryl-10 | hum=2 |
Glycereth-26 | hum=2 |
Glycereth-7 | hum=2 |
Propylene Glycol | hum=2 | 1,2-Propanediol
Propanediol | hum=2 | 1,3-Propanediol
Butylene Glycol | hum=2 | 1,3-Butylene Glycol
Dipropylene Glycol | hum=1 |
Pentylene Glycol | hum=1 | 1,2-Pentanediol
Hexylene Glycol | hum=1 |
1,2-Hexanediol | hum=1 | Hexanediol
Methylpropanediol | hum=1 |
Isopentyldiol | hum=1 |
Ethoxydiglycol | hum=1 |
PEG-4 | hum=1 |
PEG-6 | hum=1 |
PEG-8 | hum=1 | Polyethylene Glycol 400
PEG-12 | hum=1 |
PEG-32 | hum=1 |
PEG-75 | hum=1 |
Sorbitol | hum=3 |
Mannitol | hum=1 |
Xylitol | hum=2 |
Xylitylglucoside | hum=2 |
Anhydroxylitol | hum=2 |
Erythritol | hum=1 |
Maltitol | hum=2 |
Inositol | hum=1 |
Glucose | hum=2 | Dextrose
Fructose | hum=3 |
Sucrose | hum=1 | Sugar
Trehalose | hum=2 |
Xylose | hum=1 |
Rhamnose | hum=1 |
Maltodextrin | hum=1 film=1 |
Saccharide Isomerate | hum=2 |
Saccharide Hydrolysate | hum=2 |
Hydrogenated Starch Hydrolysate | hum=2 |
Honey | hum=3 | Mel; Honey Extract; Mel Extract
Hydroxypropyltrimonium Honey | hum=2 cat=1 |
Agave Tequilana Leaf Extract | hum=2 | Agave Nectar
Acer Saccharum Extract | hum=1 | Maple Extract
Molasses | hum=2 |
Saccharum Officinarum Extract | hum=1 | Sugar Cane Extract
Sodium Hyaluronate | hum=2 film=1 |
Hyaluronic Acid | hum=2 film=1 |
Hydrolyzed Hyaluronic Acid | hum=2 |
Hydrolyzed Sodium Hyaluronate | hum=2 |
Sodium Acetylated Hyaluronate | hum=2 |
Hydroxypropyltrimonium Hyaluronate | hum=2 cat=1 |
Sodium PCA | hum=3 |
PCA | hum=2 |
Arginine PCA | hum=2 |
Calcium PCA | hum=1 |
Betaine | hum=2 | Trimethylglycine
Urea | hum=2 |
Hydroxyethyl Urea | hum=2 |
Sodium Lactate | hum=3 |
Lactic Acid | hum=1 acid |
Potassium Lactate | hum=2 |
Panthenol | hum=2 film=1 | Provitamin B5; D-Panthenol; DL-Panthenol
Panthenyl Ethyl Ether | hum=1 |
Panthenyl Hydroxypropyl Steardimonium Chloride | hum=1 cat=1 |
Acetamide MEA | hum=2 |
Lactamide MEA | hum=2 |
Lactamidopropyl Trimonium Chloride | hum=1 cat=1 |
Dihydroxypropyltrimonium Chloride | hum=1 cat=1 |
Hydroxypropyl Bis-Hydroxyethyldimonium Chloride | hum=1 cat=1 |
Methyl Gluceth-10 | hum=2 |
Methyl Gluceth-20 | hum=2 |
Lauryl Methyl Gluceth-10 Hydroxypropyldimonium Chloride | hum=1 cat=1 |
Ectoin | hum=1 |
Glycosaminoglycans | hum=1 |
Sodium Chondroitin Sulfate | hum=1 |
Polyglutamic Acid | hum=2 film=1 |
Sodium Polyglutamate | hum=2 film=1 |
Beta-Glucan | hum=1 film=1 |
Chitosan PCA | hum=1 film=2 |
Glyceryl Glucoside | hum=2 |
Ethylhexylglycerin | hum=1 boost | Octoxyglycerin
Caprylyl Glycol | hum=1 boost | 1,2-Octanediol
Aloe Barbadensis Leaf Juice | hum=2 film=1 | Aloe Vera Juice; Aloe Vera Gel; Aloe Barbadensis Leaf Juice Powder; Aloe Barbadensis Gel; Aloe Vera
Aloe Barbadensis Leaf Extract | hum=1 film=1 | Aloe Vera Extract; Aloe Barbadensis Extract
Aloe Barbadensis Leaf Water | hum=1 |
Aloe Ferox Leaf Extract | hum=1 film=1 |
Sodium Carboxymethyl Beta-Glucan | hum=1 |
Tremella Fuciformis Polysaccharide | hum=2 film=1 |
Tremella Fuciformis Sporocarp Extract | hum=1 |
Trehalulose | hum=1 |
`,
);
