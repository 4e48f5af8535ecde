import { unlike } from '@sabor/core/photo/guard';
import {
  CLOSE_MEASURES,
  PHOTO_MEASURES,
  type PhotoMeasure,
  WHOLE_MEASURES,
} from '@sabor/core/photo/measures';
import { pictureError, tellApart } from '@sabor/core/photo/repeat';
import { toldInWords, unlikeInWords } from '@sabor/words/photo';
import type { MeasuredPicture } from '../../workers/photo.ts';
import type { BenchPicture } from './bench-picture.ts';

interface Look {
  name: string;
  /** From near, or the whole head: these are never compared. */
  near: boolean;
  shots: MeasuredPicture[];
}

/** Pictures by the hair they show: one shot again goes with the one before it. */
function looksOf(pictures: readonly BenchPicture[]): Look[] {
  const looks: Look[] = [];
  for (const { name, again, state, near } of pictures) {
    if (state.kind !== 'read') continue;
    const last = looks.at(-1);
    if (again && last && last.near === (near !== null)) last.shots.push(state.read);
    else looks.push({ name, near: near !== null, shots: [state.read] });
  }
  return looks;
}

const valuesOf = ({ shots }: Look, measure: PhotoMeasure) =>
  shots.flatMap(({ readings }) => readings[measure]?.value ?? []);

/** Each further look beside the first one, as far as the pictures are alike; nothing is called more or less within the picture’s own error. */
export function SideBySide({ pictures }: { pictures: readonly BenchPicture[] }) {
  const looks = looksOf(pictures);
  const pairs = [false, true].flatMap((near) => {
    const [first, ...others] = looks.filter((look) => look.near === near);
    return others.map((other) => ({
      first: first!,
      other,
      measures: near ? CLOSE_MEASURES : WHOLE_MEASURES,
    }));
  });
  if (pairs.length === 0) return null;
  return (
    <section aria-labelledby="apart" className="mt-8">
      <h2 id="apart" className="text-xl">
        How far apart
      </h2>
      {pairs.map(({ first, other, measures }) => {
        const [a, b] = [first.shots[0]!, other.shots[0]!];
        const differ = a.taken && b.taken ? unlike(a.taken, b.taken) : [];
        return (
          <div key={other.name} className="mt-3">
            <h3 className="font-semibold">
              {other.name}, beside {first.name}
            </h3>
            {differ.length > 0 ? (
              <>
                <p className="text-mango-deep">These two are not compared; look at them by all means.</p>
                <ul className="list-disc pl-5">
                  {differ.map((one) => (
                    <li key={one.kind}>{unlikeInWords(one)}</li>
                  ))}
                </ul>
              </>
            ) : (
              <dl>
                {measures.map((measure) => {
                  const [from, to] = [valuesOf(first, measure)[0], valuesOf(other, measure)[0]];
                  if (from === undefined || to === undefined) return null;
                  const error = pictureError(
                    measure,
                    looks.map((look) => valuesOf(look, measure)),
                  );
                  return (
                    <div key={measure} className="flex flex-wrap gap-x-3">
                      <dt className="w-32 text-soft">{PHOTO_MEASURES[measure].label}</dt>
                      <dd className="flex-1 basis-72">
                        {toldInWords(measure, tellApart(measure, from, to, error), error)}
                      </dd>
                    </div>
                  );
                })}
              </dl>
            )}
          </div>
        );
      })}
    </section>
  );
}
