import { allergyInWords } from '@sabor/words/allergy';
import { describe, expect, it } from 'vitest';
import { allergiesIn, namedInMixes, productsOf } from './allergies.ts';

const gel = { id: 'g', name: 'Gel', ingredients: 'Aqua, PVP, Parfum (Linalool, Limonene), Panthenol' };
const oil = { id: 'o', name: 'Oil', ingredients: 'Prunus Amygdalus Dulcis Oil, Zorblax Extract' };
const bare = { id: 'b', name: 'Bare', ingredients: null };

describe('allergies in a plan’s products', () => {
  it('are found by any name, inside brackets too, and by names no dictionary has', () => {
    const found = allergiesIn(
      [gel, oil, bare],
      [
        { ingredient: 'linalool', why: 'allergy' },
        { ingredient: 'Sweet Almond Oil', why: 'allergy' },
        { ingredient: 'zorblax extract', why: 'allergy' },
      ],
    );
    expect(found.map(({ productName, key }) => `${productName}: ${key}`)).toEqual([
      'Gel: g linalool',
      'Oil: o sweet almond oil',
      'Oil: o zorblax extract',
      'Bare: b no list',
    ]);
    expect(found.map(allergyInWords)).toEqual([
      'Gel holds linalool',
      'Oil holds Sweet Almond Oil (Prunus Amygdalus Dulcis Oil)',
      'Oil holds zorblax extract',
      'Bare has no ingredient list, so Sabor cannot tell whether it holds linalool, Sweet Almond Oil, zorblax extract',
    ]);
  });

  it('are told as possible where only a name that may hold them is there', () => {
    const scented = { id: 's', name: 'Scented', ingredients: 'Aqua, Parfum, Panthenol' };
    expect(allergiesIn([scented], [{ ingredient: 'linalool', why: 'allergy' }]).map(allergyInWords)).toEqual([
      'Scented may hold linalool (Parfum)',
    ]);
  });

  it('are not what is only kept away from, nor what no label names', () => {
    expect(allergiesIn([gel], [{ ingredient: 'linalool', why: 'banned' }])).toEqual([]);
    expect(allergiesIn([gel], [{ ingredient: 'Lanolin', why: 'allergy' }])).toEqual([]);
  });
});

describe('products of a plan', () => {
  it('are those of its steps and of its arms, once each', () => {
    const steps = [
      { productId: 'a', extra: {} },
      { productId: null, extra: {} },
    ];
    expect(productsOf({ plan: steps, arms: [{ steps: [{ productId: 'b' }, { productId: 'a' }] }] })).toEqual([
      'a',
      'b',
    ]);
  });

  it('are also those of home mixes, and what is only named there is read as a label', () => {
    const mix = [
      { name: 'Oil', productId: 'oil', parts: 1 },
      { name: 'Sweet almond oil', productId: null, parts: 1 },
    ];
    const trial = {
      plan: [{ productId: null, extra: { mix } }],
      arms: [{ steps: [{ productId: 'b', settings: { extra: { mix: 'honey' } } }] }],
    };
    expect(productsOf(trial)).toEqual(['oil', 'b']);
    expect(
      allergiesIn(namedInMixes(trial), [{ ingredient: 'sweet almond oil', why: 'allergy' }]),
    ).toMatchObject([{ productName: 'A home mix', ingredient: 'sweet almond oil' }]);
  });
});
