import { type FoundCard, findCard } from './card/find.ts';
import { projected } from './card/homography.ts';
import { CARDS, type CardKind } from './card/layout.ts';
import { type Taken, takenOf, type Way } from './guard.ts';
import { besideOf, haloOf, silhouetteOf } from './halo.ts';
import { channelsOf, luminanceOf } from './light.ts';
import { type PhotoMeasure, WHOLE_MEASURES } from './measures.ts';
import { type Half, middleParting, onHalf, type Parting, type SplitAngle } from './parting.ts';
import { emptyMask, type Mask, type Picture } from './plane.ts';
import { fillRows } from './polygon.ts';
import type { Note, Refusal } from './refusals.ts';
import { findOutline, type Outline } from './silhouette.ts';
import { Steps } from './steps.ts';
import { straysOf } from './strays.ts';
import { widthsDown } from './volume.ts';

/** A measure of one picture: its value in the measure's unit, or why there is none. */
export type Reading = { value: number; why: null } | { value: null; why: Refusal };

export interface PictureMeasures {
  card: FoundCard | null;
  taken: Taken | null;
  outline: Outline | null;
  readings: Readings;
  /** The same of each half, and the parting they were split at; null where that was not asked, or nothing was found. */
  halves: ({ parting: Parting } & Record<Half, Readings>) | null;
  /** Width of the shape in each band of 5 mm from its top down, mm: half of a volume. */
  widths: readonly number[];
  /** Thinnest hair the picture can count, mm; null where that is not known. */
  thinnest: number | null;
  /** What limits the reading without refusing it. */
  notes: readonly Note[];
}

/** Under so many pixels a millimetre a whole head is read coarsely, which is told. Source: methods.md 4. */
const WHOLE = 4;
/**
 * The card's edge rises within so many pixels, and so many millimetres. Source: methods.md 4. A coarse picture, which is
 * told to be one, cannot rise within the millimetres: there the pixels alone decide.
 */
const SHARP = { px: 3, mm: 0.5 };
/** Room about the stand card that is left out with it, mm. */
const ROOM = 8;

const lightsOf = (picture: Picture, way: Way) =>
  way === 'silhouette' ? [luminanceOf(picture)] : channelsOf(picture);

export type Readings = Partial<Record<PhotoMeasure, Reading>>;

/** A reading of a value, or of why there is none. */
export const given = (value: number | null, why: Refusal | null): Reading =>
  value === null ? { value, why: why! } : { value, why: null };

/** The card of a picture and what it says of how the picture was taken, or why it is not found. */
export function cardIn(
  picture: Picture,
  kind: CardKind,
  ruleMm: number | undefined,
  steps: Steps,
  way?: Way,
) {
  const { card, trouble } = steps.take('card', [picture, kind, ruleMm], () =>
    findCard(picture, kind, ruleMm),
  );
  return card ? { card, taken: takenOf(card, way), trouble: null } : { card: null, taken: null, trouble };
}

/** What the card covers, with room about it (mm), added to what was painted over. */
export function withCard(picture: Picture, card: FoundCard, painted: Mask | undefined, room: number): Mask {
  const mask = painted
    ? { ...painted, data: painted.data.slice() }
    : emptyMask(picture.width, picture.height);
  const { width, height } = CARDS[card.kind];
  const corners = [
    { x: -room, y: -room },
    { x: width + room, y: -room },
    { x: width + room, y: height + room },
    { x: -room, y: height + room },
  ].map((at) => projected(card.toPicture, at));
  fillRows(corners, mask.height, (y, from, to) => {
    const [a, b] = [Math.max(0, Math.round(from)), Math.min(mask.width, Math.round(to))];
    if (b > a) mask.data.fill(1, y * mask.width + a, y * mask.width + b);
  });
  return mask;
}

/**
 * All that can be read in a picture of a whole head before a lit wall. `masked` is what is no hair (of the picture's size),
 * `empty` the same frame without a head, `way` how hair is told from the wall, `split` asks for each half too (at the
 * parting, or down the middle where none is said), `lay` brings both from another picture once the card is found, `ruleMm` what the card's printed rule really measures; in a frame of
 * film no strands are counted; `steps` is what was found in this picture before. A refused measure never refuses the
 * picture: each has its own reason. Source: methods.md 4.
 */
export function measureWhole(
  picture: Picture,
  {
    kind = 'stand',
    ruleMm,
    masked: painted,
    empty,
    film = false,
    way = 'silhouette',
    split: asked = null,
    lay,
    steps = new Steps(),
  }: {
    kind?: CardKind;
    ruleMm?: number;
    masked?: Mask;
    empty?: Picture;
    film?: boolean;
    way?: Way;
    split?: { angle: SplitAngle; parting: Parting | null } | null;
    lay?: (card: FoundCard) => { masked?: Mask; parting?: Parting };
    steps?: Steps;
  } = {},
): PictureMeasures {
  const all = (why: Refusal): Readings =>
    Object.fromEntries(WHOLE_MEASURES.map((key) => [key, { value: null, why }]));
  const found = cardIn(picture, kind, ruleMm, steps, way);
  const nothing = { outline: null, halves: null, widths: [], thinnest: null, notes: [] };
  if (!found.card) return { ...found, readings: all(found.trouble), ...nothing };
  const { card, taken } = found;
  const coarse = card.pxPerMm < WHOLE;
  if (!card.edge || card.edge.px > SHARP.px || (!coarse && card.edge.mm > SHARP.mm))
    return { card, taken, readings: all('picture soft'), ...nothing };
  if (empty && (empty.width !== picture.width || empty.height !== picture.height))
    return { card, taken, readings: all('frames differ'), ...nothing };
  const { masked = painted, parting: brought } = lay?.(card) ?? {};
  const split = asked && { ...asked, parting: asked.parting ?? brought ?? null };
  const lights = steps.take('lights', [picture, way], () => lightsOf(picture, way));
  const outline = steps.take('outline', [lights, card, masked, empty], () =>
    findOutline({
      lights,
      pxPerMm: card.pxPerMm,
      masked: withCard(picture, card, masked, ROOM),
      ...(empty ? { empty: lightsOf(empty, way) } : {}),
    }),
  );
  if (outline.trouble) return { card, taken, readings: all(outline.trouble), ...nothing };
  const edgeMm = card.edge.mm;
  const beside = () => steps.take('beside', [outline], () => besideOf(outline));
  const within = (part?: (i: number) => boolean) => {
    const halo = haloOf(outline, { edgeMm, beside, ...(part ? { part } : {}) });
    const strays = straysOf(outline, lights, edgeMm, part);
    const readings: Readings = {
      halo: given(halo.value, halo.trouble),
      silhouette: { value: silhouetteOf(outline, part) / 100, why: null },
      strays: film ? { value: null, why: 'from film' } : given(strays.value, strays.trouble),
    };
    return { readings, thinnest: strays.thinnest };
  };
  const halvesOf = ({ angle, parting: said }: NonNullable<typeof split>) => {
    const parting = said ?? middleParting(outline);
    const of = (half: Half) => within(onHalf(outline, parting, angle, half)).readings;
    return { parting, left: of('left'), right: of('right') };
  };
  return {
    card,
    taken,
    outline,
    ...steps.take('whole', [outline, film], within),
    halves: split && halvesOf(split),
    widths: widthsDown(outline),
    notes: [
      ...(coarse ? (['coarse'] as const) : []),
      ...(masked ? [] : (['nothing masked'] as const)),
      ...(empty ? (['empty frame'] as const) : []),
      ...(split && !split.parting ? (['parting guessed'] as const) : []),
    ],
  };
}
