import { type ReactNode, useEffect, useRef } from 'react';

/** Buttons that stay at the foot of the screen. Messages lie above it, whatever its height is just then. */
export function FootBar({ className, children }: { className: string; children: ReactNode }) {
  const bar = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const { style } = document.documentElement;
    // Where it stands within the page, messages have the foot of the screen to themselves.
    const place = () => {
      const { bottom = 0, height = 0 } = bar.current?.getBoundingClientRect() ?? {};
      style.setProperty('--foot', `${bottom >= innerHeight - 2 ? height : 0}px`);
    };
    const watch = new ResizeObserver(place);
    watch.observe(bar.current!);
    addEventListener('scroll', place, { passive: true, capture: true });
    addEventListener('resize', place);
    return () => {
      watch.disconnect();
      removeEventListener('scroll', place, { capture: true });
      removeEventListener('resize', place);
      style.removeProperty('--foot');
    };
  }, []);
  return (
    <div ref={bar} className={`sticky bottom-0 grid ${className}`}>
      {children}
    </div>
  );
}
