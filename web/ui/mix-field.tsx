import { asMix } from '@sabor/core/shelf/recipe';
import { MIX_LIMITS, type MixPart, mixParts } from '@sabor/core/step/mix';
import { useRecipes } from '../api/queries.ts';
import { Button } from './button.tsx';
import { ChoiceField, NumberField, TextField } from './inputs.tsx';

const FIRST: readonly MixPart[] = [
  { name: '', productId: null, parts: 2 },
  { name: 'water', productId: null, parts: 1 },
];

/** A home mix: its parts by product or by name, each with how many parts of it go in. */
export function MixField({
  value,
  onChange,
  products,
  error,
}: {
  value: unknown;
  onChange: (parts: readonly MixPart[] | undefined) => void;
  products: readonly { key: string; label: string }[];
  error: string | undefined;
}) {
  const parts = mixParts(value);
  const recipes = useRecipes().data ?? [];
  const kept = recipes.filter(({ archivedAt }) => archivedAt === null);
  const put = (place: number, to: Partial<MixPart>) =>
    onChange(parts.map((part, i) => (i === place ? { ...part, ...to } : part)));
  if (parts.length === 0)
    return (
      <div className="flex flex-wrap items-end gap-3 self-end">
        <Button onClick={() => onChange(FIRST)}>Use a home mix</Button>
        {kept.length > 0 && (
          <ChoiceField
            label="or one you keep"
            none="choose …"
            options={kept.map(({ id, name }) => ({ key: id, label: name }))}
            value={null}
            onChange={(id) => {
              const recipe = kept.find((known) => known.id === id);
              if (recipe) onChange(asMix(recipe, recipes) ?? FIRST);
            }}
          />
        )}
      </div>
    );
  return (
    <fieldset className="border-l-2 border-ink/20 pl-3 sm:col-span-2 lg:col-span-3">
      <legend className="font-semibold">Home mix</legend>
      {parts.map((part, i) => (
        <div key={i} className="mb-2 grid gap-x-4 gap-y-2 sm:grid-cols-[1fr_1fr_7rem_auto]">
          <ChoiceField
            label={`Part ${i + 1} from the shelf`}
            none="something else"
            options={products}
            value={part.productId}
            onChange={(productId) =>
              put(i, {
                productId,
                name: products.find(({ key }) => key === productId)?.label ?? '',
              })
            }
          />
          <TextField
            label={`Name ${i + 1}`}
            placeholder="water, aloe juice …"
            value={part.name}
            onChange={(name) => put(i, { name, productId: null })}
          />
          <NumberField
            label={`Amount ${i + 1}`}
            unit="parts"
            value={part.parts}
            onChange={(amount) => put(i, { parts: amount as number })}
          />
          <Button
            look="quiet"
            className="self-end"
            aria-label={`Remove part ${i + 1}`}
            onClick={() => onChange(parts.length > 1 ? parts.filter((_, j) => j !== i) : undefined)}
          >
            Remove
          </Button>
        </div>
      ))}
      {parts.length < MIX_LIMITS.most && (
        <Button onClick={() => onChange([...parts, { name: '', productId: null, parts: 1 }])}>
          One more part
        </Button>
      )}
      {error && (
        <p role="alert" className="font-semibold text-brick">
          {error}
        </p>
      )}
      <p className="text-sm text-soft">
        No preservative: mix little, keep it cold, use it fresh, throw the rest away. The step’s amount is one
        of the mix.
      </p>
    </fieldset>
  );
}
