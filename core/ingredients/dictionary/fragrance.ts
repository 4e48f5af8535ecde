import { table } from '../table.ts';

/**
 * Perfume, and the fragrance substances that must be named over 0.001 % (leave-on) or 0.01 % (rinse-off): Annex III of
 * Regulation (EC) 1223/2009 as widened by Regulation (EU) 2023/1545. From memory: not looked up, and not complete.
 */
export const fragrance = table(
  {
    group: 'fragrance',
    origin: 'Annex III of Regulation (EC) 1223/2009 as widened by Regulation (EU) 2023/1545; unchecked.',
    base: 'alg',
  },
  `
Parfum | scent | Fragrance; Perfume; Parfum (Fragrance); Fragrance (Parfum); Perfum; Aroma; Duft; Profumo; Perfumo; Flavour
Linalool | alg |
Limonene | alg | D-Limonene; dl-Limonene
Citronellol | alg |
Geraniol | alg |
Citral | alg |
Eugenol | alg |
Isoeugenol | alg |
Coumarin | alg |
Benzyl Alcohol | alg pres cap=1/1 |
Benzyl Salicylate | alg |
Benzyl Benzoate | alg |
Benzyl Cinnamate | alg |
Cinnamal | alg | Cinnamaldehyde
Cinnamyl Alcohol | alg |
Amyl Cinnamal | alg |
Amylcinnamyl Alcohol | alg |
Hexyl Cinnamal | alg | Hexyl Cinnamaldehyde; Alpha-Hexylcinnamaldehyde
Hydroxycitronellal | alg |
Hydroxyisohexyl 3-Cyclohexene Carboxaldehyde | alg | HICC; Lyral
Butylphenyl Methylpropional | alg | Lilial
Alpha-Isomethyl Ionone | alg |
Anise Alcohol | alg | Anisyl Alcohol
Farnesol | alg |
Methyl 2-Octynoate | alg |
Evernia Prunastri Extract | alg | Oakmoss Extract
Evernia Furfuracea Extract | alg | Treemoss Extract
Acetyl Cedrene | alg |
Amyl Salicylate | alg |
Anethole | alg |
Benzaldehyde | alg |
Camphor | alg cool |
Beta-Caryophyllene | alg |
Carvone | alg |
Dimethyl Phenethyl Acetate | alg |
Hexadecanolactone | alg |
Hexamethylindanopyran | alg |
Linalyl Acetate | alg |
Menthol | alg cool | L-Menthol
Methyl Salicylate | alg cool |
Salicylaldehyde | alg |
Santalol | alg |
Sclareol | alg |
Terpineol | alg |
Alpha-Terpinene | alg |
Terpinolene | alg |
Tetramethyl Acetyloctahydronaphthalenes | alg |
Trimethylbenzenepropanol | alg |
Trimethylcyclopentenyl Methylisopentenol | alg |
Vanillin | alg |
Pinene | alg | Alpha-Pinene; Beta-Pinene
Geranyl Acetate | alg |
Eugenyl Acetate | alg |
Isoeugenyl Acetate | alg |
Rose Ketones | alg | Alpha-Damascone; Beta-Damascone; Delta-Damascone; Damascenone
3-Propylidenephthalide | alg |
6-Methyl Coumarin | alg |
Ethyl Vanillin | scent |
Hexyl Acetate | scent |
Ethyl Linalool | scent |
Dihydromyrcenol | scent |
Musk Ketone | scent |
Ambrettolide | scent |
Isoamyl Acetate | scent |
Flavor | scent |
Menthyl Lactate | cool |
Menthone Glycerin Acetal | cool |
Menthoxypropanediol | cool |
Menthyl PCA | cool |
Ethyl Menthane Carboxamide | cool |
Eucalyptol | cool |
`,
);
