import type { ListedPhotograph } from '@sabor/contract/photograph';
import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import { namesOf } from '@sabor/words/taken';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useClips, usePhotographs, useWearers } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { InStep } from './in-step.tsx';
import { Table } from './table.tsx';

/** Most pictures that lie on the table at once; days of a wear and turns about a head may be more. */
const MOST = 4;

/** Photographs of one head, laid over each other at one scale and brightness. */
export function LightTableScreen() {
  const [search, setSearch] = useSearchParams();
  const wearers = useWearers();
  const head = search.get('head') ?? wearers.data?.[0]?.id ?? '';
  const photographs = usePhotographs(head);
  const clips = useClips(head);
  if (wearers.isLoadingError) return <Failed error={wearers.error} retry={wearers.refetch} />;
  if (photographs.isLoadingError) return <Failed error={photographs.error} retry={photographs.refetch} />;
  if (!wearers.data || (head !== '' && !photographs.data)) return <Loading what="the photographs" />;
  const all = photographs.data ?? [];
  const ids = search.getAll('photograph');
  const chosen = ids.flatMap((id) => all.find((one) => one.id === id) ?? []);
  const names = namesOf(all, ({ angle }) => ANGLES[angle].label);
  const put = (to: readonly string[]) => {
    const next = new URLSearchParams({ head });
    for (const id of to) next.append('photograph', id);
    setSearch(next, { replace: true });
  };
  return (
    <>
      <Heading title="Light table">
        Two to four photographs of one angle at one scale and brightness: laid over each other by the card, or
        by two points tapped in each. One pan and zoom moves all. Short clips of two wash days play in step.
      </Heading>
      <p className="mb-4 flex flex-wrap items-center gap-3">
        <InlineChoice
          label="Head"
          value={head}
          onChange={(to) => setSearch({ head: to }, { replace: true })}
          options={wearers.data.map(({ id, name }) => [id, name] as const)}
        />
      </p>
      {all.length === 0 ? (
        <Nothing
          title="No photographs of this head yet"
          action={<ButtonLink to="/wash-days">To the wash days</ButtonLink>}
        >
          They are taken at a check-in, from fixed angles.
        </Nothing>
      ) : (
        <>
          {chosen.length > 0 && (
            <Table key={chosen.map(({ id }) => id).join(' ')} pictures={chosen} nameOf={names.of} />
          )}
          <Choose all={all} names={names} chosen={ids} put={put} />
        </>
      )}
      {clips.isLoadingError && <Failed error={clips.error} retry={clips.refetch} part />}
      {clips.data && clips.data.length > 0 && <InStep key={head} all={clips.data} />}
    </>
  );
}

/** The photographs of a head, to be put on the table one by one, or as the days of one wear, or around one look. */
function Choose({
  all,
  names,
  chosen,
  put,
}: {
  all: readonly ListedPhotograph[];
  names: ReturnType<typeof namesOf<ListedPhotograph>>;
  chosen: readonly string[];
  put: (ids: readonly string[]) => void;
}) {
  const angles = (Object.keys(ANGLES) as Angle[]).filter((angle) => all.some((one) => one.angle === angle));
  const [angle, setAngle] = useState<Angle>(
    all.find(({ id }) => id === chosen[0])?.angle ?? (angles.includes('back') ? 'back' : angles[0]!),
  );
  const shown = all.filter((one) => one.angle === angle);
  const wears = [...new Set(shown.map(({ washDayId }) => washDayId))]
    .map((washDayId) => firstOfEachDay(shown.filter((one) => one.washDayId === washDayId)))
    .filter((days) => days.length > 1);
  const turns = [...new Set(all.map(lookOf))]
    .map((look) => aroundOf(all.filter((one) => lookOf(one) === look)))
    .filter((around) => around.length > 1);
  return (
    <section aria-labelledby="choose" className="mt-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 id="choose" className="text-xl">
          Photographs
        </h2>
        <InlineChoice
          label="Angle"
          value={angle}
          onChange={setAngle}
          options={angles.map((one) => [one, ANGLES[one].label] as const)}
        />
      </div>
      {(wears.length > 0 || turns.length > 0) && (
        <div className="my-2 flex max-h-32 flex-wrap gap-2 overflow-y-auto">
          {wears.map((days) => (
            <Put key={days[0]!.washDayId} of={days} put={put}>
              {names.wear(days[0]!)}: {days.length} days
            </Put>
          ))}
          {turns.map((around) => (
            <Put key={lookOf(around[0]!)} of={around} put={put}>
              {names.look(around[0]!)}: {around.length} angles
            </Put>
          ))}
        </div>
      )}
      <ul className="mt-2 flex flex-wrap gap-3">
        {shown.map((one) => {
          const on = chosen.includes(one.id);
          return (
            <li key={one.id} className="w-32">
              <button
                type="button"
                aria-pressed={on}
                disabled={!on && chosen.length >= MOST}
                className="w-full rounded-tag border-2 border-transparent p-1 text-left text-sm disabled:opacity-50 aria-pressed:border-hibiscus"
                onClick={() => put(on ? chosen.filter((id) => id !== one.id) : [...chosen, one.id])}
              >
                <img
                  src={`/api/photographs/${one.id}/image`}
                  alt=""
                  className="aspect-[6/7] w-full rounded-tag object-cover"
                  loading="lazy"
                />
                {names.of(one)}
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const lookOf = ({ washDayId, stage, day }: ListedPhotograph) => `${washDayId} ${stage} ${day}`;

function firstOfEachDay(of: readonly ListedPhotograph[]): ListedPhotograph[] {
  const days = new Map<number, ListedPhotograph>();
  for (const one of of) if (one.day !== null && !days.has(one.day)) days.set(one.day, one);
  return [...days.values()].sort((a, b) => a.day! - b.day!);
}

/** Angles in the order one walks around a head. */
const AROUND: readonly Angle[] = ['front', 'right', 'back', 'left', 'crown'];
function aroundOf(of: readonly ListedPhotograph[]): ListedPhotograph[] {
  return AROUND.flatMap((angle) => of.find((one) => one.angle === angle) ?? []);
}

function Put({
  of,
  put,
  children,
}: {
  of: readonly ListedPhotograph[];
  put: (ids: readonly string[]) => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      className="min-h-11 rounded-full border border-ink/30 px-4 text-sm font-semibold"
      onClick={() => put(of.map(({ id }) => id))}
    >
      {children}
    </button>
  );
}
