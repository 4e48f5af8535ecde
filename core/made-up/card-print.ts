import { CARDS, type CardKind, SLANT } from '../photo/card/layout.ts';
import { markerBits } from '../photo/card/marker-bits.ts';
import { linearOf } from '../photo/light.ts';

/** Light of the card's paper or print at a place on it, mm. */
export function cardLight(kind: CardKind): (x: number, y: number) => number {
  const { width, height, markers, marker, greys, slanted, rule } = CARDS[kind];
  const ink = linearOf(28);
  const paper = linearOf(242);
  const printed = markers.map(({ id, x, y }) => ({ x, y, bits: markerBits(id) }));
  const steps = greys.map((grey) => ({ ...grey, light: linearOf(grey.byte) }));
  const [c, s] = [Math.cos(SLANT), Math.sin(SLANT)];
  return (x, y) => {
    if (x < 0 || y < 0 || x > width || y > height) return paper;
    for (const one of printed) {
      const u = ((x - one.x) / marker) * 8;
      const v = ((y - one.y) / marker) * 8;
      if (u >= 0 && v >= 0 && u < 8 && v < 8) return one.bits[Math.floor(v)]![Math.floor(u)] ? paper : ink;
    }
    for (const grey of steps)
      if (x >= grey.x && y >= grey.y && x < grey.x + grey.width && y < grey.y + grey.height)
        return grey.light;
    if (slanted) {
      const dx = x - slanted.x;
      const dy = y - slanted.y;
      if (Math.max(Math.abs(dx * c + dy * s), Math.abs(dy * c - dx * s)) < slanted.side / 2) return ink;
    }
    const along = x - rule.x;
    if (along >= -0.3 && along <= rule.length + 0.3) {
      if (Math.abs(y - rule.y) < 0.3) return ink;
      const tick = Math.round(along / 10);
      if (Math.abs(along - 10 * tick) < 0.25 && y > rule.y && y < rule.y + (tick % 5 ? 2.5 : 5)) return ink;
    }
    return paper;
  };
}
