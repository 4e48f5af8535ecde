import { PHOTO_MEASURES, WHOLE_MEASURES } from '@sabor/core/photo/measures';
import type { Point } from '@sabor/core/photo/plane';
import { readingInWords } from '@sabor/words/photo';
import { useId, useState } from 'react';
import type { MeasuredPicture } from '../../workers/photo.ts';

/** The parting drawn over its picture, shares of it. */
export function PartingDrawn({ parting: [top, foot] }: { parting: readonly Point[] }) {
  return (
    <svg
      viewBox="0 0 1 1"
      preserveAspectRatio="none"
      className="pointer-events-none absolute inset-0 size-full"
      aria-hidden="true"
    >
      <path
        d={`M${top!.x} ${top!.y}L${foot!.x} ${foot!.y}`}
        className="stroke-leaf"
        strokeWidth="2"
        strokeDasharray="8 4"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

/** One end of the parting, moved across the picture. */
function End({
  label,
  at,
  move,
  rest,
}: {
  label: string;
  at: number;
  move: (to: number) => void;
  rest: () => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm">
        {label}
      </label>
      <input
        id={id}
        type="range"
        min={0}
        max={1}
        step={0.005}
        value={at}
        className="min-h-10 w-full accent-leaf"
        onChange={(event) => move(Number(event.target.value))}
        onPointerUp={rest}
        onKeyUp={rest}
      />
    </div>
  );
}

/** Half by half what is read in a picture of both, and where it is split. */
export function Halves({
  halves,
  parting: rests,
  laid,
  busy,
  shown,
  move,
}: {
  halves: NonNullable<MeasuredPicture['halves']>;
  /** Where the parting is. */
  parting: readonly Point[];
  /** It was brought from another picture. */
  laid: boolean;
  /** The halves are being read anew. */
  busy: boolean;
  /** Draws the parting on its way. */
  shown: (to: Point[] | null) => void;
  move: (to: Point[]) => void;
}) {
  const [moved, setMoved] = useState<Point[] | null>(null);
  const parting = moved ?? rests;
  const set = (end: 0 | 1) => (x: number) => {
    const next = parting.map((place, i) => (i === end ? { ...place, x } : place));
    setMoved(next);
    shown(next);
  };
  const rest = () => {
    if (!moved) return;
    setMoved(null);
    shown(null);
    move(moved);
  };
  return (
    <section aria-label="Half by half" className="mt-2">
      <table className="w-full text-sm">
        <thead>
          <tr className="text-left text-soft">
            <th className="font-normal">Split at the parting</th>
            <th className="font-normal">left half</th>
            <th className="font-normal">right half</th>
          </tr>
        </thead>
        <tbody>
          {WHOLE_MEASURES.map((key) => (
            <tr key={key}>
              <th scope="row" className="text-left font-normal text-soft">
                {PHOTO_MEASURES[key].label}
              </th>
              {(['left', 'right'] as const).map((half) => {
                const value = halves[half][key]?.value ?? null;
                return (
                  <td key={half} className="figure font-semibold">
                    {busy ? '…' : value === null ? '–' : readingInWords(key, value)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {laid && (
        <p className="mt-1 text-mango-deep text-sm" role="status">
          The parting lies where it was put in another picture from here, laid by the card. See that it fits.
        </p>
      )}
      <End label="Parting, at the top" at={parting[0]!.x} move={set(0)} rest={rest} />
      <End label="Parting, at the foot" at={parting[1]!.x} move={set(1)} rest={rest} />
    </section>
  );
}
