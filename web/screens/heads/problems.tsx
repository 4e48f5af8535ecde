import type { HairFile, HeadProblem, HeadProblemInput } from '@sabor/contract/hair-file';
import type { Wearer } from '@sabor/contract/wearer';
import { PROBLEM_STATES, type ProblemState } from '@sabor/core/hair/problem-states';
import { PLACES, type Place } from '@sabor/core/hair/zones';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { put, Refused, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { ChoiceField, TextField, TicksField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { Tag } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';

const inWords = (places: readonly Place[]) =>
  places.map((place) => PLACES[place].label.toLowerCase()).join(', ');

/** What bothers this head until it is solved: where, what was tried, what helped. */
export function Problems({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const say = useSay();
  const [edited, setEdited] = useState<HeadProblemInput | null>(null);
  const save = useChange((problem: HeadProblemInput) => put(`/head-problems/${problem.id}`, problem));
  const out = useChange((id: string) => remove(`/head-problems/${id}`));
  const blank = (): HeadProblemInput => ({
    id: v7(),
    wearerId: wearer.id,
    what: '',
    places: [],
    tried: '',
    helped: '',
    since: localToday(),
    state: 'open',
    solvedOn: null,
  });
  const take = (problem: HeadProblem) =>
    out.mutate(problem.id, {
      onSuccess: () => say(`“${problem.what}” is removed.`, () => save.mutate(problem)),
      onError: (error) => say(error.message),
    });
  return (
    <section aria-labelledby="problems" className="space-y-4">
      <h2 id="problems" className="text-xl">
        Open problems
      </h2>
      <p className="text-soft">
        Frizz at the crown that nothing cures, an itch after every gel: kept here, and on Today, until it is
        solved.
      </p>
      {file.problems.length === 0 && <p className="text-soft">None.</p>}
      <ul className="divide-y divide-rule border-y border-rule">
        {file.problems.map((problem) => (
          <li key={problem.id} className="py-2">
            <p className="flex flex-wrap items-center gap-2 font-semibold">
              {problem.what}
              <Tag tone={problem.state === 'solved' ? 'plain' : problem.state === 'better' ? 'held' : 'due'}>
                {PROBLEM_STATES[problem.state].label}
              </Tag>
            </p>
            <p className="text-[0.95rem] text-soft">
              {[
                problem.places.length ? inWords(problem.places) : 'whole head',
                `since ${showDate(problem.since)}`,
                problem.solvedOn && `solved ${showDate(problem.solvedOn)}`,
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
            {problem.tried && <p className="text-[0.95rem]">Tried: {problem.tried}</p>}
            {problem.helped && <p className="text-[0.95rem]">Helped: {problem.helped}</p>}
            <div className="flex flex-wrap gap-2">
              <Button look="quiet" onClick={() => setEdited(problem)}>
                Change<span className="sr-only">: {problem.what}</span>
              </Button>
              <Button look="quiet" onClick={() => take(problem)}>
                Remove<span className="sr-only">: {problem.what}</span>
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {edited === null ? (
        <Button onClick={() => setEdited(blank())}>Add a problem</Button>
      ) : (
        <ProblemForm
          key={edited.id}
          value={edited}
          change={setEdited}
          cancel={() => setEdited(null)}
          error={save.error}
          send={() =>
            save.mutate(edited, {
              onSuccess: () => {
                setEdited(null);
                say(`“${edited.what.trim()}” is kept.`);
              },
            })
          }
        />
      )}
    </section>
  );
}

function ProblemForm({
  value,
  change,
  send,
  cancel,
  error,
}: {
  value: HeadProblemInput;
  change: (to: HeadProblemInput) => void;
  send: () => void;
  cancel: () => void;
  error: Error | null;
}) {
  const problem = (path: string) =>
    error instanceof Refused ? error.fields.find((field) => field.path === path)?.message : undefined;
  const set = <K extends keyof HeadProblemInput>(key: K, to: HeadProblemInput[K]) =>
    change({ ...value, [key]: to });
  return (
    <form
      noValidate
      className="space-y-4 border-l-4 border-ink/20 pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <TextField
        label="What bothers"
        value={value.what}
        onChange={(to) => set('what', to)}
        error={problem('what')}
      />
      <TicksField<Place>
        legend="Where, if not everywhere"
        options={PLACES}
        value={value.places ?? []}
        onChange={(to) => set('places', to)}
      />
      <TextField
        label="What was tried"
        rows={2}
        value={value.tried ?? ''}
        onChange={(to) => set('tried', to)}
        error={problem('tried')}
      />
      <TextField
        label="What helped"
        rows={2}
        value={value.helped ?? ''}
        onChange={(to) => set('helped', to)}
        error={problem('helped')}
      />
      <div className="grid gap-4 sm:grid-cols-3">
        <DateField
          label="Since"
          value={value.since}
          onChange={(to) => set('since', to)}
          error={problem('since')}
        />
        <ChoiceField<ProblemState>
          label="How far it is"
          options={PROBLEM_STATES}
          value={value.state}
          onChange={(state) =>
            state && change({ ...value, state, solvedOn: state === 'solved' ? localToday() : null })
          }
        />
        {value.state === 'solved' && (
          <DateField
            label="Solved on"
            value={value.solvedOn ?? ''}
            onChange={(to) => set('solvedOn', to || null)}
            error={problem('solvedOn')}
          />
        )}
      </div>
      {error && !(error instanceof Refused && error.fields.length > 0) && (
        <p role="alert" className="font-semibold text-brick">
          {error.message}
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button look="main" type="submit">
          Keep the problem
        </Button>
        <Button look="quiet" onClick={cancel}>
          Not now
        </Button>
      </div>
    </form>
  );
}
