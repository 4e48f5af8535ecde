import type { TrialDetail } from '@sabor/contract/trial-record';
import { useChange } from '../../api/queries.ts';
import { armStyle } from '../../drawings/arm-style.ts';
import { post } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';

/** Where a blind trial stands: codes to print, guesses to give, the key to open. */
export function BlindPart({ trial }: { trial: TrialDetail }) {
  const open = useChange(() => post<TrialDetail>(`/trials/${trial.id}/key/open`));
  if (!trial.blind) return null;
  const finished = trial.washDayRecords.filter(({ status }) => status === 'finished');
  const unguessed = finished.filter(({ id }) => !trial.guesses.some(({ washDayId }) => washDayId === id));
  return (
    <section className="mt-8 max-w-3xl border-l-4 border-ink pl-5" aria-labelledby="blind">
      <h2 id="blind" className="text-xl">
        Blind
      </h2>
      {trial.keyOpenedAt ? (
        <p className="flex flex-wrap gap-x-4">
          <span>The key was opened.</span>
          {trial.arms.map(({ id, name }, arm) => (
            <span key={id} className="whitespace-nowrap">
              <span aria-hidden="true" style={{ color: armStyle(arm).hue }}>
                {armStyle(arm).marker}
              </span>{' '}
              {trial.codes[id]} was {name}
            </span>
          ))}
        </p>
      ) : (
        <>
          <p>
            Under test: {(trial.masked ? trial.underTest : trial.arms.map(({ name }) => name)).join(', ')}.
            Which is behind which code stays sealed until the trial is over.
          </p>
          {unguessed.length > 0 && (
            <p className="text-mango-deep">
              Not guessed yet: wash day {unguessed.map(({ position }) => position + 1).join(', ')}. Guess
              before the key opens.
            </p>
          )}
          <div className="mt-3 flex flex-wrap gap-3">
            {trial.endedAt === null && <ButtonLink to={`/trials/${trial.id}/codes`}>Code labels</ButtonLink>}
            {trial.endedAt !== null && (
              <Button look="main" onClick={() => open.mutate(undefined)} disabled={open.isPending}>
                Open the key
              </Button>
            )}
          </div>
          {open.isError && (
            <p role="alert" className="mt-2 font-semibold text-brick">
              {open.error.message}
            </p>
          )}
        </>
      )}
    </section>
  );
}
