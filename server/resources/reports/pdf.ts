/// <reference path="../../svg-to-pdfkit.d.ts" />
import { createRequire } from 'node:module';
import type { ReportInput } from '@sabor/contract/report';
import { type Block, figureColumns } from '@sabor/words/report/blocks';
import { drawingSvg } from '@sabor/words/report/drawings';
import type SvgToPdf from 'svg-to-pdfkit';
import type * as v from 'valibot';

const { resolve } = createRequire(import.meta.url);
const FONTS = {
  body: resolve('@fontsource/public-sans/files/public-sans-latin-400-normal.woff'),
  bold: resolve('@fontsource/public-sans/files/public-sans-latin-700-normal.woff'),
  // For what the others have no signs of: names in other scripts, rarer signs.
  wide: resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf'),
  wideBold: resolve('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf'),
} as const;

const INK = '#241528';
const SOFT = '#5E5264';
const RULE = '#D9CFC0';
const MARGIN = 56;
const FOOT = 40;

type Report = v.InferOutput<typeof ReportInput>['report'];
type Doc = PDFKit.PDFDocument;
type DrawSvg = typeof SvgToPdf;

/** Whether the narrow font has every sign of a text. */
function covers(doc: Doc, text: string): boolean {
  const { font } = (
    doc as unknown as { _font: { font: { hasGlyphForCodePoint: (code: number) => boolean } } }
  )._font;
  return [...text].every((sign) => /\s/.test(sign) || font.hasGlyphForCodePoint(sign.codePointAt(0)!));
}

function choose(doc: Doc, text: string, bold: boolean): Doc {
  doc.font(bold ? 'bold' : 'body');
  if (!covers(doc, text)) doc.font(bold ? 'wideBold' : 'wide');
  return doc;
}

/** Room left on the page, in points. */
const room = (doc: Doc) => doc.page.height - MARGIN - FOOT - doc.y;
const keep = (doc: Doc, height: number) => {
  if (room(doc) < height) doc.addPage();
};

type Structure = PDFKit.PDFStructureElement;
/** Something written under its tag, so that a reader of the pages knows what it is. */
function tagged(doc: Doc, parent: Structure, tag: string, write: () => void, alt?: string): void {
  parent.add(doc.struct(tag, alt === undefined ? {} : { alt }, write));
}

function table(doc: Doc, parent: Structure, block: Extract<Block, { kind: 'table' }>): void {
  const { head, rows, caption } = block;
  tagged(doc, parent, 'P', () => {
    choose(doc, caption, false).fontSize(9).fillColor(SOFT).text(caption, MARGIN, doc.y);
  });
  doc.moveDown(0.3);
  const width = doc.page.width - 2 * MARGIN;
  const figures = figureColumns(block);
  // Figures need little room; texts share the rest, twice as much as a name.
  const shares = head.map((_, j) =>
    figures[j] ? 0.14 : j === 0 ? (figures.includes(true) ? 0.3 : 0.2) : 0.4,
  );
  const sum = shares.reduce((all, share) => all + share, 0);
  const widths = shares.map((share) => (share / sum) * width);
  const starts = widths.map((_, j) => MARGIN + widths.slice(0, j).reduce((all, one) => all + one, 0));
  const element = doc.struct('Table');
  parent.add(element);
  for (const [i, row] of [head, ...rows].entries()) {
    const bold = i === 0;
    const heights = row.map((cell, j) => {
      choose(doc, cell, bold).fontSize(9.5);
      return doc.heightOfString(cell, { width: widths[j]! - 6 });
    });
    const height = Math.max(...heights) + 6;
    keep(doc, height);
    const y = doc.y;
    const line = doc.struct('TR');
    element.add(line);
    for (const [j, cell] of row.entries()) {
      tagged(doc, line, bold || j === 0 ? 'TH' : 'TD', () => {
        choose(doc, cell, bold)
          .fontSize(9.5)
          .fillColor(INK)
          .text(cell, starts[j]!, y + 3, { width: widths[j]! - 6, align: figures[j] ? 'right' : 'left' });
      });
    }
    line.end();
    doc.markContent('Artifact', { type: 'Layout' });
    doc
      .moveTo(MARGIN, y + height)
      .lineTo(MARGIN + width, y + height)
      .lineWidth(0.5)
      .strokeColor(RULE)
      .stroke();
    doc.endMarkedContent();
    doc.x = MARGIN;
    doc.y = y + height;
  }
  element.end();
  doc.moveDown(0.8);
}

function drawing(
  doc: Doc,
  parent: Structure,
  block: Extract<Block, { kind: 'drawing' }>,
  drawSvg: DrawSvg,
): void {
  const svg = drawingSvg(block.drawing);
  const width = Math.min(480, doc.page.width - 2 * MARGIN);
  if (svg) {
    const height = drawnHeight(doc, block);
    keep(doc, height + 36);
    const y = doc.y;
    const font = covers(doc.font('body'), block.drawing.arms.join('')) ? 'body' : 'wide';
    tagged(
      doc,
      parent,
      'Figure',
      () => {
        drawSvg(doc, svg, MARGIN, y, {
          width,
          height,
          // Only Sabor's own fonts, and nothing fetched or read.
          fontCallback: () => font,
          imageCallback: () => '',
        });
      },
      block.says,
    );
    doc.x = MARGIN;
    doc.y = y + height + 4;
  }
  tagged(doc, parent, 'P', () => {
    choose(doc, block.says, false).fontSize(9).fillColor(SOFT).text(block.says, MARGIN, doc.y);
  });
  doc.moveDown(0.8);
}

/** Height of a drawing on the page, in points; none where there is nothing to draw. */
function drawnHeight(doc: Doc, block: Extract<Block, { kind: 'drawing' }>): number {
  const svg = drawingSvg(block.drawing);
  if (!svg) return 0;
  const [, w, h] = /viewBox="0 0 (\d+) (\d+)"/.exec(svg)!;
  return (Math.min(480, doc.page.width - 2 * MARGIN) * Number(h)) / Number(w);
}

type Picture = Extract<Block, { kind: 'picture' }>;
/** Highest a picture stands on the page, and the room its caption takes. */
const PICTURE = 210;
const CAPTION = 26;

/** Pictures two beside each other, each with its caption under it. */
function pair(
  doc: Doc,
  parent: Structure,
  two: readonly Picture[],
  pictures: ReadonlyMap<string, Buffer>,
): void {
  const width = (doc.page.width - 2 * MARGIN - 16) / 2;
  keep(doc, PICTURE + CAPTION);
  const y = doc.y;
  let lowest = y;
  for (const [i, { photographId, caption }] of two.entries()) {
    const x = MARGIN + i * (width + 16);
    const bytes = pictures.get(photographId);
    let height = 0;
    if (bytes)
      tagged(
        doc,
        parent,
        'Figure',
        () => {
          const image = (
            doc as unknown as { openImage: (source: Buffer) => { width: number; height: number } }
          ).openImage(bytes);
          const scale = Math.min(width / image.width, PICTURE / image.height);
          height = image.height * scale;
          doc.image(image as never, x, y, { width: image.width * scale, height });
        },
        caption,
      );
    tagged(doc, parent, 'P', () => {
      const says = bytes ? caption : `[A picture that could not be put in: ${caption}]`;
      choose(doc, says, false)
        .fontSize(9)
        .fillColor(SOFT)
        .text(says, x, y + height + 4, { width });
    });
    lowest = Math.max(lowest, doc.y);
  }
  doc.x = MARGIN;
  doc.y = lowest;
  doc.moveDown(0.6);
}

function write(
  doc: Doc,
  parent: Structure,
  block: Exclude<Block, Picture>,
  next: Block | undefined,
  drawSvg: DrawSvg,
): void {
  switch (block.kind) {
    case 'heading': {
      const size = block.level === 2 ? 15 : 11;
      doc.moveDown(block.level === 2 ? 0.8 : 0.4);
      // Never alone at the foot of a page, nor parted from its drawing or its pictures.
      keep(
        doc,
        size +
          (next?.kind === 'drawing'
            ? drawnHeight(doc, next) + 40
            : next?.kind === 'picture'
              ? PICTURE + CAPTION
              : 48),
      );
      tagged(doc, parent, `H${block.level}`, () => {
        choose(doc, block.text, true).fontSize(size).fillColor(INK).text(block.text, MARGIN, doc.y);
      });
      doc.moveDown(0.25);
      return;
    }
    case 'text':
      tagged(doc, parent, 'P', () => {
        choose(doc, block.text, false).fontSize(10.5).fillColor(INK).text(block.text, MARGIN, doc.y);
      });
      doc.moveDown(0.5);
      return;
    case 'list': {
      const list = doc.struct('L');
      parent.add(list);
      for (const item of block.items)
        tagged(doc, list, 'LI', () => {
          choose(doc, item, false)
            .fontSize(10.5)
            .fillColor(INK)
            .text(`• ${item}`, MARGIN + 8, doc.y, { width: doc.page.width - 2 * MARGIN - 8 });
        });
      list.end();
      doc.x = MARGIN;
      doc.moveDown(0.5);
      return;
    }
    case 'table':
      table(doc, parent, block);
      return;
    case 'drawing':
      drawing(doc, parent, block, drawSvg);
      return;
  }
}

/** Every page's foot: the disclosure, and which page it is. */
function feet(doc: Doc, disclosure: string): void {
  const { start, count } = doc.bufferedPageRange();
  for (let i = start; i < start + count; i++) {
    doc.switchToPage(i);
    // What is written into the margin would begin a page of its own.
    doc.page.margins.bottom = 0;
    const y = doc.page.height - FOOT - 14;
    doc.markContent('Artifact', { type: 'Pagination', attached: ['Bottom'] } as never);
    choose(doc, disclosure, false)
      .fontSize(8)
      .fillColor(SOFT)
      .text(disclosure, MARGIN, y, { width: doc.page.width - 2 * MARGIN - 70, height: 24, ellipsis: true });
    doc.font('body').text(`${i + 1} of ${count}`, doc.page.width - MARGIN - 60, y, {
      width: 60,
      align: 'right',
      lineBreak: false,
    });
    doc.endMarkedContent();
  }
}

/**
 * A report as PDF: text with its fonts inside, tagged headings, lists, tables and figures, drawings as vectors, a numbered foot
 * with the disclosure on every page. `pictures`: JPEG or PNG by photograph id; one that is missing is said so.
 */
export async function asPdf(
  { title, about, blocks, disclosure }: Report,
  paper: 'A4' | 'LETTER',
  pictures: ReadonlyMap<string, Buffer>,
): Promise<Buffer> {
  // A seventh of a start is spent on these two, and few days need them.
  const [{ default: PDFDocument }, { default: drawSvg }] = await Promise.all([
    import('pdfkit'),
    import('svg-to-pdfkit'),
  ]);
  const doc = new PDFDocument({
    size: paper,
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN + FOOT },
    pdfVersion: '1.7',
    tagged: true,
    lang: 'en',
    displayTitle: true,
    bufferPages: true,
    info: { Title: title, Subject: about, Creator: 'Sabor', Producer: 'Sabor' },
  } as PDFKit.PDFDocumentOptions);
  for (const [name, file] of Object.entries(FONTS)) doc.registerFont(name, file);
  const pieces: Buffer[] = [];
  const done = new Promise<Buffer>((resolved, rejected) => {
    doc.on('data', (piece: Buffer) => pieces.push(piece));
    doc.on('end', () => resolved(Buffer.concat(pieces)));
    doc.on('error', rejected);
  });
  const root = doc.struct('Document');
  doc.addStructure(root);
  tagged(doc, root, 'H1', () => {
    choose(doc, title, true).fontSize(21).fillColor(INK).text(title, MARGIN, doc.y);
  });
  tagged(doc, root, 'P', () => {
    choose(doc, about, false).fontSize(10.5).fillColor(SOFT).text(about, MARGIN, doc.y);
  });
  doc.moveDown(0.4);
  for (let i = 0; i < blocks.length; i++) {
    const block = blocks[i]! as Block;
    if (block.kind !== 'picture') {
      write(doc, root, block, blocks[i + 1] as Block | undefined, drawSvg);
      continue;
    }
    const beside = blocks[i + 1];
    const two = beside?.kind === 'picture' ? [block, beside as Picture] : [block];
    pair(doc, root, two, pictures);
    i += two.length - 1;
  }
  tagged(doc, root, 'P', () => {
    keep(doc, 40);
    choose(doc, disclosure, true)
      .fontSize(10.5)
      .fillColor(INK)
      .text(disclosure, MARGIN, doc.y + 6);
  });
  root.end();
  feet(doc, disclosure);
  doc.end();
  return await done;
}
