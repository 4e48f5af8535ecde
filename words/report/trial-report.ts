import type { Verdict } from '@sabor/contract/verdict';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Comparison } from '@sabor/core/compare/comparison';
import { isOutcome, mainResult } from '@sabor/core/compare/main-result';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { STAKES } from '@sabor/core/shelf/products';
import { signedInWords } from '../board.ts';
import { dateInWords } from '../dates.ts';
import { differenceInWords } from '../fairness.ts';
import { numbersOf } from '../main-result.ts';
import { counted } from '../numbers.ts';
import { stakesInWords } from '../stakes.ts';
import { longerInWords, readPrimary } from '../verdict.ts';
import { forWhomInWords } from '../verdict-card.ts';
import type { Voice } from '../voice.ts';
import type { Block, Report } from './blocks.ts';
import { methodOf, type Told } from './method.ts';
import { travelsWith } from './verdict-report.ts';

/** The parts of a trial's report; the result and the disclosure are always in it. */
export const PARTS = {
  method: { label: 'How it was done' },
  outcomes: { label: 'All outcomes' },
  wear: { label: 'Over the days' },
  fairness: { label: 'Was it fair' },
  verdicts: { label: 'Verdicts' },
  pictures: { label: 'Pictures' },
} as const;
export type Part = keyof typeof PARTS;

export interface ReportInput extends Told {
  record: TrialRecord;
  comparison: Comparison;
  items: readonly SlipItem[];
  verdicts: readonly Verdict[];
  voice: Voice;
  parts: ReadonlySet<Part>;
  /** Photographs that were put there, in their order. */
  pictures: readonly string[];
}

/** How the tester stands to what was compared: in every form of a report, and never left out. */
export function disclosureOf({ trial, products }: Pick<Told, 'trial' | 'products'>): string {
  return disclosureOn(
    trial.arms.flatMap(({ steps }) => steps.flatMap(({ productId }) => productId ?? [])),
    products,
  );
}

/** How the tester stands to these products. */
export function disclosureOn(productIds: readonly string[], products: Told['products']): string {
  const own = products.filter(({ id }) => productIds.includes(id));
  if (own.length === 0) return 'No product was under test.';
  return (
    stakesInWords(own) ??
    `To declare: ${own.map(({ name }) => name).join(', ')} ${own.length === 1 ? 'was' : 'were'} ${STAKES.bought.label} by the tester.`
  );
}

/** How the result may be taken: blinding, fairness and on whom, under every headline, whatever parts are picked. */
function standingInWords({ trial, items }: Pick<ReportInput, 'trial' | 'items'>): string {
  const broken = items.some(({ gravity }) => gravity === 'breaks');
  const weakened = items.some(({ gravity }) => gravity === 'weakens');
  return [
    trial.blind ? 'Rated blind.' : 'Not rated blind.',
    broken
      ? 'The fairness check found what breaks the comparison: this is how it was, and no answer.'
      : weakened
        ? 'The fairness check found what weakens the comparison.'
        : 'The fairness check found nothing that counts against it.',
    ...(trial.endedAt === null
      ? ['The trial is not over: this is the look that was promised half way.']
      : []),
    'Seen on one head alone.',
  ].join(' ');
}

/** The main result where it is no rated outcome, in its own unit. */
function mainRow({ promise }: TrialRecord, { main }: Comparison): string[] {
  const { label, better } = mainResult(promise.primary);
  const { amount, signed, unit } = numbersOf(promise.primary);
  const apart = main.differences[0]?.difference ?? null;
  return [
    `${label} (main result), ${better === 'higher' ? 'more' : 'less'} is wanted`,
    ...main.means.map((mean) => (mean === null ? '–' : amount(mean))),
    ...(promise.arms.length === 2 ? [apart === null ? '–' : `${signed(apart)} ${unit}`.trimEnd()] : []),
  ];
}

/** Every outcome on the judged day: where each option stands. */
function outcomesTable({ record, comparison }: Pick<ReportInput, 'record' | 'comparison'>): Block {
  const { promise } = record;
  const rows = (Object.keys(OUTCOMES) as Outcome[]).flatMap((key) => {
    const { means, differences } = comparison.outcomes[key];
    if (means.every((mean) => mean === null)) return [];
    const [first] = differences;
    return [
      [
        `${OUTCOMES[key].label}${key === promise.primary ? ' (main result)' : ''}, ${OUTCOMES[key].better === 'higher' ? 'more' : 'less'} is wanted`,
        ...means.map((mean) => (mean === null ? '–' : mean.toFixed(1))),
        ...(promise.arms.length === 2
          ? [first?.difference == null ? '–' : signedInWords(key, first.difference)]
          : []),
      ],
    ];
  });
  return {
    kind: 'table',
    caption: `Means on day ${promise.onDay}${promise.arms.length === 2 ? `; the difference is ${promise.arms[1]} minus ${promise.arms[0]}` : ''}. Only the main result was tested.`,
    head: ['Outcome', ...promise.arms, ...(promise.arms.length === 2 ? ['Difference'] : [])],
    rows: isOutcome(promise.primary) ? rows : [mainRow(record, comparison), ...rows],
  };
}

/** Where a photograph was taken: "Kelp Fold Gel, wash day 3, day 1, from behind". */
function pictureCaption(input: ReportInput, day: WashDay, photographId: string): string {
  const photograph = day.photographs.find(({ id }) => id === photographId)!;
  const arm = (id: string | null) => input.trial.arms.find((one) => one.id === id)?.name ?? '';
  const what = day.rightArmId ? `${arm(day.armId)} (left), ${arm(day.rightArmId)} (right)` : arm(day.armId);
  return `${what}, wash day ${day.position + 1}${photograph.day ? `, day ${photograph.day}` : ''}`;
}

/** The report of one trial, from its record; what was not asked for is not in it, the disclosure always is. */
export function trialReport(input: ReportInput): Report {
  const { trial, who, record, comparison, items, verdicts, voice, parts, today } = input;
  const { headline, because } = readPrimary(record, comparison, null);
  const main = comparison.main;
  const ends = isOutcome(trial.primary) ? ([0, 10] as const) : null;
  const { arms } = record.promise;
  const values = main.byWashDay.flatMap(({ arm, value }) => (value === null ? [] : [{ arm, value }]));
  const say = numbersOf(trial.primary);
  const blocks: Block[] = [
    { kind: 'heading', level: 2, text: headline },
    ...because.map((text): Block => ({ kind: 'text', text })),
    ...(values.length > 0
      ? [
          {
            kind: 'drawing' as const,
            drawing: { what: 'strip' as const, arms, values, means: main.means, ends, places: say.places },
            says: `${mainResult(trial.primary).label}, wash day by wash day: ${record.promise.arms.map((name, arm) => `${name} ${main.means[arm] == null ? 'without a number' : `at ${say.amount(main.means[arm]!)} on average`}`).join('; ')}.`,
          },
        ]
      : []),
  ];
  blocks.push({ kind: 'text', text: standingInWords(input) });
  if (parts.has('outcomes'))
    blocks.push({ kind: 'heading', level: 2, text: 'All outcomes' }, outcomesTable(input));
  if (parts.has('wear')) {
    const curves = comparison.mainCurves.map(({ arm, mean }) => ({
      arm,
      mean: mean.map(({ day, value }) => ({ day, value })),
    }));
    const days = new Set(curves.flatMap(({ mean }) => mean.map(({ day }) => day)));
    const longer = longerInWords(record, comparison);
    blocks.push(
      { kind: 'heading', level: 2, text: 'Over the days' },
      ...(days.size > 1
        ? [
            {
              kind: 'drawing' as const,
              drawing: { what: 'curve' as const, arms, curves, ends, places: say.places },
              says: `${mainResult(trial.primary).label} over the days worn: ${comparison.mainCurves.map(({ arm, mean }) => `${record.promise.arms[arm]} from ${mean[0] ? say.amount(mean[0].value) : 'nothing'} on day ${mean[0]?.day ?? 1} to ${mean.at(-1) ? say.amount(mean.at(-1)!.value) : 'nothing'} on day ${mean.at(-1)?.day ?? 1}`).join('; ')}.`,
            },
          ]
        : []),
      ...(longer.length > 0 ? [{ kind: 'list' as const, items: longer }] : []),
    );
  }
  if (parts.has('method')) {
    blocks.push({ kind: 'heading', level: 2, text: 'How it was done' });
    blocks.push({
      kind: 'list',
      items: methodOf(input).map(({ heading, sentences }) => `${heading}: ${sentences.join(' ')}`),
    });
  }
  if (parts.has('fairness')) {
    const told = items.filter(({ gravity }) => gravity !== 'note');
    blocks.push(
      { kind: 'heading', level: 2, text: 'Was it fair' },
      told.length === 0
        ? { kind: 'text', text: 'The fairness check found nothing that counts against it.' }
        : {
            kind: 'list',
            items: told.map(
              ({ difference, gravity, because: why, overruled }) =>
                `${differenceInWords(difference, voice)} This ${gravity} it. ${why}${overruled ? ` The tester judged otherwise than the rule: ${overruled.reason}` : ''}`,
            ),
          },
    );
  }
  if (parts.has('verdicts') && verdicts.length > 0) {
    blocks.push({ kind: 'heading', level: 2, text: 'Verdicts' });
    for (const { name, said } of verdicts) {
      const [now] = said;
      if (!now) continue;
      const { content, at } = now;
      blocks.push(
        {
          kind: 'heading',
          level: 3,
          text: `${name}${content.score === null ? '' : `: ${content.score} of 10`}`,
        },
        ...(content.why ? [{ kind: 'text' as const, text: content.why }] : []),
        {
          kind: 'list',
          // What stands beside a verdict goes wherever it goes.
          items: [
            ...travelsWith(now),
            ...forWhomInWords(content.forWhom),
            `Said ${dateInWords(at.slice(0, 10), today)}.`,
          ],
        },
      );
    }
  }
  if (parts.has('pictures') && input.pictures.length > 0) {
    blocks.push({ kind: 'heading', level: 2, text: 'Pictures' });
    for (const photographId of input.pictures) {
      const day = trial.washDayRecords.find(({ photographs }) =>
        photographs.some(({ id }) => id === photographId),
      );
      if (day)
        blocks.push({ kind: 'picture', photographId, caption: pictureCaption(input, day, photographId) });
    }
  }
  const dates = trial.washDayRecords.map(({ localDate }) => localDate).sort();
  return {
    title: trial.question,
    about: `A trial on one head, ${who}’s, ${counted(trial.washDaysDone, 'wash day')}${dates.length > 0 ? `, ${dateInWords(dates[0]!, today)} to ${dateInWords(dates.at(-1)!, today)}` : ''}`,
    blocks,
    disclosure: disclosureOf(input),
  };
}
