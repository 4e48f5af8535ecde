import type { ListedPhotograph } from '@sabor/contract/photograph';
import { describe, expect, it } from 'vitest';
import { alignment, brightnessTo, placeIn, shownAt, WHOLE, zoomed } from './laid.ts';

const photograph = (id: string, to: Partial<ListedPhotograph> = {}): ListedPhotograph => ({
  id,
  washDayId: id,
  position: 0,
  question: '',
  logged: false,
  stage: 'wear',
  day: 1,
  angle: 'back',
  takenAt: '2026-01-01T10:00:00Z',
  aspect: 0.8,
  card: null,
  exposure: null,
  halo: null,
  contrast: null,
  ...to,
});
const card = (x: number, y: number, size: number) => [
  { x, y },
  { x: x + size / 0.8, y },
  { x: x + size / 0.8, y: y + size },
  { x, y: y + size },
];

describe('the light table', () => {
  it('keeps the place under the finger where it is when zoomed, within bounds', () => {
    const about = { x: 0.3, y: 0.7 };
    const view = zoomed({ zoom: 2, x: -0.2, y: 0.1 }, 1.7, about);
    const place = (of: typeof view) => ({ x: (about.x - of.x) / of.zoom, y: (about.y - of.y) / of.zoom });
    expect(place(view).x).toBeCloseTo(place({ zoom: 2, x: -0.2, y: 0.1 }).x, 12);
    expect(place(view).y).toBeCloseTo(place({ zoom: 2, x: -0.2, y: 0.1 }).y, 12);
    expect(zoomed(WHOLE, 1000, about).zoom).toBe(12);
    expect(zoomed(WHOLE, 0, about).zoom).toBe(0.5);
  });

  it('lays pictures by their cards, and by two points once these are tapped in all', () => {
    const a = photograph('a', { card: card(0.7, 0.4, 0.1) });
    const b = photograph('b', { card: card(0.6, 0.3, 0.05) });
    const carded = alignment([a, b], new Map());
    expect(carded.by).toBe('card');
    // The card of the second lies over that of the first.
    const over = shownAt(WHOLE, carded.each[1]!, { x: 0.6 * 0.8, y: 0.3 });
    expect(over.x).toBeCloseTo(0.7 * 0.8, 10);
    expect(over.y).toBeCloseTo(0.4, 10);
    const back = placeIn(
      { zoom: 3, x: 0.1, y: 0.2 },
      carded.each[1]!,
      shownAt({ zoom: 3, x: 0.1, y: 0.2 }, carded.each[1]!, { x: 0.25, y: 0.5 }),
    );
    expect(back.x).toBeCloseTo(0.25, 10);
    expect(back.y).toBeCloseTo(0.5, 10);

    const points = new Map([
      [
        'a',
        [
          { x: 0.2, y: 0.2 },
          { x: 0.4, y: 0.2 },
        ],
      ],
    ]);
    expect(alignment([a, b], points).by).toBe('card');
    points.set('b', [
      { x: 0.2, y: 0.2 },
      { x: 0.3, y: 0.2 },
    ]);
    const tapped = alignment([a, b], points);
    expect(tapped.by).toBe('points');
    expect(tapped.each[1]).toMatchObject({ re: expect.closeTo(2, 10), im: expect.closeTo(0, 10) });
    expect(alignment([a, photograph('c')], new Map()).by).toBe('nothing');
    expect(alignment([], new Map()).each).toEqual([]);
  });

  it('brings a darker picture up to the first, and leaves alone what was not measured', () => {
    const [bright, dark] = [photograph('a', { exposure: 0.5 }), photograph('b', { exposure: -0.5 })];
    expect(brightnessTo(bright, dark)).toBeCloseTo(2 ** (1 / 2.2), 12);
    expect(brightnessTo(dark, bright)! * brightnessTo(bright, dark)!).toBeCloseTo(1, 12);
    expect(brightnessTo(bright, photograph('c'))).toBeNull();
  });
});
