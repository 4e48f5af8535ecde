import type { ListedPhotograph } from '@sabor/contract/photograph';
import type { Point } from '@sabor/core/photo/plane';
import { AS_IT_IS } from '@sabor/core/photo/similarity';
import { captionInWords } from '@sabor/words/photo';
import { type KeyboardEvent, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { useDrawn } from './drawn.ts';
import { alignment, brightnessTo, type TwoPoints, type View, WHOLE, zoomed } from './laid.ts';
import { type Laid, Pane } from './pane.tsx';

const MODES = {
  beside: 'Side by side',
  wipe: 'Wipe',
  flicker: 'One at a time',
  difference: 'Difference',
} as const;
type Mode = keyof typeof MODES;

/** How long one picture stands while they change by themselves, ms: far under three flashes a second. Source: WCAG 2.3.1. */
const FLICKER = 900;
const STEP = 0.05;

const ALIGNED = {
  points: 'Laid by the two points tapped in each.',
  card: 'Laid by the card: the same scale, each card over the other.',
  nothing:
    'Laid as they are: not all of them are measured, so scales may differ. Tap two points in each, or measure them.',
} as const;

/** Pictures under one pan and zoom. */
export function Table({
  pictures,
  nameOf,
}: {
  pictures: readonly ListedPhotograph[];
  nameOf: (one: ListedPhotograph) => string;
}) {
  const oneAngle = new Set(pictures.map(({ angle }) => angle)).size === 1;
  const [mode, setMode] = useState<Mode>(oneAngle ? 'beside' : 'flicker');
  const [view, setView] = useState<View>(WHOLE);
  const [wipe, setWipe] = useState(0.5);
  const [at, setAt] = useState(0);
  const [runs, setRuns] = useState(false);
  const [tapping, setTapping] = useState(false);
  const [drawing, setDrawing] = useState(false);
  const { drawn, failed, left, again } = useDrawn(pictures, drawing);
  const [points, setPoints] = useState<ReadonlyMap<string, TwoPoints>>(new Map());
  // Pictures around one head are not laid over each other.
  const { by, each } = oneAngle ? alignment(pictures, points) : alignment([], points);
  const levels = pictures.map((one) => brightnessTo(pictures[0]!, one));
  const laid = pictures.map(
    (picture, i): Laid => ({
      picture,
      name: nameOf(picture),
      laid: each[i] ?? AS_IT_IS,
      brightness: levels[i] ?? 1,
      points: tapping ? (points.get(picture.id) ?? []) : [],
      drawn: (drawing && drawn.get(picture.id)) || null,
    }),
  );
  useEffect(() => {
    if (!runs || mode !== 'flicker') return;
    const timed = setInterval(() => setAt((one) => (one + 1) % pictures.length), FLICKER);
    return () => clearInterval(timed);
  }, [runs, mode, pictures.length]);
  const next = (by: number) => setAt((at + by + pictures.length) % pictures.length);
  const keys = (event: KeyboardEvent) => {
    const middle = { x: 0.4, y: 0.5 };
    const moves: Record<string, () => void> = {
      ArrowLeft: () => (mode === 'flicker' ? next(-1) : setView({ ...view, x: view.x + STEP })),
      ArrowRight: () => (mode === 'flicker' ? next(1) : setView({ ...view, x: view.x - STEP })),
      ArrowUp: () => setView({ ...view, y: view.y + STEP }),
      ArrowDown: () => setView({ ...view, y: view.y - STEP }),
      '+': () => setView(zoomed(view, 1.25, middle)),
      '=': () => setView(zoomed(view, 1.25, middle)),
      '-': () => setView(zoomed(view, 0.8, middle)),
      '0': () => setView(WHOLE),
    };
    const move = event.ctrlKey || event.metaKey || event.altKey ? undefined : moves[event.key];
    if (!move) return;
    event.preventDefault();
    move();
  };
  const tapIn = (id: string) => (place: Point) => {
    const had = points.get(id) ?? [];
    setPoints(new Map(points).set(id, had.length >= 2 ? [place] : [...had, place]));
  };
  const height = 'h-[min(40vh,36rem)] sm:h-[min(56vh,36rem)]';
  const two = laid.slice(0, 2);
  return (
    <section aria-label="On the light table">
      <fieldset className="mb-2 flex flex-wrap items-center gap-2">
        <legend className="sr-only">How they are shown</legend>
        {(Object.keys(MODES) as Mode[])
          .filter((one) => pictures.length > 1 && (oneAngle || one === 'beside' || one === 'flicker'))
          .map((one) => (
            <Button
              key={one}
              aria-pressed={mode === one}
              look={mode === one ? 'main' : 'plain'}
              onClick={() => setMode(one)}
            >
              {MODES[one]}
            </Button>
          ))}
        <Button onClick={() => setView(zoomed(view, 1.25, { x: 0.4, y: 0.5 }))} aria-label="Larger">
          +
        </Button>
        <Button onClick={() => setView(zoomed(view, 0.8, { x: 0.4, y: 0.5 }))} aria-label="Smaller">
          −
        </Button>
        <Button onClick={() => setView(WHOLE)}>Whole pictures</Button>
        {oneAngle && pictures.length > 1 && (
          <Button
            aria-pressed={tapping}
            onClick={() => {
              setTapping(!tapping);
              setMode('beside');
            }}
          >
            {tapping ? 'Points are set' : 'Lay by two points'}
          </Button>
        )}
        <Button
          aria-pressed={drawing}
          onClick={() => {
            again();
            setDrawing(!drawing);
          }}
        >
          {drawing ? 'Pictures alone' : 'Draw what was read'}
        </Button>
      </fieldset>
      {drawing && (left > 0 || failed) && (
        <p className="mb-2" role={failed ? 'alert' : 'status'}>
          {failed ? `Not drawn: ${failed}` : `Reading ${pictures.length - left + 1} of ${pictures.length} …`}
        </p>
      )}
      {tapping && (
        <p className="mb-2 text-mango-deep" role="status">
          Tap the same two places in each picture, one after the other: the top of an ear and the nape, say.
        </p>
      )}
      <div
        tabIndex={0}
        role="group"
        aria-label="Pictures: arrows move, plus and minus size, 0 shows the whole"
        onKeyDown={keys}
      >
        {mode === 'beside' ? (
          <div className="grid grid-flow-col auto-cols-[minmax(9rem,1fr)] gap-2 overflow-x-auto">
            {laid.map((one) => (
              <figure key={one.picture.id}>
                <Pane
                  pictures={[one]}
                  view={view}
                  setView={setView}
                  tap={tapping ? tapIn(one.picture.id) : null}
                  className={height}
                />
                <Caption of={one} />
              </figure>
            ))}
          </div>
        ) : (
          <figure className="max-w-3xl">
            <Pane
              pictures={mode === 'flicker' ? laid.slice(at, at + 1) : two}
              view={view}
              setView={setView}
              tap={null}
              wipe={mode === 'wipe' ? wipe : null}
              difference={mode === 'difference'}
              className={height}
            />
            {mode === 'flicker' ? (
              <>
                <div className="mt-2 flex flex-wrap items-center gap-2">
                  <Button onClick={() => next(-1)}>Before</Button>
                  <Button onClick={() => next(1)}>Next</Button>
                  <Button aria-pressed={runs} onClick={() => setRuns(!runs)}>
                    {runs ? 'Stop' : 'Play'}
                  </Button>
                  <span>
                    {at + 1} of {pictures.length}
                  </span>
                </div>
                <Caption of={laid[at]!} />
              </>
            ) : (
              two.map((one) => <Caption key={one.picture.id} of={one} />)
            )}
            {mode === 'wipe' && (
              <input
                type="range"
                min={0}
                max={1}
                step={0.01}
                value={wipe}
                aria-label="From where on the second picture shows"
                className="min-h-11 w-full accent-hibiscus"
                onChange={(event) => setWipe(Number(event.target.value))}
              />
            )}
          </figure>
        )}
      </div>
      {pictures.length > 1 && (
        <p className="mt-2 text-sm text-soft">
          {oneAngle && ALIGNED[by]}{' '}
          {pictures.length > 2 && (mode === 'wipe' || mode === 'difference') && 'Shown are the first two.'}{' '}
          {levels.every((one) => one !== null)
            ? 'Brightness matched by the card’s greys.'
            : 'Brightness as taken: not all of them are measured.'}{' '}
          To say how far apart they are, measure them on the{' '}
          <Link
            className="underline underline-offset-4"
            to={`/photo-bench?${pictures.map(({ id }) => `photograph=${id}`).join('&')}`}
          >
            photo bench
          </Link>
          .
        </p>
      )}
    </section>
  );
}

function Caption({ of: { picture, name, drawn } }: { of: Laid }) {
  return (
    <figcaption className="text-sm">
      <span className="font-semibold">{name}</span>
      <span className="text-soft">
        {` · ${drawn?.says || captionInWords(picture.angle, picture.halo, picture.contrast)}`}
      </span>
    </figcaption>
  );
}
