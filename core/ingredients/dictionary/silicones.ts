import { table } from '../table.ts';

/** Silicones by how they come off: water rinses it, a mild cleanser, a strong one, or they leave by themselves. */
export const silicones = table(
  {
    group: 'silicone',
    origin:
      'Polymer chemistry: polyether grafts make silicones soluble, amino groups hold on to damaged hair, small rings evaporate. Which cleanser lifts which is common practice.',
    base: '',
  },
  `
Dimethicone | off=strong heat | Polydimethylsiloxane
Dimethiconol | off=strong heat |
Amodimethicone | off=strong cat=1 heat |
Trimethylsilylamodimethicone | off=strong cat=1 |
Bis-Aminopropyl Dimethicone | off=strong cat=1 |
Aminopropyl Dimethicone | off=strong cat=1 |
Bis-Hydroxy/Methoxy Amodimethicone | off=strong cat=1 |
Bis-Cetearyl Amodimethicone | off=strong cat=1 |
Bis-Isobutyl PEG/PPG-20/35/Amodimethicone Copolymer | off=mild cat=1 |
PEG-40/PPG-8 Methylaminopropyl/Hydroxypropyl Dimethicone Copolymer | off=mild cat=1 |
Aminopropyl Phenyl Trimethicone | off=strong |
Quaternium-80 | off=strong cat=2 |
Silicone Quaternium-1 | off=strong cat=2 |
Silicone Quaternium-3 | off=strong cat=2 |
Silicone Quaternium-8 | off=strong cat=2 |
Silicone Quaternium-15 | off=strong cat=2 |
Silicone Quaternium-16 | off=strong cat=2 |
Silicone Quaternium-18 | off=strong cat=2 |
Silicone Quaternium-22 | off=strong cat=2 |
Silicone Quaternium-26 | off=strong cat=2 |
Polysilicone-1 | off=strong |
Polysilicone-9 | off=strong film=3 |
Polysilicone-15 | off=strong uv |
Polysilicone-18 Cetyl Phosphate | off=strong |
Polysilicone-19 | off=strong |
Polysilicone-29 | off=strong |
Phenyl Trimethicone | off=strong heat |
Phenylisopropyl Dimethicone | off=strong |
Diphenyl Dimethicone | off=strong |
Trimethyl Pentaphenyl Trisiloxane | off=strong |
Diphenylsiloxy Phenyl Trimethicone | off=strong |
Cetyl Dimethicone | off=strong |
Cetearyl Methicone | off=strong |
Stearyl Dimethicone | off=strong |
Behenyl Dimethicone | off=strong |
C26-28 Alkyl Dimethicone | off=strong |
C30-45 Alkyl Methicone | off=strong |
Lauryl Methicone Copolyol | off=mild |
Stearoxy Dimethicone | off=strong |
Behenoxy Dimethicone | off=strong |
Methicone | off=strong |
Trimethylsiloxysilicate | off=strong film=3 |
Trimethylsiloxyamodimethicone | off=strong |
Dimethicone Crosspolymer | off=strong |
Dimethicone/Vinyl Dimethicone Crosspolymer | off=strong |
Vinyl Dimethicone/Methicone Silsesquioxane Crosspolymer | off=strong |
Cetearyl Dimethicone Crosspolymer | off=strong |
Divinyldimethicone/Dimethicone Copolymer | off=strong |
Acrylates/Dimethicone Copolymer | off=strong film=3 |
Acrylates/Polytrimethylsiloxymethacrylate Copolymer | off=strong film=3 |
Hydroxypropyldimethicone | off=strong |
Hydroxypropyldimethylsilyl Propyl Polysilsesquioxane | off=strong |
Dimethoxysilyl Ethylenediaminopropyl Dimethicone | off=strong cat=1 |
Bis-Hydroxyethoxypropyl Dimethicone | off=mild |
Bis-PEG-12 Dimethicone | off=water |
Bis-PEG-18 Methyl Ether Dimethyl Silane | off=water |
Bis-Phenylpropyl Dimethicone | off=strong |
Dimethicone Copolyol | off=water |
Dimethicone PEG-8 Meadowfoamate | off=mild |
Dimethicone PEG-7 Phosphate | off=water |
Dimethicone PEG-8 Phosphate | off=water |
PEG-3 Dimethicone | off=mild |
PEG-7 Dimethicone | off=water |
PEG-8 Dimethicone | off=water |
PEG-9 Dimethicone | off=mild |
PEG-10 Dimethicone | off=mild |
PEG-12 Dimethicone | off=water |
PEG-14 Dimethicone | off=water |
PEG-17 Dimethicone | off=water |
PEG-12 Dimethicone Crosspolymer | off=mild |
PEG-8 Methicone | off=water |
PEG-7 Amodimethicone | off=mild cat=1 |
PEG-8 Distearmonium Chloride PG-Dimethicone | off=mild cat=1 |
PEG/PPG-4/12 Dimethicone | off=water |
PEG/PPG-14/4 Dimethicone | off=water |
PEG/PPG-15/15 Dimethicone | off=water |
PEG/PPG-17/18 Dimethicone | off=water |
PEG/PPG-18/18 Dimethicone | off=mild |
PEG/PPG-20/15 Dimethicone | off=water |
PEG/PPG-20/23 Dimethicone | off=water |
PEG/PPG-22/24 Dimethicone | off=water |
PEG/PPG-25/25 Dimethicone | off=water |
Cetyl PEG/PPG-10/1 Dimethicone | off=mild emul |
Lauryl PEG/PPG-18/18 Methicone | off=mild |
Lauryl PEG-9 Polydimethylsiloxyethyl Dimethicone | off=mild emul |
Hydrolyzed Wheat Protein PG-Propyl Silanetriol | off=mild protein=wheat/medium |
Hydrolyzed Silk PG-Propyl Methylsilanediol | off=mild protein=silk/small |
Cyclopentasiloxane | off=itself | Cyclomethicone 5; D5
Cyclotetrasiloxane | off=itself | D4
Cyclohexasiloxane | off=itself | D6
Cyclotrisiloxane | off=itself |
Cyclomethicone | off=itself |
Disiloxane | off=itself |
Hexamethyldisiloxane | off=itself |
Trisiloxane | off=itself |
Methyl Trimethicone | off=itself |
Ethyl Trisiloxane | off=itself |
Caprylyl Methicone | off=mild |
Ethyl Methicone | off=itself |
Cystine Bis-PG-Propyl Silanetriol | off=mild bond protein=amino/amino |
Gluconamidopropyl Aminopropyl Dimethicone | off=strong cat=1 bond |
Bis-Diisopropanolamino-PG-Propyl Dimethicone/Bis-Isobutyl PEG-14 Copolymer | off=mild cat=1 |
Polymethylsilsesquioxane | off=strong absorb |
Propoxytetramethyl Piperidinyl Dimethicone | off=strong cat=1 |
Aminoethyl Divinyltetramethyldisilazane | off=strong cat=1 |
C24-28 Alkyl Methicone | off=strong |
Silicone Quaternium-17 | off=strong cat=2 |
Bis-PEG/PPG-20/20 Dimethicone | off=water |
Simethicone | off=strong |
`,
);
