import { type ForWhom, SUITS, type Suits } from '@sabor/core/verdict/words-of-verdict';
import { traitInWords } from '@sabor/words/verdict-card';
import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';

const TESTED = [
  ['', 'not said'],
  ['yes', 'suited'],
  ['no', 'did not suit'],
] as const;

/** Whom it suits and whom not: what was tested on such a head, and apart from it what is a guess. */
export function ForWhomPart({
  value,
  change,
  head,
}: {
  value: readonly ForWhom[];
  change: (to: ForWhom[]) => void;
  /** Traits of the head it was tested on; none for an impression. */
  head: Partial<Record<Suits, string>>;
}) {
  const [trait, setTrait] = useState<Suits>('pattern');
  const options = Object.entries(SUITS[trait].options as Record<string, { label: string }>);
  const [guess, setGuess] = useState<string | null>(null);
  const chosen = guess !== null && options.some(([key]) => key === guess) ? guess : options[0]![0];
  const tested = Object.entries(head) as [Suits, string][];
  const saidOf = (of: Suits, option: string, how: ForWhom['how']) =>
    value.find((one) => one.trait === of && one.value === option && one.how === how);
  const without = (of: Suits, option: string, how: ForWhom['how']) =>
    value.filter((one) => !(one.trait === of && one.value === option && one.how === how));
  const guesses = value.filter(({ how }) => how === 'guess');
  const stray = value.filter(({ how, trait: of, value: option }) => how === 'tested' && head[of] !== option);
  const add = (suits: boolean) =>
    change([...without(trait, chosen, 'guess'), { trait, value: chosen, suits, how: 'guess' }]);
  return (
    <div className="space-y-3">
      {tested.length > 0 && (
        <fieldset>
          <legend className="text-sm font-semibold">Tested on such a head</legend>
          <ul className="mt-1 grid gap-x-6 gap-y-1 sm:grid-cols-2">
            {tested.map(([of, option]) => {
              const said = saidOf(of, option, 'tested');
              return (
                <li key={of} className="flex items-center justify-between gap-3">
                  <InlineChoice
                    label={traitInWords(of, option)}
                    value={said === undefined ? '' : said.suits ? 'yes' : 'no'}
                    onChange={(to) =>
                      change(
                        to === ''
                          ? without(of, option, 'tested')
                          : [
                              ...without(of, option, 'tested'),
                              { trait: of, value: option, suits: to === 'yes', how: 'tested' },
                            ],
                      )
                    }
                    options={TESTED}
                  />
                </li>
              );
            })}
          </ul>
        </fieldset>
      )}
      <fieldset>
        <legend className="text-sm font-semibold">My guess</legend>
        <div className="mt-1 flex flex-wrap items-center gap-3">
          <InlineChoice
            label="Trait"
            value={trait}
            onChange={(to) => setTrait(to)}
            options={(Object.keys(SUITS) as Suits[]).map((key) => [key, SUITS[key].label] as const)}
          />
          <InlineChoice
            label="is"
            value={chosen}
            onChange={setGuess}
            options={options.map(([key, { label }]) => [key, label] as const)}
          />
          <Button onClick={() => add(true)}>It suits</Button>
          <Button onClick={() => add(false)}>It does not</Button>
        </div>
        <ul className="mt-2 flex flex-wrap gap-2">
          {[...guesses, ...stray].map((one) => (
            <li
              key={`${one.trait} ${one.value} ${one.how}`}
              className="flex items-center gap-1 rounded-tag border border-ink/30 bg-sheet pl-3"
            >
              {one.suits ? 'suits' : 'not for'} {traitInWords(one.trait, one.value)}
              {one.how === 'tested' && ' (tested earlier)'}
              <button
                type="button"
                className="min-h-9 px-2"
                aria-label={`Remove ${traitInWords(one.trait, one.value)}`}
                onClick={() => change(without(one.trait, one.value, one.how))}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      </fieldset>
    </div>
  );
}
