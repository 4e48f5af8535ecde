import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import type { Comparison } from '@sabor/core/compare/comparison';
import { isOutcome, type MainResult, mainResult, ratedBy } from '@sabor/core/compare/main-result';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { keysOf } from '@sabor/core/vocabulary';
import { numbersOf } from '@sabor/words/main-result';
import { lazy } from 'react';
import { armStyle } from '../../drawings/arm-style.ts';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { WhenSeen } from '../../ui/when-seen.tsx';
import { airMarks } from './air-marks.ts';
import { nightMarks } from './night-marks.ts';

const WearCurve = lazy(async () => ({ default: (await import('../../drawings/wear-curve.tsx')).WearCurve }));

/** One outcome over the days of the wear, option by option: the main result's until another is chosen. */
export function OverTheDays({
  trial,
  wearer,
  comparison,
  arms,
  shown,
  show,
}: {
  trial: TrialDetail;
  wearer: Wearer;
  comparison: Comparison;
  arms: readonly string[];
  shown: MainResult;
  show: (result: MainResult) => void;
}) {
  const rated = ratedBy(trial.primary);
  return (
    <section aria-labelledby="curve">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
        <h2 id="curve" className="text-xl">
          Over the days
        </h2>
        <InlineChoice
          label="Outcome"
          value={shown}
          onChange={show}
          options={[
            ...(isOutcome(rated) ? [] : [[rated, mainResult(rated).label] as const]),
            ...keysOf(OUTCOMES).map((key) => [key, OUTCOMES[key].label] as const),
          ]}
        />
      </div>
      <p className="mb-2 flex flex-wrap gap-4 text-sm">
        {arms.map((arm, i) => (
          <ArmKey key={arm} arm={i} name={arm} />
        ))}
        <span className="text-soft">
          heavy: mean · thin: each wash day
          {shown === rated &&
            ` · dotted: good enough ${mainResult(rated).better === 'higher' ? 'from' : 'up to'} ${`${trial.line} ${mainResult(rated).measured?.unit ?? ''}`.trimEnd()}`}
        </span>
      </p>
      <WhenSeen className="min-h-96">
        <WearCurve
          curves={isOutcome(shown) ? comparison.curves[shown] : comparison.mainCurves}
          arms={arms}
          outcome={mainResult(shown).label}
          scale={mainResult(shown).measured ? numbersOf(shown) : null}
          line={shown === rated ? trial.line : null}
          nights={nightMarks(trial, wearer)}
          air={airMarks(trial, wearer)}
        />
      </WhenSeen>
    </section>
  );
}

function ArmKey({ arm, name }: { arm: number; name: string }) {
  const { hue, dash, marker } = armStyle(arm);
  return (
    <span className="inline-flex items-center gap-2 font-semibold">
      <svg width="34" height="12" aria-hidden="true">
        <line x1="0" y1="6" x2="34" y2="6" stroke={hue} strokeWidth="3" strokeDasharray={dash.join(' ')} />
      </svg>
      <span aria-hidden="true" style={{ color: hue }}>
        {marker}
      </span>
      {name}
    </span>
  );
}
