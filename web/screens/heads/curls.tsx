import type { CurlInput, WearerInput } from '@sabor/contract/wearer';
import { shrinkage } from '@sabor/core/hair/shrinkage';
import { zoneLabel } from '@sabor/core/hair/zones';
import { lengthScale } from '@sabor/core/units/preferences';
import { v7 } from 'uuid';
import { useSettings } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, NumberField, SHORT_MM, TextField } from '../../ui/inputs.tsx';
import { showShare } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

const shrunk = ({ stretchedMm, restingMm }: CurlInput): string => {
  try {
    return `${showShare(shrinkage(stretchedMm, restingMm))} shrinkage`;
  } catch {
    return '–';
  }
};

/** The wearer's tagged curls, two or three of them, with their lengths. */
export function CurlsEditor({
  value,
  change,
  problem,
}: {
  value: WearerInput;
  change: (next: (old: WearerInput) => WearerInput) => void;
  problem: (path: string) => string | undefined;
}) {
  const say = useSay();
  const scale = lengthScale(useSettings().length);
  const edit = (id: string, to: Partial<CurlInput>) =>
    change((old) => ({
      ...old,
      curls: old.curls.map((curl) => (curl.id === id ? { ...curl, ...to } : curl)),
    }));
  const add = () =>
    change((old) => ({
      ...old,
      curls: [
        ...old.curls,
        {
          id: v7(),
          zoneId: old.zones[0]!.id,
          name: '',
          stretchedMm: null as unknown as number,
          restingMm: null as unknown as number,
        },
      ],
    }));
  const take = (curl: CurlInput) => {
    const before = value.curls;
    change((old) => ({ ...old, curls: old.curls.filter((known) => known.id !== curl.id) }));
    say('The tagged curl is removed.', () => change((old) => ({ ...old, curls: before })));
  };
  return (
    <section className="mt-8" aria-labelledby="curls">
      <h2 id="curls" className="text-xl">
        Tagged curls
      </h2>
      <p className="mb-3 text-soft">
        Mark two or three curls and measure them dry: pulled straight, then let go. They are read again at
        each check-in.
      </p>
      {value.curls.map((curl, i) => (
        <fieldset key={curl.id} className="mb-4 border-l-4 border-rule pl-4">
          <legend className="sr-only">Tagged curl {i + 1}</legend>
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              label="Name"
              placeholder="such as Crown curl"
              value={curl.name}
              onChange={(name) => edit(curl.id, { name })}
              error={problem(`curls.${i}.name`)}
            />
            <ChoiceField
              label="Where"
              options={value.zones.map((zone) => ({
                key: zone.id,
                label: zoneLabel({ ...zone, ownName: zone.ownName ?? null }),
              }))}
              value={curl.zoneId}
              onChange={(zoneId) => zoneId && edit(curl.id, { zoneId })}
              error={problem(`curls.${i}.zoneId`)}
            />
            <NumberField
              label="Stretched"
              scale={scale}
              askUnder={SHORT_MM}
              value={curl.stretchedMm}
              onChange={(mm) => edit(curl.id, { stretchedMm: mm as number })}
              error={problem(`curls.${i}.stretchedMm`)}
            />
            <NumberField
              label="Resting"
              scale={scale}
              value={curl.restingMm}
              onChange={(mm) => edit(curl.id, { restingMm: mm as number })}
              error={problem(`curls.${i}.restingMm`)}
            />
          </div>
          <p className="mt-1 flex items-center justify-between">
            <span className="figure">{shrunk(curl)}</span>
            <Button look="quiet" onClick={() => take(curl)}>
              Remove
            </Button>
          </p>
        </fieldset>
      ))}
      <Button onClick={add} disabled={value.curls.length >= 6}>
        Tag a curl
      </Button>
      {problem('curls') && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          {problem('curls')}
        </p>
      )}
    </section>
  );
}
