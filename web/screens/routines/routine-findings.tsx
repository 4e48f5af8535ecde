import type { RoutineInput } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import type { RoutineFinding } from '@sabor/core/ingredients/judge/routine-screen';
import { schoolsOf } from '@sabor/core/routine/school-questions';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useMemo, useState } from 'react';
import { useOwnIngredients, useSettings } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { NumberField } from '../../ui/inputs.tsx';
import { Failed, Tag } from '../../ui/states.tsx';
import { screeningWorker } from '../../workers/screening.ts';

/** The whole wash day read at once: what adds up and what clashes, with the smallest change that mends it. */
export function RoutineFindings({
  steps,
  products,
}: {
  steps: RoutineInput['steps'];
  products: readonly Product[];
}) {
  const own = useOwnIngredients();
  const { market, temperature } = useSettings();
  const [dew, setDew] = useState<number | null>(null);
  const used = useMemo(
    () =>
      steps.flatMap(({ slot, productId }) => {
        const product = products.find(({ id }) => id === productId);
        return product ? [{ slot, product }] : [];
      }),
    [steps, products],
  );
  const dewPointC = dew === null || Number.isNaN(dew) ? null : dew;
  const { data: found = null, error } = useWorked<RoutineFinding[]>(
    'routine',
    own.data ? [used, dewPointC, market, own.data] : null,
    () => screeningWorker().routine(used, dewPointC, market, own.data!),
    'this sheet',
  );
  if (!steps.some(({ productId }) => productId)) return null;
  return (
    <section aria-labelledby="at-once" className="mt-8">
      <div className="mb-2 flex flex-wrap items-end justify-between gap-4">
        <h2 id="at-once" className="text-xl">
          The whole wash day at once
        </h2>
        <NumberField
          className="w-44"
          label="Dew point, if known"
          scale={temperatureScale(temperature)}
          value={dew}
          onChange={setDew}
        />
      </div>
      {error ? (
        <Failed part error={error} />
      ) : found === null ? (
        <p role="status" className="text-soft">
          Reading the lists …
        </p>
      ) : found.length === 0 ? (
        <p className="text-leaf">Nothing clashes and nothing adds up, as far as the lists tell.</p>
      ) : (
        <ul className="space-y-3">
          {found.map(({ id, says, change, strength }) => (
            <li key={id} className="border-l-4 border-mango pl-4">
              <p>
                <Tag tone={strength === 3 ? 'stop' : 'due'}>
                  {strength === 3 ? 'mend it' : strength === 2 ? 'look at it' : 'know it'}
                </Tag>{' '}
                {says}
              </p>
              {change && <p className="text-soft">Smallest change: {change}</p>}
            </li>
          ))}
        </ul>
      )}
      <SchoolSides steps={steps} products={products} />
      <p className="mt-2 text-sm text-soft">
        Common practice, read from the lists; shares are model assumptions.
      </p>
    </section>
  );
}

/** Where approaches differ on how this is done: the side it takes, and the other with its reason. */
function SchoolSides({ steps, products }: { steps: RoutineInput['steps']; products: readonly Product[] }) {
  const found = schoolsOf(
    steps.map((step) => ({ ...step, roles: products.find(({ id }) => id === step.productId)?.roles ?? [] })),
  );
  if (found.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">
        Where approaches differ: {found.length} questions
      </summary>
      <ul className="grid gap-x-10 sm:grid-cols-2">
        {found.map(({ question, taken, others }) => (
          <li key={question} className="border-b border-rule py-2">
            <p className="font-semibold">{question}</p>
            <p>
              Here: {taken.does} <span className="text-soft">({taken.because})</span>
            </p>
            {others.map(({ does, because }) => (
              <p key={does} className="text-soft">
                Others: {does} ({because})
              </p>
            ))}
          </li>
        ))}
      </ul>
    </details>
  );
}
