import type { CheckIn, FeltInput } from '@sabor/contract/check-in';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { mainResult } from '@sabor/core/compare/main-result';
import { FELT, type Felt, feltAtStage, usuallyAsked } from '@sabor/core/felt/felt';
import type { Stage } from '@sabor/core/outcomes/stages';
import { DESIGNS } from '@sabor/core/trial/designs';
import { useState } from 'react';
import { benchChip, FiveWords } from '../../ui/five-words.tsx';

/** What a trial asks for at a check-in, and what else can be told there. */
export function askedAt(
  trial: Pick<TrialDetail, 'asked' | 'plan' | 'primary'>,
  stage: Stage,
): { asked: Felt[]; more: Felt[] } {
  const all = feltAtStage(stage);
  const chosen =
    trial.asked.length > 0
      ? trial.asked
      : usuallyAsked(trial.plan.filter(({ part }) => part === 'tested').map(({ slot }) => slot));
  // What the trial is judged by is asked first.
  const main = mainResult(trial.primary).felt?.quality;
  const asked = (
    stage === 'before' ? all : all.filter((key) => key === main || chosen.includes(key))
  ).toSorted((a, b) => Number(b === main) - Number(a === main));
  return { asked, more: all.filter((key) => !asked.includes(key)) };
}

/** Readings in five words of a check-in: of the whole head, or of each half where the options lie side by side. */
export function InWords({
  trial,
  wearer,
  stage,
  taken,
  tell,
}: {
  trial: TrialDetail;
  wearer: Wearer;
  stage: Stage;
  taken: CheckIn | undefined;
  tell: (felt: FeltInput[], words: string, undo: FeltInput[]) => void;
}) {
  const { asked, more } = askedAt(trial, stage);
  const counting = new Set(trial.weights.map(({ zoneId }) => zoneId));
  const zonesOf = (side: 'left' | 'right') =>
    wearer.zones.filter((zone) => zone.side === side && counting.has(zone.id)).map(({ id }) => id);
  const sided = DESIGNS[trial.design].halves && stage !== 'before';
  const halves = [
    { label: 'left half', zoneIds: zonesOf('left') },
    { label: 'right half', zoneIds: zonesOf('right') },
  ];
  const [apart, setApart] = useState(false);
  if (asked.length + more.length === 0) return null;
  const wordOf = (quality: Felt, zoneId: string | null) =>
    taken?.felt.find((one) => one.quality === quality && one.zoneId === zoneId)?.value ?? null;
  const reading = (quality: Felt) => {
    const { label, words } = FELT[quality];
    const values = halves.map(({ zoneIds }) => wordOf(quality, zoneIds[0] ?? null));
    const differ = sided && (apart || values[0] !== values[1]);
    const places: { label: string; zoneIds: (string | null)[] }[] = differ
      ? halves
      : [{ label: '', zoneIds: sided ? halves.flatMap(({ zoneIds }) => zoneIds) : [null] }];
    return places.map(({ label: place, zoneIds }) => {
      const values = zoneIds.map((zoneId) => wordOf(quality, zoneId));
      const value = values.every((one) => one === values[0]) ? (values[0] ?? null) : null;
      const told = zoneIds.map((zoneId, i) => ({ quality, zoneId, value: values[i]! }));
      return (
        <FiveWords
          key={`${quality} ${place}`}
          label={place ? `${label}, ${place}` : label}
          words={words}
          value={value}
          choose={(to, word) =>
            tell(
              zoneIds.map((zoneId) => ({ quality, zoneId, value: to })),
              `${label}${place && `, ${place}`}: ${to === null ? 'taken back' : word}.`,
              told,
            )
          }
        />
      );
    });
  };
  return (
    <section aria-labelledby="in-words" className="space-y-3">
      <h2 id="in-words" className="text-xl">
        In words
      </h2>
      {sided && (
        <button type="button" className={benchChip} aria-pressed={apart} onClick={() => setApart(!apart)}>
          Left and right apart
        </button>
      )}
      {asked.flatMap(reading)}
      {more.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            More readings ({more.length})
          </summary>
          <div className="space-y-3">{more.flatMap(reading)}</div>
        </details>
      )}
    </section>
  );
}
