import { table } from '../table.ts';

/** Chelators bind the metals of hard water. */
export const chelators = table(
  { group: 'chelator', origin: 'Complexation chemistry.', base: 'chel' },
  `
Disodium EDTA | chel |
Tetrasodium EDTA | chel |
Trisodium EDTA | chel |
EDTA | chel |
Calcium Disodium EDTA | chel |
Trisodium Ethylenediamine Disuccinate | chel |
Tetrasodium Glutamate Diacetate | chel | GLDA
Tetrasodium Etidronate | chel |
Disodium Etidronate | chel |
Etidronic Acid | chel acid |
Pentasodium Pentetate | chel | Pentasodium DTPA
Pentetic Acid | chel |
Diethylenetriamine Pentamethylene Phosphonate Heptasodium | chel |
Sodium Phytate | chel |
Phytic Acid | chel acid |
Sodium Gluconate | chel |
Gluconic Acid | chel acid |
Sodium Glucoheptonate | chel |
Trisodium Dicarboxymethyl Alaninate | chel |
Tetrasodium Iminodisuccinate | chel |
Sodium Polyphosphate | chel |
Sodium Hexametaphosphate | chel |
Galactaric Acid | chel |
Deferoxamine | chel |
Sodium Thiosulfate | chel |
`,
);
