import type { TrialInput } from '@sabor/contract/trial';
import { DESIGNS, type Design, daysOffered, usualDays } from '@sabor/core/trial/designs';
import { ChoiceField, NumberField } from '../../ui/inputs.tsx';
import { useSay } from '../../ui/undo.tsx';

type Change = (next: (old: TrialInput) => TrialInput) => void;

/** Says, good for, costs and cannot of one design. */
export function DesignWords({ design }: { design: Design }) {
  const { says, good, costs, cannot } = DESIGNS[design];
  return (
    <dl className="grid gap-x-4 gap-y-1 border-l-2 border-rule pl-4 sm:grid-cols-[7rem_1fr]">
      {[
        ['It does', says],
        ['Good for', good],
        ['It costs', costs],
        ['It cannot', cannot],
      ].map(([what, words]) => (
        <div key={what} className="contents">
          <dt className="text-soft">{what}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  );
}

/** A plan turned to another design: its arms cut or filled to what the design takes, its wash days to begin with. */
export function turnedTo(
  old: TrialInput,
  design: Design,
  newArm: (n: number) => TrialInput['arms'][number],
): TrialInput {
  const [least, most] = DESIGNS[design].arms;
  const arms = old.arms.slice(0, most);
  while (arms.length < least) arms.push(newArm(arms.length));
  const one = most === 1;
  return {
    ...old,
    design,
    arms,
    washDays: usualDays(design, arms.length),
    onDay: Math.max(DESIGNS[design].firstDay, old.onDay ?? 1),
    blind: one ? false : (old.blind ?? false),
    looks: one ? 1 : (old.looks ?? 1),
  };
}

/** The plan with a number of wash days its design and arms go with: the one it has, or the next above. */
export function fitDays(plan: TrialInput): TrialInput {
  const offered = daysOffered(plan.design ?? 'complete', plan.arms.length);
  const washDays = offered.find((days) => days >= plan.washDays) ?? offered.at(-1) ?? plan.washDays;
  return { ...plan, washDays };
}

/** Which design: chosen by what it is good for, with what it costs and cannot. */
export function DesignPart({
  value,
  change,
  problem,
  newArm,
}: {
  value: TrialInput;
  change: Change;
  problem: (path: string) => string | undefined;
  newArm: (n: number) => TrialInput['arms'][number];
}) {
  const say = useSay();
  const design = value.design ?? 'complete';
  const offered = daysOffered(design, value.arms.length);
  const choose = (next: Design | null) => {
    if (!next || next === design) return;
    const before = value;
    change((old) => turnedTo(old, next, newArm));
    if (DESIGNS[next].arms[1] < value.arms.length)
      say('The design takes fewer options; the last ones were removed.', () => change(() => before));
  };
  const comparing = DESIGNS[design].arms[1] > 1;
  return (
    <section className="space-y-4" aria-labelledby="design">
      <h2 id="design" className="text-xl">
        The design
      </h2>
      <ChoiceField
        label="Design"
        options={DESIGNS}
        value={design}
        onChange={choose}
        error={problem('design')}
      />
      <DesignWords design={design} />
      <div className="grid gap-4 sm:grid-cols-3">
        {offered.length > 0 ? (
          <ChoiceField
            label="Wash days, all options together"
            options={offered.map((days) => ({ key: String(days), label: `${days} wash days` }))}
            value={offered.includes(value.washDays) ? String(value.washDays) : null}
            onChange={(days) => days && change((old) => ({ ...old, washDays: Number(days) }))}
            error={problem('washDays')}
          />
        ) : (
          <p className="text-mango-deep">This many options do not go with this design.</p>
        )}
        <NumberField
          label="Days worn after each"
          value={value.wearDays}
          onChange={(x) => change((old) => ({ ...old, wearDays: x as number }))}
          error={problem('wearDays')}
        />
        <NumberField
          label="Days from wash to wash"
          hint="The same for every option; empty: as it comes."
          value={value.cadenceDays ?? null}
          onChange={(cadenceDays) => change((old) => ({ ...old, cadenceDays }))}
          error={problem('cadenceDays')}
        />
      </div>
      {comparing && (
        <div className="flex flex-wrap gap-x-8 gap-y-2">
          <Tick
            label="Two tests: half-way at .01, at the end at .04"
            checked={value.looks === 2}
            onChange={(two) => change((old) => ({ ...old, looks: two ? 2 : 1 }))}
            error={problem('looks')}
          />
          <Tick
            label="Blind: a helper fills plain bottles with three-digit codes"
            checked={value.blind ?? false}
            onChange={(blind) => change((old) => ({ ...old, blind }))}
            error={problem('blind')}
          />
          {DESIGNS[value.design ?? 'complete'].halves && (
            <Tick
              label="One side styled through, then the other"
              checked={value.bySide ?? false}
              onChange={(bySide) => change((old) => ({ ...old, bySide }))}
              error={problem('bySide')}
            />
          )}
        </div>
      )}
    </section>
  );
}

function Tick({
  label,
  checked,
  onChange,
  error,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
  error: string | undefined;
}) {
  return (
    <div>
      <label className="flex min-h-9 items-center gap-3">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={checked}
          onChange={(e) => onChange(e.target.checked)}
        />
        {label}
      </label>
      {error && (
        <p role="alert" className="text-sm font-semibold text-brick">
          {error}
        </p>
      )}
    </div>
  );
}
