import type { Product } from '@sabor/contract/shelf';
import type { NewTap } from '@sabor/contract/taps';
import type { WashStep } from '@sabor/contract/wash-day';
import { gramsUsed } from '@sabor/core/basin/stable-reading';
import { doseGrams, weighedBy } from '@sabor/core/step/weighed';
import { ScaleFace } from '../../devices/scale-face.tsx';
import { useScale } from '../../devices/use-scale.ts';
import { chip } from './big.ts';

const PHASES = [
  { phase: 'before', label: 'Bottle before' },
  { phase: 'after', label: 'Bottle after' },
] as const;

/** Weight of a simulated bottle: its jar and what it holds, grams. */
const bottleGrams = (product: Product | undefined) => 42 + 0.8 * (product?.sizeMl ?? 250);

/** The bottle on the scale before and after: what went on the hair, in grams, without typing. */
export function Weigh({
  step,
  product,
  tell,
}: {
  step: WashStep;
  product: Product | undefined;
  tell: (said: NewTap, words: string, undo?: NewTap) => void;
}) {
  const now = useScale(true);
  const { before, after } = step.weighed;
  const used = gramsUsed(before, after);
  const take = (phase: 'before' | 'after') => {
    const grams = now.rest;
    if (grams === null || grams < 0) return;
    tell({ kind: 'weighing', stepId: step.id, phase, grams }, `${grams.toFixed(1)} g ${phase}.`, {
      kind: 'weighing',
      stepId: step.id,
      phase,
      grams: step.weighed[phase],
    });
    const found = gramsUsed(phase === 'before' ? grams : before, phase === 'after' ? grams : after);
    if (found && 'grams' in found && found.grams > 0)
      tell(
        {
          kind: 'step',
          stepId: step.id,
          set: { dose: { kind: 'exact', amount: found.grams, measure: 'g', per: 'head' } },
        },
        `${found.grams.toFixed(1)} g used.`,
        { kind: 'step', stepId: step.id, set: { dose: step.dose } },
      );
  };
  const full = bottleGrams(product);
  const planned =
    doseGrams(
      weighedBy(product ? [product] : []),
      product?.id ?? null,
      step.planned?.dose ?? step.dose,
      step.sections,
    ) ?? 10;
  return (
    <div className="space-y-3">
      <ScaleFace
        now={now}
        suggest={[
          { label: 'the bottle', grams: full },
          { label: 'the bottle, used', grams: full - planned },
        ]}
      />
      <div className="flex flex-wrap gap-2">
        {PHASES.map(({ phase, label }) => (
          <button
            key={phase}
            type="button"
            className={`${chip} disabled:opacity-50`}
            aria-pressed={step.weighed[phase] !== null}
            disabled={now.rest === null || now.rest < 0}
            onClick={() => take(phase)}
          >
            {label}
            <span className="figure block text-base">
              {step.weighed[phase] === null ? 'not yet' : `${step.weighed[phase].toFixed(1)} g`}
            </span>
          </button>
        ))}
      </div>
      {used && (
        <p role="status" className="text-xl">
          {'grams' in used ? (
            <>
              Used: <span className="figure">{used.grams.toFixed(1)} g</span>
              {step.half ? ` on the ${step.half} half` : ''}
            </>
          ) : (
            used.problem
          )}
        </p>
      )}
    </div>
  );
}
