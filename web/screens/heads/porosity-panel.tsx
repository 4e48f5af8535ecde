import type { HairFile, HairTest } from '@sabor/contract/hair-file';
import type { Wearer, Zone } from '@sabor/contract/wearer';
import { type Probabilities, readPorosity } from '@sabor/core/hair/porosity/reading';
import { outcomesOf, POROSITY_TESTS, type PorosityTestKind } from '@sabor/core/hair/porosity/tests';
import { POROSITIES, type Porosity } from '@sabor/core/hair/traits';
import { evidenceOn, type FiledEvidence } from '@sabor/reading/porosity-evidence';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { showDate, showShare } from '../../ui/show.ts';
import { Tag } from '../../ui/states.tsx';
import { Term } from '../../ui/term.tsx';
import { useSay } from '../../ui/undo.tsx';
import { readingWords } from './porosity-look.ts';
import { RecordTest } from './record-test.tsx';

const CLASSES = Object.keys(POROSITIES) as Porosity[];

/** Why Sabor reads this place's porosity as it does, and which test would tell most next. */
export function PorosityPanel({
  wearer,
  file,
  zone,
  place,
}: {
  wearer: Wearer;
  file: HairFile;
  zone: Zone | null;
  place: string;
}) {
  const evidence = evidenceOn(file, zone?.id ?? null);
  const reading = readPorosity(evidence);
  const [asked, setAsked] = useState<PorosityTestKind | null>(null);
  const next = reading.next.filter(({ kind }) => kind !== 'history');
  const best = next[0];
  return (
    <section aria-labelledby="reading" className="rounded-tag border border-rule bg-sheet p-5">
      <h2 id="reading" className="text-xl">
        {place}
      </h2>
      <p className="text-soft">
        <Term of="porosity">Porosity</Term>, by the evidence:
      </p>
      <p className="figure text-2xl">{readingWords(reading)}</p>
      <Bars probabilities={reading.probabilities} />
      <WriteIntoFile wearer={wearer} zone={zone} call={reading.call} />
      <h3 className="mt-5 text-lg">Evidence</h3>
      {evidence.length === 0 && (
        <p className="text-soft">No evidence yet; this is what Sabor assumes of any head.</p>
      )}
      <ul>
        {reading.moved.map(({ evidence: one, by, weak }) => (
          <EvidenceRow key={one.kind} one={one as FiledEvidence} by={by} weak={weak} zone={zone} />
        ))}
      </ul>
      {best && (
        <>
          <h3 className="mt-5 text-lg">Most telling next test</h3>
          <p>
            <span className="font-semibold">{POROSITY_TESTS[best.kind].label}</span>.{' '}
            {POROSITY_TESTS[best.kind].how}
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            {next.slice(0, 3).map(({ kind, weak }) => (
              <Button key={kind} look={kind === best.kind ? 'main' : 'plain'} onClick={() => setAsked(kind)}>
                {POROSITY_TESTS[kind].label}
                {weak && ' (says little)'}
              </Button>
            ))}
          </div>
        </>
      )}
      <RecordTest
        key={asked ?? 'any'}
        wearerId={wearer.id}
        zoneId={zone?.id ?? null}
        asked={asked}
        place={place}
        done={() => setAsked(null)}
      />
    </section>
  );
}

function Bars({ probabilities }: { probabilities: Probabilities }) {
  return (
    <dl className="mt-3 space-y-1">
      {CLASSES.map((name) => (
        <div key={name} className="flex items-center gap-3">
          <dt className="w-16">{name}</dt>
          <dd className="flex flex-1 items-center gap-3">
            <span aria-hidden="true" className="h-4 flex-1 bg-rule/60">
              <span className="block h-full bg-leaf/70" style={{ width: `${100 * probabilities[name]}%` }} />
            </span>
            <span className="figure w-12 text-right">{showShare(probabilities[name])}</span>
          </dd>
        </div>
      ))}
    </dl>
  );
}

/** Takes a clear reading over as the porosity that the profile states. */
function WriteIntoFile({ wearer, zone, call }: { wearer: Wearer; zone: Zone | null; call: Porosity | null }) {
  const say = useSay();
  const { archivedAt: _, ...input } = wearer;
  const stated = zone ? zone.porosity : wearer.porosity;
  const save = useChange((porosity: Porosity | null) =>
    put(
      `/wearers/${wearer.id}`,
      zone
        ? {
            ...input,
            zones: input.zones.map((known) => (known.id === zone.id ? { ...known, porosity } : known)),
          }
        : { ...input, porosity },
    ),
  );
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3">
      <span className="text-soft">
        The file states:{' '}
        {stated ?? (zone ? `as the whole head (${wearer.porosity ?? 'not noted'})` : 'nothing yet')}.
      </span>
      {call && call !== stated && (
        <Button
          onClick={() =>
            save.mutate(call, {
              onSuccess: () => say(`The file now states ${call}.`, () => save.mutate(stated)),
              onError: (error) => say(error.message),
            })
          }
        >
          State it as {call}
        </Button>
      )}
    </p>
  );
}

const points = (share: number) => `${share > 0 ? '+' : '−'}${Math.abs(Math.round(100 * share))}`;

/** How far one piece of evidence moved each class, the widest first, in percentage points. */
export function movedWords(by: Probabilities): string {
  const told = CLASSES.filter((name) => Math.round(Math.abs(100 * by[name])) >= 1);
  if (told.length === 0) return 'hardly moved it';
  return told
    .sort((a, b) => Math.abs(by[b]) - Math.abs(by[a]))
    .map((name) => `${name} ${points(by[name])}`)
    .join(', ');
}

function EvidenceRow({
  one,
  by,
  weak,
  zone,
}: {
  one: FiledEvidence;
  by: Probabilities;
  weak: boolean;
  zone: Zone | null;
}) {
  const say = useSay();
  const { test } = one;
  const out = useChange((id: string) => remove(`/hair-tests/${id}`));
  const back = useChange((kept: HairTest) => put(`/hair-tests/${kept.id}`, kept));
  const { label, unit } = POROSITY_TESTS[one.kind];
  const outcome = outcomesOf(one.kind).find(([key]) => key === one.outcome)?.[1].label ?? '';
  const result =
    test?.value === null || test?.value === undefined ? outcome : `${test.value} ${unit}, ${outcome}`;
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-1.5">
      <span>
        <span className="font-semibold">{label}</span>: {result} {weak && <Tag tone="due">weak</Tag>}
        <span className="block text-sm text-soft">
          {test ? showDate(test.on) : 'from the timeline'}
          {zone && test && (test.zoneId === null ? ' · whole head' : ' · this zone')}
          {test?.note && ` · “${test.note}”`}
        </span>
      </span>
      <span className="flex items-baseline gap-2">
        <span className="text-sm">{movedWords(by)}</span>
        {test && (
          <Button
            look="quiet"
            aria-label={`Remove ${label}`}
            onClick={() =>
              out.mutate(test.id, {
                onSuccess: () => say(`${label} is removed.`, () => back.mutate(test)),
                onError: (error) => say(error.message),
              })
            }
          >
            Remove
          </Button>
        )}
      </span>
    </li>
  );
}
