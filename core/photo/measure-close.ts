import type { FoundCard } from './card/find.ts';
import { clumpWidthOf, type SpectrumStep } from './close/clump-width.ts';
import { coherenceOf, STRAIGHT } from './close/coherence.ts';
import { contrastOf } from './close/contrast.ts';
import { type Curl, type CurlTrouble, curlFrom, curlsTogether } from './close/curl.ts';
import { grainOf } from './close/grain.ts';
import { closeGrid, closeHair } from './close/hair.ts';
import { type Shine, shineOf } from './close/shine.ts';
import type { Taken } from './guard.ts';
import { luminanceOf } from './light.ts';
import { cardIn, given, type Reading, type Readings, withCard } from './measure.ts';
import { CLOSE_MEASURES } from './measures.ts';
import type { Mask, Picture, Point } from './plane.ts';
import type { Note, Refusal } from './refusals.ts';
import { Steps } from './steps.ts';

/** All that is read in a picture of hair from near. */
export interface CloseMeasures {
  card: FoundCard | null;
  taken: Taken | null;
  readings: Readings;
  /** Each tagged curl in turn, or why it cannot be read. */
  curls: readonly ({ curl: Curl; trouble: null } | { curl: null; trouble: CurlTrouble })[];
  shine: Shine | null;
  spectrum: readonly SpectrumStep[];
  notes: readonly Note[];
}

/** Under so many pixels a millimetre hair from near is read coarsely, which is told. Source: methods.md 4. */
const CLOSE = 8;
/** The card's edge rises within so many millimetres. Source: methods.md 4. */
const SHARP_MM = 0.25;
/** Room about the small card that is left out with it, mm: its shadow. Judged. */
const ROOM = 4;

/**
 * All that can be read in a picture of hair from near, in soft light from the front, the small card on it. `masked` is what is
 * no hair (of the picture's size); `curlWidth` the width of a curl directions are gathered by, mm, the same for all pictures
 * of a wearer and zone; `tagged` the crests of curls, pixels, and `leans` how far each leans out of the picture's plane,
 * degrees; `steps` is what was found in this picture before. A refused measure never refuses the picture. Source: methods.md 4.
 */
export function measureClose(
  picture: Picture,
  {
    ruleMm,
    masked,
    curlWidth = STRAIGHT,
    tagged = [],
    leans = [],
    film = false,
    steps = new Steps(),
  }: {
    ruleMm?: number;
    masked?: Mask;
    curlWidth?: number;
    tagged?: readonly (readonly Point[])[];
    leans?: readonly number[];
    film?: boolean;
    steps?: Steps;
  } = {},
): CloseMeasures {
  const all = (why: Refusal): Readings =>
    Object.fromEntries(CLOSE_MEASURES.map((key) => [key, { value: null, why }]));
  const found = cardIn(picture, 'small', ruleMm, steps);
  if (!found.card)
    return { ...found, readings: all(found.trouble), curls: [], shine: null, spectrum: [], notes: [] };
  const { card, taken } = found;
  // Curls are tagged by eye: they need the scale alone.
  const curls = tagged.map((crests, i) => curlFrom(crests, card.pxPerMm, leans[i]));
  const together = curlsTogether(curls.flatMap(({ curl }) => curl ?? []));
  const fromCurls = (value: number | undefined): Reading => given(value ?? null, 'few curls');
  const ofCurls = {
    'curl-radius': fromCurls(together?.radius),
    'curl-index': fromCurls(together?.index),
  };
  const coarse = card.pxPerMm < CLOSE;
  const notes: Note[] = [
    ...(coarse ? (['coarse from near'] as const) : []),
    ...(masked ? [] : (['all taken for hair'] as const)),
  ];
  const refused = (why: Refusal): CloseMeasures => ({
    card,
    taken,
    readings: { ...all(why), ...ofCurls },
    curls,
    shine: null,
    spectrum: [],
    notes,
  });
  if (!card.edge || card.edge.mm > SHARP_MM) return refused('picture soft');
  const { edge } = card;
  const { grid, grain } = steps.take('grid', [picture, card], () => {
    const grid = closeGrid(luminanceOf(picture), card.pxPerMm);
    return { grid, grain: grainOf(grid, card) };
  });
  if (!grain) return refused('too coarse');
  const hair = steps.take('hair', [grid, masked], () =>
    closeHair(grid, withCard(picture, card, masked, ROOM)),
  );
  const contrast = film
    ? ({ value: null, trouble: 'from film' } as const)
    : steps.take('contrast', [hair], () => contrastOf(hair, edge.mm, grain));
  const coherence = steps.take('coherence', [hair, curlWidth], () => coherenceOf(hair, curlWidth, grain));
  const width = steps.take('width', [hair], () => clumpWidthOf(hair));
  return {
    card,
    taken,
    readings: {
      'clump-contrast': given(contrast.value, contrast.trouble),
      coherence: given(coherence.value, coherence.trouble),
      'clump-width': given(width.value, width.trouble),
      ...ofCurls,
    },
    curls,
    shine: steps.take('shine', [hair], () => shineOf(grid.light, hair.hair, grid.pxPerMm)),
    spectrum: width.spectrum,
    notes,
  };
}
