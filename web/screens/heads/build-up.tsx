import { localToday } from '@sabor/contract/fields';
import type { HairFile } from '@sabor/contract/hair-file';
import type { LedgerWashDay } from '@sabor/contract/ingredients';
import type { Wearer } from '@sabor/contract/wearer';
import { LEDGER, RESIDUES, type Residue } from '@sabor/core/ingredients/ledger/residue';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { get } from '../../api/http.ts';
import { useOwnIngredients, useSettings, useShelf } from '../../api/queries.ts';
import { BuildUpCurve } from '../../drawings/build-up-curve.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Loading, Nothing } from '../../ui/states.tsx';
import { screeningWorker } from '../../workers/screening.ts';

const FEELS = {
  lighter: { label: 'lighter than the curve says', scale: 0.6 },
  same: { label: 'as the curve says', scale: 1 },
  heavier: { label: 'heavier than the curve says', scale: 1.5 },
} as const;

const plusDays = (date: string, days: number) =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** Build-up over recorded and planned wash days: when it wants a clarify, and whether arms start from equal ground. */
export function BuildUp({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const shelf = useShelf();
  const own = useOwnIngredients();
  const { market } = useSettings();
  const [feels, setFeels] = useState<keyof typeof FEELS>('same');
  const recorded = useQuery({
    queryKey: ['wearers', wearer.id, 'ledger'],
    queryFn: () => get<LedgerWashDay[]>(`/wearers/${wearer.id}/ledger`),
  });
  const today = localToday();
  const days = useMemo(() => {
    const past = (recorded.data ?? []).map((day) => ({ ...day, planned: false }));
    const last = past.at(-1);
    const every = Math.max(1, file.ahead[0]?.wearDays ?? file.cadence.wash ?? 7);
    // The last wash day goes on as it was, until something else is planned.
    const ahead = last
      ? Array.from({ length: 8 }, (_, i) => ({
          ...last,
          on: plusDays(today, every * (i + 1)),
          planned: true,
        }))
      : [];
    return [...past, ...ahead];
  }, [recorded.data, file, today]);
  const ledger = useQuery({
    queryKey: ['ledger of', wearer.id, days, market, own.data, feels, shelf.data?.products],
    enabled: days.length > 0 && shelf.data !== undefined && own.data !== undefined,
    queryFn: () => {
      const trial = recorded.data!.at(-1)!.trialId;
      const byArm = new Map<string, string[]>();
      for (const day of recorded.data!)
        if (day.trialId === trial) byArm.set(day.armId, [...(byArm.get(day.armId) ?? []), day.on]);
      return screeningWorker().ledger(
        days,
        shelf.data!.products,
        market,
        own.data!,
        FEELS[feels].scale,
        [...byArm.values()],
        today,
      );
    },
  });
  if (recorded.isError) return <Failed error={recorded.error} retry={recorded.refetch} />;
  if (recorded.isPending) return <Loading what="the wash days" />;
  return (
    <section aria-labelledby="build-up">
      <h2 id="build-up" className="text-xl">
        Build-up
      </h2>
      <p className="mb-3 text-soft">
        What each wash day leaves on the hair and each cleanser lifts, from the lists of what was used. Grams
        on a head; the constants are model assumptions.
      </p>
      {recorded.data.length === 0 ? (
        <Nothing title="No wash day recorded yet">Once one is run, its products stand here.</Nothing>
      ) : ledger.isError ? (
        <Failed error={ledger.error} retry={ledger.refetch} />
      ) : !ledger.data ? (
        <Loading what="the ledger" />
      ) : (
        <>
          <BuildUpCurve points={ledger.data.points} coated={LEDGER.coated} />
          <div className="mt-3 space-y-1">
            <p>
              {ledger.data.wants.clarify
                ? `It feels coated from ${showDate(ledger.data.wants.clarify)}: clarify by then.`
                : 'No clarify wanted in the wash days ahead, washed as the last one was.'}
            </p>
            {ledger.data.wants.protein && (
              <p>Protein adds up to where it may stiffen by {showDate(ledger.data.wants.protein)}.</p>
            )}
            {ledger.data.unequal !== null && (
              <p>
                The arms of the newest trial began from ground that differs by{' '}
                {ledger.data.unequal.toFixed(2)} g on average
                {ledger.data.unequal > 0.5 ? ': unequal, reset before each wash day' : ': near enough equal'}.
              </p>
            )}
          </div>
          <fieldset className="mt-4">
            <legend className="text-sm font-semibold">Today the hair feels</legend>
            <div className="flex flex-wrap gap-x-5">
              {(Object.keys(FEELS) as (keyof typeof FEELS)[]).map((key) => (
                <label key={key} className="flex min-h-10 items-center gap-2">
                  <input
                    type="radio"
                    name="feels"
                    className="accent-ink"
                    checked={feels === key}
                    onChange={() => setFeels(key)}
                  />
                  {FEELS[key].label}
                </label>
              ))}
            </div>
          </fieldset>
          <details className="mt-3">
            <summary className="min-h-10 cursor-pointer py-2 font-semibold">What Sabor assumes</summary>
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Constants of the ledger">
              <table className="w-full text-left text-sm">
                <thead>
                  <tr className="border-b border-rule">
                    <th scope="col">Class</th>
                    {['water alone', 'very mild', 'mild', 'strong', 'very strong'].map((label) => (
                      <th key={label} scope="col">
                        lifted by {label}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {(Object.keys(RESIDUES) as Residue[]).map((key) => (
                    <tr key={key} className="border-b border-rule">
                      <th scope="row" className="font-normal">
                        {RESIDUES[key].label}
                      </th>
                      {RESIDUES[key].lifted.map((part, i) => (
                        <td key={i}>{Math.round(part * 100)} %</td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <p className="mt-1 text-sm text-soft">
              {LEDGER.stays.leaveOn * 100} % of a leave-on stays, {LEDGER.stays.rinseOff * 100} % of what is
              rinsed; a dose nobody measured counts {LEDGER.unknownDose} g; coated from {LEDGER.coated} g;
              protein fades by half in {LEDGER.proteinHalfLife} days.
            </p>
          </details>
        </>
      )}
    </section>
  );
}
