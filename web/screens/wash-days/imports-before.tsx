import type { DayImport, TakenBack } from '@sabor/contract/day-import';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { post } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { counted } from '../../ui/file-rows.tsx';
import { showMoment } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** Files that wash days came from, each to be taken back as a whole. */
export function ImportsBefore({ imports }: { imports: readonly DayImport[] }) {
  const there = imports.filter(({ days }) => days > 0);
  if (there.length === 0) return null;
  return (
    <section aria-labelledby="before" className="mt-10 max-w-4xl">
      <h2 id="before" className="text-xl">
        Imported before
      </h2>
      <ul>
        {there.map((one) => (
          <li
            key={one.id}
            className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b border-rule py-2"
          >
            <span className="min-w-0 flex-1 basis-64">
              <span className="font-semibold break-words">{one.fileName}</span>{' '}
              <span className="text-soft">
                {showMoment(one.at)} · {counted(one.days, 'wash day', 'wash days')}
              </span>
            </span>
            <TakeBack file={one} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function TakeBack({ file }: { file: DayImport }) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const { mutate, isPending } = useChange((id: string) =>
    post<TakenBack>(`/day-imports/${id}/take-back`, {}),
  );
  const days = counted(file.days, 'wash day', 'wash days');
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button look="stop" aria-label={`Remove the wash days of ${file.fileName}`}>
          Remove
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/50" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-tag bg-paper p-6 text-ink">
          <Dialog.Title className="mb-2 text-2xl">Remove {days}?</Dialog.Title>
          <Dialog.Description className="mb-4 text-soft">
            All that came from {file.fileName} goes, but for days of which more was told since: a photograph,
            a check-in, an event. The file can be imported again.
          </Dialog.Description>
          <div className="flex gap-3">
            <Button
              look="stop"
              disabled={isPending}
              onClick={() =>
                mutate(file.id, {
                  onSuccess: ({ removed, kept }) => {
                    setOpen(false);
                    say(
                      `${counted(removed, 'wash day is', 'wash days are')} removed${kept > 0 ? `; ${counted(kept, 'stays, since', 'stay, since')} more was told of ${kept === 1 ? 'it' : 'them'}` : ''}.`,
                    );
                  },
                  onError: (problem) => {
                    setOpen(false);
                    say(problem.message);
                  },
                })
              }
            >
              Remove {days}
            </Button>
            <Dialog.Close asChild>
              <Button>Keep them</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
