import { emptyPlane, type Picture, type Plane } from './plane.ts';

/** Linear light of an sRGB byte, 0…1. Source: IEC 61966-2-1:1999. */
export function linearOf(byte: number): number {
  const value = byte / 255;
  return value <= 0.040_45 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
}

/** The sRGB byte (not rounded) of linear light 0…1; what lies outside is clipped, as a camera does. Source: IEC 61966-2-1. */
export function byteOf(linear: number): number {
  const light = Math.min(Math.max(linear, 0), 1);
  return 255 * (light <= 0.003_130_8 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
}

/** Linear light of every byte. */
export const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => linearOf(byte));

/** Shares of red, green and blue in luminance. Source: ITU-R BT.709-6, the primaries of sRGB. */
export const LUMINANCE = [0.2126, 0.7152, 0.0722] as const;

/** Linear luminance of a picture, 0…1. */
export function luminanceOf({ width, height, data }: Picture): Plane {
  const out = emptyPlane(width, height);
  const [r, g, b] = LUMINANCE;
  for (let i = 0, at = 0; i < out.data.length; i++, at += 4)
    out.data[i] = r * LINEAR[data[at]!]! + g * LINEAR[data[at + 1]!]! + b * LINEAR[data[at + 2]!]!;
  return out;
}

/** Linear red, green and blue of a picture, 0…1. */
export function channelsOf({ width, height, data }: Picture): readonly [Plane, Plane, Plane] {
  const [red, green, blue] = [
    emptyPlane(width, height),
    emptyPlane(width, height),
    emptyPlane(width, height),
  ];
  for (let i = 0, at = 0; i < red.data.length; i++, at += 4) {
    red.data[i] = LINEAR[data[at]!]!;
    green.data[i] = LINEAR[data[at + 1]!]!;
    blue.data[i] = LINEAR[data[at + 2]!]!;
  }
  return [red, green, blue];
}
