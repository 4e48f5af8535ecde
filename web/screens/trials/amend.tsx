import { AMENDABLE, type Amendable, type AmendmentInput } from '@sabor/contract/promise';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { MainResult } from '@sabor/core/compare/main-result';
import { amendmentInWords } from '@sabor/words/amendment';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, NumberField, TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { AmendStep } from './amend-step.tsx';
import { MainResultField } from './main-result-field.tsx';

/** What was promised and changed after the first wash day, each with its date and reason. */
export function Amendments({ trial }: { trial: TrialDetail }) {
  const voice = useVoice();
  const open = trial.startedAt !== null && trial.endedAt === null;
  if (!open && trial.amendments.length === 0) return null;
  return (
    <section className="mt-8" aria-labelledby="amendments">
      <h2 id="amendments" className="text-xl">
        Changes to the plan
      </h2>
      {trial.amendments.length === 0 && <p className="text-soft">None: the trial runs as planned.</p>}
      <ol>
        {trial.amendments.map(({ id, at, washDaysDone, reason, ...change }) => (
          <li key={id} className="border-b border-rule py-1.5">
            {showDate(at.slice(0, 10))}, after {washDaysDone} wash {washDaysDone === 1 ? 'day' : 'days'}:{' '}
            {amendmentInWords(change, voice)} <span className="text-soft">{reason}</span>
          </li>
        ))}
      </ol>
      {open && (
        <div className="mt-3 flex flex-wrap gap-3">
          <Amend trial={trial} />
          <AmendStep trial={trial} />
        </div>
      )}
    </section>
  );
}

function Amend({ trial }: { trial: TrialDetail }) {
  const [open, setOpen] = useState(false);
  const [field, setField] = useState<Amendable>('line');
  const [becomes, setBecomes] = useState<string | number | null>(trial.line);
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<{ path: string; message: string } | null>(null);
  const send = useChange((input: AmendmentInput) =>
    put<TrialDetail>(`/trials/${trial.id}/amendments/${input.id}`, input),
  );
  const choose = (next: Amendable | null) => {
    if (!next) return;
    setField(next);
    setBecomes(trial[next]);
  };
  const error = (path: string) => (problem?.path === path ? problem.message : undefined);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>Change the plan (goes on record)</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(32rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-tag bg-paper p-6 text-ink"
        >
          <Dialog.Title className="mb-2 text-2xl">Change the plan (goes on record)</Dialog.Title>
          <p className="mb-4 text-soft">
            The plan was locked when the first wash day began. Each change is kept for good, with its date and
            reason. Design, options, number of wash days and random order cannot be changed: end the trial and
            plan another.
          </p>
          <form
            className="space-y-4"
            onSubmit={async (event) => {
              event.preventDefault();
              setProblem(null);
              try {
                await send.mutateAsync({ id: v7(), field, becomes: becomes as string | number, reason });
                setOpen(false);
              } catch (caught) {
                const refused = caught as Error & { fields?: { path: string; message: string }[] };
                setProblem(refused.fields?.[0] ?? { path: 'reason', message: refused.message });
              }
            }}
          >
            <ChoiceField
              label="What changes"
              options={AMENDABLE}
              value={field}
              onChange={choose}
              error={error('field')}
            />
            {field === 'primary' ? (
              <MainResultField
                label="Becomes"
                value={becomes as MainResult}
                onChange={setBecomes}
                error={error('becomes')}
              />
            ) : field === 'question' ? (
              <TextField
                label="Becomes"
                value={String(becomes ?? '')}
                onChange={setBecomes}
                error={error('becomes')}
              />
            ) : (
              <NumberField
                key={field}
                label="Becomes"
                value={becomes as number | null}
                onChange={setBecomes}
                error={error('becomes')}
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
