import { table } from '../table.ts';

/** Vitamins, UV filters, acids and bases, salts, emulsifiers, propellants and the rest that makes a formula work. */
export const actives = table(
  {
    group: 'other',
    origin:
      'Cosmetic chemistry: what keeps a formula stable, acidic or preserved; effects on hair only where they are clear.',
    base: 'other',
  },
  `
Aqua | water | Water; Eau; Agua; Acqua; Wasser; Purified Water; Deionized Water; Distilled Water; Aqua (Water); Water (Aqua); Aqua/Water/Eau; Water/Aqua/Eau; Aqua/Eau
Maris Aqua | salt | Sea Water
Niacinamide | other | Vitamin B3
Niacin | other |
Biotin | other | Vitamin H; Vitamin B7
Pyridoxine HCl | other | Vitamin B6
Cyanocobalamin | other |
Folic Acid | other |
Thiamine HCl | other |
Riboflavin | dyes |
Calcium Pantothenate | other |
Ascorbic Acid | acid antiox | Vitamin C
Sodium Ascorbyl Phosphate | antiox |
Magnesium Ascorbyl Phosphate | antiox |
Ascorbyl Glucoside | antiox |
Retinol | other |
Retinyl Palmitate | other | Vitamin A Palmitate
Ergocalciferol | other |
Phytonadione | other |
Ubiquinone | antiox | Coenzyme Q10
Allantoin | other |
Bisabolol | other |
Beta-Carotene | dyes |
Lecithin | emul oil=1 | Soy Lecithin
Hydrogenated Lecithin | emul oil=1 |
Phospholipids | emul oil=1 |
Cyclodextrin | other |
Hydroxypropyl Cyclodextrin | other |
Bis-Ethylhexyl Hydroxydimethoxy Benzylmalonate | antiox |
Thioctic Acid | antiox |
Resveratrol | antiox |
Superoxide Dismutase | antiox |
Diaminopyrimidine Oxide | other | Aminexil
Pyrrolidinyl Diaminopyrimidine Oxide | other |
Procyanidin | other |
Apigenin | other |
Oleanolic Acid | other |
Baicalin | other |
Adenosine | other |
Azelaic Acid | acid |
Ethylhexyl Methoxycinnamate | uv | Octinoxate; Octyl Methoxycinnamate
Ethylhexyl Salicylate | uv |
Benzophenone-3 | uv | Oxybenzone
Benzophenone-4 | uv | Sulisobenzone
Benzophenone-2 | uv |
Butyl Methoxydibenzoylmethane | uv | Avobenzone
Octocrylene | uv |
Homosalate | uv |
Phenylbenzimidazole Sulfonic Acid | uv |
PEG-25 PABA | uv |
Ethylhexyl Dimethyl PABA | uv |
Diethylamino Hydroxybenzoyl Hexyl Benzoate | uv |
Sodium Benzotriazolyl Butylphenol Sulfonate | uv |
Tris(Tetramethylhydroxypiperidinol) Citrate | uv |
Titanium Dioxide | dyes | CI 77891
Zinc Oxide | dyes | CI 77947
Citric Acid | acid |
Sodium Citrate | buffer | Trisodium Citrate
Glycolic Acid | acid |
Malic Acid | acid |
Tartaric Acid | acid |
Mandelic Acid | acid |
Acetic Acid | acid |
Phosphoric Acid | acid |
Hydrochloric Acid | acid |
Gluconolactone | acid hum=1 |
Lactobionic Acid | acid hum=1 |
Adipic Acid | acid |
Glyoxylic Acid | acid straight | Oxoacetic Acid
Boric Acid | acid |
Sodium Hydroxide | alkali | Caustic Soda; Lye
Potassium Hydroxide | alkali | Caustic Potash
Calcium Hydroxide | alkali | Slaked Lime
Lithium Hydroxide | alkali relax |
Guanidine Carbonate | alkali relax |
Ammonium Hydroxide | alkali | Ammonia; Ammonia Water
Ammonium Thioglycolate | perm |
Thioglycolic Acid | perm |
Cysteamine HCl | perm |
Ethanolamine | base | Monoethanolamine; MEA
Triethanolamine | base | TEA; Trolamine
Diethanolamine | base |
Aminomethyl Propanol | base | AMP; AMP-95
Aminomethyl Propanediol | base |
Tromethamine | base |
Tetrahydroxypropyl Ethylenediamine | base |
Sodium Carbonate | alkali | Soda Ash; Washing Soda
Sodium Bicarbonate | base | Baking Soda; Bicarbonate of Soda
Sodium Sesquicarbonate | base |
Sodium Phosphate | buffer |
Disodium Phosphate | buffer |
Potassium Phosphate | buffer |
Dipotassium Phosphate | buffer |
Sodium Acetate | buffer |
Sodium Borate | buffer |
Hydrogen Peroxide | bleach | Peroxide
Sodium Chloride | salt | Salt; Table Salt
Potassium Chloride | salt |
Magnesium Chloride | salt |
Calcium Chloride | salt |
Ammonium Chloride | salt |
Magnesium Sulfate | salt | Epsom Salt
Sodium Sulfate | salt |
Zinc Sulfate | salt |
Zinc Gluconate | salt |
Zinc PCA | salt |
Zinc Ricinoleate | other |
Copper Gluconate | salt |
Magnesium Nitrate | salt |
Magnesium Gluconate | salt |
Magnesium Carbonate | absorb |
Calcium Carbonate | absorb |
Potassium Alum | salt |
Sodium Silicate | alkali |
Sea Salt | salt | Maris Sal; Sal Marinum
Polysorbate 20 | emul |
Polysorbate 40 | emul |
Polysorbate 60 | emul |
Polysorbate 80 | emul |
PEG-40 Hydrogenated Castor Oil | emul |
PEG-60 Hydrogenated Castor Oil | emul |
PEG-35 Castor Oil | emul |
PEG-30 Castor Oil | emul |
PEG-10 Castor Oil | emul |
PEG-2 Hydrogenated Castor Oil | emul |
PEG-7 Hydrogenated Castor Oil | emul |
PEG-20 Stearate | emul |
PEG-40 Stearate | emul |
PEG-100 Stearate | emul |
PEG-8 Stearate | emul |
PEG-75 Stearate | emul |
PEG-12 Laurate | emul |
PEG-8 Laurate | emul |
PEG-80 Sorbitan Laurate | emul cleans=non1 |
PEG-20 Sorbitan Triisostearate | emul |
PEG-20 Methyl Glucose Sesquistearate | emul |
PEG-75 Shea Butter Glycerides | emul oil=1 |
PEG-50 Shea Butter | emul oil=1 |
PEG-16 Macadamia Glycerides | emul oil=1 |
PEG-60 Almond Glycerides | emul oil=1 |
PEG-8 Ricinoleate | emul |
PEG-150 Stearate | emul thick |
PPG-3 Benzyl Ether Myristate | oil=1 |
PPG-3 Caprylyl Ether | oil=1 |
PPG-15 Stearyl Ether | oil=1 |
PPG-5-Ceteth-20 | emul |
PPG-26-Buteth-26 | emul |
PPG-1-PEG-9 Lauryl Glycol Ether | emul |
Poloxamer 124 | emul |
Poloxamer 188 | emul |
Poloxamer 407 | emul thick |
Ceteareth-6 | emul |
Ceteareth-12 | emul |
Ceteareth-20 | emul |
Ceteareth-25 | emul |
Ceteareth-30 | emul |
Ceteareth-33 | emul |
Ceteth-2 | emul |
Ceteth-10 | emul |
Ceteth-20 | emul |
Steareth-2 | emul |
Steareth-4 | emul |
Steareth-20 | emul |
Steareth-21 | emul |
Steareth-100 | emul |
Laureth-2 | emul cleans=non1 |
Laureth-3 | emul cleans=non1 |
Laureth-4 | emul cleans=non1 |
Laureth-7 | emul cleans=non1 |
Laureth-9 | emul cleans=non1 |
Laureth-10 | emul cleans=non1 |
Laureth-23 | emul |
Oleth-5 | emul |
Oleth-10 | emul |
Oleth-20 | emul |
Isoceteth-20 | emul |
Isosteareth-10 | emul |
C11-15 Pareth-7 | emul cleans=non1 |
C11-15 Pareth-9 | emul cleans=non1 |
C12-13 Pareth-3 | emul |
C12-13 Pareth-23 | emul |
Pareth-7 | emul |
Trideceth-3 | emul |
Trideceth-6 | emul cleans=non1 |
Trideceth-10 | emul cleans=non1 |
Trideceth-12 | emul cleans=non1 |
Undeceth-5 | emul |
Undeceth-11 | emul |
Deceth-5 | emul |
Octoxynol-40 | emul |
Nonoxynol-10 | emul |
Glyceryl Stearate | emul oil=1 | Glyceryl Monostearate; GMS
Glyceryl Stearate SE | emul oil=1 |
Glyceryl Stearate Citrate | emul oil=1 |
Glyceryl Citrate/Lactate/Linoleate/Oleate | emul |
Glyceryl Isostearate | emul oil=1 |
Glyceryl Linoleate | oil=1 |
Glyceryl Linolenate | oil=1 |
Glyceryl Behenate | emul oil=2 |
Glyceryl Cocoate | emul |
Sorbitan Stearate | emul |
Sorbitan Oleate | emul |
Sorbitan Laurate | emul |
Sorbitan Palmitate | emul |
Sorbitan Olivate | emul |
Sorbitan Isostearate | emul |
Sorbitan Caprylate | emul boost |
Sorbitan Sesquioleate | emul |
Cetearyl Olivate | emul oil=1 |
Cetearyl Glucoside | emul |
Cetyl Phosphate | emul |
Potassium Cetyl Phosphate | emul |
Dicetyl Phosphate | emul |
Ceteth-10 Phosphate | emul |
Trilaureth-4 Phosphate | emul |
Oleth-3 Phosphate | emul |
Sucrose Stearate | emul |
Sucrose Distearate | emul |
Sucrose Palmitate | emul |
Sucrose Polystearate | emul |
Polyglyceryl-2 Stearate | emul |
Polyglyceryl-3 Stearate | emul |
Polyglyceryl-3 Methylglucose Distearate | emul |
Polyglyceryl-3 Polyricinoleate | emul |
Polyglyceryl-4 Isostearate | emul |
Polyglyceryl-4 Oleate | emul |
Polyglyceryl-5 Oleate | emul |
Polyglyceryl-6 Distearate | emul |
Polyglyceryl-10 Stearate | emul |
Polyglyceryl-10 Oleate | emul |
Methyl Glucose Sesquistearate | emul |
Stearyl Glucoside | emul |
Sodium Stearoyl Lactylate | emul |
Stearamide AMP | emul |
Stearamide MEA | emul |
Behenoyl PG-Trimonium Chloride | cat=2 |
Isobutane | gas |
Propane | gas |
Butane | gas |
Dimethyl Ether | gas |
Hydrofluorocarbon 152a | gas | Difluoroethane
Nitrogen | gas |
Nitrous Oxide | gas |
Carbon Dioxide | gas |
Acetone | solvent |
Ethyl Acetate | solvent |
Butyl Acetate | solvent |
Propylene Carbonate | solvent |
Benzyl Glycol | solvent |
Triethyl Citrate | solvent |
Triacetin | solvent |
Dimethyl Isosorbide | solvent |
Phenyl Ethyl Resorcinol | other |
Sodium Saccharin | other |
Denatonium Benzoate | other |
Octoxyglyceryl Behenate | other |
Hydroxyethylpiperazine Ethane Sulfonic Acid | buffer |
Sodium Ascorbate | antiox |
Magnesium Stearate | other |
Zinc Stearate | other |
Aluminum Hydroxide | other |
Tin Oxide | dyes | CI 77861
Synthetic Fluorphlogopite | dyes |
Calcium Sodium Borosilicate | dyes |
Polyethylene Terephthalate | dyes |
Nylon-12 | absorb |
Resorcinol | oxdye |
p-Phenylenediamine | oxdye | PPD
Toluene-2,5-Diamine | oxdye | PTD; Toluene-2,5-Diamine Sulfate
m-Aminophenol | oxdye |
p-Aminophenol | oxdye |
2-Methylresorcinol | oxdye |
4-Chlororesorcinol | oxdye |
Lawsone | dyes |
Basic Blue 99 | dyes |
Basic Brown 16 | dyes |
Basic Brown 17 | dyes |
Basic Red 51 | dyes |
Basic Red 76 | dyes |
Basic Yellow 57 | dyes |
Basic Yellow 87 | dyes |
Basic Orange 31 | dyes |
Basic Violet 2 | dyes |
Basic Violet 16 | dyes |
HC Blue No. 2 | dyes |
HC Yellow No. 4 | dyes |
HC Red No. 3 | dyes |
Disperse Violet 1 | dyes |
Acid Violet 43 | dyes | Ext. D&C Violet 2; CI 60730
Caramel | dyes |
CI 10006 | dyes |
CI 10020 | dyes |
CI 12085 | dyes |
CI 12490 | dyes |
CI 14700 | dyes | FD&C Red 4; Red 4
CI 15510 | dyes | Orange 4
CI 15850 | dyes | Red 6; Red 7
CI 15985 | dyes | Yellow 6; FD&C Yellow 6; Sunset Yellow
CI 16035 | dyes | Red 40; FD&C Red 40; Allura Red
CI 16255 | dyes |
CI 17200 | dyes | Red 33; D&C Red 33
CI 18050 | dyes |
CI 19140 | dyes | Yellow 5; FD&C Yellow 5; Tartrazine
CI 20470 | dyes |
CI 26100 | dyes |
CI 28440 | dyes |
CI 40800 | dyes |
CI 42045 | dyes |
CI 42051 | dyes |
CI 42053 | dyes | Green 3; FD&C Green 3
CI 42090 | dyes | Blue 1; FD&C Blue 1; Brilliant Blue
CI 44090 | dyes |
CI 45100 | dyes |
CI 45350 | dyes |
CI 45380 | dyes | Red 22
CI 45410 | dyes | Red 28
CI 45430 | dyes |
CI 47000 | dyes |
CI 47005 | dyes | Yellow 10; D&C Yellow 10
CI 59040 | dyes |
CI 60725 | dyes | Violet 2
CI 61565 | dyes |
CI 61570 | dyes | Green 5
CI 62045 | dyes |
CI 69825 | dyes |
CI 73015 | dyes |
CI 73360 | dyes |
CI 74160 | dyes |
CI 74260 | dyes |
CI 75120 | dyes | Annatto
CI 75130 | dyes |
CI 75470 | dyes | Carmine
CI 75810 | dyes | Chlorophyllin
CI 77000 | dyes |
CI 77007 | dyes | Ultramarines
CI 77163 | dyes |
CI 77266 | dyes | Black 2
CI 77288 | dyes | Chromium Oxide Greens
CI 77289 | dyes |
CI 77491 | dyes | Iron Oxides; Iron Oxide
CI 77492 | dyes |
CI 77499 | dyes |
CI 77510 | dyes |
CI 77742 | dyes | Manganese Violet
Bis-Aminopropyl Diglycol Dimaleate | bond |
Maleic Acid | bond acid |
Succinic Acid | bond acid |
Hydroxypropylgluconamide | bond |
Hydroxypropylammonium Gluconate | bond |
Diethyl Maleate | bond |
Methylene Glycol | releaser straight | Methanediol; Formaldehyde Monohydrate
Glyoxyloyl Carbocysteine | straight |
Glyoxyloyl Keratin Amino Acids | straight protein=keratin/amino |
Glyoxyloyl Hydrolyzed Keratin | straight protein=keratin/medium |
Guanidine Hydroxide | alkali relax |
Magnesium Hydroxide | base |
Sodium Metasilicate | alkali |
Sodium Sesquicarbonate Dihydrate | base |
Ammonium Persulfate | bleach | Diammonium Peroxodisulfate
Potassium Persulfate | bleach | Dipotassium Peroxodisulfate
Sodium Persulfate | bleach |
Sodium Bromate | perm |
Potassium Bromate | perm |
Sodium Perborate | bleach |
Sodium Percarbonate | bleach |
Urea Peroxide | bleach | Carbamide Peroxide
Calcium Peroxide | bleach |
Magnesium Peroxide | bleach |
Strontium Peroxide | bleach |
Ethanolamine Thioglycolate | perm | Monoethanolamine Thioglycolate; MEA-Thioglycolate
Glyceryl Thioglycolate | perm | Glyceryl Monothioglycolate
Calcium Thioglycolate | perm |
Potassium Thioglycolate | perm |
Sodium Thioglycolate | perm |
Diammonium Dithiodiglycolate | perm |
Thiolactic Acid | perm |
Ammonium Thiolactate | perm |
Cysteamine | perm |
Ethanolamine Sulfite | perm | Monoethanolamine Sulfite; MEA-Sulfite
Ammonium Bisulfite | perm |
Ammonium Sulfite | perm |
Butyrolactonethiol | perm |
2,4-Diaminophenoxyethanol HCl | oxdye | 2,4-Diaminophenoxyethanol Dihydrochloride
4-Amino-2-Hydroxytoluene | oxdye |
1-Naphthol | oxdye |
2-Amino-4-Hydroxyethylaminoanisole Sulfate | oxdye | 2-Amino-4-Hydroxyethylaminoanisole
N,N-Bis(2-Hydroxyethyl)-p-Phenylenediamine Sulfate | oxdye |
1-Hydroxyethyl 4,5-Diamino Pyrazole Sulfate | oxdye |
5-Amino-6-Chloro-o-Cresol | oxdye |
4-Amino-m-Cresol | oxdye |
2-Amino-3-Hydroxypyridine | oxdye |
Hydroxybenzomorpholine | oxdye |
2,6-Dihydroxyethylaminotoluene | oxdye |
Phenyl Methyl Pyrazolone | oxdye |
Basic Blue 124 | dyes |
HC Blue No. 15 | dyes | HC Blue 15
HC Yellow No. 2 | dyes | HC Yellow 2
Disperse Black 9 | dyes |
Polyoxymethylene Urea | releaser |
Erythorbic Acid | antiox |
Sodium Erythorbate | antiox |
Hydroxycinnamic Acid | antiox |
Silica Dimethyl Silylate | absorb |
2-Oleamido-1,3-Octadecanediol | other |
Glycolipids | other |
Isostearamidopropyl Morpholine Lactate | emul |
PEG-3 Distearate | emul pearl |
PEG-4 Distearyl Ether | emul pearl |
Distearyl Ether | emul pearl oil=1 |
C12-14 Sec-Pareth-5 | emul |
C12-14 Sec-Pareth-7 | emul |
C12-14 Sec-Pareth-9 | emul |
Trideceth-5 | emul |
Trideceth-9 | emul |
PPG-1 Trideceth-6 | emul |
PEG-150 | solvent | Polyethylene Glycol 150
PEG-2M | thick |
`,
);
