import { sheetSvg } from '@sabor/core/photo/card/as-svg';
import { PAPERS, type Paper, PRINTS, type Print } from '@sabor/core/photo/card/sheet';
import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { saveFile } from '../../ui/save-file.ts';

/** The cards a picture is measured by, to be printed at their own size. */
export function PrintCard() {
  const [print, setPrint] = useState<Print>('stand');
  const [paper, setPaper] = useState<Paper>('a4');
  const [problem, setProblem] = useState<string | null>(null);
  const name = `sabor ${PRINTS[print].label}, ${PAPERS[paper].label}`;
  const { width, height } = PAPERS[paper];
  const pdf = async () => {
    setProblem(null);
    try {
      const { sheetPdf } = await import('./as-pdf.ts');
      saveFile((await sheetPdf(print, paper)) as BlobPart, 'application/pdf', `${name}.pdf`);
    } catch {
      setProblem('The PDF could not be made just now. Try again, or take the SVG.');
    }
  };
  return (
    <section aria-labelledby="print">
      <h2 id="print" className="text-xl">
        Print a card
      </h2>
      <p className="mb-3 text-soft">
        It gives a picture its scale and its light. Stiff matt paper, 100 %, cut out. The stand card stands
        beside the head, in the plane of the ears; the small card lies on the hair; the test sheet tells what
        your camera can show.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <ChoiceField label="What" options={PRINTS} value={print} onChange={(key) => key && setPrint(key)} />
        <ChoiceField label="Paper" options={PAPERS} value={paper} onChange={(key) => key && setPaper(key)} />
        <Button onClick={() => void pdf()}>Download PDF</Button>
        <Button onClick={() => saveFile(sheetSvg(print, paper), 'image/svg+xml', `${name}.svg`)}>
          Download SVG
        </Button>
      </div>
      {problem && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          {problem}
        </p>
      )}
      <img
        className="mt-4 w-64 max-w-full border border-rule bg-white"
        style={{ aspectRatio: `${width} / ${height}` }}
        src={`data:image/svg+xml;utf8,${encodeURIComponent(sheetSvg(print, paper))}`}
        alt={`The ${PRINTS[print].label} on ${PAPERS[paper].label}, small`}
      />
    </section>
  );
}
