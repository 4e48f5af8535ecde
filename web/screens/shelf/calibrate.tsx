import type { Product } from '@sabor/contract/shelf';
import { calibrate, FEWEST_REPEATS, REPEATS } from '@sabor/core/doses/calibration';
import { MEASURES, type Measure } from '@sabor/core/doses/measures';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { ScaleFace } from '../../devices/scale-face.tsx';
import { useScale } from '../../devices/use-scale.ts';
import { put } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { useSay } from '../../ui/undo.tsx';

const BY_HAND = Object.fromEntries(Object.entries(MEASURES).filter(([, { exact }]) => !exact)) as Partial<
  typeof MEASURES
> as Record<Measure, { label: string }>;

const grams = (x: number) => `${x.toFixed(2)} g`;

/** What the weighed repeats of a measure say, in a sentence each. */
function Found({ values, measure }: { values: readonly number[]; measure: Measure }) {
  const found = calibrate(values);
  const { label } = MEASURES[measure];
  if (!found)
    return (
      <p className="text-soft">
        {values.length} of {REPEATS} weighed; {FEWEST_REPEATS} at least say something about the spread.
      </p>
    );
  return (
    <div>
      <p className="figure text-3xl">{grams(found.mean)}</p>
      <p>
        One {label} is {grams(found.mean)} on average ({grams(found.ofMean[0])}–{grams(found.ofMean[1])}), SD{' '}
        {grams(found.sd)}, from {found.n} weighings; the next one falls between {grams(found.ofOne[0])} and{' '}
        {grams(found.ofOne[1])}, 95 times in 100.
      </p>
      <p className={found.showsHeld ? 'text-leaf' : 'text-mango-deep'}>
        {found.showsHeld
          ? 'Narrow enough to show that an amount stayed within a fifth.'
          : 'Too wide to show that an amount stayed within a fifth: weigh what a trial uses.'}
      </p>
    </div>
  );
}

/** Ten weighed repeats of a measure of this product, by scale or typed. */
export function Calibrate({ product }: { product: Product }) {
  const say = useSay();
  const [measure, setMeasure] = useState<Measure | null>(null);
  const [values, setValues] = useState<readonly number[]>([]);
  const [typed, setTyped] = useState('');
  const [tared, setTared] = useState(0);
  const now = useScale(measure !== null);
  const save = useChange(({ of, grams: list }: { of: Measure; grams: readonly number[] }) =>
    put(`/products/${product.id}/calibrations/${of}`, { grams: list }),
  );
  const take = (weight: number) => {
    if (weight > 0) setValues((old) => [...old, Math.round(weight * 100) / 100]);
  };
  const type = () => {
    const weight = Number(typed.replace(',', '.'));
    if (!(weight > 0)) return;
    take(weight);
    setTyped('');
  };
  const onIt = now.rest === null ? null : now.rest - tared;
  const keep = async () => {
    if (measure === null) return;
    const before = product.calibrations.find((known) => known.measure === measure)?.grams ?? [];
    await save.mutateAsync({ of: measure, grams: values });
    say(`${MEASURES[measure].label}: calibrated.`, () => save.mutateAsync({ of: measure, grams: before }));
    setMeasure(null);
    setValues([]);
  };
  return (
    <section aria-labelledby="calibrate" className="mt-10 max-w-3xl border-t border-rule pt-6">
      <h2 id="calibrate" className="text-xl">
        Weighed measures
      </h2>
      <p className="mb-3 text-soft">
        A pump known only as 1–2 ml cannot show that the amount stayed the same. Weigh ten of yours once.
      </p>
      {product.calibrations.map((known) => (
        <div key={known.measure} className="mb-3 border-l-4 border-leaf pl-4">
          <Found values={known.grams} measure={known.measure} />
          <Button
            look="quiet"
            onClick={async () => {
              await save.mutateAsync({ of: known.measure, grams: [] });
              say(`${MEASURES[known.measure].label}: taken away.`, () =>
                save.mutateAsync({ of: known.measure, grams: known.grams }),
              );
            }}
          >
            Remove
          </Button>
        </div>
      ))}
      <ChoiceField<Measure>
        label="Weigh a measure"
        none="none"
        options={BY_HAND}
        value={measure}
        onChange={(to) => {
          setMeasure(to);
          setValues([]);
        }}
        className="max-w-xs"
      />
      {measure !== null && (
        <div className="mt-3 space-y-4">
          <ScaleFace
            now={now}
            suggest={[
              {
                label: `one ${MEASURES[measure].label} more`,
                // A simulated hand is not quite even either.
                grams: tared + MEASURES[measure].usual * (1 + 0.06 * Math.sin(2.4 * (values.length + 1))),
              },
            ]}
          />
          <div className="flex flex-wrap items-end gap-3">
            <Button
              className="min-h-16"
              disabled={onIt === null || onIt <= 0.02}
              onClick={() => {
                take(onIt ?? 0);
                setTared(now.rest ?? 0);
              }}
            >
              Take {onIt === null ? 'it' : grams(onIt)}
            </Button>
            <TextField
              className="w-32"
              label="Or type grams"
              value={typed}
              onChange={setTyped}
              error={typed !== '' && !(Number(typed.replace(',', '.')) > 0) ? 'Grams over 0.' : undefined}
            />
            <Button onClick={type}>Add</Button>
          </div>
          <ol className="flex flex-wrap gap-2" aria-label="Weighed so far">
            {values.map((value, i) => (
              <li key={i}>
                <button
                  type="button"
                  className="figure min-h-10 rounded-tag border border-ink/30 px-2"
                  aria-label={`Take weighing ${i + 1} away: ${grams(value)}`}
                  onClick={() => setValues(values.filter((_, j) => j !== i))}
                >
                  {value.toFixed(2)}
                </button>
              </li>
            ))}
          </ol>
          <Found values={values} measure={measure} />
          <div className="flex gap-3">
            <Button look="main" disabled={values.length < FEWEST_REPEATS || save.isPending} onClick={keep}>
              Keep these {values.length}
            </Button>
            <Button onClick={() => setMeasure(null)}>Leave it</Button>
          </div>
          {save.isError && (
            <p role="alert" className="font-semibold text-brick">
              {save.error.message}
            </p>
          )}
        </div>
      )}
    </section>
  );
}
