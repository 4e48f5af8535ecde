import type { FoundCard } from './card/find.ts';
import { linearOf } from './light.ts';

/** How hair is told from the wall: by how much light it takes, or by its colour. Source: methods.md 4, "coverage". */
export const WAYS = {
  silhouette: { label: 'by its light, before a lit wall' },
  colour: { label: 'by its colour, before a coloured sheet' },
} as const;
export type Way = keyof typeof WAYS;

/** Under what a picture was taken, as its card tells it, and by which way it was read. */
export interface Taken {
  way: Way;
  pxPerMm: number;
  /** 10–90 % rise of a sharp edge, mm; null where it could not be read. */
  edgeMm: number | null;
  tilt: number;
  /** Light beside what was printed, EV. */
  exposure: number;
  /** Colour temperature the picture's white would have, kelvin. */
  kelvin: number;
  clipped: boolean;
}

/**
 * Correlated colour temperature of linear sRGB, kelvin. Source: IEC 61966-2-1 for the primaries; McCamy (1992), Color
 * Research & Application 17, 142–144, for the temperature (2,800 to 12,500 K, within some 2 K).
 */
export function kelvinOf([r, g, b]: readonly [number, number, number]): number {
  const x = 0.4124 * r + 0.3576 * g + 0.1805 * b;
  const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const z = 0.0193 * r + 0.1192 * g + 0.9505 * b;
  const sum = x + y + z;
  const n = (x / sum - 0.332) / (0.1858 - y / sum);
  return 449 * n ** 3 + 3525 * n ** 2 + 6823.3 * n + 5520.33;
}

/** What a found card says of how its picture was taken, from the greys between the darkest and the lightest. */
export function takenOf({ pxPerMm, edge, tilt, greys, clipped }: FoundCard, way: Way = 'silhouette'): Taken {
  const inner = greys.length > 2 ? greys.slice(1, -1) : greys;
  const brightness = ([r, g, b]: readonly [number, number, number]) => 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const exposure =
    inner.reduce((sum, { byte, light }) => sum + Math.log2(brightness(light) / linearOf(byte)), 0) /
    inner.length;
  return {
    way,
    pxPerMm,
    edgeMm: edge?.mm ?? null,
    tilt,
    exposure,
    kelvin: kelvinOf(inner.at(-1)!.light),
    clipped,
  };
}

/** Why two pictures are not compared, with by how much they differ. */
export type Unlike =
  | { kind: 'way' }
  | { kind: 'scale'; share: number }
  | { kind: 'tilt'; degrees: number }
  | { kind: 'exposure'; ev: number }
  | { kind: 'white balance'; kelvin: number }
  | { kind: 'clipped' };

/** To where two pictures still are like. Source: methods.md 4, "pairs". */
const LIKE = { scale: 0.05, tilt: 10, exposure: 1, kelvin: 1000 } as const;
/** Less of a difference needs no correction, so nothing that clips can spoil it: EV and kelvin. Judged. */
const UNCORRECTED = { exposure: 0.15, kelvin: 200 } as const;

/** What keeps two pictures from being compared; empty where they are like enough. Source: methods.md 4. */
export function unlike(a: Taken, b: Taken): Unlike[] {
  const found: Unlike[] = a.way === b.way ? [] : [{ kind: 'way' }];
  const share = Math.max(a.pxPerMm, b.pxPerMm) / Math.min(a.pxPerMm, b.pxPerMm) - 1;
  if (share > LIKE.scale) found.push({ kind: 'scale', share });
  const degrees = Math.max(a.tilt, b.tilt);
  if (degrees > LIKE.tilt) found.push({ kind: 'tilt', degrees });
  const ev = Math.abs(a.exposure - b.exposure);
  if (ev > LIKE.exposure) found.push({ kind: 'exposure', ev });
  const kelvin = Math.abs(a.kelvin - b.kelvin);
  if (kelvin > LIKE.kelvin) found.push({ kind: 'white balance', kelvin });
  const corrected = ev > UNCORRECTED.exposure || kelvin > UNCORRECTED.kelvin;
  if (corrected && (a.clipped || b.clipped)) found.push({ kind: 'clipped' });
  return found;
}
