/** A colour mixed into the paper by a share from 0 (paper) to 1. */
export function tint(hue: string, share: number): string {
  const paper = [0xff, 0xfd, 0xf9];
  const mix = paper.map((from, i) => {
    const to = Number.parseInt(hue.slice(1 + 2 * i, 3 + 2 * i), 16);
    return Math.round(from + (to - from) * Math.min(1, Math.max(0, share)));
  });
  return `rgb(${mix.join(' ')})`;
}

/** A 0–10 value as a tint that ink text stays readable on. */
export const valueTint = (value: number): string => tint('#2E6B57', 0.08 + (0.5 * value) / 10);

/** A difference as a tint of the arm it favours. */
export const differenceTint = (difference: number, widest: number, hues: readonly [string, string]): string =>
  tint(difference < 0 ? hues[0] : hues[1], widest === 0 ? 0 : (0.5 * Math.abs(difference)) / widest);
