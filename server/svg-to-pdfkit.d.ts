declare module 'svg-to-pdfkit' {
  /** Draws an SVG into a document, as vectors. */
  export default function svgToPdf(
    doc: PDFKit.PDFDocument,
    svg: string,
    x: number,
    y: number,
    options: {
      width: number;
      height: number;
      fontCallback: () => string;
      imageCallback: () => string;
    },
  ): void;
}
