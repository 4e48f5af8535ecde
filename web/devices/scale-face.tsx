import { useState } from 'react';
import { post } from '../http/http.ts';
import type { ScaleNow } from './use-scale.ts';

const touch = 'min-h-16 rounded-tag border-2 border-current/60 px-4 text-lg font-semibold';

/** The scale's face, and, as the scale that ships is simulated, what lies on it in place of hands. */
export function ScaleFace({
  now,
  suggest,
}: {
  now: ScaleNow;
  suggest: readonly { label: string; grams: number }[];
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const does = (path: string, body: object = {}) =>
    post(`/scale/${path}`, body).then(
      () => setProblem(null),
      (error: Error) => setProblem(error.message),
    );
  return (
    <div>
      <p className="flex items-baseline gap-3">
        <output className="figure text-5xl" aria-label="On the scale">
          {now.grams === null ? '–' : now.grams.toFixed(1)}
        </output>
        <span className="text-lg">
          g ·{' '}
          {now.state === 'lost'
            ? 'connection lost, trying again; or type the grams under Change'
            : now.state === 'connecting'
              ? 'connecting'
              : now.rest === null
                ? 'moving'
                : 'at rest'}
        </span>
      </p>
      {now.lowBattery && <p className="font-semibold">The scale’s battery is low.</p>}
      {problem && (
        <p role="alert" className="font-semibold">
          {problem}
        </p>
      )}
      <fieldset className="mt-2">
        <legend className="text-base">Simulated scale: put on it</legend>
        <div className="flex flex-wrap gap-2">
          {suggest.map(({ label, grams }) => (
            <button key={label} type="button" className={touch} onClick={() => does('put', { grams })}>
              {label}
            </button>
          ))}
          <button type="button" className={touch} onClick={() => does('put', { grams: 0 })}>
            nothing
          </button>
          <button type="button" className={touch} onClick={() => does('tare')}>
            Set to nought
          </button>
        </div>
      </fieldset>
    </div>
  );
}
