import { type ReactNode, Suspense, useEffect, useRef, useState } from 'react';

/** Holds what is heavy to fetch or draw until it is nearly in view; on paper it is there at once. */
export function WhenSeen({ className, children }: { className: string; children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const here = place.current;
    if (!here) return;
    const show = () => setSeen(true);
    const watch = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && show(),
      {
        rootMargin: '300px',
      },
    );
    watch.observe(here);
    addEventListener('beforeprint', show);
    return () => {
      watch.disconnect();
      removeEventListener('beforeprint', show);
    };
  }, []);
  return (
    <div ref={place} className={seen ? '' : className}>
      {seen && <Suspense fallback={<div className={className} />}>{children}</Suspense>}
    </div>
  );
}
