import type { PanelInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { panelProblem, panelSize } from '@sabor/core/trial/panel';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { useChange, useWearers } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { panelReachInWorker } from '../../workers/comparison.ts';

/** Runs a planned trial on several heads, a row of a Williams square each; or leads to the panel it belongs to. */
export function PanelPart({ trial }: { trial: TrialDetail }) {
  const wearers = useWearers();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const make = useChange((input: PanelInput) => put<TrialDetail>(`/trials/${trial.id}/panel`, input));
  const arms = trial.arms.length;
  const heads = chosen.length + 1;
  const drawable = panelProblem(arms, heads) === null;
  const reach = useWorked('panel reach', drawable && trial.panelId === null ? [arms, heads] : null, () =>
    panelReachInWorker(arms, heads),
  );
  if (trial.panelId !== null)
    return (
      <p className="mt-6 border-l-4 border-leaf pl-4">
        One of a panel over several heads: every option stands on every wash day, and after every other,
        equally often.{' '}
        <Link className="font-semibold underline underline-offset-4" to={`/panels/${trial.panelId}`}>
          Open panel
        </Link>
      </p>
    );
  const fits =
    trial.status === 'planned' && trial.design === 'complete' && trial.washDays === trial.arms.length;
  const others = (wearers.data ?? []).filter(
    ({ id, archivedAt }) => id !== trial.wearerId && archivedAt === null,
  );
  if (!fits || others.length === 0) return null;
  const size = panelSize(trial.arms.length);
  return (
    <details className="mt-6 max-w-3xl border-l-4 border-rule pl-4">
      <summary className="cursor-pointer font-semibold">Run it on several heads</summary>
      <p className="mt-1 text-soft">
        A panel: each head has each option once, in an order that is a row of a Williams square.{' '}
        {trial.arms.length} options take {size} heads, or a multiple of that; {trial.wearerName} is one of
        them.
      </p>
      <div className="my-2 flex flex-wrap gap-x-6 gap-y-1">
        {others.map(({ id, name }) => (
          <label key={id} className="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={chosen.includes(id)}
              onChange={(e) =>
                setChosen(e.target.checked ? [...chosen, id] : chosen.filter((known) => known !== id))
              }
            />
            {name}
          </label>
        ))}
      </div>
      {drawable && reach.data && (
        <p aria-live="polite" className={`mb-2 ${reach.data.decides ? '' : 'text-mango-deep'}`}>
          {reach.data.decides
            ? `${heads} heads can be enough to settle it, if the difference is clear enough.`
            : `${heads} heads can only hint, however large the difference. More heads change that.`}
        </p>
      )}
      <Button
        onClick={() => make.mutate({ id: v7(), wearerIds: [...chosen] })}
        disabled={make.isPending || chosen.length === 0}
      >
        Draw the panel for {chosen.length + 1} heads
      </Button>
      {make.isError && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          {make.error.message}
        </p>
      )}
    </details>
  );
}
