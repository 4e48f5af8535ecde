import type { TrialDetail } from '@sabor/contract/trial-record';
import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { MomentField } from '../../ui/dates.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { fromLocalInput } from '../../ui/show.ts';

/** A trial's next wash day that was washed already: when it began, then what was done in one sheet. */
export function EnterPast({ trial }: { trial: TrialDetail }) {
  const leave = useGoOn();
  const id = useRef(v7());
  const [open, setOpen] = useState(false);
  const [began, setBegan] = useState('');
  const [missing, setMissing] = useState(false);
  const start = useChange((startedAt: string) =>
    put(`/wash-days/${id.current}`, { trialId: trial.id, startedAt }),
  );
  const startedAt = fromLocalInput(began);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>Enter a past one</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-tag bg-paper p-6">
          <Dialog.Title className="mb-2 text-2xl">Wash day {trial.washDaysDone + 1}, afterwards</Dialog.Title>
          <Dialog.Description className="mb-4 text-soft">
            Which option it was is drawn as ever, and shows next: enter it only if that is what was used. It
            is marked as entered later.
          </Dialog.Description>
          <form
            noValidate
            className="space-y-4"
            onSubmit={(event) => {
              event.preventDefault();
              setMissing(startedAt === null);
              if (startedAt === null) return;
              const goOn = leave();
              start.mutate(startedAt, { onSuccess: () => goOn(`/wash-days/${id.current}/afterwards`) });
            }}
          >
            <MomentField
              label="It began"
              hint="“yesterday 18:30”, or a date and a time."
              value={began}
              onChange={setBegan}
              error={
                missing
                  ? 'Say when it began: a date and a time.'
                  : start.isError
                    ? start.error.message
                    : undefined
              }
            />
            <div className="flex gap-3">
              <Button look="main" type="submit" disabled={start.isPending}>
                Enter it
              </Button>
              <Button onClick={() => setOpen(false)}>Cancel</Button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
