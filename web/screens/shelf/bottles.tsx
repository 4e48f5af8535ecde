import type { Product } from '@sabor/contract/shelf';
import { localToday } from '@sabor/core/time/today';
import { counted } from '@sabor/words/numbers';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { post } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** The bottles of a product, what each was used for, and the end of the one in use; earlier editions with their lists. */
export function Bottles({ product }: { product: Product }) {
  const say = useSay();
  const [on, setOn] = useState(localToday());
  const finish = useChange((day: string) => post(`/products/${product.id}/finish-bottle`, { on: day }));
  const open = product.bottles.some(({ openedOn, finishedOn }) => openedOn !== null && finishedOn === null);
  if (product.bottles.length + product.editions.length === 0) return null;
  return (
    <section aria-labelledby="bottles" className="mt-8 max-w-3xl">
      <h2 id="bottles" className="text-xl">
        Bottles
      </h2>
      <ul className="mt-2">
        {product.bottles.map(({ id, openedOn, finishedOn, uses }) => (
          <li key={id} className="border-b border-rule py-1.5">
            {openedOn ? `Opened ${showDate(openedOn)}` : 'Not opened'}
            {finishedOn ? `, finished ${showDate(finishedOn)}` : openedOn ? ', in use' : ''}:{' '}
            {counted(uses, 'wash day')}
          </li>
        ))}
      </ul>
      {open && (
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <DateField
            label="Finished on"
            value={on}
            onChange={setOn}
            error={finish.isError ? finish.error.message : undefined}
          />
          <Button
            onClick={() =>
              finish.mutate(on, {
                onSuccess: () => say('The bottle is finished; the next use opens another.'),
              })
            }
          >
            Finish this bottle
          </Button>
        </div>
      )}
      {product.editions.map(({ edition, ingredients, until }) => (
        <details key={edition} className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {edition ? `Edition ${edition}` : 'First edition'}, until {showDate(until)}
          </summary>
          <p className="text-[0.95rem]">{ingredients}</p>
        </details>
      ))}
    </section>
  );
}
