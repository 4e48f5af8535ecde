import { studentQuantile } from '../inference/student-t.ts';
import { mean } from '../middle.ts';

/** A number of an earlier wash day, and the product it was of. */
export interface Earlier {
  product: string;
  value: number;
}

/** Where a number of this head usually lies. */
export type Usual =
  | { known: 'band'; low: number; high: number; middle: number; products: number; days: number }
  /** Of one product only: usual with that. */
  | { known: 'one product'; product: string; low: number; high: number; middle: number; days: number }
  | { known: 'too few'; days: number };

/** Fewest products and wash days for a band over products, and wash days for one of a single product. Source: methods.md 8. */
const PRODUCTS = 3;
const DAYS = 6;

/**
 * The band a next number of this head lies in, from earlier ones: mean of product means ± t·√(s_m²(1 + 1/k) + s_w²(1 − 1/m̃)),
 * degrees of freedom after Satterthwaite; from six days of three products, else "usual with B" where six are of one product.
 * `step` is the least step of the scale (its rounding is the least spread), `ends` the scale's ends. Source: methods.md 8.
 */
export function usualOf(
  earlier: readonly Earlier[],
  { level = 0.99, step = 0, ends }: { level?: number; step?: number; ends?: readonly [number, number] } = {},
): Usual {
  const days = earlier.length;
  const products = [...new Set(earlier.map(({ product }) => product))];
  const groups = products.map((product) =>
    earlier.flatMap((one) => (one.product === product ? one.value : [])),
  );
  const means = groups.map((values) => mean(values)!);
  const least = step ** 2 / 12;
  const squares = groups.reduce(
    (sum, values, i) => sum + values.reduce((at, value) => at + (value - means[i]!) ** 2, 0),
    0,
  );
  const freedom = days - products.length;
  const within = Math.max(least, freedom > 0 ? squares / freedom : 0);
  const band = (middle: number, variance: number, nu: number) => {
    const reach = studentQuantile((1 + level) / 2, nu) * Math.sqrt(variance);
    const [low, high] = [middle - reach, middle + reach];
    return { middle, low: ends ? Math.max(ends[0], low) : low, high: ends ? Math.min(ends[1], high) : high };
  };
  if (products.length >= PRODUCTS && days >= DAYS) {
    const k = products.length;
    const middle = mean(means)!;
    const between = Math.max(least, means.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (k - 1));
    // Harmonic: what the product means' own errors rest on.
    const each = k / groups.reduce((sum, { length }) => sum + 1 / length, 0);
    const [a, b] = [between * (1 + 1 / k), within * (1 - 1 / each)];
    // Numbers that never differed have no spread to be uncertain of.
    const nu =
      a + b === 0 ? k - 1 : (a + b) ** 2 / (a ** 2 / (k - 1) + (b > 0 && freedom > 0 ? b ** 2 / freedom : 0));
    return { known: 'band', ...band(middle, a + b, nu), products: k, days };
  }
  const most = groups.reduce((best, values, i) => (values.length > groups[best]!.length ? i : best), 0);
  const own = groups[most];
  if (!own || own.length < DAYS) return { known: 'too few', days };
  const middle = means[most]!;
  const variance = Math.max(
    least,
    own.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (own.length - 1),
  );
  return {
    known: 'one product',
    product: products[most]!,
    ...band(middle, variance * (1 + 1 / own.length), own.length - 1),
    days: own.length,
  };
}
