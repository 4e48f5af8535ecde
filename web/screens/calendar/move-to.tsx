import type { Moved, MoveInput } from '@sabor/contract/calendar';
import { localToday } from '@sabor/core/time/today';
import { counted } from '@sabor/words/numbers';
import { type ReactNode, useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** Puts an entry on another day, with Undo; a gap other than the plan's is said. */
export function MoveTo({
  id,
  what,
  on,
  verb = 'Move to …',
}: {
  /** The entry's id. */
  id: string;
  /** What moves, in words. */
  what: string;
  /** Where it stands; null for nowhere yet. */
  on: string | null;
  verb?: ReactNode;
}) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState(on ?? localToday());
  const [error, setError] = useState<string>();
  const save = useChange((input: MoveInput) => put<Moved>(`/calendar/${id}`, input));
  const move = () =>
    save.mutateAsync({ on: to }).then(
      ({ was, apart }) => {
        setOpen(false);
        setError(undefined);
        const gap = apart
          ? ` That is ${counted(apart.days, 'day')} from wash to wash; the plan says ${apart.planned}.`
          : '';
        say(`${what}: ${showDate(to)}.${gap}`, () => save.mutateAsync({ on: was }));
      },
      (problem: Error) => setError(problem.message),
    );
  if (!open)
    return (
      <Button look="quiet" className="no-print px-0!" onClick={() => setOpen(true)}>
        {verb}
        <span className="sr-only"> {what}</span>
      </Button>
    );
  return (
    <form
      noValidate
      className="mt-1 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void move();
      }}
    >
      <DateField
        label={
          <>
            Move to<span className="sr-only">: {what}</span>
          </>
        }
        value={to}
        onChange={setTo}
        error={error}
      />
      <Button type="submit">Move it</Button>
      <Button look="quiet" onClick={() => setOpen(false)}>
        Leave it
      </Button>
    </form>
  );
}
