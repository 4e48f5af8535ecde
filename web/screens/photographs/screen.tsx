import type { Photograph } from '@sabor/contract/photograph';
import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import { useChange, useGhosts, useWashDay, useWearer } from '../../api/queries.ts';
import { remove } from '../../http/http.ts';
import { boxPhoto, fitPicture, unboxPhoto, usePhotoBox } from '../../offline/photo-box.ts';
import { Failed, Loading } from '../../ui/states.tsx';
import { readStage } from '../worn/look-path.ts';
import { Camera } from './camera.tsx';

const touch = 'min-h-16 flex-1 rounded-tag border border-ink/30 bg-sheet px-3 font-semibold';

/** Photographs of one look at the hair, from fixed angles, each lined up by the last one from there. */
export function PhotographsScreen() {
  const { id = '', stage = '' } = useParams();
  const look = readStage(stage);
  const day = useWashDay(id);
  const wearer = useWearer(day.data?.wearerId ?? 'new');
  const box = usePhotoBox();
  const ghosts = useGhosts(day.data?.wearerId ?? '');
  const takeAway = useChange((photoId: string) => remove(`/photographs/${photoId}`));
  const [problem, setProblem] = useState<string | null>(null);
  const [camera, setCamera] = useState<Angle | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState<Angle>('front');
  if (day.error && day.isError) return <Failed error={day.error} retry={day.refetch} />;
  if (!look) return <Failed error={new Error('There is no such check-in.')} />;
  if (!day.data || !wearer.data) return <Loading what="the photographs" />;
  const here = ({ stage: of, day: n }: Pick<Photograph, 'stage' | 'day'>) =>
    of === look.stage && n === look.day;
  const stored = day.data.photographs.filter((one) => here(one) && one.received >= one.size);
  const boxed = box.filter(({ photo }) => photo.washDayId === id && here(photo));
  const take = async (angle: Angle, picture: Blob) => {
    setProblem(null);
    setCamera(null);
    try {
      const { blob, ...fit } = await fitPicture(picture);
      await boxPhoto(
        {
          id: v7(),
          washDayId: id,
          stage: look.stage,
          day: look.day,
          angle,
          takenAt: new Date().toISOString(),
          size: blob.size,
          ...fit,
        },
        blob,
      );
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
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
        out; Sabor keeps the picture in its own database.
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
          angle={camera}
          ghost={lastOf(camera)}
          take={(picture) => void take(camera, picture)}
          close={() => setCamera(null)}
        />
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
                    <figcaption>
                      <button
                        type="button"
                        className="min-h-10 text-sm underline underline-offset-4"
                        onClick={() => takeAway.mutate(one.id)}
                      >
                        Remove
                      </button>
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
                      src={`/api/photographs/${ghost}/image`}
                      alt={`${label}, last time`}
                      className="h-36 rounded-tag object-cover opacity-40 grayscale"
                      loading="lazy"
                    />
                    <figcaption className="text-sm text-soft">last time</figcaption>
                  </figure>
                )}
              </div>
              <div className="flex gap-2">
                <button
                  type="button"
                  className={touch}
                  aria-label={`Camera, ${label}`}
                  onClick={() => setCamera(angle)}
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
            </li>
          );
        })}
      </ul>
    </div>
  );
}
