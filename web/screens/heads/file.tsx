import type { HairFile } from '@sabor/contract/hair-file';
import type { Wearer } from '@sabor/contract/wearer';
import { readPorosity } from '@sabor/core/hair/porosity/reading';
import { TRAITS, type TraitName } from '@sabor/core/hair/traits';
import { zoneLabel } from '@sabor/core/hair/zones';
import { evidenceOn } from '@sabor/reading/porosity-evidence';
import { Tabs } from 'radix-ui';
import { useDeferredValue, useMemo, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useHairFile, useWearer } from '../../api/queries.ts';
import { HeadMap } from '../../drawings/head-map.tsx';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { Caution, Failed, Heading, Loading, Tag } from '../../ui/states.tsx';
import { PatchTests } from '../patches/patch-tests.tsx';
import { BuildUp } from './build-up.tsx';
import { Care } from './care.tsx';
import { HeadConsent } from './consent.tsx';
import { Drying } from './drying.tsx';
import { History } from './history.tsx';
import { Measured } from './measured.tsx';
import { ModelTable } from './model-table.tsx';
import { HeadPictures } from './pictures.tsx';
import { porosityLook } from './porosity-look.ts';
import { PorosityPanel } from './porosity-panel.tsx';
import { Problems } from './problems.tsx';
import { traitLook } from './trait-look.ts';
import { HeadVerdicts } from './verdicts.tsx';
import { WishesSheet } from './wishes.tsx';

const PARTS = {
  porosity: 'Porosity',
  measured: 'Measured',
  history: 'History',
  problems: 'Problems',
  care: 'Care',
  drying: 'Drying',
  'build-up': 'Build-up',
  wishes: 'Wishes',
  verdicts: 'Verdicts',
} as const;

/** What the map can show: what the evidence says, or what the file states of a trait. */
const SHOWN = {
  evidence: { label: 'porosity by evidence' },
  ...Object.fromEntries(
    Object.entries(TRAITS).map(([key, { label }]) => [key, { label: `${label.toLowerCase()}, as stated` }]),
  ),
} as Record<'evidence' | TraitName, { label: string }>;

export function ProfileScreen() {
  const { id = '' } = useParams();
  const wearer = useWearer(id);
  const file = useHairFile(id);
  if (wearer.isLoadingError) return <Failed error={wearer.error} retry={wearer.refetch} />;
  if (file.isLoadingError) return <Failed error={file.error} retry={file.refetch} />;
  if (wearer.isPending || file.isPending) return <Loading what="the profile" />;
  return <FilePage key={id} wearer={wearer.data} file={file.data} />;
}

/** A head as it was found: the map at hand, and beside it one part of the file at a time. */
function FilePage({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('part') ?? '';
  const part = asked in PARTS ? asked : 'porosity';
  const [zoneId, setZoneId] = useState<string | null>(null);
  const [shown, setShown] = useState<keyof typeof SHOWN>('evidence');
  // The map answers at once; what stands beside it follows.
  const besideId = useDeferredValue(zoneId);
  const zone = wearer.zones.find((known) => known.id === besideId) ?? null;
  const readings = useMemo(
    () => new Map(wearer.zones.map((known) => [known.id, readPorosity(evidenceOn(file, known.id))])),
    [wearer, file],
  );
  const look = shown === 'evidence' ? porosityLook(readings, zoneId) : traitLook(wearer, shown, zoneId);
  return (
    <>
      <Heading
        kicker="Heads"
        title={wearer.name}
        actions={<ButtonLink to={`/heads/${wearer.id}/edit`}>Change the head</ButtonLink>}
      >
        {wearer.underAge && (
          <Tag tone="due">
            under age{wearer.bornYear !== null && `, about ${new Date().getFullYear() - wearer.bornYear}`}
          </Tag>
        )}{' '}
        {wearer.styledBy && `Styled by ${wearer.styledBy}. `}
        {wearer.note}
      </Heading>
      {wearer.underAge && (
        <div className="mb-6 max-w-3xl">
          <Caution>
            A child wearer: no essential oils or strong cooling agents, nothing near the eyes, short sessions,
            no tight styles. Ask a paediatric professional.
          </Caution>
        </div>
      )}
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1fr_1.4fr]">
        <section aria-labelledby="map" className="min-w-0">
          <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
            <h2 id="map" className="text-xl">
              The head
            </h2>
            <ChoiceField
              label="Show"
              options={SHOWN}
              value={shown}
              onChange={(key) => key && setShown(key)}
            />
          </div>
          <HeadMap
            label={`The head, ${SHOWN[shown].label}`}
            zones={wearer.zones}
            look={look}
            onChoose={({ id }) => setZoneId(id === zoneId ? null : id)}
            parting={wearer.parting}
            cut={wearer.cut}
          />
          <p className="mt-2 text-sm text-soft">
            {shown === 'evidence'
              ? '“?” is not clear yet. Choose a zone to narrow everything beside it.'
              : 'Deep tint: the zone’s own; pale: the whole head’s. Choose a zone to narrow everything beside it.'}
          </p>
          <Button className="mt-3" aria-pressed={zoneId === null} onClick={() => setZoneId(null)}>
            Whole head
          </Button>
          {shown === 'evidence' && <ModelTable />}
          <HeadPictures wearerId={wearer.id} />
          <HeadConsent wearer={wearer} />
        </section>
        <Tabs.Root
          className="min-w-0"
          value={part}
          onValueChange={(to) =>
            setSearch(to === 'porosity' ? {} : { part: to }, { replace: true, preventScrollReset: true })
          }
        >
          <div className="mb-5 overflow-x-auto border-b border-rule">
            <Tabs.List aria-label="Parts of the profile" className="flex">
              {Object.entries(PARTS).map(([key, label]) => (
                <Tabs.Trigger
                  key={key}
                  value={key}
                  className="min-h-11 border-b-4 border-transparent px-1.5 whitespace-nowrap font-semibold data-[state=active]:border-ink data-[state=inactive]:text-soft"
                >
                  {label}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
          </div>
          <Tabs.Content value="porosity">
            <PorosityPanel
              key={besideId ?? 'head'}
              wearer={wearer}
              file={file}
              zone={zone}
              place={zone ? zoneLabel(zone) : 'Whole head'}
            />
          </Tabs.Content>
          <Tabs.Content value="measured">
            <Measured wearer={wearer} file={file} zone={zone} />
          </Tabs.Content>
          <Tabs.Content value="history">
            <History wearer={wearer} file={file} zone={zone} />
          </Tabs.Content>
          <Tabs.Content value="problems">
            <Problems wearer={wearer} file={file} />
          </Tabs.Content>
          <Tabs.Content value="care">
            <Care wearer={wearer} file={file} />
            <div className="mt-8">
              <PatchTests wearer={wearer} file={file} />
            </div>
          </Tabs.Content>
          <Tabs.Content value="drying">
            <Drying file={file} />
          </Tabs.Content>
          <Tabs.Content value="build-up">
            <BuildUp wearer={wearer} file={file} />
          </Tabs.Content>
          <Tabs.Content value="wishes">
            <WishesSheet wearer={wearer} file={file} />
          </Tabs.Content>
          <Tabs.Content value="verdicts">
            <HeadVerdicts wearer={wearer} />
          </Tabs.Content>
        </Tabs.Root>
      </div>
    </>
  );
}
