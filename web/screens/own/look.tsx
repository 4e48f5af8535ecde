import type { LookInput, Looks, WaitingLook } from '@sabor/contract/looks';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import { useLooks } from '../../api/queries.ts';
import { boxLook, useLookBox } from '../../offline/look-box.ts';
import { showDate } from '../../ui/show.ts';
import { Failed, Loading, Nothing } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { JotField } from '../check-in/jot-field.tsx';
import { CURLS, OutcomeTabs } from '../check-in/outcome-tabs.tsx';
import { ON, RateFoot } from '../check-in/rate-foot.tsx';
import { RatingPad } from '../check-in/rating-pad.tsx';
import { useTypedNumber } from '../check-in/typed-number.ts';
import { ZonesPart } from '../check-in/zones-part.tsx';
import { readStage } from '../worn/look-path.ts';
import { headOf, saidSoFar, sameLook } from './own-looks.ts';
import { OwnSent } from './sent.tsx';

/** One look by a rater or a wearer: an outcome, the zones it is about, a number; and nothing of what was used. */
export function OwnLookScreen() {
  const { washDayId = '', stage = '' } = useParams();
  const looks = useLooks();
  const which = readStage(stage);
  if (looks.isLoadingError) return <Failed error={looks.error} retry={looks.refetch} />;
  if (!looks.data) return <Loading what="the look" />;
  const look =
    which && looks.data.looks.find((one) => sameLook(one, { washDayId, stage: which.stage, day: which.day }));
  const head = look && headOf(looks.data, look);
  if (!look || !head)
    return (
      <Nothing title="This look is over" whole action={<Link to="/own">To your page</Link>}>
        Somebody else took it, or its hair was washed meanwhile.
      </Nothing>
    );
  return <Sheet key={stage} look={look} head={head} />;
}

function Sheet({ look, head }: { look: WaitingLook; head: Looks['heads'][number] }) {
  const { washDayId, stage, day, main, counting } = look;
  const say = useSay();
  const fresh = useRef(v7());
  const said = saidSoFar(look, useLookBox());
  const [outcome, setOutcome] = useState<Outcome>(main);
  const [chosen, setChosen] = useState<readonly string[]>(counting);
  const [goesOn, setGoesOn] = useState(true);
  const turns = [main, ...(Object.keys(OUTCOMES) as Outcome[]).filter((key) => key !== main)];
  const next = turns[turns.indexOf(outcome) + 1];
  const ratingOf = (zoneId: string, of = outcome) =>
    said.ratings.find((one) => one.outcome === of && one.zoneId === zoneId)?.value ?? null;
  const tell = (to: Partial<Pick<LookInput, 'ratings' | 'note'>>) =>
    boxLook({
      id: said.id ?? fresh.current,
      washDayId,
      stage,
      day,
      part: 'first',
      at: said.at ?? new Date().toISOString(),
      ratings: [],
      ...to,
    });
  const turnTo = (to: Outcome) => {
    setOutcome(to);
    setChosen(counting);
  };
  const rate = (value: number | null) => {
    if (chosen.length === 0) return;
    const before = chosen.map((zoneId) => ({ outcome, zoneId, value: ratingOf(zoneId) }));
    void tell({ ratings: chosen.map((zoneId) => ({ outcome, zoneId, value })) });
    say(
      `${OUTCOMES[outcome].label}: ${value ?? 'taken away'} for ${chosen.length === 1 ? 'one zone' : `${chosen.length} zones`}.`,
      () => {
        void tell({ ratings: before });
        turnTo(outcome);
      },
    );
    if (goesOn && value !== null && next && chosen.length === counting.length) turnTo(next);
  };
  useTypedNumber(rate);
  return (
    <div className="basin-screen">
      <p className="text-sm text-soft">
        <Link className="underline underline-offset-4" to="/own">
          Your page
        </Link>{' '}
        · {head.name}, washed {showDate(look.washedOn)}
      </p>
      <h1 className="mb-2 text-2xl sm:mb-3 sm:text-3xl">{stageLabel(stage, day)}</h1>
      <OwnSent />
      <OutcomeTabs
        turn={outcome}
        turns={turns}
        rated={(key) => ({
          done: key === CURLS ? 0 : counting.filter((zoneId) => ratingOf(zoneId, key) !== null).length,
          of: counting.length,
        })}
        choose={(key) => key !== CURLS && turnTo(key)}
      />
      <div className="grid gap-x-12 gap-y-2 sm:gap-y-5 lg:grid-cols-2">
        <ZonesPart
          label={OUTCOMES[outcome].label}
          zones={head.zones}
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
            sides={null}
            rateSide={() => {}}
            goesOn={goesOn}
            setGoesOn={setGoesOn}
          />
          <RateFoot
            isRated={chosen.some((id) => ratingOf(id) !== null)}
            clear={() => rate(null)}
            next={next}
            turnTo={turnTo}
          >
            <Link to="/own" className={ON}>
              Finish
            </Link>
          </RateFoot>
        </section>
      </div>
      <section className="mt-6 max-w-xl" aria-label="Note">
        <JotField
          key={`note ${said.id}`}
          label="Note"
          rows={2}
          words={said.note}
          save={(note) => tell({ note })}
        />
      </section>
    </div>
  );
}
