import { readPorosity } from '@sabor/core/hair/porosity/reading';
import { describe, expect, it } from 'vitest';
import type { MapZone } from '../../drawings/head-map.tsx';
import { porosityLook, readingWords } from './porosity-look.ts';

const zone = (id: string) => ({ id }) as MapZone;
const slow = readPorosity([
  { kind: 'bead', outcome: 'slow' },
  { kind: 'product', outcome: 'sits' },
]);
const open = readPorosity([]);

describe('a porosity reading in words', () => {
  it('names the class with its chance, or the two that compete', () => {
    expect(readingWords(slow)).toMatch(/^low, \d\d %$/);
    expect(readingWords(open)).toBe('not clear yet: medium 40 %, low 30 %');
  });

  it('shows on the map, a question where nothing is clear', () => {
    const look = porosityLook(
      new Map([
        ['a', slow],
        ['b', open],
      ]),
      'b',
    );
    expect(look(zone('a'))).toMatchObject({ text: 'low', chosen: false });
    expect(look(zone('b'))).toMatchObject({
      text: '?',
      chosen: true,
      says: '? (not clear yet: medium 40 %, low 30 %)',
    });
    expect(look(zone('c'))).toEqual({});
  });
});
