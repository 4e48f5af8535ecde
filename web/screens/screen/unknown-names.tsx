import type { OwnIngredientInput } from '@sabor/contract/ingredients';
import { GROUPS, type Group } from '@sabor/core/ingredients/facts';
import { useState } from 'react';
import { useChange, useOwnIngredients } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { useSay } from '../../ui/undo.tsx';

/** Names the dictionary does not know: mended with a suggestion, or classified once for all products. */
export function UnknownNames({
  suggestions,
  text,
  setText,
}: {
  suggestions: readonly { name: string; meant: string[] }[];
  text: string;
  setText: (text: string) => void;
}) {
  const say = useSay();
  const own = useOwnIngredients();
  const drop = useChange((name: string) => remove(`/own-ingredients/${encodeURIComponent(name)}`));
  const mend = (name: string, meant: string) => {
    const before = text;
    const at = text.toLowerCase().indexOf(name.toLowerCase());
    if (at < 0) return say(`“${name}” stands differently in the list; mend it there.`);
    setText(`${text.slice(0, at)}${meant}${text.slice(at + name.length)}`);
    say(`${name} is now ${meant}.`, () => setText(before));
  };
  const kept = own.data ?? [];
  if (suggestions.length === 0 && kept.length === 0) return null;
  return (
    <section aria-labelledby="unknown">
      <h2 id="unknown" className="mb-1 text-xl">
        Names not in the dictionary
      </h2>
      {suggestions.length > 0 && (
        <>
          <p className="mb-2 text-soft">
            They stay as they are. Mend the spelling, or say once for all products what they are.
          </p>
          <ul>
            {suggestions.map(({ name, meant }) => (
              <li key={name} className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-rule py-2">
                <span className="min-w-40 flex-1 font-semibold">{name}</span>
                {meant.map((one) => (
                  <Button key={one} aria-label={`Mend ${name} to ${one}`} onClick={() => mend(name, one)}>
                    {one}?
                  </Button>
                ))}
                <Classify name={name} />
              </li>
            ))}
          </ul>
        </>
      )}
      {kept.length > 0 && (
        <details className="mt-3">
          <summary className="min-h-10 cursor-pointer py-2 font-semibold">
            Classified by you: {kept.length}
          </summary>
          <ul>
            {kept.map((one) => (
              <li key={one.name} className="flex items-center justify-between gap-3 border-b border-rule">
                <span>
                  {one.name}: {one.likeName ?? (one.group ? GROUPS[one.group as Group].label : '')}
                </span>
                <Button
                  look="quiet"
                  aria-label={`Take back ${one.name}`}
                  onClick={() => drop.mutate(one.name)}
                >
                  Take back
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function Classify({ name }: { name: string }) {
  const say = useSay();
  const [group, setGroup] = useState<Group | null>(null);
  const save = useChange((input: OwnIngredientInput) => put('/own-ingredients', input));
  const undo = useChange((gone: string) => remove(`/own-ingredients/${encodeURIComponent(gone)}`));
  return (
    <span className="flex items-end gap-2">
      <ChoiceField
        label={<span className="sr-only">Group of {name}</span>}
        none="it is …"
        options={GROUPS}
        value={group}
        onChange={setGroup}
      />
      {group && (
        <Button
          onClick={() =>
            save.mutateAsync({ name, likeName: null, group }).then(
              () =>
                say(`${name}: ${GROUPS[group].label}, for all products.`, () =>
                  undo.mutate(name.toLowerCase()),
                ),
              (error: Error) => say(error.message),
            )
          }
        >
          Classify<span className="sr-only"> {name}</span>
        </Button>
      )}
    </span>
  );
}
