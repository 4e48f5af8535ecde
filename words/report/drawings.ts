import { fixed, rounded, withThousands } from '../numbers.ts';
import type { Drawing } from './blocks.ts';

/** Hues of the options, as the application draws them; each with its own mark, so that grey print tells them apart. */
const LOOK = [
  { hue: '#1F4E8C', mark: 'circle' },
  { hue: '#8A6D00', mark: 'triangle' },
  { hue: '#A8324A', mark: 'square' },
  { hue: '#2F6B4F', mark: 'diamond' },
  { hue: '#5B3E8A', mark: 'circle' },
  { hue: '#444444', mark: 'triangle' },
] as const;
const INK = '#241528';
const SOFT = '#5E5264';
const RULE = '#D9CFC0';

const lookOf = (arm: number) => LOOK[arm % LOOK.length]!;
const at = (x: number) => Number(x.toFixed(2));

/** A text for SVG: nothing in it is read as markup. */
export const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

function mark(arm: number, x: number, y: number, size = 4): string {
  const { hue, mark: shape } = lookOf(arm);
  const fill = `fill="${hue}" fill-opacity="0.85"`;
  const [cx, cy] = [at(x), at(y)];
  if (shape === 'circle') return `<circle cx="${cx}" cy="${cy}" r="${size}" ${fill}/>`;
  if (shape === 'square')
    return `<rect x="${at(x - size)}" y="${at(y - size)}" width="${2 * size}" height="${2 * size}" ${fill}/>`;
  const points =
    shape === 'triangle'
      ? [
          [x, y - size],
          [x + size, y + size],
          [x - size, y + size],
        ]
      : [
          [x, y - size],
          [x + size, y],
          [x, y + size],
          [x - size, y],
        ];
  return `<polygon points="${points.map((point) => point.map((p) => at(p!)).join(',')).join(' ')}" ${fill}/>`;
}

const words = (x: number, y: number, text: string, more = '') =>
  `<text x="${at(x)}" y="${at(y)}" font-family="Public Sans, Helvetica, Arial, sans-serif" font-size="12" fill="${INK}" ${more}>${escaped(text)}</text>`;

/** Ends of a scale that hold all values, whole where they are far apart. */
function endsOf(values: readonly number[], ends: readonly [number, number] | null): [number, number] {
  if (ends) return [...ends];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = (high - low || 1) * 0.1;
  return [low - room, high + room];
}

/**
 * Every wash day's number, an option a row, a mark a day, its mean a line. `ends`: the scale's own, or those of the numbers.
 * Null where there are none.
 */
function stripSvg(
  arms: readonly string[],
  values: readonly { arm: number; value: number }[],
  means: readonly (number | null)[],
  ends: readonly [number, number] | null,
  places: number,
): string | null {
  if (values.length === 0) return null;
  const [width, left, row] = [560, 150, 30];
  const height = row * arms.length + 34;
  const [low, high] = endsOf(
    values.map(({ value }) => value),
    ends,
  );
  const x = (value: number) => left + ((value - low) / (high - low)) * (width - left - 16);
  const base = height - 24;
  const parts = [
    `<line x1="${left}" x2="${width - 16}" y1="${base}" y2="${base}" stroke="${SOFT}" stroke-width="1"/>`,
    ...[low, (low + high) / 2, high].map((value) =>
      words(x(value), height - 8, withThousands(rounded(value, places)), 'text-anchor="middle"'),
    ),
    ...arms.flatMap((name, arm) => {
      const y = 18 + row * arm;
      const mean = means[arm];
      return [
        words(0, y + 4, name.length > 22 ? `${name.slice(0, 21)}…` : name),
        `<line x1="${left}" x2="${width - 16}" y1="${y}" y2="${y}" stroke="${RULE}" stroke-width="1"/>`,
        ...(mean == null
          ? []
          : [
              `<line x1="${at(x(mean))}" x2="${at(x(mean))}" y1="${y - 11}" y2="${y + 11}" stroke="${lookOf(arm).hue}" stroke-width="2"/>`,
            ]),
        ...values.filter((one) => one.arm === arm).map(({ value }) => mark(arm, x(value), y)),
      ];
    }),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">${parts.join('')}</svg>`;
}

/** Height of an option's row on a card, its name above its marks. */
const CARD_ROW = 150;

/** A strip for a card, large enough to be read on a phone: names above their rows; null for any other drawing. */
export function cardStripSvg(drawing: Drawing, width: number): { svg: string; height: number } | null {
  if (drawing.what !== 'strip' || drawing.values.length === 0) return null;
  const { arms, values, means, places } = drawing;
  const [low, high] = endsOf(
    values.map(({ value }) => value),
    drawing.ends,
  );
  const [pad, height] = [24, CARD_ROW * arms.length + 64];
  const x = (value: number) => pad + ((value - low) / (high - low)) * (width - 2 * pad);
  const large = (x: number, y: number, text: string, more = '') =>
    `<text x="${at(x)}" y="${at(y)}" font-family="Public Sans, Helvetica, Arial, sans-serif" font-size="30" fill="${INK}" ${more}>${escaped(text)}</text>`;
  const base = height - 50;
  const parts = [
    `<line x1="${pad}" x2="${width - pad}" y1="${base}" y2="${base}" stroke="${SOFT}" stroke-width="2"/>`,
    ...[low, (low + high) / 2, high].map((value) =>
      large(x(value), height - 12, withThousands(rounded(value, places)), 'text-anchor="middle"'),
    ),
    ...arms.flatMap((name, arm) => {
      const y = CARD_ROW * arm + 96;
      const mean = means[arm];
      return [
        large(pad, y - 52, name, 'font-weight="700"'),
        ...(mean == null
          ? []
          : [
              large(width - pad, y - 52, `mean ${withThousands(fixed(mean, places))}`, 'text-anchor="end"'),
              `<line x1="${at(x(mean))}" x2="${at(x(mean))}" y1="${y - 34}" y2="${y + 34}" stroke="${lookOf(arm).hue}" stroke-width="5"/>`,
            ]),
        `<line x1="${pad}" x2="${width - pad}" y1="${y}" y2="${y}" stroke="${RULE}" stroke-width="2"/>`,
        ...values.filter((one) => one.arm === arm).map(({ value }) => mark(arm, x(value), y, 13)),
      ];
    }),
  ];
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">${parts.join('')}</svg>`,
    height,
  };
}

/** Means over the days worn, a line an option; null with fewer than two days. */
function curveSvg(
  arms: readonly string[],
  curves: readonly { arm: number; mean: readonly { day: number; value: number }[] }[],
  ends: readonly [number, number] | null,
  places: number,
): string | null {
  const all = curves.flatMap(({ mean }) => mean);
  const last = Math.max(0, ...all.map(({ day }) => day));
  if (last < 2) return null;
  const [width, height, left, low0] = [560, 220, 34, 46];
  const [low, high] = endsOf(
    all.map(({ value }) => value),
    ends,
  );
  const x = (day: number) => left + ((day - 1) / (last - 1)) * (width - left - 16);
  const y = (value: number) => 10 + ((high - value) / (high - low)) * (height - low0 - 10);
  const base = height - low0;
  const parts = [
    `<line x1="${left}" x2="${width - 16}" y1="${base}" y2="${base}" stroke="${SOFT}" stroke-width="1"/>`,
    ...[low, (low + high) / 2, high].map((value) =>
      words(left - 6, y(value) + 4, withThousands(rounded(value, places)), 'text-anchor="end"'),
    ),
    ...Array.from({ length: last }, (_, i) =>
      words(x(i + 1), base + 16, `day ${i + 1}`, 'text-anchor="middle"'),
    ),
    ...curves.flatMap(({ arm, mean }) => {
      const path = mean
        .map(({ day, value }, i) => `${i === 0 ? 'M' : 'L'}${at(x(day))} ${at(y(value))}`)
        .join(' ');
      return [
        `<path d="${path}" fill="none" stroke="${lookOf(arm).hue}" stroke-width="2"/>`,
        ...mean.map(({ day, value }) => mark(arm, x(day), y(value), 3.5)),
      ];
    }),
    ...arms.flatMap((name, arm) => {
      const at = left + arm * ((width - left) / arms.length);
      return [
        mark(arm, at + 5, height - 10),
        words(at + 14, height - 6, name.length > 26 ? `${name.slice(0, 25)}…` : name),
      ];
    }),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">${parts.join('')}</svg>`;
}

/** A drawing as SVG; null where there is nothing to draw. */
export const drawingSvg = (drawing: Drawing): string | null =>
  drawing.what === 'strip'
    ? stripSvg(drawing.arms, drawing.values, drawing.means, drawing.ends, drawing.places)
    : curveSvg(drawing.arms, drawing.curves, drawing.ends, drawing.places);
