import { PAPERS, type Paper, PRINTS, type Print, sheetShapes } from '@sabor/core/photo/card/sheet';
import { degrees, grayscale, PDFDocument, StandardFonts } from 'pdf-lib';

/** Points a millimetre. Source: ISO 32000, 1/72 inch. */
const PT = 72 / 25.4;

/** A sheet as a PDF of the paper's own size, everything in it drawn as vectors and told to print at its own size. */
export async function sheetPdf(print: Print, paper: Paper): Promise<Uint8Array> {
  const { width, height } = PAPERS[paper];
  const pdf = await PDFDocument.create();
  pdf.setTitle(`Sabor ${PRINTS[print].label}`);
  pdf.setLanguage('en');
  const viewer = pdf.catalog.getOrCreateViewerPreferences();
  viewer.setPrintScaling('None' as Parameters<typeof viewer.setPrintScaling>[0]);
  const page = pdf.addPage([width * PT, height * PT]);
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const up = (y: number) => (height - y) * PT;
  for (const shape of sheetShapes(print, paper))
    switch (shape.kind) {
      case 'box': {
        // Turned about its middle: PDF turns about the lower left corner, the other way round.
        const turn = -(shape.turned ?? 0);
        const [cx, cy] = [shape.x + shape.width / 2, shape.y + shape.height / 2];
        const [dx, dy] = [-shape.width / 2, -shape.height / 2];
        page.drawRectangle({
          x: cx * PT + (dx * Math.cos(turn) - dy * Math.sin(turn)) * PT,
          y: up(cy) + (dx * Math.sin(turn) + dy * Math.cos(turn)) * PT,
          width: shape.width * PT,
          height: shape.height * PT,
          rotate: degrees((turn * 180) / Math.PI),
          color: grayscale(shape.byte / 255),
        });
        break;
      }
      case 'disc':
        page.drawCircle({
          x: shape.x * PT,
          y: up(shape.y),
          size: shape.radius * PT,
          color: grayscale(shape.byte / 255),
        });
        break;
      case 'line':
        for (let i = 1; i < shape.points.length; i++) {
          const [[x1, y1], [x2, y2]] = [shape.points[i - 1]!, shape.points[i]!];
          page.drawLine({
            start: { x: x1 * PT, y: up(y1) },
            end: { x: x2 * PT, y: up(y2) },
            thickness: shape.width * PT,
            color: grayscale(shape.byte / 255),
          });
        }
        break;
      case 'words':
        page.drawText(shape.words, { x: shape.x * PT, y: up(shape.y), size: shape.size * PT, font });
    }
  return pdf.save();
}
