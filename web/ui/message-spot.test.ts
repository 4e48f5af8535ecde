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

describe('where a message lies', () => {
  it('is the foot, in the middle, where nothing is tapped there', () => {
    expect(clearest(spots, [], 'foot')).toBe('foot');
    expect(clearest(spots, [control(20, 740), control(400, 600)], 'foot')).toBe('foot');
    // It touches what it does not cover.
    expect(clearest(spots, [control(270, 740)], 'foot')).toBe('foot');
  });

  it('is the next best where a control would lie beneath, wholly or in part', () => {
    expect(clearest(spots, [control(400, 740)], 'foot')).toBe('foot left');
    expect(clearest(spots, [control(300, 700)], 'foot')).toBe('foot right');
    expect(
      clearest(
        spots,
        [20, 400, 700].map((left) => control(left, 740)),
        'foot',
      ),
    ).toBe('head');
  });

  it('is where it is, as long as that is clear', () => {
    expect(clearest(spots, [], 'head right')).toBe('head right');
    expect(clearest(spots, [control(700, 20)], 'head right')).toBe('foot');
  });

  it('covers as little as can be where no spot is clear', () => {
    const everywhere = [20, 400, 700].flatMap((left) => [control(left, 740), control(left, 20)]);
    expect(clearest(spots, [...everywhere, control(500, 740)], 'foot')).toBe('foot left');
    expect(clearest(spots, everywhere, 'head')).toBe('foot');
  });
});
