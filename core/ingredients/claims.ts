import type { Ingredient } from './facts.ts';
import type { Formula, FormulaItem } from './formula.ts';

/** What a claim is read as: which ingredients would make it untrue, in words and as a test. */
interface ClaimDefinition {
  label: string;
  /** Which classes count, and which exceptions; shown with the claim. */
  says: string;
  denies: (one: Ingredient) => boolean;
}

const hydrolysate = ({ name, protein }: Ingredient) =>
  protein !== undefined &&
  (protein.size !== 'amino' || protein.source !== 'amino' || /amino acids/i.test(name));

/** What labels claim to be free of. Definitions are ours, common practice, no source; a law's own definition stands over them. */
export const CLAIMS = {
  sulfates: {
    label: 'free of sulfates',
    says: 'Alkyl and ether sulfates that clean. Not salts such as magnesium sulfate, nor methosulfates, sulfonates or sulfosuccinates.',
    denies: ({ marks }) => marks.has('sulfate'),
  },
  silicones: {
    label: 'free of silicones',
    says: 'Every silicone, those that rinse out or evaporate and those joined to surfactants, proteins, starches or polymers as well. Not silica.',
    denies: ({ silicone }) => silicone !== undefined,
  },
  parabens: {
    label: 'free of parabens',
    says: 'Esters of 4-hydroxybenzoic acid and their salts. Not the acid itself.',
    denies: ({ marks }) => marks.has('paraben'),
  },
  'drying-alcohol': {
    label: 'free of drying alcohols',
    says: 'Short alcohols that evaporate: ethanol, isopropanol and the like. Not fatty, benzyl or lanolin alcohol.',
    denies: ({ alcohol }) => alcohol === 'short',
  },
  glycerin: {
    label: 'free of glycerin',
    says: 'Glycerin itself. Not its esters, and not polyglycerin.',
    denies: ({ name }) => name === 'Glycerin',
  },
  protein: {
    label: 'free of protein',
    says: 'Proteins, hydrolysed or whole, surfactants made of them, amino acids named after one (silk amino acids), and milks, oatmeal, yeast and royal jelly, which hold some. Not single amino acids such as arginine.',
    denies: hydrolysate,
  },
  'mineral-oil': {
    label: 'free of mineral oil',
    says: 'Mineral oil, petrolatum, paraffins and their waxes. Not synthetic isoparaffins such as polyisobutene.',
    denies: ({ marks }) => marks.has('mineral'),
  },
  'formaldehyde-releasers': {
    label: 'free of formaldehyde releasers',
    says: 'Formaldehyde, preservatives that set it free, and glyoxylic straighteners, which do under heat.',
    denies: ({ marks }) => marks.has('releaser') || marks.has('straight'),
  },
  isothiazolinones: {
    label: 'free of isothiazolinones',
    says: 'Methyl-, methylchloro-, benz- and octylisothiazolinone.',
    denies: ({ marks }) => marks.has('mit'),
  },
  perfume: {
    label: 'unscented',
    says: 'Perfume, essential oils, scenting extracts and declared fragrance allergens. Not benzyl alcohol, which also keeps.',
    denies: ({ marks, name }) =>
      name !== 'Benzyl Alcohol' && (marks.has('scent') || marks.has('ess') || marks.has('alg')),
  },
  'essential-oils': {
    label: 'free of essential oils',
    says: 'Distilled or pressed oils of scented plants. Not absolutes, resins or extracts, nor fatty oils.',
    denies: ({ marks }) => marks.has('ess'),
  },
  colourants: {
    label: 'free of colourants',
    says: 'Colourants with a CI number, mica and titanium dioxide among them, and hair dyes.',
    denies: ({ marks }) => marks.has('dyes') || marks.has('oxdye'),
  },
} as const satisfies Record<string, ClaimDefinition>;
export type Claim = keyof typeof CLAIMS;

export interface ClaimReading {
  claim: Claim;
  holds: 'true' | 'false' | 'cannot tell';
  /** What makes it untrue, or leaves it open. */
  items: FormulaItem[];
}

/**
 * Each claim read against the list: untrue where the list names what it denies; open where it is only a "may contain", or
 * where names are unknown.
 */
export function readClaims(formula: Formula): ClaimReading[] {
  const unknown = formula.items.filter(({ ingredient }) => ingredient === null);
  return (Object.keys(CLAIMS) as Claim[]).map((claim): ClaimReading => {
    const { denies }: ClaimDefinition = CLAIMS[claim];
    const against = formula.items.filter(({ ingredient }) => ingredient !== null && denies(ingredient));
    const sure = against.filter(({ section }) => section !== 'may contain');
    if (sure.length) return { claim, holds: 'false', items: sure };
    const open = [...against, ...unknown];
    return open.length ? { claim, holds: 'cannot tell', items: open } : { claim, holds: 'true', items: [] };
  });
}
