import { listInPicture, type PictureItem } from '@sabor/core/ingredients/label/from-picture';
import { useEffect, useRef, useState } from 'react';
import { fitPicture } from '../../offline/photo-box.ts';
import { Button } from '../../ui/button.tsx';
import { inputLook } from '../../ui/field.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { useSay } from '../../ui/undo.tsx';
import { readPicture } from '../../workers/label-reader.ts';

type Reading = { share: number } | { problem: string } | { items: PictureItem[] } | null;

/** The least certainty of a reading that is worth correcting. Model assumption. */
const LEAST_SURE = 40;

/** A label's ingredient list read off a photograph, on this device, and put right item by item before it is used. */
export default function ReadLabel({ use, had }: { use: (list: string) => void; had: string }) {
  const [reading, setReading] = useState<Reading>(null);
  const cancel = useRef<() => void>(() => {});
  const say = useSay();
  useEffect(() => () => cancel.current(), []);
  const read = async (file: File) => {
    setReading({ share: 0 });
    try {
      // A phone's picture made smaller is read sooner and no worse; one that is none is told at once.
      const { blob } = await fitPicture(file);
      const work = readPicture(blob, (share) => setReading((now) => now && { share }));
      cancel.current = work.cancel;
      const { text, confidence } = await work.answer;
      const items = listInPicture(text);
      setReading(
        items === null || confidence < LEAST_SURE
          ? {
              problem:
                'No ingredient list can be read in this picture. Take it closer, straight on and in good light, the list alone, or type it.',
            }
          : { items },
      );
    } catch (error) {
      // Stopped by the tester, the field is as it was.
      setReading((now) =>
        now === null
          ? null
          : {
              problem:
                error instanceof Error ? error.message : 'The reader stopped by itself. Try once more.',
            },
      );
    }
  };
  if (reading && 'share' in reading)
    return (
      <p role="status" className="flex flex-wrap items-center gap-3">
        Reading the picture …{' '}
        <progress value={reading.share} max={1} aria-label="Reading the picture" className="w-40" />
        <Button
          onClick={() => {
            setReading(null);
            cancel.current();
          }}
        >
          Stop
        </Button>
      </p>
    );
  if (reading && 'items' in reading) {
    const { items } = reading;
    const put = (at: number, text: string | null) =>
      setReading({
        items: items.flatMap((item, i) =>
          i !== at ? [item] : text === null ? [] : [{ text, known: true, meant: [] }],
        ),
      });
    const doubtful = items.filter(({ known }) => !known).length;
    return (
      <fieldset className="space-y-2 border-l-4 border-mango pl-4">
        <legend className="font-semibold">
          Read from the picture: {items.length} items, {doubtful} to check
        </legend>
        <p className="text-sm text-soft">
          A reading errs. Hold it against the label: what it cannot tell are names the dictionary does not
          know, and names that are misread as others.
        </p>
        <ol className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
          {items.map(({ text, known, meant }, i) => (
            <li key={i} className="flex flex-wrap items-center gap-1">
              <input
                aria-label={`Item ${i + 1}`}
                className={`${inputLook} min-w-0 flex-1 ${known ? '' : 'border-mango'}`}
                value={text}
                onChange={(e) =>
                  setReading({
                    items: items.map((item, j) => (j === i ? { ...item, text: e.target.value } : item)),
                  })
                }
              />
              <Button look="quiet" aria-label={`Take out item ${i + 1}`} onClick={() => put(i, null)}>
                ×
              </Button>
              {meant.map((one) => (
                <Button key={one} aria-label={`Mend item ${i + 1} to ${one}`} onClick={() => put(i, one)}>
                  {one}?
                </Button>
              ))}
            </li>
          ))}
        </ol>
        <div className="flex flex-wrap gap-3">
          <Button
            look="main"
            onClick={() => {
              const list = items
                .map(({ text }) => text.trim())
                .filter(Boolean)
                .join(', ');
              use(list);
              setReading(null);
              say('The list is in the field. Save the product to keep it.', () => use(had));
            }}
          >
            Use this list
          </Button>
          <Button onClick={() => setReading(null)}>Leave it</Button>
        </div>
      </fieldset>
    );
  }
  return (
    <FileField
      label="Read the list off a photograph"
      accept="image/*"
      error={reading ? reading.problem : undefined}
      onChoose={(file) => void read(file)}
    >
      on this device alone; you correct it item by item
    </FileField>
  );
}
