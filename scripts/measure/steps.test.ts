import { fileURLToPath } from 'node:url';
import { maskOfAreas } from '@sabor/core/photo/areas';
import { measureWhole } from '@sabor/core/photo/measure';
import { measureClose } from '@sabor/core/photo/measure-close';
import { Steps } from '@sabor/core/photo/steps';
import { describe, expect, it } from 'vitest';
import { decode } from './decode.ts';

/** Counts the steps that were really taken. */
class Counted extends Steps {
  taken: string[] = [];
  override take<T>(step: string, grounds: readonly unknown[], work: () => T): T {
    return super.take(step, grounds, () => {
      this.taken.push(step);
      return work();
    });
  }
  sinceLast(): string[] {
    return this.taken.splice(0);
  }
}

const photograph = (name: string) =>
  decode(fileURLToPath(new URL(`../../demo/photographs/${name}.jpg`, import.meta.url)));

describe('a picture that is asked anew', () => {
  it('gives a whole head’s numbers as if nothing were remembered, and takes only the steps that rest on what changed', {
    tags: 'soak',
  }, async () => {
    const picture = await photograph('gels 5 day 1 back');
    const { width, height } = picture;
    const below = (share: number) =>
      maskOfAreas(
        [
          [
            { x: 0, y: share },
            { x: 1, y: share },
            { x: 1, y: 1 },
            { x: 0, y: 1 },
          ],
        ],
        width,
        height,
      );
    const [low, high] = [below(0.9), below(0.75)];
    const split = (x: number) => ({
      angle: 'back' as const,
      parting: [
        { x: x * width, y: 0.1 * height },
        { x: x * width, y: 0.9 * height },
      ] as const,
    });
    const steps = new Counted();
    const all = ['card', 'lights', 'outline', 'whole', 'beside'];
    measureWhole(picture, { masked: low, split: split(0.3), steps });
    expect(new Set(steps.sinceLast())).toEqual(new Set(all));
    measureWhole(picture, { masked: low, split: split(0.32), steps });
    expect(steps.sinceLast()).toEqual([]);
    const asked = { masked: high, split: split(0.32), ruleMm: 101, film: true };
    // The outline itself holds millions of numbers; all that is read of it stands beside it.
    const { outline: _, ...anew } = measureWhole(picture, asked);
    expect(measureWhole(picture, { ...asked, steps })).toMatchObject(anew);
    expect(new Set(steps.sinceLast())).toEqual(new Set(['card', 'outline', 'whole', 'beside']));
  });

  it('does so of hair from near: a curl that is tagged reads nothing else anew', {
    tags: 'soak',
  }, async () => {
    const picture = await photograph('gels 5 day 1 close-up');
    const tagged = [[0, 1, 2, 3, 4].map((k) => ({ x: 300 + (k % 2) * 200, y: 700 + 120 * k }))];
    const steps = new Counted();
    measureClose(picture, { curlWidth: 10, steps });
    expect(new Set(steps.sinceLast())).toEqual(
      new Set(['card', 'grid', 'hair', 'contrast', 'coherence', 'width', 'shine']),
    );
    expect(measureClose(picture, { curlWidth: 10, tagged, steps }).curls).toHaveLength(1);
    expect(steps.sinceLast()).toEqual([]);
    const asked = { curlWidth: 14, tagged, leans: [20] };
    expect(measureClose(picture, { ...asked, steps })).toEqual(measureClose(picture, asked));
    expect(steps.sinceLast()).toEqual(['coherence']);
  });
});
