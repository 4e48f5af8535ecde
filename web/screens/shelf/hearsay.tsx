import type { Product } from '@sabor/contract/shelf';
import type { Hearsay, HearsayInput } from '@sabor/contract/verdict';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { useHearsay } from '../../api/verdicts.ts';
import { put, Refused, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** What others say of a product: kept with who and when, and in no figure. */
export function HearsayPart({ product }: { product: Product }) {
  const heard = useHearsay(product.id);
  const say = useSay();
  const [told, setTold] = useState({ who: '', said: '', on: localToday() });
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((one) => one.path === path)?.message;
  const save = useChange((input: HearsayInput) => put<Hearsay[]>(`/hearsay/${input.id}`, input));
  const away = useChange((id: string) => remove(`/hearsay/${id}`));
  const keep = async () => {
    try {
      await save.mutateAsync({ id: v7(), productId: product.id, edition: product.edition, ...told });
      setTold({ who: '', said: '', on: localToday() });
      setProblems([]);
      say('Kept as hearsay.');
    } catch (error) {
      setProblems(error instanceof Refused ? error.fields : []);
      say((error as Error).message);
    }
  };
  const drop = async (one: Hearsay) => {
    await away.mutateAsync(one.id);
    say('Taken away.', () => save.mutate(one));
  };
  // Nothing moves under the hand: what is kept is there before it can be added to.
  if (heard.isPending) return null;
  return (
    <section aria-labelledby="hearsay">
      <h2 id="hearsay" className="text-xl">
        What others say
      </h2>
      <p className="text-soft">Hearsay: it enters no figure.</p>
      <ul className="my-2">
        {(heard.data ?? []).map((one) => (
          <li key={one.id} className="flex items-baseline justify-between gap-4 border-b border-rule py-1">
            <span>
              {one.who}, {showDate(one.on)}
              {one.edition && `, edition ${one.edition}`}: “{one.said}”
            </span>
            <Button look="quiet" onClick={() => void drop(one)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <details>
        <summary className="min-h-10 cursor-pointer py-2 font-semibold">Add what somebody said</summary>
        <div className="mt-1 grid gap-3 sm:grid-cols-2">
          <TextField
            label="Who"
            value={told.who}
            onChange={(who) => setTold({ ...told, who })}
            error={problem('who')}
          />
          <DateField
            label="When"
            value={told.on}
            onChange={(on) => setTold({ ...told, on })}
            error={problem('on')}
          />
          <TextField
            className="sm:col-span-2"
            label="What was said"
            rows={2}
            value={told.said}
            onChange={(said) => setTold({ ...told, said })}
            error={problem('said')}
          />
        </div>
        <Button className="mt-3" onClick={() => void keep()}>
          Keep it
        </Button>
      </details>
    </section>
  );
}
