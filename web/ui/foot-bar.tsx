import { type ReactNode, useEffect, useRef } from 'react';

/** Buttons that stay at the foot of the screen. Messages lie above it, whatever its height is just then. */
export function FootBar({ className, children }: { className: string; children: ReactNode }) {
  const bar = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const { style } = document.documentElement;
    const watch = new ResizeObserver(() =>
      style.setProperty('--foot', `${bar.current?.offsetHeight ?? 0}px`),
    );
    watch.observe(bar.current!);
    return () => {
      watch.disconnect();
      style.removeProperty('--foot');
    };
  }, []);
  return (
    <div ref={bar} className={`sticky bottom-0 grid ${className}`}>
      {children}
    </div>
  );
}
