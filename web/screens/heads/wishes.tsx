import { type HairFile, WishesInput } from '@sabor/contract/hair-file';
import type { Wearer } from '@sabor/contract/wearer';
import {
  AVOIDED,
  type AvoidedWhy,
  DISLIKES,
  type Dislike,
  SCHOOLS,
  WISHES,
  type Wish,
  wishShares,
} from '@sabor/core/hair/wishes';
import { readAllergy, UNKNOWN_ALLERGY } from '@sabor/core/ingredients/allergy';
import { useState } from 'react';
import { useSave, useSettings } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { ClashPanel } from '../../ui/clash.tsx';
import { useDraft } from '../../ui/draft.ts';
import { ChoiceField, NumberField, TextField, TicksField } from '../../ui/inputs.tsx';
import { showShare } from '../../ui/show.ts';
import { Caution, SheetProblems } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { WishedWords } from './wished-words.tsx';

/** What this wearer wants of a wash day, in order of weight, and what is kept away from them. */
export function WishesSheet({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const say = useSay();
  const settings = useSettings();
  const save = useSave<WishesInput>(`/wearers/${wearer.id}/wishes`);
  const { version, ...wishes } = file.wishes;
  const draft = useDraft(`wishes ${wearer.id}`, WishesInput, wishes as WishesInput, version);
  const { value, set, bind, change } = draft;
  const weightOf = (wish: Wish) => value.weights.find((one) => one.wish === wish)?.weight ?? null;
  const weigh = (wish: Wish, weight: number | null) =>
    set('weights')([
      ...value.weights.filter((one) => one.wish !== wish),
      ...(weight === null || weight === 0 ? [] : [{ wish, weight }]),
    ]);
  const shares = wishShares(
    Object.fromEntries(value.weights.map(({ wish, weight }) => [wish, Number.isFinite(weight) ? weight : 0])),
  );
  const before = wishes;
  const submit = async () => {
    if (await draft.save(save))
      say(
        `The wishes of ${wearer.name} are saved.`,
        () => void save(before as WishesInput, version + 1).catch((error) => say(error.message)),
      );
  };
  return (
    <form
      noValidate
      aria-labelledby="wishes"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <h2 id="wishes" className="text-xl">
        Wishes
      </h2>
      <p className="mb-3 text-soft">
        What matters, against what. Any numbers: twice the weight, twice the say. Leave out what does not
        matter.
      </p>
      <fieldset className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <legend className="sr-only">Weights</legend>
        {(Object.keys(WISHES) as Wish[]).map((wish) => (
          <NumberField
            key={wish}
            label={WISHES[wish].label}
            value={weightOf(wish)}
            onChange={(weight) => weigh(wish, weight)}
            error={draft.problem(`weights.${value.weights.findIndex((one) => one.wish === wish)}.weight`)}
          />
        ))}
      </fieldset>
      {shares.length > 0 && (
        <p className="mt-2" role="status">
          {shares.map(({ wish, share }) => `${WISHES[wish].label} ${showShare(share)}`).join(' · ')}
        </p>
      )}
      <div className="mt-5 grid gap-4 sm:grid-cols-2">
        <NumberField
          label="Line"
          hint="The rating under which a style is no longer worn."
          unit="of 10"
          {...bind('line')}
        />
        <NumberField label="A style must last" unit="days" {...bind('styleDays')} />
        <NumberField
          label="Budget for one product"
          unit={value.currency ?? settings.currency}
          value={value.budget}
          onChange={(budget) =>
            change((old) => ({
              ...old,
              budget,
              currency: budget === null ? null : (old.currency ?? settings.currency),
            }))
          }
          error={draft.problem('budget') ?? draft.problem('currency')}
        />
        <ChoiceField
          label="Approach"
          none="none in particular"
          options={SCHOOLS}
          {...bind('school')}
          hint={value.school ? SCHOOLS[value.school].says : 'A named set of rules; screening will follow it.'}
        />
      </div>
      <WishedWords value={value.words ?? {}} onChange={set('words')} />
      <div className="mt-5">
        <TicksField<Dislike>
          legend="Does not want"
          options={DISLIKES}
          value={value.dislikes}
          onChange={set('dislikes')}
        />
        <TextField
          className="mt-3 max-w-xl"
          label="Dislikes in own words, one a line"
          hint="“Wet hair on the neck”: one tap on a day worn says that it happened."
          rows={2}
          value={(value.ownDislikes ?? []).join('\n')}
          onChange={(text) => set('ownDislikes')(text === '' ? [] : text.split('\n'))}
          onBlur={() =>
            set('ownDislikes')((value.ownDislikes ?? []).map((one) => one.trim()).filter((one) => one !== ''))
          }
          error={draft.problem('ownDislikes')}
        />
      </div>
      <Avoided value={value.avoided} change={set('avoided')} problem={draft.problem} />
      <div className="mt-6 space-y-4">
        <ClashPanel clash={draft.clash} />
        <SheetProblems problems={draft.problems} />
        <div className="flex flex-wrap gap-3">
          <Button type="submit" disabled={draft.saving || !draft.dirty}>
            Save the wishes
          </Button>
          {draft.dirty && (
            <Button look="quiet" onClick={draft.discard}>
              Discard what I typed
            </Button>
          )}
        </div>
      </div>
    </form>
  );
}

function Avoided({
  value,
  change,
  problem,
}: {
  value: WishesInput['avoided'];
  change: (to: WishesInput['avoided']) => void;
  problem: (path: string) => string | undefined;
}) {
  const [ingredient, setIngredient] = useState('');
  const [why, setWhy] = useState<AvoidedWhy>('allergy');
  const [unknown, setUnknown] = useState(false);
  const add = () => {
    if (ingredient.trim() === '') return;
    setUnknown(readAllergy(ingredient) === null);
    if (readAllergy(ingredient) === null) return;
    change([...value, { ingredient: ingredient.trim(), why }]);
    setIngredient('');
  };
  return (
    <section className="mt-6" aria-labelledby="avoided">
      <h3 id="avoided" className="text-lg">
        Kept away
      </h3>
      {value.length > 0 && (
        <ul>
          {value.map((one) => (
            <li
              key={one.ingredient}
              className="flex min-h-11 items-center justify-between gap-3 border-b border-rule"
            >
              <span>
                <span className="font-semibold">{one.ingredient}</span>{' '}
                <span className={one.why === 'allergy' ? 'font-semibold text-brick' : 'text-soft'}>
                  {AVOIDED[one.why].label}
                </span>
                <MeansWhat word={one.ingredient} />
              </span>
              <Button
                look="quiet"
                aria-label={`Remove ${one.ingredient}`}
                onClick={() => change(value.filter((kept) => kept !== one))}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 grid items-start gap-3 sm:grid-cols-[2fr_1fr_auto]">
        <TextField
          label="Ingredient or group"
          value={ingredient}
          onChange={(text) => {
            setIngredient(text);
            setUnknown(false);
          }}
          hint="An INCI name or a plain word: wheat, nuts, lanolin, perfume …"
          error={unknown ? UNKNOWN_ALLERGY : problem('avoided')}
        />
        <ChoiceField label="Why" options={AVOIDED} value={why} onChange={(key) => key && setWhy(key)} />
        <Button className="sm:mt-6" onClick={add}>
          Add to the list
        </Button>
      </div>
      <div className="mt-3">
        <Caution>
          Patch-test anything new on the inner arm and wait 48 hours; stop at burning, hives or swelling and
          see a doctor. The label and a doctor’s word stand over this list.
        </Caution>
      </div>
    </section>
  );
}

/** What a word is understood as, where that is not the word itself; a word from before that is not known says so. */
function MeansWhat({ word }: { word: string }) {
  const allergy = readAllergy(word);
  if (allergy === null)
    return <span className="block text-sm text-mango-deep">Not known; looked for by its letters alone.</span>;
  if (allergy.label.toLowerCase() === word.toLowerCase()) return null;
  return <span className="block text-sm text-soft">read as {allergy.label}</span>;
}
