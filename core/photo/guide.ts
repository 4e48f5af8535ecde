import type { CardTrouble } from './card/find.ts';
import { findCard } from './card/find.ts';
import type { CardKind } from './card/layout.ts';
import { takenOf } from './guard.ts';
import type { Picture } from './plane.ts';

/** What a small frame tells of how the picture is going to be, worst first; it guides, it refuses nothing. */
export type Advice =
  | { kind: 'card'; trouble: CardTrouble }
  | { kind: 'dark' }
  | { kind: 'tilted'; degrees: number }
  | { kind: 'closer'; share: number }
  | { kind: 'further'; share: number }
  | { kind: 'soft' };

export interface Guide {
  advice: Advice[];
  /** Millimetres that the frame is wide; null where no card was found. */
  frameMm: number | null;
}

/** From where on something is said: judged, well inside what the guard bears (methods.md 4). */
const SAID = { tilt: 9, share: 0.03, dark: -2 } as const;
/** The card's edge in a small frame rises within so many pixels when the picture is in focus. Judged. */
const SOFT = 2.6;

/**
 * What a frame of the camera's film says of the picture to come; `lastMm` is how many millimetres the last picture from
 * this angle was wide, null where there is none to match; `kind` which card stands or lies in it.
 */
export function guideOf(frame: Picture, lastMm: number | null, kind: CardKind = 'stand'): Guide {
  const { card, trouble } = findCard(frame, kind);
  if (!card) return { advice: [{ kind: 'card', trouble }], frameMm: null };
  const { exposure, tilt } = takenOf(card);
  const frameMm = frame.width / card.pxPerMm;
  const advice: Advice[] = [];
  if (exposure < SAID.dark) advice.push({ kind: 'dark' });
  if (tilt > SAID.tilt) advice.push({ kind: 'tilted', degrees: tilt });
  const share = lastMm === null ? 0 : frameMm / lastMm - 1;
  if (share > SAID.share) advice.push({ kind: 'closer', share });
  if (share < -SAID.share) advice.push({ kind: 'further', share: -share });
  if (card.edge && card.edge.px > SOFT) advice.push({ kind: 'soft' });
  return { advice, frameMm };
}
