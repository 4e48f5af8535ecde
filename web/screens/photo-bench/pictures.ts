import type { FiledPhotograph, PhotographMeasured } from '@sabor/contract/photograph';
import type { Simulated } from '@sabor/core/made-up/simulated';
import { laidFrom } from '@sabor/core/photo/carry';
import { STRAIGHT } from '@sabor/core/photo/close/coherence';
import { isFromNear } from '@sabor/core/photo/measures';
import { isShotAgain } from '@sabor/core/photo/shots';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { get, put } from '../../http/http.ts';
import { type MeasuredPicture, openPhotoWorker, proxy } from '../../workers/photo.ts';
import {
  type BenchPicture,
  broughtTo,
  isKnown,
  lastRead,
  measuredOf,
  pictureName,
  splitOf,
  standing,
} from './bench-picture.ts';

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
  /** Pictures are read one after the other; null for one that was asked for anew before its turn came. */
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const read = (picture: BenchPicture, isLate: () => boolean): Promise<MeasuredPicture | null> => {
    const turn = line.current.then(() =>
      isLate()
        ? null
        : hired().measure(picture.file, {
            key: picture.id,
            leftOut: picture.leftOut,
            ruleMm: picture.ruleMm,
            orientation: picture.orientation,
            film: picture.filed?.photograph.film ?? false,
            near: picture.near,
            way: picture.way,
            empty: picture.near ? null : emptyFrame.current,
            split: splitOf(picture),
            brought: broughtTo(picture),
          }),
    );
    line.current = turn.catch(() => {});
    return turn;
  };
  /** Of each picture, which asking for it is the latest: what an earlier one says comes too late. */
  const asking = useRef(new Map<string, number>());
  /** What was left out by hand in one picture goes to those of the same view in which nothing is left out yet. */
  const layOnOthers = (picture: BenchPicture, found: MeasuredPicture) => {
    // From near the card lies on the hair, now here, now there: nothing is carried by it.
    if (picture.near || picture.laid || picture.leftOut.length === 0 || !found.card) return;
    const from = standing(found)!;
    for (const other of all.current) {
      if (other.near || other.id === picture.id || other.leftOut.length > 0 || other.state.kind !== 'read')
        continue;
      if (other.filed?.photograph.angle !== picture.filed?.photograph.angle) continue;
      const here = standing(other.state.read);
      const laid = here && laidFrom(picture.leftOut, from, here);
      if (laid) void measure({ ...other, leftOut: laid, laid: true });
    }
  };
  /** `anew`: what is read takes the place of what is kept, though nothing of the picture itself was changed. */
  const measure = async (asked: BenchPicture, anew = false) => {
    let picture = asked;
    const { leftOut, laid: isLaid, ruleMm: rule, near, way, parting, partingLaid } = picture;
    const turn = (asking.current.get(picture.id) ?? 0) + 1;
    asking.current.set(picture.id, turn);
    const isLate = () => asking.current.get(picture.id) !== turn;
    setPictures((old) =>
      old.map((one) =>
        one.id === picture.id
          ? {
              ...one,
              ...{ leftOut, laid: isLaid, ruleMm: rule, near, way, parting, partingLaid },
              state: { kind: 'measuring', last: lastRead(one) },
            }
          : one,
      ),
    );
    try {
      const found = await read(picture, isLate);
      if (!found || isLate()) return;
      const laid = {
        ...(found.laid?.leftOut ? { leftOut: found.laid.leftOut, laid: true } : {}),
        ...(found.laid?.parting ? { parting: found.laid.parting, partingLaid: true } : {}),
      };
      picture = { ...picture, ...laid };
      layOnOthers(picture, found);
      const { filed } = picture;
      const known = !anew && isKnown(picture, found.notes.includes('empty frame'), found.halves !== null);
      // A wrong file chosen for the empty frame takes nothing from what is kept.
      const spoiled = Object.values(found.readings).some(({ why }) => why === 'frames differ');
      change(picture.id, {
        // What was moved meanwhile stays where it is; it is measured next.
        ...laid,
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
        ...(isLate() ? {} : { state: { kind: 'read', read: found, kept: isKept ? 'yes' : 'failed' } }),
      });
      if (isKept) kept(now);
    } catch (error) {
      if (!isLate()) change(picture.id, { state: { kind: 'failed', why: (error as Error).message } });
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
      partingLaid = false,
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
      partingLaid,
      again,
      state: { kind: 'measuring', last: null },
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
          // One that was only guessed is guessed again.
          parting: photograph.measured?.notes.includes('parting guessed')
            ? null
            : (photograph.measured?.parting ?? null),
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
    for (const picture of all.current) if (!picture.near) void measure(picture, true);
  };
  /** Ends what is being drawn or measured. */
  const stop = () => {
    worker.current?.close();
    worker.current = null;
    // What waited behind it is not read either.
    line.current = Promise.resolve();
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
