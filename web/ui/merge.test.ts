import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Conflict, merge, placeInWords, valueInWords, withAt } from './merge.ts';

const merged = (base: unknown, mine: unknown, theirs: unknown) => {
  const found: Conflict[] = [];
  return { value: merge(base, mine, theirs, [], found), found };
};

describe('two edits of one record', () => {
  it('of different fields are both kept: an allergy recorded here, days of a style there', () => {
    const base = { avoided: [], styleDays: 3, note: '' };
    const allergy = [{ ingredient: 'Limonene', why: 'allergy' }];
    expect(merged(base, { ...base, styleDays: 5 }, { ...base, avoided: allergy })).toEqual({
      value: { avoided: allergy, styleDays: 5, note: '' },
      found: [],
    });
  });

  it('of one field ask, with both sides', () => {
    const { value, found } = merged({ price: 18 }, { price: 20 }, { price: 21 });
    expect(found).toEqual([{ path: ['price'], mine: 20, theirs: 21 }]);
    expect(value).toEqual({ price: 20 });
    expect(withAt(value, found[0]!.path, 21)).toEqual({ price: 21 });
  });

  it('of one field to the same end do not ask', () => {
    expect(merged({ price: 18 }, { price: 20 }, { price: 20 }).found).toEqual([]);
  });

  it('of zones go by their ids: changed, added and taken out on either side', () => {
    const zone = (id: string, to: object = {}) => ({ id, place: 'crown', porosity: 'low', note: '', ...to });
    const base = { zones: [zone('a'), zone('b'), zone('c'), zone('d')] };
    const mine = {
      zones: [zone('a', { porosity: 'high' }), zone('c'), zone('d', { note: 'mine' }), zone('m')],
    };
    const theirs = {
      zones: [zone('a', { note: 'dry' }), zone('b'), zone('d', { note: 'theirs' }), zone('t')],
    };
    const { value, found } = merged(base, mine, theirs);
    expect(value).toEqual({
      zones: [
        zone('a', { porosity: 'high', note: 'dry' }),
        zone('d', { note: 'mine' }),
        zone('m'),
        zone('t'),
      ],
    });
    expect(found).toEqual([{ path: ['zones', 'd', 'note'], mine: 'mine', theirs: 'theirs' }]);
    expect(placeInWords(value, found[0]!.path)).toBe('Zones, crown, note');
    expect(withAt(value, found[0]!.path, 'theirs')).toMatchObject({
      zones: [{}, { id: 'd', note: 'theirs' }, {}, {}],
    });
  });

  it('taken out here and changed there stays, so that nothing typed is lost', () => {
    const base = { zones: [{ id: 'a', note: '' }] };
    expect(merged(base, { zones: [] }, { zones: [{ id: 'a', note: 'x' }] }).value).toEqual({
      zones: [{ id: 'a', note: 'x' }],
    });
  });

  it('with no change on one side are the other', () => {
    const record = fc.record({
      name: fc.string(),
      list: fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), n: fc.nat(3) }), {
        selector: (item) => item.id,
      }),
      inner: fc.record({ x: fc.nat(3), y: fc.option(fc.string()) }),
    });
    fc.assert(
      fc.property(record, record, (base, other) => {
        expect(merged(base, base, other)).toEqual({ value: other, found: [] });
        expect(merged(base, other, base)).toEqual({ value: other, found: [] });
        expect(merged(base, other, other)).toEqual({ value: other, found: [] });
      }),
    );
  });
});

describe('values in words', () => {
  it.each([
    [null, 'nothing'],
    ['', 'nothing'],
    [[], 'nothing'],
    [true, 'yes'],
    [18.5, '18.5'],
    [['gel', 'spray'], 'gel; spray'],
    [[{ id: 'x', ingredient: 'Limonene', why: 'allergy' }], 'ingredient Limonene, why allergy'],
  ])('%j reads %s', (value, words) => expect(valueInWords(value)).toBe(words));
});
