import type { Point } from '@sabor/core/photo/plane';

/** Lines as one path of an SVG. */
export const pathOf = (lines: readonly (readonly Point[])[]): string =>
  lines
    .filter((line) => line.length > 0)
    .map((line) => `M${line.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`)
    .join('');
