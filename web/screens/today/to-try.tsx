import type { ToTry } from '@sabor/contract/today';
import { localToday } from '@sabor/core/time/today';
import { toTryInWords } from '@sabor/words/to-try';
import { useChange } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { useSay } from '../../ui/undo.tsx';

/** Rows that show before the rest is asked for. */
const FIRST = 4;

function wayTo(one: ToTry): { to: string; label: string } {
  switch (one.kind) {
    case 'retest':
    case 'formula':
      return { to: `/trials/new/plan?again=${one.trialId}`, label: 'Plan it again' };
    case 'idea':
      return one.plannable
        ? { to: `/trials/new/plan?from=${one.trialId}&idea=${one.ref}`, label: 'Plan a trial' }
        : { to: `/trials/${one.trialId}`, label: 'Open trial' };
    case 'untried':
      return { to: `/screen/label?product=${one.productId}`, label: 'Screen it' };
  }
}

/** What waits to be tried: trials to run again, ideas, products of a line. What is not wanted now is put aside. */
export function ToTryPart({ all }: { all: readonly ToTry[] }) {
  const say = useSay();
  const aside = useChange((one: ToTry) => put(`/put-aside/${one.kind}/${one.ref}`, {}));
  const back = useChange((one: ToTry) => remove(`/put-aside/${one.kind}/${one.ref}`));
  if (all.length === 0) return null;
  const row = (one: ToTry) => {
    const { title, says } = toTryInWords(one, localToday());
    const { to, label } = wayTo(one);
    return (
      <li
        key={`${one.kind} ${one.ref}`}
        className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-3"
      >
        <div className="min-w-0 flex-1 basis-72">
          <p className="font-semibold">{title}</p>
          <p className="text-soft">{says}</p>
        </div>
        <Button
          look="quiet"
          aria-label={`Not now: ${title}`}
          onClick={() =>
            aside.mutate(one, {
              onSuccess: () => say(`${title}: put aside.`, () => back.mutate(one)),
              onError: (error) => say(error.message),
            })
          }
        >
          Not now
        </Button>
        <ButtonLink to={to} aria-label={`${label}: ${title}`}>
          {label}
        </ButtonLink>
      </li>
    );
  };
  return (
    <section aria-labelledby="to-try" className="mt-10">
      <h2 id="to-try" className="mb-3 text-xl">
        To try next
      </h2>
      <ol className="divide-y divide-rule border-y border-rule">{all.slice(0, FIRST).map(row)}</ol>
      {all.length > FIRST && (
        <details>
          <summary className="min-h-10 cursor-pointer py-2 font-semibold">{all.length - FIRST} more</summary>
          <ol className="divide-y divide-rule border-y border-rule">{all.slice(FIRST).map(row)}</ol>
        </details>
      )}
    </section>
  );
}
