import { useState } from 'react';
import { Button } from './button.tsx';
import type { Clash } from './draft.ts';
import { type Conflict, placeInWords, valueInWords } from './merge.ts';

/** What was changed here and elsewhere: both versions of each field, side by side, to choose from. */
export function ClashPanel({ clash }: { clash: Clash | null }) {
  const [theirs, setTheirs] = useState<ReadonlySet<Conflict>>(new Set());
  if (!clash) return null;
  const choose = (one: Conflict, other: boolean) =>
    setTheirs((old) => {
      const next = new Set(old);
      if (other) next.add(one);
      else next.delete(one);
      return next;
    });
  return (
    <section aria-labelledby="clash" className="rounded-tag border-2 border-mango-deep/60 bg-sheet px-4 py-3">
      <h2 id="clash" className="text-lg">
        Changed here and elsewhere
      </h2>
      <p className="mb-3 text-soft">
        What only one side changed is put together already. Choose for the rest, then save.
      </p>
      <div className="space-y-4">
        {clash.conflicts.map((one, i) => (
          <fieldset key={one.path.join('.')}>
            <legend className="font-semibold">{placeInWords(clash.value, one.path)}</legend>
            <div className="grid gap-2 sm:grid-cols-2">
              {(['Here', 'Elsewhere'] as const).map((side) => {
                const other = side === 'Elsewhere';
                return (
                  <label
                    key={side}
                    className="flex min-h-11 items-start gap-2 rounded-md border border-ink/30 px-3 py-2"
                  >
                    <input
                      type="radio"
                      className="mt-1 accent-ink"
                      name={`clash ${i}`}
                      checked={theirs.has(one) === other}
                      onChange={() => choose(one, other)}
                    />
                    <span className="min-w-0 wrap-anywhere">
                      <span className="block text-sm text-soft">{side}</span>
                      {valueInWords(other ? one.theirs : one.mine)}
                    </span>
                  </label>
                );
              })}
            </div>
          </fieldset>
        ))}
      </div>
      <Button className="mt-4" onClick={() => clash.settle(theirs)}>
        Take these
      </Button>
    </section>
  );
}
