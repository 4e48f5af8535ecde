import type { Board, BoardColumn } from '@sabor/core/board/board';
import { COLUMNS } from '@sabor/core/board/columns';
import {
  agreementInWords,
  betterInWords,
  columnInWords,
  sizeInWords,
  standingInWords,
  weakenedInWords,
} from '../board.ts';
import { dateInWords } from '../dates.ts';
import { counted } from '../numbers.ts';
import type { Block, Report } from './blocks.ts';

/** A board as a report: who is first and how sure that is, all that is in view, what is clear, and what was left out. */
export function boardReport(input: {
  board: Board;
  column: BoardColumn;
  /** The step, as it is called. */
  step: string;
  who: string;
  nameOf: (node: string) => string;
  /** What of the board is looked at, where that is not all of it; empty for all. */
  inView: string;
  disclosure: string;
  today: string;
}): Report {
  const { board, column, step, who, nameOf, inView, disclosure, today } = input;
  const islandOf = (node: string) => column.cells.find((cell) => cell.node === node)?.island ?? null;
  const inOrder = board.nodes
    .filter(({ node }) => board.shown.includes(node))
    .toSorted((a, b) => (column.first[b.node] ?? -1) - (column.first[a.node] ?? -1));
  const [leader] = column.leaders;
  const trials = new Set(inOrder.flatMap((one) => one.trials));
  const weakened = [...trials].filter((id) => board.weakened.includes(id)).length;
  const better = betterInWords(column, nameOf);
  const blocks: Block[] = [
    {
      kind: 'heading',
      level: 2,
      text: leader
        ? `${nameOf(leader.node)}, ${standingInWords(column, leader.node, leader.island, nameOf)}`
        : 'Nothing can be set against each other yet',
    },
    {
      kind: 'text',
      text: `${columnInWords(column.key)}, ${COLUMNS[column.key].wanted === 'higher' ? 'more is wanted' : 'less is wanted'}. “First in 82 of 100”: if these trials were all there is to know, it would truly be first that often.`,
    },
    {
      kind: 'text',
      text: [
        `${counted(trials.size, 'trial')} of one head put together.`,
        weakened === 0
          ? 'Their fairness checks found nothing that counts against them.'
          : `The fairness check weakens ${weakened === 1 ? 'one of them' : `${weakened} of them`}.`,
        'Such an order is no test: what a trial decided stands in its own report.',
      ].join(' '),
    },
    { kind: 'heading', level: 2, text: 'In order' },
    {
      kind: 'table',
      caption: inView || 'All that was tested in this step on this head.',
      head: ['What', 'Where it stands', 'Mean', 'From'],
      rows: inOrder.map((node) => {
        const island = islandOf(node.node);
        const mean = column.cells.find((cell) => cell.node === node.node)?.mean ?? null;
        return [
          nameOf(node.node),
          island === null ? 'no number here' : standingInWords(column, node.node, island, nameOf),
          mean === null ? '–' : sizeInWords(column.key, mean),
          [
            `${counted(node.trials.length, 'trial')}, ${counted(node.washDays, 'wash day')}`,
            weakenedInWords(
              node.trials.length,
              node.trials.filter((id) => board.weakened.includes(id)).length,
            ),
            `last ${dateInWords(node.lastOn.slice(0, 10), today)}`,
          ]
            .filter(Boolean)
            .join('; '),
        ];
      }),
    },
    { kind: 'heading', level: 2, text: 'What is clear over all of them together' },
    better.length > 0
      ? { kind: 'list', items: better }
      : { kind: 'text', text: 'Nothing: no two of them can be told apart.' },
    ...column.leaders.map(
      ({ island }): Block => ({
        kind: 'text',
        text: column.agreement[island] ? agreementInWords(column.agreement[island], false) : '',
      }),
    ),
  ];
  if (board.out.length > 0)
    blocks.push(
      { kind: 'heading', level: 2, text: 'Left out' },
      {
        kind: 'list',
        items: board.out.map(
          ({ question, why }) =>
            `“${question}”: ${why === 'broken' ? 'its fairness check found it broken for this column' : 'weakened'}`,
        ),
      },
    );
  return {
    title: `${step}: products against products`,
    about: `${columnInWords(column.key)}, on one head, ${who}’s`,
    blocks: blocks.filter((block) => block.kind !== 'text' || block.text !== ''),
    disclosure,
  };
}
