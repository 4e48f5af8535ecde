import type { ReactNode } from 'react';
import { type Turn, turnLabel } from './outcome-tabs.tsx';

/** The way on from what is rated: what lies beside it, and the look’s end after the last. */
export const ON =
  'ml-auto inline-flex min-h-16 items-center rounded-tag bg-hibiscus px-6 text-lg font-semibold text-paper';

/** Under the numbers: takes a rating away, goes on to the next outcome, and ends the look where there is none. */
export function RateFoot<T extends Turn>({
  isRated,
  clear,
  next,
  turnTo,
  children,
}: {
  isRated: boolean;
  clear: () => void;
  next: T | undefined;
  turnTo: (turn: T) => void;
  /** What stands there once there is no next. */
  children: ReactNode;
}) {
  return (
    <div className="mt-3 flex flex-wrap gap-3">
      <button
        type="button"
        disabled={!isRated}
        className="min-h-12 px-2 underline underline-offset-4 disabled:opacity-40"
        onClick={clear}
      >
        Clear rating
      </button>
      {next ? (
        <button type="button" className={ON} onClick={() => turnTo(next)}>
          Next: {turnLabel(next).toLowerCase()}
        </button>
      ) : (
        children
      )}
    </div>
  );
}
