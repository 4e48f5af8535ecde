import { describe, expect, it } from 'vitest';
import { type Box, clearest, SPOTS, type Spot } from './message-spot.ts';

/** Spots of 300 × 60 on a screen of 1000 × 800, side by side at its foot and at its head. */
const spots = new Map<Spot, Box>(
  SPOTS.map((spot) => {
    const left = spot.endsWith('left') ? 10 : spot.endsWith('right') ? 690 : 350;
    const top = spot.startsWith('foot') ? 730 : 10;
    return [spot, { left, right: left + 300, top, bottom: top + 60 }];
  }),
);
const control = (left: number, top: number): Box => ({ left, right: left + 80, top, bottom: top + 40 });

const at = (spot: Spot, lift = 0) => ({ spot, lift });
const where = (controls: readonly Box[], now = at('foot')) => clearest(spots, controls, now);

describe('where a message lies', () => {
  it('is the foot, in the middle, where nothing is tapped there', () => {
    expect(where([])).toEqual(at('foot'));
    expect(where([control(20, 740), control(400, 600)])).toEqual(at('foot'));
    // It touches what it does not cover.
    expect(where([control(270, 740)])).toEqual(at('foot'));
  });

  it('is the next best where a control would lie beneath, wholly or in part', () => {
    expect(where([control(400, 740)])).toEqual(at('foot left'));
    expect(where([control(300, 700)])).toEqual(at('foot right'));
    expect(where([20, 400, 700].map((left) => control(left, 740)))).toEqual(at('head'));
  });

  it('is where it is, as long as that is clear', () => {
    expect(where([], at('head right'))).toEqual(at('head right'));
    expect(where([], at('foot', 80))).toEqual(at('foot', 80));
    expect(where([control(700, 20)], at('head right'))).toEqual(at('foot'));
    expect(where([control(400, 660)], at('foot', 80))).toEqual(at('foot'));
  });

  const everywhere = [20, 400, 700].flatMap((left) => [control(left, 740), control(left, 20)]);
  it('is as little above the foot as is clear, where no edge is', () => {
    // Foot 730 to 790, controls 740 to 780: clear of them from 736 up, in steps of eight.
    const lifted = where(everywhere);
    expect(lifted).toEqual(at('foot', 56));
    expect(where([...everywhere, control(400, 690)])).toEqual(at('foot left', 56));
  });

  it('covers as little as can be where nothing is clear', () => {
    const wall = Array.from({ length: 40 }, (_, row) =>
      [20, 400, 700].map((left) => control(left, 20 * row)),
    );
    // Five rows reach beneath the foot, four beneath the head.
    expect(where(wall.flat())).toEqual(at('head'));
    expect(where([...wall.flat(), control(500, 20)])).toEqual(at('head left'));
  });
});
