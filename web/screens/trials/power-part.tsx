import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import type { Wearer } from '@sabor/contract/wearer';
import { mainResult, POINTS_A_WORD } from '@sabor/core/compare/main-result';
import { detectable, type PowerPlan, ZONE_SD } from '@sabor/core/inference/power';
import { ALPHA } from '@sabor/core/inference/reach';
import { sdInterval } from '@sabor/core/inference/sd-interval';
import { DESIGNS, daysOffered, designProblem, isTested } from '@sabor/core/trial/designs';
import { type NumberWords, numbersOf, promisedInWords } from '@sabor/words/main-result';
import { useEffect, useRef, useState } from 'react';
import { useNoise } from '../../api/noise.ts';
import { PowerCurve } from '../../drawings/power-curve.tsx';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { ChoiceField, NumberField } from '../../ui/inputs.tsx';
import { powerInWorker } from '../../workers/power.ts';
import type { PowerAnswer } from '../../workers/power.worker.ts';
import { costOfPlan } from './plan-cost.ts';

/** Simulated trials for each difference. */
const TRIALS = 2000;
const SEED = 20_261;
/** SD assumed where no trial of this wearer tells, in points. Model assumption. */
const ASSUMED = 1;
/** Where ratings are taken to lie on the scale where no trial tells. Model assumption. */
const ASSUMED_LEVEL = { higher: 6, lower: 4 } as const;

interface Done {
  of: string;
  answer: PowerAnswer;
  matters: number;
}

/** How many wash days it takes, by simulating the plan as it stands. */
export function PowerPart({
  value,
  wearer,
  products,
}: {
  value: TrialInput;
  wearer: Wearer | undefined;
  products: readonly Product[];
}) {
  const design = value.design ?? 'complete';
  const learned = useNoise(wearer, design, value);
  const [source, setSource] = useState<string | null>(null);
  const [assumed, setAssumed] = useState<number | null>(null);
  const [missing, setMissing] = useState<number | null>(5);
  const [weather, setWeather] = useState<number | null>(0);
  const [drift, setDrift] = useState<number | null>(0);
  const [whole, setWhole] = useState(false);
  const [progress, setProgress] = useState<number | null>(null);
  const [done, setDone] = useState<Done | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const running = useRef<(() => void) | null>(null);
  useEffect(() => () => running.current?.(), []);
  if (!isTested(design)) return null;
  const { halves } = DESIGNS[design];
  const { better, felt, measured, lasting } = mainResult(value.primary);
  const say = numbersOf(value.primary);
  const units = measured ? (measured.unit === '' ? '' : ` ${measured.unit}`) : ' points';
  const known = learned.data ?? [];
  const chosen =
    source === 'assumed' ? undefined : (known.find(({ trialId }) => trialId === source) ?? known[0]);
  const matters = value.matters;
  // Of what is measured a wash day is taken to differ by as much as is worth switching for.
  const guess = measured ? matters : ASSUMED;
  const sd = chosen ? chosen.sd : (assumed ?? guess);
  const assumption =
    (sd > 0 && (measured || sd <= 10)
      ? null
      : `Give the noise between wash days${measured ? '' : ' in points'}.`) ??
    (missing !== null && missing >= 0 && missing < 90 ? null : 'Missed wash days run from 0 to 90 %.');
  const bad =
    designProblem(design, value.arms.length, value.washDays) ??
    assumption ??
    (matters > 0 ? null : 'Give the difference worth switching for.');
  const plan: PowerPlan = {
    design,
    arms: value.arms.length,
    days: value.washDays,
    looks: value.looks ?? 1,
    alpha: ALPHA,
    better,
    noise: { sd, freedom: chosen?.freedom ?? null },
    scale: measured
      ? null
      : {
          step: felt ? POINTS_A_WORD : whole ? 1 : 0.5,
          zones: Math.max(1, Math.round(value.weights.length / (halves ? 2 : 1))),
          level: chosen?.level ?? ASSUMED_LEVEL[better],
        },
    weatherSd: weather ?? 0,
    drift: drift ?? 0,
    bias: chosen?.bias ?? 0,
    lag: 0,
    carryOver: 0,
    missing: (missing ?? 0) / 100,
  };
  const key = JSON.stringify([plan, matters]);
  const simulate = () => {
    running.current?.();
    setFailed(null);
    setProgress(0);
    const most = Math.max(2 * matters, 2 * plan.noise.sd);
    const offered = daysOffered(design, value.arms.length);
    const here = offered.indexOf(value.washDays);
    const { answer, cancel } = powerInWorker(
      plan,
      {
        differences: Array.from({ length: 7 }, (_, i) => (most * i) / 6),
        ends: chosen ? sdInterval(chosen.sd, chosen.freedom, 0.8) : [],
        others: offered.slice(Math.max(0, here - 2), Math.max(0, here - 2) + 6),
        matters,
        trials: TRIALS,
        seed: SEED,
      },
      setProgress,
    );
    running.current = () => {
      cancel();
      setProgress(null);
    };
    answer.then(
      (result) => {
        setDone({ of: key, answer: result, matters });
        setProgress(null);
      },
      (error: Error) => {
        setFailed(error.message);
        setProgress(null);
      },
    );
  };
  return (
    <section aria-labelledby="power" className="rounded-tag border border-rule bg-sheet p-5">
      <h2 id="power" className="text-xl">
        How many wash days?
      </h2>
      <p className="mb-3 text-sm text-soft">
        Made-up trials by this plan, tested as it says. Noise is{' '}
        {halves ? 'left minus right' : 'between wash days'}.
      </p>
      <Fold
        summary={
          <>
            What it assumes:{' '}
            <span className="font-normal text-soft">
              noise {promisedInWords(value.primary, Number(sd.toFixed(2)))}
              {chosen ? ', as seen' : ''} · {missing ?? 0} % missed
            </span>
          </>
        }
        wrong={assumption !== null}
      >
        <div className="grid gap-3">
          {known.length > 0 && (
            <ChoiceField
              label="Noise from"
              options={[
                ...known.map(({ trialId, question, sd: own }) => ({
                  key: trialId,
                  label: `SD ${say.amount(own)}: ${question}`,
                })),
                { key: 'assumed', label: 'an assumption' },
              ]}
              value={chosen?.trialId ?? 'assumed'}
              onChange={setSource}
            />
          )}
          {!chosen && (
            <NumberField
              label="Noise, standard deviation"
              unit={measured ? measured.unit : 'points'}
              hint="Assumed. The design “both halves the same” or “the same wash day, again” learns it."
              value={assumed ?? guess}
              onChange={setAssumed}
            />
          )}
          <div className="grid grid-cols-3 gap-3">
            <NumberField label="Missed" unit="%" value={missing} onChange={setMissing} />
            {!halves && <NumberField label="Weather SD" value={weather} onChange={setWeather} />}
            {!halves && <NumberField label="Drift" value={drift} onChange={setDrift} />}
          </div>
        </div>
        {plan.scale ? (
          <>
            <label className="mt-3 flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={whole}
                onChange={(e) => setWhole(e.target.checked)}
              />
              Rated in whole points only
            </label>
            <p className="mt-1 text-sm text-soft">
              It allows for the scale’s steps and ends (ratings around {plan.scale.level.toFixed(1)}), for
              zones of one head that differ by {ZONE_SD} points (an assumption), and for missed wash days.
            </p>
          </>
        ) : (
          <p className="mt-1 text-sm text-soft">
            {lasting
              ? 'It allows for missed wash days, not for wears that are cut short: those make it take longer.'
              : 'It allows for missed wash days. What is measured has no steps and no ends; the picture’s own error is part of the noise.'}
          </p>
        )}
      </Fold>
      <div className="mt-3 flex items-center gap-3">
        {progress === null ? (
          <Button onClick={simulate} disabled={bad !== null}>
            Simulate this plan
          </Button>
        ) : (
          <>
            <Button onClick={() => running.current?.()}>Stop</Button>
            <progress className="flex-1" value={progress} aria-label="Simulation" />
          </>
        )}
      </div>
      {bad && <p className="mt-2 text-mango-deep">{bad}</p>}
      {failed && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          The simulation stopped: {failed}
        </p>
      )}
      <div aria-live="polite">
        {done && (
          <Answer
            done={done}
            stale={done.of !== key}
            value={value}
            products={products}
            days={value.washDays}
            say={say}
            units={units}
          />
        )}
      </div>
    </section>
  );
}

const percent = (share: number) => `${Math.round(share * 100)} %`;

function Answer({
  done: { answer, matters },
  stale,
  value,
  products,
  days,
  say,
  units,
}: {
  done: Done;
  stale: boolean;
  value: TrialInput;
  products: readonly Product[];
  days: number;
  say: NumberWords;
  /** " points", " mm". */
  units: string;
}) {
  const sees = detectable(answer.curve);
  const here = answer.byDays.find((one) => one.days === days);
  const enough = answer.byDays.find(({ point }) => point.power >= 0.8);
  const [low, high] = answer.ends.map((points) => detectable(points));
  const cost = costOfPlan(value, products);
  const weeks = Math.ceil((days * (value.cadenceDays ?? value.wearDays)) / 7);
  return (
    <div className={`mt-3 space-y-2 ${stale ? 'opacity-60' : ''}`}>
      {stale && <p className="text-mango-deep">The plan has changed since; simulate again.</p>}
      <PowerCurve curve={answer.curve} ends={answer.ends} matters={matters} say={say} units={units} />
      {here && (
        <p>
          A difference of {matters}
          {units.trimStart() !== 'points' && units} is found with <strong>{percent(here.point.power)}</strong>{' '}
          in {days} wash days ({percent(here.point.low)} to {percent(here.point.high)} from the simulation).
        </p>
      )}
      <p>
        {sees === null
          ? 'No difference in this range is found with 80 %.'
          : `With 80 % it sees ${say.size(sees)}${units} or more.`}
        {low != null &&
          high != null &&
          ` The noise is uncertain: anything from ${say.size(low)} to ${say.size(high)}.`}
      </p>
      <table className="w-full text-left text-sm">
        <caption className="pb-1 text-left font-semibold">Finding {matters}, by wash days</caption>
        <tbody>
          {answer.byDays.map(({ days: n, point }) => (
            <tr key={n} className={`border-t border-rule ${n === days ? 'font-semibold' : ''}`}>
              <th scope="row" className="font-normal">
                {n} wash days
              </th>
              <td className={`text-right ${point.power >= 0.8 ? 'text-leaf' : ''}`}>
                {percent(point.power)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm">
        {enough
          ? `${enough.days} wash days are the fewest of these that reach 80 %.`
          : 'None of these reaches 80 %: plan more wash days, or a difference that matters more.'}{' '}
        {days} wash days are about {weeks} weeks{cost ? ` and ${cost}` : ''}.
      </p>
    </div>
  );
}
