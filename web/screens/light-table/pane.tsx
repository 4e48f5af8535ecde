import type { ListedPhotograph } from '@sabor/contract/photograph';
import type { Point } from '@sabor/core/photo/plane';
import type { Similarity } from '@sabor/core/photo/similarity';
import { type CSSProperties, type PointerEvent, useEffect, useRef, useState } from 'react';
import { pathOf } from '../../drawings/path-of.ts';
import type { Drawn } from './drawn.ts';
import { placeIn, shownAt, type TwoPoints, type View, zoomed } from './laid.ts';

export interface Laid {
  picture: ListedPhotograph;
  name: string;
  laid: Similarity;
  /** What its brightness is multiplied by. */
  brightness: number;
  points: TwoPoints;
  /** What was read in it, to be drawn over it. */
  drawn: Drawn | null;
}

/** Pixels a pane measures. */
function useSize() {
  const place = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const here = place.current;
    if (!here) return;
    const watch = new ResizeObserver(() => setSize({ width: here.clientWidth, height: here.clientHeight }));
    watch.observe(here);
    return () => watch.disconnect();
  }, []);
  return { place, ...size };
}

/** Turns drags, pinches and the wheel into one view for all pictures. */
function useHands(
  view: View,
  setView: (to: View) => void,
  unit: number,
  corner: { left: number; top: number },
  tap: ((at: Point) => void) | null,
) {
  const down = useRef(new Map<number, Point>());
  const moved = useRef(false);
  const at = (event: PointerEvent<HTMLElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return {
      x: (event.clientX - box.left - corner.left) / unit,
      y: (event.clientY - box.top - corner.top) / unit,
    };
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      down.current.set(event.pointerId, at(event));
      moved.current = false;
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const from = down.current.get(event.pointerId);
      if (!from) return;
      const to = at(event);
      if (Math.hypot(to.x - from.x, to.y - from.y) * unit > 4) moved.current = true;
      if (!moved.current) return;
      const other = [...down.current].find(([id]) => id !== event.pointerId)?.[1];
      down.current.set(event.pointerId, to);
      if (!other) return setView({ ...view, x: view.x + to.x - from.x, y: view.y + to.y - from.y });
      const apart = (a: Point) => Math.hypot(a.x - other.x, a.y - other.y);
      setView(zoomed(view, apart(to) / Math.max(0.01, apart(from)), other));
    },
    onPointerUp: (event: PointerEvent<HTMLElement>) => {
      const here = at(event);
      if (down.current.delete(event.pointerId) && !moved.current && tap) tap(here);
    },
    onPointerCancel: (event: PointerEvent<HTMLElement>) => void down.current.delete(event.pointerId),
    wheel: (event: WheelEvent, box: DOMRect) => {
      const about = {
        x: (event.clientX - box.left - corner.left) / unit,
        y: (event.clientY - box.top - corner.top) / unit,
      };
      setView(zoomed(view, Math.exp(-event.deltaY / 400), about));
    },
  };
}

const styleOf = ({ laid, picture, brightness }: Laid, view: View, height: number): CSSProperties => {
  const [a, b] = [view.zoom * laid.re, view.zoom * laid.im];
  const [x, y] = [height * (view.x + view.zoom * laid.x), height * (view.y + view.zoom * laid.y)];
  return {
    width: height * picture.aspect,
    height,
    transform: `matrix(${a}, ${b}, ${-b}, ${a}, ${x}, ${y})`,
    transformOrigin: '0 0',
    filter: brightness === 1 ? undefined : `brightness(${brightness})`,
  };
};

/** Outline, where the halo is looked for, and tagged curls, laid as their picture is. */
function Over({ drawn, style }: { drawn: Drawn; style: CSSProperties }) {
  const line = { fill: 'none', vectorEffect: 'non-scaling-stroke' } as const;
  return (
    <svg
      viewBox={`0 0 ${drawn.width} ${drawn.height}`}
      preserveAspectRatio="none"
      className="pointer-events-none absolute max-w-none"
      style={style}
      aria-hidden="true"
    >
      <path
        d={pathOf(drawn.reach)}
        {...line}
        className="stroke-mango"
        strokeWidth="1.5"
        strokeDasharray="5 4"
      />
      <path d={pathOf(drawn.outline)} {...line} className="stroke-hibiscus" strokeWidth="2" />
      <path d={pathOf(drawn.curls)} {...line} className="stroke-leaf" strokeWidth="3" />
    </svg>
  );
}

/** A pane with one picture, or several over each other: the later ones cut off at `wipe`, or set against those below. */
export function Pane({
  pictures,
  view,
  setView,
  tap,
  wipe = null,
  difference = false,
  className = '',
}: {
  pictures: readonly Laid[];
  view: View;
  setView: (to: View) => void;
  /** Takes a place that was tapped in the first picture, in its heights. */
  tap: ((at: Point) => void) | null;
  /** Share of the pane from which on the second picture shows. */
  wipe?: number | null;
  difference?: boolean;
  className?: string;
}) {
  const { place, width, height } = useSize();
  const [first] = pictures;
  // The first picture fits in, and stands in the middle, when nothing is zoomed.
  const aspect = first?.picture.aspect ?? 1;
  const unit = Math.min(height, width / aspect);
  const corner = { left: (width - unit * aspect) / 2, top: (height - unit) / 2 };
  const hands = useHands(
    view,
    setView,
    unit,
    corner,
    tap && first ? (at) => tap(placeIn(view, first.laid, at)) : null,
  );
  const { wheel, ...pointers } = hands;
  // A wheel's event has to be heard actively, or the page scrolls along.
  const turned = useRef(wheel);
  turned.current = wheel;
  useEffect(() => {
    const here = place.current;
    if (!here) return;
    const listen = (event: WheelEvent) => {
      event.preventDefault();
      turned.current(event, here.getBoundingClientRect());
    };
    here.addEventListener('wheel', listen, { passive: false });
    return () => here.removeEventListener('wheel', listen);
  }, [place]);
  return (
    <div
      ref={place}
      className={`relative touch-none select-none overflow-hidden rounded-tag bg-ink/10 ${tap ? 'cursor-crosshair' : 'cursor-grab active:cursor-grabbing'} ${className}`}
      {...pointers}
    >
      {pictures.map((one, i) => (
        <div
          key={one.picture.id}
          className="absolute inset-0"
          style={{
            ...(i > 0 && wipe !== null ? { clipPath: `inset(0 0 0 ${100 * wipe}%)` } : {}),
            ...(i > 0 && difference ? { mixBlendMode: 'difference' } : {}),
          }}
        >
          <img
            src={`/api/photographs/${one.picture.id}/image`}
            alt={one.name}
            draggable={false}
            className="absolute max-w-none"
            style={{ ...styleOf(one, view, unit), ...corner }}
          />
          {one.drawn && (
            <Over drawn={one.drawn} style={{ ...styleOf(one, view, unit), ...corner, filter: undefined }} />
          )}
        </div>
      ))}
      {first?.points.map((point) => {
        const { x, y } = shownAt(view, first.laid, point);
        return (
          <span
            key={`${point.x} ${point.y}`}
            aria-hidden="true"
            className="absolute size-4 -translate-1/2 rounded-full border-3 border-mango"
            style={{ left: corner.left + x * unit, top: corner.top + y * unit }}
          />
        );
      })}
      {wipe !== null && (
        <span
          aria-hidden="true"
          className="pointer-events-none absolute inset-y-0 w-0.5 bg-mango"
          style={{ left: `${100 * wipe}%` }}
        />
      )}
    </div>
  );
}
