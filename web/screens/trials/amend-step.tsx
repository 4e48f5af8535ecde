import type { StepAmendmentInput } from '@sabor/contract/promise';
import type { PlanStep } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { SLOTS } from '@sabor/core/step/slots';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange, useShelf } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { StepSettingsFields } from '../../ui/step-settings.tsx';

/** Changes a held step for the wash days to come: a bottle that is no longer sold, a dryer that broke. */
export function AmendStep({ trial }: { trial: TrialDetail }) {
  const shelf = useShelf();
  const held = trial.plan.filter(({ part }) => part !== 'tested');
  const [open, setOpen] = useState(false);
  const [step, setStep] = useState<PlanStep | null>(null);
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<{ path: string; message: string } | null>(null);
  const send = useChange((input: StepAmendmentInput) =>
    put<TrialDetail>(`/trials/${trial.id}/step-amendments/${input.id}`, input),
  );
  const error = (path: string) => (problem?.path === path ? problem.message : undefined);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>Change a step (goes on record)</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(46rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-tag bg-paper p-6 text-ink"
        >
          <Dialog.Title className="mb-2 text-2xl">Change a step (goes on record)</Dialog.Title>
          <p className="mb-4 text-soft">
            For the wash days to come; those that were run keep the plan they were run by. The fairness check
            will tell the two apart.
          </p>
          <form
            className="space-y-4"
            onSubmit={async (event) => {
              event.preventDefault();
              if (!step) return setProblem({ path: 'step', message: 'Choose the step that changes.' });
              setProblem(null);
              try {
                await send.mutateAsync({ id: v7(), step, reason });
                setOpen(false);
              } catch (caught) {
                const refused = caught as Error & { fields?: { path: string; message: string }[] };
                setProblem(refused.fields?.[0] ?? { path: 'reason', message: refused.message });
              }
            }}
          >
            <ChoiceField
              label="Step"
              options={held.map(({ id, slot }, i) => ({ key: id, label: `${i + 1} · ${SLOTS[slot].label}` }))}
              value={step?.id ?? null}
              onChange={(id) => setStep(held.find((known) => known.id === id) ?? null)}
              error={error('step')}
            />
            {step && (
              <StepSettingsFields
                slot={step.slot}
                step={step}
                onChange={setStep}
                products={shelf.data?.products ?? []}
                problem={(path) => error(`step.${path}`)}
              />
            )}
            <TextField label="Because" rows={2} value={reason} onChange={setReason} error={error('reason')} />
            <div className="flex gap-3">
              <Button look="main" type="submit">
                Put it on record
              </Button>
              <Button onClick={() => setOpen(false)}>Cancel</Button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
