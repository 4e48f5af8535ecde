import type { Wearer } from '@sabor/contract/wearer';
import { shrinkage } from '@sabor/core/hair/shrinkage';
import { PATTERNS, POROSITIES, STRANDS } from '@sabor/core/hair/traits';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSettings, useWearers } from '../../api/queries.ts';
import { HeadMap } from '../../drawings/head-map.tsx';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { PutAway } from '../../ui/put-away.tsx';
import { showLength, showShare } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';
import { traitLook } from './trait-look.ts';

export function HeadsScreen() {
  const wearers = useWearers();
  const [archived, setArchived] = useState(false);
  if (wearers.isPending) return <Loading what="the heads" />;
  if (wearers.isLoadingError) return <Failed error={wearers.error} retry={wearers.refetch} />;
  const away = wearers.data.filter((wearer) => wearer.archivedAt !== null).length;
  const shown = wearers.data.filter((wearer) => (wearer.archivedAt !== null) === archived);
  return (
    <>
      <Heading
        title="Heads"
        actions={
          <ButtonLink look="main" to="/heads/new">
            Add a wearer
          </ButtonLink>
        }
      >
        Whose hair is tested. One head often has two kinds of hair: zones keep them apart.
      </Heading>
      {(away > 0 || archived) && (
        <Button look="quiet" className="mb-4" onClick={() => setArchived(!archived)}>
          {archived ? 'Back to the heads' : `Archived: ${away}`}
        </Button>
      )}
      {wearers.data.length === 0 && (
        <Nothing title="No head here yet" action={<ButtonLink to="/heads/new">Add a wearer</ButtonLink>}>
          Your own hair counts: the tester may be the wearer.
        </Nothing>
      )}
      <ul className="grid gap-x-8 gap-y-10 md:grid-cols-2 xl:grid-cols-3">
        {shown.map((wearer) => (
          <WearerCard key={wearer.id} wearer={wearer} />
        ))}
      </ul>
    </>
  );
}

function WearerCard({ wearer }: { wearer: Wearer }) {
  const settings = useSettings();
  const facts = [
    wearer.porosity && `${POROSITIES[wearer.porosity].label} porosity`,
    wearer.density && `${wearer.density} density`,
    wearer.strand && `${STRANDS[wearer.strand].label} strands`,
    wearer.pattern && PATTERNS[wearer.pattern].label,
    wearer.lengthMm && `${showLength(wearer.lengthMm, settings)} long`,
  ].filter(Boolean);
  return (
    <li className="flex flex-col border-t-4 border-leaf/50 pt-3">
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-xl">
          <Link
            to={`/heads/${wearer.id}`}
            className="underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
          >
            {wearer.name}
          </Link>
        </h2>
        {wearer.underAge && <Tag tone="due">under age</Tag>}
      </div>
      <p className="text-soft">{facts.join(' · ') || 'Nothing noted yet.'}</p>
      <HeadMap
        className="my-3"
        label={`${wearer.name}: porosity by zone`}
        zones={wearer.zones}
        look={traitLook(wearer, 'porosity')}
      />
      <p className="text-center text-sm text-soft">
        Porosity. Deep tint: the zone’s own; pale: the whole head’s.
      </p>
      <ul className="mt-3 text-[0.95rem]">
        {wearer.curls.map((curl) => (
          <li key={curl.id} className="flex justify-between border-b border-rule py-1">
            <span>{curl.name}</span>
            <span>
              {showLength(curl.restingMm, settings)} of {showLength(curl.stretchedMm, settings)} ·{' '}
              <span className="font-semibold">
                {showShare(shrinkage(curl.stretchedMm, curl.restingMm))} shrinkage
              </span>
            </span>
          </li>
        ))}
      </ul>
      <PutAway
        what="wearers"
        id={wearer.id}
        name={wearer.name}
        away={wearer.archivedAt !== null}
        className="mt-2 self-start px-0!"
      />
    </li>
  );
}
