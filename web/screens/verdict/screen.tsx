import type { Line, Product } from '@sabor/contract/shelf';
import type { Verdict } from '@sabor/contract/verdict';
import type { Wearer } from '@sabor/contract/wearer';
import { suitsSlot } from '@sabor/core/shelf/products';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { JUDGED_WAYS, type JudgedWay, keyOfWay } from '@sabor/core/verdict/ways';
import { VERDICT_STEPS, type VerdictStep } from '@sabor/core/verdict/words-of-verdict';
import { useRef, useState } from 'react';
import { Navigate, useParams, useSearchParams } from 'react-router';
import {
  brokenOf,
  useHairFile,
  useOwnIngredients,
  useSettings,
  useShelf,
  useWearers,
} from '../../api/queries.ts';
import { useEvidence, useVerdicts } from '../../api/verdicts.ts';
import { useWorked } from '../../api/worked.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { screeningWorker } from '../../workers/screening.ts';
import { VerdictCard } from './card.tsx';
import { type Judged, judgedLine, judgedProduct, judgedWay } from './judged.ts';
import { VerdictSheet } from './sheet.tsx';

/** A verdict: as it stands, said anew, or begun for a head, step and product. */
export function VerdictScreen() {
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const verdicts = useVerdicts();
  const shelf = useShelf();
  const wearers = useWearers();
  /** What a first verdict is being written about: the list may hold it before its sheet has heard that it is saved. */
  const writing = useRef<string | null>(null);
  if (verdicts.isPending || shelf.isPending || wearers.isPending) return <Loading what="the verdict" />;
  const broken = [verdicts, shelf, wearers].find(({ isLoadingError }) => isLoadingError);
  if (broken?.error) return <Failed error={broken.error} retry={broken.refetch} />;
  if (!verdicts.data || !shelf.data || !wearers.data) return <Loading what="the verdict" />;
  const verdict = verdicts.data.find((known) => known.id === id);
  if (id !== 'new' && !verdict)
    return (
      <Failed error={new Error('Sabor has no such verdict. It may have been opened from an old link.')} />
    );
  const { products } = shelf.data;
  if (verdict && search.get('anew') === null) return <Standing verdict={verdict} />;
  const { lines } = shelf.data;
  const judged = judgedOf(verdict, search, products, lines);
  const wearer = wearers.data.find((known) => known.id === (verdict?.wearerId ?? search.get('head')));
  // A whole line is no step.
  const asked = verdict?.slot ?? (judged?.subject.kind === 'line' ? 'line' : search.get('step'));
  const step = asked !== null && Object.hasOwn(VERDICT_STEPS, asked) ? (asked as VerdictStep) : null;
  if (!judged && search.has('way')) return <BeginWay wearers={wearers.data} />;
  if (!judged)
    return <Failed error={new Error('What this verdict is about is not on the shelf any more.')} />;
  const product = products.find(({ id: known }) => known === judged.id);
  if (!wearer || !step)
    return <Begin judged={judged} product={product} wearers={wearers.data} wearer={wearer} step={step} />;
  const same = verdicts.data.find(
    (known) =>
      known.wearerId === wearer.id && known.slot === step && idOfSubject(known.subject) === judged.id,
  );
  const about = `${wearer.id} ${step} ${judged.id}`;
  // What was said already is said anew, not beside itself.
  if (!verdict && same && writing.current !== about)
    return <Navigate replace to={`/verdicts/${same.id}?anew`} />;
  writing.current = verdict ? null : about;
  return <Writing key={id} verdict={verdict} judged={judged} product={product} wearer={wearer} step={step} />;
}

function idOfSubject(subject: Verdict['subject']): string {
  if (subject.kind === 'product') return subject.productId;
  return subject.kind === 'line' ? subject.lineId : subject.way;
}

/** What a verdict is about, by the verdict or the address; null where it is not on the shelf. */
function judgedOf(
  verdict: Verdict | undefined,
  search: URLSearchParams,
  products: readonly Product[],
  lines: readonly Line[],
): Judged | null {
  const way = verdict?.subject.kind === 'way' ? verdict.subject.way : search.get('way')?.trim();
  if (way) return judgedWay(way, verdict?.wearerId ?? search.get('head'));
  const lineId = verdict?.subject.kind === 'line' ? verdict.subject.lineId : search.get('line');
  const line = lines.find(({ id }) => id === lineId);
  if (line) return judgedLine(line, products);
  const productId = verdict?.subject.kind === 'product' ? verdict.subject.productId : search.get('product');
  const product = products.find(({ id }) => id === productId);
  return product
    ? judgedProduct(
        product,
        lines.find(({ id }) => id === product.lineId),
      )
    : null;
}

const stepLabel = (step: VerdictStep) => VERDICT_STEPS[step].label;

/** A verdict as it stands, with what was said before. */
function Standing({ verdict }: { verdict: Verdict }) {
  const [now, ...before] = verdict.said;
  const isWay = verdict.subject.kind === 'way';
  return (
    <>
      <Heading
        kicker={`Verdict · ${stepLabel(verdict.slot)} on ${verdict.wearerName}`}
        title={verdict.name}
        actions={
          <>
            <ButtonLink look="main" to={`/verdicts/${verdict.id}?anew`}>
              Say it anew
            </ButtonLink>
            <ButtonLink to={`/verdicts/${verdict.id}/report`}>Report</ButtonLink>
            {verdict.subject.kind === 'product' && (
              <ButtonLink to={`/shelf/${verdict.subject.productId}`}>The product</ButtonLink>
            )}
          </>
        }
      />
      {now && <VerdictCard said={now} isWay={isWay} />}
      {before.length > 0 && (
        <section aria-labelledby="before" className="mt-10">
          <h2 id="before" className="text-xl">
            What was said before
          </h2>
          <ol className="mt-3 space-y-8">
            {before.map((said) => (
              <li key={said.id} className="border-l-4 border-rule pl-5">
                <VerdictCard said={said} isWay={isWay} earlier />
              </li>
            ))}
          </ol>
        </section>
      )}
    </>
  );
}

/** Whose head, and in which step: asked where the way here did not say. */
function Begin({
  judged,
  product,
  wearers,
  wearer,
  step,
}: {
  judged: Judged;
  product: Product | undefined;
  wearers: readonly Wearer[];
  wearer: Wearer | undefined;
  step: VerdictStep | null;
}) {
  const [, setSearch] = useSearchParams();
  const set = (key: string) => (to: string | null) =>
    setSearch(
      (old) => {
        const next = new URLSearchParams(old);
        if (to === null) next.delete(key);
        else next.set(key, to);
        return next;
      },
      { replace: true },
    );
  const { kind } = judged.subject;
  const slots = (Object.keys(SLOTS) as Slot[]).filter((slot) =>
    product ? suitsSlot(product.roles, slot) : kind === 'way',
  );
  return (
    <>
      <Heading kicker="Verdict" title={judged.name}>
        {
          {
            product: 'A verdict is about one product in one step on one head.',
            line: 'A verdict on a whole line is about one head.',
            way: 'A verdict on a way of doing it is about one step on one head.',
          }[kind]
        }
      </Heading>
      {wearers.length === 0 ? (
        <Nothing
          title="No head yet"
          action={
            <ButtonLink look="main" to="/heads/new">
              Add a wearer
            </ButtonLink>
          }
        >
          A verdict needs somebody’s hair.
        </Nothing>
      ) : (
        <div className="grid max-w-xl gap-4 sm:grid-cols-2">
          <ChoiceField
            label="On whose head"
            value={wearer?.id ?? null}
            onChange={set('head')}
            options={wearers.map(({ id, name }) => ({ key: id, label: name }))}
          />
          {kind !== 'line' && (
            <ChoiceField
              label="In which step"
              value={step}
              onChange={set('step')}
              options={slots.map((slot) => ({ key: slot, label: SLOTS[slot].label }))}
            />
          )}
        </div>
      )}
    </>
  );
}

/** Which way the verdict is about: from the list, so that trials of it are found, or in own words. */
function BeginWay({ wearers }: { wearers: readonly Wearer[] }) {
  const [search, setSearch] = useSearchParams();
  const [kind, setKind] = useState<JudgedWay>('technique');
  const [own, setOwn] = useState('');
  const head = wearers.find(({ id }) => id === search.get('head'));
  const choose = (way: string) =>
    setSearch((old) => {
      const next = new URLSearchParams(old);
      next.set('way', way);
      return next;
    });
  return (
    <>
      <Heading kicker={head ? `Verdict · on ${head.name}` : 'Verdict'} title="On a technique, tool or style">
        {kind === 'style'
          ? 'No trial sets styles against each other by themselves: a verdict on one is an impression, and says so.'
          : 'From the list, its trials are found and the verdict is held to them; in your own words it is an impression.'}
      </Heading>
      <div className="grid max-w-2xl gap-4 sm:grid-cols-2">
        <ChoiceField<JudgedWay>
          label="Kind"
          options={JUDGED_WAYS}
          value={kind}
          onChange={(to) => to && setKind(to)}
        />
        <ChoiceField<string>
          label={JUDGED_WAYS[kind].label}
          options={JUDGED_WAYS[kind].options}
          value={null}
          onChange={(value) => value && choose(keyOfWay(kind, value))}
        />
      </div>
      <form
        className="mt-4 flex max-w-2xl flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (own.trim() !== '') choose(own.trim());
        }}
      >
        <TextField className="min-w-64 flex-1" label="Or in your own words" value={own} onChange={setOwn} />
        <Button type="submit" disabled={own.trim() === ''}>
          Go on
        </Button>
      </form>
    </>
  );
}

const NO_LIST = [] as const;

/** The sheet, once all that it is filled in from is there. */
function Writing({
  verdict,
  judged,
  product,
  wearer,
  step,
}: {
  verdict: Verdict | undefined;
  judged: Judged;
  /** The product it is about; undefined for a whole line. */
  product: Product | undefined;
  wearer: Wearer;
  step: VerdictStep;
}) {
  const file = useHairFile(wearer.id);
  const own = useOwnIngredients();
  const { market } = useSettings();
  const evidence = useEvidence(wearer.id, step, judged.id);
  const list = useWorked('claims of a list', own.data && product ? [product, market, own.data] : null, () =>
    screeningWorker().claims(product!, market, own.data!),
  );
  const error = evidence.error ?? brokenOf(file) ?? brokenOf(own);
  return (
    <>
      <Heading kicker={`Verdict · ${stepLabel(step)} on ${wearer.name}`} title={judged.name}>
        {verdict
          ? 'Said anew: what was said before stays, with its date.'
          : judged.subject.kind === 'way'
            ? 'Three questions; the rest is filled in from what was measured.'
            : 'Four questions; the rest is filled in from what was measured.'}
      </Heading>
      {error ? (
        <Failed error={error} />
      ) : evidence.data === undefined || !file.data || (product && !list.data && !list.isError) ? (
        <Loading what="what was measured" />
      ) : (
        <VerdictSheet
          verdict={verdict}
          step={step}
          judged={judged}
          wearer={wearer}
          file={file.data}
          evidence={evidence.data}
          list={list.data ?? NO_LIST}
        />
      )}
    </>
  );
}
