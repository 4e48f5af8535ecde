import type { HairFile } from '@sabor/contract/hair-file';
import { evidenceOn } from '@sabor/contract/porosity-evidence';
import type { Wearer } from '@sabor/contract/wearer';
import { readPorosity } from '@sabor/core/hair/porosity/reading';
import { zoneLabel } from '@sabor/core/hair/zones';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useHairFile, useWearer } from '../../api/queries.ts';
import { HeadMap } from '../../drawings/head-map.tsx';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { Failed, Heading, Loading, Tag } from '../../ui/states.tsx';
import { Care } from './care.tsx';
import { History } from './history.tsx';
import { Measured } from './measured.tsx';
import { ModelTable } from './model-table.tsx';
import { porosityLook } from './porosity-look.ts';
import { PorosityPanel } from './porosity-panel.tsx';

export function Screen() {
  const { id = '' } = useParams();
  const wearer = useWearer(id);
  const file = useHairFile(id);
  if (wearer.isError) return <Failed error={wearer.error} retry={wearer.refetch} />;
  if (file.isError) return <Failed error={file.error} retry={file.refetch} />;
  if (wearer.isPending || file.isPending) return <Loading what="the hair file" />;
  return <FilePage key={id} wearer={wearer.data} file={file.data} />;
}

/** A head as it was found: porosity by evidence, zone by zone, and what the hair has been through. */
function FilePage({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const [zoneId, setZoneId] = useState<string | null>(null);
  const zone = wearer.zones.find((known) => known.id === zoneId) ?? null;
  const readings = new Map(wearer.zones.map((known) => [known.id, readPorosity(evidenceOn(file, known.id))]));
  return (
    <>
      <Heading
        kicker="Heads"
        title={wearer.name}
        actions={<ButtonLink to={`/heads/${wearer.id}/edit`}>Change the head</ButtonLink>}
      >
        {wearer.underAge && <Tag tone="due">under age</Tag>} {wearer.note}
      </Heading>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1fr_1.3fr]">
        <section aria-labelledby="map">
          <h2 id="map" className="text-xl">
            Porosity, by evidence
          </h2>
          <p className="mb-3 text-soft">
            What each zone’s tests and history add up to. “?” is not clear yet. Choose a zone to see why.
          </p>
          <HeadMap
            label="Porosity by evidence"
            zones={wearer.zones}
            look={porosityLook(readings, zoneId)}
            onChoose={({ id }) => setZoneId(id === zoneId ? null : id)}
          />
          <Button className="mt-3" aria-pressed={zone === null} onClick={() => setZoneId(null)}>
            Whole head
          </Button>
          <ModelTable />
        </section>
        <PorosityPanel
          key={zoneId ?? 'head'}
          wearer={wearer}
          file={file}
          zone={zone}
          place={zone ? zoneLabel(zone) : 'Whole head'}
        />
      </div>
      <Care wearer={wearer} file={file} />
      <Measured wearer={wearer} file={file} zone={zone} />
      <History wearer={wearer} file={file} zone={zone} />
    </>
  );
}
