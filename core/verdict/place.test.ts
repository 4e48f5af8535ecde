import { describe, expect, it } from 'vitest';
import { placeAmong } from './place.ts';

const scored = (productId: string, score: number, ...roles: string[]) => ({ productId, score, roles });

describe('the tester’s own place among a kind', () => {
  const all = [
    scored('a', 8, 'foam'),
    scored('b', 6, 'foam', 'gel'),
    scored('c', 7, 'foam'),
    scored('d', 9, 'gel'),
  ];
  it('is by scores, equal ones sharing it, the kind with most of them first', () => {
    expect(placeAmong(all, 'b')).toEqual({ kind: 'foam', place: 3, of: 3, shared: false });
    expect(placeAmong(all, 'd')).toEqual({ kind: 'gel', place: 1, of: 2, shared: false });
    expect(placeAmong([...all, scored('e', 8, 'foam')], 'a')).toEqual({
      kind: 'foam',
      place: 1,
      of: 4,
      shared: true,
    });
    // Two heads’ verdicts count as their mean.
    expect(placeAmong([...all, scored('b', 10, 'foam', 'gel')], 'b')).toMatchObject({
      place: 1,
      of: 3,
      shared: true,
    });
    expect(placeAmong(all, 'z')).toBeNull();
    expect(placeAmong([scored('a', 8, 'foam')], 'a')).toBeNull();
  });
});
