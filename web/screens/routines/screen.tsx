import type { Routine } from '@sabor/contract/routine';
import { STARTERS } from '@sabor/core/routine/starters';
import { SLOTS } from '@sabor/core/step/slots';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { useChange, useRoutines } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { PutAway } from '../../ui/put-away.tsx';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';

export function RoutinesScreen() {
  const routines = useRoutines();
  const leave = useGoOn();
  const [archived, setArchived] = useState(false);
  const saving = useChange((routine: Omit<Routine, 'archivedAt' | 'version'>) =>
    put(`/routines/${routine.id}`, routine),
  );
  if (routines.isPending) return <Loading what="the routines" />;
  if (routines.isLoadingError) return <Failed error={routines.error} retry={routines.refetch} />;
  const away = routines.data.filter((routine) => routine.archivedAt !== null).length;
  const shown = routines.data.filter((routine) => (routine.archivedAt !== null) === archived);
  const copy = (
    from: Pick<Routine, 'name' | 'note'> & { steps: readonly Omit<Routine['steps'][number], 'id'>[] },
    name: string,
  ) => {
    const id = v7();
    const steps = from.steps.map((step) => ({ ...step, id: v7() }));
    const goOn = leave();
    saving.mutate(
      { id, wearerId: null, name, note: from.note, steps },
      { onSuccess: () => goOn(`/routines/${id}`) },
    );
  };
  const [first] = STARTERS;
  const begin = () => copy(first!, first!.name);
  return (
    <>
      <Heading
        title="Routines"
        actions={
          <>
            <label className="flex items-center gap-2 text-sm">
              <span className="sr-only">Start from a template</span>
              <select
                className="min-h-10 rounded-md border border-ink/30 bg-sheet px-2"
                value=""
                aria-label="Start from a template"
                onChange={(e) => {
                  const starter = STARTERS.find(({ name }) => name === e.target.value);
                  if (starter) copy(starter, starter.name);
                }}
              >
                <option value="">Start from a template …</option>
                {STARTERS.map(({ name, note }) => (
                  <option key={name} value={name} title={note}>
                    {name.replace(', template', '')}
                  </option>
                ))}
              </select>
            </label>
            <ButtonLink look="main" to="/routines/new">
              Write a routine
            </ButtonLink>
          </>
        }
      >
        A wash day written down once, step by step, so that a trial can hold it fixed.
      </Heading>
      {saving.isError && <Failed part error={saving.error} />}
      {(away > 0 || archived) && (
        <Button look="quiet" className="mb-4" onClick={() => setArchived(!archived)}>
          {archived ? 'Back to the routines' : `Archived: ${away}`}
        </Button>
      )}
      {routines.data.length === 0 && (
        <Nothing title="No routine yet" action={<Button onClick={begin}>Start from the template</Button>}>
          The template is a plain wash-and-go; put your own products into it.
        </Nothing>
      )}
      <ul className="space-y-6">
        {shown.map((routine) => (
          <RoutineRow
            key={routine.id}
            routine={routine}
            duplicate={() => copy(routine, `${routine.name}, copy`)}
          />
        ))}
      </ul>
    </>
  );
}

function RoutineRow({ routine, duplicate }: { routine: Routine; duplicate: () => void }) {
  return (
    <li>
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-xl">
          <Link
            to={`/routines/${routine.id}`}
            className="underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
          >
            {routine.name}
          </Link>
        </h2>
        <span className="flex gap-2">
          {routine.archivedAt === null && routine.steps.length > 0 && (
            <ButtonLink
              look="quiet"
              to={`/wash-days/new?routine=${routine.id}`}
              aria-label={`Log a wash day by ${routine.name}`}
            >
              Log a wash day
            </ButtonLink>
          )}
          <Button look="quiet" onClick={duplicate} aria-label={`Duplicate ${routine.name}`}>
            Duplicate
          </Button>
          <PutAway what="routines" id={routine.id} name={routine.name} away={routine.archivedAt !== null} />
        </span>
      </div>
      {routine.note && <p className="text-soft">{routine.note}</p>}
      <ol className="mt-2 flex flex-wrap gap-y-1" aria-label={`Slots of ${routine.name}`}>
        {routine.steps.map((step) => (
          <li key={step.id} className="ribbon-piece bg-leaf-pale px-5 py-1.5 text-sm">
            {SLOTS[step.slot].short}
          </li>
        ))}
      </ol>
    </li>
  );
}
