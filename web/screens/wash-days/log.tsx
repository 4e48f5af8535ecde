import { LogWashDay } from '@sabor/contract/logged-day';
import { fieldsOf } from '@sabor/contract/problem';
import type { Routine } from '@sabor/contract/routine';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { SLOTS } from '@sabor/core/step/slots';
import { useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { useChange, useRoutines, useWearers } from '../../api/queries.ts';
import { put, type Refused } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { MomentField } from '../../ui/dates.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { fromLocalInput } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing, SheetProblems } from '../../ui/states.tsx';

/** A wash day that belongs to no trial: step by step from now on, or one that is past in one sheet. */
export function LogScreen() {
  const wearers = useWearers();
  const routines = useRoutines();
  if (wearers.isPending || routines.isPending) return <Loading what="heads and routines" />;
  if (wearers.isLoadingError) return <Failed error={wearers.error} retry={wearers.refetch} />;
  if (routines.isLoadingError) return <Failed error={routines.error} retry={routines.refetch} />;
  const heads = wearers.data.filter(({ archivedAt }) => archivedAt === null);
  const written = routines.data.filter(({ archivedAt, steps }) => archivedAt === null && steps.length > 0);
  if (heads.length === 0)
    return (
      <Nothing title="Whose hair was washed?" action={<ButtonLink to="/heads/new">Add a wearer</ButtonLink>}>
        A wash day belongs to a head. Add one first; a name is enough.
      </Nothing>
    );
  if (written.length === 0)
    return (
      <Nothing title="By which routine?" action={<ButtonLink to="/routines">To the routines</ButtonLink>}>
        Write the wash down once, or start from a template; each wash day then only says what differed.
      </Nothing>
    );
  return <LogSheet heads={heads} routines={written} />;
}

function LogSheet({ heads, routines }: { heads: readonly Wearer[]; routines: readonly Routine[] }) {
  const [search] = useSearchParams();
  const leave = useGoOn();
  const id = useRef(v7());
  const asked = routines.find((known) => known.id === search.get('routine'));
  const [wearerId, setWearerId] = useState(
    heads.find((known) => known.id === search.get('head'))?.id ??
      asked?.wearerId ??
      (heads.length === 1 ? heads[0]!.id : ''),
  );
  const [routineId, setRoutineId] = useState(asked?.id ?? routines[0]!.id);
  const [name, setName] = useState('');
  const [past, setPast] = useState('');
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const save = useChange((day: LogWashDay) => put<WashDay>(`/logged-days/${day.id}`, day));
  const routine = routines.find((known) => known.id === routineId)!;
  const send = async (startedAt: string | null, to: (day: WashDay) => string) => {
    const checked = v.safeParse(LogWashDay, {
      id: id.current,
      wearerId,
      name: name.trim() || routine.name,
      startedAt: startedAt ?? '',
      steps: routine.steps,
    });
    if (!checked.success)
      return setProblems(
        fieldsOf(checked.issues).map((one) =>
          one.path === 'startedAt' && startedAt === null
            ? { ...one, message: 'Say when it began: “yesterday 18:30”, or a date and a time.' }
            : one,
        ),
      );
    const goOn = leave();
    try {
      const day = await save.mutateAsync(checked.output);
      goOn(to(day));
    } catch (error) {
      const { fields, message } = error as Refused;
      setProblems(fields.length > 0 ? fields : [{ path: '', message }]);
    }
  };
  return (
    <form
      noValidate
      className="max-w-2xl space-y-5"
      onSubmit={(event) => {
        event.preventDefault();
        void send(fromLocalInput(past), ({ id: made }) => `/wash-days/${made}/afterwards`);
      }}
    >
      <Heading kicker="Wash days" title="Log a wash day">
        It tests nothing, and counts everywhere else: history, build-up, care due, drying, bottles.
      </Heading>
      <div className="grid gap-4 sm:grid-cols-2">
        <ChoiceField
          label="Whose hair"
          options={heads.map(({ id: key, name: label }) => ({ key, label }))}
          value={wearerId || null}
          onChange={(key) => setWearerId(key ?? '')}
          error={problem('wearerId')}
        />
        <ChoiceField
          label="Routine"
          options={routines.map(({ id: key, name: label }) => ({ key, label }))}
          value={routineId}
          onChange={(key) => key && setRoutineId(key)}
          hint={routine.steps.map(({ slot }) => SLOTS[slot].short).join(' · ')}
          error={problem('steps')}
        />
        <TextField
          label="Called"
          placeholder={routine.name}
          value={name}
          onChange={setName}
          error={problem('name')}
        />
      </div>
      <section aria-labelledby="now" className="border-l-4 border-leaf/50 pl-4">
        <h2 id="now" className="mb-2 text-xl">
          Now, step by step
        </h2>
        <Button
          look="main"
          disabled={save.isPending}
          onClick={() => void send(new Date().toISOString(), ({ id: made }) => `/wash-days/${made}`)}
        >
          Start the wash
        </Button>
      </section>
      <section aria-labelledby="past" className="border-l-4 border-rule pl-4">
        <h2 id="past" className="mb-2 text-xl">
          It is past
        </h2>
        <div className="flex flex-wrap items-end gap-3">
          <MomentField
            className="min-w-64"
            label="It began"
            hint="“yesterday 18:30”, or a date and a time."
            value={past}
            onChange={setPast}
            error={problem('startedAt')}
          />
          <Button className="mb-6" type="submit" disabled={save.isPending}>
            Enter it
          </Button>
        </div>
      </section>
      <SheetProblems problems={problems} shown={['wearerId', 'steps', 'name', 'startedAt']} />
      <ButtonLink look="quiet" className="px-0!" to="/wash-days">
        All wash days
      </ButtonLink>
    </form>
  );
}
