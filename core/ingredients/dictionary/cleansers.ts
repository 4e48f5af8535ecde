import { table } from '../table.ts';

/** Surfactants that clean: charge, and strength from 1 (hardly lifts) to 4 (strips). */
export const cleansers = table(
  {
    group: 'cleanser',
    origin:
      'Surfactant chemistry: head-group charge, detergency falling with ethoxylation, sarcosinate and amino-acid heads; strengths are our ranking, common practice.',
    base: '',
  },
  `
Sodium Lauryl Sulfate | cleans=an4 sulfate | SLS; Sodium Dodecyl Sulfate
Ammonium Lauryl Sulfate | cleans=an4 sulfate | ALS
TEA-Lauryl Sulfate | cleans=an4 sulfate |
Magnesium Lauryl Sulfate | cleans=an3 sulfate |
Sodium Coco-Sulfate | cleans=an4 sulfate |
Ammonium Coco-Sulfate | cleans=an4 sulfate |
Sodium Laureth Sulfate | cleans=an3 sulfate | SLES; Sodium Lauryl Ether Sulfate
Ammonium Laureth Sulfate | cleans=an3 sulfate | ALES
Magnesium Laureth Sulfate | cleans=an3 sulfate |
TEA-Laureth Sulfate | cleans=an3 sulfate |
MIPA-Laureth Sulfate | cleans=an3 sulfate |
Sodium Myreth Sulfate | cleans=an3 sulfate |
Sodium Trideceth Sulfate | cleans=an3 sulfate |
Sodium Pareth Sulfate | cleans=an3 sulfate |
Sodium C12-13 Pareth Sulfate | cleans=an3 sulfate |
Sodium Cetearyl Sulfate | cleans=an2 sulfate |
Sodium Cetyl Sulfate | cleans=an2 sulfate |
Sodium Octyl Sulfate | cleans=an3 sulfate |
Disodium Laureth Sulfosuccinate | cleans=an2 |
Disodium Lauryl Sulfosuccinate | cleans=an2 |
Disodium Cocoyl Sulfosuccinate | cleans=an2 |
Disodium Ricinoleamido MEA-Sulfosuccinate | cleans=an1 |
Disodium Undecylenamido MEA-Sulfosuccinate | cleans=an1 |
Disodium Oleamido MEA-Sulfosuccinate | cleans=an1 |
Diethylhexyl Sodium Sulfosuccinate | cleans=an3 | Dioctyl Sodium Sulfosuccinate
Disodium PEG-12 Dimethicone Sulfosuccinate | off=water cleans=an1 |
Sodium C14-16 Olefin Sulfonate | cleans=an4 | Sodium Olefin Sulfonate; Sodium C14-16 Alpha Olefin Sulfonate
Sodium C14-17 Alkyl Sec Sulfonate | cleans=an4 |
Sodium Dodecylbenzenesulfonate | cleans=an4 |
TEA-Dodecylbenzenesulfonate | cleans=an4 |
Ammonium Xylenesulfonate | cleans=an1 |
Sodium Xylenesulfonate | cleans=an1 |
Sodium Lauryl Sulfoacetate | cleans=an3 | SLSA
Disodium 2-Sulfolaurate | cleans=an2 |
Sodium Methyl 2-Sulfolaurate | cleans=an2 |
Sodium Cocoyl Isethionate | cleans=an2 | SCI
Sodium Lauroyl Isethionate | cleans=an2 |
Sodium Lauroyl Methyl Isethionate | cleans=an2 |
Sodium Cocoyl Methyl Isethionate | cleans=an2 |
Ammonium Cocoyl Isethionate | cleans=an2 |
Sodium Isethionate | cleans=an1 |
Sodium Methyl Cocoyl Taurate | cleans=an2 |
Sodium Methyl Lauroyl Taurate | cleans=an2 |
Sodium Methyl Oleoyl Taurate | cleans=an2 |
Sodium Methyl Myristoyl Taurate | cleans=an2 |
Sodium Methyl Stearoyl Taurate | cleans=an1 |
Sodium Cocoyl Taurate | cleans=an2 |
Sodium Caproyl Methyltaurate | cleans=an2 |
Potassium Methyl Cocoyl Taurate | cleans=an2 |
Sodium Lauroyl Sarcosinate | cleans=an2 |
Sodium Cocoyl Sarcosinate | cleans=an2 |
Sodium Myristoyl Sarcosinate | cleans=an2 |
Ammonium Lauroyl Sarcosinate | cleans=an2 |
TEA-Lauroyl Sarcosinate | cleans=an2 |
Lauroyl Sarcosine | cleans=an2 |
Cocoyl Sarcosine | cleans=an2 |
Oleoyl Sarcosine | cleans=an1 |
Sodium Cocoyl Glutamate | cleans=an1 |
Disodium Cocoyl Glutamate | cleans=an1 |
Sodium Lauroyl Glutamate | cleans=an1 |
Disodium Lauroyl Glutamate | cleans=an1 |
Sodium Myristoyl Glutamate | cleans=an1 |
Sodium Stearoyl Glutamate | cleans=an1 emul |
Disodium Stearoyl Glutamate | cleans=an1 |
TEA-Cocoyl Glutamate | cleans=an1 |
Potassium Cocoyl Glutamate | cleans=an1 |
Sodium Cocoyl Glycinate | cleans=an2 |
Potassium Cocoyl Glycinate | cleans=an2 |
Sodium Lauroyl Glycinate | cleans=an2 |
Sodium Cocoyl Alaninate | cleans=an2 |
TEA-Cocoyl Alaninate | cleans=an2 |
Sodium Lauroyl Aspartate | cleans=an1 |
Sodium Lauroyl Methylaminopropionate | cleans=an2 |
Sodium Cocoyl Apple Amino Acids | cleans=an1 protein=apple/amino |
Sodium Lauroyl Oat Amino Acids | cleans=an1 protein=oat/amino |
Sodium Cocoyl Oat Amino Acids | cleans=an1 protein=oat/amino |
Sodium Cocoyl Hydrolyzed Wheat Protein | cleans=an1 protein=wheat/small |
Potassium Cocoyl Hydrolyzed Collagen | cleans=an1 protein=collagen/small |
TEA-Cocoyl Hydrolyzed Collagen | cleans=an1 protein=collagen/small |
Sodium Cocoyl Hydrolyzed Soy Protein | cleans=an1 protein=soy/small |
Sodium Lauroyl Hydrolyzed Silk | cleans=an1 protein=silk/small |
Sodium Lauroyl Lactylate | cleans=an1 emul |
Sodium Cocoyl Lactylate | cleans=an1 |
Sodium Laureth-5 Carboxylate | cleans=an2 |
Sodium Laureth-6 Carboxylate | cleans=an2 |
Sodium Laureth-11 Carboxylate | cleans=an2 |
Sodium Trideceth-7 Carboxylate | cleans=an2 |
Laureth-11 Carboxylic Acid | cleans=an2 |
Sodium Lauryl Glucose Carboxylate | cleans=an1 |
Sodium Coco-Glucoside Tartrate | cleans=an1 |
Disodium Coco-Glucoside Citrate | cleans=an1 |
Sodium Cocopolyglucose Tartrate | cleans=an1 |
Sodium Surfactin | cleans=an1 |
Sodium Cocoate | cleans=an3 soap |
Potassium Cocoate | cleans=an3 soap |
Sodium Palmate | cleans=an3 soap |
Sodium Palm Kernelate | cleans=an3 soap |
Sodium Olivate | cleans=an3 soap |
Potassium Olivate | cleans=an3 soap |
Sodium Tallowate | cleans=an3 soap |
Sodium Stearate | cleans=an2 soap |
Potassium Stearate | cleans=an2 soap |
Potassium Laurate | cleans=an3 soap |
Potassium Oleate | cleans=an2 soap |
Potassium Palmate | cleans=an3 soap |
Sodium Shea Butterate | cleans=an2 soap |
Sodium Castorate | cleans=an2 soap |
TEA-Stearate | cleans=an1 soap |
Cocamidopropyl Betaine | cleans=am2 | CAPB; Cocoamidopropyl Betaine
Lauramidopropyl Betaine | cleans=am2 |
Coco-Betaine | cleans=am2 |
Lauryl Betaine | cleans=am2 |
Cetyl Betaine | cleans=am1 |
Behenamidopropyl Betaine | cleans=am1 |
Babassuamidopropyl Betaine | cleans=am1 |
Oleamidopropyl Betaine | cleans=am1 |
Olivamidopropyl Betaine | cleans=am1 |
Almondamidopropyl Betaine | cleans=am1 |
Shea Butteramidopropyl Betaine | cleans=am1 |
Cocamidopropyl Hydroxysultaine | cleans=am2 |
Lauryl Hydroxysultaine | cleans=am2 |
Lauramidopropyl Hydroxysultaine | cleans=am2 |
Cocamidopropyl Sultaine | cleans=am2 |
Sodium Cocoamphoacetate | cleans=am1 |
Disodium Cocoamphodiacetate | cleans=am1 |
Sodium Lauroamphoacetate | cleans=am1 |
Disodium Lauroamphodiacetate | cleans=am1 |
Sodium Cocoamphopropionate | cleans=am1 |
Disodium Cocoamphodipropionate | cleans=am1 |
Sodium Lauriminodipropionate | cleans=am1 |
Disodium Capryloamphodiacetate | cleans=am1 |
Cocamidopropylamine Oxide | cleans=am2 |
Lauramine Oxide | cleans=am2 |
Myristamine Oxide | cleans=am2 |
Lauramidopropylamine Oxide | cleans=am2 |
Decyl Glucoside | cleans=non2 |
Lauryl Glucoside | cleans=non1 |
Coco-Glucoside | cleans=non1 |
Caprylyl/Capryl Glucoside | cleans=non2 |
Caprylyl/Capryl Wheat Bran/Straw Glycosides | cleans=non1 |
Capryl Glucoside | cleans=non2 |
C12-20 Alkyl Glucoside | cleans=non1 emul |
Arachidyl Glucoside | emul |
Sucrose Cocoate | cleans=non1 |
Sucrose Laurate | cleans=non1 emul |
Polyglyceryl-4 Caprate | cleans=non1 |
Polyglyceryl-10 Laurate | cleans=non1 |
Polyglyceryl-6 Caprylate | cleans=non1 |
Lauroyl/Myristoyl Methyl Glucamide | cleans=non2 |
Capryloyl/Caproyl Methyl Glucamide | cleans=non1 |
Cocoyl Methyl Glucamide | cleans=non2 |
Cocamide MEA | cleans=non1 foam |
Cocamide DEA | cleans=non1 foam |
Cocamide MIPA | cleans=non1 foam |
Lauramide DEA | cleans=non1 foam |
Lauramide MEA | cleans=non1 foam |
Linoleamide DEA | cleans=non1 foam |
Oleamide MIPA | cleans=non1 foam |
PEG-4 Rapeseedamide | cleans=non1 |
PEG-5 Cocamide | cleans=non1 |
PPG-2 Hydroxyethyl Cocamide | cleans=non1 foam |
PPG-2 Hydroxyethyl Coco/Isostearamide | cleans=non1 foam |
PEG-7 Glyceryl Cocoate | cleans=non1 |
PEG-6 Caprylic/Capric Glycerides | cleans=non1 |
PEG-200 Hydrogenated Glyceryl Palmate | cleans=non1 thick |
Saponins | cleans=non2 |
Sapindus Mukorossi Fruit Extract | cleans=non2 | Soapnut Extract; Soapberry Extract
Sapindus Trifoliatus Fruit Extract | cleans=non2 | Reetha
Acacia Concinna Fruit Extract | cleans=non1 | Shikakai; Acacia Concinna Fruit Powder
Quillaja Saponaria Bark Extract | cleans=non2 | Quillaja Bark Extract
Yucca Schidigera Root Extract | cleans=non1 | Yucca Schidigera Extract
Saponaria Officinalis Leaf/Root Extract | cleans=non1 | Soapwort Extract
Gleditsia Sinensis Fruit Extract | cleans=non1 |
Potassium Cocoyl Hydrolyzed Soy Protein | cleans=an1 protein=soy/small |
Potassium Cocoyl Hydrolyzed Rice Protein | cleans=an1 protein=rice/small |
Sodium Coceth Sulfate | cleans=an3 sulfate |
Sodium Oleth Sulfate | cleans=an3 sulfate |
TIPA-Laureth Sulfate | cleans=an3 sulfate |
Disodium Cocamido MEA-Sulfosuccinate | cleans=an2 |
Disodium Cocamido MIPA-Sulfosuccinate | cleans=an2 |
Sodium Lauroyl Methyl Alaninate | cleans=an2 |
Capryl/Capramidopropyl Betaine | cleans=am1 foam |
`,
);
