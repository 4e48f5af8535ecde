import { table } from '../table.ts';

/** Alcohols: short ones evaporate and dry, fatty ones soften. The word is the same, the effect opposite. */
export const alcohols = table(
  { group: 'alcohol', origin: 'Chain length: volatile up to four carbons, waxy from twelve.', base: '' },
  `
Alcohol | alc=short | Ethanol; Ethyl Alcohol; Aethanolum
Alcohol Denat. | alc=short | Denatured Alcohol; SD Alcohol; SD Alcohol 40; SD Alcohol 40-B; SD Alcohol 40-C; SD Alcohol 39-C; SD Alcohol 38-B; SD Alcohol 23-A
Isopropyl Alcohol | alc=short | Isopropanol; Propan-2-ol
Propyl Alcohol | alc=short |
n-Butyl Alcohol | alc=short |
Methyl Alcohol | alc=short |
Cetyl Alcohol | alc=fatty | Hexadecanol; 1-Hexadecanol; Palmityl Alcohol
Cetearyl Alcohol | alc=fatty | Cetostearyl Alcohol; Cetylstearyl Alcohol
Stearyl Alcohol | alc=fatty | Octadecanol
Behenyl Alcohol | alc=fatty | Docosanol
Lauryl Alcohol | alc=fatty |
Myristyl Alcohol | alc=fatty | Tetradecanol
Arachidyl Alcohol | alc=fatty |
Oleyl Alcohol | alc=fatty |
Isostearyl Alcohol | alc=fatty |
Isocetyl Alcohol | alc=fatty |
Decyl Alcohol | alc=fatty |
Coconut Alcohol | alc=fatty |
Hydrogenated Rapeseed Alcohol | alc=fatty |
C12-16 Alcohols | alc=fatty |
C20-22 Alcohols | alc=fatty |
Batyl Alcohol | alc=fatty |
Brassica Alcohol | alc=fatty |
Lignoceryl Alcohol | alc=fatty |
Propylene Glycol Stearyl Ether | alc=fatty emul |
Butyloctanol | alc=fatty |
`,
);
