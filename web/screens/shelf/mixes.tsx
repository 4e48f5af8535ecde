import { type Recipe, RecipeInput } from '@sabor/contract/recipe';
import type { Product } from '@sabor/contract/shelf';
import { asMix, RECIPE_UNITS } from '@sabor/core/shelf/recipe';
import { MIX_LIMITS } from '@sabor/core/step/mix';
import { rounded } from '@sabor/words/numbers';
import { mixInWords } from '@sabor/words/step';
import { useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { useRecipes, useSave, useShelf } from '../../api/queries.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { ClashPanel } from '../../ui/clash.tsx';
import { useDraft } from '../../ui/draft.ts';
import { ChoiceField, NumberField, TextField } from '../../ui/inputs.tsx';
import { PutAway } from '../../ui/put-away.tsx';
import { Caution, Failed, Heading, Loading, Nothing, SheetProblems } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';

/** Home mixes kept under their names; a step takes one over with its parts. */
export function MixesScreen() {
  const recipes = useRecipes();
  const shelf = useShelf();
  const [open, setOpen] = useState<string | null>(null);
  if (recipes.isPending || shelf.isPending) return <Loading what="home mixes" />;
  if (recipes.isLoadingError) return <Failed error={recipes.error} retry={recipes.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  const all = recipes.data;
  const here = all.filter(({ archivedAt }) => archivedAt === null);
  const away = all.filter(({ archivedAt }) => archivedAt !== null);
  const products = shelf.data.products;
  return (
    <>
      <Heading
        kicker="Shelf"
        title="Home mixes"
        actions={
          <>
            <ButtonLink to="/shelf">Back to the shelf</ButtonLink>
            <Button look="main" onClick={() => setOpen('new')}>
              Add a home mix
            </Button>
          </>
        }
      >
        What you stir yourself, kept once and taken over into any step with a product. A wash day keeps the
        parts as they were then.
      </Heading>
      {open === 'new' && (
        <MixSheet recipe={undefined} others={here} products={products} close={() => setOpen(null)} />
      )}
      {all.length === 0 && open !== 'new' && (
        <Nothing title="No home mix yet">
          A flaxseed gel, a diluted conditioner, an oil blend: two parts are enough.
        </Nothing>
      )}
      <ul className="max-w-4xl">
        {here.map((recipe) => (
          <li key={recipe.id} className="border-b border-rule py-3">
            <div className="flex flex-wrap items-baseline gap-x-4">
              <h2 className="text-xl">{recipe.name}</h2>
              <span className="flex-1 basis-64 text-soft">{partsInWords(recipe)}</span>
              <Button
                look="quiet"
                aria-expanded={open === recipe.id}
                aria-label={`Change ${recipe.name}`}
                onClick={() => setOpen(open === recipe.id ? null : recipe.id)}
              >
                Change
              </Button>
              <PutAway what="recipes" id={recipe.id} name={recipe.name} away={false} />
            </div>
            {recipe.note && <p className="text-sm text-soft">{recipe.note}</p>}
            <Opened recipe={recipe} all={all} />
            {open === recipe.id && (
              <MixSheet recipe={recipe} others={here} products={products} close={() => setOpen(null)} />
            )}
          </li>
        ))}
      </ul>
      {away.length > 0 && (
        <details className="mt-6">
          <summary className="min-h-10 cursor-pointer py-2 font-semibold">Archived: {away.length}</summary>
          <ul>
            {away.map(({ id, name }) => (
              <li key={id} className="flex items-center gap-4">
                {name} <PutAway what="recipes" id={id} name={name} away />
              </li>
            ))}
          </ul>
        </details>
      )}
      <div className="mt-6 max-w-2xl">
        <Caution>
          A home mix has no preservative: mix little, keep it cold, use it within days and throw the rest
          away. Patch-test it like any other product. Do not mix relaxers, bleach or colour with anything; ask
          a professional.
        </Caution>
      </div>
    </>
  );
}

const partsInWords = ({ parts, unit }: Recipe) =>
  parts.map(({ name, amount }) => `${rounded(amount, 2)}${unit === 'ml' ? ' ml' : ''} ${name}`).join(' : ');

/** What a step takes over, where it is not what is written: other mixes in it are opened up. */
function Opened({ recipe, all }: { recipe: Recipe; all: readonly Recipe[] }) {
  if (recipe.parts.every(({ recipeId }) => recipeId === null)) return null;
  const mix = asMix(recipe, all);
  return mix && <p className="text-sm">In a step: {mixInWords(mix)}</p>;
}

const EMPTY = { name: '', productId: null, recipeId: null, amount: 1 };

function MixSheet({
  recipe,
  others,
  products,
  close,
}: {
  recipe: Recipe | undefined;
  others: readonly Recipe[];
  products: readonly Product[];
  close: () => void;
}) {
  const initial = useMemo<RecipeInput>(
    () =>
      recipe
        ? { id: recipe.id, name: recipe.name, unit: recipe.unit, parts: recipe.parts, note: recipe.note }
        : { id: v7(), name: '', unit: 'parts', parts: [EMPTY, { ...EMPTY, name: 'water' }], note: '' },
    [recipe],
  );
  const draft = useDraft(`mix ${recipe?.id ?? 'new'}`, RecipeInput, initial, recipe?.version ?? null);
  const save = useSave<RecipeInput>(`/recipes/${initial.id}`);
  const say = useSay();
  const { value, set, problem } = draft;
  const unit = value.unit ?? 'parts';
  const put = (at: number, to: Partial<RecipeInput['parts'][number]>) =>
    set('parts')(value.parts.map((part, i) => (i === at ? { ...part, ...to } : part)));
  const choices = [
    ...products
      .filter(({ archivedAt }) => archivedAt === null)
      .map(({ id, name }) => ({ key: `product ${id}`, label: name })),
    ...others.map(({ id, name }) => ({ key: `recipe ${id}`, label: `${name} (home mix)` })),
  ];
  const choose = (at: number, key: string | null) => {
    const [kind, id = null] = key?.split(' ') ?? [];
    put(at, {
      productId: kind === 'product' ? id : null,
      recipeId: kind === 'recipe' ? id : null,
      name:
        (kind === 'product' ? products : others).find((known) => known.id === id)?.name ??
        value.parts[at]!.name,
    });
  };
  return (
    <form
      noValidate
      className="my-4 max-w-4xl space-y-3 border-l-4 border-leaf/50 pl-4"
      onSubmit={async (event) => {
        event.preventDefault();
        if (!(await draft.save(save))) return;
        say(`${value.name} is saved.`);
        close();
      }}
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField label="Name" {...draft.bind('name')} />
        <ChoiceField
          label="Told in"
          options={RECIPE_UNITS}
          value={unit}
          onChange={(key) => key && set('unit')(key)}
        />
      </div>
      {value.parts.map((part, i) => (
        <div key={i} className="grid items-end gap-x-4 gap-y-2 sm:grid-cols-[1fr_1fr_8rem_auto]">
          <ChoiceField
            label={`Part ${i + 1} from the shelf`}
            none="something else"
            options={choices}
            value={
              part.productId ? `product ${part.productId}` : part.recipeId ? `recipe ${part.recipeId}` : null
            }
            onChange={(key) => choose(i, key)}
          />
          <TextField
            label={`Name ${i + 1}`}
            placeholder="water, flaxseed, aloe juice …"
            value={part.name}
            onChange={(name) => put(i, { name, productId: null, recipeId: null })}
            error={problem(`parts.${i}.name`)}
          />
          <NumberField
            label={`Amount ${i + 1}`}
            unit={RECIPE_UNITS[unit].label}
            value={part.amount}
            onChange={(amount) => put(i, { amount: amount as number })}
            error={problem(`parts.${i}.amount`)}
          />
          <Button
            look="quiet"
            aria-label={`Remove part ${i + 1}`}
            onClick={() => set('parts')(value.parts.filter((_, j) => j !== i))}
          >
            Remove
          </Button>
        </div>
      ))}
      {problem('parts') && (
        <p role="alert" className="font-semibold text-brick">
          {problem('parts')}
        </p>
      )}
      {value.parts.length < MIX_LIMITS.most && (
        <Button onClick={() => set('parts')([...value.parts, EMPTY])}>One more part</Button>
      )}
      <TextField label="How it is made" rows={2} {...draft.bind('note')} value={value.note ?? ''} />
      <ClashPanel clash={draft.clash} />
      <SheetProblems problems={draft.problems.filter(({ path }) => path === '')} />
      <div className="flex flex-wrap gap-3">
        <Button look="main" type="submit" disabled={draft.saving}>
          Save the home mix
        </Button>
        <Button
          onClick={() => {
            draft.discard();
            close();
          }}
        >
          Not now
        </Button>
      </div>
    </form>
  );
}
