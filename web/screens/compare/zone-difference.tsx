import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { sidesOf } from '@sabor/reading/side-of';
import { armStyle } from '../../drawings/arm-style.ts';
import { HeadMap } from '../../drawings/head-map.tsx';
import { differenceTint } from '../../drawings/tint.ts';
import { signed } from '../../ui/show.ts';
import { zoneDifferences } from './zone-differences.ts';

/** Where on the head two arms differ on the day that is judged. Only described: zones are not replicates. */
export function ZoneDifference({
  trial,
  wearer,
  outcome,
}: {
  trial: TrialDetail;
  wearer: Wearer;
  outcome: Outcome;
}) {
  const [a, b] = trial.arms;
  if (!a || !b) return null;
  const differences = zoneDifferences(trial, outcome, a.id, b.id, sidesOf(wearer));
  const widest = Math.max(0, ...[...differences.values()].map(Math.abs));
  return (
    <section aria-labelledby="where">
      <h2 id="where" className="text-xl">
        Where on the head
      </h2>
      <p className="mb-3 text-soft">
        {OUTCOMES[outcome].label} on day {trial.onDay}, {b.name} less {a.name}. Described only: zones of one
        head are not trials of their own.
      </p>
      <HeadMap
        className="max-w-md"
        label={`${OUTCOMES[outcome].label}: difference by zone`}
        zones={wearer.zones}
        look={({ id }) => {
          const difference = differences.get(id);
          if (difference === undefined) return { faint: true, says: 'not rated' };
          return {
            text: signed(difference),
            says: signed(difference),
            fill: differenceTint(difference, widest, [armStyle(0).hue, armStyle(1).hue]),
          };
        }}
      />
    </section>
  );
}
