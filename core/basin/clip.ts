import { PHOTOGRAPH_LIMIT } from './photograph-size.ts';

/** What hair is shown doing in a short clip. */
export const CLIPS = {
  turn: { label: 'turn', says: 'once round, slowly' },
  bounce: { label: 'bounce', says: 'a few steps on the spot' },
  scrunch: { label: 'scrunch', says: 'a handful from below, close to the microphone' },
} as const;
export type ClipKind = keyof typeof CLIPS;

/** Kinds of film that browsers and phones record. */
export const CLIP_TYPES = ['video/webm', 'video/mp4'] as const;
export type ClipType = (typeof CLIP_TYPES)[number];

/** Longest a clip runs, seconds; a recording stops by itself there, and may be a frame late. */
export const CLIP_SECONDS = 8;
export const CLIP_SECONDS_AT_MOST = 8.5;
/** Most bytes of one clip: as of a photograph. */
export const CLIP_LIMIT = PHOTOGRAPH_LIMIT;

/** How far two clips that play in step may drift apart before the later is moved, seconds: about two frames. */
const MOST_DRIFT = 0.07;

/**
 * Where a clip should stand when the clock of both shows `at` seconds: each at its own time, the shorter held on its last
 * picture. Null where it stands near enough.
 */
export function broughtInStep(at: number, stands: number, seconds: number): number | null {
  const should = Math.min(Math.max(at, 0), seconds);
  return Math.abs(stands - should) > MOST_DRIFT ? should : null;
}
