import { type Routine, RoutineInput, type StepInput } from '@sabor/contract/routine';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { v7 } from 'uuid';
import { useRoutines, useSave, useShelf } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { useDraft } from '../../ui/draft.ts';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { SheetFoot } from '../../ui/sheet-foot.tsx';
import { Failed, Heading, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { RoutineFindings } from './routine-findings.tsx';
import { StepList } from './step-list.tsx';

export function RoutineScreen() {
  const { id = 'new' } = useParams();
  const routines = useRoutines();
  if (routines.isPending) return <Loading what="the routine" />;
  if (routines.isLoadingError) return <Failed error={routines.error} retry={routines.refetch} />;
  const routine = routines.data.find((known) => known.id === id);
  if (id !== 'new' && !routine)
    return (
      <Failed error={new Error('Sabor has no such routine. It may have been opened from an old link.')} />
    );
  return <RoutineSheet key={id} routine={routine} />;
}

const SLOT_CHOICES = Object.entries(SLOTS).map(([key, { label }]) => ({ key: key as Slot, label }));

function RoutineSheet({ routine }: { routine: Routine | undefined }) {
  const shelf = useShelf();
  const leave = useGoOn();
  const say = useSay();
  const initial = useMemo<RoutineInput>(() => {
    if (!routine) return { id: v7(), wearerId: null, name: '', note: '', steps: [] };
    const { archivedAt: _, version: __, ...input } = routine;
    return input;
  }, [routine]);
  const draft = useDraft(`routine ${routine?.id ?? 'new'}`, RoutineInput, initial, routine?.version ?? null);
  const save = useSave<RoutineInput>(`/routines/${initial.id}`);
  const [slot, setSlot] = useState<Slot>('cleanse');
  const { value, bind, set, problem, change } = draft;
  const setSteps = (steps: StepInput[]) => change((old) => ({ ...old, steps }));
  return (
    <form
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        const goOn = leave();
        if (!(await draft.save(save))) return;
        say(`${value.name} is saved.`);
        goOn('/routines');
      }}
    >
      <Heading kicker="Routines" title={routine ? routine.name : 'A new routine'}>
        Drag a step by its handle, or focus the handle and press space, then the arrow keys.
      </Heading>
      <div className="mb-6 grid gap-4 sm:grid-cols-2">
        <TextField label="Name" {...bind('name')} />
        <TextField label="Note" value={value.note ?? ''} onChange={set('note')} error={problem('note')} />
      </div>
      <StepList
        steps={value.steps as StepInput[]}
        onChange={setSteps}
        products={shelf.data?.products ?? []}
        problem={problem}
      />
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <ChoiceField<Slot>
          label="Next step"
          options={SLOT_CHOICES}
          value={slot}
          onChange={(key) => key && setSlot(key)}
        />
        <Button
          onClick={() =>
            setSteps([...(value.steps as StepInput[]), { ...EMPTY_SETTINGS, id: v7(), slot, note: '' }])
          }
        >
          Add this step
        </Button>
      </div>
      <RoutineFindings steps={value.steps} products={shelf.data?.products ?? []} />
      <SheetFoot
        draft={draft}
        save="Save the routine"
        back={{ to: '/routines', label: 'Back to the routines' }}
      />
    </form>
  );
}
