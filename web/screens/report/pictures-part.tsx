import type { PublishConsent, PublishConsentInput } from '@sabor/contract/report';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { ANGLES } from '@sabor/core/basin/angles';
import { namesOf } from '@sabor/words/taken';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { useConsents, usePublishConsent } from '../../api/verdicts.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** Photographs of the trial, each in the report only where it was put there; of a wearer under age after a second yes. */
export function PicturesPart({
  trial,
  wearer,
  chosen,
  choose,
}: {
  trial: TrialDetail;
  wearer: Wearer;
  chosen: readonly string[];
  choose: (to: readonly string[]) => void;
}) {
  const consent = usePublishConsent(wearer.id, wearer.underAge);
  const said = useConsents(wearer.id);
  const say = useSay();
  const answer = useConsent(wearer.id);
  const { question, logged } = trial;
  const photographs = trial.washDayRecords.flatMap(({ position, photographs: own }) =>
    own
      .filter(({ received, size }) => received >= size)
      .map((one) => ({ ...one, position, question, logged })),
  );
  if (photographs.length === 0) return <p className="text-sm text-soft">This trial has no photograph.</p>;
  if (said.data?.publishing?.yes === false)
    return (
      <p className="border-l-4 border-mango pl-4 text-sm">
        {said.data.publishing.by} said no to pictures being shown to others on{' '}
        {showDate(said.data.publishing.at.slice(0, 10))}. None stands in this report.
      </p>
    );
  if (wearer.underAge && !consent.data?.given)
    return <SecondYes wearer={wearer} known={consent.data !== undefined} />;
  const { of: nameOf } = namesOf(photographs, ({ angle }) => ANGLES[angle].label);
  return (
    <fieldset>
      <legend className="text-sm font-semibold">Pictures ({chosen.length} in it)</legend>
      {consent.data?.given && (
        <p className="text-sm text-soft">
          {consent.data.given.guardian} said yes to publishing on {showDate(consent.data.given.at)}.{' '}
          <Button
            look="quiet"
            onClick={() =>
              void answer.mutateAsync({ guardian: consent.data.given!.guardian, yes: false }).then(
                () => {
                  choose([]);
                  say('The yes was taken back. No picture is in the report any more.');
                },
                (error: Error) => say(error.message),
              )
            }
          >
            It was taken back
          </Button>
        </p>
      )}
      <ul className="mt-1 grid max-h-80 grid-cols-3 gap-2 overflow-y-auto">
        {photographs.map((one) => {
          const { id } = one;
          return (
            <li key={id}>
              <label className="block text-xs">
                <img
                  alt=""
                  src={`/api/photographs/${id}/image`}
                  loading="lazy"
                  className="h-20 w-full object-cover"
                />
                <span className="flex min-h-9 items-center gap-1">
                  <input
                    type="checkbox"
                    className="size-4 accent-ink"
                    checked={chosen.includes(id)}
                    onChange={(event) =>
                      choose(event.target.checked ? [...chosen, id] : chosen.filter((one) => one !== id))
                    }
                  />
                  {nameOf(one)}
                </span>
              </label>
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}

/** Puts a guardian's answer on record. */
const useConsent = (wearerId: string) =>
  useChange((answer: PublishConsentInput) =>
    put<PublishConsent>(`/wearers/${wearerId}/publish-consent`, answer),
  );

/** The guardian's second yes, asked apart from the first. */
function SecondYes({ wearer, known }: { wearer: Wearer; known: boolean }) {
  const say = useSay();
  const [guardian, setGuardian] = useState(wearer.guardian ?? '');
  const [sure, setSure] = useState(false);
  const answer = useConsent(wearer.id);
  if (!known) return null;
  return (
    <section aria-labelledby="second-yes" className="border-l-4 border-mango pl-4">
      <h2 id="second-yes" className="text-base">
        {wearer.name} is under age
      </h2>
      <p className="text-sm">
        The yes to the trial is no yes to publishing. Ask the guardian again, and the wearer too.
      </p>
      <TextField label="Guardian" value={guardian} onChange={setGuardian} />
      <label className="my-2 flex items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={sure}
          onChange={(event) => setSure(event.target.checked)}
        />
        Said yes to pictures in what is published
      </label>
      <Button
        disabled={!sure || guardian.trim() === ''}
        onClick={() =>
          void answer.mutateAsync({ guardian, yes: true }).then(
            () => say('The second yes is on record.'),
            (error: Error) => say(error.message),
          )
        }
      >
        Record the second yes
      </Button>
    </section>
  );
}
