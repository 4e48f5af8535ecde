import { Dialog } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { Button } from './button.tsx';
import { TextField } from './inputs.tsx';

/** Asks for the reason of something that cannot be undone; it stays on record. */
export function ReasonDialog({
  trigger,
  title,
  children,
  label,
  send,
}: {
  trigger: string;
  title: string;
  children?: ReactNode;
  label: string;
  send: (reason: string) => Promise<unknown>;
}) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [error, setError] = useState<string | undefined>();
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button look="stop">{trigger}</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-tag bg-paper p-6 text-ink"
        >
          <Dialog.Title className="mb-2 text-2xl">{title}</Dialog.Title>
          {children && <p className="mb-4 text-soft">{children}</p>}
          <form
            className="space-y-4"
            onSubmit={async (event) => {
              event.preventDefault();
              try {
                await send(reason);
                setOpen(false);
              } catch (problem) {
                setError((problem as Error).message);
              }
            }}
          >
            <TextField label={label} rows={3} value={reason} onChange={setReason} error={error} />
            <div className="flex gap-3">
              <Button look="stop" type="submit">
                {trigger}
              </Button>
              <Button onClick={() => setOpen(false)}>Keep it</Button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
