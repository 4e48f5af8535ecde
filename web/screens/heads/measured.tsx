import type { HairFile } from '@sabor/contract/hair-file';
import { type HairMeasure, HairMeasureInput } from '@sabor/contract/hair-measure';
import { fieldsOf } from '@sabor/contract/problem';
import type { Curl, Wearer, Zone } from '@sabor/contract/wearer';
import {
  MEASURE_KINDS,
  type MeasureKind,
  type MeasureResult,
  readMeasure,
} from '@sabor/core/hair/measured/kinds';
import { WORN_MEANWHILE, type WornMeanwhile } from '@sabor/core/hair/measured/shed';
import { zoneLabel, zoneWithin } from '@sabor/core/hair/zones';
import { localToday } from '@sabor/core/time/today';
import { lengthScale } from '@sabor/core/units/preferences';
import { useState } from 'react';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { useChange, useSettings } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/dates.tsx';
import { ChoiceField, NumberField, SHORT_MM, TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

const none = null as unknown as number;

const BLANK: Record<MeasureKind, MeasureResult> = {
  strand: { kind: 'strand', micrometres: none },
  curl: { kind: 'curl', diameterMm: none, waves: none, overMm: none, restingMm: none, stretchedMm: none },
  'build-up': { kind: 'build-up', feels: none },
  ponytail: { kind: 'ponytail', circumferenceMm: none },
  stretch: { kind: 'stretch', wetMm: none, stretchedMm: none, releasedMm: none },
  shed: { kind: 'shed', from: none, to: none, days: 1, worn: 'loose' },
};

/** Strand, ponytail, stretch and shed, each read in words with what the reading rests on. */
export function Measured({ wearer, file, zone }: { wearer: Wearer; file: HairFile; zone: Zone | null }) {
  const zones = new Map(wearer.zones.map((known) => [known.id, zoneLabel(known)]));
  const shown = zone
    ? file.measures.filter(({ zoneId }) => zoneId === zone.id || zoneId === null)
    : file.measures;
  return (
    <section aria-labelledby="measured">
      <h2 id="measured" className="text-xl">
        Measured
      </h2>
      <div className="space-y-6">
        <MeasureForm wearer={wearer} zone={zone} />
        <ul aria-label="Measurements">
          {shown.length === 0 && (
            <li className="text-soft">
              Nothing measured yet. A thread around the ponytail is a good beginning.
            </li>
          )}
          {shown.map((measure) => (
            <MeasureRow
              key={measure.id}
              measure={measure}
              place={measure.zoneId ? (zones.get(measure.zoneId) ?? '') : 'Whole head'}
            />
          ))}
        </ul>
      </div>
    </section>
  );
}

function MeasureRow({ measure, place }: { measure: HairMeasure; place: string }) {
  const say = useSay();
  const out = useChange((id: string) => remove(`/hair-measures/${id}`));
  const back = useChange((kept: HairMeasure) => put(`/hair-measures/${kept.id}`, kept));
  const { label } = MEASURE_KINDS[measure.result.kind];
  const { says, because, caution } = readMeasure(measure.result);
  return (
    <li className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
      <span>
        <span className="font-semibold">
          {label}: {says}
        </span>
        <span className="block text-sm text-soft">
          {place}, {showDate(measure.on)}
          {measure.note && ` · “${measure.note}”`}
        </span>
        <span className="block text-sm">{because}</span>
        {caution && <span className="block text-sm text-mango-deep">{caution}</span>}
      </span>
      <Button
        look="quiet"
        className="shrink-0"
        aria-label={`Remove ${label}, ${showDate(measure.on)}`}
        onClick={() =>
          out.mutate(measure.id, {
            onSuccess: () => say(`${label} is removed.`, () => back.mutate(measure)),
            onError: (error) => say(error.message),
          })
        }
      >
        Remove
      </Button>
    </li>
  );
}

function MeasureForm({ wearer, zone }: { wearer: Wearer; zone: Zone | null }) {
  const say = useSay();
  const [result, setResult] = useState<MeasureResult | null>(null);
  const [on, setOn] = useState(localToday());
  const [note, setNote] = useState('');
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const save = useChange((measure: HairMeasureInput) => put(`/hair-measures/${measure.id}`, measure));
  const undo = useChange((id: string) => remove(`/hair-measures/${id}`));
  const record = () => {
    const checked = v.safeParse(HairMeasureInput, {
      id: v7(),
      wearerId: wearer.id,
      zoneId: zone?.id ?? null,
      on,
      note,
      result,
    });
    setProblems(checked.success ? [] : fieldsOf(checked.issues));
    if (!checked.success) return;
    const { output } = checked;
    save.mutateAsync(output).then(
      () => {
        say(`${MEASURE_KINDS[output.result.kind].label} is recorded.`, () => undo.mutate(output.id));
        setResult(null);
        setNote('');
      },
      (error: Error) => setProblems([{ path: 'result.kind', message: error.message }]),
    );
  };
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        record();
      }}
    >
      <p className="text-soft">
        {zone ? `On ${zoneWithin(zone)}.` : 'On the whole head; choose a zone on the map to narrow it.'}
      </p>
      <ChoiceField<MeasureKind>
        label="What was measured"
        options={MEASURE_KINDS}
        value={result?.kind ?? null}
        onChange={(kind) => setResult(kind && BLANK[kind])}
        error={problem('result.kind')}
      />
      {result && (
        <>
          <p className="text-sm text-soft">{MEASURE_KINDS[result.kind].how}</p>
          <ResultFields
            result={result}
            curls={wearer.curls}
            onChange={setResult}
            problem={(field) => problem(`result.${field}`)}
          />
          <div className="grid gap-3 sm:grid-cols-2">
            <DateField label="Measured on" value={on} onChange={setOn} error={problem('on')} />
            <TextField label="Note" value={note} onChange={setNote} error={problem('note')} />
          </div>
          <Button type="submit" disabled={save.isPending}>
            Record the measurement
          </Button>
        </>
      )}
    </form>
  );
}

function ResultFields({
  result,
  curls,
  onChange,
  problem,
}: {
  result: MeasureResult;
  curls: readonly Curl[];
  onChange: (result: MeasureResult) => void;
  problem: (field: string) => string | undefined;
}) {
  const scale = lengthScale(useSettings().length);
  const set = (field: string) => (value: number | null) =>
    onChange({ ...result, [field]: value } as MeasureResult);
  switch (result.kind) {
    case 'strand':
      return (
        <NumberField
          label="Thickness"
          unit="µm"
          value={result.micrometres}
          onChange={set('micrometres')}
          error={problem('micrometres')}
        />
      );
    case 'curl':
      return (
        <>
          {curls.length > 0 && (
            <ChoiceField
              label="Lengths from a tagged curl"
              none="typed here"
              options={curls.map(({ id, name }) => ({ key: id, label: name }))}
              value={
                curls.find(
                  (curl) => curl.restingMm === result.restingMm && curl.stretchedMm === result.stretchedMm,
                )?.id ?? null
              }
              onChange={(id) => {
                const curl = curls.find((known) => known.id === id);
                if (curl)
                  onChange({
                    ...result,
                    overMm: result.overMm ?? curl.restingMm,
                    restingMm: curl.restingMm,
                    stretchedMm: curl.stretchedMm,
                  });
              }}
            />
          )}
          <div className="grid gap-3 sm:grid-cols-3">
            <NumberField
              label="Across its arc"
              scale={scale}
              value={result.diameterMm}
              onChange={set('diameterMm')}
              error={problem('diameterMm')}
            />
            <NumberField
              label="Waves"
              value={result.waves}
              onChange={set('waves')}
              error={problem('waves')}
            />
            <NumberField
              label="Counted over"
              scale={scale}
              value={result.overMm}
              onChange={set('overMm')}
              error={problem('overMm')}
            />
            <NumberField
              label="Resting"
              scale={scale}
              value={result.restingMm}
              onChange={set('restingMm')}
              error={problem('restingMm')}
            />
            <NumberField
              label="Pulled straight"
              scale={scale}
              askUnder={SHORT_MM}
              value={result.stretchedMm}
              onChange={set('stretchedMm')}
              error={problem('stretchedMm')}
            />
          </div>
        </>
      );
    case 'build-up':
      return (
        <NumberField
          label="It feels"
          unit="of 10"
          value={result.feels}
          onChange={set('feels')}
          error={problem('feels')}
        />
      );
    case 'ponytail':
      return (
        <NumberField
          label="Around"
          scale={scale}
          value={result.circumferenceMm}
          onChange={set('circumferenceMm')}
          error={problem('circumferenceMm')}
        />
      );
    case 'stretch':
      return (
        <div className="grid gap-3 sm:grid-cols-3">
          <NumberField
            label="At rest, wet"
            scale={scale}
            askUnder={SHORT_MM}
            value={result.wetMm}
            onChange={set('wetMm')}
            error={problem('wetMm')}
          />
          <NumberField
            label="Stretched"
            scale={scale}
            askUnder={SHORT_MM}
            value={result.stretchedMm}
            onChange={set('stretchedMm')}
            error={problem('stretchedMm')}
          />
          <NumberField
            label="Let go"
            scale={scale}
            value={result.releasedMm}
            onChange={set('releasedMm')}
            error={problem('releasedMm')}
          />
        </div>
      );
    case 'shed':
      return (
        <div className="grid gap-3 sm:grid-cols-2">
          <NumberField
            label="Hairs, from"
            value={result.from}
            onChange={set('from')}
            error={problem('from')}
          />
          <NumberField
            label="to"
            hint="The same twice when counted."
            value={result.to}
            onChange={set('to')}
            error={problem('to')}
          />
          <NumberField
            label="Days since the last detangle"
            value={result.days}
            onChange={set('days')}
            error={problem('days')}
          />
          <ChoiceField<WornMeanwhile>
            label="Worn meanwhile"
            options={WORN_MEANWHILE}
            value={result.worn}
            onChange={(worn) => worn && onChange({ ...result, worn })}
          />
        </div>
      );
  }
}
