import type { ClipInput, ListedClip } from '@sabor/contract/clip';
import { CLIP_LIMIT, CLIP_SECONDS, CLIP_SECONDS_AT_MOST, CLIPS, type ClipKind } from '@sabor/core/basin/clip';
import type { Stage } from '@sabor/core/outcomes/stages';
import { keysOf } from '@sabor/core/vocabulary';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { clipsOf, useClips } from '../../api/queries.ts';
import { secondsOf, useFilm } from '../../devices/record-clip.ts';
import { remove, sendMedia } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { Failed } from '../../ui/states.tsx';
import { simulatedFilm } from './simulated-film.ts';

/** Clips of one look: filmed here or chosen, sent at once; one that did not go stays here to be sent again. */
export function Clips({
  washDayId,
  wearerId,
  look,
  seed,
  open,
}: {
  washDayId: string;
  wearerId: string;
  look: { stage: Stage; day: number | null };
  /** Which made-up head stands before the simulated camera. */
  seed: number;
  open: boolean;
}) {
  const client = useQueryClient();
  const { queryKey } = clipsOf(wearerId);
  const clips = useClips(wearerId);
  const view = useRef<HTMLVideoElement>(null);
  const { running, problem, film, stop } = useFilm(view);
  const [filming, setFilming] = useState<ClipKind | null>(null);
  const [simulated, setSimulated] = useState(false);
  const [waiting, setWaiting] = useState<{ clip: ClipInput; blob: Blob } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState<ClipKind>('turn');
  const here = (clips.data ?? []).filter(
    (one) => one.washDayId === washDayId && one.stage === look.stage && one.day === look.day,
  );
  const send = async (clip: ClipInput, blob: Blob) => {
    setSaid(null);
    setWaiting({ clip, blob });
    setSending(true);
    try {
      const beside = encodeURIComponent(JSON.stringify(clip));
      client.setQueryData(queryKey, await sendMedia<ListedClip[]>(`/clips/${clip.id}?clip=${beside}`, blob));
      setWaiting(null);
    } catch (error) {
      setSaid((error as Error).message);
    } finally {
      setSending(false);
    }
  };
  /** Takes a film whatever it came from; what it cannot be is told. */
  const take = async (kind: ClipKind, film: Blob) => {
    setSaid(null);
    try {
      if (film.size > CLIP_LIMIT)
        throw new Error('This film is over 16 MB. Film it with fewer pixels, or cut it on the phone first.');
      const seconds = await secondsOf(film);
      if (seconds > CLIP_SECONDS_AT_MOST)
        throw new Error(
          `This film runs ${Math.round(seconds)} s. A clip runs ${CLIP_SECONDS} s at most: cut it on the phone first.`,
        );
      await send({ id: v7(), washDayId, ...look, kind, takenAt: new Date().toISOString(), seconds }, film);
    } catch (error) {
      setSaid((error as Error).message);
    }
  };
  const record = async (kind: ClipKind) => {
    setFilming(kind);
    requestAnimationFrame(() => view.current?.scrollIntoView({ block: 'center' }));
    const got = await film(simulated ? () => simulatedFilm(kind, seed) : undefined);
    setFilming(null);
    if (got) await take(kind, got);
  };
  const takeAway = async (id: string) => {
    await remove(`/clips/${id}`).catch((error: Error) => setSaid(error.message));
    await client.invalidateQueries({ queryKey });
  };
  if (!open && here.length === 0) return null;
  return (
    <section aria-labelledby="clips" className="mt-8">
      <h2 id="clips" className="text-xl">
        Short clips
      </h2>
      <p className="mb-3 max-w-2xl text-soft">
        Up to {CLIP_SECONDS} seconds each, with sound: how hair moves and how it sounds is in no photograph.
        Clips of two wash days play in step on the{' '}
        <Link className="underline underline-offset-4" to={`/light-table?head=${wearerId}`}>
          light table
        </Link>
        .
      </p>
      {(said ?? problem) && (
        <p role="alert" className="mb-2 font-semibold text-brick">
          {said ?? problem}
          {waiting && !sending && (
            <span className="mt-2 flex flex-wrap gap-3">
              <Button onClick={() => void send(waiting.clip, waiting.blob)}>Send it again</Button>
              <Button look="quiet" onClick={() => setWaiting(null)}>
                Let it go
              </Button>
            </span>
          )}
        </p>
      )}
      {open && (
        <label className="mb-2 flex min-h-11 w-fit items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-hibiscus"
            checked={simulated}
            disabled={filming !== null}
            onChange={(event) => setSimulated(event.target.checked)}
          />
          No camera at hand? Film a made-up head
        </label>
      )}
      {clips.isLoadingError && <Failed error={clips.error} retry={clips.refetch} part />}
      {sending && <p role="status">Sending the clip …</p>}
      <div className={filming ? 'mb-3' : 'hidden'}>
        <video
          ref={view}
          muted
          playsInline
          className="max-h-72 rounded-tag bg-ink"
          aria-label="What is being filmed"
        />
        <p className="mt-1 flex items-center gap-4">
          <span role="timer" className="figure">
            {running === null ? 'Getting ready …' : `${running} s`}
          </span>
          <Button className="min-h-16 flex-1" disabled={running === null} onClick={stop}>
            Stop
          </Button>
        </p>
      </div>
      <input
        ref={file}
        type="file"
        accept="video/*"
        aria-label={`Film, ${CLIPS[asked].label}`}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          event.target.value = '';
          if (chosen) void take(asked, chosen);
        }}
      />
      <ul className="grid grid-cols-1 gap-4 sm:grid-cols-3">
        {keysOf(CLIPS).map((kind) => {
          const { label, says } = CLIPS[kind];
          return (
            <li key={kind} className="rounded-tag border border-rule p-3">
              <h3 className="text-lg">
                {label[0]!.toUpperCase() + label.slice(1)}{' '}
                <span className="font-sans text-sm font-normal text-soft">{says}</span>
              </h3>
              {here
                .filter((one) => one.kind === kind)
                .map((one) => (
                  <div key={one.id} className="my-2">
                    {/* biome-ignore lint/a11y/useMediaCaption: hair says no words */}
                    <video
                      src={`/api/clips/${one.id}/film`}
                      controls
                      playsInline
                      preload="metadata"
                      aria-label={`Clip, ${label}`}
                      className="max-h-48 w-full rounded-tag bg-ink"
                    />
                    {open && (
                      <button
                        type="button"
                        className="min-h-10 text-sm underline underline-offset-4"
                        onClick={() => void takeAway(one.id)}
                      >
                        Remove <span className="sr-only">clip, {label}</span>
                      </button>
                    )}
                  </div>
                ))}
              {open && (
                <div className="flex gap-2">
                  <Button
                    className="min-h-16 flex-1"
                    disabled={filming !== null || sending}
                    onClick={() => void record(kind)}
                  >
                    Film <span className="sr-only">a {label}</span>
                  </Button>
                  <Button
                    className="min-h-16 flex-1"
                    aria-label={`From a file, ${label}`}
                    disabled={filming !== null || sending}
                    onClick={() => {
                      setAsked(kind);
                      file.current?.click();
                    }}
                  >
                    From a file
                  </Button>
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
