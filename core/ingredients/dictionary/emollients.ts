import { table } from '../table.ts';

/** Esters, fatty acids and made emollients, with their weight; most are lighter than the oils they come from. */
export const emollients = table(
  {
    group: 'ester',
    origin: 'Cosmetic-ester chemistry: weight by chain length and branching; ranks are ours.',
    base: 'oil=1',
  },
  `
Isopropyl Myristate | oil=1 |
Isopropyl Palmitate | oil=1 |
Isopropyl Isostearate | oil=1 |
Isopropyl Lauroyl Sarcosinate | oil=1 |
Isostearyl Isostearate | oil=2 |
Isocetyl Stearate | oil=2 |
Isononyl Isononanoate | oil=1 |
Isodecyl Neopentanoate | oil=1 |
Isoamyl Laurate | oil=1 |
Isoamyl Cocoate | oil=1 |
Coco-Caprylate | oil=1 |
Coco-Caprylate/Caprate | oil=1 |
Caprylic/Capric Triglyceride | oil=1 | Capric/Caprylic Triglyceride; MCT Oil; Fractionated Coconut Oil
Caprylyl Caprylate/Caprate | oil=1 |
Cetearyl Isononanoate | oil=1 |
Cetearyl Ethylhexanoate | oil=1 | Cetearyl Octanoate
Cetearyl Nonanoate | oil=1 |
Cetyl Ethylhexanoate | oil=1 |
Cetyl Palmitate | oil=2 wax |
Cetyl Esters | oil=2 wax |
Cetyl Ricinoleate | oil=2 |
Cetyl Lactate | oil=1 |
Myristyl Myristate | oil=2 wax |
Myristyl Lactate | oil=1 |
Lauryl Lactate | oil=1 |
C12-13 Alkyl Lactate | oil=1 |
C12-15 Alkyl Benzoate | oil=1 |
C12-15 Alkyl Lactate | oil=1 |
C10-18 Triglycerides | oil=2 |
C13-15 Alkane | oil=1 |
C15-19 Alkane | oil=1 |
C9-12 Alkane | oil=1 gone |
C14-22 Alcohols | alc=fatty |
Coconut Alkanes | oil=1 gone |
Undecane | oil=1 gone |
Tridecane | oil=1 gone |
Isododecane | oil=1 gone |
Isohexadecane | oil=1 |
Isoeicosane | oil=1 |
Decyl Oleate | oil=2 |
Decyl Cocoate | oil=1 |
Oleyl Oleate | oil=2 |
Oleyl Erucate | oil=2 |
Octyldodecanol | oil=2 |
Octyldodecyl Myristate | oil=2 |
Octyldodecyl Stearoyl Stearate | oil=2 |
Octyldodecyl Ricinoleate | oil=2 |
Hexyldecanol | oil=1 |
Hexyldecyl Stearate | oil=2 |
Hexyl Laurate | oil=1 |
Ethylhexyl Palmitate | oil=1 | Octyl Palmitate
Ethylhexyl Stearate | oil=1 | Octyl Stearate
Ethylhexyl Isononanoate | oil=1 |
Ethylhexyl Olivate | oil=1 |
Ethyl Macadamiate | oil=1 |
Ethyl Oleate | oil=1 |
Ethyl Linoleate | oil=1 |
Diisopropyl Adipate | oil=1 |
Diisopropyl Sebacate | oil=1 |
Diisostearyl Malate | oil=2 |
Dicaprylyl Ether | oil=1 |
Dicaprylyl Carbonate | oil=1 |
Dibutyl Adipate | oil=1 |
Diheptyl Succinate | oil=1 |
Capryloyl Glycerin/Sebacic Acid Copolymer | oil=2 |
Tridecyl Stearate | oil=2 |
Tridecyl Trimellitate | oil=2 |
Triisostearin | oil=3 |
Trihydroxystearin | thick |
Tricaprylin | oil=1 |
Triethylhexanoin | oil=1 |
Triolein | oil=2 |
Trilaurin | oil=3 |
Tristearin | oil=3 |
Propylene Glycol Dicaprylate/Dicaprate | oil=1 |
Propanediol Dicaprylate | oil=1 |
Neopentyl Glycol Diheptanoate | oil=1 |
Neopentyl Glycol Dicaprylate/Dicaprate | oil=1 |
Pentaerythrityl Tetraisostearate | oil=3 |
Pentaerythrityl Tetracaprylate/Tetracaprate | oil=2 |
Bis-Diglyceryl Polyacyladipate-2 | oil=3 |
Phytosteryl/Octyldodecyl Lauroyl Glutamate | oil=2 |
Phytosteryl Macadamiate | oil=2 |
Phytosterols | oil=2 |
Cholesterol | oil=2 |
Ceramide NP | oil=1 | Ceramide 3
Ceramide AP | oil=1 | Ceramide 6-II
Ceramide NG | oil=1 | Ceramide 2
Ceramide EOP | oil=1 | Ceramide 1
Ceramide AS | oil=1 |
Ceramide NS | oil=1 |
Cetyl-PG Hydroxyethyl Palmitamide | oil=1 |
Phytosphingosine | oil=1 |
Sphingolipids | oil=1 |
Methyleicosanoic Acid | oil=1 | 18-MEA
Stearic Acid | oil=2 |
Palmitic Acid | oil=2 |
Myristic Acid | oil=2 |
Lauric Acid | oil=2+ |
Oleic Acid | oil=2 |
Linoleic Acid | oil=1 |
Linolenic Acid | oil=1 |
Arachidic Acid | oil=2 |
Behenic Acid | oil=2 |
Isostearic Acid | oil=2 |
Hydroxystearic Acid | oil=2 |
Caprylic Acid | oil=1 boost |
Undecylenic Acid | boost |
Coconut Acid | oil=2 |
Polyglyceryl-2 Triisostearate | oil=2 |
Polyglyceryl-3 Diisostearate | oil=2 emul |
Glyceryl Oleate | oil=1 emul |
Glyceryl Laurate | emul boost |
Glyceryl Caprylate | emul boost |
Glyceryl Undecylenate | emul boost |
Glyceryl Ricinoleate | oil=2 emul |
Hydrogenated Ethylhexyl Olivate | oil=1 | Hydrogenated Ethylhexyl Olivate Unsaponifiables
Hydrogenated Polyisobutene | oil=2 petro |
Polyisobutene | oil=3 petro |
Polybutene | oil=3 petro |
Hydrogenated Polydecene | oil=1 mineral |
Hydrogenated Poly(C6-14 Olefin) | oil=2 mineral |
Paraffinum Liquidum | oil=3 mineral | Mineral Oil; Liquid Paraffin
Petrolatum | oil=3 mineral | Petroleum Jelly
Paraffin | oil=3 mineral wax |
Cera Microcristallina | oil=3 mineral wax | Microcrystalline Wax
Ozokerite | oil=3 mineral wax |
Ceresin | oil=3 mineral wax |
Isoparaffin | oil=1 mineral | C13-14 Isoparaffin
C11-13 Isoparaffin | oil=1 mineral gone |
C12-20 Isoparaffin | oil=1 mineral |
Synthetic Wax | wax |
Polyethylene | wax film=3 |
Cera Alba | oil=3 wax | Beeswax; White Beeswax; Cera Flava
PEG-8 Beeswax | wax emul |
Euphorbia Cerifera Wax | wax | Candelilla Wax; Euphorbia Cerifera Cera; Candelilla Cera
Copernicia Cerifera Wax | wax | Carnauba Wax; Copernicia Cerifera Cera
Helianthus Annuus Seed Wax | wax | Sunflower Wax
Rhus Verniciflua Peel Wax | wax | Rhus Verniciflua Peel Cera
Rhus Succedanea Fruit Wax | wax | Japan Wax; Rhus Succedanea Fruit Cera
Oryza Sativa Bran Wax | wax | Rice Bran Wax
Myrica Cerifera Fruit Wax | wax | Bayberry Wax
Citrus Aurantium Dulcis Peel Wax | wax | Orange Peel Wax
Olea Europaea Fruit Wax | wax |
Rosa Multiflora Flower Wax | wax |
Jasminum Officinale Flower Wax | wax |
Acacia Decurrens Flower Wax | wax | Mimosa Wax
Polyglyceryl-3 Beeswax | wax |
Lanolin Wax | wax | Lanolin Cera
Lanolin Alcohol | oil=2 alc=fatty |
Laneth-5 | emul |
PEG-75 Lanolin | emul oil=1 |
Stearyl Beeswax | wax |
Spent Grain Wax | wax |
Gamma-Docosalactone | heat bond | Meadowfoam Delta-Lactone; Meadowfoamlactone
Dilinoleic Acid/Propanediol Copolymer | oil=2 |
Isododecene | oil=1 gone |
C13-16 Isoparaffin | oil=1 gone mineral |
Synthetic Beeswax | wax oil=2 |
`,
);
