import { table } from '../table.ts';

/** Proteins and what is left of them: source and size. Small pieces reach into damaged hair, large ones film on it. */
export const proteins = table(
  {
    group: 'protein',
    origin:
      'Protein chemistry: amino acids, peptides by degree of hydrolysis, whole proteins. Sizes are those usual in the trade; a label does not state them.',
    base: '',
  },
  `
Hydrolyzed Wheat Protein | protein=wheat/medium |
Hydrolyzed Wheat Gluten | protein=wheat/large |
Hydrolyzed Wheat Starch | film=1 |
Wheat Amino Acids | protein=wheat/amino hum=1 |
Triticum Vulgare Protein | protein=wheat/large | Wheat Protein
Hydrolyzed Keratin | protein=keratin/medium |
Keratin | protein=keratin/large |
Keratin Amino Acids | protein=keratin/amino |
Hydrolyzed Vegetable Protein | protein=plant/medium |
Hydrolyzed Plant Protein | protein=plant/medium |
Hydrolyzed Silk | protein=silk/small | Hydrolyzed Silk Protein
Silk Amino Acids | protein=silk/amino |
Silk Protein | protein=silk/large | Serica Protein; Silk Powder; Serica
Sericin | protein=silk/large |
Hydrolyzed Sericin | protein=silk/medium |
Fibroin | protein=silk/large |
Hydrolyzed Fibroin | protein=silk/medium |
Hydrolyzed Soy Protein | protein=soy/medium |
Glycine Soja Protein | protein=soy/large | Soy Protein
Soy Amino Acids | protein=soy/amino |
Hydrolyzed Rice Protein | protein=rice/small |
Oryza Sativa Protein | protein=rice/large |
Rice Amino Acids | protein=rice/amino |
Hydrolyzed Oat Protein | protein=oat/medium |
Avena Sativa Protein | protein=oat/large |
Oat Amino Acids | protein=oat/amino |
Hydrolyzed Oats | protein=oat/medium hum=1 |
Hydrolyzed Quinoa | protein=quinoa/medium |
Hydrolyzed Quinoa Protein | protein=quinoa/medium |
Hydrolyzed Corn Protein | protein=corn/medium |
Zea Mays Protein | protein=corn/large | Corn Protein; Zein
Corn Amino Acids | protein=corn/amino |
Hydrolyzed Collagen | protein=collagen/medium | Hydrolyzed Animal Protein
Soluble Collagen | protein=collagen/large |
Collagen | protein=collagen/large |
Collagen Amino Acids | protein=collagen/amino |
Hydrolyzed Marine Collagen | protein=collagen/medium |
Atelocollagen | protein=collagen/large |
Gelatin | protein=collagen/large film=1 |
Hydrolyzed Elastin | protein=elastin/medium |
Elastin | protein=elastin/large |
Hydrolyzed Milk Protein | protein=milk/medium |
Milk Protein | protein=milk/large | Lactis Proteinum
Whey Protein | protein=milk/large |
Hydrolyzed Casein | protein=milk/medium |
Casein | protein=milk/large |
Yogurt Powder | protein=milk/large |
Goat Milk Powder | protein=milk/large |
Hydrolyzed Egg Protein | protein=egg/medium |
Egg Yolk | protein=egg/large oil=2 |
Egg Yolk Extract | protein=egg/large |
Albumen | protein=egg/large | Egg White
Hydrolyzed Pea Protein | protein=pea/medium |
Pisum Sativum Peptide | protein=pea/small | Pea Peptide
Pisum Sativum Extract | protein=pea/medium |
Hydrolyzed Lupine Protein | protein=lupin/medium |
Hydrolyzed Sweet Almond Protein | protein=almond/medium |
Hydrolyzed Barley Protein | protein=barley/medium |
Hydrolyzed Potato Protein | protein=potato/medium |
Hydrolyzed Chickpea Protein | protein=chickpea/medium |
Hydrolyzed Baobab Protein | protein=baobab/medium |
Hydrolyzed Adansonia Digitata Seed Protein | protein=baobab/medium |
Hydrolyzed Brazil Nut Protein | protein=nut/medium |
Hydrolyzed Hazelnut Protein | protein=nut/medium |
Hydrolyzed Sesame Protein PG-Propyl Methylsilanediol | protein=sesame/medium off=mild |
Hydrolyzed Cottonseed Protein | protein=cotton/medium |
Hydrolyzed Jojoba Protein | protein=jojoba/medium |
Hydrolyzed Moringa Protein | protein=moringa/medium |
Hydrolyzed Amaranth Protein | protein=amaranth/medium |
Hydrolyzed Hemp Seed Protein | protein=hemp/medium |
Hydrolyzed Linseed Protein | protein=linseed/medium |
Hydrolyzed Yeast Protein | protein=yeast/medium |
Hydrolyzed Conchiolin Protein | protein=pearl/medium |
Hydrolyzed Pearl | protein=pearl/medium |
Hydrolyzed Algin | hum=1 film=1 |
Hydrolyzed Spirulina Protein | protein=alga/medium |
Laurdimonium Hydroxypropyl Hydrolyzed Wheat Protein | protein=wheat/medium cat=1 |
Cocodimonium Hydroxypropyl Hydrolyzed Wheat Protein | protein=wheat/medium cat=1 |
Hydroxypropyltrimonium Hydrolyzed Wheat Protein | protein=wheat/medium cat=1 |
Steardimonium Hydroxypropyl Hydrolyzed Wheat Protein | protein=wheat/medium cat=2 |
Laurdimonium Hydroxypropyl Hydrolyzed Keratin | protein=keratin/medium cat=1 |
Cocodimonium Hydroxypropyl Hydrolyzed Keratin | protein=keratin/medium cat=1 |
Hydroxypropyltrimonium Hydrolyzed Keratin | protein=keratin/medium cat=1 |
Cocodimonium Hydroxypropyl Hydrolyzed Silk | protein=silk/small cat=1 |
Laurdimonium Hydroxypropyl Hydrolyzed Soy Protein | protein=soy/medium cat=1 |
Cocodimonium Hydroxypropyl Hydrolyzed Rice Protein | protein=rice/small cat=1 |
Hydroxypropyltrimonium Hydrolyzed Casein | protein=milk/medium cat=1 |
Hydroxypropyltrimonium Hydrolyzed Collagen | protein=collagen/medium cat=1 |
Wheatgermamidopropalkonium Chloride | cat=2 |
Hydrolyzed Vegetable Protein PG-Propyl Silanetriol | protein=plant/medium off=mild |
Hydrolyzed Keratin PG-Propyl Methylsilanediol | protein=keratin/medium off=mild |
Hydrolyzed Wheat Protein/PVP Crosspolymer | protein=wheat/large film=2 |
Hydrolyzed Wheat Protein/Dimethicone PEG-7 Acetate | protein=wheat/medium off=water |
Sodium/TEA-Undecylenoyl Alginate | emul |
Acetyl Hexapeptide-8 | protein=peptide/small |
Palmitoyl Tripeptide-1 | protein=peptide/small |
Palmitoyl Tetrapeptide-7 | protein=peptide/small |
Biotinoyl Tripeptide-1 | protein=peptide/small |
Copper Tripeptide-1 | protein=peptide/small |
Myristoyl Pentapeptide-17 | protein=peptide/small |
Acetyl Tetrapeptide-3 | protein=peptide/small |
sh-Oligopeptide-78 | protein=peptide/small |
Hydrolyzed Royal Jelly Protein | protein=royal/medium |
Hydrolyzed Lupine Seed Extract | protein=lupin/medium |
Arginine | protein=amino/amino | L-Arginine
Arginine HCl | protein=amino/amino |
Lysine | protein=amino/amino |
Lysine HCl | protein=amino/amino |
Histidine | protein=amino/amino |
Cysteine | protein=amino/amino | L-Cysteine
Cysteine HCl | protein=amino/amino |
Cystine | protein=amino/amino |
Acetyl Cysteine | protein=amino/amino |
Methionine | protein=amino/amino |
Glycine | protein=amino/amino hum=1 |
Alanine | protein=amino/amino |
Serine | protein=amino/amino hum=1 |
Threonine | protein=amino/amino |
Valine | protein=amino/amino |
Leucine | protein=amino/amino |
Isoleucine | protein=amino/amino |
Proline | protein=amino/amino hum=1 |
Phenylalanine | protein=amino/amino |
Tyrosine | protein=amino/amino |
Tryptophan | protein=amino/amino |
Aspartic Acid | protein=amino/amino |
Glutamic Acid | protein=amino/amino |
Glutamine | protein=amino/amino |
Asparagine | protein=amino/amino |
Creatine | protein=amino/amino |
Taurine | protein=amino/amino |
Carnitine | protein=amino/amino |
Ornithine | protein=amino/amino |
Citrulline | protein=amino/amino |
Hydrolyzed Adansonia Digitata Extract | protein=baobab/medium |
Hydrolyzed Walnut Extract | protein=walnut/medium |
Hydrolyzed Cicer Seed Extract | protein=chickpea/medium |
Hydrolyzed Rice Extract | protein=rice/medium |
Hydrolyzed Sesame Protein | protein=sesame/medium |
`,
);
