import { table } from '../table.ts';

/** Film formers that hold or set: resistance to humidity from 1 (goes soft or sticky) to 3 (keeps its shape). */
export const films = table(
  {
    group: 'film former',
    origin:
      'Polymer chemistry of hair fixatives: PVP softens in damp air, vinyl acetate and acrylate copolymers resist it, cationic fixatives lie between. Ranks are ours, common practice.',
    base: 'film=2',
  },
  `
PVP | film=1 hold=2 | Polyvinylpyrrolidone; Povidone
VP/VA Copolymer | film=2 hold=3 | PVP/VA Copolymer
VP/Methacrylamide/Vinyl Imidazole Copolymer | film=3 hold=3 |
VP/Dimethylaminoethylmethacrylate Copolymer | film=2 hold=2 | PVP/Dimethylaminoethylmethacrylate Copolymer
VP/DMAPA Acrylates Copolymer | film=3 hold=3 |
VP/Vinyl Caprolactam/DMAPA Acrylates Copolymer | film=3 hold=3 |
VP/Eicosene Copolymer | film=3 hold=1 |
VP/Hexadecene Copolymer | film=3 hold=1 |
VP/Acrylates/Lauryl Methacrylate Copolymer | film=3 hold=2 |
Vinyl Caprolactam/VP/Dimethylaminoethyl Methacrylate Copolymer | film=3 hold=3 |
Polyvinylcaprolactam | film=2 hold=2 |
Acrylates Copolymer | film=3 hold=3 |
Acrylates/t-Butylacrylamide Copolymer | film=3 hold=3 |
Acrylates/Octylacrylamide Copolymer | film=3 hold=3 |
Octylacrylamide/Acrylates/Butylaminoethyl Methacrylate Copolymer | film=3 hold=3 |
Acrylates/C1-2 Succinates/Hydroxyacrylates Copolymer | film=3 hold=3 |
Acrylates/Hydroxyesters Acrylates Copolymer | film=3 hold=3 |
Acrylates/Lauryl Acrylate/Stearyl Acrylate/Ethylamine Oxide Methacrylate Copolymer | film=3 hold=3 |
Acrylates/Stearyl Acrylate/Dimethicone Methacrylate Copolymer | film=3 hold=2 off=strong |
Acrylamide/Ammonium Acrylate Copolymer | film=2 thick |
Acrylamidopropyltrimonium Chloride/Acrylamide Copolymer | film=1 cat=2 |
AMP-Acrylates/Allyl Methacrylate Copolymer | film=3 hold=3 |
AMP-Acrylates/C1-18 Alkyl Acrylates/C1-8 Alkyl Acrylamide Copolymer | film=3 hold=3 |
VA/Crotonates Copolymer | film=3 hold=3 |
VA/Crotonates/Vinyl Neodecanoate Copolymer | film=3 hold=3 |
VA/Crotonates/Vinyl Propionate Copolymer | film=3 hold=3 |
VA/Butyl Maleate/Isobornyl Acrylate Copolymer | film=3 hold=3 |
Polyvinyl Acetate | film=3 hold=2 |
Polyvinyl Alcohol | film=1 hold=1 |
Butyl Ester of PVM/MA Copolymer | film=3 hold=3 |
Ethyl Ester of PVM/MA Copolymer | film=3 hold=3 |
PVM/MA Copolymer | film=2 hold=2 |
PVM/MA Decadiene Crosspolymer | thick |
Isobutylene/Ethylmaleimide/Hydroxyethylmaleimide Copolymer | film=3 hold=3 |
Styrene/VP Copolymer | film=2 hold=1 |
Styrene/Acrylates Copolymer | film=3 hold=1 |
Polyacrylate-2 Crosspolymer | film=2 hold=2 thick |
Polyacrylate-14 | film=3 hold=2 |
Polyacrylate-15 | film=3 hold=2 |
Polyacrylate-17 | film=3 hold=2 |
Polyacrylate-32 | film=3 hold=2 |
Polyurethane-1 | film=3 hold=2 |
Polyurethane-2 | film=3 hold=2 |
Polyurethane-14 | film=3 hold=3 |
Polyurethane-34 | film=3 hold=2 |
Polyester-5 | film=2 hold=2 |
Polyimide-1 | film=3 hold=3 |
Diglycol/CHDM/Isophthalates/SIP Copolymer | film=2 hold=2 |
Polyquaternium-4 | film=2 hold=2 cat=1 |
Polyquaternium-5 | film=1 cat=1 |
Polyquaternium-6 | film=1 cat=2 | Polydimethyldiallyl Ammonium Chloride
Polyquaternium-7 | film=1 cat=2 |
Polyquaternium-10 | film=1 cat=2 |
Polyquaternium-11 | film=2 hold=2 cat=1 |
Polyquaternium-16 | film=2 hold=2 cat=1 |
Polyquaternium-22 | film=1 cat=2 |
Polyquaternium-24 | film=1 cat=2 |
Polyquaternium-28 | film=2 hold=2 cat=1 |
Polyquaternium-32 | thick cat=1 |
Polyquaternium-37 | thick cat=2 |
Polyquaternium-39 | film=1 cat=2 |
Polyquaternium-44 | film=1 cat=2 |
Polyquaternium-46 | film=2 hold=2 cat=1 |
Polyquaternium-47 | film=1 cat=2 |
Polyquaternium-51 | film=1 cat=1 hum=1 |
Polyquaternium-52 | film=1 cat=2 |
Polyquaternium-53 | film=1 cat=2 |
Polyquaternium-55 | film=3 hold=2 cat=1 heat |
Polyquaternium-61 | film=1 cat=1 |
Polyquaternium-67 | film=1 cat=2 |
Polyquaternium-68 | film=3 hold=2 cat=1 |
Polyquaternium-69 | film=3 hold=3 cat=1 |
Polyquaternium-70 | film=1 cat=2 |
Polyquaternium-72 | film=1 cat=2 |
Polyquaternium-73 | film=1 cat=2 |
Polyquaternium-76 | film=1 cat=2 |
Polyquaternium-87 | film=1 cat=2 |
Polyquaternium-101 | film=1 cat=2 |
Polyquaternium-104 | film=2 cat=1 |
Hydrolyzed Corn Starch | film=1 hold=1 |
Hydroxypropyl Starch Phosphate | thick |
Hydroxypropyltrimonium Hydrolyzed Corn Starch | film=1 cat=1 |
Sodium Polystyrene Sulfonate | film=2 |
Shellac | film=3 hold=2 |
Acacia Senegal Gum | film=1 hold=1 gum | Gum Arabic; Acacia Gum; Gum Acacia
Pullulan | film=1 hold=1 |
Chitosan | film=2 hold=2 cat=1 |
Chitosan Succinamide | film=2 |
Hydroxypropyl Chitosan | film=2 |
Sodium Polyitaconate | film=2 hold=2 |
Hydrogenated Castor Oil/Sebacic Acid Copolymer | film=2 oil=2 |
Hydrolyzed Jojoba Esters | film=2 |
Lauryl Acrylate/VA Copolymer | film=3 |
Linum Usitatissimum Seed Extract | film=1 hold=1 gum hum=1 | Flaxseed Extract; Linseed Extract
Salvia Hispanica Seed Extract | film=1 hold=1 gum | Chia Seed Extract
Hibiscus Esculentus Fruit Extract | film=1 gum hum=1 | Okra Extract; Abelmoschus Esculentus Fruit Extract
Cydonia Oblonga Seed Extract | film=1 gum | Quince Seed Extract
Plantago Ovata Seed Extract | film=1 gum | Psyllium Extract
Trigonella Foenum-Graecum Seed Extract | film=1 gum | Fenugreek Extract
Acrylates/Vinyl Isodecanoate Crosspolymer | thick |
Acrylates/Stearates Copolymer | film=2 hold=1 |
Polyurethane-18 | film=2 hold=2 |
`,
);
