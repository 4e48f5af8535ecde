import type { Routine } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import {
  AS_WANTED,
  isOutcome,
  type MainResult,
  mainResult,
  POINTS_A_WORD,
} from '@sabor/core/compare/main-result';
import { usualDays } from '@sabor/core/trial/designs';
import { hourInWords } from '@sabor/words/dates';
import { useMemo, useRef } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import { useHairFile, useRoutines, useSave, useShelf, useTrial, useWearers } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { useDraft } from '../../ui/draft.ts';
import { ChoiceField, NumberField, TextField } from '../../ui/inputs.tsx';
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
import { MainResultField } from './main-result-field.tsx';
import { PlanReach } from './plan-reach.tsx';
import { PowerPart } from './power-part.tsx';
import { RoutinePart } from './routine-part.tsx';
import { ZonesThatCount } from './zones-that-count.tsx';

/** A plan judged by another main result; between ratings and words the limits begin anew, as their scales mean other things. */
function judgedBy(plan: TrialInput, primary: MainResult): TrialInput {
  const [was, now] = [plan.primary, primary].map(isOutcome);
  if (was === now) return { ...plan, primary };
  return now
    ? { ...plan, primary, line: 6, matters: 1 }
    : { ...plan, primary, line: AS_WANTED - POINTS_A_WORD, matters: POINTS_A_WORD };
}

/** Every half hour of a day, by its hour. */
const HOURS = Array.from({ length: 49 }, (_, i) => ({ key: String(i / 2), label: hourInWords(i / 2) }));
const keyOfHour = (hour: number | null | undefined) => (hour == null ? null : String(hour));

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
    if (query.isError) return <Failed error={query.error} retry={query.refetch} />;
  }
  if (id !== 'new' && trial.isPending) return <Loading what="the plan" />;
  if (id !== 'new' && trial.isError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (trial.data?.startedAt)
    return (
      <Failed
        error={new Error('This trial has begun. What was planned before the first wash day is locked.')}
      />
    );
  if (follow !== null && followed.isPending) return <Loading what="the trial to follow" />;
  if (follow !== null && followed.isError) return <Failed error={followed.error} retry={followed.refetch} />;
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

/** Places that count until the tester chooses others. */
const USUAL_PLACES = ['hairline', 'crown', 'side', 'back'];

const usualWeights = ({ zones }: Wearer) =>
  zones.filter(({ place }) => USUAL_PLACES.includes(place)).map((zone) => ({ zoneId: zone.id, weight: 1 }));

/** The wearer where there is no other to choose. */
const onlyOne = (wearers: readonly Wearer[]): Wearer | undefined => {
  const there = wearers.filter(({ archivedAt }) => archivedAt === null);
  return there.length === 1 ? there[0] : undefined;
};

const blankArm = (n: number) => ({ id: v7(), name: `Option ${String.fromCharCode(65 + n)}`, steps: [] });

/** A new plan; products shortlisted on the Screen come in as its arms. */
function blank(shortlist: readonly Product[], wearer: Wearer | undefined): TrialInput {
  const named = shortlist.slice(0, 6).map((product, i) => ({ ...blankArm(i), name: product.name }));
  return {
    id: v7(),
    wearerId: wearer?.id ?? '',
    question: '',
    design: named.length > 2 ? 'walk' : 'complete',
    routineName: '',
    plan: [],
    arms: named.length >= 2 ? named : [blankArm(0), blankArm(1)],
    primary: 'definition',
    onDay: 1,
    line: 6,
    matters: 1,
    washDays: usualDays(named.length > 2 ? 'walk' : 'complete', Math.max(2, named.length)),
    wearDays: 5,
    judgedFrom: null,
    judgedTo: null,
    asked: [],
    cadenceDays: null,
    looks: 1,
    blind: false,
    bySide: false,
    acknowledged: [],
    weights: wearer ? usualWeights(wearer) : [],
  };
}

const KEPT = [
  'id',
  'wearerId',
  'question',
  'design',
  'routineName',
  'plan',
  'arms',
  'primary',
  'onDay',
  'line',
  'matters',
  'washDays',
  'wearDays',
  'judgedFrom',
  'judgedTo',
  'asked',
  'cadenceDays',
  'looks',
  'blind',
  'bySide',
  'acknowledged',
  'weights',
] as const satisfies readonly (keyof TrialInput)[];

/** A stored plan as it is changed. */
const inputOf = (trial: TrialDetail): TrialInput =>
  Object.fromEntries(KEPT.map((key) => [key, trial[key]])) as unknown as TrialInput;

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
  const navigate = useNavigate();
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
  const wishes = useHairFile(value.wearerId).data?.wishes;
  const outcome = mainResult(value.primary);
  return (
    <form
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        if (!(await draft.save(save))) return;
        say('The plan is saved and its order is randomised.');
        void navigate(`/trials/${value.id}`);
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
          <section className="space-y-4" aria-labelledby="judged">
            <h2 id="judged" className="text-xl">
              What it is judged on
            </h2>
            <div className="grid gap-4 sm:grid-cols-3">
              <MainResultField
                label="Main result"
                hint="The only one that gets a p."
                value={value.primary}
                onChange={(primary) => change((old) => judgedBy(old, primary))}
                error={problem('primary')}
                wished={wishes?.words ?? {}}
              />
              <NumberField
                label="Good enough"
                unit={outcome.better === 'higher' ? 'at least' : 'at most'}
                hint="On this side of it the hair still passes."
                value={value.line}
                onChange={(x) => set('line')(x as number)}
                error={problem('line')}
              />
              <NumberField
                label="A difference worth switching for"
                unit="points"
                value={value.matters}
                onChange={(x) => set('matters')(x as number)}
                error={problem('matters')}
              />
              <NumberField
                label="Judged on day"
                hint="Day 1 is the finished hair."
                value={value.onDay ?? 1}
                onChange={(x) => set('onDay')(x as number)}
                error={problem('onDay')}
              />
              <ChoiceField
                label="Not before"
                none="any hour"
                hint="A check-in of that day outside the hours is kept, not judged."
                options={HOURS.slice(0, -1)}
                value={keyOfHour(value.judgedFrom)}
                onChange={(key) => set('judgedFrom')(key === null ? null : Number(key))}
                error={problem('judgedFrom')}
              />
              <ChoiceField
                label="Not after"
                none="any hour"
                options={HOURS.slice(1)}
                value={keyOfHour(value.judgedTo)}
                onChange={(key) => set('judgedTo')(key === null ? null : Number(key))}
                error={problem('judgedTo')}
              />
            </div>
            {wearer && <ZonesThatCount wearer={wearer} value={value} change={change} problem={problem} />}
          </section>
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
