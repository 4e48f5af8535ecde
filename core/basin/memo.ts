import { keysOf } from '../vocabulary.ts';

/** What a note can be about: the table it stands in (`<table>_id` in a note's row), and where its page is. */
export const MEMO_ABOUT = {
  'wash-day': { label: 'this wash day', table: 'wash_day', page: '/wash-days/' },
  wearer: { label: 'this head', table: 'wearer', page: '/heads/' },
  product: { label: 'this product', table: 'product', page: '/shelf/' },
  trial: { label: 'this trial', table: 'trial', page: '/trials/' },
} as const;
export type MemoAbout = keyof typeof MEMO_ABOUT;

/** Kinds of sound that browsers record. */
export const MEMO_TYPES = ['audio/webm', 'audio/ogg', 'audio/mp4'] as const;
export type MemoType = (typeof MEMO_TYPES)[number];

/** Longest a voice memo runs before it stops by itself, and the rate it is recorded at, seconds and bits a second. */
export const MEMO_SECONDS = 600;
export const MEMO_BITS = 24_000;
/** Most bytes of one voice memo. */
export const MEMO_LIMIT = 12_000_000;

/** What a page is about, by its address; null where a note told there is about nothing of it. */
export function aboutOf(pathname: string): { kind: MemoAbout; id: string } | null {
  const kind = keysOf(MEMO_ABOUT).find((key) => pathname.startsWith(MEMO_ABOUT[key].page));
  const [id] = /(?<=^\/[a-z-]+\/)[0-9a-f-]{36}/.exec(pathname) ?? [];
  return kind && id ? { kind, id } : null;
}

/** What a sound file begins with. Source: Matroska/WebM (EBML header), Ogg (RFC 3533), ISO/IEC 14496-12 (ftyp). */
export function soundType(bytes: Uint8Array): MemoType | null {
  const text = (from: number, length: number) => String.fromCharCode(...bytes.subarray(from, from + length));
  if (bytes[0] === 0x1a && bytes[1] === 0x45 && bytes[2] === 0xdf && bytes[3] === 0xa3) return 'audio/webm';
  if (text(0, 4) === 'OggS') return 'audio/ogg';
  return text(4, 4) === 'ftyp' ? 'audio/mp4' : null;
}
