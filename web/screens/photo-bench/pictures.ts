import type { FiledPhotograph, PhotographMeasured } from '@sabor/contract/photograph';
import { ANGLES } from '@sabor/core/basin/angles';
import type { Orientation } from '@sabor/core/basin/photograph-size';
import type { Simulated } from '@sabor/core/made-up/simulated';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { carried } from '@sabor/core/photo/carry';
import { STRAIGHT } from '@sabor/core/photo/close/coherence';
import type { Way } from '@sabor/core/photo/guard';
import { CLOSE_MEASURES, isFromNear, WHOLE_MEASURES } from '@sabor/core/photo/measures';
import { isSplitAngle } from '@sabor/core/photo/parting';
import type { Point } from '@sabor/core/photo/plane';
import { isShotAgain } from '@sabor/core/photo/shots';
import { dayName } from '@sabor/words/day-name';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { get, put } from '../../http/http.ts';
import { type MeasuredPicture, openPhotoWorker, proxy } from '../../workers/photo.ts';

/** A picture on the bench, measured or on its way. */
export interface BenchPicture {
  id: string;
  name: string;
  url: string;
  file: Blob;
  /** How its pixels have to be turned beyond what the file says. */
  orientation: Orientation;
  /** Where it is stored, when it is a photograph of a wash day. */
  filed: FiledPhotograph | null;
  /** What it was drawn from, where it is made up. */
  madeUp: Simulated | null;
  /** What the rule of its card really measures. */
  ruleMm: number;
  /** Areas of what is no hair, as shares of the upright picture. */
  leftOut: Point[][];
  /** Those areas were laid here from another picture from this angle, and nobody has moved them since. */
  laid: boolean;
  /** Hair from near: the width of a curl it is read by and tagged curls, as shares; null for a whole head. */
  near: { curlWidth: number; curls: Point[][]; leans: number[] } | null;
  /** How hair is told from the wall. */
  way: Way;
  /** Where the parting runs, as shares, once it was said. */
  parting: Point[] | null;
  /** The same hair as the picture before it, shot again. */
  again: boolean;
  state:
    | { kind: 'measuring' }
    | { kind: 'read'; read: MeasuredPicture; kept: 'no' | 'yes' | 'failed' | 'not asked' }
    | { kind: 'failed'; why: string };
}

/** All below a share of the height, as an area; what the slider draws. */
export const allBelow = (from: number): Point[] => [
  { x: 0, y: from },
  { x: 1, y: from },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];
/** Where such an area begins; null for any other. */
export const belowOf = (area: readonly Point[]): number | null =>
  area.length === 4 && area.every(({ x, y }, i) => x === (i === 1 || i === 2 ? 1 : 0) && (i < 2 || y === 1))
    ? area[0]!.y
    : null;

const inShares = (points: readonly Point[], { width, height }: MeasuredPicture): Point[] =>
  points.map(({ x, y }) => ({ x: x / width, y: y / height }));

/** What was left out in another picture, laid where it belongs in this one. */
function laidFrom(
  before: Pick<NonNullable<FiledPhotograph['before']>, 'leftOut' | 'card' | 'aspect'> | null | undefined,
  read: MeasuredPicture,
): Point[][] | null {
  if (!before || before.leftOut.length === 0 || !read.card) return null;
  const aspect = read.width / read.height;
  const round = (points: readonly Point[], by: number) => points.map(({ x, y }) => ({ x: x * by, y }));
  const brought = carried(
    before.leftOut.map((area) => round(area, before.aspect)),
    round(before.card, before.aspect),
    round(inShares(read.card.corners, read), aspect),
  );
  return brought?.map((area) => round(area, 1 / aspect)) ?? null;
}

/** "Wash day 3, day 1, back". */
const pictureName = (filed: FiledPhotograph) =>
  [
    dayName(filed, filed.position),
    stageLabel(filed.photograph.stage, filed.photograph.day),
    ANGLES[filed.photograph.angle].label,
  ].join(', ');

/**
 * Whether a stored photograph was measured just so before: looking at it again keeps no other reading, and takes none from
 * it that rests on an empty frame which is not here. `beside`: it is read beside an empty frame now.
 */
const isKnown = (
  { filed, ruleMm, leftOut, near, way, parting }: BenchPicture,
  beside: boolean,
  isSplit: boolean,
): boolean => {
  const before = filed?.photograph.measured;
  const of = (curlWidth: number | null, curls: unknown, leans: readonly number[], out: unknown) =>
    JSON.stringify([curlWidth, curls, leans.some((lean) => lean !== 0) ? leans : [], out]);
  return (
    before != null &&
    before.ruleMm === ruleMm &&
    (before.taken === null || before.taken.way === way) &&
    !beside &&
    // Measured before halves were told apart, it is read once more.
    isSplit === (before.parting !== null) &&
    (parting === null || JSON.stringify(parting) === JSON.stringify(before.parting)) &&
    of(before.curlWidth, before.curls, before.leans, before.leftOut) ===
      of(near?.curlWidth ?? null, near?.curls ?? [], near?.leans ?? [], leftOut)
  );
};

const measuredOf = (picture: BenchPicture, read: MeasuredPicture): PhotographMeasured => ({
  measuredAt: new Date().toISOString(),
  ruleMm: picture.ruleMm,
  leftOut: picture.leftOut,
  taken: read.taken && read.card && { card: inShares(read.card.corners, read), ...read.taken },
  thinnest: read.thinnest,
  widths: [...read.widths],
  notes: [...read.notes],
  curlWidth: picture.near?.curlWidth ?? null,
  curls: picture.near?.curls ?? [],
  leans: picture.near?.leans ?? [],
  parting: read.halves?.parting ?? null,
  readings: ([null, 'left', 'right'] as const).flatMap((half) => {
    const readings = half ? read.halves?.[half] : read.readings;
    return (picture.near ? CLOSE_MEASURES : WHOLE_MEASURES).flatMap((measure) => {
      const reading = readings?.[measure];
      return reading ? [{ measure, half, ...reading }] : [];
    });
  }),
});

/** Photographs of a half-head's wash day that show both halves are split at the parting. */
const splitOf = ({ filed, parting }: BenchPicture) => {
  const angle = filed?.halves ? filed.photograph.angle : null;
  return angle && isSplitAngle(angle) ? { angle, parting } : null;
};

/** Pictures that lie on the bench for as long as the page is open; of photographs of a wash day what was read is kept with them. */
export function usePictures(
  /** What 100 mm on the stand card and on the small card really measure. */
  rules: { whole: number; near: number },
  kept: (photograph: FiledPhotograph) => void,
) {
  const [pictures, setPictures] = useState<readonly BenchPicture[]>([]);
  const [drawing, setDrawing] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const worker = useRef<ReturnType<typeof openPhotoWorker> | null>(null);
  /** The frame without a head that whole heads are read beside. */
  const emptyFrame = useRef<Blob | null>(null);
  const all = useRef(pictures);
  all.current = pictures;
  useEffect(
    () => () => {
      worker.current?.close();
      for (const { url } of all.current) URL.revokeObjectURL(url);
    },
    [],
  );
  const hired = () => {
    worker.current ??= openPhotoWorker();
    return worker.current.photo;
  };
  const change = (id: string, to: Partial<BenchPicture>) =>
    setPictures((old) => old.map((one) => (one.id === id ? { ...one, ...to } : one)));
  const read = (picture: BenchPicture) =>
    hired().measure(picture.file, {
      leftOut: picture.leftOut,
      ruleMm: picture.ruleMm,
      orientation: picture.orientation,
      film: picture.filed?.photograph.film ?? false,
      near: picture.near,
      way: picture.way,
      empty: picture.near ? null : emptyFrame.current,
      split: splitOf(picture),
    });
  /** What was left out by hand in one picture goes to those of the same view in which nothing is left out yet. */
  const layOnOthers = (picture: BenchPicture, found: MeasuredPicture) => {
    // From near the card lies on the hair, now here, now there: nothing is carried by it.
    if (picture.near || picture.laid || picture.leftOut.length === 0 || !found.card) return;
    const from = {
      leftOut: picture.leftOut,
      card: inShares(found.card.corners, found),
      aspect: found.width / found.height,
    };
    for (const other of all.current) {
      if (other.near || other.id === picture.id || other.leftOut.length > 0 || other.state.kind !== 'read')
        continue;
      if (other.filed?.photograph.angle !== picture.filed?.photograph.angle) continue;
      const laid = laidFrom(from, other.state.read);
      if (laid) void measure({ ...other, leftOut: laid, laid: true });
    }
  };
  const measure = async (asked: BenchPicture) => {
    let picture = asked;
    const { leftOut, laid: isLaid, ruleMm: rule, near, way, parting } = picture;
    change(picture.id, {
      ...{ leftOut, laid: isLaid, ruleMm: rule, near, way, parting },
      state: { kind: 'measuring' },
    });
    try {
      let found = await read(picture);
      const laid =
        picture.filed && !picture.near && !picture.filed.photograph.measured && picture.leftOut.length === 0
          ? laidFrom(picture.filed.before, found)
          : null;
      if (laid) {
        picture = { ...picture, leftOut: laid, laid: true };
        found = await read(picture);
      }
      layOnOthers(picture, found);
      const { filed } = picture;
      const known = isKnown(picture, found.notes.includes('empty frame'), found.halves !== null);
      // A wrong file chosen for the empty frame takes nothing from what is kept.
      const spoiled = Object.values(found.readings).some(({ why }) => why === 'frames differ');
      change(picture.id, {
        // What was moved meanwhile stays where it is; it is measured next.
        ...(laid ? { leftOut: laid, laid: true } : {}),
        state: { kind: 'read', read: found, kept: spoiled ? 'not asked' : known ? 'yes' : 'no' },
      });
      if (!filed || known || spoiled) return;
      const measured = measuredOf(picture, found);
      const isKept = await put<PhotographMeasured>(
        `/photographs/${filed.photograph.id}/measured`,
        measured,
      ).then(
        () => true,
        () => false,
      );
      // What is measured again from here on was measured before.
      const now = { ...filed, photograph: { ...filed.photograph, measured } };
      change(picture.id, {
        filed: now,
        state: { kind: 'read', read: found, kept: isKept ? 'yes' : 'failed' },
      });
      if (isKept) kept(now);
    } catch (error) {
      change(picture.id, { state: { kind: 'failed', why: (error as Error).message } });
    }
  };
  // Another scale is another reading: what lies on the bench is measured anew.
  const ruleOf = ({ near }: Pick<BenchPicture, 'near'>) => (near ? rules.near : rules.whole);
  const measuredBy = useRef(rules);
  useEffect(() => {
    const before = measuredBy.current;
    measuredBy.current = rules;
    for (const picture of all.current) {
      const rule = ruleOf(picture);
      if (rule !== (picture.near ? before.near : before.whole)) void measure({ ...picture, ruleMm: rule });
    }
  });
  const add = (
    file: Blob,
    name: string,
    {
      url = URL.createObjectURL(file),
      orientation = 1,
      leftOut = [],
      filed = null,
      madeUp = null,
      near = null,
      way = 'silhouette',
      parting = null,
      again = false,
      ruleMm: rule = ruleOf({ near }),
    }: Partial<BenchPicture> = {},
    /** The picture it is laid behind; at the end where there is none. */
    behind?: BenchPicture,
  ) => {
    const picture: BenchPicture = {
      id: v7(),
      name,
      url,
      file,
      orientation,
      ruleMm: rule,
      leftOut,
      laid: false,
      filed,
      madeUp,
      near,
      way,
      parting,
      again,
      state: { kind: 'measuring' },
    };
    setPictures((old) =>
      old.toSpliced(behind ? old.findIndex(({ id }) => id === behind.id) + 1 : old.length, 0, picture),
    );
    void measure(picture);
  };
  const draw = async (plan: Simulated, name: string) => {
    setProblem(null);
    setDrawing(0);
    try {
      const { file, leftOut } = await hired().madeUp(plan, proxy(setDrawing));
      add(file, name, {
        leftOut,
        madeUp: plan,
        near: isFromNear(plan.angle) ? { curlWidth: STRAIGHT, curls: [], leans: [] } : null,
        again: plan.shot > 0,
      });
    } catch {
      setProblem('The picture could not be drawn just now. Try again.');
    } finally {
      setDrawing(null);
    }
  };
  /** Takes up a photograph of a wash day, as its camera wrote it; shown is its upright copy. */
  const fetchStored = async (id: string) => {
    setProblem(null);
    try {
      const filed = await get<FiledPhotograph>(`/photographs/${id}`);
      const { photograph } = filed;
      const answer = await fetch(`/api/photographs/${id}/original`);
      if (!answer.ok) throw new Error('The server does not answer just now. Try again.');
      // Hair shot again lies beside its other shots, whenever it is fetched.
      const shot = all.current.findLast(
        (one) =>
          one.filed?.washDayId === filed.washDayId &&
          one.filed.photograph.stage === photograph.stage &&
          one.filed.photograph.day === photograph.day &&
          one.filed.photograph.angle === photograph.angle &&
          one.filed.photograph.zoneId === photograph.zoneId &&
          isShotAgain(Date.parse(one.filed.photograph.takenAt), Date.parse(photograph.takenAt)),
      );
      add(
        await answer.blob(),
        pictureName(filed),
        {
          url: `/api/photographs/${id}/image`,
          orientation: photograph.orientation,
          leftOut: photograph.measured?.leftOut.map((area) => [...area]) ?? [],
          filed,
          way: photograph.measured?.taken?.way ?? 'silhouette',
          parting: photograph.measured?.parting ?? null,
          near: isFromNear(photograph.angle)
            ? {
                curlWidth: filed.curlWidth ?? photograph.measured?.curlWidth ?? STRAIGHT,
                curls: photograph.measured?.curls.map((curl) => [...curl]) ?? [],
                leans: [...(photograph.measured?.leans ?? [])],
              }
            : null,
          ruleMm:
            photograph.measured?.ruleMm ??
            filed.before?.ruleMm ??
            (isFromNear(photograph.angle) ? rules.near : rules.whole),
          again: shot !== undefined,
        },
        shot,
      );
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  /** Takes another empty frame, or none: whole heads that lie here are read anew. */
  const readBeside = (empty: Blob | null) => {
    emptyFrame.current = empty;
    for (const picture of all.current) if (!picture.near) void measure(picture);
  };
  /** Ends what is being drawn or measured. */
  const stop = () => {
    worker.current?.close();
    worker.current = null;
    setDrawing(null);
    setPictures((old) =>
      old.map((one) =>
        one.state.kind === 'measuring' ? { ...one, state: { kind: 'failed', why: 'Stopped.' } } : one,
      ),
    );
  };
  const remove = (id: string) => {
    const gone = all.current.find((one) => one.id === id);
    if (gone) URL.revokeObjectURL(gone.url);
    setPictures((old) => old.filter((one) => one.id !== id));
  };
  return { pictures, drawing, problem, add, draw, fetchStored, measure, change, readBeside, stop, remove };
}
