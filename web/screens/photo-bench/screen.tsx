import { COLOURS, CURLS, type CurlKind, type HairColour } from '@sabor/core/made-up/head';
import { FRIZZ, type Frizz, USUAL_SWITCHES } from '@sabor/core/made-up/simulated';
import { CARDS } from '@sabor/core/photo/card/layout';
import { STRAIGHT } from '@sabor/core/photo/close/coherence';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { ChoiceField, NumberField } from '../../ui/inputs.tsx';
import { Heading } from '../../ui/states.tsx';
import { OnTheBench } from './on-the-bench.tsx';
import { usePictures } from './pictures.ts';
import { PrintCard } from './print-card.tsx';
import { SideBySide } from './side-by-side.tsx';

/** How long the small card's rule is printed, mm. */
const SMALL = CARDS.small.rule.length;
/** What a rule measures, where that may be true of the print; else what it should. */
const near = (told: number | null, printed: number) =>
  told !== null && told > printed / 2 && told < 1.5 * printed ? told : printed;

/** How a made-up head is looked at. */
const FRAMED = { back: { label: 'all of it, from behind' }, 'close-up': { label: 'from near' } } as const;

/** Pictures with the card in them, measured on this device: of whole heads, and of hair from near. */
export function PhotoBenchScreen() {
  const client = useQueryClient();
  const [rule, setRule] = useState<number | null>(100);
  const [smallRule, setSmallRule] = useState<number | null>(SMALL);
  const ruleMm = near(rule, 100);
  const smallMm = near(smallRule, SMALL);
  const { pictures, drawing, problem, add, draw, fetchStored, measure, change, readBeside, stop, remove } =
    usePictures({ whole: ruleMm, near: (100 * smallMm) / SMALL }, ({ wearerId }) => {
      for (const key of ['wash-days', 'trials']) void client.invalidateQueries({ queryKey: [key] });
      void client.invalidateQueries({ queryKey: ['wearers', wearerId, 'photographs'] });
    });
  const [emptyFrame, setEmptyFrame] = useState<string | null>(null);
  const takeEmpty = (file: File | null) => {
    setEmptyFrame(file?.name ?? null);
    readBeside(file);
  };
  const [search] = useSearchParams();
  const stored = search.getAll('photograph').join(' ');
  const asked = useRef('');
  useEffect(() => {
    if (stored === '' || asked.current === stored) return;
    asked.current = stored;
    void (async () => {
      for (const id of stored.split(' ')) await fetchStored(id);
    })();
  });
  const [curl, setCurl] = useState<CurlKind>('curl');
  const [colour, setColour] = useState<HairColour>('dark');
  const [frizz, setFrizz] = useState<Frizz>('some');
  const [seen, setSeen] = useState<keyof typeof FRAMED>('back');
  const [drawn, setDrawn] = useState(0);
  const onBench = new Set(pictures.flatMap(({ filed }) => filed?.photograph.id ?? []));
  const earlier = [
    ...new Map(
      pictures.flatMap(({ filed }) =>
        filed?.before && !onBench.has(filed.before.id)
          ? [[filed.before.id, { id: filed.before.id, angle: filed.photograph.angle }] as const]
          : [],
      ),
    ).values(),
  ];
  const busy = drawing !== null || pictures.some(({ state }) => state.kind === 'measuring');
  const drawOne = () => {
    setDrawn(drawn + 1);
    void draw(
      { curl, colour, frizz, angle: seen, switched: USUAL_SWITCHES, seed: 11 + drawn, shot: 0 },
      `Made-up ${drawn + 1}: ${COLOURS[colour].label} ${CURLS[curl].label}, ${FRIZZ[frizz].label}${seen === 'close-up' ? ', from near' : ''}`,
    );
  };
  return (
    <>
      <Heading title="Photo bench">
        Frizz, clumps and curl measured in a picture, not only judged. The whole head, unlit before an evenly
        lit white wall, the stand card beside it, tells frizz halo, silhouette and flyaways; hair from near,
        in soft light from the front, the small card on it, tells clumps and curls. What is read in a
        photograph of a wash day is kept with it; other pictures stay on this page alone.
      </Heading>
      <div className="grid gap-x-12 gap-y-10 lg:grid-cols-[2fr_1fr]">
        <section aria-labelledby="pictures">
          <h2 id="pictures" className="mb-3 text-xl">
            Measure pictures
          </h2>
          <div className="flex flex-wrap items-end gap-3">
            <FileField
              label="A picture of the whole head"
              accept="image/*"
              onChoose={(file) => add(file, file.name)}
            />
            <FileField
              label="Hair from near, the small card on it"
              accept="image/*"
              onChoose={(file) =>
                add(file, file.name, { near: { curlWidth: STRAIGHT, curls: [], leans: [] } })
              }
            />
            <NumberField
              label="The card’s rule really measures"
              unit="mm"
              value={rule}
              onChange={setRule}
              error={ruleMm === rule ? undefined : 'In millimetres, near 100. Until then 100 is taken.'}
            />
            <NumberField
              label="The small card’s rule"
              unit="mm"
              value={smallRule}
              onChange={setSmallRule}
              error={
                smallMm === smallRule
                  ? undefined
                  : `In millimetres, near ${SMALL}. Until then ${SMALL} is taken.`
              }
            />
          </div>
          <details className="mt-4">
            <summary className="min-h-10 cursor-pointer font-semibold">
              A wall that is not even? Read beside an empty frame
            </summary>
            <p className="mb-2 max-w-xl text-soft">
              The same place, camera and light without anybody in it: what the wall itself looks like is taken
              from there. Whole heads on this page are read beside it until you remove it.
            </p>
            <div className="flex flex-wrap items-center gap-3">
              <FileField
                key={emptyFrame}
                label="An empty frame of the same place"
                accept="image/*"
                onChoose={takeEmpty}
              >
                {emptyFrame ?? undefined}
              </FileField>
              {emptyFrame && <Button onClick={() => takeEmpty(null)}>Remove the empty frame</Button>}
            </div>
          </details>
          <details className="mt-4">
            <summary className="min-h-10 cursor-pointer font-semibold">
              No camera at hand? Draw a made-up head
            </summary>
            <div className="mt-2 flex flex-wrap items-end gap-3">
              <ChoiceField
                label="Seen"
                options={FRAMED}
                value={seen}
                onChange={(key) => key && setSeen(key)}
              />
              <ChoiceField
                label="Curl"
                options={CURLS}
                value={curl}
                onChange={(key) => key && setCurl(key)}
              />
              <ChoiceField
                label="Colour"
                options={COLOURS}
                value={colour}
                onChange={(key) => key && setColour(key)}
              />
              <ChoiceField
                label="Frizz"
                options={FRIZZ}
                value={frizz}
                onChange={(key) => key && setFrizz(key)}
              />
              <Button onClick={drawOne} disabled={drawing !== null}>
                Draw it
              </Button>
            </div>
          </details>
          <div aria-live="polite" className="mt-3 flex min-h-10 flex-wrap items-center gap-3">
            {drawing !== null && (
              <>
                <progress value={drawing} max={1} aria-label="Drawing the picture" className="w-48" />
                Drawing …
              </>
            )}
            {busy && <Button onClick={stop}>Stop</Button>}
          </div>
          {problem && (
            <p role="alert" className="font-semibold text-brick">
              {problem}
            </p>
          )}
          {pictures.length === 0 && drawing === null && (
            <p className="text-soft">
              Choose a picture, or draw one. With two you see how far apart they are; shoot the same hair
              again to learn how much two pictures of it differ by themselves.
            </p>
          )}
          <div className="grid gap-4 sm:grid-cols-2">
            {pictures.map((picture, i) => (
              <OnTheBench
                key={picture.id}
                picture={picture}
                first={i === 0}
                change={change}
                measure={(one) => void measure(one)}
                shootAgain={(plan, name) => void draw(plan, name)}
                busy={drawing !== null}
                last={pictures.at(-1) === picture}
                remove={remove}
              />
            ))}
          </div>
          {earlier.length > 0 && (
            <div className="mt-3 flex flex-wrap gap-2">
              {earlier.map(({ id, angle }) => (
                <Button key={id} onClick={() => void fetchStored(id)}>
                  Add the picture before it<span className="sr-only">, {angle}</span>
                </Button>
              ))}
            </div>
          )}
          <SideBySide pictures={pictures} />
        </section>
        <PrintCard />
      </div>
    </>
  );
}
