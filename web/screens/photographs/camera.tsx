import type { Ghosts } from '@sabor/contract/photograph';
import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import type { Guide } from '@sabor/core/photo/guide';
import { isFromNear } from '@sabor/core/photo/measures';
import { adviceInWords, READY_TO_SHOOT } from '@sabor/words/photo';
import { useCallback, useEffect, useRef, useState } from 'react';
import { canSpeak, chime, speak, wantsSpeech } from '../../devices/sound.ts';
import { useSpoken } from '../../devices/speaking.tsx';
import { openPhotoWorker } from '../../workers/photo.ts';
import { useOwnCamera, useSimulatedCamera } from './film-source.tsx';

const big = 'min-h-16 rounded-tag px-3 text-lg font-semibold sm:text-xl';
const small =
  'min-h-11 rounded-tag border-2 border-paper/50 px-3 font-semibold aria-pressed:bg-paper aria-pressed:text-ink';

/** Seconds from the tap to the picture: nobody sees the own back, or reaches the phone from there. */
const TIMERS = [0, 5, 10] as const;
/** How often a frame is looked at, ms. */
const GUIDED_EVERY = 800;

/**
 * The camera, view after view, with the last photograph from each laid over it to line up by. It says what a frame tells
 * of the picture to come, aloud where that is wanted, and never keeps one from taking it.
 */
export function Camera({
  angles,
  ghosts,
  seed,
  take,
  close,
}: {
  /** The views to take, in order. */
  angles: readonly Angle[];
  ghosts: Ghosts;
  /** Which made-up head stands before the simulated camera. */
  seed: number;
  take: (angle: Angle, picture: Blob, film: boolean) => Promise<void>;
  close: () => void;
}) {
  const [at, setAt] = useState(0);
  const [said, setSaid] = useState('');
  const [ghosted, setGhosted] = useState(true);
  const [simulated, setSimulated] = useState(false);
  const [timer, setTimer] = useState<(typeof TIMERS)[number]>(0);
  const [left, setLeft] = useState<number | null>(null);
  const [taking, setTaking] = useState<number | null>(null);
  const [guide, setGuide] = useState<Guide | null>(null);
  const hired = useRef<ReturnType<typeof openPhotoWorker> | null>(null);
  useEffect(() => () => hired.current?.close(), []);
  const worker = useCallback(() => {
    hired.current ??= openPhotoWorker();
    return hired.current.photo;
  }, []);
  const angle = angles[at]!;
  const own = useOwnCamera(!simulated);
  const made = useSimulatedCamera(simulated, angle, seed, worker);
  const source = simulated ? made : own;
  const ghost = ghosts[angle] ?? null;

  const { frame } = source;
  const now = { frame, lastMm: ghost?.frameMm ?? null, busy: taking !== null, near: isFromNear(angle) };
  const seen = useRef(now);
  seen.current = now;
  useEffect(() => {
    let [asking, gone] = [false, false];
    let last: { picture: ImageData; lastMm: number | null } | null = null;
    const look = async () => {
      const { frame: next, lastMm, busy, near } = seen.current;
      const picture = asking || busy ? null : next();
      // A frame that still stands has said what it says.
      if (!picture || (picture === last?.picture && lastMm === last.lastMm)) return;
      last = { picture, lastMm };
      asking = true;
      const found = await worker()
        .guide(picture, lastMm, near)
        .catch(() => null);
      asking = false;
      if (!gone && found) setGuide(found);
    };
    const timed = setInterval(() => void look(), GUIDED_EVERY);
    return () => {
      gone = true;
      clearInterval(timed);
    };
  }, [worker]);

  const shoot = async () => {
    setTaking(0);
    const got = await source.take(setTaking).catch(() => null);
    setTaking(null);
    if (!got) return setSaid('No picture came. Try again.');
    chime();
    await take(angle, got.picture, got.film);
    if (at + 1 >= angles.length) return close();
    setSaid(`Taken: ${ANGLES[angle].label}. Now ${ANGLES[angles[at + 1]!].label}.`);
    setGuide(null);
    setAt(at + 1);
  };
  const shootNow = useRef(shoot);
  shootNow.current = shoot;
  useEffect(() => {
    if (left === null) return;
    if (left === 0) {
      setLeft(null);
      void shootNow.current();
      return;
    }
    if (canSpeak() && wantsSpeech()) speak(String(left));
    const timed = setTimeout(() => setLeft(left - 1), 1000);
    return () => clearTimeout(timed);
  }, [left]);

  const advice = guide && (guide.advice.length ? adviceInWords(guide.advice[0]!) : READY_TO_SHOOT);
  const speaking = useSpoken(left === null && taking === null ? advice : null);
  return (
    <section
      aria-label={`Camera, ${ANGLES[angle].label}`}
      className="fixed inset-0 z-50 flex flex-col overflow-y-auto bg-ink text-paper"
    >
      <div className="flex flex-wrap items-center justify-between gap-2 px-4 py-2">
        <p className="text-xl">
          {angles.length > 1 && `${at + 1} of ${angles.length} · `}
          {ANGLES[angle].label}: {ANGLES[angle].says}
        </p>
        <div className="flex flex-wrap gap-2">
          {speaking}
          <button
            type="button"
            className={small}
            aria-pressed={simulated}
            onClick={() => {
              setGuide(null);
              setSimulated(!simulated);
            }}
          >
            Simulated camera
          </button>
        </div>
      </div>
      <p role="status" className="min-h-8 px-4 text-lg font-semibold text-amber">
        {said} {advice}
      </p>
      <div className="relative min-h-48 flex-1">
        {source.problem && (
          <p role="alert" className="p-4 text-xl">
            {source.problem}
          </p>
        )}
        <div className={source.problem ? 'hidden' : 'absolute inset-0'}>{source.view}</div>
        {ghost && ghosted && !source.problem && !simulated && (
          <img
            src={`/api/photographs/${ghost.id}/image`}
            alt="The last photograph from this angle, to line up by"
            className="pointer-events-none absolute inset-0 size-full object-contain opacity-35"
          />
        )}
        {left !== null && (
          <p className="figure absolute inset-0 grid place-items-center text-[8rem]" role="timer">
            {left}
          </p>
        )}
      </div>
      {taking !== null && (
        <p className="px-4">
          <progress value={taking} max={1} aria-label="Taking the picture" className="w-full" />
        </p>
      )}
      <fieldset className="flex flex-wrap items-center gap-2 px-4 pt-3">
        <legend className="sr-only">Timer</legend>
        {TIMERS.map((seconds) => (
          <button
            key={seconds}
            type="button"
            className={small}
            aria-pressed={timer === seconds}
            onClick={() => setTimer(seconds)}
          >
            {seconds === 0 ? 'At once' : `In ${seconds} s`}
          </button>
        ))}
      </fieldset>
      <div className="grid grid-cols-3 gap-3 p-4">
        <button type="button" className={`${big} border-2 border-paper/60`} onClick={close}>
          Close
        </button>
        <button
          type="button"
          className={`${big} bg-hibiscus text-paper disabled:opacity-50`}
          disabled={source.problem !== null || taking !== null}
          onClick={() => (left !== null ? setLeft(null) : timer === 0 ? void shoot() : setLeft(timer))}
        >
          {left !== null ? 'Stop the timer' : 'Take it'}
        </button>
        <button
          type="button"
          aria-pressed={ghosted}
          className={`${big} border-2 border-paper/60 aria-pressed:bg-paper aria-pressed:text-ink disabled:opacity-50`}
          disabled={!ghost || simulated}
          onClick={() => setGhosted(!ghosted)}
        >
          Ghost
        </button>
      </div>
    </section>
  );
}
