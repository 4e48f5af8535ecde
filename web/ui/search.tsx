import { FOUND_KINDS, type Found, type FoundKind } from '@sabor/contract/search';
import { Dialog } from 'radix-ui';
import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { useFound } from '../api/queries.ts';
import { inputLook } from './field.tsx';
import { PickOption, usePick } from './pick.tsx';

const ADDRESS: Record<FoundKind, (id: string) => string> = {
  product: (id) => `/shelf/${id}`,
  line: () => '/shelf',
  wearer: (id) => `/heads/${id}`,
  routine: (id) => `/routines/${id}`,
  trial: (id) => `/trials/${id}`,
  'wash-day': (id) => `/wash-days/${id}`,
  place: (id) => `/weather/${id}`,
};

/** Search over everything, in a dialog: arrows move, Enter opens. */
export function SearchDialog({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-4 top-4 z-50 mx-auto flex max-h-[calc(100dvh-2rem)] max-w-2xl flex-col rounded-tag bg-paper p-4 text-ink sm:top-16 sm:p-6"
        >
          <Dialog.Title className="mb-3 text-2xl">Search</Dialog.Title>
          <SearchBody close={() => onOpenChange(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function SearchBody({ close }: { close: () => void }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const q = useDeferredValue(text.trim());
  const { data, isError, error } = useFound(q);
  const kinds = Object.keys(FOUND_KINDS) as FoundKind[];
  const found = kinds.flatMap((kind) => data?.filter((one) => one.kind === kind) ?? []);
  const go = ({ kind, id: of }: Found) => {
    close();
    void navigate(ADDRESS[kind](of));
  };
  const pick = usePick(found, ({ id }) => id, go);
  return (
    <>
      <input
        className={`${inputLook} min-h-12 text-lg`}
        {...pick.field}
        aria-label="Search everything"
        placeholder="A product, an ingredient, a head, a note, a date …"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          pick.restart();
        }}
      />
      <p className="sr-only" role="status">
        {q.length > 1 && data ? `${found.length} found` : ''}
      </p>
      <div
        className="mt-3 min-h-24 flex-1 overflow-y-auto"
        {...pick.listbox}
        role="listbox"
        aria-label="Found"
      >
        {isError && <p className="text-brick">{error.message}</p>}
        {q.length > 1 && data && found.length === 0 && (
          <p className="text-soft">Nothing holds “{q}”. Part of a word is enough.</p>
        )}
        {kinds.map((kind) => {
          const own = found.filter((one) => one.kind === kind);
          return own.length === 0 ? null : (
            <div key={kind} role="group" aria-label={FOUND_KINDS[kind].label} className="mb-3">
              <p className="text-sm font-semibold text-soft" aria-hidden="true">
                {FOUND_KINDS[kind].label}
              </p>
              {own.map((one) => (
                <PickOption key={one.id} {...pick.option(one)}>
                  <span className="font-semibold">{one.title}</span>
                  {one.where && <span className="block text-sm text-soft">{one.where}</span>}
                </PickOption>
              ))}
            </div>
          );
        })}
      </div>
    </>
  );
}
