import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isPolymer, lookupWith, matchIngredient, slashed } from './match.ts';
import { findLists } from './sections.ts';
import { splitItems } from './split.ts';
import { tidy } from './tidy.ts';

describe('tidying a paste', () => {
  it.each([
    ['<p>Aqua<br>Glycerin</p>', ' Aqua\nGlycerin\n'],
    ['<script>alert("x, y")</script>Aqua', ' Aqua'],
    ['Aqua &amp; Glycerin &#44; PVP', 'Aqua & Glycerin , PVP'],
    ['Aqua\u00a0\u2009Glycerin', 'Aqua  Glycerin'],
    ['\u202eAqua\u202c', 'Aqua'],
    ['Poly‑quaternium', 'Poly-quaternium'],
    ['Aqua，PVP；（x）', 'Aqua,PVP;(x)'],
    ['a < b and c > d', 'a < b and c > d'],
    ['&nosuch; stays', '&nosuch; stays'],
  ])('%j', (text, tidied) => {
    expect(tidy(text)).toBe(tidied);
  });

  it('is done once and for all', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Za-z ,;•()/*%\n-]{0,80}$/), (text) => {
        expect(tidy(tidy(text))).toBe(tidy(text));
      }),
    );
  });
});

describe('parting a list', () => {
  it.each([
    ['a, b;c•d', ['a', 'b', 'c', 'd']],
    ['1,2-Hexanediol, 1,3-Butylene Glycol', ['1,2-Hexanediol', '1,3-Butylene Glycol']],
    ['Aqua\n1,2-Hexanediol\nPVP', ['Aqua', '1,2-Hexanediol', 'PVP']],
    ['Panthenol 0,5 %, PVP', ['Panthenol 0,5 %', 'PVP']],
    ['Parfum (a, b), c', ['Parfum (a, b)', 'c']],
    ['a (b [c, d], e), f', ['a (b [c, d], e)', 'f']],
    [',,;  ,', []],
    ['a,\nb', ['a', 'b']],
    ['a b\nc, d', ['a b c', 'd']],
  ])('%j', (list, items) => {
    expect(splitItems(list)).toEqual(items);
  });

  it('survives a bracket that is never closed, losing nothing', () => {
    const rest = Array.from({ length: 20 }, (_, i) => `name${i}`);
    const items = splitItems(`a (b, ${rest.join(', ')}`);
    for (const name of rest) expect(items).toContain(name);
  });
});

describe('finding lists', () => {
  const found = (text: string) =>
    findLists(text).lists.map(({ heading, parts }) => [heading, parts.map(({ section }) => section)]);

  it('goes by headings in several languages', () => {
    for (const heading of [
      'Ingredients',
      'INGRÉDIENTS',
      'Inhaltsstoffe',
      'Ingredienti',
      'Composición',
      'INCI',
      'Składniki',
    ])
      expect(findLists(`Lovely. ${heading}: Aqua, PVP`).lists, heading).toHaveLength(1);
  });

  it('joins active and inactive parts of one label', () => {
    expect(found('Active ingredient: Zinc Pyrithione 1%\nInactive ingredients: Aqua, PVP')).toEqual([
      ['Active ingredient', ['active', 'main']],
    ]);
  });

  it('keeps a word in running text from being a heading', () => {
    const { before, lists } = findLists(
      'Only good ingredients in here. We love ingredients!\nIngredients: Aqua',
    );
    expect(lists).toHaveLength(1);
    expect(before).toContain('We love');
  });

  it('parts what may be there from what is', () => {
    expect(found('Aqua, PVP. May contain: CI 19140')).toEqual([['', ['main', 'may contain']]]);
    expect(found('Aqua [+/- CI 19140]')).toEqual([['', ['main', 'may contain']]]);
  });

  it('gives an empty text one empty list', () => {
    expect(findLists('')).toEqual({
      before: '',
      lists: [{ heading: '', parts: [{ section: 'main', text: '' }] }],
    });
  });
});

describe('matching a name', () => {
  it('parts names joined with slashes, but never a polymer', () => {
    expect(slashed('Parfum/Linalool / Limonene')).toEqual(['Parfum', 'Linalool', 'Limonene']);
    expect(slashed('VP/VA Copolymer')).toEqual([]);
    expect(isPolymer('Acrylates/Beheneth-25 Methacrylate Crosspolymer')).toBe(true);
    expect(matchIngredient('Castor Oil/IPDI Copolymer')).toBeNull();
    expect(matchIngredient('Agua/Driftwood')).toBeNull();
  });

  it.each([
    ['Water (Aqua)', 'Aqua'],
    ['Nonsense (Shea Butter)', 'Butyrospermum Parkii Butter'],
    ['PEG/PPG-20/15 Dimethicone', 'PEG/PPG-20/15 Dimethicone'],
    ['Glycerin (vegetable', 'Glycerin'],
  ])('%s is %s', (name, meant) => {
    expect(matchIngredient(name)?.name).toBe(meant);
  });

  it('prefers a name the tester classified', () => {
    const own = new Map([
      ['aqua', { name: 'mine', synonyms: [], group: 'extract' as const, marks: new Set<never>() }],
    ]);
    expect(matchIngredient('Aqua', lookupWith(own))?.name).toBe('mine');
    expect(matchIngredient('Nothing at all')).toBeNull();
  });
});
