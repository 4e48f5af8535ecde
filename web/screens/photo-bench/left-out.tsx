import type { Point } from '@sabor/core/photo/plane';
import { useId, useRef } from 'react';
import { Button } from '../../ui/button.tsx';
import { allBelow, belowOf } from './bench-picture.ts';
import { TapOver } from './tap-over.tsx';

const pathOf = (area: readonly Point[]) => `M${area.map(({ x, y }) => `${x} ${y}`).join('L')}Z`;

/** The areas left out, dimmed over their picture; while one is painted, each tap sets its next corner. */
export function LeftOutDrawn({
  areas,
  corners,
  setCorners,
}: {
  areas: readonly (readonly Point[])[];
  corners: readonly Point[] | null;
  setCorners: (to: readonly Point[]) => void;
}) {
  return (
    <TapOver setting={corners} set={setCorners}>
      {areas.map((area) => (
        <path key={pathOf(area)} d={pathOf(area)} className="fill-ink/35" />
      ))}
      {corners && corners.length > 0 && (
        <path
          d={pathOf(corners)}
          className="fill-mango/30 stroke-mango"
          strokeWidth="3"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </TapOver>
  );
}

/** What is no hair: all below a line, and areas painted over face, neck and clothes. */
export function LeftOut({
  areas,
  laid,
  corners,
  setCorners,
  change,
  move,
}: {
  areas: readonly Point[][];
  laid: boolean;
  corners: readonly Point[] | null;
  setCorners: (to: readonly Point[] | null) => void;
  /** Other areas, to be measured by. */
  change: (to: Point[][]) => void;
  /** Other areas, on the way there. */
  move: (to: Point[][]) => void;
}) {
  const line = useId();
  const painted = areas.filter((area) => belowOf(area) === null);
  const below = areas.map(belowOf).find((from) => from !== null) ?? 1;
  const withBelow = (from: number) => (from < 1 ? [...painted, allBelow(from)] : painted);
  /** Where the line was taken up; null while it rests. */
  const from = useRef<number | null>(null);
  const takeUp = () => {
    from.current ??= below;
  };
  const rest = () => {
    if (from.current !== null && from.current !== below) change(withBelow(below));
    from.current = null;
  };
  return (
    <div className="mt-2">
      {laid && (
        <p className="text-sm text-mango-deep" role="status">
          Left out is what was left out in another picture from here, laid by the card. See that it fits.
        </p>
      )}
      <label htmlFor={line} className="block text-sm">
        Leave out what is below: neck, clothes
      </label>
      <input
        id={line}
        type="range"
        min={0.2}
        max={1}
        step={0.005}
        value={below}
        className="min-h-10 w-full accent-hibiscus"
        onChange={(event) => move(withBelow(Number(event.target.value)))}
        onPointerDown={takeUp}
        onKeyDown={takeUp}
        onPointerUp={rest}
        onKeyUp={rest}
      />
      {corners ? (
        <div className="flex flex-wrap items-center gap-2">
          <p className="w-full text-sm">
            Tap round what is no hair, corner by corner: {corners.length} so far.
          </p>
          <Button
            look="main"
            disabled={corners.length < 3}
            onClick={() => {
              setCorners(null);
              change([...areas, [...corners]]);
            }}
          >
            Leave this out
          </Button>
          <Button disabled={corners.length === 0} onClick={() => setCorners(corners.slice(0, -1))}>
            Undo last corner
          </Button>
          <Button look="quiet" onClick={() => setCorners(null)}>
            Cancel
          </Button>
        </div>
      ) : (
        <div className="flex flex-wrap items-center gap-2">
          <Button look="quiet" className="-ml-2" onClick={() => setCorners([])}>
            Paint over what is no hair
          </Button>
          {painted.length > 0 && (
            <Button
              look="quiet"
              className="-ml-2"
              onClick={() => change(areas.filter((area) => belowOf(area) !== null))}
            >
              Take painted areas away
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
