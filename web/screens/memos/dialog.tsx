import { aboutOf } from '@sabor/core/basin/memo';
import { Dialog } from 'radix-ui';
import { useLocation } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { TellMemo } from './tell.tsx';

/** A note told from wherever one is. */
export function MemoDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { pathname } = useLocation();
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-tag bg-paper p-6"
        >
          <Dialog.Title className="mb-3 text-2xl">A note</Dialog.Title>
          <TellMemo about={aboutOf(pathname)} kept={() => onOpenChange(false)} />
          <Dialog.Close asChild>
            <Button look="quiet" className="mt-3 px-0!">
              Close
            </Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
