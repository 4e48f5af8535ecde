import type { Trial } from '@sabor/contract/trial';
import { armStyle } from './arm-style.ts';

/** The trial's wash days in order: opened ones show their arm, the others are sealed. */
export function AllocationStrip({ trial }: { trial: Trial }) {
  const opened = trial.allocation.filter((arm) => arm !== null).length;
  return (
    <div className="mt-2">
      <ol className="flex flex-wrap gap-1" aria-label={`${opened} of ${trial.washDays} wash days opened`}>
        {trial.allocation.map((armId, position) => {
          const arm = trial.arms.findIndex(({ id }) => id === armId);
          return (
            <li
              key={position}
              title={arm < 0 ? 'sealed until its wash day begins' : trial.arms[arm]!.name}
              className={`flex size-7 items-center justify-center rounded-[3px_9px_3px_9px] border text-sm ${
                arm < 0 ? 'border-dashed border-ink/35 text-soft' : 'border-ink/20 bg-sheet'
              }`}
            >
              {arm < 0 ? (
                <>
                  <span>{position + 1}</span>
                  <span className="sr-only">: sealed</span>
                </>
              ) : (
                <span
                  style={{ color: armStyle(arm).hue }}
                  role="img"
                  aria-label={`${position + 1}: ${trial.arms[arm]!.name}`}
                >
                  {armStyle(arm).marker}
                </span>
              )}
            </li>
          );
        })}
      </ol>
      <p className="mt-1 text-sm text-soft">
        {trial.arms.map(({ id, name }, arm) => (
          <span key={id} className="mr-3 whitespace-nowrap">
            <span aria-hidden="true" style={{ color: armStyle(arm).hue }}>
              {armStyle(arm).marker}
            </span>{' '}
            {name}
          </span>
        ))}
      </p>
    </div>
  );
}
