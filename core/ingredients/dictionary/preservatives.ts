import { table } from '../table.ts';

/**
 * Preservatives with their EU cap, "leave-on/rinse-off" in %, stated as the acid where "*" gives the salt's factor; a
 * dash where not allowed. Regulation (EC) 1223/2009, Annex V, as remembered: from memory, not looked up.
 */
export const preservatives = table(
  {
    group: 'preservative',
    origin: 'Regulation (EC) 1223/2009, Annex V; unchecked; salt factors from molar masses.',
    base: 'pres',
  },
  `
Phenoxyethanol | pres cap=1/1 | 2-Phenoxyethanol
Sodium Benzoate | pres cap=0.5/2.5*1.18 |
Benzoic Acid | pres cap=0.5/2.5 acid |
Potassium Benzoate | pres cap=0.5/2.5*1.31 |
Potassium Sorbate | pres cap=0.6/0.6*1.34 |
Sorbic Acid | pres cap=0.6/0.6 |
Sodium Sorbate | pres cap=0.6/0.6*1.2 |
Salicylic Acid | pres cap=2/3 acid |
Sodium Salicylate | pres cap=0.5/0.5*1.16 |
Dehydroacetic Acid | pres cap=0.6/0.6 |
Sodium Dehydroacetate | pres cap=0.6/0.6*1.13 |
Propionic Acid | pres cap=2/2 |
Sodium Propionate | pres cap=2/2*1.3 |
Calcium Propionate | pres cap=2/2*1.26 |
Formic Acid | pres cap=0.5/0.5 acid |
Sodium Formate | pres cap=0.5/0.5*1.48 |
Methylparaben | pres cap=0.4/0.4*1.1 paraben |
Ethylparaben | pres cap=0.4/0.4*1.2 paraben |
Propylparaben | pres cap=0.14/0.14*1.31 paraben |
Butylparaben | pres cap=0.14/0.14*1.41 paraben |
Isobutylparaben | paraben |
Isopropylparaben | paraben |
Sodium Methylparaben | pres cap=0.4/0.4*1.26 paraben |
Sodium Ethylparaben | pres cap=0.4/0.4*1.36 paraben |
Sodium Propylparaben | pres cap=0.14/0.14*1.46 paraben |
4-Hydroxybenzoic Acid | pres cap=0.4/0.4 | p-Hydroxybenzoic Acid
DMDM Hydantoin | pres cap=0.6/0.6 releaser |
Imidazolidinyl Urea | pres cap=0.6/0.6 releaser |
Diazolidinyl Urea | pres cap=0.5/0.5 releaser |
Quaternium-15 | releaser |
Sodium Hydroxymethylglycinate | pres cap=0.5/0.5 releaser |
2-Bromo-2-Nitropropane-1,3-Diol | pres cap=0.1/0.1 releaser | Bronopol
5-Bromo-5-Nitro-1,3-Dioxane | pres cap=-/0.1 releaser |
Benzylhemiformal | pres cap=-/0.15 releaser |
Methenamine | pres cap=0.15/0.15 releaser |
Formaldehyde | releaser straight | Formalin
Glyoxal | pres cap=0.01/0.01 |
Glutaral | pres cap=0.1/0.1 |
Methylisothiazolinone | pres cap=-/0.0015 mit | MIT; MI
Methylchloroisothiazolinone | pres cap=-/0.0015 mit | MCI; CMIT
Benzisothiazolinone | mit |
Octylisothiazolinone | mit |
Chlorphenesin | pres cap=0.3/0.3 |
Dichlorobenzyl Alcohol | pres cap=0.15/0.15 |
Benzethonium Chloride | pres cap=0.1/0.1 |
Benzalkonium Chloride | pres cap=0.1/0.1 cat=1 |
Cetylpyridinium Chloride | cat=1 |
Chlorhexidine | pres cap=0.3/0.3 |
Chlorhexidine Digluconate | pres cap=0.3/0.3*1.78 |
Chlorhexidine Dihydrochloride | pres cap=0.3/0.3*1.14 |
Hexamidine Diisethionate | pres cap=0.1/0.1*1.71 |
Polyaminopropyl Biguanide | pres cap=0.1/0.1 |
Triclosan | pres cap=-/- |
Triclocarban | pres cap=-/0.2 |
Chloroxylenol | pres cap=0.5/0.5 |
o-Phenylphenol | pres cap=0.15/0.2 |
o-Cymen-5-ol | pres cap=0.1/0.1 |
Chlorobutanol | pres cap=0.5/0.5 |
Thimerosal | pres |
Iodopropynyl Butylcarbamate | pres cap=0.01/0.02 | IPBC
Silver Chloride | pres cap=0.004/0.004 |
Zinc Pyrithione | pres flakes | Pyrithione Zinc
Piroctone Olamine | pres cap=0.5/1 flakes |
Climbazole | pres cap=0.5/2 flakes |
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
BHT | antiox | Butylated Hydroxytoluene
BHA | antiox | Butylated Hydroxyanisole
Ascorbyl Palmitate | antiox |
Tetradibutyl Pentaerythrityl Hydroxyhydrocinnamate | antiox |
Pentaerythrityl Tetra-Di-t-Butyl Hydroxyhydrocinnamate | antiox |
Propyl Gallate | antiox |
Sodium Metabisulfite | antiox |
Sodium Sulfite | antiox |
Sodium Bisulfite | antiox |
Phenylparaben | paraben |
Benzylparaben | paraben |
Pentylparaben | paraben |
Sodium Butylparaben | pres cap=0.14/0.14*1.52 paraben |
`,
);
