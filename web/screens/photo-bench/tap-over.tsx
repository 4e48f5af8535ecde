import type { Point } from '@sabor/core/photo/plane';
import type { ReactNode } from 'react';

/** What lies over a picture, drawn in shares of it; while places are set, each tap tells where. */
export function TapOver({
  setting,
  set,
  children,
}: {
  /** Places set so far; null while none are. */
  setting: readonly Point[] | null;
  set: (to: readonly Point[]) => void;
  children: ReactNode;
}) {
  return (
    <svg
      viewBox="0 0 1 1"
      preserveAspectRatio="none"
      className={`absolute inset-0 size-full ${setting ? 'z-10 cursor-crosshair' : 'pointer-events-none'}`}
      aria-hidden="true"
      onClick={(event) => {
        if (!setting) return;
        const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
        set([...setting, { x: (event.clientX - left) / width, y: (event.clientY - top) / height }]);
      }}
    >
      {children}
    </svg>
  );
}
