import type { ListedClip } from '@sabor/contract/clip';
import { broughtInStep, CLIPS, type ClipKind } from '@sabor/core/basin/clip';
import { keysOf } from '@sabor/core/vocabulary';
import { namesOf } from '@sabor/words/taken';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';

const SPEEDS = [
  ['1', 'as filmed'],
  ['0.5', 'half'],
  ['0.25', 'a quarter'],
] as const;
const SOUNDS = [
  ['first', 'of the left'],
  ['second', 'of the right'],
  ['none', 'off'],
] as const;

/** Two clips under one clock: played, slowed, stopped and sought together; one is heard at a time. */
function Player({
  clips,
  nameOf,
}: {
  clips: readonly [ListedClip, ListedClip];
  nameOf: (one: ListedClip) => string;
}) {
  const films = useRef<(HTMLVideoElement | null)[]>([]);
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number][0]>('1');
  const [sound, setSound] = useState<(typeof SOUNDS)[number][0]>('first');
  const longest = Math.max(...clips.map(({ seconds }) => seconds));
  const clock = useRef(0);
  const put = (to: number) => {
    clock.current = to;
    setAt(to);
    for (const [i, film] of films.current.entries())
      if (film) film.currentTime = Math.min(to, clips[i]!.seconds);
  };
  useEffect(() => {
    if (!playing) return;
    const both = films.current.flatMap((film) => film ?? []);
    for (const film of both) {
      film.playbackRate = Number(speed);
      void film.play().catch(() => {});
    }
    let last = performance.now();
    let frame = 0;
    const step = (now: number) => {
      clock.current += ((now - last) / 1000) * Number(speed);
      last = now;
      if (clock.current >= longest) {
        // From the beginning: a bounce is looked at more than once.
        clock.current = 0;
        for (const film of both) {
          film.currentTime = 0;
          void film.play().catch(() => {});
        }
      }
      for (const [i, film] of both.entries()) {
        const to = broughtInStep(clock.current, film.currentTime, clips[i]!.seconds);
        if (to !== null && !film.seeking && !film.ended && film.readyState >= 2) film.currentTime = to;
      }
      setAt(clock.current);
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => {
      cancelAnimationFrame(frame);
      for (const film of both) film.pause();
    };
  }, [playing, speed, longest, clips]);
  return (
    <div className="mt-3">
      <div className="grid grid-cols-2 gap-2 sm:gap-3">
        {clips.map((clip, i) => (
          <figure key={clip.id}>
            <video
              ref={(film) => {
                films.current[i] = film;
              }}
              src={`/api/clips/${clip.id}/film`}
              muted={sound !== (i === 0 ? 'first' : 'second')}
              playsInline
              preload="auto"
              aria-label={nameOf(clip)}
              className="max-h-[60vh] w-full rounded-tag bg-ink"
            />
            <figcaption className="text-sm">{nameOf(clip)}</figcaption>
          </figure>
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
        <Button look="main" onClick={() => setPlaying(!playing)}>
          {playing ? 'Pause both' : 'Play both'}
        </Button>
        <label className="flex min-w-48 flex-1 items-center gap-2 text-sm">
          Second
          <input
            type="range"
            min={0}
            max={longest}
            step={0.05}
            value={at}
            aria-valuetext={`${at.toFixed(1)} of ${longest.toFixed(1)} seconds`}
            className="min-h-10 w-full accent-hibiscus"
            onChange={(event) => {
              setPlaying(false);
              put(Number(event.target.value));
            }}
          />
          <span className="figure w-16">{at.toFixed(1)} s</span>
        </label>
        <InlineChoice label="Speed" options={SPEEDS} value={speed} onChange={setSpeed} />
        <InlineChoice label="Sound" options={SOUNDS} value={sound} onChange={setSound} />
      </div>
    </div>
  );
}

/** Clips of a head, two of one kind side by side. */
export function InStep({ all }: { all: readonly ListedClip[] }) {
  const kinds = keysOf(CLIPS).filter((kind) => all.some((one) => one.kind === kind));
  const [kind, setKind] = useState<ClipKind>(
    kinds.find((key) => all.filter((one) => one.kind === key).length > 1) ?? kinds[0]!,
  );
  const shown = all.filter((one) => one.kind === kind);
  const { of: nameOf } = namesOf(shown, () => null);
  const options = shown.map((one) => [one.id, nameOf(one)] as const);
  const [ids, setIds] = useState<readonly [string, string]>(['', '']);
  const found = (id: string, other: number) => shown.find((one) => one.id === id) ?? shown[other];
  const [first, second] = [found(ids[0], 1), found(ids[1], 0)];
  return (
    <section aria-labelledby="in-step" className="mt-10">
      <h2 id="in-step" className="text-xl">
        Clips in step
      </h2>
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
        <InlineChoice
          label="What hair does"
          options={kinds.map((key) => [key, CLIPS[key].label] as const)}
          value={kind}
          onChange={setKind}
        />
        {first && second && (
          <>
            <InlineChoice
              label="Left"
              options={options}
              value={first.id}
              onChange={(id) => setIds([id, second.id])}
            />
            <InlineChoice
              label="Right"
              options={options}
              value={second.id}
              onChange={(id) => setIds([first.id, id])}
            />
          </>
        )}
      </div>
      {first && second ? (
        <Player key={`${first.id} ${second.id}`} clips={[first, second]} nameOf={nameOf} />
      ) : (
        <p className="mt-2 text-soft">
          One clip of this kind so far. With one of another wash day the two play in step.
        </p>
      )}
    </section>
  );
}
