import type { Simulated } from '@sabor/core/made-up/simulated';
import { WAYS } from '@sabor/core/photo/guard';
import { CLOSE_MEASURES, PHOTO_MEASURES, WHOLE_MEASURES } from '@sabor/core/photo/measures';
import type { Point } from '@sabor/core/photo/plane';
import { NOTES, REFUSALS, readingInWords } from '@sabor/words/photo';
import { useRef, useState } from 'react';
import { pathOf } from '../../drawings/path-of.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import type { MeasuredPicture } from '../../workers/photo.ts';
import { type BenchPicture, lastRead } from './bench-picture.ts';
import { LeftOut, LeftOutDrawn } from './left-out.tsx';
import { CurlsDrawn, Near } from './near.tsx';
import { Halves, PartingDrawn } from './parting.tsx';

/** What was found, drawn over the picture: the card, the outline, and how far out the halo is looked for. */
function Found({ read }: { read: MeasuredPicture }) {
  const { width, height } = read;
  const thin = Math.max(width, height) / 400;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="pointer-events-none absolute inset-0 size-full"
      aria-hidden="true"
    >
      <path
        d={pathOf(read.reach)}
        fill="none"
        className="stroke-mango"
        strokeWidth={thin}
        strokeDasharray={`${4 * thin}`}
      />
      <path d={pathOf(read.outline)} fill="none" className="stroke-hibiscus" strokeWidth={1.4 * thin} />
      {read.card && (
        <path
          d={`${pathOf([read.card.corners])}Z`}
          fill="none"
          className="stroke-leaf"
          strokeWidth={1.4 * thin}
        />
      )}
    </svg>
  );
}

/** One picture with what was read in it, or why not. */
export function OnTheBench({
  picture,
  first,
  change,
  measure,
  shootAgain,
  busy,
  last,
  remove,
}: {
  picture: BenchPicture;
  first: boolean;
  change: (id: string, to: Partial<BenchPicture>) => void;
  measure: (picture: BenchPicture) => void;
  /** Draws a made-up head once more. */
  shootAgain: (plan: Simulated, name: string) => void;
  busy: boolean;
  last: boolean;
  remove: (id: string) => void;
}) {
  const { id, name, url, state, again, madeUp, leftOut, laid, filed, near } = picture;
  const measures = near ? CLOSE_MEASURES : WHOLE_MEASURES;
  /** Corners of an area that is being painted; null while none is. */
  const [corners, setCorners] = useState<readonly Point[] | null>(null);
  /** Places of a curl that is being tagged; null while none is. */
  const [crests, setCrests] = useState<readonly Point[] | null>(null);
  /** Leans of curls on their way. */
  const [leaning, setLeaning] = useState<readonly number[] | null>(null);
  /** A parting on its way to where it will be. */
  const [onItsWay, setOnItsWay] = useState<readonly Point[] | null>(null);
  // What a hand holds stays under it while the picture is read anew.
  const halves = lastRead(picture)?.halves ?? null;
  const shown = useRef<HTMLImageElement>(null);
  const isBesideAnother =
    state.kind === 'read' &&
    filed?.photograph.measured?.notes.includes('empty frame') &&
    !state.read.notes.includes('empty frame');
  const refusals =
    state.kind === 'read' ? [...new Set(measures.flatMap((key) => state.read.readings[key]?.why ?? []))] : [];
  return (
    <article aria-label={name} className="rounded-tag border border-rule p-3">
      <h3 className="text-lg">{name}</h3>
      <div className="relative my-2">
        <img ref={shown} src={url} alt={`${name}, as taken`} className="w-full rounded-tag" />
        <LeftOutDrawn areas={leftOut} corners={corners} setCorners={setCorners} />
        {near && (
          <CurlsDrawn
            curls={near.curls}
            leans={leaning ?? near.leans}
            read={state.kind === 'read' ? state.read : null}
            crests={crests}
            setCrests={setCrests}
          />
        )}
        {state.kind === 'read' && <Found read={state.read} />}
        {halves && <PartingDrawn parting={onItsWay ?? picture.parting ?? halves.parting} />}
      </div>
      {state.kind === 'measuring' && <p role="status">Measuring …</p>}
      {state.kind === 'failed' && (
        <p role="alert" className="font-semibold text-brick">
          {state.why}
        </p>
      )}
      {state.kind === 'read' && (
        <>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4">
            {measures.map((key) => {
              const reading = state.read.readings[key];
              return (
                <div key={key} className="contents">
                  <dt className="text-soft">{PHOTO_MEASURES[key].label}</dt>
                  <dd className="figure font-semibold">
                    {reading?.value === null || reading === undefined
                      ? '–'
                      : readingInWords(key, reading.value)}
                  </dd>
                </div>
              );
            })}
          </dl>
          <ul className="mt-1 text-sm">
            {refusals.map((why) => (
              <li key={why} className="text-mango-deep">
                {REFUSALS[why]}
              </li>
            ))}
            {state.read.notes.map((note) => (
              <li key={note} className="text-soft">
                {NOTES[note]}
              </li>
            ))}
            {state.read.card && (
              <li className="text-soft">
                {state.read.card.pxPerMm.toFixed(1)} pixels a millimetre
                {picture.ruleMm !== 100 && `, by a rule of ${picture.ruleMm} mm`}
                {state.read.thinnest !== null &&
                  `; the thinnest hair it can count is ${state.read.thinnest.toFixed(2)} mm`}
              </li>
            )}
          </ul>
        </>
      )}
      {state.kind === 'read' && filed && (
        <p className="mt-1 text-sm" role="status">
          {state.kept === 'yes'
            ? isBesideAnother
              ? 'Kept with its wash day as it was read beside its empty frame. Choose that frame to read it so again.'
              : 'Kept with its wash day.'
            : state.kept === 'not asked'
              ? 'What is kept with its wash day stays as it was.'
              : state.kept === 'failed'
                ? 'Not kept: the server does not answer. Measure it again.'
                : 'Being kept …'}
        </p>
      )}
      {near && !corners && (
        <Near
          picture={{ ...picture, near }}
          read={state.kind === 'read' ? state.read : null}
          crests={crests}
          setCrests={(to) => {
            // What is tapped on has to be seen: the button to begin stands below it.
            if (to?.length === 0 && !crests) shown.current?.scrollIntoView({ block: 'center' });
            setCrests(to);
          }}
          lean={setLeaning}
          measure={measure}
        />
      )}
      {halves && !corners && (
        <Halves
          halves={halves}
          parting={picture.parting ?? halves.parting}
          laid={picture.partingLaid}
          busy={state.kind === 'measuring'}
          shown={setOnItsWay}
          move={(parting) => measure({ ...picture, parting, partingLaid: false })}
        />
      )}
      {!near && !corners && (
        <ChoiceField
          label="How hair is told from the wall"
          options={WAYS}
          value={picture.way}
          onChange={(way) => way && measure({ ...picture, way })}
        />
      )}
      {!crests && (
        <LeftOut
          areas={leftOut}
          laid={laid}
          corners={corners}
          setCorners={(to) => {
            if (to?.length === 0 && !corners) shown.current?.scrollIntoView({ block: 'center' });
            setCorners(to);
          }}
          change={(to) => measure({ ...picture, leftOut: to, laid: false })}
          move={(to) => change(id, { leftOut: to, laid: false })}
        />
      )}
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        {!first && (
          <label className="flex min-h-10 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-hibiscus"
              checked={again}
              onChange={(event) => change(id, { again: event.target.checked })}
            />
            Same hair as before, shot again
          </label>
        )}
        {madeUp && last && (
          <Button
            disabled={busy}
            onClick={() =>
              shootAgain(
                { ...madeUp, shot: madeUp.shot + 1 },
                `${name.replace(/, shot \d+$/, '')}, shot ${madeUp.shot + 2}`,
              )
            }
          >
            Shoot it again
          </Button>
        )}
        <Button look="quiet" className="-ml-2" onClick={() => remove(id)}>
          Remove <span className="sr-only">{name}</span>
        </Button>
      </div>
    </article>
  );
}
