import type { Mask, Picture } from '@sabor/core/photo/plane';
import sharp from 'sharp';

/** Most pixels a picture may have. Source: methods.md 4. */
const MOST_PIXELS = 50_000_000;

/** What is wrong with a file, in a sentence. */
export class Unreadable extends Error {}

/** Pixels of a picture file, upright as its camera says, in eight-bit sRGB. Throws an Unreadable with a sentence. */
export async function decode(file: string): Promise<Picture> {
  try {
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'truncated' })
      .rotate()
      .flatten({ background: '#fff' })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true });
    return {
      width: info.width,
      height: info.height,
      data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length),
    };
  } catch (error) {
    const { message } = error as Error;
    if (/missing|ENOENT/i.test(message)) throw new Unreadable('There is no such file.');
    if (/pixel limit/i.test(message)) throw new Unreadable('This picture has over 50 million pixels.');
    if (/premature|truncated|VipsJpeg|end of/i.test(message))
      throw new Unreadable('This file is cut short or damaged.');
    throw new Unreadable('This file is no picture that can be read.');
  }
}

/** What a mask file paints over: its light pixels. Throws an Unreadable where it is not of the picture's size. */
export async function decodeMask(file: string, of: { width: number; height: number }): Promise<Mask> {
  const { width, height, data } = await decode(file);
  if (width !== of.width || height !== of.height)
    throw new Unreadable(`The mask is ${width} × ${height} pixels, the picture ${of.width} × ${of.height}.`);
  const out = new Uint8Array(width * height);
  for (let i = 0; i < out.length; i++)
    out[i] = data[4 * i]! + data[4 * i + 1]! + data[4 * i + 2]! > 382 ? 1 : 0;
  return { width, height, data: out };
}
