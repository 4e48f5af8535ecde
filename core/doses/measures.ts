import type { KeyOf } from '../vocabulary.ts';

/**
 * Measures a tester's hand knows, in ml of product per one: low, usual, high. Common practice, no source, unless the
 * entry names one. `exact` measures carry no spread; all others show their spread until calibrated on the scale.
 */
export const MEASURES = {
  ml: { label: 'ml', plural: 'ml', low: 1, usual: 1, high: 1, exact: true },
  /** One gram taken as one millilitre: model assumption (hair products lie near 0.95–1.05 g/ml). */
  g: { label: 'g', plural: 'g', low: 0.95, usual: 1, high: 1.05, exact: true },
  pump: { label: 'pump', plural: 'pumps', low: 1, usual: 1.5, high: 2, exact: false },
  pea: { label: 'pea', plural: 'peas', low: 0.2, usual: 0.3, high: 0.4, exact: false },
  hazelnut: { label: 'hazelnut', plural: 'hazelnuts', low: 0.7, usual: 1, high: 1.3, exact: false },
  coin: { label: 'coin', plural: 'coins', low: 1, usual: 1.5, high: 2, exact: false },
  scoop: {
    label: 'scoop of two fingers',
    plural: 'scoops of two fingers',
    low: 2,
    usual: 3,
    high: 4,
    exact: false,
  },
  palmful: { label: 'palmful', plural: 'palmfuls', low: 7, usual: 10, high: 13, exact: false },
  /** 42.67 mm across: the smallest diameter in the Rules of Golf; about 41 ml of foam weigh 2–4 g. */
  ball: { label: 'ball of foam', plural: 'balls of foam', low: 2, usual: 3, high: 4, exact: false },
  spray: { label: 'spray', plural: 'sprays', low: 0.12, usual: 0.135, high: 0.15, exact: false },
  drop: { label: 'drop', plural: 'drops', low: 0.04, usual: 0.05, high: 0.06, exact: false },
  dip: {
    label: 'dip of a finger',
    plural: 'dips of a finger',
    low: 0.3,
    usual: 0.5,
    high: 0.7,
    exact: false,
  },
} as const;
export type Measure = KeyOf<typeof MEASURES>;

/** Smallest golf ball, mm across. Source: The R&A and USGA, Rules of Golf, equipment rules (42.67 mm). */
export const GOLF_BALL_MM = 42.67;
/** Volume in ml of a ball of the given diameter in mm. */
export const ballVolumeMl = (diameterMm: number): number => (Math.PI / 6) * diameterMm ** 3 * 1e-3;
