import type { CheckInInput, FeltInput, RatingInput } from '@sabor/contract/check-in';
import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { mainResult } from '@sabor/core/compare/main-result';
import { dayNumber } from '@sabor/core/outcomes/day-number';
import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { dayName } from '@sabor/words/day-name';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import { useShelf, useTrial, useWashDay, useWashDayChange, useWearer } from '../../api/queries.ts';
import { ArmName } from '../../drawings/arm-name.tsx';
import { put } from '../../http/http.ts';
import { makeTap } from '../../offline/outbox.ts';
import { SentLine } from '../../offline/sent-line.tsx';
import { MomentField } from '../../ui/dates.tsx';
import { fromLocalInput, toLocalInput } from '../../ui/show.ts';
import { Failed, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { Acts } from '../worn/acts.tsx';
import { InWords } from '../worn/in-words.tsx';
import { type Look, readStage, stagePath } from '../worn/look-path.ts';
import { DayInAir } from '../worn/wear-air.tsx';
import { CurlLengths } from './curl-lengths.tsx';
import { JotField } from './jot-field.tsx';
import { usualMoment } from './look.ts';
import { CURLS, OutcomeTabs, type Turn } from './outcome-tabs.tsx';
import { ON, RateFoot } from './rate-foot.tsx';
import { RatingPad } from './rating-pad.tsx';
import { sidesOf } from './sides.ts';
import { useTypedNumber } from './typed-number.ts';
import { UsualLine } from './usual-line.tsx';
import { ZonesPart } from './zones-part.tsx';

export function CheckInScreen() {
  const { id = '', stage = '' } = useParams();
  const look = readStage(stage);
  const day = useWashDay(id);
  const trial = useTrial(day.data?.trialId ?? 'new');
  const wearer = useWearer(day.data?.wearerId ?? 'new');
  const shelf = useShelf();
  if (day.error && day.isError) return <Failed error={day.error} retry={day.refetch} />;
  if (!look) return <Failed error={new Error('There is no such check-in.')} />;
  if (!day.data || !trial.data || !wearer.data) return <Loading what="the wash day" />;
  return (
    <CheckInSheet
      key={stage}
      washDay={day.data}
      trial={trial.data}
      wearer={wearer.data}
      products={shelf.data?.products ?? []}
      look={look}
    />
  );
}

const OUTCOME_KEYS = Object.keys(OUTCOMES) as Outcome[];

/** One look at the hair: an outcome, the zones it is about, a number. Every tap is saved at once. */
function CheckInSheet({
  washDay,
  trial,
  wearer,
  products,
  look,
}: {
  washDay: WashDay;
  trial: TrialDetail;
  wearer: Wearer;
  products: readonly Product[];
  look: Look;
}) {
  const { stage, day: n, part } = look;
  const say = useSay();
  const taken = washDay.checkIns.find(
    (known) => known.stage === stage && known.day === n && known.part === part,
  );
  const fresh = useRef(v7());
  const { like: main, measured, label: promised } = mainResult(trial.primary);
  const byCurls = measured?.from === 'curls' && wearer.curls.length > 0;
  const [turn, setTurn] = useState<Turn>(byCurls ? CURLS : main);
  const outcome = turn === CURLS ? main : turn;
  const counting = trial.weights.map(({ zoneId }) => zoneId);
  const [chosen, setChosen] = useState<readonly string[]>(counting);
  const [goesOn, setGoesOn] = useState(true);
  const [all, setAll] = useState(false);
  const [at, setAt] = useState(taken?.at ?? usualMoment(washDay, stage, n, wearer.timeZone));
  const save = useWashDayChange(washDay.id, (input: CheckInInput) =>
    put<WashDay>(`/check-ins/${input.id}`, input),
  );
  const tapRatings = (
    ratings: RatingInput[],
    words: { note?: string; rater?: string; felt?: FeltInput[] } = {},
  ) =>
    makeTap(washDay.id, {
      kind: 'rate',
      checkInId: taken?.id ?? fresh.current,
      stage,
      day: n,
      part,
      lookedAt: at,
      ratings,
      ...words,
    });
  const send = (to: Pick<CheckInInput, 'curls'> & { at?: string }) =>
    save.mutateAsync({
      id: taken?.id ?? fresh.current,
      washDayId: washDay.id,
      stage,
      day: n,
      part,
      at,
      ...to,
    });

  const ratings = (taken?.ratings ?? []).filter((rating) => rating.outcome === outcome);
  const ratingOf = (zoneId: string) => ratings.find((rating) => rating.zoneId === zoneId)?.value ?? null;
  const turnTo = (key: Turn) => {
    setTurn(key);
    setChosen(counting);
  };
  // The main result first; on later days it alone is asked for, the rest stays a tap away.
  const round: Turn[] = [
    ...(byCurls ? [CURLS] : []),
    main,
    ...OUTCOME_KEYS.filter((key) => key !== main),
    ...(wearer.curls.length > 0 && !byCurls ? [CURLS] : []),
  ];
  const asked = n !== null && n > 1 && !all ? [byCurls ? CURLS : main] : round;
  const next = asked[asked.indexOf(turn) + 1];
  const { label } = OUTCOMES[outcome];
  const rateZones = (zones: readonly string[], value: number | null, goOn: boolean) => {
    if (zones.length === 0) return;
    const before = zones.map((zoneId) => ({ outcome, zoneId, value: ratingOf(zoneId) }));
    void tapRatings(zones.map((zoneId) => ({ outcome, zoneId, value })));
    say(
      `${label}: ${value ?? 'taken away'} for ${zones.length === 1 ? 'one zone' : `${zones.length} zones`}.`,
      () => {
        void tapRatings(before);
        turnTo(outcome);
      },
    );
    if (goOn && goesOn && value !== null && next) turnTo(next);
  };
  const wholeChosen = chosen.length === counting.length;
  const rate = (value: number | null) => rateZones(chosen, value, wholeChosen);
  const sides = sidesOf(trial, washDay, wearer, counting);
  const bySide = sides !== null && wholeChosen;
  const sharedBy = (zones: readonly string[]) => {
    const [first = null, ...rest] = zones.map(ratingOf);
    return rest.every((value) => value === first) ? first : null;
  };
  const earlier = washDay.checkIns.find((known) => known.stage === stage && known.day === (n ?? 0) - 1);
  const numberBefore = (zones: readonly string[]) =>
    dayNumber(
      (earlier?.ratings ?? []).filter((one) => one.outcome === outcome),
      new Map(zones.map((zoneId) => [zoneId, 1])),
    );
  const pads = bySide
    ? sides.map(({ key, arm, zones }) => ({
        key,
        name: <ArmName arm={arm} name={trial.arms[arm]?.name ?? ''} />,
        value: sharedBy(zones),
        before: numberBefore(zones),
      }))
    : null;
  const rateSide = (side: 'left' | 'right', value: number) => {
    const own = sides!.find(({ key }) => key === side)!;
    const other = sides!.find(({ key }) => key !== side)!;
    // Both sides in: the outcome is through.
    rateZones(own.zones, value, sharedBy(other.zones) !== null);
  };
  // Typed: the whole, or the first side that has no number yet.
  useTypedNumber((value) => {
    if (turn === CURLS) return;
    const open = bySide && (sides.find(({ zones }) => sharedBy(zones) === null) ?? sides[0]!);
    if (open) rateSide(open.key, value);
    else rate(value);
  });
  const ratedOf = (key: Turn) => {
    if (key === CURLS) return { done: taken?.curls.length ?? 0, of: wearer.curls.length };
    const of = (taken?.ratings ?? []).filter((rating) => rating.outcome === key);
    return {
      done: counting.filter((zoneId) => of.some((rating) => rating.zoneId === zoneId)).length,
      of: counting.length,
    };
  };
  const finish = (
    <Link to={`/wash-days/${washDay.id}`} className={ON}>
      Finish check-in
    </Link>
  );
  return (
    <div className="basin-screen">
      <p className="text-sm text-soft">
        <Link className="underline underline-offset-4" to={`/wash-days/${washDay.id}`}>
          {dayName(trial, washDay.position)}
        </Link>{' '}
        · {wearer.name}
      </p>
      <h1 className="mb-2 text-2xl sm:mb-3 sm:text-3xl">{stageLabel(stage, n, part)}</h1>
      <SentLine day={washDay} quiet />
      {measured?.from === 'photographs' && stage === 'wear' && (
        <p className="mb-2">
          {promised}, which this trial is judged by, is read in pictures.{' '}
          <Link
            className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
            to={`/wash-days/${washDay.id}/photographs/${stagePath({ ...look, part: 'first' })}`}
          >
            Take the photographs
          </Link>
        </p>
      )}
      <OutcomeTabs turn={turn} turns={round} rated={ratedOf} choose={turnTo} />
      {turn === CURLS ? (
        <section aria-labelledby="curls" className="max-w-2xl">
          <CurlLengths wearer={wearer} taken={taken} save={(curls) => send({ curls })} />
          <div className="mt-3 flex">{finish}</div>
        </section>
      ) : (
        <div className="grid gap-x-12 gap-y-2 sm:gap-y-5 lg:grid-cols-2">
          <ZonesPart
            label={label}
            zones={wearer.zones}
            counting={counting}
            chosen={chosen}
            ratingOf={ratingOf}
            choose={setChosen}
          />
          <section aria-labelledby="rate">
            <RatingPad
              outcome={outcome}
              zones={chosen.length}
              rate={rate}
              sides={pads}
              rateSide={rateSide}
              goesOn={goesOn}
              setGoesOn={setGoesOn}
            />
            <UsualLine
              wearerId={wearer.id}
              trialId={trial.id}
              stage={stage}
              day={n}
              outcome={outcome}
              zones={wearer.zones}
              chosen={chosen}
              ratingOf={ratingOf}
            />
            <RateFoot
              isRated={chosen.some((id) => ratingOf(id) !== null)}
              clear={() => rate(null)}
              next={next}
              turnTo={turnTo}
            >
              {asked.length < round.length && (
                <button
                  type="button"
                  className="min-h-12 px-2 underline underline-offset-4"
                  onClick={() => {
                    setAll(true);
                    turnTo(round[1]!);
                  }}
                >
                  Rate the others too
                </button>
              )}
              {finish}
            </RateFoot>
          </section>
        </div>
      )}
      <div className="mt-8 grid gap-x-12 gap-y-8 border-t border-rule pt-6 lg:grid-cols-2">
        <InWords
          trial={trial}
          wearer={wearer}
          stage={stage}
          taken={taken}
          tell={(felt, words, undo) => {
            void tapRatings([], { felt });
            say(words, () => tapRatings([], { felt: undo }));
          }}
        />
        {stage === 'wear' && (
          <section aria-labelledby="acts" className="space-y-3">
            <h2 id="acts" className="text-xl">
              What it needed and what happened
            </h2>
            <Acts day={washDay} wearer={wearer} products={products} on={wearDate(at, wearer.timeZone)} />
            <ul>
              <DayInAir washDay={washDay} on={wearDate(at, wearer.timeZone)} open />
            </ul>
          </section>
        )}
        {wearer.curls.length === 0 && (
          <p className="text-soft">
            No tagged curls on this head; tag some under Heads to measure shrinkage.
          </p>
        )}
        <section className="space-y-4" aria-label="When and notes">
          <MomentField
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
          <JotField
            key={`note ${taken?.id}`}
            label="Note"
            rows={2}
            words={taken?.note ?? ''}
            save={(note) => tapRatings([], { note })}
          />
          <JotField
            key={`rater ${taken?.id}`}
            label="Rated by, where it was not you"
            words={taken?.rater ?? ''}
            save={(rater) => tapRatings([], { rater })}
          />
        </section>
      </div>
    </div>
  );
}
