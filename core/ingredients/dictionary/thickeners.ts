import { table } from '../table.ts';

/** Gums and other thickeners: body for the bottle; gums also leave a light film. */
export const thickeners = table(
  { group: 'gum or thickener', origin: 'Polysaccharide and rheology-modifier chemistry.', base: 'thick' },
  `
Xanthan Gum | gum thick |
Dehydroxanthan Gum | gum thick |
Guar Gum | gum thick | Cyamopsis Tetragonoloba Gum
Hydroxypropyl Guar | gum thick |
Locust Bean Gum | gum thick | Ceratonia Siliqua Gum; Carob Gum
Caesalpinia Spinosa Gum | gum thick | Tara Gum
Gellan Gum | gum thick |
Sclerotium Gum | gum thick hum=1 |
Biosaccharide Gum-1 | gum hum=1 |
Biosaccharide Gum-4 | gum film=1 |
Diutan Gum | gum thick |
Astragalus Gummifer Gum | gum thick | Tragacanth Gum
Sterculia Urens Gum | gum thick | Karaya Gum
Amorphophallus Konjac Root Powder | gum thick hum=1 | Glucomannan; Konjac Glucomannan
Carrageenan | gum thick film=1 | Chondrus Crispus
Agar | gum thick |
Algin | gum thick film=1 | Sodium Alginate; Alginic Acid
Calcium Alginate | gum thick |
Propylene Glycol Alginate | gum thick |
Pectin | gum thick film=1 |
Inulin | hum=1 |
Dextrin | thick film=1 |
Dextran | film=1 |
Cellulose | thick |
Microcrystalline Cellulose | thick |
Cellulose Gum | gum thick | Carboxymethyl Cellulose; Sodium Carboxymethyl Cellulose
Hydroxyethylcellulose | thick film=1 | HEC
Hydroxypropyl Methylcellulose | thick film=1 |
Hydroxypropylcellulose | thick film=1 hold=1 |
Methylcellulose | thick |
Ethylcellulose | film=3 |
Cetyl Hydroxyethylcellulose | thick film=1 |
Methyl Hydroxyethylcellulose | thick |
Carbomer | thick | Polyacrylic Acid
Sodium Carbomer | thick |
TEA-Carbomer | thick |
Sodium Polyacrylate | thick film=1 |
Sodium Polyacryloyldimethyl Taurate | thick |
Ammonium Acryloyldimethyltaurate/VP Copolymer | thick film=1 |
Ammonium Acryloyldimethyltaurate/Beheneth-25 Methacrylate Crosspolymer | thick |
Hydroxyethyl Acrylate/Sodium Acryloyldimethyl Taurate Copolymer | thick |
Sodium Acrylate/Sodium Acryloyldimethyl Taurate Copolymer | thick |
Acrylates/C10-30 Alkyl Acrylate Crosspolymer | thick |
Acrylates/Beheneth-25 Methacrylate Copolymer | thick |
Acrylates/Steareth-20 Methacrylate Copolymer | thick |
Acrylates/Steareth-20 Methacrylate Crosspolymer | thick |
Acrylates/Ceteth-20 Itaconate Copolymer | thick film=2 |
Acrylates/Steareth-20 Itaconate Copolymer | thick film=2 |
Acrylates/Aminoacrylates/C10-30 Alkyl PEG-20 Itaconate Copolymer | thick |
Acrylates/Palmeth-25 Acrylate Copolymer | thick |
Acrylates Crosspolymer-4 | thick |
Polyacrylate-1 Crosspolymer | thick |
Polyacrylate Crosspolymer-6 | thick |
Polyacrylamide | thick film=1 |
Polyethylene Glycol | hum=1 |
PEG-45M | thick |
PEG-90M | thick |
PEG-14M | thick |
PEG-7M | thick |
PEG-120 Methyl Glucose Dioleate | thick |
PEG-120 Methyl Glucose Trioleate | thick |
PEG-150 Distearate | thick |
PEG-150 Pentaerythrityl Tetrastearate | thick |
PEG-55 Propylene Glycol Oleate | thick |
PEG-18 Glyceryl Oleate/Cocoate | thick |
PEG-175 Distearate | thick |
Glycol Distearate | pearl |
Glycol Stearate | pearl |
Glycol Cetearate | pearl |
Zea Mays Starch | thick | Corn Starch
Oryza Sativa Starch | thick | Rice Starch
Solanum Tuberosum Starch | thick | Potato Starch
Manihot Esculenta Starch | thick | Tapioca Starch
Maranta Arundinacea Root Powder | thick | Arrowroot Powder
Distarch Phosphate | thick |
Sodium Hydroxypropyl Starch Phosphate | thick |
Aluminum Starch Octenylsuccinate | thick |
Sodium Starch Octenylsuccinate | thick |
Bentonite | clay |
Hectorite | clay |
Disteardimonium Hectorite | thick clay |
Stearalkonium Hectorite | thick clay |
Magnesium Aluminum Silicate | thick clay |
Kaolin | clay | White Clay
Montmorillonite | clay | Green Clay
Illite | clay |
Moroccan Lava Clay | clay | Rhassoul Clay; Ghassoul
Solum Fullonum | clay | Fuller's Earth
Maris Limus | clay | Sea Mud; Sea Silt
Silt | clay |
Charcoal Powder | clay | Activated Charcoal
Diatomaceous Earth | clay |
Silica | absorb |
Hydrated Silica | absorb |
Mica | absorb dyes | CI 77019
Talc | absorb |
Tapioca Starch Polymethylsilsesquioxane | off=strong absorb |
`,
);
