import type { OverruleInput } from '@sabor/contract/promise';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { GRAVITIES, type Gravity } from '@sabor/core/fairness/gravity';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { differenceInWords } from '@sabor/words/fairness';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';

/** Judges one difference otherwise than the rules, with a reason, before the outcomes are shown. */
export function Overrule({ trial, item }: { trial: TrialDetail; item: SlipItem }) {
  const voice = useVoice();
  const [open, setOpen] = useState(false);
  const [gravity, setGravity] = useState<Gravity>('note');
  const [reason, setReason] = useState('');
  const [error, setError] = useState<string | undefined>();
  const send = useChange((input: OverruleInput) =>
    put<TrialDetail>(`/trials/${trial.id}/overrules/${input.id}`, input),
  );
  const take = useChange((id: string) => remove<TrialDetail>(`/trials/${trial.id}/overrules/${id}`));
  const mine = trial.overrules.find(
    ({ washDayId, difference }) => washDayId === item.washDayId && difference === item.difference.key,
  );
  if (mine)
    return (
      <button
        type="button"
        className="block text-sm underline underline-offset-4"
        onClick={() => take.mutate(mine.id)}
      >
        Undo
      </button>
    );
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="block text-sm text-soft underline underline-offset-4 hover:text-ink">
        Judge differently
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(32rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-tag bg-paper p-6 text-ink"
        >
          <Dialog.Title className="mb-2 text-2xl">Judge this differently?</Dialog.Title>
          <p className="mb-4 text-soft">
            {differenceInWords(item.difference, voice)} It stays on record with your reason, and cannot be
            changed once the outcomes are shown.
          </p>
          <form
            className="space-y-4"
            onSubmit={async (event) => {
              event.preventDefault();
              try {
                await send.mutateAsync({
                  id: v7(),
                  washDayId: item.washDayId,
                  difference: item.difference.key,
                  gravity,
                  reason,
                });
                setOpen(false);
              } catch (problem) {
                setError((problem as Error).message);
              }
            }}
          >
            <ChoiceField
              label="It is"
              options={GRAVITIES}
              value={gravity}
              onChange={(next) => next && setGravity(next)}
            />
            <TextField label="Because" rows={2} value={reason} onChange={setReason} error={error} />
            <div className="flex gap-3">
              <Button look="main" type="submit">
                Put it on record
              </Button>
              <Button onClick={() => setOpen(false)}>Leave it to the rules</Button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
