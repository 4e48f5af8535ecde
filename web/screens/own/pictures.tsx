import type { Own, WaitingLook } from '@sabor/contract/looks';
import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import { CLIPS } from '@sabor/core/basin/clip';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { v7 } from 'uuid';
import { resource } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { asTaken, boxPhoto, unboxPhoto, usePhotoBox } from '../../offline/photo-box.ts';
import { Button } from '../../ui/button.tsx';
import { ConsentLines } from '../../ui/consent-lines.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showMoment } from '../../ui/show.ts';
import { Failed, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';

const OWN = resource<Own>('/own');

/** A wearer’s own pictures and films, and what they agreed to. */
export function OwnPictures({ looks }: { looks: readonly WaitingLook[] }) {
  const client = useQueryClient();
  const say = useSay();
  const own = useQuery(OWN);
  const [all, setAll] = useState(false);
  if (own.isLoadingError) return <Failed error={own.error} retry={own.refetch} part />;
  if (!own.data) return <Loading what="your pictures" />;
  const { consents, pictures, clips } = own.data;
  const take = (asked: Promise<Own>, words: string) =>
    asked.then(
      (now) => {
        client.setQueryData(OWN.queryKey, now);
        say(words);
      },
      (error: Error) => say(error.message),
    );
  const seen = [
    ...pictures.map((one) => ({
      ...one,
      path: `photographs/${one.id}`,
      shows: ANGLES[one.angle].label,
      film: false,
    })),
    ...clips.map((one) => ({ ...one, path: `clips/${one.id}`, shows: CLIPS[one.kind].label, film: true })),
  ];
  return (
    <div className="mt-10 grid gap-x-12 gap-y-10 lg:grid-cols-[1.4fr_1fr]">
      <section aria-labelledby="pictures">
        <h2 id="pictures" className="text-xl">
          Your pictures
        </h2>
        {consents.pictures?.yes !== false && looks[0] && <AddPicture look={looks[0]} />}
        {seen.length === 0 ? (
          <p className="mt-2 text-soft">There is none.</p>
        ) : (
          <>
            <ul className="mt-3 grid grid-cols-2 gap-4 sm:grid-cols-3">
              {seen.map(({ id, path, takenAt, stage, day, shows, film }) => {
                const what = `${stageLabel(stage, day)}, ${shows.toLowerCase()}`;
                return (
                  <li key={id}>
                    {film ? (
                      // biome-ignore lint/a11y/useMediaCaption: hair in motion says nothing.
                      <video
                        src={`/api/${path}/film`}
                        controls
                        preload="none"
                        className="w-full rounded-tag"
                      />
                    ) : (
                      <img
                        src={`/api/${path}/image`}
                        alt={what}
                        loading="lazy"
                        className="w-full rounded-tag"
                      />
                    )}
                    <p className="text-sm">
                      {what} <span className="block text-soft">{showMoment(takenAt)}</span>
                    </p>
                    <TakeAway
                      what={what}
                      takeAway={() => take(remove(`/own/${path}`), 'It was taken away and is gone.')}
                    />
                  </li>
                );
              })}
            </ul>
            <p className="mt-4">
              {all ? (
                <>
                  All {seen.length} are gone for good then, and with them what was measured in them.{' '}
                  <Button
                    look="stop"
                    onClick={() => {
                      setAll(false);
                      void take(remove('/own/pictures'), 'All of them were taken away.');
                    }}
                  >
                    Take all away
                  </Button>{' '}
                  <Button look="quiet" onClick={() => setAll(false)}>
                    Keep them
                  </Button>
                </>
              ) : (
                <Button look="quiet" onClick={() => setAll(true)}>
                  Take all of them away …
                </Button>
              )}
            </p>
          </>
        )}
      </section>
      <section aria-labelledby="consent">
        <h2 id="consent" className="text-xl">
          What you agree to
        </h2>
        <ConsentLines
          consents={consents}
          answer={(about, yes) => void take(put('/own/consents', { about, yes }), 'That is on record.')}
        />
      </section>
    </div>
  );
}

/** Asks once more before something goes for good. */
function TakeAway({ what, takeAway }: { what: string; takeAway: () => unknown }) {
  const [sure, setSure] = useState(false);
  return sure ? (
    <span className="flex flex-wrap gap-2">
      <Button look="stop" onClick={() => void takeAway()}>
        For good<span className="sr-only">: {what}</span>
      </Button>
      <Button look="quiet" onClick={() => setSure(false)}>
        Keep it
      </Button>
    </span>
  ) : (
    <Button look="quiet" className="-ml-2" onClick={() => setSure(true)}>
      Take away<span className="sr-only"> {what}</span>
    </Button>
  );
}

/** A picture of the look that waits, from the phone’s own camera or a file. */
function AddPicture({ look }: { look: WaitingLook }) {
  const [angle, setAngle] = useState<Angle>('front');
  const [problem, setProblem] = useState<string | null>(null);
  const going = usePhotoBox().filter(({ photo }) => photo.washDayId === look.washDayId);
  const add = async (file: File) => {
    setProblem(null);
    try {
      const { blob, ...fit } = await asTaken(file);
      await boxPhoto(
        {
          id: v7(),
          washDayId: look.washDayId,
          stage: look.stage,
          day: look.day,
          angle,
          takenAt: new Date().toISOString(),
          film: false,
          zoneId: null,
          size: blob.size,
          ...fit,
        },
        blob,
      );
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      <ChoiceField
        label="Seen from"
        value={angle}
        onChange={(to) => to && setAngle(to)}
        options={(Object.keys(ANGLES) as Angle[])
          .filter((key) => key !== 'close-up')
          .map((key) => ({ key, label: ANGLES[key].label }))}
      />
      <label className="inline-flex min-h-11 cursor-pointer items-center rounded-tag border border-ink/30 bg-sheet px-4 font-semibold focus-within:outline-2">
        Add a picture of {stageLabel(look.stage, look.day).toLowerCase()}
        <input
          type="file"
          accept="image/*"
          className="sr-only"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void add(file);
          }}
        />
      </label>
      {problem && (
        <p role="alert" className="w-full font-semibold text-brick">
          {problem}
        </p>
      )}
      {going.map(({ photo, sent, refused }) => (
        <p key={photo.id} className="w-full text-sm">
          {refused ?? <progress value={sent} max={photo.size} aria-label="Sending the picture" />}{' '}
          <Button look="quiet" onClick={() => void unboxPhoto(photo.id)}>
            Take back
          </Button>
        </p>
      ))}
    </div>
  );
}
