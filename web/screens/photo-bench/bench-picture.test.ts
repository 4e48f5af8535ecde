import type { FiledPhotograph } from '@sabor/contract/photograph';
import { describe, expect, it } from 'vitest';
import type { MeasuredPicture } from '../../workers/photo.ts';
import { allBelow, type BenchPicture, laidBefore } from './bench-picture.ts';

const CARD = [
  { x: 0.1, y: 0.1 },
  { x: 0.3, y: 0.1 },
  { x: 0.3, y: 0.4 },
  { x: 0.1, y: 0.4 },
];
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
  card: CARD,
  aspect: 1,
};
/** A picture of a half-head that nobody has said anything of. */
const picture = (to: Partial<BenchPicture> = {}, laid: Before | null = before) =>
  ({
    filed: { before: laid, photograph: { measured: null } },
    near: null,
    leftOut: [],
    parting: null,
    ...to,
  }) as unknown as BenchPicture;
/** The same place, its card a tenth of the width further right; 1,000 pixels square. */
const found = (split = true) =>
  ({
    width: 1000,
    height: 1000,
    card: { pxPerMm: 5, corners: CARD.map(({ x, y }) => ({ x: 1000 * x + 100, y: 1000 * y })) },
    halves: split ? { parting: PARTING } : null,
  }) as unknown as MeasuredPicture;

describe('what the last picture from here brings', () => {
  it('is what was left out in it and where its parting was put, moved as the card is', () => {
    const laid = laidBefore(picture(), found())!;
    expect(laid).toMatchObject({ laid: true, partingLaid: true });
    expect(laid.parting!.map(({ x }) => x)).toEqual([expect.closeTo(0.6, 6), expect.closeTo(0.6, 6)]);
    expect(laid.leftOut![0]![0]).toEqual({ x: expect.closeTo(0.1, 6), y: expect.closeTo(0.9, 6) });
  });

  it('takes the place of nothing that was said here', () => {
    const own = [allBelow(0.8)];
    expect(laidBefore(picture({ leftOut: own }), found())).toEqual({
      parting: expect.anything(),
      partingLaid: true,
    });
    expect(laidBefore(picture({ parting: PARTING, leftOut: own }), found())).toBeNull();
  });

  it('brings no parting to a whole head, nor one that nobody put', () => {
    expect(laidBefore(picture(), found(false))).not.toHaveProperty('parting');
    expect(laidBefore(picture({}, { ...before, parting: null }), found())).not.toHaveProperty('parting');
    expect(laidBefore(picture({}, { ...before, parting: null, leftOut: [] }), found())).toBeNull();
  });

  it('brings nothing without a card, without a picture before it, or from near', () => {
    expect(laidBefore(picture(), { ...found(), card: null })).toBeNull();
    expect(laidBefore(picture({}, null), found())).toBeNull();
    expect(laidBefore(picture({ near: { curlWidth: 6, curls: [], leans: [] } }), found())).toBeNull();
  });
});
