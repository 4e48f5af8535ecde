import { table } from '../table.ts';

/**
 * Preservatives with their EU cap, "leave-on/rinse-off" in %, stated as the acid where "*" gives the salt's factor; a
 * dash where not allowed. Regulation (EC) 1223/2009, Annex V, as remembered: from memory, not looked up.
 */
export const preservatives = table(
  {
    group: 'preservative',
    origin: 'Regulation (EC) 1223/2009, Annex V, from memory; salt factors from molar masses.',
    base: 'pres',
  },
  `
Phenoxyethanol | cap=1/1 | 2-Phenoxyethanol
Sodium Benzoate | cap=0.5/2.5*1.18 |
Benzoic Acid | cap=0.5/2.5 acid |
Potassium Benzoate | cap=0.5/2.5*1.31 |
Potassium Sorbate | cap=0.6/0.6*1.34 |
Sorbic Acid | cap=0.6/0.6 |
Sodium Sorbate | cap=0.6/0.6*1.2 |
Salicylic Acid | cap=0.5/0.5 acid |
Sodium Salicylate | cap=0.5/0.5*1.16 |
Dehydroacetic Acid | cap=0.6/0.6 |
Sodium Dehydroacetate | cap=0.6/0.6*1.13 |
Propionic Acid | cap=2/2 |
Sodium Propionate | cap=2/2*1.3 |
Calcium Propionate | cap=2/2*1.26 |
Formic Acid | cap=0.5/0.5 acid |
Sodium Formate | cap=0.5/0.5*1.48 |
Methylparaben | cap=0.4/0.4*1.1 paraben |
Ethylparaben | cap=0.4/0.4*1.2 paraben |
Propylparaben | cap=0.14/0.14*1.31 paraben |
Butylparaben | cap=0.14/0.14*1.41 paraben |
Isobutylparaben | paraben |
Isopropylparaben | paraben |
Sodium Methylparaben | cap=0.4/0.4*1.26 paraben |
Sodium Ethylparaben | cap=0.4/0.4*1.36 paraben |
Sodium Propylparaben | cap=0.14/0.14*1.46 paraben |
4-Hydroxybenzoic Acid | cap=0.4/0.4 paraben |
DMDM Hydantoin | cap=0.6/0.6 releaser |
Imidazolidinyl Urea | cap=0.6/0.6 releaser |
Diazolidinyl Urea | cap=0.5/0.5 releaser |
Quaternium-15 | releaser |
Sodium Hydroxymethylglycinate | cap=0.5/0.5 releaser |
2-Bromo-2-Nitropropane-1,3-Diol | cap=0.1/0.1 releaser | Bronopol
5-Bromo-5-Nitro-1,3-Dioxane | cap=-/0.1 releaser |
Benzylhemiformal | cap=-/0.15 releaser |
Methenamine | cap=0.15/0.15 releaser |
Formaldehyde | releaser | Formalin; Methylene Glycol
Glyoxal | cap=0.01/0.01 |
Glutaral | cap=0.1/0.1 |
Methylisothiazolinone | cap=-/0.0015 mit | MIT; MI
Methylchloroisothiazolinone | cap=-/0.0015 mit | MCI; CMIT
Benzisothiazolinone | mit |
Octylisothiazolinone | mit |
Chlorphenesin | cap=0.3/0.3 |
Dichlorobenzyl Alcohol | cap=0.15/0.15 |
Benzethonium Chloride | cap=0.1/0.1 |
Benzalkonium Chloride | cap=0.1/0.1 cat=1 |
Cetylpyridinium Chloride | cat=1 |
Chlorhexidine | cap=0.3/0.3 |
Chlorhexidine Digluconate | cap=0.3/0.3*1.78 |
Chlorhexidine Dihydrochloride | cap=0.3/0.3*1.14 |
Hexamidine Diisethionate | cap=0.1/0.1*1.71 |
Polyaminopropyl Biguanide | cap=0.1/0.1 |
Triclosan | cap=-/- |
Triclocarban | cap=-/0.2 |
Chloroxylenol | cap=0.5/0.5 |
o-Phenylphenol | cap=0.15/0.2 |
o-Cymen-5-ol | cap=0.1/0.1 |
Chlorobutanol | cap=0.5/0.5 |
Thimerosal | pres |
Iodopropynyl Butylcarbamate | cap=0.01/0.02 | IPBC
Silver Chloride | cap=0.004/0.004 |
Zinc Pyrithione | pres flakes | Pyrithione Zinc
Piroctone Olamine | cap=0.5/1 flakes |
Climbazole | cap=0.2/0.5 flakes |
Ketoconazole | flakes |
Selenium Sulfide | flakes |
Coal Tar | flakes |
Sulfur | flakes |
Phenylpropanol | boost |
Phenethyl Alcohol | boost |
p-Anisic Acid | boost |
Levulinic Acid | boost |
Sodium Levulinate | boost |
Sodium Anisate | boost |
Hydroxyacetophenone | boost |
Caprylhydroxamic Acid | boost chel |
Lactobacillus Ferment | boost |
Leuconostoc/Radish Root Ferment Filtrate | boost |
Populus Tremuloides Bark Extract | boost |
Lonicera Japonica Flower Extract | boost | Honeysuckle Extract
Citrus Grandis Seed Extract | boost | Grapefruit Seed Extract
Methylpropanediol Caprylate | boost |
Glucose Oxidase | boost |
Lactoperoxidase | boost |
Tocopherol | antiox oil=1 | Vitamin E; DL-Alpha Tocopherol; Mixed Tocopherols
Tocopheryl Acetate | antiox oil=1 | Vitamin E Acetate
BHT | antiox |
BHA | antiox |
Ascorbyl Palmitate | antiox |
Tetradibutyl Pentaerythrityl Hydroxyhydrocinnamate | antiox |
Pentaerythrityl Tetra-Di-t-Butyl Hydroxyhydrocinnamate | antiox |
Propyl Gallate | antiox |
Sodium Metabisulfite | antiox |
Sodium Sulfite | antiox |
Sodium Bisulfite | antiox |
`,
);
