import { COPY_SIDE, type Orientation, PHOTOGRAPH_PIXELS, UPRIGHT } from '@sabor/core/basin/photograph-size';

/** A picture made upright and small, as a JPEG in sRGB with nothing else in it; null where it cannot be decoded. */
export async function uprightCopy(bytes: Buffer, orientation: Orientation): Promise<Buffer | null> {
  const { mirrored, turn } = UPRIGHT[orientation];
  // A twentieth of a start is spent on it, and few starts need it.
  const { default: sharp } = await import('sharp');
  try {
    // Mirrored and turned one after the other: sharp would turn first.
    const small = await sharp(bytes, { limitInputPixels: PHOTOGRAPH_PIXELS, failOn: 'none' })
      .resize({ width: COPY_SIDE, height: COPY_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#fff' })
      .toColourspace('srgb')
      .flop(mirrored)
      .png({ compressionLevel: 1 })
      .toBuffer();
    return await sharp(small).rotate(turn).jpeg({ quality: 84 }).toBuffer();
  } catch {
    return null;
  }
}
