import type { Routine } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { labelDepartures } from '@sabor/core/shelf/label-directions';
import { SLOTS } from '@sabor/core/step/slots';
import { doseInWords } from '@sabor/words/dose';
import { labelDepartureInWords } from '@sabor/words/label-directions';
import { rounded } from '@sabor/words/numbers';
import { v7 } from 'uuid';
import { ChoiceField } from '../../ui/inputs.tsx';
import { ProductsMissing } from './products-missing.tsx';

type PlanStep = TrialInput['plan'][number];
type Change = (next: (old: TrialInput) => TrialInput) => void;

/** The routine of a trial: chosen from the library and copied, each step held but the tested ones. */
export function RoutinePart({
  value,
  change,
  routines,
  products,
  problem,
}: {
  value: TrialInput;
  change: Change;
  routines: readonly Routine[];
  products: readonly Product[];
  problem: (path: string) => string | undefined;
}) {
  const choose = (id: string | null) => {
    const routine = routines.find((known) => known.id === id);
    if (!routine) return;
    change((old) => ({
      ...old,
      routineName: routine.name,
      plan: routine.steps.map((step) => ({
        ...step,
        id: v7(),
        part: 'held' as const,
        optional: false,
        tolerance: 0.2,
      })),
      arms: old.arms.map((arm) => ({ ...arm, steps: [] })),
    }));
  };
  const setPart = (stepId: string, tested: boolean) =>
    change((old) => {
      const step = old.plan.find(({ id }) => id === stepId)!;
      return {
        ...old,
        plan: old.plan.map((known) =>
          known.id === stepId ? { ...known, part: tested ? ('tested' as const) : ('held' as const) } : known,
        ),
        arms: old.arms.map((arm, i) => ({
          ...arm,
          steps: tested
            ? [
                ...arm.steps,
                {
                  stepId,
                  productId:
                    products.find(({ name }) => name === arm.name)?.id ?? (i === 0 ? step.productId : null),
                  dose: null,
                  skipped: false,
                  settings: {},
                },
              ]
            : arm.steps.filter((own) => own.stepId !== stepId),
        })),
      };
    });
  const setTerms = (stepId: string, to: Partial<PlanStep>) =>
    change((old) => ({
      ...old,
      plan: old.plan.map((known) => (known.id === stepId ? { ...known, ...to } : known)),
    }));
  return (
    <section className="space-y-3" aria-labelledby="routine">
      <h2 id="routine" className="text-xl">
        The routine, kept the same
      </h2>
      <ChoiceField
        label={value.plan.length ? 'Use another routine' : 'Routine'}
        options={routines
          .filter(({ archivedAt, steps }) => archivedAt === null && steps.length > 0)
          .map(({ id, name }) => ({ key: id, label: name }))}
        value={null}
        none={value.plan.length ? value.routineName : 'Choose …'}
        onChange={choose}
        error={value.plan.length === 0 ? problem('plan') : undefined}
      />
      {value.plan.length > 0 && (
        <>
          <ProductsMissing
            plan={value.plan}
            products={products}
            name={(stepId, productId) => setTerms(stepId, { productId })}
          />
          <p className="text-soft">
            Tick the step under test. Its product comes from the options; every other step stays as it is
            written.
          </p>
          <ol className="border-t border-rule">
            {value.plan.map((step) => {
              const tested = step.part === 'tested';
              const used = products.find(({ id }) => id === step.productId);
              const product = used?.name;
              return (
                <li
                  key={step.id}
                  className={`flex flex-wrap items-center gap-x-4 border-b border-rule px-3 py-1 sm:flex-nowrap ${tested ? 'bg-sheet' : 'bg-leaf-pale/60'}`}
                >
                  <label className="flex min-h-9 min-w-0 flex-1 basis-full items-center gap-3 sm:basis-0">
                    <input
                      type="checkbox"
                      className="size-4 accent-hibiscus"
                      checked={tested}
                      onChange={(e) => setPart(step.id, e.target.checked)}
                    />
                    <span className="w-28 shrink-0 font-semibold sm:w-40">{SLOTS[step.slot].label}</span>
                    <span className="text-soft">
                      {tested
                        ? 'under test'
                        : [
                            product ?? (step.dose ? 'no product chosen' : null),
                            step.dose && doseInWords(step.dose),
                            step.minutes && `${rounded(step.minutes, 1)} min`,
                          ]
                            .filter(Boolean)
                            .join(' · ') || '–'}
                      {!tested && used && <LabelSays step={step} directions={used.labelDirections} />}
                    </span>
                  </label>
                  {tested ? (
                    <span className="text-sm font-semibold text-hibiscus">tested</span>
                  ) : (
                    <HeldTerms step={step} onChange={(to) => setTerms(step.id, to)} />
                  )}
                </li>
              );
            })}
          </ol>
          {problem('plan') && (
            <p role="alert" className="font-semibold text-brick">
              {problem('plan')}
            </p>
          )}
        </>
      )}
    </section>
  );
}

/** How closely a step is held: within a tolerance, left out at will, or free to vary. */
function HeldTerms({ step, onChange }: { step: PlanStep; onChange: (to: Partial<PlanStep>) => void }) {
  const what = SLOTS[step.slot].label;
  const measured = step.minutes !== null || (step.dose !== null && step.dose.kind !== 'unknown');
  return (
    <span className="flex flex-wrap items-center justify-end gap-x-4 text-sm">
      {step.part === 'held' && measured && (
        <label className="flex items-center gap-1 text-soft">
          ±
          <select
            className="rounded border border-ink/25 bg-sheet px-1 py-0.5"
            aria-label={`${what}: amount and minutes within`}
            value={String(step.tolerance ?? 0.2)}
            onChange={(e) => onChange({ tolerance: Number(e.target.value) })}
          >
            {TOLERANCES.map((share) => (
              <option key={share} value={share}>
                {share * 100} %
              </option>
            ))}
          </select>
        </label>
      )}
      {step.part === 'held' && (
        <label className="flex items-center gap-1 text-soft">
          <input
            type="checkbox"
            className="accent-ink"
            checked={step.optional ?? false}
            aria-label={`Optional: ${what.toLowerCase()}`}
            onChange={(e) => onChange({ optional: e.target.checked })}
          />
          optional
        </label>
      )}
      <select
        className={`rounded border border-ink/25 bg-sheet px-1 py-0.5 font-semibold ${step.part === 'free' ? 'text-mango-deep' : 'text-leaf'}`}
        aria-label={`${what} is`}
        value={step.part}
        onChange={(e) => onChange({ part: e.target.value as PlanStep['part'] })}
      >
        <option value="held">kept the same</option>
        <option value="free">may vary</option>
      </select>
    </span>
  );
}

/** What the label says of this step, and where the plan departs from it. */
function LabelSays({ step, directions }: { step: PlanStep; directions: string | null }) {
  if (directions === null) return <span className="block text-sm">no directions on the label</span>;
  const departs = labelDepartures(step, directions);
  return (
    <span className="block text-sm" title={directions}>
      {departs.length === 0 ? (
        'as the label directs'
      ) : (
        <span className="text-mango-deep">{departs.map(labelDepartureInWords).join(' ')}</span>
      )}
    </span>
  );
}

const TOLERANCES = [0.05, 0.1, 0.2, 0.3, 0.5];
