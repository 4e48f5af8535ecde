import { useEffect, useRef } from 'react';

/** How long a 1 waits for a nought behind it, ms. */
const TEN_WAITS_MS = 600;

/** Numbers typed on the page rate: 0 to 10, where a 1 waits a moment for its nought. Fields keep their own keys. */
export function useTypedNumber(rate: (value: number) => void): void {
  const now = useRef(rate);
  now.current = rate;
  useEffect(() => {
    let one: ReturnType<typeof setTimeout> | null = null;
    const settle = () => {
      if (one) clearTimeout(one);
      one = null;
    };
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || event.ctrlKey || event.metaKey || event.altKey)
        return;
      if (!/^[0-9]$/.test(event.key)) return;
      const waited = one !== null;
      settle();
      if (event.key === '0' && waited) return now.current(10);
      // Another number after a 1 says that the 1 stood by itself.
      if (waited) now.current(1);
      if (event.key === '1') {
        one = setTimeout(() => {
          one = null;
          now.current(1);
        }, TEN_WAITS_MS);
      } else now.current(Number(event.key));
    };
    addEventListener('keydown', press);
    return () => {
      settle();
      removeEventListener('keydown', press);
    };
  }, []);
}
