import { table } from '../table.ts';

/** Cationic conditioners: they cling to the hair's negative places; strength 1 to 3. */
export const conditioners = table(
  {
    group: 'conditioner',
    origin:
      'Quaternary ammonium and amine chemistry: two long chains or behenyl hold harder than one cetyl; ranks are ours.',
    base: 'cat=2',
  },
  `
Behentrimonium Chloride | cat=3 | BTAC
Behentrimonium Methosulfate | cat=3 | BTMS; BTMS-50; BTMS-25
Cetrimonium Chloride | cat=2 | CTAC
Cetrimonium Bromide | cat=2 |
Cetrimonium Methosulfate | cat=2 |
Steartrimonium Chloride | cat=2 |
Steartrimonium Bromide | cat=2 |
Steartrimonium Methosulfate | cat=2 |
Laurtrimonium Chloride | cat=1 |
Cocotrimonium Chloride | cat=1 |
Cocotrimonium Methosulfate | cat=1 |
Stearalkonium Chloride | cat=2 |
Behenalkonium Chloride | cat=3 |
Cetalkonium Chloride | cat=2 |
Olealkonium Chloride | cat=2 |
Dicetyldimonium Chloride | cat=3 |
Distearyldimonium Chloride | cat=3 |
Dicocodimonium Chloride | cat=2 |
Didecyldimonium Chloride | cat=2 |
Dipalmoylethyl Hydroxyethylmonium Methosulfate | cat=2 |
Dipalmitoylethyl Hydroxyethylmonium Methosulfate | cat=2 |
Distearoylethyl Hydroxyethylmonium Methosulfate | cat=3 |
Distearoylethyl Dimonium Chloride | cat=3 |
Dioleoylethyl Hydroxyethylmonium Methosulfate | cat=2 |
Dicocoylethyl Hydroxyethylmonium Methosulfate | cat=2 |
Palmitamidopropyltrimonium Chloride | cat=2 |
Palmitamidopropyltrimonium Methosulfate | cat=2 |
Isostearamidopropyl Ethyldimonium Ethosulfate | cat=2 |
Cocamidopropyl PG-Dimonium Chloride Phosphate | cat=1 |
Linoleamidopropyl PG-Dimonium Chloride Phosphate | cat=1 |
Cinnamidopropyltrimonium Chloride | cat=1 uv |
Ricinoleamidopropyltrimonium Methosulfate | cat=2 |
Ricinoleamidopropyltrimonium Chloride | cat=2 |
Soyamidopropalkonium Chloride | cat=2 |
Minkamidopropyl Ethyldimonium Ethosulfate | cat=2 |
Hydroxyethyl Cetyldimonium Phosphate | cat=2 |
Hydroxyethyl Behenamidopropyl Dimonium Chloride | cat=3 |
Quaternium-18 | cat=3 |
Quaternium-22 | cat=1 |
Quaternium-26 | cat=2 |
Quaternium-27 | cat=2 |
Quaternium-33 | cat=2 |
Quaternium-52 | cat=1 |
Quaternium-60 | cat=2 |
Quaternium-70 | cat=2 |
Quaternium-75 | cat=2 |
Quaternium-79 Hydrolyzed Keratin | cat=1 protein=keratin/medium |
Quaternium-79 Hydrolyzed Silk | cat=1 protein=silk/small |
Quaternium-82 | cat=2 |
Quaternium-83 | cat=2 |
Quaternium-87 | cat=3 |
Quaternium-91 | cat=3 |
Quaternium-98 | cat=2 |
Stearamidopropyl Dimethylamine | cat=2 | SAPDMA
Behenamidopropyl Dimethylamine | cat=3 |
Brassicamidopropyl Dimethylamine | cat=2 |
Brassicyl Isoleucinate Esylate | cat=2 |
Brassicyl Valinate Esylate | cat=2 |
Oleamidopropyl Dimethylamine | cat=2 |
Cocamidopropyl Dimethylamine | cat=1 |
Isostearamidopropyl Dimethylamine | cat=2 |
Palmitamidopropyl Dimethylamine | cat=2 |
Linoleamidopropyl Dimethylamine | cat=2 |
Dimethyl Stearamine | cat=2 |
Dilinoleamidopropyl Dimethylamine | cat=2 |
PEG-2 Dimeadowfoamamidoethylmonium Methosulfate | cat=2 |
PEG-5 Stearyl Ammonium Chloride | cat=1 |
PEG-5 Cocomonium Methosulfate | cat=1 |
PEG-15 Cocopolyamine | cat=1 |
PPG-9 Diethylmonium Chloride | cat=1 |
PPG-40 Diethylmonium Chloride | cat=1 |
Guar Hydroxypropyltrimonium Chloride | cat=2 film=1 gum |
Hydroxypropyl Guar Hydroxypropyltrimonium Chloride | cat=2 film=1 gum |
Cassia Hydroxypropyltrimonium Chloride | cat=2 film=1 gum |
Locust Bean Hydroxypropyltrimonium Chloride | cat=2 film=1 gum |
Caesalpinia Spinosa Hydroxypropyltrimonium Chloride | cat=2 film=1 gum |
Starch Hydroxypropyltrimonium Chloride | cat=2 film=1 |
Inulin Hydroxypropyltrimonium Chloride | cat=1 |
Dextran Hydroxypropyltrimonium Chloride | cat=1 |
Hydroxypropyl Oxidized Starch PG-Trimonium Chloride | cat=1 |
Myristamidopropyl PG-Dimonium Chloride Phosphate | cat=1 |
Polymethacrylamidopropyltrimonium Chloride | cat=2 film=1 |
Ethyl Lauroyl Arginate HCl | cat=1 boost |
Polyquaternium-1 | cat=1 |
Polyquaternium-2 | cat=1 |
Polyquaternium-74 | cat=1 |
Polyquaternium-80 | cat=1 film=1 |
Polyquaternium-86 | cat=1 film=1 hold=1 |
Polyquaternium-92 | cat=1 film=1 |
Polyquaternium-98 | cat=1 film=1 |
Quaternium-95 | cat=2 |
`,
);
