import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { DragHandleDots2Icon } from '@radix-ui/react-icons';
import type { StepInput } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import { SLOTS } from '@sabor/core/step/slots';
import { stepInWords } from '@sabor/words/step';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useVoice } from '../../api/voice.ts';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { StepSettingsFields } from '../../ui/step-settings.tsx';
import { useSay } from '../../ui/undo.tsx';

/** A routine's steps: reorder by drag or by keyboard, open to edit, duplicate, take out with undo. */
export function StepList({
  steps,
  onChange,
  products,
  problem,
}: {
  steps: StepInput[];
  onChange: (steps: StepInput[]) => void;
  products: readonly Product[];
  problem: (path: string) => string | undefined;
}) {
  const voice = useVoice();
  const say = useSay();
  const [open, setOpen] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const at = (id: unknown) => steps.findIndex((step) => step.id === id);
    onChange(arrayMove(steps, at(active.id), at(over.id)));
  };
  const take = (step: StepInput) => {
    onChange(steps.filter(({ id }) => id !== step.id));
    say(`${SLOTS[step.slot].label} is removed.`, () => onChange(steps));
  };
  const double = (step: StepInput) => {
    const at = steps.indexOf(step) + 1;
    onChange([...steps.slice(0, at), { ...step, id: v7() }, ...steps.slice(at)]);
  };
  if (steps.length === 0)
    return (
      <p className="border-y border-rule py-4 text-soft">
        No steps yet. Add them in the order you do them; a step may come twice.
      </p>
    );
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol className="border-t border-rule">
          {steps.map((step, i) => (
            <StepRow
              key={step.id}
              step={step}
              n={i + 1}
              words={stepInWords(step, voice, { between: ' · ' })}
              open={open === step.id}
              toggle={() => setOpen(open === step.id ? null : step.id)}
              onChange={(changed) => onChange(steps.map((known) => (known.id === step.id ? changed : known)))}
              take={() => take(step)}
              double={() => double(step)}
              products={products}
              problem={(path) => problem(`steps.${i}.${path}`)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function StepRow({
  step,
  n,
  words,
  open,
  toggle,
  onChange,
  take,
  double,
  products,
  problem,
}: {
  step: StepInput;
  n: number;
  words: string;
  open: boolean;
  toggle: () => void;
  onChange: (step: StepInput) => void;
  take: () => void;
  double: () => void;
  products: readonly Product[];
  problem: (path: string) => string | undefined;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id: step.id });
  const { label } = SLOTS[step.slot];
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? '' }}
      className={`border-b border-rule bg-paper ${isDragging ? 'relative z-10 shadow-lg' : ''}`}
    >
      <div className="flex items-center gap-3 py-2">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${label}, step ${n}`}
          className="flex min-h-10 w-8 cursor-grab touch-none items-center justify-center text-soft"
        >
          <DragHandleDots2Icon className="size-4.5" aria-hidden="true" />
        </button>
        <span className="figure w-6 text-right text-soft">{n}</span>
        <button
          type="button"
          aria-expanded={open}
          onClick={toggle}
          className="min-h-10 min-w-0 flex-1 text-left"
        >
          <span className="font-semibold">{label}</span>
          <span className="ml-3 text-soft">{words || 'nothing set'}</span>
        </button>
        <Button look="quiet" onClick={double} aria-label={`Duplicate ${label}, step ${n}`}>
          Duplicate
        </Button>
        <Button look="quiet" onClick={take} aria-label={`Remove ${label}, step ${n}`}>
          Remove
        </Button>
      </div>
      {open && (
        <div className="mb-4 ml-4 border-l-4 border-leaf/50 pl-4 sm:ml-16">
          <StepSettingsFields
            slot={step.slot}
            step={step}
            onChange={onChange}
            products={products}
            problem={problem}
          />
          <TextField
            className="mt-3"
            label="Note"
            value={step.note ?? ''}
            onChange={(note) => onChange({ ...step, note })}
            error={problem('note')}
          />
        </div>
      )}
      {!open &&
        ['dose.amount', 'dose.from', 'dose.to', 'minutes', 'sections'].some((path) => problem(path)) && (
          <p role="alert" className="mb-2 ml-16 font-semibold text-brick">
            Open this step: something in it needs mending.
          </p>
        )}
    </li>
  );
}
