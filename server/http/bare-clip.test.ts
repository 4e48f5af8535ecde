import { describe, expect, it } from 'vitest';
import { bareClip, NotAClip } from './bare-clip.ts';

const box = (kind: string, ...bodies: Buffer[]): Buffer => {
  const body = Buffer.concat(bodies);
  const head = Buffer.alloc(8);
  head.writeUInt32BE(8 + body.length);
  head.write(kind, 4, 'latin1');
  return Buffer.concat([head, body]);
};
const PLACE = Buffer.from('+53.3498-006.2603+011.000/');

describe('an MP4', () => {
  const film = box('mdat', Buffer.alloc(40, 7));
  const mp4 = Buffer.concat([
    box('ftyp', Buffer.from('isom')),
    film,
    box(
      'moov',
      box('mvhd', Buffer.alloc(20, 1)),
      box('trak', box('tkhd', Buffer.alloc(12, 2)), box('meta', PLACE)),
      box('udta', box('\xa9xyz', PLACE)),
      box('meta', PLACE),
    ),
    box('uuid', PLACE),
  ]);

  it('keeps its film where it stood, and nothing of place and maker', () => {
    const { bytes, type } = bareClip(mp4);
    expect(type).toBe('video/mp4');
    expect(bytes.length).toBe(mp4.length);
    expect(bytes.includes(PLACE)).toBe(false);
    expect(bytes.indexOf(film)).toBe(mp4.indexOf(film));
    for (const kind of ['mvhd', 'tkhd']) expect(bytes.indexOf(kind)).toBe(mp4.indexOf(kind));
    expect(mp4.includes(PLACE)).toBe(true);
    // Bared once more it is as it was.
    expect(bareClip(bytes).bytes.equals(bytes)).toBe(true);
  });

  it('of boxes with long sizes, or one that runs to the end, is read as well', () => {
    const long = Buffer.alloc(16 + PLACE.length);
    long.writeUInt32BE(1);
    long.write('udta', 4, 'latin1');
    long.writeBigUInt64BE(BigInt(long.length), 8);
    PLACE.copy(long, 16);
    const last = box('mdat', Buffer.alloc(9, 3));
    last.writeUInt32BE(0);
    const { bytes } = bareClip(Buffer.concat([box('ftyp', Buffer.from('isom')), box('moov', long), last]));
    expect(bytes.includes(PLACE)).toBe(false);
    expect(bytes.subarray(-9).equals(Buffer.alloc(9, 3))).toBe(true);
  });

  it('that is cut, or whose boxes run over its end, is refused', () => {
    expect(() => bareClip(mp4.subarray(0, mp4.length - 3))).toThrow(NotAClip);
    const over = Buffer.from(mp4);
    over.writeUInt32BE(0x7fffffff, mp4.indexOf('moov') - 4);
    expect(() => bareClip(over)).toThrow(NotAClip);
    const none = Buffer.from(mp4);
    none.writeUInt32BE(4, mp4.indexOf('moov') - 4);
    expect(() => bareClip(none)).toThrow(NotAClip);
  });
});

describe('a WebM', () => {
  const element = (id: number[], body: Buffer, open = false) =>
    Buffer.concat([
      Buffer.from(id),
      open
        ? Buffer.from([0x01, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff])
        : Buffer.from([0x40 | (body.length >> 8), body.length & 0xff]),
      body,
    ]);
  const header = element([0x1a, 0x45, 0xdf, 0xa3], Buffer.alloc(20, 1));
  const tags = (body: Buffer) => element([0x12, 0x54, 0xc3, 0x67], body);
  const cluster = element([0x1f, 0x43, 0xb6, 0x75], Buffer.alloc(60, 5));

  it.each([
    ['of a known size', false],
    ['recorded live', true],
  ])('%s keeps its film, and no tags, title or date', (_, open) => {
    const info = element(
      [0x15, 0x49, 0xa9, 0x66],
      Buffer.concat([element([0x7b, 0xa9], PLACE), element([0x44, 0x61], Buffer.alloc(8, 9))]),
    );
    const webm = Buffer.concat([
      header,
      element(
        [0x18, 0x53, 0x80, 0x67],
        Buffer.concat([info, tags(PLACE), tags(Buffer.concat(Array(9).fill(PLACE))), cluster]),
        open,
      ),
    ]);
    const { bytes, type } = bareClip(webm);
    expect(type).toBe('video/webm');
    expect(bytes.length).toBe(webm.length);
    expect(bytes.includes(PLACE)).toBe(false);
    expect(bytes.indexOf(cluster)).toBe(webm.indexOf(cluster));
    expect(bytes.includes(Buffer.alloc(8, 9))).toBe(false);
    expect(bareClip(bytes).bytes.equals(bytes)).toBe(true);
  });

  it('that is cut is refused, and so is what is no film', () => {
    const webm = Buffer.concat([header, element([0x18, 0x53, 0x80, 0x67], cluster)]);
    expect(() => bareClip(webm.subarray(0, 40))).toThrow(NotAClip);
    for (const none of [Buffer.alloc(0), Buffer.from('<script>'), Buffer.from([0xff, 0xd8, 0xff])])
      expect(() => bareClip(none)).toThrow('This is no film that Sabor knows');
  });
});
