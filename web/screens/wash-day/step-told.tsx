import type { Product } from '@sabor/contract/shelf';
import type { NewTap } from '@sabor/contract/taps';
import type { WashStep } from '@sabor/contract/wash-day';
import { SLOTS } from '@sabor/core/step/slots';
import { doseInWords } from '@sabor/words/dose';
import type { ReactNode } from 'react';
import { clockMinutes, type RunningStep } from './clock.ts';
import { Timer } from './timer.tsx';

/** What is to be done at this step, large enough to be read from the basin: with what, how much, how, how long, and what to mind. */
export function StepTold({
  step,
  product,
  how,
  departed,
  cautions,
  running,
  tell,
  goOn,
  photo,
}: {
  step: WashStep;
  product: Product | undefined;
  /** Its technique and tools, in words. */
  how: string;
  /** What already went otherwise than planned. */
  departed: readonly string[];
  cautions: readonly { id: string; says: string }[];
  running: RunningStep | undefined;
  tell: (said: NewTap, words: string, undo?: NewTap) => void;
  goOn: () => void;
  /** What is worth a photograph before this step is done. */
  photo: ReactNode;
}) {
  const slot = SLOTS[step.slot];
  const minutes = clockMinutes(step);
  return (
    <>
      {step.code !== null && (
        <p className="figure mt-3 text-6xl leading-none">
          <span className="font-sans text-2xl">bottle </span>
          {step.code}
        </p>
      )}
      {product && <p className="mt-3 text-3xl font-semibold leading-tight">{product.name}</p>}
      {step.dose && <p className="figure mt-1 text-4xl text-amber">{doseInWords(step.dose)}</p>}
      {how && <p className="mt-2 text-2xl">{how}</p>}
      {/* What can hurt stands above the fold of a phone. */}
      {cautions.length > 0 && (
        <ul aria-label="Cautions" className="mt-4 space-y-1 rounded-tag bg-amber px-3 py-2 text-ink">
          {cautions.map(({ id, says }) => (
            <li key={id}>{says}</li>
          ))}
        </ul>
      )}
      {minutes !== null && step.status === 'waiting' && (
        <div className="mt-5">
          <Timer
            step={step}
            minutes={minutes}
            running={running}
            start={() =>
              tell(
                { kind: 'step', stepId: step.id, set: { startedAt: new Date().toISOString() } },
                `${slot.label}: ${minutes} min begun.`,
                { kind: 'step', stepId: step.id, set: { startedAt: step.startedAt } },
              )
            }
            pause={(said) => tell({ kind: 'pause', stepId: step.id, ...said }, '')}
            goOn={goOn}
          />
        </div>
      )}
      {step.note && <p className="mt-3 text-lg">“{step.note}”</p>}
      {product?.labelDirections && (
        <p className="mt-3 text-paper/80">The label says: {product.labelDirections}</p>
      )}
      <p className="mt-2 text-lg text-paper/80">{slot.says}</p>
      {departed.length > 0 && (
        <ul className="mt-4 border-l-4 border-amber pl-3 text-lg" aria-label="Changes from plan">
          {departed.map((says) => (
            <li key={says}>{says}</li>
          ))}
        </ul>
      )}
      {photo}
    </>
  );
}
