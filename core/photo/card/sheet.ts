import type { KeyOf } from '../../vocabulary.ts';
import { CARDS, type CardKind, SLANT } from './layout.ts';
import { markerBits } from './marker-bits.ts';

/** Paper a card is printed on, mm. Source: ISO 216; ANSI/ASME Y14.1. */
export const PAPERS = {
  a4: { label: 'A4', width: 210, height: 297 },
  letter: { label: 'Letter', width: 215.9, height: 279.4 },
} as const;
export type Paper = KeyOf<typeof PAPERS>;

/** What Sabor prints: its cards, and a sheet of known lines, curls and discs that tells what a camera can resolve. */
export const PRINTS = {
  stand: { label: 'stand card' },
  small: { label: 'small card' },
  test: { label: 'test sheet' },
} as const;
export type Print = KeyOf<typeof PRINTS>;

/** Things drawn on a sheet, mm from its top left corner; `byte` is a grey from 0, black, to 255. */
export type Shape =
  | { kind: 'box'; x: number; y: number; width: number; height: number; byte: number; turned?: number }
  | { kind: 'disc'; x: number; y: number; radius: number; byte: number }
  | { kind: 'line'; points: readonly (readonly [number, number])[]; width: number; byte: number }
  | { kind: 'words'; x: number; y: number; size: number; words: string };

const INK = 0;

/** A card's own things, its corner at (left, top). */
function cardShapes(kind: CardKind, left: number, top: number): Shape[] {
  const { width, height, markers, marker, greys, slanted, rule } = CARDS[kind];
  const module = marker / 8;
  const shapes: Shape[] = [
    // Where to cut.
    {
      kind: 'line',
      width: 0.1,
      byte: 200,
      points: [
        [left, top],
        [left + width, top],
        [left + width, top + height],
        [left, top + height],
        [left, top],
      ],
    },
  ];
  for (const { id, x, y } of markers) {
    shapes.push({ kind: 'box', x: left + x, y: top + y, width: marker, height: marker, byte: INK });
    markerBits(id).forEach((row, j) => {
      row.forEach((white, i) => {
        if (white)
          shapes.push({
            kind: 'box',
            x: left + x + i * module,
            y: top + y + j * module,
            width: module,
            height: module,
            byte: 255,
          });
      });
    });
  }
  for (const grey of greys) shapes.push({ kind: 'box', ...grey, x: left + grey.x, y: top + grey.y });
  shapes.push({
    kind: 'box',
    x: left + slanted.x - slanted.side / 2,
    y: top + slanted.y - slanted.side / 2,
    width: slanted.side,
    height: slanted.side,
    byte: INK,
    turned: SLANT,
  });
  const line = (x1: number, y1: number, x2: number, y2: number, thick = 0.3): Shape => ({
    kind: 'line',
    width: thick,
    byte: INK,
    points: [
      [left + x1, top + y1],
      [left + x2, top + y2],
    ],
  });
  shapes.push(line(rule.x, rule.y, rule.x + rule.length, rule.y));
  for (let mm = 0; mm <= rule.length; mm += 10)
    shapes.push(line(rule.x + mm, rule.y, rule.x + mm, rule.y + (mm % 50 ? 2.5 : 5)));
  return shapes;
}

/** Thicknesses of the test sheet's lines, mm: from a fine hair to a thick thread. */
const LINES = [0.05, 0.07, 0.1, 0.14, 0.2, 0.3];
/** Curls of the test sheet: radius and rise a turn, mm. */
const CURLS = [
  [3, 10],
  [6, 20],
  [9, 32],
  [12, 60],
] as const;
const DISCS = [1, 2, 4, 8, 16, 24];

function testShapes(left: number, top: number): Shape[] {
  const shapes: Shape[] = [];
  LINES.forEach((width, i) => {
    const y = top + 8 * i;
    for (let n = 0; n < 6; n++)
      shapes.push({
        kind: 'line',
        width,
        byte: INK,
        points: [
          [left + 14 + 12 * n, y],
          [left + 20 + 12 * n, y + 5],
        ],
      });
    shapes.push({ kind: 'words', x: left, y: y + 4, size: 3, words: `${width} mm` });
  });
  let y = top + 66;
  for (const [radius, pitch] of CURLS) {
    shapes.push({ kind: 'words', x: left, y: y + 1, size: 3, words: `R ${radius}, P ${pitch}` });
    shapes.push({
      kind: 'line',
      width: 1.2,
      byte: INK,
      points: Array.from({ length: 401 }, (_, i): [number, number] => [
        left + 24 + (i / 400) * 140,
        y + radius * Math.cos((2 * Math.PI * (i / 400) * 140) / pitch),
      ]),
    });
    y += 2 * radius + 9;
  }
  let x = left;
  for (const diameter of DISCS) {
    shapes.push({ kind: 'disc', x: x + diameter / 2, y: y + 14, radius: diameter / 2, byte: INK });
    shapes.push({ kind: 'words', x, y: y + 32, size: 3, words: `${diameter}` });
    x += diameter + 10;
  }
  return shapes;
}

/** A sheet as it is printed, mm: the thing, and under it how to print it. */
export function sheetShapes(print: Print, paper: Paper): Shape[] {
  const { width } = PAPERS[paper];
  const top = 20;
  const words = (lines: readonly string[], y: number): Shape[] =>
    lines.map((text, i) => ({ kind: 'words', x: 20, y: y + 6 * i, size: 4, words: text }));
  if (print === 'test')
    return [
      ...testShapes(22, top),
      ...words(
        [
          'Sabor test sheet. Print at 100 % (not “fit to page”), hang it where the head will be, photograph it.',
          'The thinnest line you can still see in the picture is the thinnest hair it can show.',
        ],
        252,
      ),
    ];
  const card = CARDS[print];
  return [
    ...cardShapes(print, (width - card.width) / 2, top),
    ...words(
      [
        `Sabor ${card.label}. Print at 100 % (not “fit to page”) on stiff matt paper, cut along the grey line.`,
        `Then measure the rule: ${card.rule.length} mm. If it is not, note what it is, and tell Sabor.`,
        print === 'stand'
          ? 'Stand it upright beside the head, in the plane of the ears, facing the camera.'
          : 'Lay it on the hair, flat, facing the camera.',
      ],
      top + card.height + 12,
    ),
  ];
}
