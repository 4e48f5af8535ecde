import { Dialog } from 'radix-ui';
import { Button, ButtonLink } from './button.tsx';

export function Shortcuts({
  open,
  onOpenChange,
  places,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  places: readonly { label: string; key: string }[];
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-tag bg-paper p-6"
        >
          <Dialog.Title className="text-2xl">Keys and help</Dialog.Title>
          <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
            {places.map(({ label, key }) => (
              <div key={key} className="contents">
                <dt>
                  <Key>b</Key> <Key>{key}</Key>
                </dt>
                <dd>go to {label}</dd>
              </div>
            ))}
            <dt>
              <Key>/</Key>
            </dt>
            <dd>search everything</dd>
            <dt>
              <Key>n</Key>
            </dt>
            <dd>a note, in words or by voice</dd>
            <dt>
              <Key>Enter</Key>
            </dt>
            <dd>on a wash day: step done as planned</dd>
            <dt>
              <Key>0</Key>–<Key>9</Key>
            </dt>
            <dd>on a check-in: rate the chosen zones</dd>
            <dt>
              <Key>?</Key>
            </dt>
            <dd>this list</dd>
          </dl>
          <div className="mt-6 flex flex-wrap gap-3">
            <Dialog.Close asChild>
              <Button>Close</Button>
            </Dialog.Close>
            <Dialog.Close asChild>
              <ButtonLink look="quiet" to="/help">
                Help: how a trial goes, what the words mean
              </ButtonLink>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Key({ children }: { children: string }) {
  return (
    <kbd className="inline-block min-w-7 rounded border border-ink/30 bg-sheet px-2 py-0.5 text-center font-sans text-sm font-semibold">
      {children}
    </kbd>
  );
}
