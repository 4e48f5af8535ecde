import { type Line, LineInput } from '@sabor/contract/shelf';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { useSave } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { ClashPanel } from '../../ui/clash.tsx';
import { useDraft } from '../../ui/draft.ts';
import { TextField } from '../../ui/inputs.tsx';
import { SheetProblems } from '../../ui/states.tsx';
import { LineClaims } from './line-claims.tsx';

/** Adds a line, or changes its name and claims. */
export function LineEditor({ line }: { line?: Line }) {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        {line ? (
          <Button look="quiet" aria-label={`Change ${line.name}`}>
            Change
          </Button>
        ) : (
          <Button>Add a line</Button>
        )}
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(34rem,92vw)] overflow-y-auto -translate-x-1/2 -translate-y-1/2 rounded-tag bg-paper p-6"
        >
          <Dialog.Title className="mb-4 text-2xl">{line ? 'Change the line' : 'A new line'}</Dialog.Title>
          <LineForm line={line} close={() => setOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function LineForm({ line, close }: { line: Line | undefined; close: () => void }) {
  const initial = useMemo(
    () => ({
      id: line?.id ?? v7(),
      name: line?.name ?? '',
      note: line?.note ?? '',
      claims: line?.claims ?? [],
    }),
    [line],
  );
  const draft = useDraft(`line ${line?.id ?? 'new'}`, LineInput, initial, line?.version ?? null);
  const save = useSave<LineInput>(`/lines/${initial.id}`);
  return (
    <form
      className="space-y-4"
      onSubmit={async (event) => {
        event.preventDefault();
        if (await draft.save(save)) close();
      }}
    >
      <TextField label="Name" {...draft.bind('name')} />
      <TextField
        label="Note"
        rows={2}
        value={draft.value.note ?? ''}
        onChange={draft.set('note')}
        error={draft.problem('note')}
      />
      <LineClaims value={draft.value.claims ?? []} onChange={draft.set('claims')} problem={draft.problem} />
      <ClashPanel clash={draft.clash} />
      <SheetProblems problems={draft.problems.filter(({ path }) => path === '')} />
      <div className="flex gap-3">
        <Button look="main" type="submit" disabled={draft.saving}>
          Save the line
        </Button>
        <Button onClick={close}>Not now</Button>
      </div>
    </form>
  );
}
