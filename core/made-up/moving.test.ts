import { describe, expect, it } from 'vitest';
import { CLIP_SECONDS, CLIPS } from '../basin/clip.ts';
import { keysOf } from '../vocabulary.ts';
import { momentOf } from './moving.ts';

const MOMENTS = Array.from({ length: CLIP_SECONDS * 25 }, (_, i) => i / 25);

describe('a made-up head before the camera', () => {
  it('is all there at any moment of any clip, and in its picture', () => {
    for (const kind of keysOf(CLIPS))
      for (const at of MOMENTS) {
        const { views, lower, tall, loud } = momentOf(kind, at);
        expect(views.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 10);
        expect(Math.abs(lower)).toBeLessThan(0.05);
        expect(tall).toBeGreaterThan(0.8);
        expect(tall).toBeLessThanOrEqual(1);
        expect(loud).toBeGreaterThanOrEqual(0);
        expect(loud).toBeLessThanOrEqual(1);
      }
  });

  it('turns by the left once round', () => {
    const seen = (at: number) => momentOf('turn', at).views.find(({ share }) => share > 0.99)?.angle;
    expect([0, 1.5, 3, 4.5, 6].map(seen)).toEqual(['front', 'left', 'back', 'right', 'front']);
  });

  it('sounds where it is held, and only there', () => {
    expect(momentOf('scrunch', 0.4)).toMatchObject({ tall: 0.85, loud: 1 });
    expect(momentOf('scrunch', 1.2)).toMatchObject({ tall: 1, loud: 0 });
  });
});
