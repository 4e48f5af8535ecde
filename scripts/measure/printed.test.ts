import { sheetSvg } from '@sabor/core/photo/card/as-svg';
import { findCard } from '@sabor/core/photo/card/find';
import { CARDS } from '@sabor/core/photo/card/layout';
import { PAPERS, PRINTS, sheetShapes } from '@sabor/core/photo/card/sheet';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';

/** What is printed, drawn by librsvg (through sharp) at so many pixels a millimetre. */
async function drawn(print: keyof typeof PRINTS, paper: keyof typeof PAPERS, pxPerMm: number) {
  const { data, info } = await sharp(Buffer.from(sheetSvg(print, paper)), { density: 96 })
    .resize(Math.round(PAPERS[paper].width * pxPerMm))
    .flatten({ background: '#fff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
}

describe('a printed card', () => {
  it.each([
    ['stand', 'a4'],
    ['stand', 'letter'],
    ['small', 'a4'],
  ] as const)(
    '%s on %s is found where it is printed, at its own size, by a renderer of its own',
    async (print, paper) => {
      const px = print === 'stand' ? 6 : 10;
      const { card, trouble } = findCard(await drawn(print, paper, px), print);
      expect(trouble).toBeNull();
      expect(card!.markers).toBe(4);
      expect(card!.pxPerMm / px).toBeCloseTo(1, 2);
      const { greys } = CARDS[print];
      expect(card!.greys.map(({ byte }) => byte)).toEqual(greys.map(({ byte }) => byte));
      expect(card!.uneven).toBeLessThan(0.02);
    },
  );

  it('and the test sheet lie within their paper, for both papers', () => {
    for (const print of Object.keys(PRINTS) as (keyof typeof PRINTS)[])
      for (const paper of Object.keys(PAPERS) as (keyof typeof PAPERS)[]) {
        const { width, height } = PAPERS[paper];
        for (const shape of sheetShapes(print, paper)) {
          const places: (readonly [number, number])[] =
            shape.kind === 'line'
              ? [...shape.points]
              : shape.kind === 'disc'
                ? [
                    [shape.x - shape.radius, shape.y - shape.radius],
                    [shape.x + shape.radius, shape.y + shape.radius],
                  ]
                : shape.kind === 'box'
                  ? [
                      [shape.x, shape.y],
                      [shape.x + shape.width, shape.y + shape.height],
                    ]
                  : [[shape.x + shape.words.length * shape.size * 0.45, shape.y]];
          for (const [x, y] of places) {
            expect(x).toBeGreaterThan(5);
            expect(y).toBeGreaterThan(5);
            expect(x, JSON.stringify(shape)).toBeLessThan(width - 5);
            expect(y).toBeLessThan(height - 5);
          }
        }
      }
  });
});
