import type { Photograph } from '@sabor/contract/photograph';
import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import { zoneLabel } from '@sabor/core/hair/zones';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { isFromNear } from '@sabor/core/photo/measures';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import { useChange, useGhosts, useTrial, useWashDay, useWearer } from '../../api/queries.ts';
import { captionOf } from '../../drawings/caption-of.ts';
import { remove } from '../../http/http.ts';
import { asTaken, boxPhoto, unboxPhoto, usePhotoBox } from '../../offline/photo-box.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/states.tsx';
import { readStage } from '../worn/look-path.ts';
import { Camera } from './camera.tsx';
import { Clips } from './clips.tsx';

/** The views that are taken at every look; the others are for looking only. */
const VIEWS_TO_TAKE: readonly Angle[] = ['back', 'left', 'right', 'front'];

/** A number that goes with a head, for the made-up one that stands in for it. */
const seedOf = (id: string) => [...id].reduce((sum, letter) => (31 * sum + letter.charCodeAt(0)) % 9973, 7);

const touch = 'min-h-16 flex-1 rounded-tag border border-ink/30 bg-sheet px-3 font-semibold';

/** Photographs of one look at the hair, from fixed angles, each lined up by the last one from there. */
export function PhotographsScreen() {
  const { id = '', stage = '' } = useParams();
  const look = readStage(stage);
  const day = useWashDay(id);
  const trial = useTrial(day.data?.trialId ?? 'new');
  const wearer = useWearer(day.data?.wearerId ?? 'new');
  const box = usePhotoBox();
  const ghosts = useGhosts(day.data?.wearerId ?? '');
  const takeAway = useChange((photoId: string) => remove(`/photographs/${photoId}`));
  const [problem, setProblem] = useState<string | null>(null);
  const [camera, setCamera] = useState<readonly Angle[] | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState<Angle>('front');
  /** Where on the head hair is taken from near. */
  const [zone, setZone] = useState<string | null>(null);
  if (day.error && day.isError) return <Failed error={day.error} retry={day.refetch} />;
  if (!look) return <Failed error={new Error('There is no such check-in.')} />;
  if (!day.data || !wearer.data) return <Loading what="the photographs" />;
  const zones = new Map(
    wearer.data.zones.map((one) => [one.id, zoneLabel({ ...one, ownName: one.ownName ?? null })]),
  );
  const here = ({ stage: of, day: n }: Pick<Photograph, 'stage' | 'day'>) =>
    of === look.stage && n === look.day;
  const stored = day.data.photographs.filter((one) => here(one) && one.received >= one.size);
  const boxed = box.filter(({ photo }) => photo.washDayId === id && here(photo));
  const take = async (angle: Angle, picture: Blob, film = false) => {
    setProblem(null);
    try {
      const { blob, ...fit } = await asTaken(picture);
      await boxPhoto(
        {
          id: v7(),
          washDayId: id,
          stage: look.stage,
          day: look.day,
          angle,
          takenAt: new Date().toISOString(),
          film,
          zoneId: isFromNear(angle) ? zone : null,
          size: blob.size,
          ...fit,
        },
        blob,
      );
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const over = trial.data !== undefined && trial.data.endedAt !== null && !trial.data.logged;
  const open = day.data.status !== 'abandoned' && !over;
  const lastOf = (angle: Angle) => ghosts.data?.[angle] ?? null;
  return (
    <div className="basin-screen">
      <p className="text-sm text-soft">
        <Link className="underline underline-offset-4" to={`/wash-days/${id}`}>
          Wash day {day.data.position + 1}
        </Link>{' '}
        · {wearer.data.name}
      </p>
      <h1 className="text-2xl sm:text-3xl">Photographs: {stageLabel(look.stage, look.day)}</h1>
      <p className="mb-3 text-soft">
        Arm’s length and a half, one lamp to each side, no flash, the same wall. Where it was taken is left
        out; Sabor keeps the picture in its own database, as the camera wrote it. To measure frizz, light the
        wall instead of the hair and stand the card beside the head; clumps and curls are measured in a
        close-up, the small card on the hair:{' '}
        <Link className="underline underline-offset-4" to="/photo-bench">
          photo bench
        </Link>
        . Pictures of several wash days lie over each other on the{' '}
        <Link className="underline underline-offset-4" to={`/light-table?head=${day.data.wearerId}`}>
          light table
        </Link>
        .
      </p>
      {problem && (
        <p role="alert" className="mb-2 font-semibold text-brick">
          {problem}
        </p>
      )}
      <input
        ref={file}
        type="file"
        accept="image/*"
        aria-label={`Picture file, ${ANGLES[asked].label}`}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [picture] = event.target.files ?? [];
          event.target.value = '';
          if (picture) void take(asked, picture);
        }}
      />
      {camera && (
        <Camera
          angles={camera}
          ghosts={ghosts.data ?? {}}
          seed={seedOf(day.data.wearerId)}
          take={take}
          close={() => setCamera(null)}
        />
      )}
      {open ? (
        <p className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
          <Button look="main" className="min-h-16" onClick={() => setCamera(VIEWS_TO_TAKE)}>
            Take the four views
          </Button>
          <span className="max-w-xl text-soft">
            Back, both sides, front, one after the other. Take one view twice, walking away between: that
            tells how much two pictures of the same hair differ.
          </span>
        </p>
      ) : (
        <p className="mb-4 border-l-4 border-rule pl-4 text-soft">
          {over ? 'This trial is over' : 'This wash day was abandoned'}: its photographs stay as they are.
          They can still be measured.
        </p>
      )}
      <ul className="grid grid-cols-1 gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {(Object.keys(ANGLES) as Angle[]).map((angle) => {
          const { label, says } = ANGLES[angle];
          const ghost = lastOf(angle);
          const mine = stored.filter((one) => one.angle === angle);
          const going = boxed.filter(({ photo }) => photo.angle === angle);
          return (
            <li key={angle} className="rounded-tag border border-rule p-3">
              <h2 className="text-lg">
                {label[0]!.toUpperCase() + label.slice(1)}{' '}
                <span className="font-sans text-sm font-normal text-soft">{says}</span>
              </h2>
              <div className="my-2 flex flex-wrap gap-2">
                {mine.map((one) => (
                  <figure key={one.id}>
                    <img
                      src={`/api/photographs/${one.id}/image`}
                      alt={`${label}, taken`}
                      className="h-36 rounded-tag object-cover"
                      loading="lazy"
                    />
                    {one.zoneId && <p className="text-sm font-semibold">{zones.get(one.zoneId)}</p>}
                    {one.measured && <p className="text-sm">{captionOf(angle, one.measured)}</p>}
                    <figcaption className="flex gap-4">
                      <Link
                        className="flex min-h-10 items-center text-sm underline underline-offset-4"
                        to={`/photo-bench?${[one, ...mine.filter((other) => other !== one)].map(({ id }) => `photograph=${id}`).join('&')}`}
                      >
                        {one.measured ? 'Measured' : 'Measure'} <span className="sr-only">{label}</span>
                      </Link>
                      {open && (
                        <button
                          type="button"
                          className="min-h-10 text-sm underline underline-offset-4"
                          onClick={() => takeAway.mutate(one.id)}
                        >
                          Remove
                        </button>
                      )}
                    </figcaption>
                  </figure>
                ))}
                {going.map(({ photo, url, sent, refused, kept }) => (
                  <figure key={photo.id}>
                    <img
                      src={url}
                      alt={`${label}, being sent`}
                      className="h-36 rounded-tag object-cover opacity-70"
                    />
                    <figcaption className="text-sm">
                      {refused ?? (
                        <progress
                          value={sent}
                          max={photo.size}
                          aria-label={`Sending ${label}`}
                          className="w-24"
                        />
                      )}
                      {!kept && !refused && (
                        <span role="alert" className="block max-w-48 font-semibold text-brick">
                          Not kept on this phone: its store is full or closed. Leave this page open until the
                          picture is sent.
                        </span>
                      )}
                      <button
                        type="button"
                        className="block min-h-10 underline underline-offset-4"
                        onClick={() => void unboxPhoto(photo.id)}
                      >
                        Take back
                      </button>
                    </figcaption>
                  </figure>
                ))}
                {mine.length === 0 && going.length === 0 && ghost && (
                  <figure>
                    <img
                      src={`/api/photographs/${ghost.id}/image`}
                      alt={`${label}, last time`}
                      className="h-36 rounded-tag object-cover opacity-40 grayscale"
                      loading="lazy"
                    />
                    <figcaption className="text-sm text-soft">last time</figcaption>
                  </figure>
                )}
              </div>
              {open && isFromNear(angle) && (
                <label className="mb-2 flex flex-wrap items-center gap-x-3 text-sm">
                  Where on the head
                  <select
                    className="min-h-11 rounded-tag border border-ink/30 bg-sheet px-2"
                    value={zone ?? ''}
                    onChange={(event) => setZone(event.target.value || null)}
                  >
                    <option value="">Not said</option>
                    {[...zones].map(([key, name]) => (
                      <option key={key} value={key}>
                        {name}
                      </option>
                    ))}
                  </select>
                </label>
              )}
              {open && (
                <div className="flex gap-2">
                  <button
                    type="button"
                    className={touch}
                    aria-label={`Camera, ${label}`}
                    onClick={() => setCamera([angle])}
                  >
                    Camera
                  </button>
                  <button
                    type="button"
                    className={touch}
                    aria-label={`From a file, ${label}`}
                    onClick={() => {
                      setAsked(angle);
                      file.current?.click();
                    }}
                  >
                    From a file
                  </button>
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <Clips
        washDayId={id}
        wearerId={day.data.wearerId}
        look={look}
        seed={seedOf(day.data.wearerId)}
        open={open}
      />
    </div>
  );
}
