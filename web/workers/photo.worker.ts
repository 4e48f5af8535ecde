import { type Orientation, PHOTOGRAPH_PIXELS, UPRIGHT } from '@sabor/core/basin/photograph-size';
import { photographed } from '@sabor/core/made-up/camera';
import { drawnClose } from '@sabor/core/made-up/close';
import { drawn } from '@sabor/core/made-up/drawn';
import { maskOf } from '@sabor/core/made-up/figure';
import {
  preview,
  type Simulated,
  simulatedNear,
  simulatedView,
  withHead,
} from '@sabor/core/made-up/simulated';
import { areasOf, maskOfAreas } from '@sabor/core/photo/areas';
import type { FoundCard } from '@sabor/core/photo/card/find';
import { projected } from '@sabor/core/photo/card/homography';
import { CARDS } from '@sabor/core/photo/card/layout';
import { type Laid, laidFrom } from '@sabor/core/photo/carry';
import { contoursAt } from '@sabor/core/photo/contour';
import type { Way } from '@sabor/core/photo/guard';
import { type Guide, guideOf } from '@sabor/core/photo/guide';
import { measureWhole, type PictureMeasures, type Readings } from '@sabor/core/photo/measure';
import { type CloseMeasures, measureClose } from '@sabor/core/photo/measure-close';
import { isFromNear } from '@sabor/core/photo/measures';
import type { Half, SplitAngle } from '@sabor/core/photo/parting';
import type { Picture, Point } from '@sabor/core/photo/plane';
import { Steps } from '@sabor/core/photo/steps';
import { expose } from 'comlink';

/** What another picture from the same view brings: what was left out in it, and where its parting was put, as shares of it. */
export interface Brought extends Laid {
  leftOut: readonly (readonly Point[])[];
  parting: readonly Point[] | null;
}

/** What is shown of a measured picture; lines in its own pixels. */
export interface MeasuredPicture extends Omit<PictureMeasures, 'outline' | 'card' | 'halves'> {
  /** What is read of each half, split at the parting (two places, as shares); null where the picture was not split. */
  halves: ({ parting: Point[] } & Record<Half, Readings>) | null;
  /** What was brought from another picture, as it lies in this one; null where nothing was. */
  laid: { leftOut: Point[][] | null; parting: Point[] | null } | null;
  /** What is read from near alone; null for a whole head. */
  near: Pick<CloseMeasures, 'curls' | 'shine'> | null;
  width: number;
  height: number;
  outline: Point[][];
  /** Where the halo is looked for: 30 mm off the free outline. */
  reach: Point[][];
  card: { pxPerMm: number; corners: Point[] } | null;
}

/** Pixels of a picture file, upright: as the file itself says, then as `orientation` does. Throws a sentence for a file that is none. */
async function pixelsOf(file: Blob, orientation: Orientation) {
  const bitmap = await createImageBitmap(file, {
    imageOrientation: 'from-image',
    colorSpaceConversion: 'default',
  }).catch(() => {
    throw new Error('This file is not a picture that this browser can read.');
  });
  const { mirrored, turn } = UPRIGHT[orientation];
  const [width, height] = turn % 180 ? [bitmap.height, bitmap.width] : [bitmap.width, bitmap.height];
  if (width * height > PHOTOGRAPH_PIXELS) {
    bitmap.close();
    throw new Error('This picture has over 50 million pixels. Set the camera to fewer.');
  }
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext('2d', { willReadFrequently: true })!;
  // About the middle: what is said last is done to the pixels first.
  pen.translate(width / 2, height / 2);
  pen.rotate((turn * Math.PI) / 180);
  pen.scale(mirrored ? -1 : 1, 1);
  pen.drawImage(bitmap, -bitmap.width / 2, -bitmap.height / 2);
  bitmap.close();
  return pen.getImageData(0, 0, width, height);
}

/** Every third place is enough to draw a line by. */
const thinned = (lines: Point[][], keep = 3) => lines.map((line) => line.filter((_, i) => i % keep === 0));

/** The corners of a found card in its picture. */
function cornersOf({ kind, toPicture }: FoundCard): Point[] {
  const { width, height } = CARDS[kind];
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ].map((at) => projected(toPicture, at));
}

const imageOf = ({ width, height, data }: Picture) =>
  new ImageData(new Uint8ClampedArray(data), width, height);

/** The picture that was measured last: its pixels, and what was found in it step by step. One alone is kept: they are large. */
let last: { key: string; picture: ImageData; steps: Steps } | null = null;
async function lastOrNew(key: string, file: Blob, orientation: Orientation) {
  if (last?.key === key) return last;
  last = null;
  const picture = await pixelsOf(file, orientation);
  last = { key, picture, steps: new Steps() };
  return last;
}

type Drawing = { supersampling: number; progress: (share: number) => void };

/** Light of a made-up head, with what is no hair in it. */
function wholeIn(of: Simulated, drawing: Drawing) {
  const { scene, frame, camera } = withHead(simulatedView(of), of);
  return { light: drawn(scene, frame, drawing), camera, mask: maskOf(scene, frame) };
}

/** Light of made-up hair from near: nothing but hair and the card. */
function nearIn(of: Simulated, drawing: Drawing) {
  const { plan, frame, camera } = simulatedNear(of);
  return { light: drawnClose(plan, frame, drawing), camera, mask: null };
}

const photo = {
  /** Measures a picture; what lies in the areas left out is no hair. */
  async measure(
    file: Blob,
    {
      key,
      leftOut,
      ruleMm,
      orientation,
      film,
      near,
      way,
      empty,
      split,
      brought,
    }: {
      /** Tells this picture from others, so that one that is asked anew is not read from the start. */
      key: string;
      leftOut: readonly Point[][];
      ruleMm: number;
      orientation: Orientation;
      film: boolean;
      /** Hair from near: the curl's width it is read by, and tagged curls as shares; null for a whole head. */
      near: { curlWidth: number; curls: readonly (readonly Point[])[]; leans: readonly number[] } | null;
      /** How hair is told from the wall, and the same frame without a head; of a whole head alone. */
      way: Way;
      empty: Blob | null;
      /** Asks for each half too; the parting as shares, or down the middle. */
      split: { angle: SplitAngle; parting: readonly Point[] | null } | null;
      brought: Brought | null;
    },
  ): Promise<MeasuredPicture> {
    const { picture, steps } = await lastOrNew(`${key} ${orientation}`, file, orientation);
    const { width, height } = picture;
    const leftOutIn = (areas: readonly (readonly Point[])[]) =>
      steps.take('mask', [JSON.stringify(areas)], () => maskOfAreas(areas, width, height));
    const asked = { ruleMm, film, steps, ...(leftOut.length > 0 ? { masked: leftOutIn(leftOut) } : {}) };
    const seen = (card: FoundCard | null) => card && { pxPerMm: card.pxPerMm, corners: cornersOf(card) };
    if (near) {
      const { card, taken, readings, notes, curls, shine } = measureClose(picture, {
        ...asked,
        // Told for 100 mm; the small card's rule is shorter.
        ruleMm: (ruleMm * CARDS.small.rule.length) / CARDS.stand.rule.length,
        curlWidth: near.curlWidth,
        leans: near.leans,
        tagged: near.curls.map((curl) => curl.map(({ x, y }) => ({ x: x * width, y: y * height }))),
      });
      return {
        width,
        height,
        taken,
        readings,
        notes,
        widths: [],
        thinnest: null,
        outline: [],
        reach: [],
        halves: null,
        laid: null,
        card: seen(card),
        near: { curls, shine },
      };
    }
    const inPixels = ({ x, y }: Point): Point => ({ x: x * width, y: y * height });
    let laid: MeasuredPicture['laid'] = null;
    const lay = (card: FoundCard) => {
      const here = {
        card: cornersOf(card).map(({ x, y }) => ({ x: x / width, y: y / height })),
        aspect: width / height,
      };
      const from = (drawn: readonly (readonly Point[])[]) => brought && laidFrom(drawn, brought, here);
      laid = {
        leftOut: from(brought!.leftOut),
        parting: from(brought!.parting ? [brought!.parting] : [])?.[0] ?? null,
      };
      const [top, foot] = laid.parting ?? [];
      return {
        ...(laid.leftOut ? { masked: leftOutIn(laid.leftOut) } : {}),
        ...(top && foot ? { parting: [inPixels(top), inPixels(foot)] as const } : {}),
      };
    };
    const { outline, card, halves, ...rest } = measureWhole(picture, {
      ...asked,
      ...(brought ? { lay } : {}),
      way,
      split: split && {
        angle: split.angle,
        parting: split.parting && [inPixels(split.parting[0]!), inPixels(split.parting[1]!)],
      },
      ...(empty ? { empty: await pixelsOf(empty, 1) } : {}),
    });
    const inPicture = ({ x, y }: Point): Point =>
      outline
        ? {
            x: (x + outline.left + 0.5) * outline.step - 0.5,
            y: (y + outline.top + 0.5) * outline.step - 0.5,
          }
        : { x, y };
    const lines = (at: number, within?: (i: number) => boolean) =>
      outline ? thinned(contoursAt(outline.outside, at, within)).map((line) => line.map(inPicture)) : [];
    return {
      ...rest,
      width,
      height,
      halves: halves && {
        ...halves,
        parting: halves.parting.map(({ x, y }) => ({ x: x / width, y: y / height })),
      },
      outline: lines(0),
      laid,
      reach: lines(30, (i) => outline!.free.data[i] === 1),
      card: seen(card),
      near: null,
    };
  },
  /** What a frame of the camera's film says of the picture to come; see {@link guideOf}. */
  guide: (frame: ImageData, lastMm: number | null, near: boolean): Guide =>
    guideOf(frame, lastMm, near ? 'small' : 'stand'),
  /** A picture of a made-up head as a simulated camera takes it, as a JPEG, and the areas of what is no hair in it. */
  async madeUp(
    of: Simulated,
    progress: (share: number) => void,
  ): Promise<{ file: Blob; leftOut: Point[][] }> {
    const drawing = { supersampling: 2, progress: (share: number) => progress(0.7 * share) };
    const seen = isFromNear(of.angle) ? nearIn(of, drawing) : wholeIn(of, drawing);
    const picture = photographed(seen.light, seen.camera);
    progress(0.95);
    const canvas = new OffscreenCanvas(picture.width, picture.height);
    canvas.getContext('2d')!.putImageData(imageOf(picture), 0, 0);
    const file = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
    return { file, leftOut: seen.mask ? areasOf(seen.mask) : [] };
  },
  /** What the simulated camera's screen shows before a picture is taken. */
  preview(of: Simulated): ImageData {
    if (isFromNear(of.angle)) {
      const { plan, frame, camera } = simulatedNear(of, true);
      return imageOf(photographed(drawnClose(plan, frame, { supersampling: 1 }), camera));
    }
    const { scene, frame, camera } = withHead(preview(simulatedView(of)), of);
    return imageOf(photographed(drawn(scene, frame, { supersampling: 1 }), camera));
  },
};
export type PhotoWorker = typeof photo;

expose(photo);
