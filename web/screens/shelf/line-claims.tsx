import type { LineInput } from '@sabor/contract/shelf';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/inputs.tsx';

type Claims = NonNullable<LineInput['claims']>;

/** What a line claims of all its products, or of those of one collection. */
export function LineClaims({
  value,
  onChange,
  problem,
}: {
  value: Claims;
  onChange: (claims: Claims) => void;
  problem: (path: string) => string | undefined;
}) {
  const put = (at: number, to: Partial<Claims[number]>) =>
    onChange(value.map((one, i) => (i === at ? { ...one, ...to } : one)));
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">Claims of the whole line</legend>
      {value.map(({ collection, claim }, i) => (
        <div key={i} className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
          <TextField
            label={`Claim ${i + 1}`}
            placeholder="free of sulfates"
            value={claim}
            onChange={(text) => put(i, { claim: text })}
            error={problem(`claims.${i}.claim`)}
          />
          <TextField
            label={`Of collection ${i + 1}`}
            placeholder="all of them"
            value={collection}
            onChange={(text) => put(i, { collection: text })}
            error={problem(`claims.${i}.collection`)}
          />
          <Button
            look="quiet"
            aria-label={`Remove claim ${i + 1}`}
            onClick={() => onChange(value.filter((_, j) => j !== i))}
          >
            Remove
          </Button>
        </div>
      ))}
      {problem('claims') && (
        <p role="alert" className="text-sm font-semibold text-brick">
          {problem('claims')}
        </p>
      )}
      <Button look="quiet" onClick={() => onChange([...value, { collection: '', claim: '' }])}>
        Add a claim
      </Button>
    </fieldset>
  );
}
