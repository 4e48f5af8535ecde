import type { FiledPhotograph, ListedPhotograph } from '@sabor/contract/photograph';
import { STRAIGHT } from '@sabor/core/photo/close/coherence';
import { isFromNear, measuresOf } from '@sabor/core/photo/measures';
import type { Point } from '@sabor/core/photo/plane';
import { readingNamed } from '@sabor/words/photo';
import { useEffect, useState } from 'react';
import { get } from '../../http/http.ts';
import { type MeasuredPicture, openPhotoWorker } from '../../workers/photo.ts';

/** What is drawn over a picture, in its own pixels. */
export interface Drawn {
  width: number;
  height: number;
  outline: readonly (readonly Point[])[];
  /** To where the halo is looked for. */
  reach: readonly (readonly Point[])[];
  curls: readonly (readonly Point[])[];
  /** Its numbers, or why there are none. */
  says: string;
}

async function drawnOf(id: string, worker: ReturnType<typeof openPhotoWorker>): Promise<Drawn> {
  const { photograph, curlWidth } = await get<FiledPhotograph>(`/photographs/${id}`);
  const answer = await fetch(`/api/photographs/${id}/original`);
  if (!answer.ok) throw new Error('The server does not answer just now.');
  const before = photograph.measured;
  const curls = before?.curls ?? [];
  const read: MeasuredPicture = await worker.photo.measure(await answer.blob(), {
    key: id,
    leftOut: before?.leftOut.map((area) => [...area]) ?? [],
    ruleMm: before?.ruleMm ?? 100,
    orientation: photograph.orientation,
    film: photograph.film,
    near: isFromNear(photograph.angle)
      ? { curlWidth: before?.curlWidth ?? curlWidth ?? STRAIGHT, curls, leans: before?.leans ?? [] }
      : null,
    way: before?.taken?.way ?? 'silhouette',
    empty: null,
    split: null,
    brought: null,
  });
  const { width, height, outline, reach, readings } = read;
  return {
    width,
    height,
    outline,
    reach,
    curls: curls.map((curl) => curl.map(({ x, y }) => ({ x: x * width, y: y * height }))),
    says: measuresOf(photograph.angle)
      .flatMap((measure) => {
        const value = readings[measure]?.value ?? null;
        return value === null ? [] : [readingNamed(measure, value)];
      })
      .join(' · '),
  };
}

/** What was read in pictures, drawn anew as soon as it is asked for, one picture after the other. */
export function useDrawn(pictures: readonly ListedPhotograph[], wanted: boolean) {
  const [drawn, setDrawn] = useState<ReadonlyMap<string, Drawn>>(new Map());
  const [failed, setFailed] = useState<string | null>(null);
  const ids = pictures.map(({ id }) => id).join(' ');
  const missing = ids.split(' ').filter((id) => !drawn.has(id));
  const next = wanted && failed === null ? missing[0] : undefined;
  useEffect(() => {
    if (!next) return;
    const worker = openPhotoWorker();
    let gone = false;
    drawnOf(next, worker).then(
      (found) => !gone && setDrawn((old) => new Map(old).set(next, found)),
      (error: Error) => !gone && setFailed(error.message),
    );
    return () => {
      gone = true;
      worker.close();
    };
  }, [next]);
  return { drawn, failed, left: wanted ? missing.length : 0, again: () => setFailed(null) };
}
