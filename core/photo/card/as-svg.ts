import { PAPERS, type Paper, type Print, type Shape, sheetShapes } from './sheet.ts';

const grey = (byte: number) => `rgb(${byte},${byte},${byte})`;
const n = (value: number) => String(Number(value.toFixed(4)));
const safe = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

function element(shape: Shape): string {
  switch (shape.kind) {
    case 'box': {
      const { x, y, width, height, byte, turned } = shape;
      const turn = turned
        ? ` transform="rotate(${n((turned * 180) / Math.PI)} ${n(x + width / 2)} ${n(y + height / 2)})"`
        : '';
      return `<rect x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${n(height)}" fill="${grey(byte)}"${turn}/>`;
    }
    case 'disc':
      return `<circle cx="${n(shape.x)}" cy="${n(shape.y)}" r="${n(shape.radius)}" fill="${grey(shape.byte)}"/>`;
    case 'line':
      return `<polyline points="${shape.points.map(([x, y]) => `${n(x)},${n(y)}`).join(' ')}" fill="none" stroke="${grey(shape.byte)}" stroke-width="${n(shape.width)}"/>`;
    case 'words':
      return `<text x="${n(shape.x)}" y="${n(shape.y)}" font-family="sans-serif" font-size="${n(shape.size)}">${safe(shape.words)}</text>`;
  }
}

/** A sheet as an SVG in millimetres, the paper's own size. Source: SVG 2 (W3C). */
export function sheetSvg(print: Print, paper: Paper): string {
  const { width, height } = PAPERS[paper];
  const body = sheetShapes(print, paper).map(element).join('\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" shape-rendering="geometricPrecision">
<rect width="${width}" height="${height}" fill="white"/>
${body}
</svg>
`;
}
