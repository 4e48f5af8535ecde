import type { ClipType } from '@sabor/core/basin/clip';

/** The bytes are no film that Sabor knows, or are broken. */
export class NotAClip extends Error {}

const broken = () => new NotAClip('This file is not a whole film.');

/** Boxes of an MP4 that hold no film: where and by what it was taken, and whatever a maker adds. */
const TOLD = new Set(['udta', 'meta', 'uuid', 'Xtra', 'ilst']);
/** Boxes that hold other boxes among which those can stand. */
const HOLDS = new Set(['moov', 'trak', 'mdia', 'minf', 'moof', 'traf']);

/**
 * Blanks in place what an MP4 tells besides the film: each such box becomes a `free` one of the same size, so that nothing
 * after it moves. Source: ISO/IEC 14496-12, 4.2 (boxes), 8.1.2 (free space).
 */
function blankMp4(bytes: Buffer, from: number, to: number): void {
  for (let at = from; at < to; ) {
    if (at + 8 > to) throw broken();
    const short = bytes.readUInt32BE(at);
    const kind = bytes.toString('latin1', at + 4, at + 8);
    if (short === 1 && at + 16 > to) throw broken();
    const size = short === 0 ? to - at : short === 1 ? Number(bytes.readBigUInt64BE(at + 8)) : short;
    const head = short === 1 ? 16 : 8;
    if (size < head || at + size > to) throw broken();
    if (TOLD.has(kind)) {
      bytes.write('free', at + 4, 'latin1');
      bytes.fill(0, at + head, at + size);
    } else if (HOLDS.has(kind)) blankMp4(bytes, at + head, at + size);
    at += size;
  }
}

/** Elements of a WebM that tell besides the film, and those that hold them. Source: RFC 9559, 5.1. */
const SEGMENT = 0x18538067;
const INFO = 0x1549a966;
const WEBM_TOLD = new Set([
  0x1254c367, // Tags
  0x1941a469, // Attachments
  0x7ba9, // Title
  0x4461, // DateUTC
  0x7384, // SegmentFilename
]);
const VOID = 0xec;

/** Length of a number of EBML by its first byte; 0 where it is none. Source: RFC 8794, 4. */
const lengthOf = (first: number) => (first === 0 ? 0 : Math.clz32(first) - 23);

/** Blanks in place what a WebM tells besides the film: by elements of the kind Void, of the same size. */
function blankWebm(bytes: Buffer, from: number, to: number): void {
  for (let at = from; at < to; ) {
    const idLength = lengthOf(bytes[at]!);
    if (idLength === 0 || idLength > 4 || at + idLength >= to) throw broken();
    const id = bytes.readUIntBE(at, idLength);
    const sizeLength = lengthOf(bytes[at + idLength]!);
    const body = at + idLength + sizeLength;
    if (sizeLength === 0 || body > to) throw broken();
    let size = bytes[at + idLength]! & (0xff >> sizeLength);
    let open = size === 0xff >> sizeLength;
    for (let i = 1; i < sizeLength; i++) {
      const byte = bytes[at + idLength + i]!;
      open &&= byte === 0xff;
      size = size * 256 + byte;
    }
    // What is recorded live may not know its own size: it runs to the end of what holds it.
    const end = open ? to : body + size;
    if (end > to) throw broken();
    if (WEBM_TOLD.has(id)) {
      const room = end - at;
      bytes.fill(0, at, end);
      // An id of one byte, and a size written in as many bytes as it takes to fill the place.
      const written = room - 2 < 0x7f ? 1 : 8;
      if (room < 1 + written) throw broken();
      bytes[at] = VOID;
      if (written === 1) bytes[at + 1] = 0x80 | (room - 2);
      else {
        bytes[at + 1] = 0x01;
        bytes.writeUIntBE(room - 9, at + 3, 6);
      }
    } else if (id === SEGMENT || id === INFO) blankWebm(bytes, body, end);
    at = end;
  }
}

/** A film without what it tells of place, maker and program; by its own first bytes, whatever it was said to be. Throws {@link NotAClip}. */
export function bareClip(given: Buffer): { bytes: Buffer; type: ClipType } {
  const bytes = Buffer.from(given);
  try {
    if (bytes.length > 4 && bytes.readUInt32BE(0) === 0x1a45dfa3) {
      blankWebm(bytes, 0, bytes.length);
      return { bytes, type: 'video/webm' };
    }
    if (bytes.toString('latin1', 4, 8) === 'ftyp') {
      blankMp4(bytes, 0, bytes.length);
      return { bytes, type: 'video/mp4' };
    }
  } catch (error) {
    throw error instanceof RangeError ? broken() : error;
  }
  throw new NotAClip('This is no film that Sabor knows: WebM or MP4.');
}
