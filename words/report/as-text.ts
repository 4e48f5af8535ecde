import type { Block, Report } from './blocks.ts';

const WIDTH = 78;

/** A text broken into lines, never inside a word. */
function wrapped(text: string, width = WIDTH, indent = ''): string {
  return text
    .split('\n')
    .map((paragraph) => {
      const lines: string[] = [];
      let line = '';
      for (const word of paragraph.split(' ')) {
        if (line !== '' && line.length + 1 + word.length > width - indent.length) {
          lines.push(line);
          line = word;
        } else line = line === '' ? word : `${line} ${word}`;
      }
      return [...lines, line].map((one) => indent + one).join('\n');
    })
    .join('\n');
}

function blockText(block: Block): string {
  switch (block.kind) {
    case 'heading':
      return `${block.text}\n${(block.level === 2 ? '=' : '-').repeat(Math.min(WIDTH, block.text.length))}`;
    case 'text':
      return wrapped(block.text);
    case 'list':
      return block.items.map((item) => `- ${wrapped(item, WIDTH, '  ').trimStart()}`).join('\n');
    case 'table': {
      const rows = [block.head, ...block.rows];
      const widths = block.head.map((_, i) => Math.max(...rows.map((row) => (row[i] ?? '').length)));
      const line = (row: readonly string[]) =>
        row
          .map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!)))
          .join('  ')
          .trimEnd();
      return [wrapped(block.caption), ...rows.map(line)].join('\n');
    }
    case 'drawing':
      return wrapped(`[Drawing: ${block.says}]`);
    case 'picture':
      return `[Picture: ${block.caption}]`;
  }
}

/** A report as plain text. */
export const asText = ({ title, about, blocks, disclosure }: Report): string =>
  `${[title, about, ...blocks.map(blockText), wrapped(disclosure)].join('\n\n')}\n`;
