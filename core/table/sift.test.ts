import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { byNumber, byText, type Sieve, type SieveOf, sift } from './sift.ts';

interface Gel {
  name: string;
  roles: string[];
  price: number | null;
}
const gels: Gel[] = [
  { name: 'Kelp Gel 10', roles: ['gel'], price: 4 },
  { name: 'Crème Douce', roles: ['cream', 'mask'], price: null },
  { name: 'kelp Gel 9', roles: ['gel', 'spray'], price: 12 },
];
const of: SieveOf<Gel> = {
  text: ({ name, roles }) => `${name} ${roles.join(' ')}`,
  facts: { role: ({ roles }) => roles },
  sorts: {
    name: (a, b) => byText(a.name, b.name),
    price: (a, b) => byNumber(a.price, b.price),
  },
};
const names = (to: Partial<Sieve>) =>
  sift(gels, { words: '', facts: {}, sort: '', ...to }, of).map(({ name }) => name);

describe('a list', () => {
  it('is narrowed by all of the words, whatever their case, order and accents', () => {
    expect(names({ words: 'creme' })).toEqual(['Crème Douce']);
    expect(names({ words: ' GEL kelp ' })).toEqual(['Kelp Gel 10', 'kelp Gel 9']);
    expect(names({ words: 'kelp douce' })).toEqual([]);
    expect(names({})).toHaveLength(3);
  });

  it('is narrowed by what was chosen; a fact nobody knows fits nothing', () => {
    expect(names({ facts: { role: 'mask' } })).toEqual(['Crème Douce']);
    expect(names({ facts: { role: '' } })).toHaveLength(3);
    expect(names({ facts: { moon: 'full' } })).toEqual([]);
  });

  it('is ordered as a reader expects, what has no number last', () => {
    expect(names({ sort: 'name' })).toEqual(['Crème Douce', 'kelp Gel 9', 'Kelp Gel 10']);
    expect(names({ sort: 'price' })).toEqual(['Kelp Gel 10', 'kelp Gel 9', 'Crème Douce']);
    expect(names({ sort: 'toString' })).toEqual(gels.map(({ name }) => name));
  });

  it('loses nothing and makes nothing up', () => {
    fc.assert(
      fc.property(fc.array(fc.string()), fc.string(), (texts, words) => {
        const found = sift(
          texts,
          { words, facts: {}, sort: 'up' },
          { text: String, facts: {}, sorts: { up: byText } },
        );
        const left = [...texts];
        for (const one of found) {
          expect(left).toContain(one);
          left.splice(left.indexOf(one), 1);
        }
        if (words.trim() === '') expect(left).toEqual([]);
      }),
    );
  });
});
