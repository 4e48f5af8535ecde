import type { HairFile } from '@sabor/contract/hair-file';
import type { HairMeasureInput } from '@sabor/contract/hair-measure';
import type { Wearer } from '@sabor/contract/wearer';
import { LEDGER } from '@sabor/core/ingredients/ledger/constants';
import { RESIDUES, type Residue } from '@sabor/core/ingredients/ledger/residue';
import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { useMemo } from 'react';
import { v7 } from 'uuid';
import { useChange, useLedger, useOwnIngredients, useSettings, useShelf } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { BuildUpCurve } from '../../drawings/build-up-curve.tsx';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Loading, Nothing } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { screeningWorker } from '../../workers/screening.ts';

/** The tester's own hand on the hair, which shifts what the ledger says of this head. */
function RateBuildUp({
  wearerId,
  today,
  ratings,
  scale,
}: {
  wearerId: string;
  today: string;
  ratings: readonly { on: string; feels: number }[];
  scale: number;
}) {
  const say = useSay();
  const save = useChange((measure: HairMeasureInput) => put(`/hair-measures/${measure.id}`, measure));
  const undo = useChange((id: string) => remove(`/hair-measures/${id}`));
  const rate = (feels: number) => {
    const id = v7();
    save
      .mutateAsync({ id, wearerId, zoneId: null, on: today, note: '', result: { kind: 'build-up', feels } })
      .then(
        () => say(`Build-up rated ${feels} of 10.`, () => undo.mutate(id)),
        (error: Error) => say(error.message),
      );
  };
  return (
    <fieldset className="mt-4">
      <legend className="text-sm font-semibold">
        How coated does it feel today? 0 squeaks, 5 coated, 10 waxy all over
      </legend>
      <div className="mt-1 flex flex-wrap gap-1">
        {Array.from({ length: 11 }, (_, feels) => feels).map((feels) => (
          <Button
            key={feels}
            className="min-w-10 px-0!"
            aria-label={`Build-up feels ${feels}`}
            onClick={() => rate(feels)}
          >
            {feels}
          </Button>
        ))}
      </div>
      <p className="mt-1 text-sm text-soft">
        {ratings.length === 0
          ? 'Not rated yet: the curve is the model’s alone.'
          : `${ratings.length} ${ratings.length === 1 ? 'rating shifts' : 'ratings shift'} what stays on this head by ${scale.toFixed(2)} times. They stand under Measured.`}
      </p>
    </fieldset>
  );
}

/** Build-up over recorded and planned wash days: when it wants a clarify, and whether arms start from equal ground. */
export function BuildUp({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const shelf = useShelf();
  const own = useOwnIngredients();
  const { market } = useSettings();
  const recorded = useLedger(wearer.id);
  const today = localToday();
  const ratings = useMemo(
    () =>
      file.measures.flatMap(({ on, result }) =>
        result.kind === 'build-up' ? [{ on, feels: result.feels }] : [],
      ),
    [file.measures],
  );
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
  const ledger = useWorked(
    'build-up',
    days.length > 0 && shelf.data && own.data ? [days, market, own.data, ratings, shelf.data, today] : null,
    async () => {
      const trial = recorded.data!.at(-1)!.trialId;
      const byArm = new Map<string, string[]>();
      for (const day of recorded.data!)
        if (day.trialId === trial) byArm.set(day.armId, [...(byArm.get(day.armId) ?? []), day.on]);
      return screeningWorker().ledger(
        days,
        shelf.data!.products,
        market,
        own.data!,
        ratings,
        [...byArm.values()],
        today,
      );
    },
  );
  if (recorded.isLoadingError) return <Failed error={recorded.error} retry={recorded.refetch} />;
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
      ) : ledger.isLoadingError ? (
        <Failed part error={ledger.error} retry={ledger.refetch} />
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
                The options of the newest trial started from build-up that differs by{' '}
                {ledger.data.unequal.toFixed(2)} g on average
                {ledger.data.unequal > 0.5 ? ': unequal, reset before each wash day' : ': near enough equal'}.
              </p>
            )}
          </div>
          <RateBuildUp wearerId={wearer.id} today={today} ratings={ratings} scale={ledger.data.scale} />
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
