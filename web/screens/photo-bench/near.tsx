import { curlFrom } from '@sabor/core/photo/close/curl';
import type { Shine } from '@sabor/core/photo/close/shine';
import type { Point } from '@sabor/core/photo/plane';
import { CURL_TROUBLES, curlInWords, shineInWords } from '@sabor/words/photo';
import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { NumberField } from '../../ui/inputs.tsx';
import type { MeasuredPicture } from '../../workers/photo.ts';
import type { BenchPicture } from './bench-picture.ts';
import { TapOver } from './tap-over.tsx';

/** Tagged curls over their picture; while one is tagged, each tap sets the next place where it turns back. */
export function CurlsDrawn({
  curls,
  leans,
  read,
  crests,
  setCrests,
}: {
  curls: readonly (readonly Point[])[];
  /** How far each leans out of the picture's plane, degrees, where it is on its way too. */
  leans: readonly number[];
  /** Null while the picture is not measured: the paths of curls are drawn by its scale. */
  read: MeasuredPicture | null;
  crests: readonly Point[] | null;
  setCrests: (to: readonly Point[]) => void;
}) {
  const line = (places: readonly Point[]) => places.map(({ x, y }) => `${x} ${y}`).join('L');
  /** The strand as its fitted helix runs; the tapped places themselves until there is one. */
  const pathOf = (places: readonly Point[], lean: number | undefined): readonly Point[] => {
    if (!read?.card) return places;
    const { width, height, card } = read;
    const inPixels = places.map(({ x, y }) => ({ x: x * width, y: y * height }));
    const { path } = curlFrom(inPixels, card.pxPerMm, lean);
    return path.length > 0 ? path.map(({ x, y }) => ({ x: x / width, y: y / height })) : places;
  };
  return (
    <TapOver setting={crests} set={setCrests}>
      {[...curls, ...(crests?.length ? [crests] : [])].map((places, i) => (
        <g key={line(places)} className={i < curls.length ? 'stroke-leaf' : 'stroke-mango'}>
          <path
            d={`M${line(i < curls.length ? pathOf(places, leans[i]) : places)}`}
            fill="none"
            strokeWidth="3"
            vectorEffect="non-scaling-stroke"
          />
          {places.map(({ x, y }) => (
            <path
              key={`${x} ${y}`}
              d={`M${x} ${y}h0`}
              strokeWidth="10"
              strokeLinecap="round"
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </g>
      ))}
    </TapOver>
  );
}

/** Brightness line by line down the picture, drawn to the right of the middle line and to its left. */
function ShineDrawn({ lines, line, peak }: Shine & { peak: number }) {
  const widest = Math.max(0.5, ...lines.map((value) => Math.abs(value ?? 0)));
  return (
    <figure className="mt-2 flex items-center gap-3 text-sm">
      <svg
        viewBox={`-1 0 2 ${lines.length}`}
        preserveAspectRatio="none"
        className="h-24 w-20 shrink-0"
        aria-hidden="true"
      >
        {lines.map((value, i) => {
          const long = (value ?? 0) / widest;
          return (
            <rect
              key={i}
              x={Math.min(0, long)}
              y={i}
              width={Math.abs(long)}
              height={1}
              className="fill-mango"
            />
          );
        })}
        <path
          d={`M0 0V${lines.length}`}
          className="stroke-ink"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <figcaption>
        Shine, by lines of {line.toFixed(0)} mm from the top down. {shineInWords(peak)}
      </figcaption>
    </figure>
  );
}

/** What is told of hair from near alone: the curl it is read by, tagged curls, and shine. */
export function Near({
  picture,
  read,
  crests,
  setCrests,
  lean: showLeans,
  measure,
}: {
  picture: BenchPicture & { near: NonNullable<BenchPicture['near']> };
  /** Null while it is not measured. */
  read: MeasuredPicture | null;
  crests: readonly Point[] | null;
  setCrests: (to: readonly Point[] | null) => void;
  /** Draws a lean on its way. */
  lean: (to: readonly number[] | null) => void;
  measure: (picture: BenchPicture) => void;
}) {
  const { near, filed } = picture;
  const [width, setWidth] = useState<number | null>(near.curlWidth);
  const fits = width !== null && width >= 1 && width <= 100;
  const leans = near.curls.map((_, i) => near.leans[i] ?? 0);
  const withCurls = (curls: Point[][], to: number[] = leans) =>
    measure({ ...picture, near: { ...near, curls, leans: to } });
  /** A lean on its way; null while all rest. */
  const [leaning, setLeaning] = useState<number[] | null>(null);
  const rest = () => {
    if (!leaning) return;
    setLeaning(null);
    showLeans(null);
    withCurls(near.curls, leaning);
  };
  const fixed = filed !== null && filed.curlWidth !== null;
  return (
    <div className="mt-2">
      {fixed ? (
        <p className="text-sm text-soft">
          Read by a curl {near.curlWidth} mm wide, like the other pictures of this place.
        </p>
      ) : (
        <div className="flex flex-wrap items-end gap-2">
          <NumberField
            label="A curl here is wide"
            unit="mm"
            value={width}
            onChange={setWidth}
            error={fits ? undefined : 'Between 1 and 100 mm; 20 for straight hair.'}
          />
          {fits && width !== near.curlWidth && (
            <Button onClick={() => measure({ ...picture, near: { ...near, curlWidth: width } })}>
              Measure by this
            </Button>
          )}
        </div>
      )}
      {near.curls.length > 0 && (
        <ol className="mt-2 text-sm">
          {near.curls.map((places, i) => {
            const curl = read?.near?.curls[i];
            return (
              <li key={JSON.stringify(places)} className="flex flex-wrap items-center gap-x-3">
                <span className={curl?.trouble ? 'text-mango-deep' : ''}>
                  Curl {i + 1}:{' '}
                  {!curl ? '…' : curl.trouble ? CURL_TROUBLES[curl.trouble] : curlInWords(curl.curl)}
                </span>
                <button
                  type="button"
                  className="min-h-10 underline underline-offset-4"
                  onClick={() => withCurls(near.curls.toSpliced(i, 1), leans.toSpliced(i, 1))}
                >
                  Remove <span className="sr-only">curl {i + 1}</span>
                </button>
                {!crests && (
                  <label className="flex w-full items-center gap-2">
                    Curl {i + 1} leans
                    <input
                      type="range"
                      min={-45}
                      max={45}
                      step={1}
                      value={(leaning ?? leans)[i]}
                      aria-valuetext={`${(leaning ?? leans)[i]} degrees`}
                      className="min-h-10 flex-1 accent-leaf"
                      onChange={(event) => {
                        const to = (leaning ?? leans).with(i, Number(event.target.value));
                        setLeaning(to);
                        showLeans(to);
                      }}
                      onPointerUp={rest}
                      onKeyUp={rest}
                    />
                    <span className="figure w-10">{(leaning ?? leans)[i]}°</span>
                  </label>
                )}
              </li>
            );
          })}
        </ol>
      )}
      {crests ? (
        <div className="flex flex-wrap items-center gap-2">
          <p className="w-full text-sm">
            Tap the middle of the curl where it turns back, one side after the other, from its top down:{' '}
            {crests.length} so far, five at least. Then move how far it leans until the drawn line lies on it.
          </p>
          <Button
            look="main"
            disabled={crests.length < 5}
            onClick={() => {
              setCrests(null);
              withCurls([...near.curls, [...crests]], [...leans, 0]);
            }}
          >
            Keep this curl
          </Button>
          <Button disabled={crests.length === 0} onClick={() => setCrests(crests.slice(0, -1))}>
            Undo last place
          </Button>
          <Button look="quiet" onClick={() => setCrests(null)}>
            Cancel
          </Button>
        </div>
      ) : (
        <Button look="quiet" className="-ml-2" onClick={() => setCrests([])}>
          Tag a curl
        </Button>
      )}
      {read?.near?.shine && read.near.shine.peak !== null && (
        <ShineDrawn {...read.near.shine} peak={read.near.shine.peak} />
      )}
    </div>
  );
}
