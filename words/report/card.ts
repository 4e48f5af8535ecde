import type { Block, Drawing, Report } from './blocks.ts';

/** What a picture card shows of a report: what it says first, how that may be taken, and the disclosure. */
export interface Card {
  headline: string;
  says: string;
  drawing: Drawing | null;
  /** What is listed after the opening, for a card that has no drawing. */
  lines: string[];
  /** Blinding, fairness, on whom: never left out. */
  standing: string;
  about: string;
  disclosure: string;
  /** Photographs that were put into the report, with what stands under them. */
  pictures: { photographId: string; caption: string }[];
}

/** The first list or table of these blocks, a line an item: of a table its first two columns. */
function linesOf(blocks: readonly Block[]): string[] {
  for (const block of blocks) {
    if (block.kind === 'list') return [...block.items];
    if (block.kind === 'table') return block.rows.map(([what, says]) => (says ? `${what}: ${says}` : what!));
  }
  return [];
}

/**
 * A report as a card. Every report opens with a heading, what it says, and last how it may be taken, before its second heading;
 * that much is the card's.
 */
export function cardOf(report: Report): Card {
  const second = report.blocks.findIndex(
    (block, i) => i > 0 && block.kind === 'heading' && block.level === 2,
  );
  const opening = second < 0 ? report.blocks : report.blocks.slice(0, second);
  const texts = opening.flatMap((block) => (block.kind === 'text' ? block.text : []));
  const [first] = opening;
  const is =
    <K extends Block['kind']>(kind: K) =>
    (block: Block): block is Extract<Block, { kind: K }> =>
      block.kind === kind;
  return {
    headline: first?.kind === 'heading' ? first.text : report.title,
    says: texts.length > 1 ? texts[0]! : '',
    lines: linesOf(second < 0 ? [] : report.blocks.slice(second)),
    drawing: opening.find(is('drawing'))?.drawing ?? null,
    standing: texts.at(-1) ?? '',
    about: report.about,
    disclosure: report.disclosure,
    pictures: report.blocks
      .filter(is('picture'))
      .map(({ photographId, caption }) => ({ photographId, caption })),
  };
}
