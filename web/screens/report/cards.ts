import type { Card } from '@sabor/words/report/card';
import { cardStripSvg } from '@sabor/words/report/drawings';

/** The shapes a card is posted in, in pixels. Common practice, no source. */
export const CARDS = {
  portrait: { label: 'portrait, 1080 × 1350', width: 1080, height: 1350 },
  tall: { label: 'tall, 1080 × 1920', width: 1080, height: 1920 },
  wide: { label: 'wide, 1920 × 1080', width: 1920, height: 1080 },
} as const;
export type CardShape = keyof typeof CARDS;

const PAPER = '#FCF7EE';
const INK = '#241528';
const SOFT = '#5E5264';
const MANGO = '#E39B2D';
const MARGIN = 72;
const DISPLAY = '"Bricolage Grotesque Variable", sans-serif';
const BODY = '"Public Sans Variable", sans-serif';
/** Text is never smaller than this: a card is read on a phone. */
const LEAST = 24;

interface Style {
  size: number;
  family: string;
  weight: number;
  colour: string;
}

interface Laid {
  lines: string[];
  size: number;
  height: number;
}

const LEADING = 1.25;
const fontOf = ({ size, family, weight }: Style) => `${weight} ${size}px ${family}`;

/** A text broken into lines that fit a width; a word that is longer than a line is broken too. */
function broken(pen: CanvasRenderingContext2D, text: string, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  const put = (word: string) => {
    const longer = line === '' ? word : `${line} ${word}`;
    if (pen.measureText(longer).width <= width) {
      line = longer;
      return;
    }
    if (line !== '') lines.push(line);
    line = '';
    for (const sign of word) {
      if (line !== '' && pen.measureText(line + sign).width > width) {
        lines.push(line);
        line = '';
      }
      line += sign;
    }
  };
  for (const word of text.split(/\s+/).filter(Boolean)) put(word);
  return line === '' ? lines : [...lines, line];
}

/** A text at the largest size up to its own that takes no more than so much room; at the least size it is cut, with an ellipsis. */
function laid(pen: CanvasRenderingContext2D, text: string, style: Style, width: number, room: number): Laid {
  for (let { size } = style; ; size = Math.max(LEAST, size - 2)) {
    pen.font = fontOf({ ...style, size });
    const lines = broken(pen, text, width);
    const height = lines.length * size * LEADING;
    if (height <= room) return { lines, size, height };
    if (size <= LEAST) {
      const most = Math.max(1, Math.floor(room / (size * LEADING)));
      const kept = lines.slice(0, most);
      kept[most - 1] = `${kept[most - 1]!.replace(/\W+\w*$/, '')} …`;
      return { lines: kept, size, height: most * size * LEADING };
    }
  }
}

/** {@link laid} of what may not be cut. Throws where it is too long for a card. */
function laidWhole(
  pen: CanvasRenderingContext2D,
  text: string,
  style: Style,
  width: number,
  room: number,
): Laid {
  const found = laid(pen, text, style, width, room);
  if (found.lines.length < broken(pen, text, width).length)
    throw new Error('What must stand on the card is too long for it. Take the PDF or the page instead.');
  return found;
}

function write(
  pen: CanvasRenderingContext2D,
  { lines, size }: Laid,
  style: Style,
  x: number,
  y: number,
): void {
  pen.font = fontOf({ ...style, size });
  pen.fillStyle = style.colour;
  pen.textBaseline = 'top';
  for (const [i, line] of lines.entries()) pen.fillText(line, x, y + i * size * LEADING);
}

const imageOf = (address: string): Promise<HTMLImageElement> =>
  new Promise((done, failed) => {
    const image = new Image();
    image.onload = () => done(image);
    image.onerror = () => failed(new Error('A picture of the card could not be read.'));
    image.src = address;
  });

type Room = readonly [x: number, y: number, width: number, height: number];

/** A picture whole within a room, at its top; gives the height it takes. */
function fitted(pen: CanvasRenderingContext2D, image: HTMLImageElement, [x, y, w, h]: Room): number {
  const by = Math.min(w / image.naturalWidth, h / image.naturalHeight);
  const [wide, high] = [image.naturalWidth * by, image.naturalHeight * by];
  pen.drawImage(image, x + (w - wide) / 2, y, wide, high);
  return high;
}

/** Lines one under the other, as many as there is room for. */
function listed(pen: CanvasRenderingContext2D, lines: readonly string[], [x, y, w, h]: Room): void {
  const style = { size: 32, family: BODY, weight: 400, colour: INK };
  let at = y;
  for (const line of lines) {
    const text = laid(pen, line, style, w, Number.POSITIVE_INFINITY);
    if (at + text.height > y + h) return;
    write(pen, text, style, x, at);
    at += text.height + 16;
  }
}

/** What is drawn below the words: up to two pictures with what they show, else the drawing, else what is listed. */
async function drawShown(
  pen: CanvasRenderingContext2D,
  card: Card,
  pictures: ReadonlyMap<string, string>,
  [x, y, w, h]: Room,
): Promise<void> {
  const own = card.pictures.flatMap(({ photographId, caption }) => {
    const address = pictures.get(photographId);
    return address ? [{ address, caption }] : [];
  });
  if (own.length > 0) {
    const shown = own.slice(0, 2);
    const each = (w - (shown.length - 1) * 24) / shown.length;
    const style = { size: 26, family: BODY, weight: 400, colour: SOFT };
    for (const [i, { address, caption }] of shown.entries()) {
      const at = x + i * (each + 24);
      const text = laid(pen, caption, style, each, 70);
      const high = fitted(pen, await imageOf(address), [at, y, each, h - text.height - 12]);
      write(pen, text, style, at, y + high + 12);
    }
    return;
  }
  const strip = card.drawing && cardStripSvg(card.drawing, Math.round(w));
  if (!strip) return listed(pen, card.lines, [x, y, w, h]);
  const address = URL.createObjectURL(new Blob([strip.svg], { type: 'image/svg+xml' }));
  try {
    fitted(pen, await imageOf(address), [x, y, w, h]);
  } finally {
    URL.revokeObjectURL(address);
  }
}

/**
 * A card as a PNG: the headline, what it says, pictures or the drawing, how it may be taken, and the disclosure. `pictures`
 * are data addresses by their ids. A PNG of a canvas carries no place and no maker.
 */
export async function drawCard(
  card: Card,
  shape: CardShape,
  pictures: ReadonlyMap<string, string>,
): Promise<Blob> {
  const { width, height } = CARDS[shape];
  const canvas = Object.assign(document.createElement('canvas'), { width, height });
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser cannot draw a card.');
  await Promise.all([document.fonts.load(`700 40px ${DISPLAY}`), document.fonts.load(`400 40px ${BODY}`)]);
  pen.fillStyle = PAPER;
  pen.fillRect(0, 0, width, height);
  const wide = shape === 'wide';
  const column = wide ? (width - 3 * MARGIN) * 0.52 : width - 2 * MARGIN;
  const full = height - 2 * MARGIN;
  const styles = {
    about: { size: 26, family: BODY, weight: 400, colour: SOFT },
    headline: { size: wide ? 62 : 68, family: DISPLAY, weight: 700, colour: INK },
    says: { size: 36, family: BODY, weight: 400, colour: INK },
    standing: { size: 28, family: BODY, weight: 400, colour: SOFT },
    disclosure: { size: 28, family: BODY, weight: 600, colour: INK },
  } satisfies Record<string, Style>;
  // What may not be left out takes its room first.
  const disclosure = laidWhole(pen, card.disclosure, styles.disclosure, column - 28, full * 0.24);
  const standing = laidWhole(pen, card.standing, styles.standing, column, full * 0.34);
  const foot = height - MARGIN - disclosure.height;
  const standingAt = foot - 28 - standing.height;
  const about = laid(pen, card.about, styles.about, column, 70);
  const headline = laid(pen, card.headline, styles.headline, column, full * (wide ? 0.34 : 0.24));
  write(pen, about, styles.about, MARGIN, MARGIN);
  let y = MARGIN + about.height + 14;
  write(pen, headline, styles.headline, MARGIN, y);
  y += headline.height + 20;
  if (card.says) {
    const says = laid(pen, card.says, styles.says, column, wide ? standingAt - y - 28 : full * 0.16);
    write(pen, says, styles.says, MARGIN, y);
    y += says.height + 28;
  }
  await drawShown(
    pen,
    card,
    pictures,
    wide
      ? [2 * MARGIN + column, MARGIN, width - 3 * MARGIN - column, full]
      : [MARGIN, y, column, standingAt - y - 28],
  );
  write(pen, standing, styles.standing, MARGIN, standingAt);
  pen.fillStyle = MANGO;
  pen.fillRect(MARGIN, foot, 8, disclosure.height);
  write(pen, disclosure, styles.disclosure, MARGIN + 28, foot);
  return new Promise((done, failed) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : failed(new Error('The card could not be drawn.'))),
      'image/png',
    ),
  );
}
