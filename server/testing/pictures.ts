import { crc32, deflateSync } from 'node:zlib';

/** A gradient of 24 × 16 pixels, made by Chromium's canvas. */
export const JPEG = Buffer.from(
  '/9j/4AAQSkZJRgABAQAAAQABAAD/4gHYSUNDX1BST0ZJTEUAAQEAAAHIAAAAAAQwAABtbnRyUkdCIFhZWiAH4AABAAEAAAAAAABhY3NwAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAQAA9tYAAQAAAADTLQAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAlkZXNjAAAA8AAAACRyWFlaAAABFAAAABRnWFlaAAABKAAAABRiWFlaAAABPAAAABR3dHB0AAABUAAAABRyVFJDAAABZAAAAChnVFJDAAABZAAAAChiVFJDAAABZAAAAChjcHJ0AAABjAAAADxtbHVjAAAAAAAAAAEAAAAMZW5VUwAAAAgAAAAcAHMAUgBHAEJYWVogAAAAAAAAb6IAADj1AAADkFhZWiAAAAAAAABimQAAt4UAABjaWFlaIAAAAAAAACSgAAAPhAAAts9YWVogAAAAAAAA9tYAAQAAAADTLXBhcmEAAAAAAAQAAAACZmYAAPKnAAANWQAAE9AAAApbAAAAAAAAAABtbHVjAAAAAAAAAAEAAAAMZW5VUwAAACAAAAAcAEcAbwBvAGcAbABlACAASQBuAGMALgAgADIAMAAxADb/2wBDABALDA4MChAODQ4SERATGCgaGBYWGDEjJR0oOjM9PDkzODdASFxOQERXRTc4UG1RV19iZ2hnPk1xeXBkeFxlZ2P/2wBDARESEhgVGC8aGi9jQjhCY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2P/wAARCAAQABgDASIAAhEBAxEB/8QAGAAAAwEBAAAAAAAAAAAAAAAAAAIDAQX/xAAWEAEBAQAAAAAAAAAAAAAAAAAAAQL/xAAWAQEBAQAAAAAAAAAAAAAAAAADAgX/xAAZEQADAAMAAAAAAAAAAAAAAAAAAQMCESH/2gAMAwEAAhEDEQA/AOdmK5jMxTMAkPeg2YD5gXoys6dP/9k=',
  'base64',
);
export const WEBP = Buffer.from(
  'UklGRi4CAABXRUJQVlA4WAoAAAAgAAAAFwAADwAASUNDUMgBAAAAAAHIAAAAAAQwAABtbnRyUkdCIFhZWiAH4AABAAEAAAAAAABhY3NwAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAQAA9tYAAQAAAADTLQAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAlkZXNjAAAA8AAAACRyWFlaAAABFAAAABRnWFlaAAABKAAAABRiWFlaAAABPAAAABR3dHB0AAABUAAAABRyVFJDAAABZAAAAChnVFJDAAABZAAAAChiVFJDAAABZAAAAChjcHJ0AAABjAAAADxtbHVjAAAAAAAAAAEAAAAMZW5VUwAAAAgAAAAcAHMAUgBHAEJYWVogAAAAAAAAb6IAADj1AAADkFhZWiAAAAAAAABimQAAt4UAABjaWFlaIAAAAAAAACSgAAAPhAAAts9YWVogAAAAAAAA9tYAAQAAAADTLXBhcmEAAAAAAAQAAAACZmYAAPKnAAANWQAAE9AAAApbAAAAAAAAAABtbHVjAAAAAAAAAAEAAAAMZW5VUwAAACAAAAAcAEcAbwBvAGcAbABlACAASQBuAGMALgAgADIAMAAxADZWUDggQAAAABADAJ0BKhgAEAA+0VajS6gkoyewCAEAGglqAJ0ygATGgAD+3/zVPVRgGw941Tegyb2q4Xa8hsRREuASq+/1QAA=',
  'base64',
);

/** A chunk of a PNG. */
export function pngChunk(kind: string, body: Buffer): Buffer {
  const chunk = Buffer.alloc(12 + body.length);
  chunk.writeUInt32BE(body.length, 0);
  chunk.write(kind, 4, 'latin1');
  body.copy(chunk, 8);
  chunk.writeUInt32BE(crc32(chunk.subarray(4, 8 + body.length)), 8 + body.length);
  return chunk;
}

const header = Buffer.alloc(13);
header.writeUInt32BE(24, 0);
header.writeUInt32BE(16, 4);
header.set([8, 2], 8);
export const PNG_SIGN = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
export const PNG = Buffer.concat([
  PNG_SIGN,
  pngChunk('IHDR', header),
  pngChunk('IDAT', deflateSync(Buffer.alloc(16 * (1 + 24 * 3), 90))),
  pngChunk('IEND', Buffer.alloc(0)),
]);

/** A segment of a JPEG. */
export function jpegSegment(marker: number, body: Buffer): Buffer {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
}

/** A chunk of a WebP. */
export function riffChunk(kind: string, body: Buffer): Buffer {
  const head = Buffer.from(`${kind}\0\0\0\0`, 'latin1');
  head.writeUInt32LE(body.length, 4);
  return Buffer.concat([head, body, Buffer.alloc(body.length % 2)]);
}

/** A JPEG of so many bytes: its picture is small, the rest lies in a comment, which is not kept. */
export function jpegOf(size: number): Buffer {
  const parts: Buffer[] = [];
  for (let left = size - JPEG.length; left > 0; ) {
    // The last comment must hold its own four bytes at least.
    const take = left <= 60_000 ? left : left - 60_000 < 4 ? 59_000 : 60_000;
    parts.push(jpegSegment(0xfe, Buffer.alloc(take - 4, 0x20)));
    left -= take;
  }
  return Buffer.concat([JPEG.subarray(0, 2), ...parts, JPEG.subarray(2)]);
}
