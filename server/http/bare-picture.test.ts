import ExifReader from 'exifreader';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { JPEG, jpegSegment, PNG, PNG_SIGN, pngChunk, riffChunk, WEBP } from '../testing/pictures.ts';
import { barePicture, NotAPicture } from './bare-picture.ts';

/** Exif with a maker and a place, as a phone writes it. Source: Exif 2.32; TIFF 6.0 (little-endian, IFD0 and GPS IFD). */
function exif(): Buffer {
  const tiff = Buffer.alloc(120);
  tiff.write('II*\0', 0, 'latin1');
  tiff.writeUInt32LE(8, 4);
  tiff.writeUInt16LE(2, 8);
  const entry = (at: number, tag: number, kind: number, count: number, value: number) => {
    tiff.writeUInt16LE(tag, at);
    tiff.writeUInt16LE(kind, at + 2);
    tiff.writeUInt32LE(count, at + 4);
    tiff.writeUInt32LE(value, at + 8);
  };
  entry(10, 0x010f, 2, 8, 80);
  entry(22, 0x8825, 4, 1, 40);
  tiff.writeUInt16LE(2, 40);
  entry(42, 1, 2, 2, 'N'.charCodeAt(0));
  entry(54, 2, 5, 3, 90);
  tiff.write('Kamerax\0', 80, 'latin1');
  for (const [i, n] of [48, 51, 24].entries()) {
    tiff.writeUInt32LE(n, 90 + i * 8);
    tiff.writeUInt32LE(1, 94 + i * 8);
  }
  return tiff;
}
const APP1 = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), exif()]);
const XMP = Buffer.from(
  '<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description xmlns:exif="http://ns.adobe.com/exif/1.0/" exif:GPSLatitude="48,51.4N"/></rdf:RDF></x:xmpmeta>',
);
/** The city in IPTC, within Photoshop's resources. Source: IPTC-NAA IIM 4.2, record 2, data set 90. */
const IPTC = (() => {
  const record = Buffer.concat([Buffer.from([0x1c, 2, 90, 0, 5]), Buffer.from('Paris')]);
  const size = Buffer.alloc(4);
  size.writeUInt32BE(record.length);
  return Buffer.concat([Buffer.from('Photoshop 3.0\x008BIM\x04\x04\0\0', 'latin1'), size, record]);
})();

const told: Record<string, { clean: Buffer; type: string; full: Buffer }> = {
  'a JPEG': {
    clean: JPEG,
    type: 'image/jpeg',
    full: Buffer.concat([
      JPEG.subarray(0, 2),
      jpegSegment(0xe1, APP1),
      jpegSegment(0xe1, Buffer.concat([Buffer.from('http://ns.adobe.com/xap/1.0/\0'), XMP])),
      jpegSegment(0xed, IPTC),
      jpegSegment(0xe2, Buffer.from('MPF\0II*\0')),
      jpegSegment(0xfe, Buffer.from('at home')),
      jpegSegment(0xef, Buffer.from('a maker’s own')),
      JPEG.subarray(2),
      Buffer.from('MotionPhoto_Data ftypmp42'),
    ]),
  },
  'a PNG': {
    clean: PNG,
    type: 'image/png',
    full: Buffer.concat([
      PNG.subarray(0, 33),
      pngChunk('eXIf', exif()),
      pngChunk('tEXt', Buffer.from('Raw profile type exif\x00\nexif\n 8\n00', 'latin1')),
      pngChunk('iTXt', Buffer.concat([Buffer.from('XML:com.adobe.xmp\0\0\0\0\0', 'latin1'), XMP])),
      pngChunk('tIME', Buffer.from([7, 234, 1, 1, 1, 1, 1])),
      PNG.subarray(33),
      Buffer.from('trailer'),
    ]),
  },
  'a WebP': {
    clean: WEBP,
    type: 'image/webp',
    full: (() => {
      const canvas = Buffer.alloc(10);
      canvas[0] = 0x08 | 0x04;
      canvas.writeUIntLE(23, 4, 3);
      canvas.writeUIntLE(15, 7, 3);
      const body = Buffer.concat([
        Buffer.from('WEBP'),
        riffChunk('VP8X', canvas),
        WEBP.subarray(12),
        riffChunk('EXIF', exif()),
        riffChunk('XMP ', XMP),
        riffChunk('MAKR', Buffer.from('own')),
      ]);
      const head = Buffer.from('RIFF\0\0\0\0', 'latin1');
      head.writeUInt32LE(body.length, 4);
      return Buffer.concat([head, body, Buffer.from('trailer')]);
    })(),
  },
};

// Source: ExifReader 4, which reads Exif, GPS, XMP, IPTC, comments and maker's notes of all three formats.
const groups = (bytes: Buffer) => {
  const {
    exif = {},
    gps = {},
    xmp = {},
    iptc = {},
    mpf = {},
    pngText = {},
  } = ExifReader.load(bytes, {
    expanded: true,
  }) as Record<string, Record<string, unknown>>;
  return { ...exif, ...gps, ...xmp, ...iptc, ...mpf, ...pngText };
};

describe.each(Object.entries(told))('%s', (_, { clean, type, full }) => {
  it('keeps what is seen and nothing of place, maker or time, nor what hangs behind it', () => {
    expect(Object.keys(groups(full)).length).toBeGreaterThan(1);
    const bare = barePicture(full, type);
    expect(groups(bare.bytes)).toEqual({});
    expect(bare).toMatchObject({ width: 24, height: 16 });
    for (const word of [
      'Exif',
      'eXIf',
      'Kamerax',
      'Paris',
      'GPSLatitude',
      'xmp',
      'at home',
      'ftyp',
      'trailer',
    ])
      expect(bare.bytes.includes(word), word).toBe(false);
    // What was compressed is as it came.
    if (type !== 'image/webp') expect(bare.bytes.equals(clean)).toBe(true);
    else expect(bare.bytes.subarray(30).equals(clean.subarray(12))).toBe(true);
  });

  it('that is bare stays as it is', () => {
    expect(barePicture(clean, type).bytes.equals(clean)).toBe(true);
  });

  it('cut short anywhere is no picture', () => {
    for (let length = 0; length < clean.length; length++)
      expect(() => barePicture(clean.subarray(0, length), type), String(length)).toThrow(NotAPicture);
  });

  it('of changed or made-up bytes never does anything but give a picture or say it is none', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), fc.nat(full.length), fc.nat(255), (bytes, at, byte) => {
        const changed = Buffer.from(full);
        changed[at % full.length] = byte;
        for (const one of [
          Buffer.from(bytes),
          Buffer.concat([full.subarray(0, at), Buffer.from(bytes)]),
          changed,
        ])
          try {
            const bare = barePicture(one, type);
            expect(bare.bytes.length).toBeLessThanOrEqual(one.length);
          } catch (error) {
            expect(error).toBeInstanceOf(NotAPicture);
          }
      }),
      { numRuns: 400 },
    );
  });
});

describe('what only looks like data about a place', () => {
  it('is left alone within the picture itself', () => {
    const body = Buffer.from('eXIf and Exif\0\0', 'latin1');
    const odd = Buffer.concat([PNG.subarray(0, 33), pngChunk('IDAT', body), PNG.subarray(33)]);
    expect(barePicture(odd, 'image/png').bytes.equals(odd)).toBe(true);
    expect(() => barePicture(Buffer.concat([PNG_SIGN, Buffer.from('<html>')]), 'image/png')).toThrow(
      NotAPicture,
    );
    expect(() => barePicture(JPEG, 'image/png')).toThrow('not a whole picture');
  });
});
