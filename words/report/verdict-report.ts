import type { Verdict, VerdictSaid } from '@sabor/contract/verdict';
import { CAUSES, CLAIM_STATES, VERDICT_STEPS } from '@sabor/core/verdict/words-of-verdict';
import { dateInWords } from '../dates.ts';
import {
  againstInWords,
  besideInWords,
  factsInWords,
  forWhomInWords,
  restsInWords,
  versusInWords,
} from '../verdict-card.ts';
import type { Block, Report } from './blocks.ts';

/** What always goes where a verdict goes: what stands beside it, and what it rests on. */
export const travelsWith = ({ beside, rests, stake }: VerdictSaid): string[] => [
  ...beside.map(besideInWords),
  ...restsInWords(rests, stake),
];

const day = (moment: string, today: string) => dateInWords(moment.slice(0, 10), today);

/** What a saying holds beside its score and reason, a line a thing that was told. */
function toldInWords(
  { content, rests }: VerdictSaid,
  nameOf: (id: string) => string,
  today: string,
  isWay: boolean,
): string[] {
  return [
    ...forWhomInWords(content.forWhom),
    ...factsInWords(content, rests, isWay).map(([label, value]) => `${label}: ${value}`),
    ...againstInWords(content.against, nameOf),
    ...(rests ? versusInWords(rests, nameOf) : []),
    ...content.open.map(({ what, due }) => `Still open, to look at ${dateInWords(due, today)}: ${what}`),
  ];
}

/** A verdict as a report: what is said now, its claims, and what was said before. */
export function verdictReport(input: {
  verdict: Verdict;
  /** What the wearer is called in the report. */
  who: string;
  nameOf: (productId: string) => string;
  disclosure: string;
  today: string;
}): Report | null {
  const { verdict, who, nameOf, disclosure, today } = input;
  const [now, ...before] = verdict.said;
  if (!now) return null;
  const { score, why, claims } = now.content;
  const blocks: Block[] = [
    {
      kind: 'heading',
      level: 2,
      text: score === null ? `${verdict.name}: no score` : `${verdict.name}: ${score} of 10`,
    },
    ...(why ? [{ kind: 'text' as const, text: why }] : []),
    { kind: 'text', text: travelsWith(now).join(' ') },
  ];
  const told = toldInWords(now, nameOf, today, verdict.subject.kind === 'way');
  if (told.length > 0)
    blocks.push({ kind: 'heading', level: 2, text: 'What is said of it' }, { kind: 'list', items: told });
  if (claims.length > 0)
    blocks.push(
      { kind: 'heading', level: 2, text: 'What the label claims' },
      {
        kind: 'table',
        caption: 'Claim by claim, with what each rests on.',
        head: ['Claim', 'Found', 'Rests on'],
        rows: claims.map(({ claim, state, because }) => [
          `“${claim}”`,
          CLAIM_STATES[state].label,
          because || '–',
        ]),
      },
    );
  if (before.length > 0) {
    blocks.push({ kind: 'heading', level: 2, text: 'What was said before' });
    for (const said of before)
      blocks.push({
        kind: 'list',
        items: [
          `${day(said.at, today)}: ${said.content.score === null ? 'no score' : `${said.content.score} of 10`}. ${said.content.why}`.trim(),
          ...travelsWith(said),
        ],
      });
    blocks.push({
      kind: 'text',
      text: `Said anew ${day(now.at, today)}: ${CAUSES[now.cause].label}${now.causeNote ? `, ${now.causeNote}` : ''}.`,
    });
  }
  return {
    title: `A verdict on ${verdict.name}`,
    about: `${VERDICT_STEPS[verdict.slot].label} on one head, ${who}’s, said ${day(now.at, today)}`,
    blocks,
    disclosure,
  };
}
