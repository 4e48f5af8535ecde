import type { Angle } from '@sabor/core/basin/angles';
import type { ApartInPictures, View } from '@sabor/core/photo/by-arm';
import type { Curl, CurlTrouble } from '@sabor/core/photo/close/curl';
import type { Unlike } from '@sabor/core/photo/guard';
import type { Advice } from '@sabor/core/photo/guide';
import { isFromNear, PHOTO_MEASURES, type PhotoMeasure } from '@sabor/core/photo/measures';
import type { Note, Refusal } from '@sabor/core/photo/refusals';
import type { PictureError, Told } from '@sabor/core/photo/repeat';
import { alsoMoved, hardlyTells } from './also-moved.ts';
import { fixed, withThousands } from './numbers.ts';

/** Why a measure is not given, and what helps. */
export const REFUSALS: Readonly<Record<Refusal, string>> = {
  'no card': 'The card is not found in this picture. Let all of it be seen, flat and lit.',
  'two cards': 'There are two cards in this picture. Leave one.',
  'card covered': 'The card is half covered. Let all four of its corners be seen.',
  'card bent': 'The card is bent, or something covers part of it. Lay it flat.',
  'picture mirrored':
    'This picture is mirrored, as some phones save those of their front camera. Switch that off, or use the other camera.',
  'greys uneven': 'A shadow or a coloured light falls on part of the card. Light it evenly.',
  'too bright': 'This picture is too bright to read. Less light, or a shorter exposure.',
  'picture soft': 'This picture is too soft to measure. Rest the phone, and tap the card to focus.',
  'no hair': 'No hair is found before the wall.',
  'fills the frame': 'Hair fills the frame. Step back, so that the wall is seen around it.',
  'no backdrop': 'Too little of the wall is seen around the hair.',
  'backdrop uneven': 'The wall is lit unevenly. Take away what throws a shadow or a spot of light on it.',
  'hair like the backdrop':
    'Hair and wall are too much alike here. Light the wall, not the hair; or hang a sheet of another colour and read it by colour.',
  'hair lit': 'The hair itself is lit. Switch off the light in front of it, and light the wall.',
  'too noisy': 'This picture is too grainy. More light on the wall helps.',
  'little free outline': 'Too little of the outline stands free of card, clothes and the picture’s edge.',
  'edge not clear': 'The edge of the hair is not clear enough to say where it ends.',
  'from film':
    'A frame of the camera’s film shows no single hairs. Take the picture with the phone’s own camera.',
  'too coarse': 'This picture cannot show a single hair. Come closer, or use a camera with more pixels.',
  'too dense': 'Too dense to count: more than one hair every 2 mm.',
  'little hair': 'Too little hair is seen beside the card. Step back a little, or lay the card at the edge.',
  'clumps not clear': 'No clumps of 1 to 24 mm stand out in this picture.',
  'frames differ':
    'The empty frame is not of this picture’s size. Take both with the same camera, held the same way.',
  'few curls': 'Tag five curls at least: one curl alone says little of a head.',
};

/** What limits a reading without refusing it, and what helps. */
export const NOTES: Readonly<Record<Note, string>> = {
  coarse: 'Under 4 pixels a millimetre: read coarsely. Come closer, or use a camera with more pixels.',
  'nothing masked': 'Nothing is left out: a neck or clothes that touch the hair count as hair.',
  'empty frame': 'Read beside an empty frame of the same place.',
  'parting guessed': 'The parting is taken to run down the middle of the hair. Move it where it is.',
  'coarse from near':
    'Under 8 pixels a millimetre: read coarsely. Come closer, or use a camera with more pixels.',
  'all taken for hair': 'Nothing but the card is left out: skin, clothes and what lies behind count as hair.',
};

/** A measure's value with its unit: "0.42 mm", "621 cm²", "8.4 per 100 mm". */
export function readingInWords(measure: PhotoMeasure, value: number): string {
  const { unit } = PHOTO_MEASURES[measure];
  const size = Math.abs(value);
  const fine = unit === '' || measure === 'halo' || size < 1;
  return `${withThousands(fixed(value, fine ? 2 : size < 100 ? 1 : 0))} ${unit}`.trimEnd();
}

/** The least that is told of an amount. */
const LEAST = 0.01;

/** How far something goes: "up to 0.10 mm"; what is told as nothing is "less than 0.01 mm". */
const limitInWords = (measure: PhotoMeasure, value: number): string =>
  value < LEAST / 2
    ? `less than ${readingInWords(measure, LEAST)}`
    : `up to ${readingInWords(measure, value)}`;

/** A measure with its name: "frizz halo 0.42 mm". */
export const readingNamed = (measure: PhotoMeasure, value: number): string =>
  `${PHOTO_MEASURES[measure].label} ${readingInWords(measure, value)}`;

/** What a picture says of its halo, under it; from near, of its clump contrast. */
export function captionInWords(angle: Angle, halo: number | null, contrast: number | null): string {
  if (isFromNear(angle))
    return contrast === null
      ? 'clump contrast not read'
      : `clump contrast ${readingInWords('clump-contrast', contrast)}`;
  return halo === null ? 'halo not read' : `halo ${readingInWords('halo', halo)}`;
}

/** Why two pictures are not compared. */
export function unlikeInWords(one: Unlike): string {
  switch (one.kind) {
    case 'way':
      return 'In one, hair was told from the wall by its light, in the other by its colour.';
    case 'scale':
      return `One was taken ${Math.round(100 * one.share)} % closer than the other; 5 % is borne.`;
    case 'tilt':
      return `The camera looked at the card from ${Math.round(one.degrees)}° aside; 10° is borne.`;
    case 'exposure':
      return `One is ${one.ev.toFixed(1)} stops brighter than the other; 1 is borne.`;
    case 'white balance':
      return `Their light differs by ${Math.round(one.kelvin / 100) * 100} K in colour; 1,000 K is borne.`;
    case 'clipped':
      return 'One is too bright or too dark to be brought to the other’s light.';
  }
}

/** How a larger and a smaller value are said. */
const COMPARED: Readonly<Record<PhotoMeasure, readonly [larger: string, smaller: string]>> = {
  halo: ['More frizz halo', 'Less frizz halo'],
  silhouette: ['Larger silhouette', 'Smaller silhouette'],
  volume: ['More volume', 'Less volume'],
  strays: ['More flyaways', 'Fewer flyaways'],
  'clump-contrast': ['Clumps stand out more', 'Clumps stand out less'],
  coherence: ['Runs more smoothly', 'Runs less smoothly'],
  'clump-width': ['Clumps read wider', 'Clumps read narrower'],
  'curl-radius': ['Wider curls', 'Tighter curls'],
  'curl-index': ['More curled', 'Less curled'],
};

/** What to say of a difference that is told apart and too small to switch for: a sentence, or none. */
const underWorth = (measure: PhotoMeasure, difference: number, worth: number): string[] =>
  Math.abs(difference) < worth
    ? [`A difference worth switching for is taken to begin at ${readingInWords(measure, worth)}.`]
    : [];

/** What two pictures' values say, beside the picture's own error. */
export function toldInWords(
  measure: PhotoMeasure,
  { difference, same, worth }: Told,
  error: PictureError | null,
): string {
  const { kind } = PHOTO_MEASURES[measure];
  const by = readingInWords(measure, Math.abs(difference));
  if (same === null || !error)
    return `${by} apart. How much two pictures of the same hair differ is not known yet: shoot again to tell.`;
  const most =
    kind === 'ratio'
      ? error.most < 0.0005
        ? 'less than 0.1 %'
        : `up to ${(100 * error.most).toFixed(error.most < 0.1 ? 1 : 0)} %`
      : limitInWords(measure, error.most);
  if (same) return [`The same: shooting twice alone differs by ${most}.`, ...hardlyTells(measure)].join(' ');
  return [
    `${COMPARED[measure][difference > 0 ? 0 : 1]}, by ${by}: shooting twice alone differs by ${most}.`,
    ...underWorth(measure, difference, worth),
    ...alsoMoved(measure),
  ].join(' ');
}

/** From where a picture shows the hair. */
export const VIEWS: Readonly<Record<View, string>> = {
  front: 'from the front',
  left: 'from the left',
  right: 'from the right',
  back: 'from behind',
  crown: 'from above',
  'close-up': 'close up',
  'own side': 'each half from its own side',
  'front and side': 'front and side together',
};

/** How two options' means in pictures lie to each other; `names` of the first and the second. */
export function apartInWords(
  measure: PhotoMeasure,
  { difference, most, within, worth }: ApartInPictures,
  [first, second]: readonly [string, string],
): string {
  const by = readingInWords(measure, Math.abs(difference));
  if (most === null)
    return `${by} apart. How much two pictures of the same hair differ is not known yet: shoot again on one wash day to tell.`;
  const reach = limitInWords(measure, most);
  if (Math.abs(difference) <= most)
    return [`Not told apart: pictures alone put such means ${reach} apart.`, ...hardlyTells(measure)].join(
      ' ',
    );
  const days =
    within === null
      ? 'How much wash days of one option differ is not known yet.'
      : `${Math.abs(difference) > within ? 'Wash' : 'But wash'} days of one option lie ${limitInWords(measure, within)} apart by themselves.`;
  return [
    `${COMPARED[measure][0]} with ${difference > 0 ? second : first}, by ${by}: pictures alone put such means ${reach} apart. ${days}`,
    ...underWorth(measure, difference, worth),
    ...alsoMoved(measure),
  ].join(' ');
}

/** What to do before the picture is taken, short enough to be called across a room. */
export function adviceInWords(advice: Advice): string {
  switch (advice.kind) {
    case 'card':
      return REFUSALS[advice.trouble];
    case 'dark':
      return 'Too dark to read. More light on the wall.';
    case 'tilted':
      return `Hold the camera level: it looks ${Math.round(advice.degrees)}° aside.`;
    case 'closer':
      return `Come closer: last time showed ${Math.round(100 * advice.share)} % less around the head.`;
    case 'further':
      return `Step back: last time showed ${Math.round(100 * advice.share)} % more around the head.`;
    case 'soft':
      return 'Out of focus. Tap the card to focus on it.';
  }
}

/** Said where nothing speaks against the picture. */
export const READY_TO_SHOOT = 'Card found. Hold still.';

/** Why a tagged curl is not read. */
export const CURL_TROUBLES: Readonly<Record<CurlTrouble, string>> = {
  'few turns': 'Too short: two whole turns at least, five places where it turns back.',
  'much hidden': 'Over a third of its turns are hidden. Tag one that hangs free.',
  'too coarse': 'Too narrow to read in this picture. Come closer.',
  'leans away': 'It leans more than 25° towards you or away: its rise cannot be told from here.',
  'crests in a row':
    'These places do not lie on two sides. Tap where the curl turns back, left and right in turn.',
};

/** A tagged curl: its size, and how much shorter it hangs than it is. */
export const curlInWords = ({ radius, index, rest, stretched }: Curl): string =>
  `index ${index.toFixed(2)}, radius ${radius.toFixed(1)} mm; ${Math.round(rest)} mm at rest, ${Math.round(stretched)} mm hung out: shrinkage ${Math.round(100 * (1 - rest / stretched))} %`;

/** Shine of one picture; nothing is promised by it. */
export const shineInWords = (peak: number): string =>
  `Brightest line ${peak.toFixed(1)} stops over the middle one. It moves with the lamp: under 0.3 apart is the same, and no trial is decided by it.`;
