import { type RandomGenerator, unsafeUniformIntDistribution, xoroshiro128plus } from 'pure-rand';

/** A stream of random integers that always gives the same numbers for the same seed. */
export interface Random {
  /** A whole number from 0 to n − 1, each equally likely. */
  below(n: number): number;
  /** A number in [0, 1) with 30 random bits. */
  unit(): number;
}

/** A seeded stream (xoroshiro128+). `seed` is any 32-bit integer. */
export function seededRandom(seed: number): Random {
  const generator: RandomGenerator = xoroshiro128plus(seed | 0);
  const below = (n: number) => unsafeUniformIntDistribution(0, n - 1, generator);
  return { below, unit: () => below(2 ** 30) / 2 ** 30 };
}

/** A shuffled copy (Fisher–Yates): every order equally likely. */
export function shuffled<T>(items: readonly T[], random: Random): T[] {
  const out = [...items];
  for (let i = out.length - 1; i > 0; i--) {
    const j = random.below(i + 1);
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}

/** A standard normal number, of two uniform ones. Source: Box & Muller (1958), Ann. Math. Stat. 29, 610–611. */
export const standardNormal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random.unit())) * Math.cos(2 * Math.PI * random.unit());

/** Standard normal numbers, two at a time (Box & Muller 1958). */
export function normals(random: Random): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - random.unit()));
    const angle = 2 * Math.PI * random.unit();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}

/** Up to so many degrees of freedom a χ² is added up of squares. */
const ADDED_UP = 20;

/**
 * A number of the χ² distribution with a whole number of degrees of freedom. With `unit`, numbers in [0, 1), many of them cost
 * no more than few. Source: Marsaglia & Tsang (2000), ACM Trans. Math. Softw. 26, 363–372.
 */
export function chiSquareOf(normal: () => number, freedom: number, unit?: () => number): number {
  if (unit && freedom > ADDED_UP) {
    const d = freedom / 2 - 1 / 3;
    const c = 1 / Math.sqrt(9 * d);
    for (;;) {
      const x = normal();
      const v = (1 + c * x) ** 3;
      if (v > 0 && Math.log(1 - unit()) < (x * x) / 2 + d - d * v + d * Math.log(v)) return 2 * d * v;
    }
  }
  let sum = 0;
  for (let i = 0; i < freedom; i++) sum += normal() ** 2;
  return sum;
}
