import { type RefObject, useEffect } from 'react';

/** Where messages may lie, the best liked first; each is laid out by the styles. */
export const SPOTS = ['foot', 'foot left', 'foot right', 'head', 'head left', 'head right'] as const;
export type Spot = (typeof SPOTS)[number];

/** A rectangle of the screen, pixels. */
export type Box = Pick<DOMRect, 'left' | 'right' | 'top' | 'bottom'>;

const meet = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** The spot that lies over the fewest controls: the one it has as long as that is over none, else the best liked of them. */
export function clearest(spots: ReadonlyMap<Spot, Box>, controls: readonly Box[], now: Spot): Spot {
  const over = (spot: Spot) => controls.filter((one) => meet(spots.get(spot)!, one)).length;
  if (over(now) === 0) return now;
  return [...spots.keys()].reduce((best, spot) => (over(spot) < over(best) ? spot : best));
}

/** What is tapped, clicked or typed into. */
const CONTROLS =
  'a[href], button, input, select, textarea, summary, label, [role="button"], [role="tab"], [role="slider"]';

/** Lays the messages where they cover no control, or as few as can be. */
function lay(list: HTMLElement): void {
  const now = SPOTS.find((spot) => spot === list.dataset.at) ?? SPOTS[0];
  const spots = new Map(
    SPOTS.map((spot) => {
      list.dataset.at = spot;
      return [spot, list.getBoundingClientRect()];
    }),
  );
  const controls = [...document.querySelectorAll(CONTROLS)]
    .filter((one) => !list.contains(one))
    .map((one) => one.getBoundingClientRect())
    .filter(({ width, height }) => width > 1 && height > 1);
  list.dataset.at = clearest(spots, controls, now);
}

/** How long the page must have stood still before messages look for another spot, ms. */
const STILL = 150;

/** Keeps the list of messages clear of what is tapped, as the page moves and grows; not from under a pointer that is over it. */
export function useSpot(list: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const [here, main] = [list.current, document.querySelector('main')];
    if (!here || !main) return;
    let later: ReturnType<typeof setTimeout>;
    const moved = () => {
      clearTimeout(later);
      later = setTimeout(() => here.matches(':hover, :focus-within') || lay(here), STILL);
    };
    // A message that comes is laid before it is seen; the pointer is still where it was brought about.
    const came = new ResizeObserver(() => lay(here));
    came.observe(here);
    const grew = new ResizeObserver(moved);
    grew.observe(main);
    const drawn = new MutationObserver(moved);
    drawn.observe(main, { childList: true, subtree: true });
    addEventListener('scroll', moved, { passive: true, capture: true });
    addEventListener('resize', moved);
    return () => {
      clearTimeout(later);
      for (const one of [came, grew, drawn]) one.disconnect();
      removeEventListener('scroll', moved, { capture: true });
      removeEventListener('resize', moved);
    };
  }, [list]);
}
