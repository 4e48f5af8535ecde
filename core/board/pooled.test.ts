import { Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { studentCdf } from '../inference/student-t.ts';
import { chiSquareOf, normals, seededRandom } from '../random.ts';
import { airSlope } from './air-slope.ts';
import { drawsOf, firmness, jointPairs, sharesFirst } from './draws.ts';
import { type NetworkTrial, networkOf } from './network.ts';
import { overHeads, remlVariance } from './over-heads.ts';
import { towardsMiddle } from './shrunken.ts';
import { type Earlier, usualOf } from './usual.ts';

describe('drawn towards the middle', () => {
  // Source: Gelman & al., Bayesian Data Analysis, 3rd ed., table 5.2 (data); the means under a flat prior of the spread: methods.md 7.
  it('eight schools come to their published means', () => {
    const effects = [28, 8, -3, 7, -1, 1, 18, 12];
    const errors = [15, 10, 16, 11, 9, 11, 10, 18];
    const { values } = towardsMiddle(effects, Matrix.diag(errors.map((se) => 1 / se ** 2)))!;
    const told = [11.4, 7.89, 6.13, 7.65, 5.13, 6.14, 10.66, 8.46];
    for (const [i, value] of [...values].entries()) expect(Math.abs(value - told[i]!)).toBeLessThan(0.06);
  });

  it('need five products, keep differences alone, and move less the surer they are', () => {
    expect(towardsMiddle([1, 2, 3, 4], Matrix.eye(4))).toBeNull();
    const y = [0, 1, 2, 3, 6];
    // Only differences are known: the common level is free.
    const precision = (by: number) => Matrix.sub(Matrix.eye(5), Matrix.ones(5, 5).mul(1 / 5)).mul(by);
    const apart = (by: number) => {
      const { values } = towardsMiddle(y, precision(by))!;
      return values[4]! - values[0]!;
    };
    expect(apart(100)).toBeGreaterThan(apart(1));
    expect(apart(100)).toBeLessThan(6);
    expect(apart(1e6)).toBeCloseTo(6, 2);
  });
});

describe('several heads', () => {
  // Thirteen trials of BCG vaccine, log relative risks and variances; figures of R 4.2.2, metafor rma(test = "knha"), whose
  // own prediction is on k − 1 degrees of freedom: here by qt(.975, k − 2), computed in R. τ²: methods.md 7.
  const BCG = [
    [-0.8893113339202, 0.32558476500396],
    [-1.5853886572014, 0.19458112139814],
    [-1.3480731482997, 0.41536796536797],
    [-1.4415511900213, 0.02001003190225],
    [-0.2175473222113, 0.05121017216963],
    [-0.7861155858189, 0.00690561845591],
    [-1.6208982235984, 0.22301724757232],
    [0.0119523335238, 0.00396157929782],
    [-0.4694176487381, 0.05643421046325],
    [-1.3713448034728, 0.07302479361303],
    [-0.3393588283384, 0.01241221397156],
    [0.4459134005714, 0.53250584520015],
    [-0.0173139482169, 0.07140465968399],
  ].map(([value, variance]) => ({ value: value!, se: Math.sqrt(variance!) }));

  it('of the BCG trials have metafor’s variance, mean, interval and prediction', () => {
    const { mean, next, tau2 } = overHeads(BCG);
    expect(tau2).toBeCloseTo(0.313243325981, 6);
    expect(mean!.value).toBeCloseTo(-0.714532348365, 6);
    expect(mean!.se).toBeCloseTo(0.180791745519, 6);
    expect([mean!.low, mean!.high]).toEqual([
      expect.closeTo(-1.108443723, 5),
      expect.closeTo(-0.32062097373, 5),
    ]);
    expect([next!.low, next!.high]).toEqual([
      expect.closeTo(-2.009057784486, 5),
      expect.closeTo(0.579993087756, 5),
    ]);
  });

  it('are only listed with two, have a mean from three, and a prediction from five', () => {
    expect(overHeads(BCG.slice(0, 2))).toMatchObject({ mean: null, next: null });
    expect(overHeads(BCG.slice(0, 4)).mean).not.toBeNull();
    expect(overHeads(BCG.slice(0, 4)).next).toBeNull();
    expect(overHeads(BCG.slice(0, 5)).next).not.toBeNull();
    // Heads that agree better than their own errors have no variance between them, and no narrower a mean for it.
    const alike = Array.from({ length: 5 }, () => ({ value: 1, se: 0.5 }));
    expect(remlVariance(alike)).toBe(0);
    expect(overHeads(alike).mean!.se).toBeCloseTo(0.5 / Math.sqrt(5), 12);
  });
});

describe('what is usual on a head', () => {
  // Source: NIST/SEMATECH handbook, ten individuals; R's predict(lm(y ~ 1), interval = "prediction") at 95 %: methods.md 8.
  it('is R’s prediction interval where each product was worn once', () => {
    const values = [49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1];
    const band = usualOf(
      values.map((value, i) => ({ product: `${i}`, value })),
      { level: 0.95 },
    );
    expect(band).toMatchObject({
      known: 'band',
      low: expect.closeTo(45.9845419, 6),
      high: expect.closeTo(55.6354581, 6),
      products: 10,
      days: 10,
    });
  });

  const of = (product: string, values: readonly number[]): Earlier[] =>
    values.map((value) => ({ product, value }));
  it('is of one product where six days are of it, else too little is known', () => {
    expect(usualOf([...of('a', [5, 6, 5, 6, 5]), ...of('b', [5])])).toEqual({ known: 'too few', days: 6 });
    const one = usualOf([...of('a', [5, 6, 5, 6, 5, 6]), ...of('b', [9])]);
    expect(one).toMatchObject({ known: 'one product', product: 'a', days: 6, middle: 5.5 });
    expect(usualOf([])).toEqual({ known: 'too few', days: 0 });
  });

  it('is never narrower than the scale’s step, and ends with the scale', () => {
    const same = ['a', 'b', 'c'].flatMap((product) => of(product, [9, 9, 9]));
    const band = usualOf(same, { step: 0.5, ends: [0, 10] });
    expect(band.known === 'band' && band.low).toBeLessThan(8.9);
    expect(band.known === 'band' && band.high).toBeLessThanOrEqual(10);
  });

  // Monte Carlo error of 2,000: 4 · √(.99 · .01 / 2000) = .009.
  it('holds the next number of a next product 99 times in 100', () => {
    const normal = normals(seededRandom(8));
    let held = 0;
    for (let round = 0; round < 2000; round++) {
      const earlier = ['a', 'b', 'c', 'd'].flatMap((product) => {
        const level = 5 + normal();
        return of(product, [level + 0.7 * normal(), level + 0.7 * normal(), level + 0.7 * normal()]);
      });
      const band = usualOf(earlier);
      const next = 5 + normal() + 0.7 * normal();
      if (band.known === 'band' && next >= band.low && next <= band.high) held++;
    }
    expect(held / 2000).toBeGreaterThan(0.981);
  });
});

describe('numbers of χ²', () => {
  // Mean n and variance 2n; the share under R's qchisq(c(.05, .95), 60) = 43.18796, 79.08194. Error of 20,000: .006.
  it('are as they should be however many degrees of freedom', () => {
    const random = seededRandom(3);
    const normal = normals(random);
    const all = Array.from({ length: 20_000 }, () => chiSquareOf(normal, 60, random.unit));
    const mean = all.reduce((a, b) => a + b, 0) / all.length;
    expect(Math.abs(mean - 60)).toBeLessThan(0.4);
    expect(Math.abs(all.filter((x) => x < 43.18796).length / 20_000 - 0.05)).toBeLessThan(0.007);
    expect(Math.abs(all.filter((x) => x < 79.08194).length / 20_000 - 0.95)).toBeLessThan(0.007);
  });
});

describe('a slope in the air', () => {
  const day = (trial: string, dewPointC: number, value: number) => ({ trial, dewPointC, value });
  it('is within trials: what differs between them does not count', () => {
    // Each trial falls by .2 a degree; the moister trial stands higher for another reason.
    const days = [0, 4, 8, 12].flatMap((dew) => [
      day('dry', dew, 6 - 0.2 * dew),
      day('moist', dew + 10, 12 - 0.2 * dew),
    ]);
    expect(airSlope(days)!.perDegree).toBeCloseTo(-0.2, 12);
    expect(airSlope(days.slice(0, 7))).toBeNull();
    expect(airSlope(days.map((one) => ({ ...one, dewPointC: one.dewPointC / 4 })))).toBeNull();
  });
});

/** Whole-head trials of two products each, with known truths. */
function madeUp(
  pairs: readonly (readonly [string, string])[],
  truth: Record<string, number>,
  seed: number,
): NetworkTrial[] {
  const normal = normals(seededRandom(seed));
  return pairs.map((pair, t) => {
    const level = 5 + normal();
    return {
      id: `${t}`,
      halves: false,
      block: null,
      days: Array.from({ length: 8 }, (_, position) => {
        const node = pair[position % 2]!;
        return { position, half: null, node, value: level + truth[node]! + normal() };
      }),
    };
  });
}
const NONE = { A: 0, B: 0, C: 0, D: 0, E: 0, F: 0 };
const PAIRS = [
  ['A', 'B'],
  ['B', 'C'],
  ['C', 'D'],
  ['D', 'E'],
  ['E', 'F'],
  ['A', 'F'],
  ['A', 'D'],
] as const;

describe('draws of a board', () => {
  // Source of the check: methods.md 9, the two-arm closed form.
  it('put the first of two as often first as the t says', () => {
    const network = networkOf(madeUp([['A', 'B']], { A: 0, B: 0.6 }, 3));
    const { value, se, freedom } = network.between('B', 'A')!;
    const shares = sharesFirst(drawsOf(network), ['A', 'B'], 'higher');
    expect(Math.abs(shares.get('B')! - studentCdf(value / se, freedom))).toBeLessThan(0.01);
    expect(shares.get('A')! + shares.get('B')!).toBeCloseTo(1, 12);
    expect(sharesFirst(drawsOf(network), ['A', 'B'], 'lower').get('A')).toBeCloseTo(shares.get('B')!, 12);
  });

  // R 4.2.2: qtukey(.95, 3, 21) / sqrt(2) = 2.520572.
  it('have Tukey’s width for three products worn equally often in one trial', () => {
    const normal = normals(seededRandom(5));
    const days = Array.from({ length: 24 }, (_, position) => ({
      position,
      half: null,
      node: 'ABC'[position % 3]!,
      value: normal(),
    }));
    const network = networkOf([{ id: 'T', halves: false, block: null, days }]);
    const pairs = jointPairs(drawsOf(network), ['A', 'B', 'C']);
    const { se } = network.between('A', 'B')!;
    expect(pairs).toHaveLength(3);
    expect((pairs[0]!.high - pairs[0]!.value) / se).toBeCloseTo(2.5206, 1);
    // Two alone need no more than the t of that pair.
    expect(jointPairs(drawsOf(network), ['A', 'B'])[0]!.high).toBeLessThan(pairs[0]!.high);
  });

  // Monte Carlo error of 60 boards: 4 · √(.05 · .95 / 60) = .11. The soak takes 200 seeds.
  it('say falsely that products differ in one board of twenty at most, and hardly ever that one is firmly first', () => {
    let [wrong, firm] = [0, 0];
    for (let seed = 0; seed < 60; seed++) {
      const network = networkOf(madeUp(PAIRS, NONE, seed));
      const draws = drawsOf(network, seed, 1500);
      if (jointPairs(draws, network.nodes).some(({ low, high }) => low > 0 || high < 0)) wrong++;
      if (
        [...sharesFirst(draws, network.nodes, 'higher').values()].some((share) => firmness(share) === 'firm')
      )
        firm++;
    }
    expect(wrong / 60).toBeLessThan(0.05 + 0.11);
    expect(firm / 60).toBeLessThan(0.05 + 0.11);
  });

  it('say nothing across islands, and nothing where nothing is known', () => {
    const network = networkOf(
      madeUp(
        [
          ['A', 'B'],
          ['C', 'D'],
        ],
        NONE,
        2,
      ),
    );
    expect(jointPairs(drawsOf(network), network.nodes).map(({ node, from }) => node + from)).toEqual([
      'AB',
      'CD',
    ]);
    expect(jointPairs(drawsOf(networkOf([])), [])).toEqual([]);
  });
});
