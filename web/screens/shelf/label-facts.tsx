import type { Line, ProductInput } from '@sabor/contract/shelf';
import { PACKAGINGS, PRICE_KINDS } from '@sabor/core/shelf/products';
import { localToday } from '@sabor/core/time/today';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useSettings } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { ChoiceField, NumberField, TextField } from '../../ui/inputs.tsx';

type Set = <K extends keyof ProductInput>(key: K) => (value: ProductInput[K]) => void;

/** What label and receipt say beyond the first facts: claims, heat limit, edition, prices with their dates. */
export function LabelFacts({
  value,
  set,
  problem,
  line,
}: {
  value: ProductInput;
  set: Set;
  problem: (path: string) => string | undefined;
  line: Line | undefined;
}) {
  const { temperature } = useSettings();
  const ofLine = (line?.claims ?? []).filter(
    ({ collection }) =>
      collection === '' || collection.toLowerCase() === (value.collection ?? '').trim().toLowerCase(),
  );
  const prices = value.prices ?? [];
  const change = (at: number, to: Partial<(typeof prices)[number]>) =>
    set('prices')(prices.map((price, i) => (i === at ? { ...price, ...to } : price)));
  const claims = value.claims ?? [];
  const claimProblem = claims.map((_, i) => problem(`claims.${i}`)).find(Boolean) ?? problem('claims');
  return (
    <section aria-labelledby="label-facts" className="space-y-4">
      <h2 id="label-facts" className="text-xl">
        From label and receipt
      </h2>
      <TextField
        label="Claims, one a line"
        hint="As the label makes them: “24 h hold”, “detangles”, “colour-safe”. Whether they are kept comes later."
        rows={4}
        value={claims.join('\n')}
        onChange={(text) => set('claims')(text === '' ? [] : text.split('\n'))}
        onBlur={() => set('claims')(claims.map((claim) => claim.trim()).filter((claim) => claim !== ''))}
        error={claimProblem}
      />
      {ofLine.length > 0 && (
        <p className="text-sm text-soft">
          {line!.name} claims of it as well: {ofLine.map(({ claim }) => claim).join(', ')}.
        </p>
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        <NumberField
          label="Heat limit, by the label"
          scale={temperatureScale(temperature)}
          value={value.heatLimitC ?? null}
          onChange={set('heatLimitC')}
          error={problem('heatLimitC')}
        />
        <NumberField
          label="Applications per pack, by the label"
          value={value.applications ?? null}
          onChange={set('applications')}
          error={problem('applications')}
        />
        <ChoiceField
          label="Comes in"
          none="not told"
          options={PACKAGINGS}
          value={value.packaging ?? null}
          onChange={set('packaging')}
          error={problem('packaging')}
        />
        <TextField
          label="Collection"
          hint="The part of its line it belongs to."
          value={value.collection ?? ''}
          onChange={set('collection')}
          error={problem('collection')}
        />
        <TextField
          label="Edition or formula date"
          hint="With another edition and list, the list that was is kept."
          value={value.edition ?? ''}
          onChange={set('edition')}
          error={problem('edition')}
        />
      </div>
      <fieldset className="space-y-2">
        <legend className="text-sm font-semibold">Prices paid or seen</legend>
        {problem('prices') && (
          <p role="alert" className="text-sm font-semibold text-brick">
            {problem('prices')}
          </p>
        )}
        {prices.map((price, i) => (
          <div key={i} className="grid grid-cols-2 items-end gap-2 sm:grid-cols-[11rem_1fr_5rem_4.5rem]">
            <DateField
              label="On"
              value={price.on}
              onChange={(on) => change(i, { on })}
              error={problem(`prices.${i}.on`)}
            />
            <ChoiceField
              label="How"
              options={PRICE_KINDS}
              value={price.kind}
              onChange={(kind) => kind && change(i, { kind })}
            />
            <NumberField
              label="Amount"
              value={price.amount}
              onChange={(amount) => change(i, { amount: amount as number })}
              error={problem(`prices.${i}.amount`)}
            />
            <TextField
              label="Currency"
              value={price.currency}
              onChange={(text) => change(i, { currency: text.toUpperCase() })}
              error={problem(`prices.${i}.currency`)}
            />
            <Button
              look="quiet"
              className="justify-self-start px-0!"
              onClick={() => set('prices')(prices.filter((_, at) => at !== i))}
            >
              Remove price
            </Button>
          </div>
        ))}
        <Button
          look="quiet"
          onClick={() =>
            set('prices')([
              ...prices,
              {
                on: localToday(),
                kind: 'full',
                amount: value.price as number,
                currency: value.currency ?? 'EUR',
              },
            ])
          }
        >
          Add a price
        </Button>
      </fieldset>
    </section>
  );
}
