import { type ReactNode, useEffect, useRef } from 'react';

/** Room two messages take at the foot of the screen, pixels. */
const MESSAGES = 160;

/** Where the bar stands just now is told to the messages, which lie clear of it. */
function place(bar: Element | null): void {
  if (!bar) return;
  const { top, bottom } = bar.getBoundingClientRect();
  // Where it stands high enough within the page, messages have the foot of the screen to themselves.
  const lifted = innerHeight - bottom < MESSAGES ? Math.max(0, innerHeight - top) : 0;
  const { style } = document.documentElement;
  // Told anew, it has all of the page's styles reckoned anew.
  if (style.getPropertyValue('--foot') !== `${lifted}px`) style.setProperty('--foot', `${lifted}px`);
}

/** Buttons that stay at the foot of the screen. Messages lie above it, whatever its height is just then. */
export function FootBar({ className, children }: { className: string; children: ReactNode }) {
  const bar = useRef<HTMLDivElement>(null);
  // What stands above it may have grown or gone since it was drawn last: it moves, and keeps its size.
  useEffect(() => place(bar.current));
  useEffect(() => {
    const moved = () => place(bar.current);
    const watch = new ResizeObserver(moved);
    for (const one of [bar.current!, document.body]) watch.observe(one);
    addEventListener('scroll', moved, { passive: true, capture: true });
    addEventListener('resize', moved);
    return () => {
      watch.disconnect();
      removeEventListener('scroll', moved, { capture: true });
      removeEventListener('resize', moved);
      document.documentElement.style.removeProperty('--foot');
    };
  }, []);
  return (
    <div ref={bar} className={`sticky bottom-0 grid ${className}`}>
      {children}
    </div>
  );
}
