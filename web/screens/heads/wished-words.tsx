import { FELT, FELT_KEYS, type Felt } from '@sabor/core/felt/felt';
import { Button } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';

type Words = Partial<Record<Felt, number>>;

/** The word a wearer wishes for of a reading: of clump size or cast the middle may be best. */
export function WishedWords({ value, onChange }: { value: Words; onChange: (words: Words) => void }) {
  const wished = FELT_KEYS.filter((key) => value[key] !== undefined);
  const without = (gone: Felt) =>
    Object.fromEntries(Object.entries(value).filter(([key]) => key !== gone)) as Words;
  return (
    <fieldset className="mt-5">
      <legend className="text-sm font-semibold">Wished in words</legend>
      <p className="text-sm text-soft">
        Shown beside what each option came to, and the word a trial of it begins with.
      </p>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {wished.map((key) => (
          <div key={key} className="flex items-end gap-2">
            <ChoiceField
              className="flex-1"
              label={FELT[key].label}
              options={FELT[key].words.map((word, i) => ({ key: String(i), label: word }))}
              value={String(value[key])}
              onChange={(i) => i !== null && onChange({ ...value, [key]: Number(i) })}
            />
            <Button
              look="quiet"
              aria-label={`Remove the wish for ${FELT[key].label.toLowerCase()}`}
              onClick={() => onChange(without(key))}
            >
              Remove
            </Button>
          </div>
        ))}
        <ChoiceField
          label="Add a reading"
          none="choose …"
          options={FELT_KEYS.filter((key) => value[key] === undefined).map((key) => ({
            key,
            label: FELT[key].label,
          }))}
          value={null}
          onChange={(key) => key && onChange({ ...value, [key]: FELT[key as Felt].wanted })}
        />
      </div>
    </fieldset>
  );
}
