import { type RefObject, useEffect } from 'react';

/** Where messages may lie, the best liked first; each is laid out by the styles. */
export const SPOTS = ['foot', 'foot left', 'foot right', 'head', 'head left', 'head right'] as const;
export type Spot = (typeof SPOTS)[number];

/** A rectangle of the screen, pixels. */
export type Box = Pick<DOMRect, 'left' | 'right' | 'top' | 'bottom'>;

const meet = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** Where messages lie: at a spot, lifted from the foot by so many pixels where no spot is clear. */
export interface Place {
  spot: Spot;
  lift: number;
}

/** What a message is lifted by at a time, pixels. */
const STEP = 8;
const FEET = ['foot', 'foot left', 'foot right'] as const;

/**
 * Where messages lie over no control: where they are, as long as that is so; else at the best liked spot that is clear; else
 * as little above the foot as leaves them so; else over as few as can be. `spots`: where each lies, unlifted.
 */
export function clearest(spots: ReadonlyMap<Spot, Box>, controls: readonly Box[], now: Place): Place {
  const over = ({ spot, lift }: Place) => {
    const { top, bottom, ...sides } = spots.get(spot)!;
    const box = { ...sides, top: top - lift, bottom: bottom - lift };
    return controls.filter((one) => meet(box, one)).length;
  };
  if (over(now) === 0) return now;
  const best = SPOTS.map((spot) => ({ spot, lift: 0 })).reduce((best, one) =>
    over(one) < over(best) ? one : best,
  );
  if (over(best) === 0) return best;
  for (let lift = STEP; spots.get('foot')!.top > lift; lift += STEP) {
    const clear = FEET.map((spot) => ({ spot, lift })).find((one) => over(one) === 0);
    if (clear) return clear;
  }
  return best;
}

/** What is tapped, clicked or typed into. */
const CONTROLS =
  'a[href], button, input, select, textarea, summary, label, [role="button"], [role="tab"], [role="slider"]';

/** Lays the messages where they cover no control, or as few as can be. */
function lay(list: HTMLElement): void {
  const now = {
    spot: SPOTS.find((spot) => spot === list.dataset.at) ?? SPOTS[0],
    lift: Number.parseFloat(list.style.getPropertyValue('--lift')) || 0,
  };
  const put = ({ spot, lift }: Place) => {
    list.dataset.at = spot;
    list.style.setProperty('--lift', `${lift}px`);
  };
  const spots = new Map(
    SPOTS.map((spot) => {
      put({ spot, lift: 0 });
      const { left, right, top, bottom } = list.getBoundingClientRect();
      return [spot, { left, right, top, bottom }];
    }),
  );
  const controls = [...document.querySelectorAll(CONTROLS)]
    .filter((one) => !list.contains(one))
    .map((one) => one.getBoundingClientRect())
    .filter(({ width, height }) => width > 1 && height > 1);
  put(clearest(spots, controls, now));
}

/** How long the page must have stood still before messages look for another spot, ms. */
const STILL = 150;

/** Keeps the list of messages clear of what is tapped, as the page moves and grows; not from under a pointer that goes to it. */
export function useSpot(list: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const here = list.current;
    if (!here) return;
    // A pointer that only lies where the message came is not on its way to Undo.
    let wanted = false;
    const towards = ({ movementX, movementY }: PointerEvent) => {
      wanted ||= movementX !== 0 || movementY !== 0;
    };
    const away = () => {
      wanted = false;
    };
    here.addEventListener('pointermove', towards);
    here.addEventListener('pointerleave', away);
    let later: ReturnType<typeof setTimeout>;
    const moved = () => {
      clearTimeout(later);
      later = setTimeout(() => wanted || here.matches(':focus-within') || lay(here), STILL);
    };
    // A message that comes is laid before it is seen.
    const came = new ResizeObserver(() => lay(here));
    came.observe(here);
    const grew = new ResizeObserver(moved);
    grew.observe(document.body);
    const drawn = new MutationObserver(moved);
    // Not its main part alone: another screen may have another.
    drawn.observe(document.body, { childList: true, subtree: true });
    addEventListener('scroll', moved, { passive: true, capture: true });
    addEventListener('resize', moved);
    return () => {
      clearTimeout(later);
      here.removeEventListener('pointermove', towards);
      here.removeEventListener('pointerleave', away);
      for (const one of [came, grew, drawn]) one.disconnect();
      removeEventListener('scroll', moved, { capture: true });
      removeEventListener('resize', moved);
    };
  }, [list]);
}
