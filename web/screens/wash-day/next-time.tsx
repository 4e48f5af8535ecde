import type { NewTap } from '@sabor/contract/taps';
import { IDEAS, ideasFor } from '@sabor/core/basin/ideas';
import { SLOTS } from '@sabor/core/step/slots';
import { ideaInWords } from '@sabor/words/idea';
import { v7 } from 'uuid';
import { productChoices } from '../../ui/step-settings.tsx';
import type { Parts } from './asides.tsx';
import { chip } from './big.ts';

type Said = Pick<Extract<NewTap, { kind: 'idea' }>, 'idea' | 'slot' | 'productId'>;

/** A list one of which becomes an idea. */
function Choose({
  label,
  options,
  choose,
}: {
  label: string;
  options: readonly { key: string; label: string }[];
  choose: (key: string) => void;
}) {
  return (
    <label className="flex items-center gap-2">
      <span>{label}:</span>
      <select className={`${chip} min-w-0 bg-ink`} value="" onChange={(e) => choose(e.target.value)}>
        <option value="">choose …</option>
        {options.map(({ key, label: words }) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What to try next time; kept with the trial as an arm for a later one. */
export function NextTime({ step, products, tell }: Pick<Parts, 'step' | 'products' | 'tell'>) {
  const words = ({ idea, slot = null, productId = null }: Said) =>
    ideaInWords({ idea, slot }, products.find(({ id }) => id === productId)?.name ?? null);
  const say = (said: Said, told: string | undefined) => {
    const tap = (gone: boolean): NewTap => ({ kind: 'idea', stepId: step.id, ideaId, ...said, gone });
    const ideaId = told ?? v7();
    const back = told !== undefined;
    tell(tap(back), `Next time: ${words(said)}${back ? ', taken back' : ''}.`, tap(!back));
  };
  // Those that name a step or a product stand by themselves; the others are offered.
  const named = step.ideas.filter(({ slot, productId }) => slot !== null || productId !== null);
  const plain = step.ideas.filter((one) => !named.includes(one));
  return (
    <div className="flex flex-wrap gap-2">
      {[...new Set([...ideasFor(step), ...plain.map(({ idea }) => idea)])].map((idea) => {
        const told = plain.find((known) => known.idea === idea);
        return (
          <button
            key={idea}
            type="button"
            className={chip}
            aria-pressed={told !== undefined}
            onClick={() => say({ idea }, told?.id)}
          >
            {IDEAS[idea].label}
          </button>
        );
      })}
      {named.map(({ id, idea, slot, productId }) => (
        <button
          key={id}
          type="button"
          className={chip}
          aria-pressed
          onClick={() => say({ idea, slot, productId }, id)}
        >
          {words({ idea, slot, productId })}
        </button>
      ))}
      {SLOTS[step.slot].product && (
        <Choose
          label="Product instead"
          options={productChoices(products, step.slot, null).filter(
            ({ key }) => key !== step.productId && !named.some(({ productId }) => productId === key),
          )}
          choose={(productId) => say({ idea: 'other-product', productId }, undefined)}
        />
      )}
      <Choose
        label="Add a step"
        options={Object.entries(SLOTS)
          .filter(([key]) => !named.some(({ slot }) => slot === key))
          .map(([key, { label }]) => ({ key, label }))}
        choose={(slot) => say({ idea: 'add-step', slot: slot as Said['slot'] & string }, undefined)}
      />
    </div>
  );
}
