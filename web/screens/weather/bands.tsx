import { DewPointBands, type SettingsChange } from '@sabor/contract/settings';
import { DEW_POINT_BANDS, type DewPointBand } from '@sabor/core/climate/dew-point-bands';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useEffect, useState } from 'react';
import * as v from 'valibot';
import { useChange, useSettings, useSettingsKnown } from '../../api/queries.ts';
import { patch } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField, TextField } from '../../ui/inputs.tsx';
import { useSay } from '../../ui/undo.tsx';

/** The dew-point bands in the tester's own limits and words. */
export function Bands() {
  const known = useSettingsKnown();
  const { dewPointBands, temperature } = useSettings();
  return known ? (
    <Editor key={JSON.stringify(dewPointBands)} kept={dewPointBands} scale={temperatureScale(temperature)} />
  ) : null;
}

function Editor({ kept, scale }: { kept: DewPointBand[]; scale: ReturnType<typeof temperatureScale> }) {
  const say = useSay();
  const [bands, setBands] = useState(kept);
  const [error, setError] = useState<string>();
  const save = useChange((change: SettingsChange) => patch('/settings', change));
  useEffect(() => setError(undefined), []);
  const set = (i: number, to: Partial<DewPointBand>) =>
    setBands(bands.map((band, j) => (i === j ? { ...band, ...to } : band)));
  const keep = (next: readonly DewPointBand[]) => {
    const checked = v.safeParse(DewPointBands, next);
    setError(checked.success ? undefined : checked.issues[0].message);
    if (!checked.success) return;
    save.mutateAsync({ dewPointBands: checked.output }).then(
      () => say('The bands are saved.', () => save.mutate({ dewPointBands: kept })),
      (problem: Error) => setError(problem.message),
    );
  };
  const changed = JSON.stringify(bands) !== JSON.stringify(kept);
  const usual = JSON.stringify(kept) === JSON.stringify(DEW_POINT_BANDS);
  return (
    <section aria-labelledby="bands">
      <h2 id="bands" className="text-xl">
        Dew-point bands
      </h2>
      <p className="mb-3 text-soft">
        What the trade says a dew point means for a formula. Common practice, no source: set your own limits
        and words. Hair itself goes by relative humidity, which stands beside the dew point wherever Sabor
        shows it.
      </p>
      <ol className="space-y-4">
        {bands.map((band, i) => (
          <li key={i} className="grid grid-cols-[7rem_1fr] gap-x-3 gap-y-1 border-l-4 border-leaf/50 pl-3">
            {band.below === null ? (
              <p className="self-center pt-6 text-soft">
                {scale.show(bands[i - 1]?.below ?? 0).toFixed(0)} {scale.sign} and over
              </p>
            ) : (
              <NumberField
                label={`Band ${i + 1}, under`}
                scale={scale}
                value={band.below}
                onChange={(below) => set(i, { below: below ?? Number.NaN })}
              />
            )}
            <TextField
              label={`Band ${i + 1} is called`}
              value={band.label}
              onChange={(label) => set(i, { label })}
            />
            <TextField
              className="col-span-2"
              label={<span className="sr-only">Band {i + 1} means</span>}
              value={band.says}
              onChange={(says) => set(i, { says })}
            />
          </li>
        ))}
      </ol>
      {error && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          {error}
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-3">
        {changed && <Button onClick={() => keep(bands)}>Save the bands</Button>}
        {changed && (
          <Button look="quiet" onClick={() => setBands(kept)}>
            Discard what I typed
          </Button>
        )}
        {!usual && !changed && (
          <Button look="quiet" onClick={() => keep(DEW_POINT_BANDS)}>
            Back to the usual bands
          </Button>
        )}
      </div>
    </section>
  );
}
