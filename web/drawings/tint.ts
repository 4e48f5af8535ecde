/** A colour mixed into the sheet by a share from 0 (the sheet itself) to 1. */
export const tint = (hue: string, share: number): string =>
  `color-mix(in srgb, ${hue} ${Math.round(100 * Math.min(1, Math.max(0, share)))}%, var(--color-sheet))`;

/** A green that ink stays readable on, on a light ground as on a dark one. */
export const LEAF = '#2E6B57';

/** A 0–10 value as a tint that ink text stays readable on. */
export const valueTint = (value: number): string => tint(LEAF, 0.08 + (0.5 * value) / 10);

/** A difference as a tint of the arm it favours. */
export const differenceTint = (difference: number, widest: number, hues: readonly [string, string]): string =>
  tint(difference < 0 ? hues[0] : hues[1], widest === 0 ? 0 : (0.5 * Math.abs(difference)) / widest);
