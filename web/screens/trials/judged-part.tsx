import type { TrialInput } from '@sabor/contract/trial';
import type { Wearer } from '@sabor/contract/wearer';
import {
  AS_WANTED,
  isOutcome,
  type MainResult,
  mainResult,
  POINTS_A_WORD,
  ratedBy,
} from '@sabor/core/compare/main-result';
import { measuredFacts, measuredIn } from '@sabor/core/compare/measured-result';
import { hourInWords } from '@sabor/words/dates';
import { promisedInWords } from '@sabor/words/main-result';
import { counted } from '@sabor/words/numbers';
import { useHairFile } from '../../api/queries.ts';
import type { useDraft } from '../../ui/draft.ts';
import { Fold } from '../../ui/fold.tsx';
import { ChoiceField, NumberField } from '../../ui/inputs.tsx';
import { Term } from '../../ui/term.tsx';
import { MainResultField } from './main-result-field.tsx';
import { ZonesThatCount } from './zones-that-count.tsx';

/** A plan judged by another main result; between ratings, words and measures the limits begin anew, as their scales mean other things. */
function judgedBy(plan: TrialInput, primary: MainResult): TrialInput {
  const found = measuredIn(primary);
  if (found) {
    if (measuredIn(plan.primary)?.what === found.what) return { ...plan, primary };
    const { line, matters } = measuredFacts(found.what);
    return { ...plan, primary, line, matters };
  }
  // Good days are counted by ratings: their limit is on the same scale.
  const [was, now] = [plan.primary, primary].map((key) => isOutcome(ratedBy(key)));
  if (was === now && !measuredIn(plan.primary)) return { ...plan, primary };
  return now
    ? { ...plan, primary, line: 6, matters: 1 }
    : { ...plan, primary, line: AS_WANTED - POINTS_A_WORD, matters: POINTS_A_WORD };
}

/** Every half hour of a day, by its hour. */
const HOURS = Array.from({ length: 49 }, (_, i) => ({ key: String(i / 2), label: hourInWords(i / 2) }));
const keyOfHour = (hour: number | null | undefined) => (hour == null ? null : String(hour));

/** Fields that lie folded: one of them wrong opens them. */
const FOLDED = ['line', 'matters', 'onDay', 'judgedFrom', 'judgedTo', 'weights'];

/** The numbers of a plan in a sentence, for whoever keeps them as they are. */
function numbersInWords(value: TrialInput): string {
  const { better, measured } = mainResult(ratedBy(value.primary));
  const { lasting } = mainResult(value.primary);
  const hours =
    value.judgedFrom == null && value.judgedTo == null
      ? ''
      : `, ${value.judgedFrom == null ? 'up to' : `from ${hourInWords(value.judgedFrom)} to`} ${value.judgedTo == null ? 'the end of the day' : hourInWords(value.judgedTo)}`;
  return [
    `good enough ${better === 'higher' ? 'from' : 'up to'} ${value.line}${measured?.unit ? ` ${measured.unit}` : ''}`,
    `${promisedInWords(value.primary, value.matters)} worth switching for`,
    lasting ? `counted to day ${value.wearDays}` : `judged on day ${value.onDay ?? 1}${hours}`,
    counted(value.weights.length, 'zone'),
  ].join(' · ');
}

/** What a trial is judged on: the main result; its numbers, hours and zones lie folded, said in a line. */
export function JudgedPart({
  draft: { value, set, change, problem, problems },
  wearer,
}: {
  draft: Pick<
    ReturnType<typeof useDraft<typeof TrialInput>>,
    'value' | 'set' | 'change' | 'problem' | 'problems'
  >;
  wearer: Wearer | undefined;
}) {
  const wishes = useHairFile(value.wearerId).data?.wishes;
  const outcome = mainResult(value.primary);
  const rated = mainResult(ratedBy(value.primary));
  return (
    <section className="space-y-2" aria-labelledby="judged">
      <h2 id="judged" className="text-xl">
        What it is judged on
      </h2>
      <MainResultField
        label="Main result"
        hint={
          <>
            The <Term of="main-result">one outcome</Term> that gets a <Term of="p">p</Term>.
          </>
        }
        value={value.primary}
        onChange={(primary) => change((old) => judgedBy(old, primary))}
        error={problem('primary')}
        wished={wishes?.words ?? {}}
      />
      {outcome.measured?.from === 'curls' && wearer?.curls.length === 0 && (
        <p className="text-sm text-mango-deep">
          This head has no tagged curl yet: tag some in its profile, or there is nothing to read.
        </p>
      )}
      <Fold
        summary={
          <>
            The numbers: <span className="font-normal text-soft">{numbersInWords(value)}</span>
          </>
        }
        wrong={problems.some(({ path }) => FOLDED.includes(path.split('.')[0]!))}
      >
        <div className="grid gap-4 sm:grid-cols-3">
          <NumberField
            label="Good enough"
            unit={[rated.measured?.unit, rated.better === 'higher' ? 'at least' : 'at most']
              .filter(Boolean)
              .join(', ')}
            hint={
              <>
                On this side of it the hair <Term of="good-enough">still passes</Term>.
              </>
            }
            value={value.line}
            onChange={(x) => set('line')(x as number)}
            error={problem('line')}
          />
          <NumberField
            label="A difference worth switching for"
            unit={outcome.measured ? outcome.measured.unit : 'points'}
            value={value.matters}
            onChange={(x) => set('matters')(x as number)}
            error={problem('matters')}
          />
          <NumberField
            label="Judged on day"
            hint={
              outcome.lasting
                ? 'Good days are counted over all days worn; the other outcomes are set side by side on this one.'
                : 'Day 1 is the finished hair.'
            }
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
      </Fold>
    </section>
  );
}
