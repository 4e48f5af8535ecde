import { MARKS, type Mark } from '../facts.ts';
import type { Selector } from './select.ts';

const PLURALS: Partial<Record<Mark, string>> = {
  sulfate: 'sulfates',
  soap: 'true soaps',
  clay: 'clays',
  wax: 'waxes',
  mineral: 'mineral oils and paraffins',
  heat: 'heat protectants',
  bond: 'bond builders',
  chel: 'chelators',
  releaser: 'formaldehyde releasers',
  mit: 'isothiazolinones',
  flakes: 'agents against flakes',
  alg: 'declared fragrance allergens',
  scent: 'perfume',
  ess: 'essential oils',
  cool: 'cooling or warming agents',
  oxdye: 'oxidative hair dyes',
  uv: 'UV filters',
  acid: 'acids',
  base: 'alkalising agents',
  alkali: 'strong alkalis',
  salt: 'salts',
  perm: 'waving or straightening agents',
  bleach: 'bleaching agents',
  gas: 'propellants',
  gum: 'plant gums',
};

/** What a selector picks, as a plural noun for a rule's sentence. */
export function nounOf(by: Selector): string {
  if (by.silicone)
    return by.silicone.length > 2
      ? 'silicones'
      : by.cationic
        ? 'silicones with amino groups'
        : by.silicone.includes('strong')
          ? 'silicones that need a strong cleanser'
          : 'silicones that rinse out or leave by themselves';
  if (by.protein)
    return by.protein.length === 1 && by.protein[0] === 'amino'
      ? 'amino acids'
      : by.protein.length === 1 && by.protein[0] === 'large'
        ? 'large proteins'
        : 'proteins';
  if (by.mark?.length)
    return [...new Set(by.mark.map((mark) => PLURALS[mark] ?? MARKS[mark]))].slice(0, 2).join(' and ');
  if (by.hold)
    return by.film === 3
      ? 'fixatives that resist humidity'
      : by.filmUpTo === 1
        ? 'soft fixatives'
        : by.hold === 3
          ? 'strong fixatives'
          : 'fixatives';
  if (by.film || by.filmUpTo) return 'film formers';
  if (by.humectant) return by.humectant === 3 ? 'strong humectants' : 'humectants';
  if (by.alcohol) return by.alcohol === 'short' ? 'drying alcohols' : 'fatty alcohols';
  if (by.cleans)
    return by.cleans >= 3 ? 'strong cleansers' : by.without?.length ? 'mild cleansers' : 'cleansers';
  if (by.penetrates) return 'penetrating oils';
  if (by.oil) return by.oil === 3 ? 'heavy oils, butters and waxes' : 'oils and butters';
  if (by.oilUpTo) return 'light oils and esters';
  if (by.cationic) return 'cationic conditioners';
  if (by.name)
    return by.name.length === 1
      ? by.name[0]!
      : by.name.length <= 3
        ? by.name.join(' or ')
        : 'some of what it holds';
  if (by.group) return by.group.join(' and ');
  return 'ingredients';
}
