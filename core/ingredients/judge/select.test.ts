import { describe, expect, it } from 'vitest';
import type { Ingredient } from '../facts.ts';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import { nounOf } from './nouns.ts';
import { indexSelectors, pickItems, picks, type Selector, shareOf } from './select.ts';

const made = (to: Partial<Ingredient>): Ingredient =>
  ({ name: 'Made Up', group: 'other', marks: new Set(), ...to }) as Ingredient;

describe('a selector', () => {
  // What it asks, an ingredient that has it, and ones that have not: the next rank down, another kind, nothing at all.
  it.each<[Selector, Partial<Ingredient>, Partial<Ingredient>[]]>([
    [{ group: ['protein'] }, { group: 'protein' }, [{}]],
    [{ silicone: ['strong'] }, { silicone: 'strong' }, [{ silicone: 'mild' }, {}]],
    [
      { protein: ['small'] },
      { protein: { size: 'small' } } as Partial<Ingredient>,
      [{ protein: { size: 'large' } } as Partial<Ingredient>, {}],
    ],
    [{ humectant: 2 }, { humectant: 2 }, [{ humectant: 1 }, {}]],
    [{ film: 2 }, { film: 3 }, [{ film: 1 }, {}]],
    [{ filmUpTo: 1 }, { film: 1 }, [{ film: 2 }, {}]],
    [{ hold: 2 }, { hold: 2 }, [{ hold: 1 }, {}]],
    [{ oil: 2 }, { oil: { weight: 2, penetrates: false } }, [{ oil: { weight: 1, penetrates: true } }, {}]],
    [
      { oilUpTo: 1 },
      { oil: { weight: 1, penetrates: false } },
      [{ oil: { weight: 2, penetrates: true } }, {}],
    ],
    [
      { penetrates: true },
      { oil: { weight: 1, penetrates: true } },
      [{ oil: { weight: 1, penetrates: false } }, {}],
    ],
    [
      { penetrates: false },
      { oil: { weight: 1, penetrates: false } },
      [{ oil: { weight: 1, penetrates: true } }, {}],
    ],
    [{ alcohol: 'short' }, { alcohol: 'short' }, [{ alcohol: 'fatty' }, {}]],
    [{ cationic: 1 }, { cationic: 1 }, [{}]],
    [
      { cleans: 3 },
      { cleans: { strength: 3 } } as Partial<Ingredient>,
      [{ cleans: { strength: 2 } } as Partial<Ingredient>, {}],
    ],
    [
      { mark: ['soap', 'salt'] },
      { marks: new Set(['salt'] as const) },
      [{ marks: new Set(['clay'] as const) }, {}],
    ],
    [{ without: ['soap'] }, {}, [{ marks: new Set(['soap', 'salt'] as const) }]],
    [{ name: ['Made Up'] }, {}, [{ name: 'Other' }]],
  ])('%j picks what has it and nothing else', (by, has, not) => {
    expect(picks(made(has), by)).toBe(true);
    for (const one of not) expect(picks(made(one), by)).toBe(false);
    expect(picks(made(has), { ...by, name: ['Another'] })).toBe(false);
  });

  it('gives the same through an index as alone', () => {
    const selectors: Selector[] = [
      { humectant: 1 },
      { alcohol: 'fatty' },
      { name: ['Urea'] },
      { mark: ['water'] },
    ];
    const at = indexSelectors(selectors);
    for (const list of ['Aqua, Glycerin, Cetyl Alcohol, Panthenol, Zorblax', 'Aqua, Urea', 'Zorblax']) {
      const formula = readFormula(parseLabel(list).items, { leaveOn: true });
      const pick = at(formula);
      for (const by of selectors) expect(pick(by)).toEqual(pickItems(formula, by));
    }
  });

  it('adds shares up, never over a hundred', () => {
    const item = (expected: number, high: number | null) =>
      ({ expected, share: high === null ? null : { low: 0, high } }) as Parameters<typeof shareOf>[0][number];
    expect(shareOf([])).toEqual({ expected: 0, most: 0 });
    expect(shareOf([item(3, 5), item(2, null), item(1, 2)])).toEqual({ expected: 6, most: 7 });
    expect(shareOf([item(40, 80), item(20, 60)]).most).toBe(100);
  });
});

describe('the noun for what a selector picks', () => {
  it.each<[Selector, string]>([
    [{ silicone: ['strong', 'mild', 'water'] }, 'silicones'],
    [{ silicone: ['strong'], cationic: 1 }, 'silicones with amino groups'],
    [{ silicone: ['strong'] }, 'silicones that need a strong cleanser'],
    [{ silicone: ['mild'] }, 'silicones that rinse out or leave by themselves'],
    [{ protein: ['amino'] }, 'amino acids'],
    [{ protein: ['large'] }, 'large proteins'],
    [{ protein: ['small'] }, 'proteins'],
    [{ protein: ['amino', 'large'] }, 'proteins'],
    [{ mark: ['soap', 'clay', 'wax'] }, 'true soaps and clays'],
    [{ mark: [], film: 1 }, 'film formers'],
    [{ hold: 2, film: 3 }, 'fixatives that resist humidity'],
    [{ hold: 2, filmUpTo: 1 }, 'soft fixatives'],
    [{ hold: 3 }, 'strong fixatives'],
    [{ hold: 2 }, 'fixatives'],
    [{ filmUpTo: 1 }, 'film formers'],
    [{ humectant: 3 }, 'strong humectants'],
    [{ humectant: 2 }, 'humectants'],
    [{ alcohol: 'short' }, 'drying alcohols'],
    [{ alcohol: 'fatty' }, 'fatty alcohols'],
    [{ cleans: 3 }, 'strong cleansers'],
    [{ cleans: 1, without: ['soap'] }, 'mild cleansers'],
    [{ cleans: 1, without: [] }, 'cleansers'],
    [{ cleans: 2 }, 'cleansers'],
    [{ oil: 3, penetrates: true }, 'penetrating oils'],
    [{ oil: 3 }, 'heavy oils, butters and waxes'],
    [{ oil: 2 }, 'oils and butters'],
    [{ oilUpTo: 1 }, 'light oils and esters'],
    [{ cationic: 1 }, 'cationic conditioners'],
    [{ name: ['Urea'] }, 'Urea'],
    [{ name: ['Urea', 'Glycerin', 'Aqua'] }, 'Urea or Glycerin or Aqua'],
    [{ name: ['a', 'b', 'c', 'd'] }, 'some of what it holds'],
    [{ group: ['protein', 'extract'] }, 'protein and extract'],
    [{}, 'ingredients'],
  ])('%j is called “%s”', (by, noun) => {
    expect(nounOf(by)).toBe(noun);
  });
});
