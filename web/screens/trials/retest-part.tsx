import type { TrialDetail } from '@sabor/contract/trial-record';
import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** Days until a trial is usually run again: another season. Common practice, no source. */
const A_SEASON = 90;

/** A trial that is over may be run again: now, or from a day on, which brings it back on Today. */
export function RetestPart({ trial }: { trial: TrialDetail }) {
  const say = useSay();
  const [from, setFrom] = useState(plusDays(localToday(), A_SEASON));
  const [why, setWhy] = useState('');
  const ask = useChange(() => put(`/trials/${trial.id}/retest`, { from, why }));
  const drop = useChange((_: undefined) => remove(`/trials/${trial.id}/retest`));
  if (trial.endedAt === null || trial.masked) return null;
  return (
    <section className={`mt-8 max-w-3xl ${trial.retest ? '' : 'no-print'}`} aria-labelledby="again">
      <h2 id="again" className="mb-2 text-xl">
        Once more
      </h2>
      {trial.retest ? (
        <p className="flex flex-wrap items-center gap-4">
          To be run again from {showDate(trial.retest.from)}
          {trial.retest.why && `: ${trial.retest.why}`}
          <Button look="quiet" onClick={() => drop.mutate(undefined)}>
            Take back
          </Button>
        </p>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <DateField label="Run it again from" value={from} onChange={setFrom} />
          <TextField
            label="Because"
            placeholder="summer air, a new bottle, it could not tell …"
            value={why}
            onChange={setWhy}
            error={ask.isError ? ask.error.message : undefined}
          />
          <Button
            onClick={() =>
              ask.mutate(undefined, { onSuccess: () => say('It comes back on Today on that day.') })
            }
          >
            Remind me
          </Button>
        </div>
      )}
      <ButtonLink look="quiet" className="px-0!" to={`/trials/new/plan?again=${trial.id}`}>
        Plan it again now
      </ButtonLink>
    </section>
  );
}
