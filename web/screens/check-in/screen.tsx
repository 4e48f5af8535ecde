import type { CheckIn, CheckInInput } from '@sabor/contract/check-in';
import type { TrialDetail } from '@sabor/contract/trial';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { localDate } from '@sabor/core/outcomes/local-date';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { type Stage, stageLabel } from '@sabor/core/outcomes/stages';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import { put } from '../../api/http.ts';
import { useTrial, useWashDay, useWashDayChange, useWearer } from '../../api/queries.ts';
import { HeadMap, type MapZone } from '../../drawings/head-map.tsx';
import { valueTint } from '../../drawings/tint.ts';
import { TextField } from '../../ui/inputs.tsx';
import { fromLocalInput, toLocalInput } from '../../ui/show.ts';
import { Failed, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { CurlLengths } from './curl-lengths.tsx';

function readStage(text: string): { stage: Stage; day: number | null } | null {
  if (text === 'wet' || text === 'cast') return { stage: text, day: null };
  const day = /^day-(\d{1,2})$/.exec(text)?.[1];
  return day ? { stage: 'wear', day: Number(day) } : null;
}

export function Screen() {
  const { id = '', stage = '' } = useParams();
  const look = readStage(stage);
  const day = useWashDay(id);
  const trial = useTrial(day.data?.trialId ?? 'new');
  const wearer = useWearer(day.data?.wearerId ?? 'new');
  if (day.isError) return <Failed error={day.error} retry={day.refetch} />;
  if (!look) return <Failed error={new Error('There is no such look at the hair.')} />;
  if (!day.data || !trial.data || !wearer.data) return <Loading what="the wash day" />;
  return (
    <CheckInSheet
      key={stage}
      washDay={day.data}
      trial={trial.data}
      wearer={wearer.data}
      stage={look.stage}
      n={look.day}
    />
  );
}

/** When a look at this stage is taken to have been, until the tester says otherwise. */
function usualMoment(day: WashDay, stage: Stage, n: number | null, timeZone: string): string {
  const now = new Date();
  if (stage !== 'wear' || day.revealAt === null) return now.toISOString();
  const then = new Date(Date.parse(day.revealAt) + ((n ?? 1) - 1) * 86_400_000);
  const same = localDate(now.toISOString(), timeZone) === localDate(then.toISOString(), timeZone);
  return (same || then > now ? now : then).toISOString();
}

type Rating = CheckIn['ratings'][number];
const sameZone = (a: { outcome: Outcome; zoneId: string | null }, b: typeof a) =>
  a.outcome === b.outcome && a.zoneId === b.zoneId;

/** The day as it will be once the ratings given are stored. */
function foresee(day: WashDay, input: CheckInInput): WashDay {
  const old = day.checkIns.find((known) => known.stage === input.stage && known.day === input.day);
  const base: CheckIn = old ?? {
    id: input.id,
    washDayId: day.id,
    stage: input.stage,
    day: input.day ?? null,
    at: input.at,
    note: '',
    ratings: [],
    curls: [],
  };
  const given = (input.ratings ?? []) as { outcome: Outcome; zoneId: string | null; value: number | null }[];
  const kept = base.ratings.filter((rating) => !given.some((one) => sameZone(rating, one)));
  const checkIn = {
    ...base,
    ratings: [...kept, ...given.filter((one): one is Rating => one.value !== null)],
  };
  return { ...day, checkIns: [...day.checkIns.filter((known) => known !== old), checkIn] };
}

const OUTCOME_KEYS = Object.keys(OUTCOMES) as Outcome[];

/** One look at the hair: an outcome, the zones it is about, a number. Every tap is saved at once. */
function CheckInSheet({
  washDay,
  trial,
  wearer,
  stage,
  n,
}: {
  washDay: WashDay;
  trial: TrialDetail;
  wearer: Wearer;
  stage: Stage;
  n: number | null;
}) {
  const say = useSay();
  const taken = washDay.checkIns.find((known) => known.stage === stage && known.day === n);
  const fresh = useRef(v7());
  const [outcome, setOutcome] = useState<Outcome>(trial.primary);
  const counting = trial.weights.map(({ zoneId }) => zoneId);
  const [chosen, setChosen] = useState<readonly string[]>(counting);
  const [half, setHalf] = useState(false);
  const [at, setAt] = useState(taken?.at ?? usualMoment(washDay, stage, n, wearer.timeZone));
  const save = useWashDayChange(
    washDay.id,
    (input: CheckInInput) => put<WashDay>(`/check-ins/${input.id}`, input),
    foresee,
  );
  const send = (part: Pick<CheckInInput, 'ratings' | 'curls'> & { note?: string; at?: string }) =>
    save.mutateAsync({
      id: taken?.id ?? fresh.current,
      washDayId: washDay.id,
      stage,
      day: n,
      at,
      note: taken?.note ?? '',
      ...part,
    });

  const ratings = (taken?.ratings ?? []).filter((rating) => rating.outcome === outcome);
  const ratingOf = (zoneId: string) => ratings.find((rating) => rating.zoneId === zoneId)?.value ?? null;
  const rate = (value: number | null) => {
    if (chosen.length === 0) return;
    const zones = [...chosen];
    const before = zones.map((zoneId) => ({ outcome, zoneId, value: ratingOf(zoneId) }));
    send({ ratings: zones.map((zoneId) => ({ outcome, zoneId, value })) }).then(
      () =>
        say(
          `${OUTCOMES[outcome].label}: ${value ?? 'taken away'} for ${zones.length === 1 ? 'one zone' : `${zones.length} zones`}.`,
          () => send({ ratings: before }),
        ),
      (error: Error) => say(error.message),
    );
  };
  const byKey = useRef(rate);
  byKey.current = rate;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || event.ctrlKey || event.metaKey || event.altKey)
        return;
      if (/^[0-9]$/.test(event.key)) byKey.current(Number(event.key));
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
  const choose = (zone: MapZone) =>
    setChosen((old) =>
      old.length === counting.length && old.length > 1
        ? [zone.id]
        : old.includes(zone.id)
          ? old.filter((id) => id !== zone.id)
          : [...old, zone.id],
    );
  const next = OUTCOME_KEYS[OUTCOME_KEYS.indexOf(outcome) + 1];
  const { label, says, anchors } = OUTCOMES[outcome];
  const rated = (key: Outcome) => (taken?.ratings ?? []).some((rating) => rating.outcome === key);
  const unrated = counting.filter((zoneId) => ratingOf(zoneId) === null);
  return (
    <div className="basin-screen">
      <p className="text-sm text-soft">
        <Link className="underline underline-offset-4" to={`/wash-days/${washDay.id}`}>
          Wash day {washDay.position + 1}
        </Link>{' '}
        · {wearer.name}
      </p>
      <h1 className="mb-2 text-2xl sm:mb-3 sm:text-3xl">{stageLabel(stage, n)}</h1>
      <nav aria-label="Outcomes" className="-mx-4 mb-2 overflow-x-auto px-4 sm:mb-4">
        <ul className="flex w-max gap-1">
          {OUTCOME_KEYS.map((key) => (
            <li key={key}>
              <button
                type="button"
                aria-pressed={key === outcome}
                onClick={() => {
                  setOutcome(key);
                  setChosen(counting);
                }}
                className={`min-h-12 rounded-tag border px-4 font-semibold ${key === outcome ? 'border-ink bg-ink text-paper' : 'border-ink/30 bg-sheet'}`}
              >
                {OUTCOMES[key].label}
                {rated(key) && (
                  <>
                    <span aria-hidden="true"> ✓</span>
                    <span className="sr-only">, rated</span>
                  </>
                )}
              </button>
            </li>
          ))}
        </ul>
      </nav>
      <div className="grid gap-x-12 gap-y-2 sm:gap-y-5 lg:grid-cols-2">
        <section aria-label={`${label} by zone`}>
          <HeadMap
            className="mx-auto max-w-[17rem] sm:max-w-md"
            label={`${label}: choose zones`}
            zones={wearer.zones}
            look={({ id }) => {
              const value = ratingOf(id);
              return {
                text: value === null ? (counting.includes(id) ? '·' : '') : String(value),
                says: `${value === null ? 'not rated' : value}${counting.includes(id) ? '' : ', does not count in this trial'}`,
                chosen: chosen.includes(id),
                faint: !counting.includes(id),
                ...(value === null ? {} : { fill: valueTint(value) }),
              };
            }}
            onChoose={choose}
          />
          <div className="mt-2 flex flex-wrap justify-center gap-2">
            <button
              type="button"
              className="min-h-11 rounded-tag border border-ink/30 bg-sheet px-3"
              onClick={() => setChosen(counting)}
            >
              All that count
            </button>
            <button
              type="button"
              className="min-h-11 rounded-tag border border-ink/30 bg-sheet px-3 disabled:opacity-50"
              disabled={unrated.length === 0}
              onClick={() => setChosen(unrated)}
            >
              Not yet rated: {unrated.length}
            </button>
            <button
              type="button"
              className="min-h-11 rounded-tag border border-ink/30 bg-sheet px-3"
              onClick={() => setChosen([])}
            >
              None
            </button>
          </div>
        </section>
        <section aria-labelledby="rate">
          <h2 id="rate" className="text-xl">
            {label} <span className="font-sans text-base font-normal text-soft">{says}</span>
          </h2>
          <dl className="my-1 text-sm leading-snug sm:my-2 sm:text-[0.95rem]">
            {([0, 5, 10] as const).map((mark) => (
              <div key={mark} className="flex gap-3">
                <dt className="figure w-6 text-right">{mark}</dt>
                <dd className="text-soft">{anchors[mark]}</dd>
              </div>
            ))}
          </dl>
          <p className="mb-1 font-semibold sm:mb-2" aria-live="polite">
            {chosen.length === 0
              ? 'Choose a zone on the head.'
              : `For ${chosen.length === 1 ? 'one zone' : `${chosen.length} zones`}:`}
          </p>
          <div className="sticky bottom-0 grid grid-cols-5 gap-1.5 bg-paper py-1 sm:grid-cols-6 sm:gap-2">
            {Array.from({ length: 11 }, (_, i) => (half ? Math.min(10, i + 0.5) : i)).map((value, i) =>
              half && i === 10 ? null : (
                <button
                  key={value}
                  type="button"
                  disabled={chosen.length === 0}
                  onClick={() => rate(value)}
                  className="figure min-h-16 rounded-tag border border-ink/30 text-2xl disabled:opacity-40"
                  style={{ background: valueTint(value) }}
                  aria-label={`Rate ${value}`}
                >
                  {value}
                </button>
              ),
            )}
            <button
              type="button"
              aria-pressed={half}
              onClick={() => setHalf(!half)}
              className={`min-h-16 rounded-tag border px-2 font-semibold ${half ? 'border-ink bg-ink text-paper' : 'border-ink/30 bg-sheet'}`}
            >
              {half ? 'wholes' : 'halves'}
            </button>
          </div>
          <div className="mt-3 flex flex-wrap gap-3">
            <button
              type="button"
              disabled={chosen.every((id) => ratingOf(id) === null)}
              className="min-h-12 px-2 underline underline-offset-4 disabled:opacity-40"
              onClick={() => rate(null)}
            >
              Take the rating away
            </button>
            {next && (
              <button
                type="button"
                className="ml-auto min-h-16 rounded-tag bg-hibiscus px-6 text-lg font-semibold text-white"
                onClick={() => {
                  setOutcome(next);
                  setChosen(counting);
                }}
              >
                Next: {OUTCOMES[next].label.toLowerCase()}
              </button>
            )}
            {!next && (
              <Link
                to={`/wash-days/${washDay.id}`}
                className="ml-auto inline-flex min-h-16 items-center rounded-tag bg-hibiscus px-6 text-lg font-semibold text-white"
              >
                Done looking
              </Link>
            )}
          </div>
        </section>
      </div>
      <div className="mt-8 grid gap-x-12 gap-y-6 border-t border-rule pt-6 lg:grid-cols-2">
        <CurlLengths wearer={wearer} taken={taken} save={(curls) => send({ curls })} />
        <section className="space-y-4" aria-label="When and notes">
          <TextField
            type="datetime-local"
            label="Looked at"
            value={toLocalInput(at)}
            onChange={(text) => {
              const moment = fromLocalInput(text);
              if (!moment) return;
              setAt(moment);
              if (taken) send({ at: moment }).catch(() => {});
            }}
            error={save.isError ? save.error.message : undefined}
          />
          <NoteField key={taken?.id} note={taken?.note ?? ''} save={(note) => send({ note })} />
        </section>
      </div>
    </div>
  );
}

function NoteField({ note, save }: { note: string; save: (note: string) => Promise<unknown> }) {
  const [text, setText] = useState(note);
  return (
    <TextField
      label="Note"
      rows={2}
      value={text}
      onChange={setText}
      onBlur={() => text !== note && void save(text).catch(() => {})}
      hint="Saved when you leave the field."
    />
  );
}
