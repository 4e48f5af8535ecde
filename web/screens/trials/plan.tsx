import type { Routine } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { useMemo, useRef } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useRoutines, useSave, useShelf, useTrial, useWearers } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { useDraft } from '../../ui/draft.ts';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { SheetFoot } from '../../ui/sheet-foot.tsx';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { Allergies } from './allergies.tsx';
import { ArmsEditor } from './arms-editor.tsx';
import { AskedPart } from './asked-part.tsx';
import { BeforeItStarts } from './before-it-starts.tsx';
import { BeginWith } from './begin-with.tsx';
import { DesignPart } from './design-part.tsx';
import { again, swapOne } from './follow-up.ts';
import { ideaTrial } from './idea-trial.ts';
import { JudgedPart } from './judged-part.tsx';
import { blank, blankArm, inputOf, onlyOne, usualWeights } from './new-plan.ts';
import { PlanReach } from './plan-reach.tsx';
import { PowerPart } from './power-part.tsx';
import { RoutinePart } from './routine-part.tsx';

export function PlanScreen() {
  const { id = 'new' } = useParams();
  const trial = useTrial(id);
  const [search] = useSearchParams();
  const follow = search.get('follow') ?? search.get('from') ?? search.get('again');
  const followed = useTrial(follow ?? 'new');
  const shelf = useShelf();
  const wearers = useWearers();
  const routines = useRoutines();
  for (const query of [shelf, wearers, routines]) {
    if (query.isPending) return <Loading what="what a plan needs" />;
    if (query.isLoadingError) return <Failed error={query.error} retry={query.refetch} />;
  }
  if (id !== 'new' && trial.isPending) return <Loading what="the plan" />;
  if (id !== 'new' && trial.isLoadingError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (trial.data?.startedAt)
    return (
      <Failed
        error={new Error('This trial has begun. What was planned before the first wash day is locked.')}
      />
    );
  if (follow !== null && followed.isPending) return <Loading what="the trial to follow" />;
  if (follow !== null && followed.isLoadingError)
    return <Failed error={followed.error} retry={followed.refetch} />;
  const missing = [
    {
      there: shelf.data!.products.length >= 2,
      says: 'Put at least two products on the shelf.',
      to: '/shelf/new',
      label: 'Add a product',
    },
    {
      there: wearers.data!.length > 0,
      says: 'Say whose hair is tested.',
      to: '/heads/new',
      label: 'Add a wearer',
    },
    {
      there: routines.data!.some(({ steps }) => steps.length > 0),
      says: 'Write the wash day down as a routine.',
      to: '/routines',
      label: 'To the routines',
    },
  ].find(({ there }) => !there);
  if (missing)
    return (
      <>
        <Heading kicker="Trials" title="Plan a trial" />
        <Nothing
          title="Before a trial can be planned"
          action={
            <ButtonLink look="main" to={missing.to}>
              {missing.label}
            </ButtonLink>
          }
        >
          {missing.says}
        </Nothing>
      </>
    );
  return (
    <PlanSheet
      key={id}
      trial={trial.data}
      followed={followed.data}
      products={shelf.data!.products}
      wearers={wearers.data!}
      routines={routines.data!}
    />
  );
}

function PlanSheet({
  trial,
  followed,
  products,
  wearers,
  routines,
}: {
  trial: TrialDetail | undefined;
  /** The bundle trial this one follows up, or the trial that an idea for it came up in. */
  followed: TrialDetail | undefined;
  products: readonly Product[];
  wearers: readonly Wearer[];
  routines: readonly Routine[];
}) {
  const leave = useGoOn();
  const say = useSay();
  const [search] = useSearchParams();
  const asked = search.get('products') ?? '';
  const initial = useMemo((): TrialInput => {
    if (trial) return inputOf(trial);
    if (followed) {
      const wearer = wearers.find(({ id }) => id === followed.wearerId);
      const { primary, onDay, line, matters, wearDays, weights } = followed;
      const idea = search.get('idea');
      const prefilled =
        search.get('again') !== null
          ? again(followed)
          : idea === null
            ? swapOne(followed)
            : ideaTrial(followed, idea, products);
      return { ...blank([], wearer), primary, onDay, line, matters, wearDays, weights, ...prefilled };
    }
    const ids = asked.split(',');
    return blank(
      products.filter(({ id }) => ids.includes(id)),
      wearers.find(({ id }) => id === search.get('wearer')) ?? onlyOne(wearers),
    );
  }, [trial, followed, asked, products, wearers, search]);
  const draft = useDraft(
    `trial ${trial?.id ?? `new ${search.get('again') ?? ''} ${search.get('idea') ?? followed?.id ?? asked}`.trim()}`,
    TrialInput,
    initial,
    trial?.version ?? null,
  );
  const questionAt = useRef<HTMLHeadingElement>(null);
  const save = useSave<TrialInput>(`/trials/${initial.id}`);
  const { value, bind, set, change, problem } = draft;
  const wearer = wearers.find(({ id }) => id === value.wearerId);
  const chooseWearer = (id: string | null) => {
    const found = wearers.find((known) => known.id === id);
    const weights = found ? usualWeights(found) : [];
    change((old) => ({ ...old, wearerId: id ?? '', weights }));
  };
  return (
    <form
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        const goOn = leave();
        if (!(await draft.save(save))) return;
        say('The plan is saved and its order is randomised.');
        goOn(`/trials/${value.id}`);
      }}
    >
      <Heading kicker="Trials" title={trial ? 'Change the plan' : 'Plan a trial'}>
        Keep everything the same, change one thing, and let chance decide the order.
      </Heading>
      <div className="grid grid-cols-1 gap-x-12 gap-y-8 lg:grid-cols-[1.7fr_1fr]">
        <div className="space-y-10">
          {!trial && !followed && value.plan.length === 0 && (
            <BeginWith
              routines={routines}
              products={products}
              shortlist={asked.split(',').filter((id) => products.some((known) => known.id === id))}
              fill={(plan) => {
                const before = value;
                change((old) => ({ ...old, ...plan, question: old.question.trim() || plan.question }));
                say('The plan is filled in. Change what you like.', () => change(() => before));
                // The choices that were at hand are gone: go on where they went.
                questionAt.current?.focus();
              }}
            />
          )}
          <section className="space-y-4" aria-labelledby="question">
            <h2 id="question" ref={questionAt} tabIndex={-1} className="text-xl outline-none">
              The question
            </h2>
            <TextField
              label="In a sentence"
              placeholder="Which gel keeps the curls defined to day 4?"
              {...bind('question')}
            />
            <ChoiceField
              label="Whose hair"
              options={wearers
                .filter(({ archivedAt }) => archivedAt === null)
                .map(({ id, name }) => ({ key: id, label: name }))}
              value={value.wearerId || null}
              onChange={chooseWearer}
              error={problem('wearerId')}
            />
          </section>
          <DesignPart value={value} change={change} problem={problem} newArm={blankArm} />
          <RoutinePart
            value={value}
            change={change}
            routines={routines}
            products={products}
            problem={problem}
          />
          <ArmsEditor value={value} change={change} products={products} problem={problem} newArm={blankArm} />
          <Allergies value={value} change={change} products={products} problem={problem} />
          <JudgedPart draft={draft} wearer={wearer} />
          <AskedPart value={value} set={set('asked')} problem={problem} />
        </div>
        <aside className="lg:self-start">
          <div className="space-y-6">
            <PlanReach value={value} />
            <BeforeItStarts value={value} products={products} />
            <PowerPart value={value} wearer={wearer} products={products} />
          </div>
        </aside>
      </div>
      <SheetFoot
        draft={draft}
        save="Save the plan and randomise"
        back={{ to: trial ? `/trials/${trial.id}` : '/trials', label: 'Not now' }}
      />
    </form>
  );
}
