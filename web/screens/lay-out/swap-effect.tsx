import type { TrialDetail } from '@sabor/contract/trial-record';
import { mainResult } from '@sabor/core/compare/main-result';
import { GRAVITIES } from '@sabor/core/fairness/gravity';
import { judge } from '@sabor/core/fairness/slip';
import { DESIGNS } from '@sabor/core/trial/designs';
import type { Laid } from './laid.ts';

/** What it does to the trial when a product is not there on the day and another is used. */
export function SwapEffect({ laid, trial }: { laid: Laid; trial: TrialDetail }) {
  if (laid.tested)
    return (
      <p>
        It is under test: without it this wash day cannot be run as drawn. Put the day off, or start and
        abandon it; its place comes up again with the same option.
      </p>
    );
  const verdict = judge(
    {
      kind: 'product',
      key: `product ${laid.slot}`,
      fact: {
        what: 'setting',
        fact: { setting: 'productId', a: null, b: laid.product.id, verdict: 'departed', off: 1 },
      },
      a: { is: 'this day', half: null },
      b: { is: 'plan' },
      size: 1,
      slot: laid.slot,
      detail: null,
      ofArm: false,
    },
    mainResult(trial.primary).like,
    DESIGNS[trial.design].halves,
  );
  return (
    <p>
      Another product here <strong>{GRAVITIES[verdict.gravity].label}</strong> this day’s comparison:{' '}
      {GRAVITIES[verdict.gravity].says}. {verdict.because} Choose it at the step, under “Changed something”;
      or amend the plan, if it stays so for all days to come.
    </p>
  );
}
