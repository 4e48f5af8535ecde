import { describe, expect, it } from 'vitest';
import { laidFrom } from './carry.ts';

const CARD = [
  { x: 0.1, y: 0.1 },
  { x: 0.3, y: 0.1 },
  { x: 0.3, y: 0.4 },
  { x: 0.1, y: 0.4 },
];
const near = (x: number, y: number) => ({ x: expect.closeTo(x, 9), y: expect.closeTo(y, 9) });

describe('what was drawn in one picture, laid in another by its card', () => {
  it('moves as the card does', () => {
    const here = { aspect: 1, card: CARD.map(({ x, y }) => ({ x: x + 0.1, y })) };
    expect(laidFrom([[{ x: 0.5, y: 0.2 }]], { aspect: 1, card: CARD }, here)).toEqual([[near(0.6, 0.2)]]);
  });

  it('is as large beside the card, and turned as it is, in a picture of another shape', () => {
    // Twice as wide as tall: the same card, half as large and lying on its side, about (0.5, 0.5).
    const turned = CARD.map(({ x, y }) => ({ x: (1 - (y - 0.25) / 2) / 2, y: 0.5 + (x - 0.2) / 2 }));
    const [[at] = []] = laidFrom(
      [[{ x: 0.2, y: 0.25 }]],
      { aspect: 1, card: CARD },
      { aspect: 2, card: turned },
    )!;
    expect(at).toEqual(near(0.5, 0.5));
    const [[further] = []] = laidFrom(
      [[{ x: 0.4, y: 0.25 }]],
      { aspect: 1, card: CARD },
      { aspect: 2, card: turned },
    )!;
    expect(further).toEqual(near(0.5, 0.6));
  });

  it('is nothing where nothing was drawn, or the card says nothing', () => {
    const here = { aspect: 1, card: CARD };
    expect(laidFrom([], here, here)).toBeNull();
    expect(laidFrom([CARD], { aspect: 1, card: CARD.map(() => CARD[0]!) }, here)).toBeNull();
  });
});
