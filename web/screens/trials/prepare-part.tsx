import type { EnvelopeOut } from '@sabor/contract/envelope';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { WEAR_ENDS, type WearEnd } from '@sabor/core/outcomes/events';
import { DESIGNS } from '@sabor/core/trial/designs';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import { resource } from '../../api/queries.ts';
import { begin, prepare, putBack, useEnvelope, useStarts } from '../../offline/envelopes.ts';
import type { KeptEnvelope } from '../../offline/kept.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showMoment } from '../../ui/show.ts';

/** What of a trial lies prepared on this device, or was begun here and is on its way. */
export const usePrepared = (trialId: string) => ({
  envelope: useEnvelope(trialId),
  start: useStarts().find((one) => one.start.trialId === trialId),
});

/** A wash day that lies on this device in its envelope, or was begun from it and is on its way. */
export function Prepared({ trial }: { trial: TrialDetail }) {
  const { envelope, start } = usePrepared(trial.id);
  if (start)
    return (
      <Part>
        <p>A wash day was begun here and is not on the server yet. {start.refused}</p>
        <ButtonLink look="main" to={`/wash-days/${start.id}`}>
          Go on with it
        </ButtonLink>
      </Part>
    );
  return envelope ? (
    <Part>
      <Sealed envelope={envelope} />
    </Part>
  ) : null;
}

/** Prepares the next wash day for times without the network, or says where it lies prepared. */
export function PreparePart({ trial }: { trial: TrialDetail }) {
  const { envelope, start } = usePrepared(trial.id);
  const running = trial.status === 'running' && trial.endedAt === null;
  const isFixed = DESIGNS[trial.design].seeks !== 'dose' && trial.washDaysDone < trial.washDays;
  if (envelope || start || !running || !isFixed) return null;
  return (
    <div className="mt-8">
      <Fold late summary="A wash day without the network">
        <NotHere trial={trial} />
      </Fold>
    </div>
  );
}

const Part = ({ children }: { children: ReactNode }) => (
  <section aria-labelledby="prepared" className="mb-6 max-w-3xl space-y-3 border-l-4 border-leaf pl-4">
    <h2 id="prepared" className="text-xl">
      A wash day without the network
    </h2>
    {children}
  </section>
);

/** Does something that may be refused, and says so. */
function useTold() {
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const tell = async (work: () => Promise<unknown>) => {
    setProblem(null);
    setBusy(true);
    await work().catch((error: Error) => setProblem(error.message));
    setBusy(false);
  };
  const told = problem && (
    <p role="alert" className="font-semibold text-brick">
      {problem}
    </p>
  );
  return { tell, told, busy };
}

/** The envelope that lies here: it opens when its wash day begins, and not before. */
function Sealed({ envelope }: { envelope: KeptEnvelope }) {
  const navigate = useNavigate();
  const [wearEnd, setWearEnd] = useState<WearEnd | null>(null);
  const { tell, told, busy } = useTold();
  const n = envelope.position + 1;
  return (
    <>
      <p>
        Wash day {n} lies on this device in its envelope, since {showMoment(envelope.madeAt)}. It opens when
        the wash day begins, with or without the network; that it was opened goes on record.
      </p>
      {envelope.worn && (
        <ChoiceField
          label="How the last wear ended"
          value={wearEnd}
          onChange={setWearEnd}
          options={WEAR_ENDS}
        />
      )}
      <span className="flex flex-wrap gap-3">
        <Button
          look="main"
          disabled={busy || (envelope.worn && wearEnd === null)}
          onClick={() =>
            void tell(async () => {
              const day = await begin(envelope, wearEnd);
              void navigate(`/wash-days/${day.id}`);
            })
          }
        >
          Open it and begin wash day {n}
        </Button>
        <Button look="quiet" disabled={busy} onClick={() => void tell(() => putBack(envelope.trialId))}>
          Put it back unopened
        </Button>
      </span>
      {told}
    </>
  );
}

/** No envelope here: one lies elsewhere, or one can be made. */
function NotHere({ trial }: { trial: TrialDetail }) {
  const client = useQueryClient();
  const query = resource<EnvelopeOut>(`/trials/${trial.id}/envelope`);
  const { data } = useQuery(query);
  const { tell, told, busy } = useTold();
  const changed = () => client.invalidateQueries({ queryKey: query.queryKey });
  if (!data) return <p className="text-soft">Only where Sabor answers can a wash day be prepared.</p>;
  const { out } = data;
  return (
    <>
      {out ? (
        <>
          <p>
            Wash day {out.position + 1} lies prepared {out.device ? `on ${out.device}` : 'on this machine'}
            {out.person && ` (${out.person})`} since {showMoment(out.madeAt)}. Begin it there. Taken back, it
            cannot be begun there any more.
          </p>
          <Button
            disabled={busy}
            onClick={() =>
              void tell(async () => {
                await putBack(trial.id);
                await changed();
              })
            }
          >
            Take it back
          </Button>
        </>
      ) : (
        <>
          <p>
            Where there is no network, a wash day cannot be drawn. Fetched beforehand, it lies on this device
            sealed: nobody sees its option before it begins. Until then no other device begins one, and the
            plan stays as it is.
          </p>
          <Button
            disabled={busy}
            onClick={() =>
              void tell(async () => {
                await prepare(trial.id, trial.wearerId);
                await changed();
              })
            }
          >
            Prepare the next wash day here
          </Button>
        </>
      )}
      {told}
    </>
  );
}
