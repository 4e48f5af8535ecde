import { gaussian } from '../photo/gaussian.ts';
import { byteOf } from '../photo/light.ts';
import { emptyPlane, type Picture, type Plane } from '../photo/plane.ts';
import { shrunk } from '../photo/resample.ts';
import { normals, seededRandom } from '../random.ts';
import type { Light } from './bands.ts';

/** A made-up phone camera, light in, bytes out. */
export interface Camera {
  seed: number;
  /** Brighter or darker than metered, EV. */
  exposure: number;
  /** Gains of red and blue beside green. */
  red: number;
  blue: number;
  /** Spread of a point of light, standard deviation in pixels. */
  blur: number;
  /** Share of all light that is strewn over the picture. */
  flare: number;
  /** Electrons a pixel holds at full light; fewer is noisier. Infinity for none. */
  wells: number;
  /** One colour a pixel (red, green, green, blue), the others filled in. */
  mosaic: boolean;
  /** Smoothing against noise, standard deviation in pixels, and sharpening after it, a share. */
  denoise: number;
  sharpen: number;
  /** How far light and dark are pushed apart about the middle: 0 none. */
  curve: number;
}

export const USUAL_CAMERA: Camera = {
  seed: 1,
  exposure: 0,
  red: 1,
  blue: 1,
  blur: 0.6,
  flare: 0.01,
  wells: 9000,
  mosaic: true,
  denoise: 0.45,
  sharpen: 0.35,
  curve: 0,
};

const same = ({ width, height }: Plane) => emptyPlane(width, height);

/** Light strewn over the whole picture by the lens. */
function strewn(plane: Plane, share: number): Plane {
  if (share <= 0) return plane;
  const small = shrunk(plane, Math.min(1, 64 / Math.max(plane.width, plane.height)));
  const soft = gaussian(small, Math.max(small.width, small.height) / 8);
  const out = same(plane);
  const columns = Int32Array.from({ length: plane.width }, (_, x) =>
    Math.min(soft.width - 1, Math.floor((x * soft.width) / plane.width)),
  );
  for (let y = 0; y < plane.height; y++) {
    const row = Math.min(soft.height - 1, Math.floor((y * soft.height) / plane.height)) * soft.width;
    for (let x = 0; x < plane.width; x++) {
      const i = y * plane.width + x;
      const veil = soft.data[row + columns[x]!]!;
      out.data[i] = plane.data[i]! * (1 - share) + veil * share;
    }
  }
  return out;
}

/** Which colour a pixel of the mosaic has: red and green in even rows, green and blue in odd ones. */
const colourAt = (x: number, y: number): 0 | 1 | 2 =>
  y % 2 === 0 ? (x % 2 === 0 ? 0 : 1) : x % 2 === 0 ? 1 : 2;

/** Each colour at every pixel from a mosaic of one colour a pixel, by the mean of the neighbours that have it. */
function filledIn({ width, height, data }: Plane): Light {
  const out = [emptyPlane(width, height), emptyPlane(width, height), emptyPlane(width, height)] as const;
  for (let y = 0; y < height; y++) {
    // Beyond an edge the mosaic goes on as in a mirror.
    const up = (y === 0 ? 1 : y - 1) * width;
    const low = (y === height - 1 ? y - 1 : y + 1) * width;
    const row = y * width;
    for (let x = 0; x < width; x++) {
      const left = x === 0 ? 1 : x - 1;
      const right = x === width - 1 ? x - 1 : x + 1;
      const sides = (data[row + left]! + data[row + right]!) / 2;
      const over = (data[up + x]! + data[low + x]!) / 2;
      const own = colourAt(x, y);
      const i = row + x;
      out[own].data[i] = data[i]!;
      if (own === 1) {
        out[0].data[i] = y % 2 === 0 ? sides : over;
        out[2].data[i] = y % 2 === 0 ? over : sides;
      } else {
        out[1].data[i] = (sides + over) / 2;
        out[own === 0 ? 2 : 0].data[i] =
          (data[up + left]! + data[up + right]! + data[low + left]! + data[low + right]!) / 4;
      }
    }
  }
  return out;
}

/** Bytes of linear light in 65,536 steps. */
const BYTES = Float32Array.from({ length: 65_537 }, (_, i) => byteOf(i / 65_536) / 255);

/**
 * What a phone makes of a scene's light: strewn light, the lens' blur, exposure and white balance, noise, mosaic, smoothing,
 * sharpening, a curve, and eight bits of sRGB. JPEG is left to whoever keeps the picture. Source: methods.md 4, "known truth".
 */
export function photographed(light: Light, camera: Camera = USUAL_CAMERA): Picture {
  const { width, height } = light[0];
  const gain = 2 ** camera.exposure;
  const gains = [camera.red, 1, camera.blue].map((value) => value * gain);
  const gauss = normals(seededRandom(camera.seed));
  const seen = light.map((plane) => gaussian(strewn(plane, camera.flare), camera.blur));
  /** Photons, and three electrons of reading. */
  const noisy = (value: number) =>
    Number.isFinite(camera.wells)
      ? value + gauss() * Math.sqrt(Math.max(0, value) / camera.wells + (3 / camera.wells) ** 2)
      : value;
  let channels: Light;
  if (camera.mosaic) {
    const mosaic = emptyPlane(width, height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const i = y * width + x;
        const colour = colourAt(x, y);
        mosaic.data[i] = noisy(seen[colour]!.data[i]! * gains[colour]!);
      }
    channels = filledIn(mosaic);
  } else
    channels = seen.map((plane, c) => ({
      ...plane,
      data: plane.data.map((value) => noisy(value * gains[c]!)),
    })) as unknown as Light;
  const data = new Uint8ClampedArray(4 * width * height);
  channels.forEach((plane, c) => {
    const smooth = gaussian(plane, camera.denoise);
    const soft = camera.sharpen > 0 ? gaussian(smooth, 1) : smooth;
    for (let i = 0; i < plane.data.length; i++) {
      const value = smooth.data[i]! + camera.sharpen * (smooth.data[i]! - soft.data[i]!);
      const byte = BYTES[value <= 0 ? 0 : value >= 1 ? 65_536 : Math.round(value * 65_536)]!;
      const pushed = byte + camera.curve * (byte * (1 - byte) * (2 * byte - 1)) * 2;
      data[4 * i + c] = 255 * pushed;
    }
  });
  for (let i = 3; i < data.length; i += 4) data[i] = 255;
  return { width, height, data };
}
