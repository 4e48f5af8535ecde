import type { Lot, Trial } from '@sabor/contract/trial-record';
import { armStyle } from './arm-style.ts';

function Opened({ trial, lot, position }: { trial: Trial; lot: Lot; position: number }) {
  const arm = (id: string) => trial.arms.findIndex((known) => known.id === id);
  const [left, right] = [arm(lot.left), arm(lot.right)];
  const name = (index: number) => trial.arms[index]?.name ?? '';
  const says = left === right ? name(left) : `left ${name(left)}, right ${name(right)}`;
  return (
    <span role="img" aria-label={`${position + 1}: ${says}`} title={says}>
      {(left === right ? [left] : [left, right]).map((index, i) => (
        <span key={i} style={{ color: armStyle(index).hue }}>
          {armStyle(index).marker}
        </span>
      ))}
    </span>
  );
}

/** The trial's wash days in order: opened ones show their arm, or left and right, the others are sealed. */
export function AllocationStrip({ trial }: { trial: Trial }) {
  const opened = trial.allocation.filter((lot) => lot !== null).length;
  const wide = trial.allocation.some((lot) => lot !== null && lot.left !== lot.right);
  return (
    <div className="mt-2">
      <ol className="flex flex-wrap gap-1" aria-label={`${opened} of ${trial.washDays} wash days opened`}>
        {trial.allocation.map((lot, position) => (
          <li
            key={position}
            title={lot === null ? 'sealed until its wash day begins' : undefined}
            className={`flex h-7 ${wide ? 'w-10' : 'w-7'} items-center justify-center rounded-[3px_9px_3px_9px] border text-sm ${
              lot === null ? 'border-dashed border-ink/35 text-soft' : 'border-ink/20 bg-sheet'
            }`}
          >
            {lot === null ? (
              <>
                <span>{position + 1}</span>
                <span className="sr-only">: sealed</span>
              </>
            ) : (
              <Opened trial={trial} lot={lot} position={position} />
            )}
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm text-soft">
        {trial.arms.map(({ id, name }, arm) => (
          <span key={id} className="mr-3 inline-block">
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
