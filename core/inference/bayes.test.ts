import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entropyBits, informationGain, posterior } from './bayes.ts';

describe('Bayes’ theorem, textbook examples', () => {
  /* A. B. Downey, Think Bayes (O’Reilly), ch. 1–2 (from memory): cookies, M&Ms, five dice and a six. */
  it('cookies: bowl 1 after a vanilla cookie, 3/5', () => {
    expect(posterior([0.5, 0.5], [[30 / 40, 20 / 40]])[0]).toBeCloseTo(0.6, 12);
  });

  it('M&Ms: the yellow one from the 1994 bag, 20/27', () => {
    const both = [0.2 * 0.2, 0.14 * 0.1];
    expect(posterior([0.5, 0.5], [both])[0]).toBeCloseTo(20 / 27, 12);
  });

  it('dice of 4, 6, 8, 12, 20 sides after a six: 0, .392, .294, .196, .118', () => {
    const dice = [4, 6, 8, 12, 20];
    const belief = posterior(
      dice.map(() => 1 / 5),
      [dice.map((sides) => (sides >= 6 ? 1 / sides : 0))],
    );
    expect(belief.map((p) => Number(p.toFixed(3)))).toEqual([0, 0.392, 0.294, 0.196, 0.118]);
  });

  /* D. M. Eddy (1982), mammography, as retold by Gigerenzer: 1 %, 80 %, 9.6 % give 7.8 % (from memory). */
  it('screening: 7.8 % after a positive test', () => {
    expect((100 * posterior([0.01, 0.99], [[0.8, 0.096]])[0]!).toFixed(1)).toBe('7.8');
  });

  it('refuses evidence that nothing explains, and lengths that differ', () => {
    expect(() => posterior([0.5, 0.5], [[0, 0]])).toThrow('under any hypothesis');
    expect(() => posterior([0.5, 0.5], [[1]])).toThrow(RangeError);
  });
});

describe('information', () => {
  it('a fair coin is one bit, a certainty none, four equal chances two', () => {
    expect(entropyBits([0.5, 0.5])).toBe(1);
    expect(entropyBits([1, 0])).toBe(0);
    expect(entropyBits([0.25, 0.25, 0.25, 0.25])).toBe(2);
  });

  it('of a binary symmetric channel with error .11 is half a bit (Shannon 1948: 1 − H(.11) = .500)', () => {
    const channel = [
      [0.89, 0.11],
      [0.11, 0.89],
    ];
    expect(informationGain([0.5, 0.5], channel)).toBeCloseTo(0.5, 3);
  });

  it('is all of it from a perfect test and none from a blind one', () => {
    expect(
      informationGain(
        [0.3, 0.7],
        [
          [1, 0],
          [0, 1],
        ],
      ),
    ).toBeCloseTo(entropyBits([0.3, 0.7]), 12);
    expect(
      informationGain(
        [0.3, 0.7],
        [
          [0.4, 0.4],
          [0.6, 0.6],
        ],
      ),
    ).toBeCloseTo(0, 12);
  });

  it('does not depend on the order evidence comes in, and never is negative', () => {
    const chance = fc.integer({ min: 1, max: 99 }).map((n) => n / 100);
    const likelihood = fc.tuple(chance, chance, chance);
    fc.assert(
      fc.property(fc.array(likelihood, { maxLength: 6 }), likelihood, (all, [a, b, c]) => {
        const prior = [0.3, 0.4, 0.3];
        const forth = posterior(prior, all);
        const back = posterior(prior, all.toReversed());
        for (const [i, p] of forth.entries()) expect(back[i]).toBeCloseTo(p, 9);
        expect(forth.reduce((x, y) => x + y, 0)).toBeCloseTo(1, 12);
        expect(
          informationGain(forth, [
            [a, b, c],
            [1 - a, 1 - b, 1 - c],
          ]),
        ).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});
