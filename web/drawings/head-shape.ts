import type { Cut, Parting } from '@sabor/core/hair/wishes';
import type { Place, Side } from '@sabor/core/hair/zones';

/** One zone's outline in a drawing of 200 × 220, and where its value is written. */
export interface ZoneShape {
  place: Place;
  side: Exclude<Side, 'both'>;
  view: 'above' | 'behind';
  path: string;
  at: { x: number; y: number };
}

const CENTRE = { x: 100, y: 112 };
const RADIUS = { x: 74, y: 94 };

/** A point on the head from above: degrees from the forehead round by the left, share of the radius. */
function polar(degrees: number, share: number, side: 'left' | 'right') {
  const angle = (degrees * Math.PI) / 180;
  const out = side === 'left' ? -1 : 1;
  return {
    x: CENTRE.x + out * Math.sin(angle) * RADIUS.x * share,
    y: CENTRE.y - Math.cos(angle) * RADIUS.y * share,
  };
}

const line = (points: { x: number; y: number }[]) =>
  `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

const range = (from: number, to: number, steps = 14) =>
  Array.from({ length: steps + 1 }, (_, i) => from + ((to - from) * i) / steps);

function sector(place: Place, side: 'left' | 'right', a: [number, number], r: [number, number]): ZoneShape {
  const outer = range(a[0], a[1]).map((degrees) => polar(degrees, r[1], side));
  const inner = r[0] === 0 ? [CENTRE] : range(a[1], a[0]).map((degrees) => polar(degrees, r[0], side));
  const middle = r[0] === 0 ? 0.3 : (r[0] + r[1]) / 2;
  return {
    place,
    side,
    view: 'above',
    path: line([...outer, ...inner]),
    at: polar((a[0] + a[1]) / 2, middle, side),
  };
}

/** Half width of the hair seen from behind at height y: a crown that flares into lengths. */
export function halfWidth(y: number): number {
  if (y <= 84) return 64 * Math.sqrt(Math.max(0, 1 - ((y - 84) / 66) ** 2));
  return 64 + (y - 84) * 0.16 + 2.2 * Math.sin(y / 5);
}

/** The wavy lower edge of a band of hair. */
const edge = (y: number, x: number, depth: number) => y + depth * Math.sin(x / 5.5);

function band(
  place: Place,
  side: 'left' | 'right',
  from: number,
  to: number,
  depth: [number, number],
): ZoneShape {
  const out = side === 'left' ? -1 : 1;
  const across = (y: number, wave: number, reverse: boolean) => {
    const xs = range(0, halfWidth(y), 18);
    return (reverse ? xs.reverse() : xs).map((x) => ({ x: 100 + out * x, y: edge(y, x, wave) }));
  };
  const rim = range(from, to, 12).map((y) => ({ x: 100 + out * halfWidth(y), y }));
  return {
    place,
    side,
    view: 'behind',
    path: line([...across(from, depth[0], false), ...rim, ...across(to, depth[1], true)]),
    at: { x: 100 + out * halfWidth((from + to) / 2) * 0.5, y: (from + to) / 2 },
  };
}

const bothSides = (make: (side: 'left' | 'right') => ZoneShape) => [make('left'), make('right')];

/** Every standard zone's shape. From above the forehead is at the top; from behind, left is the wearer's left too. */
export const ZONE_SHAPES: readonly ZoneShape[] = [
  ...bothSides((side) => sector('fringe', side, [0, 34], [0.6, 1])),
  ...bothSides((side) => sector('hairline', side, [34, 78], [0.6, 1])),
  ...bothSides((side) => sector('side', side, [78, 180], [0.6, 1])),
  ...bothSides((side) => sector('crown', side, [0, 180], [0, 0.6])),
  ...bothSides((side) => band('back', side, 44, 96, [0, 2])),
  ...bothSides((side) => band('nape', side, 96, 126, [2, 2])),
  ...bothSides((side) => band('under', side, 126, 164, [2, 3])),
  ...bothSides((side) => band('ends', side, 164, 204, [3, 6])),
];

/** The part of the crown seen from behind, which belongs to the other view. */
export const CROWN_CAP = line([
  ...range(100 - halfWidth(44), 100 + halfWidth(44), 20).map((x) => ({ x, y: 44 })),
  ...range(44, 18, 12).map((y) => ({ x: 100 + halfWidth(y), y })),
  ...range(18, 44, 12).map((y) => ({ x: 100 - halfWidth(y), y })),
]);

/** Where the hair parts, from above: a notch at the forehead, and a line over the crown that leaves the words free. */
export const PARTING_LINES: Record<Exclude<Parting, 'none'>, string> = {
  left: 'M80 12L81 24M89 58Q91 84 99 106',
  middle: 'M100 12L100 24M100 58L100 106',
  right: 'M120 12L119 24M111 58Q109 84 101 106',
};

/** The line or lines the lengths end in, from behind. */
export const CUT_LINES: Record<Cut, string> = {
  'one-length': 'M24 210L176 210',
  layered: 'M44 118Q100 138 156 118M36 154Q100 176 164 154M26 194Q100 216 174 194',
  rounded: 'M24 178Q100 240 176 178',
  tapered: 'M28 168L100 212L172 168',
  undercut: 'M40 126L160 126M52 138L64 150M76 138L88 150M100 138L112 150M124 138L136 150',
  short: 'M44 112Q100 136 156 112',
};
