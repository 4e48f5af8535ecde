import { DRY_STOPS, mayTakeDown, TAKE_DOWN, type TakeDown } from '@sabor/core/basin/take-down';
import { useState } from 'react';
import { big, chip } from './big.ts';

const STOPS = Object.keys(DRY_STOPS).map(Number) as (keyof typeof DRY_STOPS)[];

/** Before a set is taken down: how dry it is; and where it is not, what taking it down would do to the trial. */
export function TakeDownStop({
  stopAt,
  dry,
  early,
  cancel,
}: {
  /** How dry the plan wants it, in %; null for fully dry. */
  stopAt: number | null;
  dry: (percent: number) => void;
  early: (percent: number, what: TakeDown) => void;
  cancel: () => void;
}) {
  const [percent, setPercent] = useState<number | null>(null);
  return (
    <section aria-labelledby="how-dry" className="mt-4 rounded-tag border-4 border-amber p-4">
      <h2 id="how-dry" className="text-3xl">
        {percent === null ? 'How dry is it?' : `Stop: it is ${percent} % dry`}
      </h2>
      {percent === null ? (
        <div className="mt-3 grid grid-cols-2 gap-2">
          {STOPS.map((stop) => (
            <button
              key={stop}
              type="button"
              className={`${chip} text-left`}
              onClick={() => (mayTakeDown(stop, stopAt) ? dry(stop) : setPercent(stop))}
            >
              {DRY_STOPS[stop].label}
              <span className="block text-base font-normal">{DRY_STOPS[stop].says}</span>
            </button>
          ))}
        </div>
      ) : (
        <ul className="mt-3 space-y-2">
          {(Object.keys(TAKE_DOWN) as TakeDown[]).map((what) => (
            <li key={what}>
              <button
                type="button"
                className={`${chip} w-full py-2 text-left`}
                onClick={() => early(percent, what)}
              >
                {TAKE_DOWN[what].label}
                <span className="block text-base font-normal">{TAKE_DOWN[what].says}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <button type="button" className={`${big} mt-3 border-2 border-paper/60`} onClick={cancel}>
        Not yet
      </button>
    </section>
  );
}
