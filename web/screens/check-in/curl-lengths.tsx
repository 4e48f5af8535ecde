import type { CheckIn, CurlReadingInput } from '@sabor/contract/check-in';
import type { Curl, Wearer } from '@sabor/contract/wearer';
import { shrinkage } from '@sabor/core/hair/shrinkage';
import { lengthScale } from '@sabor/core/units/preferences';
import { useState } from 'react';
import { useSettings } from '../../api/queries.ts';
import { NumberField } from '../../ui/inputs.tsx';
import { showLength, showShare } from '../../ui/show.ts';

/** Resting lengths of the tagged curls, read again at each look; the stretched length stays the wearer's own. */
export function CurlLengths({
  wearer,
  taken,
  save,
}: {
  wearer: Wearer;
  taken: CheckIn | undefined;
  save: (curls: CurlReadingInput[]) => Promise<unknown>;
}) {
  return (
    <>
      <h2 id="curls" className="mb-2 text-xl">
        Tagged curls
      </h2>
      <div className="grid gap-4 sm:grid-cols-2">
        {wearer.curls.map((curl) => (
          <CurlLength
            key={curl.id}
            curl={curl}
            measured={taken?.curls.find(({ curlId }) => curlId === curl.id)?.restingMm ?? null}
            save={save}
          />
        ))}
      </div>
    </>
  );
}

function CurlLength({
  curl,
  measured,
  save,
}: {
  curl: Curl;
  measured: number | null;
  save: (curls: CurlReadingInput[]) => Promise<unknown>;
}) {
  const settings = useSettings();
  const [mm, setMm] = useState(measured);
  const [refused, setRefused] = useState<string | undefined>();
  const wrong =
    mm === null
      ? undefined
      : Number.isNaN(mm) || mm <= 0
        ? 'The resting length must be a number over 0.'
        : mm > curl.stretchedMm
          ? `A curl cannot rest longer than it stretches (${showLength(curl.stretchedMm, settings)}).`
          : undefined;
  const keep = () => {
    if (wrong || mm === measured) return;
    save([{ curlId: curl.id, restingMm: mm }]).then(
      () => setRefused(undefined),
      (error: Error) => setRefused(error.message),
    );
  };
  const share = mm !== null && !wrong ? showShare(shrinkage(curl.stretchedMm, mm)) : null;
  return (
    <NumberField
      label={`${curl.name}, resting`}
      onBlur={keep}
      scale={lengthScale(settings.length)}
      value={mm}
      onChange={setMm}
      error={wrong ?? refused}
      hint={
        share
          ? `${share} shrinkage of ${showLength(curl.stretchedMm, settings)}`
          : `stretched ${showLength(curl.stretchedMm, settings)}`
      }
    />
  );
}
