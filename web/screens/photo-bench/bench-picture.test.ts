import type { FiledPhotograph } from '@sabor/contract/photograph';
import { describe, expect, it } from 'vitest';
import { allBelow, type BenchPicture, broughtTo } from './bench-picture.ts';

const PARTING = [
  { x: 0.5, y: 0.2 },
  { x: 0.5, y: 0.8 },
];
type Before = NonNullable<FiledPhotograph['before']>;
const before: Before = {
  id: 'before',
  leftOut: [allBelow(0.9)],
  parting: PARTING,
  ruleMm: 100,
  card: [],
  aspect: 1,
};
/** A picture of a half-head from behind that nobody has said anything of. */
const picture = (to: Partial<BenchPicture> = {}, filed: object = {}) =>
  ({
    filed: { before, halves: true, photograph: { measured: null, angle: 'back' }, ...filed },
    near: null,
    leftOut: [],
    parting: null,
    ...to,
  }) as unknown as BenchPicture;

describe('what the last picture from here brings', () => {
  it('is what was left out in it and where its parting was put', () => {
    expect(broughtTo(picture())).toEqual({ leftOut: before.leftOut, parting: PARTING, card: [], aspect: 1 });
  });

  it('takes the place of nothing that was said here', () => {
    const own = { leftOut: [allBelow(0.8)] };
    expect(broughtTo(picture(own))).toMatchObject({ leftOut: [], parting: PARTING });
    expect(broughtTo(picture({ parting: PARTING }))).toMatchObject({ parting: null });
    expect(broughtTo(picture({ ...own, parting: PARTING }))).toBeNull();
  });

  it('is no parting for a whole head, or from the side', () => {
    expect(broughtTo(picture({}, { halves: false }))).toMatchObject({ parting: null });
    const side = { measured: null, angle: 'left' };
    expect(broughtTo(picture({}, { photograph: side }))).toMatchObject({ parting: null });
  });

  it('is nothing from near, without a picture before it, or once it was read', () => {
    expect(broughtTo(picture({ near: { curlWidth: 6, curls: [], leans: [] } }))).toBeNull();
    expect(broughtTo(picture({}, { before: null }))).toBeNull();
    expect(broughtTo(picture({}, { photograph: { measured: {}, angle: 'back' } }))).toBeNull();
  });
});
