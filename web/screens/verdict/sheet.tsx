import { oneOf } from '@sabor/contract/fields';
import type { HairFile } from '@sabor/contract/hair-file';
import { type Verdict, VerdictContent, type VerdictInput } from '@sabor/contract/verdict';
import type { Wearer } from '@sabor/contract/wearer';
import { STYLES_MEANT } from '@sabor/core/basin/style-meant';
import type { ListSays } from '@sabor/core/verdict/claims';
import type { Evidence } from '@sabor/core/verdict/evidence';
import { heldToFigures } from '@sabor/core/verdict/held';
import { JUDGED_WAYS, keyOfWay, wayOf } from '@sabor/core/verdict/ways';
import { BUY_AGAIN, CAUSES, type Cause, type VerdictStep } from '@sabor/core/verdict/words-of-verdict';
import { besideInWords } from '@sabor/words/verdict-card';
import { plainWayInWords } from '@sabor/words/ways';
import { useEffect, useMemo, useRef, useState } from 'react';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { useSave, useShelf } from '../../api/queries.ts';
import { useNameOfThing } from '../../api/things.ts';
import { Refused } from '../../http/http.ts';
import { DoseFields } from '../../ui/dose-fields.tsx';
import { useDraft } from '../../ui/draft.ts';
import { Fold } from '../../ui/fold.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField, NumberField, TextField } from '../../ui/inputs.tsx';
import { SheetFoot } from '../../ui/sheet-foot.tsx';
import { useSay } from '../../ui/undo.tsx';
import { AgainstPart } from './against-part.tsx';
import { ClaimsPart } from './claims-part.tsx';
import { ForWhomPart } from './for-whom.tsx';
import type { Judged } from './judged.ts';
import { OpenPart } from './open-part.tsx';
import { RestsOn } from './rests-on.tsx';
import { begun, proposedClaims, sinceColouring, traitsFor } from './start.ts';

/** The sheet: what is said, and why it is said anew. */
const Sheet = v.object({
  ...VerdictContent.entries,
  cause: oneOf(CAUSES, 'why it is said anew'),
  causeNote: v.pipe(v.string(), v.maxLength(400, 'Keep the cause under 400 characters.')),
});
type Sheet = v.InferOutput<typeof Sheet>;

/** A verdict being written: four questions, the rest filled in and folded, and beside it what the figures carry. */
export function VerdictSheet({
  verdict,
  step,
  judged,
  wearer,
  file,
  evidence,
  list,
}: {
  /** The one that is said anew; undefined for a first. */
  verdict: Verdict | undefined;
  step: VerdictStep;
  judged: Judged;
  wearer: Wearer;
  file: HairFile;
  evidence: Evidence | null;
  list: ListSays;
}) {
  const leave = useGoOn();
  const say = useSay();
  const shelf = useShelf().data;
  const ids = useMemo(() => ({ verdict: verdict?.id ?? v7(), said: v7() }), [verdict?.id]);
  const last = verdict?.said[0];
  const proposed = useMemo(() => {
    const claims = [...judged.claims, ...(last?.content.claims ?? []).map(({ claim }) => claim)];
    return proposedClaims(claims, evidence, list, sinceColouring(file, evidence));
  }, [judged, last, evidence, list, file]);
  const initial = useMemo((): Sheet => {
    const fresh = begun({ judged, wearer, evidence, proposed });
    if (!last) return { ...fresh, cause: 'first', causeNote: '' };
    // Said anew: the words as they were, the claims against what is read now, and those that came since.
    const had = last.content.claims.map((one) => ({
      ...one,
      proposed: proposed.get(one.claim)?.state ?? null,
    }));
    return {
      cause: 'more-trials',
      causeNote: '',
      ...last.content,
      claims: [
        ...had,
        ...fresh.claims.filter(
          ({ claim }) => !had.some((one) => one.claim.toLowerCase() === claim.toLowerCase()),
        ),
      ],
    };
  }, [judged, wearer, evidence, proposed, last]);
  const draft = useDraft(`verdict ${verdict?.id ?? `${wearer.id} ${step} ${judged.id}`}`, Sheet, initial);
  const { value, bind, set, problem } = draft;
  const { kind } = judged.subject;
  const others = useMemo(() => {
    if (kind === 'way') {
      const own = wayOf(judged.id);
      return own === null
        ? []
        : Object.keys(JUDGED_WAYS[own.kind].options)
            .map((value) => keyOfWay(own.kind, value))
            .filter((key) => key !== judged.id)
            .map((key) => ({ productId: key, name: plainWayInWords(key) }));
    }
    return ((kind === 'line' ? shelf?.lines : shelf?.products) ?? [])
      .filter(({ id }) => id !== judged.id)
      .map(({ id, name }) => ({ productId: id, name }));
  }, [shelf, judged, kind]);
  const nameOf = useNameOfThing();
  const heads = useMemo(() => (evidence ? [traitsFor(wearer)] : []), [evidence, wearer]);
  const beside = useMemo(
    () => heldToFigures(value, evidence, heads, others),
    [value, evidence, heads, others],
  );
  // What always stands beside it is not asked about; what it says too much is.
  const tooMuch = beside.filter(({ kind }) => kind !== 'impression' && kind !== 'weakened');
  const asked = JSON.stringify(tooMuch);
  const [warned, setWarned] = useState('');
  const panel = useRef<HTMLElement>(null);
  const stopped = warned === asked && tooMuch.length > 0;
  useEffect(() => {
    if (stopped) panel.current?.focus();
  }, [stopped]);
  const save = useSave<VerdictInput>(`/verdicts/${ids.verdict}`);
  const input = ({ cause, causeNote, ...content }: Sheet): VerdictInput => ({
    id: ids.verdict,
    wearerId: wearer.id,
    slot: step,
    subject: judged.subject,
    said: ids.said,
    cause,
    causeNote,
    content,
    rests: evidence,
    beside: [...beside],
  });
  return (
    <form
      noValidate
      className="grid gap-x-12 gap-y-8 lg:grid-cols-[1.5fr_1fr]"
      onSubmit={async (event) => {
        event.preventDefault();
        if (tooMuch.length > 0 && !stopped) {
          setWarned(asked);
          return;
        }
        const goOn = leave();
        const kept = await draft.save(async (content) => {
          try {
            await save(input(content), verdict?.version ?? null);
          } catch (error) {
            // The record that comes with it is no sheet: what was typed stays as it is.
            if (error instanceof Refused && error.status === 412)
              throw new Refused({
                status: 409,
                detail: 'It was said anew elsewhere meanwhile. Open it again; what you typed here is kept.',
              });
            throw error;
          }
        });
        if (!kept) return;
        say('The verdict is saved.');
        goOn(`/verdicts/${ids.verdict}`);
      }}
    >
      <div className="space-y-7">
        <section aria-labelledby="score" className="space-y-3">
          <h2 id="score" className="text-xl">
            Score, and why
          </h2>
          <NumberField label="Score out of ten" className="w-40" {...bind('score')} />
          <TextField label="Why" rows={4} {...bind('why')} />
        </section>
        <section aria-labelledby="whom" className="space-y-3">
          <h2 id="whom" className="text-xl">
            For whom, and for whom not
          </h2>
          <ForWhomPart
            value={value.forWhom}
            change={set('forWhom')}
            head={evidence ? traitsFor(wearer) : {}}
          />
        </section>
        {kind !== 'way' && (
          <section aria-labelledby="amount" className="space-y-3">
            <h2 id="amount" className="text-xl">
              The amount that worked
            </h2>
            <div className="grid gap-3 sm:grid-cols-2">
              <DoseFields
                dose={value.amount}
                onChange={set('amount')}
                problem={(path) => problem(path.replace(/^dose/, 'amount'))}
              />
            </div>
          </section>
        )}
        <section aria-labelledby="again" className="space-y-3">
          <h2 id="again" className="text-xl">
            {kind === 'way' ? 'Would you do it again?' : 'Would you buy it again?'}
          </h2>
          <div className="grid gap-3 sm:grid-cols-[12rem_1fr]">
            <ChoiceField
              label={kind === 'way' ? 'Do it again' : 'Buy again'}
              none="not said"
              options={Object.entries(BUY_AGAIN)
                .filter(([key]) => kind !== 'way' || key !== 'offer')
                .map(([key, { label }]) => ({ key, label }))}
              {...bind('buyAgain')}
            />
            <TextField label="And why" {...bind('buyWhy')} />
          </div>
        </section>
        {kind !== 'way' && (
          <Fold
            summary={`Claims of the label (${value.claims.length})`}
            wrong={draft.problems.some(({ path }) => path.startsWith('claims'))}
          >
            <ClaimsPart value={value.claims} change={set('claims')} proposed={proposed} problem={problem} />
          </Fold>
        )}
        <AgainstPart
          value={value.against}
          change={set('against')}
          judged={judged}
          wearerId={wearer.id}
          evidence={evidence}
          nameOf={nameOf}
        />
        <Fold
          summary={
            kind === 'way' ? 'Effort, feel, what next' : 'Effort, feel, packaging, best style, what next'
          }
          wrong={draft.problems.some(({ path }) =>
            ['effort', 'feel', 'packaging', 'next', 'open'].some((field) => path.startsWith(field)),
          )}
        >
          {kind !== 'way' && (
            <ChoiceField
              label="Best for the style"
              none="not said"
              options={STYLES_MEANT}
              {...bind('style')}
            />
          )}
          <TextField label="Effort" {...bind('effort')} />
          <TextField label={kind === 'way' ? 'How it feels' : 'Scent and feel'} {...bind('feel')} />
          {kind !== 'way' && <TextField label="Packaging" {...bind('packaging')} />}
          <TextField label="What to try next" rows={2} {...bind('next')} />
          <OpenPart value={value.open} change={set('open')} problem={problem} />
        </Fold>
        {last && (
          <section aria-labelledby="cause" className="space-y-3">
            <h2 id="cause" className="text-xl">
              Why it is said anew
            </h2>
            <div className="grid gap-3 sm:grid-cols-[14rem_1fr]">
              <ChoiceField<Cause>
                label="Cause"
                options={Object.entries(CAUSES)
                  .filter(([key]) => key !== 'first')
                  .map(([key, { label }]) => ({ key, label }))}
                value={value.cause}
                onChange={(to) => to && set('cause')(to)}
              />
              <TextField label="In your words" {...bind('causeNote')} />
            </div>
          </section>
        )}
        <SheetFoot
          draft={draft}
          save={stopped ? 'Save with these sentences beside it' : 'Save the verdict'}
          back={{
            ...(verdict ? { to: `/verdicts/${verdict.id}`, label: 'Back to the verdict' } : judged.home),
          }}
        />
      </div>
      <aside className="space-y-7 lg:sticky lg:top-4 lg:self-start">
        <section
          ref={panel}
          tabIndex={-1}
          aria-labelledby="beside"
          className={stopped ? 'border-l-4 border-mango pl-4' : ''}
        >
          <h2 id="beside" className="text-xl">
            {stopped ? 'It says more than the figures' : 'What will stand beside it'}
          </h2>
          <div aria-live="polite">
            {stopped && (
              <p className="mb-1">
                Change the words, or save it with these sentences beside it wherever it goes.
              </p>
            )}
            {beside.length === 0 ? (
              <p className="text-soft">
                Nothing: what it says is carried by its figures, as far as Sabor reads it.
              </p>
            ) : (
              <ul className="space-y-1">
                {beside.map((one) => (
                  <li key={JSON.stringify(one)}>{besideInWords(one)}</li>
                ))}
              </ul>
            )}
          </div>
        </section>
        <RestsOn evidence={evidence} judged={judged} nameOf={nameOf} />
      </aside>
    </form>
  );
}
