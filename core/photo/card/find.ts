import { median } from '../../middle.ts';
import { channelsOf, linearOf, luminanceOf } from '../light.ts';
import { type Picture, type Plane, type Point, sampleAt } from '../plane.ts';
import { solved } from '../solve.ts';
import { AR } from './aruco.ts';
import { edgeNear, meanOf, meeting, riseOf } from './edge.ts';
import { type Homography, homographyBetween, projected } from './homography.ts';
import { CARDS, type CardKind, type CardLayout, type Patch, slantedCorners } from './layout.ts';
import { poseOf } from './pose.ts';

/** Why a card cannot be used. */
export type CardTrouble =
  | 'no card'
  | 'two cards'
  | 'card covered'
  | 'card bent'
  | 'picture mirrored'
  | 'greys uneven'
  | 'too bright';

/** A card as it lies in a picture. */
export interface FoundCard {
  kind: CardKind;
  /** From mm on the card to pixels. */
  toPicture: Homography;
  markers: number;
  /** Pixels a millimetre of the real card, as far as its rule was told, where the picture is read (`poseOf`). */
  pxPerMm: number;
  /** How far the card is turned out of the picture's plane, degrees. */
  tilt: number;
  /** How far the card's top edge is from level, degrees, clockwise. */
  roll: number;
  /** Root mean square of what the corners miss their places by, pixels. */
  off: number;
  /** 10–90 % rise of the slanted square's edges, pixels and mm; null where none could be read. */
  edge: { px: number; mm: number } | null;
  /** Mean linear light of each grey, red, green and blue, dark to light. */
  greys: readonly { byte: number; light: readonly [number, number, number] }[];
  /** The largest distance of a grey from one smooth curve, EV. */
  uneven: number;
  /** Whether the lightest grey, or the paper beside it, runs into the top of the scale, or the darkest into its foot. */
  clipped: boolean;
}

/** Linear light that counts as the top of the scale: 253 of 255. Judged. */
const TOP = 0.985;

export type CardSearch = { card: FoundCard; trouble: null } | { card: null; trouble: CardTrouble };

interface Seen {
  id: number;
  corners: Point[];
  /** Bits that were read wrong. */
  wrong: number;
}

/** A smaller copy for the search, by taking the mean of whole blocks; and the same turned over where it is asked for. */
function smaller({ width, height, data }: Picture, by: number, mirrored: boolean): Picture {
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const to = 4 * (y * w + (mirrored ? w - 1 - x : x));
      for (let channel = 0; channel < 3; channel++) {
        let sum = 0;
        for (let dy = 0; dy < by; dy++)
          for (let dx = 0; dx < by; dx++) sum += data[4 * ((y * by + dy) * width + x * by + dx) + channel]!;
        out[to + channel] = sum / (by * by);
      }
      out[to + 3] = 255;
    }
  return { width: w, height: h, data: out };
}

/** Longest sides a card is looked for at, pixels: thousands of pixels hide a marker's border behind its grain. */
const SEARCHED = [1600, 2800, 800, 400] as const;
/** Bits of a marker's 36 that may be wrong: half of the dictionary's distance of twelve would be five. */
const WRONG_BITS = 3;

function markersIn(picture: Picture, mirrored = false): Seen[] {
  const known = new Set(Object.values(CARDS).flatMap(({ markers }) => markers.map(({ id }) => id as number)));
  const longest = Math.max(picture.width, picture.height);
  const tried = new Set<number>();
  let best: Seen[] = [];
  for (const side of SEARCHED) {
    const by = Math.max(1, Math.round(longest / side));
    if (tried.has(by)) continue;
    tried.add(by);
    const small = by === 1 && !mirrored ? picture : smaller(picture, by, mirrored);
    const detector = new AR.Detector({
      dictionaryName: 'ARUCO_MIP_36h12',
      maxHammingDistance: WRONG_BITS + 1,
    });
    const found = detector
      .detectImage(small.width, small.height, small.data)
      .filter(({ id }) => known.has(id))
      .map(({ id, corners, hammingDistance }) => ({
        id,
        wrong: hammingDistance,
        corners: corners.map(({ x, y }) => ({ x: (x + 0.5) * by - 0.5, y: (y + 0.5) * by - 0.5 })),
      }));
    if (found.length > best.length) best = found;
    if (best.length >= 4) break;
  }
  return best;
}

const middleOf = ({ corners }: Seen): Point => ({
  x: meanOf(corners.map(({ x }) => x)),
  y: meanOf(corners.map(({ y }) => y)),
});
const sideOf = ({ corners: [a, b] }: Seen): number => Math.hypot(a!.x - b!.x, a!.y - b!.y);

/**
 * Each marker once: a square may be found twice, by the inner and the outer run of its border, and now and then a marker is
 * read into something else. Null where two or more of them stand in two places: there are two cards.
 */
function eachOnce(seen: readonly Seen[]): Seen[] | null {
  let apart = 0;
  const once = [...new Set(seen.map(({ id }) => id))].map((id) => {
    const own = seen.filter((one) => one.id === id);
    const [first] = own.toSorted((a, b) => a.wrong - b.wrong || sideOf(b) - sideOf(a));
    const at = middleOf(first!);
    const far = own.some((one) => {
      const other = middleOf(one);
      return Math.hypot(other.x - at.x, other.y - at.y) > sideOf(first!) / 2;
    });
    if (far) apart++;
    return first!;
  });
  return apart >= 2 ? null : once;
}

/** The corners of a marker's black square on the card, mm, in the order its corners are found: from its own top left clockwise. */
const cornersOf = ({ x, y }: { x: number; y: number }, side: number): Point[] => [
  { x, y },
  { x: x + side, y },
  { x: x + side, y: y + side },
  { x, y: y + side },
];

/** A marker's corners where its four sides, each fitted to its own edge, meet; the found ones where a side cannot be fitted. */
function refined(light: Plane, corners: readonly Point[], side: number): Point[] {
  const reach = Math.max(2, Math.min(8, Math.round(side / 16)));
  const sides = corners.map((corner, i) => edgeNear(light, corner, corners[(i + 1) % 4]!, reach));
  return corners.map((corner, i) => {
    const [before, after] = [sides[(i + 3) % 4], sides[i]];
    return (before && after && meeting(before, after)) || corner;
  });
}

/** Mean linear light of the inner part of a patch, three channels. */
function lightOf(
  channels: readonly [Plane, Plane, Plane],
  h: Homography,
  { x, y, width, height }: Patch,
): [number, number, number] {
  const STEPS = 12;
  return channels.map((channel) => {
    let sum = 0;
    for (let j = 0; j < STEPS; j++)
      for (let i = 0; i < STEPS; i++) {
        const at = projected(h, {
          x: x + width * (0.25 + (0.5 * (i + 0.5)) / STEPS),
          y: y + height * (0.25 + (0.5 * (j + 0.5)) / STEPS),
        });
        sum += sampleAt(channel, at.x, at.y);
      }
    return sum / STEPS ** 2;
  }) as [number, number, number];
}

/** The part of a picture a card lies in, with room about it, and where that part begins. */
function cutAround(picture: Picture, corners: readonly Point[], room: number) {
  const left = Math.max(0, Math.floor(Math.min(...corners.map(({ x }) => x)) - room));
  const top = Math.max(0, Math.floor(Math.min(...corners.map(({ y }) => y)) - room));
  const right = Math.min(picture.width, Math.ceil(Math.max(...corners.map(({ x }) => x)) + room));
  const low = Math.min(picture.height, Math.ceil(Math.max(...corners.map(({ y }) => y)) + room));
  const [width, height] = [right - left, low - top];
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    const from = 4 * ((top + y) * picture.width + left);
    data.set(picture.data.subarray(from, from + 4 * width), 4 * width * y);
  }
  return { cut: { width, height, data }, left, top };
}

/** The largest distance, EV, of the greys' light from one smooth (quadratic) curve over what was printed. */
export function unevenness(greys: readonly { byte: number; light: readonly number[] }[]): number {
  const points = greys.map(({ byte, light }) => ({
    x: Math.log2(linearOf(byte)),
    y: Math.log2(Math.max(1e-5, meanOf(light))),
  }));
  if (points.length < 4) return 0;
  const sums = Array.from({ length: 5 }, (_, k) => points.reduce((sum, { x }) => sum + x ** k, 0));
  const right = [0, 1, 2].map((k) => points.reduce((sum, { x, y }) => sum + y * x ** k, 0));
  const curve = solved(
    [0, 1, 2].map((i) => [0, 1, 2].map((j) => sums[i + j]!)),
    right,
  );
  const at = (x: number) => curve.reduce((sum, value, k) => sum + value * x ** k, 0);
  return Math.max(...points.map(({ x, y }) => Math.abs(y - at(x))));
}

/** Greys further than this from one curve: something shades or colours part of the card, EV. Source: methods.md 4. */
const MOST_UNEVEN = 0.1;
/** Corners further off than this on average, of a marker's side: the card is bent, or covered in part. */
const MOST_OFF = 0.012;

/**
 * Finds the card of a kind in a picture, its corners to a fraction of a pixel, and what it says of scale, tilt, sharpness
 * and light. `ruleMm` is what the printed rule really measures. Source: methods.md 4.
 */
export function findCard(picture: Picture, kind: CardKind, ruleMm?: number): CardSearch {
  const layout: CardLayout = CARDS[kind];
  const none = (trouble: CardTrouble): CardSearch => ({ card: null, trouble });
  const ids = new Set(layout.markers.map(({ id }) => id));
  const all = markersIn(picture).filter(({ id }) => ids.has(id));
  if (all.length === 0)
    return none(
      markersIn(picture, true).filter(({ id }) => ids.has(id)).length >= 2 ? 'picture mirrored' : 'no card',
    );
  const seen = eachOnce(all);
  if (!seen) return none('two cards');
  if (seen.length < 3) return none('card covered');
  const side = meanOf(seen.map(sideOf));
  const { cut, left, top } = cutAround(
    picture,
    seen.flatMap(({ corners }) => corners),
    1.5 * side,
  );
  const light = luminanceOf(cut);
  const here = ({ x, y }: Point): Point => ({ x: x - left, y: y - top });
  const places = seen.flatMap(({ id }) =>
    cornersOf(layout.markers.find((one) => one.id === id)!, layout.marker),
  );
  const corners = seen.flatMap((one) => refined(light, one.corners.map(here), side));
  const local = homographyBetween(places, corners);
  const off = Math.sqrt(
    meanOf(
      places.map((place, i) => {
        const at = projected(local, place);
        return (at.x - corners[i]!.x) ** 2 + (at.y - corners[i]!.y) ** 2;
      }),
    ),
  );
  if (off > Math.max(1, MOST_OFF * side)) return none('card bent');
  const toPicture = homographyBetween(
    places,
    corners.map(({ x, y }) => ({ x: x + left, y: y + top })),
  );
  const middle = { x: layout.width / 2, y: layout.height / 2 };
  const pose = poseOf(toPicture, { x: (picture.width - 1) / 2, y: (picture.height - 1) / 2 }, kind);
  const printed = (ruleMm ?? layout.rule.length) / layout.rule.length;
  const pxPerMm = pose.pxPerMm / printed;
  const [a, b] = [
    projected(local, { x: 0, y: middle.y }),
    projected(local, { x: layout.width, y: middle.y }),
  ];
  const channels = channelsOf(cut);
  const greys = layout.greys.map((grey) => ({ byte: grey.byte, light: lightOf(channels, local, grey) }));
  const uneven = unevenness(greys);
  const lightest = Math.max(...greys.at(-1)!.light);
  const darkest = Math.min(...greys[0]!.light);
  // Greys that run into the top of the scale lie off their curve, and no shadow is at fault.
  if (uneven > MOST_UNEVEN) return none(lightest > TOP ? 'too bright' : 'greys uneven');
  const rises = layout.slanted
    ? slantedCorners(layout.slanted).flatMap((corner, i, all) => {
        const [from, to] = [projected(local, corner), projected(local, all[(i + 1) % 4]!)];
        const reach = Math.max(4, Math.min(12, Math.round(Math.hypot(to.x - from.x, to.y - from.y) / 6)));
        return riseOf(light, from, to, reach) ?? [];
      })
    : [];
  const edge = rises.length >= 2 ? { px: median(rises), mm: median(rises) / pxPerMm } : null;
  return {
    trouble: null,
    card: {
      kind,
      toPicture,
      markers: seen.length,
      pxPerMm,
      tilt: pose.tilt,
      roll: (180 / Math.PI) * Math.atan2(b.y - a.y, b.x - a.x),
      off,
      edge,
      greys,
      uneven,
      clipped: lightest > TOP || darkest < 0.0012,
    },
  };
}
