import type { HairFile, PatchTest, PatchTestInput } from '@sabor/contract/hair-file';
import type { Product } from '@sabor/contract/shelf';
import type { Wearer } from '@sabor/contract/wearer';
import {
  PATCH_HOURS,
  PATCH_OUTCOMES,
  type PatchOutcome,
  patchOver,
  patchState,
} from '@sabor/core/hair/patch-test';
import { type ReactNode, useState } from 'react';
import { v7 } from 'uuid';
import { useChange, useShelf } from '../../api/queries.ts';
import { put, Refused, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { MomentField } from '../../ui/dates.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { fromLocalInput, showMoment, toLocalInput } from '../../ui/show.ts';
import { Caution, Tag } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';

const useSave = () => useChange((test: PatchTestInput) => put<HairFile>(`/patch-tests/${test.id}`, test));

/** What is done with a patch test that is on the arm; `name` is its product's. */
function Judge({ test, name }: { test: PatchTest; name: string }) {
  const say = useSay();
  const save = useSave();
  const over = Date.parse(patchOver(test.startedAt)) <= Date.now();
  const judge = (outcome: PatchOutcome) =>
    save.mutate(
      { ...test, outcome, lookedAt: new Date().toISOString() },
      {
        onSuccess: () =>
          say(`${name}: ${PATCH_OUTCOMES[outcome].label.toLowerCase()}.`, () => save.mutate(test)),
        onError: (error) => say(error.message),
      },
    );
  return (
    <span className="flex flex-wrap gap-2">
      {over && (
        <Button onClick={() => judge('clear')}>
          {PATCH_OUTCOMES.clear.label}
          <span className="sr-only">: {name}</span>
        </Button>
      )}
      <Button onClick={() => judge('reacted')}>
        {PATCH_OUTCOMES.reacted.label}
        <span className="sr-only">: {name}</span>
      </Button>
    </span>
  );
}

const ROW = 'flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2';

/** A product new to this head, with the clock of its patch test, started where there is none. */
function NewProduct({
  wearerId,
  product,
  tests,
}: {
  wearerId: string;
  product: Product;
  tests: readonly PatchTest[];
}) {
  const say = useSay();
  const save = useSave();
  const out = useChange((id: string) => remove(`/patch-tests/${id}`));
  const { name } = product;
  const state = patchState(tests, product.id, Date.now());
  const start = () => {
    const id = v7();
    save.mutate(
      {
        id,
        wearerId,
        productId: product.id,
        startedAt: new Date().toISOString(),
        outcome: null,
        lookedAt: null,
      },
      {
        onSuccess: () => say(`${name} is on the arm.`, () => out.mutate(id)),
        onError: (error) => say(error.message),
      },
    );
  };
  const told: ReactNode = (() => {
    switch (state.is) {
      case 'none':
        return (
          <>
            <span>new to this head</span>
            <Button disabled={save.isPending} onClick={start}>
              Put it on the arm now<span className="sr-only">: {name}</span>
            </Button>
          </>
        );
      case 'on the arm':
        return (
          <>
            <span>
              {state.over
                ? `its ${PATCH_HOURS} hours were over on ${showMoment(state.until)}`
                : `on the arm until ${showMoment(state.until)}`}
            </span>
            <Judge test={state.test} name={name} />
          </>
        );
      case 'clear':
        return <span className="text-leaf">no reaction, seen {showMoment(state.test.lookedAt!)}</span>;
      case 'reacted':
        return (
          <strong className="text-brick">
            the skin reacted: no wash day begins with it. Take it out of the plan.
          </strong>
        );
    }
  })();
  return (
    <li className={ROW}>
      <span className="font-semibold">{name}</span>
      {told}
    </li>
  );
}

/** The products of a plan that this head has not worn, each with its patch test. */
export function PatchFirst({
  wearerId,
  tests,
  products,
}: {
  wearerId: string;
  tests: readonly PatchTest[];
  products: readonly Product[];
}) {
  if (products.length === 0) return null;
  return (
    <section aria-labelledby="patch-first" className="mt-3 text-[0.95rem]">
      <h3 id="patch-first" className="font-semibold">
        Patch tests of {PATCH_HOURS} hours
      </h3>
      <ul>
        {products.map((product) => (
          <NewProduct key={product.id} wearerId={wearerId} product={product} tests={tests} />
        ))}
      </ul>
    </section>
  );
}

/** Every patch test of a head: begun, looked at, removed. */
export function PatchTests({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const say = useSay();
  const shelf = useShelf();
  const save = useSave();
  const out = useChange((id: string) => remove(`/patch-tests/${id}`));
  const [productId, setProductId] = useState<string | null>(null);
  const [startedAt, setStartedAt] = useState(() => toLocalInput(new Date().toISOString()));
  const all = shelf.data?.products ?? [];
  const names = new Map(all.map(({ id, name }) => [id, name]));
  const [asked, setAsked] = useState(false);
  const problem = (path: string) =>
    save.error instanceof Refused
      ? save.error.fields.find((field) => field.path === path)?.message
      : undefined;
  const begin = () => {
    setAsked(true);
    if (productId === null) return;
    save.mutate(
      {
        id: v7(),
        wearerId: wearer.id,
        productId,
        startedAt: fromLocalInput(startedAt) ?? startedAt,
        outcome: null,
        lookedAt: null,
      },
      {
        onSuccess: () => {
          say(`${names.get(productId)} is on the arm.`);
          setProductId(null);
          setAsked(false);
        },
      },
    );
  };
  const take = (test: PatchTest) =>
    out.mutate(test.id, {
      onSuccess: () => say('The patch test is removed.', () => save.mutate(test)),
      onError: (error) => say(error.message),
    });
  return (
    <section aria-labelledby="patch-tests" className="space-y-4">
      <h2 id="patch-tests" className="text-xl">
        Patch tests
      </h2>
      <Caution>
        A little on the inner arm for {PATCH_HOURS} hours before it comes on the head, left alone. Stop at
        burning, hives or swelling, wash it off and see a doctor. The label comes first; a clear arm is no
        proof.
      </Caution>
      {file.patchTests.length === 0 && <p className="text-soft">None yet.</p>}
      <ul className="border-b border-rule">
        {file.patchTests.map((test) => {
          const name = names.get(test.productId) ?? 'a product';
          const over = patchOver(test.startedAt);
          return (
            <li key={test.id} className={ROW}>
              <span className="min-w-56 flex-1">
                <span className="font-semibold">{name}</span>{' '}
                {test.outcome && (
                  <Tag tone={test.outcome === 'clear' ? 'held' : 'due'}>
                    {PATCH_OUTCOMES[test.outcome].label}
                  </Tag>
                )}
                <span className="block text-[0.95rem] text-soft">
                  from {showMoment(test.startedAt)},{' '}
                  {test.lookedAt ? `looked at ${showMoment(test.lookedAt)}` : `until ${showMoment(over)}`}
                </span>
              </span>
              {test.outcome === null && <Judge test={test} name={name} />}
              <Button look="quiet" onClick={() => take(test)}>
                Remove<span className="sr-only">: {name}</span>
              </Button>
            </li>
          );
        })}
      </ul>
      <form
        noValidate
        className="grid items-start gap-4 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          begin();
        }}
      >
        <ChoiceField
          label="Product"
          options={all
            .filter(({ archivedAt }) => !archivedAt)
            .map(({ id, name }) => ({ key: id, label: name }))}
          value={productId}
          onChange={setProductId}
          error={
            asked && productId === null ? 'Choose the product that goes on the arm.' : problem('productId')
          }
        />
        <MomentField
          label="On the arm since"
          value={startedAt}
          onChange={setStartedAt}
          error={problem('startedAt')}
        />
        <div className="sm:col-span-2">
          <Button type="submit" disabled={save.isPending}>
            Start its {PATCH_HOURS} hours
          </Button>
          {save.error && !(save.error instanceof Refused && save.error.fields.length > 0) && (
            <p role="alert" className="font-semibold text-brick">
              {save.error.message}
            </p>
          )}
        </div>
      </form>
    </section>
  );
}
