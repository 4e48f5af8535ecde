import { crc32 } from 'node:zlib';
import type { Orientation } from '@sabor/core/basin/photograph-size';

/** A picture with nothing in it but what is seen. */
export interface BarePicture {
  bytes: Buffer;
  /** Of its own pixels, before they are turned. */
  width: number;
  height: number;
  /** How they are to be turned. */
  orientation: Orientation;
}

/** The bytes are not the kind of picture they are said to be, or are broken. */
export class NotAPicture extends Error {}

const broken = (): NotAPicture => new NotAPicture('This file is not a whole picture.');

const SOI = 0xd8;
const EOI = 0xd9;
const SOS = 0xda;
/** Frames of a JPEG: all SOF markers but those for tables and arithmetic conditioning. */
const isFrame = (marker: number) =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
/** Markers that stand alone: TEM and the restarts. */
const standsAlone = (marker: number) => marker === 0x01 || (marker >= 0xd0 && marker <= 0xd7);

/** Whether decoding a JPEG right needs this segment: tables, frames, scans; JFIF, the colour profile and Adobe's transform. */
function isSeen(marker: number, body: Buffer): boolean {
  if (marker === 0xe0) return body.subarray(0, 5).toString('latin1') === 'JFIF\0';
  if (marker === 0xe2) return body.subarray(0, 12).toString('latin1') === 'ICC_PROFILE\0';
  if (marker === 0xee) return body.subarray(0, 5).toString('latin1') === 'Adobe';
  return (marker >= 0xc0 && marker <= 0xcf) || marker === 0xdb || marker === 0xdd;
}

/** How an Exif block says its picture is to be turned; 1 where it does not, or cannot be read. Source: Exif 3.0, 4.6; TIFF 6. */
function orientationIn(body: Buffer): Orientation {
  if (body.subarray(0, 6).toString('latin1') !== 'Exif\0\0') return 1;
  const tiff = body.subarray(6);
  if (tiff.length < 8) return 1;
  const little = tiff.toString('latin1', 0, 2) === 'II';
  const short = (at: number) => (little ? tiff.readUInt16LE(at) : tiff.readUInt16BE(at));
  const long = (at: number) => (little ? tiff.readUInt32LE(at) : tiff.readUInt32BE(at));
  const first = long(4);
  if (first + 2 > tiff.length) return 1;
  for (let i = 0; i < short(first); i++) {
    const at = first + 2 + 12 * i;
    if (at + 12 > tiff.length) return 1;
    if (short(at) !== 0x0112) continue;
    const value = short(at + 8);
    return value >= 1 && value <= 8 ? (value as Orientation) : 1;
  }
  return 1;
}

/** Source: ITU-T T.81 (JPEG), annex B; JFIF 1.02; ICC.1, annex B.4. */
function bareJpeg(bytes: Buffer): BarePicture {
  if (bytes.readUInt16BE(0) !== 0xff00 + SOI) throw broken();
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  let size: { width: number; height: number } | null = null;
  let orientation: Orientation = 1;
  let at = 2;
  for (;;) {
    if (bytes[at] !== 0xff) throw broken();
    const marker = bytes[at + 1]!;
    // Any number of fill bytes may stand before a marker.
    if (marker === 0xff) {
      at++;
      continue;
    }
    if (marker === EOI) {
      if (!size) throw broken();
      kept.push(bytes.subarray(at, at + 2));
      return { bytes: Buffer.concat(kept), ...size, orientation };
    }
    if (standsAlone(marker)) {
      at += 2;
      continue;
    }
    const end = at + 2 + bytes.readUInt16BE(at + 2);
    if (end > bytes.length) throw broken();
    const body = bytes.subarray(at + 4, end);
    if (isFrame(marker)) size = { height: body.readUInt16BE(1), width: body.readUInt16BE(3) };
    if (marker === SOS) {
      // What is compressed runs to the next marker that is no stuffed zero and no restart.
      let next = bytes.indexOf(0xff, end);
      while (next >= 0 && (bytes[next + 1] === 0 || standsAlone(bytes[next + 1]!)))
        next = bytes.indexOf(0xff, next + 2);
      if (next < 0) throw broken();
      kept.push(bytes.subarray(at, next));
      at = next;
      continue;
    }
    if (isSeen(marker, body)) kept.push(bytes.subarray(at, end));
    if (marker === 0xe1 && orientation === 1) orientation = orientationIn(body);
    at = end;
  }
}

const PNG_SIGN = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
/** Chunks that change what is seen. Source: PNG, third edition (W3C), 11. */
const SEEN_CHUNKS = new Set([
  'IHDR',
  'PLTE',
  'IDAT',
  'IEND',
  'tRNS',
  'gAMA',
  'cHRM',
  'sRGB',
  'iCCP',
  'sBIT',
  'bKGD',
  'pHYs',
  'cICP',
]);

function barePng(bytes: Buffer): BarePicture {
  if (!bytes.subarray(0, 8).equals(PNG_SIGN)) throw broken();
  const kept: Buffer[] = [PNG_SIGN];
  let size: { width: number; height: number } | null = null;
  let drawn = false;
  for (let at = 8; ; ) {
    const length = bytes.readUInt32BE(at);
    const end = at + 12 + length;
    if (end > bytes.length) throw broken();
    const kind = bytes.toString('latin1', at + 4, at + 8);
    if (crc32(bytes.subarray(at + 4, end - 4)) !== bytes.readUInt32BE(end - 4)) throw broken();
    if (kind === 'IHDR') size = { width: bytes.readUInt32BE(at + 8), height: bytes.readUInt32BE(at + 12) };
    else if (!size) throw broken();
    drawn ||= kind === 'IDAT';
    if (SEEN_CHUNKS.has(kind)) kept.push(bytes.subarray(at, end));
    else if (kind[0] === kind[0]!.toUpperCase()) throw broken();
    at = end;
    if (kind !== 'IEND') continue;
    if (!drawn) throw broken();
    return { bytes: Buffer.concat(kept), ...size, orientation: 1 };
  }
}

const WEBP_SEEN = new Set(['VP8 ', 'VP8L', 'VP8X', 'ALPH', 'ICCP']);
/** Flags of VP8X that say Exif and XMP follow. Source: WebP Container Specification (RFC 9649), 2.7. */
const EXIF_AND_XMP = 0x08 | 0x04;

function bareWebp(bytes: Buffer): BarePicture {
  const riff = bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WEBP';
  const whole = riff ? 8 + bytes.readUInt32LE(4) : 0;
  if (!riff || whole > bytes.length) throw broken();
  const kept: Buffer[] = [];
  let size: { width: number; height: number } | null = null;
  let drawn = false;
  for (let at = 12; at + 8 <= whole; ) {
    const kind = bytes.toString('latin1', at, at + 4);
    const length = bytes.readUInt32LE(at + 4);
    const end = at + 8 + length + (length % 2);
    if (at + 8 + length > whole) throw broken();
    const chunk = Buffer.from(bytes.subarray(at, end));
    if (kind === 'VP8X') {
      chunk[8]! &= ~EXIF_AND_XMP;
      size = { width: 1 + chunk.readUIntLE(12, 3), height: 1 + chunk.readUIntLE(15, 3) };
    }
    if (kind === 'VP8 ')
      size ??= { width: chunk.readUInt16LE(14) & 0x3fff, height: chunk.readUInt16LE(16) & 0x3fff };
    if (kind === 'VP8L') {
      const bits = chunk.readUInt32LE(9);
      size ??= { width: 1 + (bits & 0x3fff), height: 1 + ((bits >>> 14) & 0x3fff) };
    }
    if (kind === 'ANIM' || kind === 'ANMF') throw new NotAPicture('This picture moves. Take a still one.');
    drawn ||= kind === 'VP8 ' || kind === 'VP8L';
    if (WEBP_SEEN.has(kind)) kept.push(chunk);
    at = end;
  }
  if (!size || !drawn) throw broken();
  const body = Buffer.concat(kept);
  const head = Buffer.from('RIFF\0\0\0\0WEBP', 'latin1');
  head.writeUInt32LE(4 + body.length, 4);
  return { bytes: Buffer.concat([head, body]), ...size, orientation: 1 };
}

const READERS: Record<string, (bytes: Buffer) => BarePicture> = {
  'image/jpeg': bareJpeg,
  'image/png': barePng,
  'image/webp': bareWebp,
};

/**
 * A picture rewritten segment by segment with only what is seen: no Exif, XMP, IPTC, comment, maker's data, thumbnail
 * or trailer (a motion picture) is left in it; what is compressed stays to the byte. Gives its own width and height.
 * Throws a NotAPicture where it is none of that kind, or not whole.
 */
export function barePicture(bytes: Buffer, type: string): BarePicture {
  try {
    const bare = READERS[type]!(bytes);
    if (bare.width < 1 || bare.height < 1) throw broken();
    return bare;
  } catch (error) {
    // Read past the end.
    if (error instanceof RangeError) throw broken();
    throw error;
  }
}
