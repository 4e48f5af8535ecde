import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashDayChange } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { SLOTS } from '@sabor/core/step/slots';
import { isForLater } from '@sabor/core/step/step';
import { weighedBy } from '@sabor/core/step/weighed';
import { DESIGNS } from '@sabor/core/trial/designs';
import { dayName } from '@sabor/words/day-name';
import { Link } from 'react-router';
import { useWashDayChange } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { ArmName } from '../../drawings/arm-name.tsx';
import { armsOfDay } from '../../drawings/arms-of-day.ts';
import { ribbonColumns, washDayRows } from '../../drawings/ribbon-rows.ts';
import { RibbonStack } from '../../drawings/ribbon-stack.tsx';
import { patch } from '../../http/http.ts';
import { SentLine } from '../../offline/sent-line.tsx';
import { ButtonLink } from '../../ui/button.tsx';
import { ReasonDialog } from '../../ui/reason-dialog.tsx';
import { showDate } from '../../ui/show.ts';
import { Heading, Tag } from '../../ui/states.tsx';
import { Memos } from '../memos/list.tsx';
import { WearAir } from '../worn/wear-air.tsx';
import { ABANDONING, useAbandon } from './abandon.ts';
import { AirOfDay } from './air-of-day.tsx';
import { BasinTold } from './basin-told.tsx';
import { Clocks } from './clocks.tsx';
import { DayFigures } from './day-figures.tsx';
import { daysSinceDetangle } from './days-since-detangle.ts';
import { DoseFelt } from './dose-felt.tsx';
import { Events } from './events.tsx';
import { Guess } from './guess.tsx';
import { Looks } from './looks.tsx';
import { Pictures } from './pictures.tsx';
import { WearEnding } from './wear-ending.tsx';

const STATUS = {
  'under way': { label: 'under way', tone: 'held' },
  worn: { label: 'being worn', tone: 'held' },
  finished: { label: 'finished', tone: 'plain' },
  abandoned: { label: 'abandoned', tone: 'due' },
} as const;

/** Steps that are planned for a day worn and not done yet, with the side they fall to. */
function LaterSteps({ day }: { day: WashDay }) {
  const waiting = day.steps.filter((step) => step.status === 'waiting' && isForLater(step));
  if (waiting.length === 0) return null;
  return (
    <section aria-labelledby="refresh-due" className="border-l-4 border-mango pl-4">
      <h2 id="refresh-due" className="text-xl">
        When their day comes
      </h2>
      {waiting.map((step) => (
        <p key={step.id}>
          <Link
            className="font-semibold underline underline-offset-4"
            to={`/wash-days/${day.id}?step=${step.id}`}
          >
            {SLOTS[step.slot].label}
            {step.half ? `, ${step.half} half` : ''}
            {typeof step.extra.wearDay === 'number' ? `: day ${step.extra.wearDay}` : ''}
          </Link>
        </p>
      ))}
    </section>
  );
}

/** A wash day after its routine: its clocks, the looks at the hair, what happened in wear, and the ribbon it made. */
export function DayPage({
  day,
  trial,
  wearer,
  products,
}: {
  day: WashDay;
  trial: TrialDetail;
  wearer: Wearer;
  products: readonly Product[];
}) {
  const change = useWashDayChange(day.id, (to: WashDayChange) => patch<WashDay>(`/wash-days/${day.id}`, to));
  const abandon = useAbandon(day.id);
  const voice = useVoice();
  const columns = ribbonColumns(trial, [day], voice);
  const rows = washDayRows(trial, [day], columns, voice, () => STATUS[day.status].label, weighedBy(products));
  const arms = armsOfDay(trial, day);
  const open = day.status === 'worn' && (!trial.endedAt || trial.logged);
  return (
    <>
      <Heading
        kicker={
          trial.logged ? (
            <Link className="underline underline-offset-4" to="/wash-days">
              Wash days
            </Link>
          ) : (
            <Link className="underline underline-offset-4" to={`/trials/${trial.id}`}>
              {trial.question}
            </Link>
          )
        }
        title={`${dayName(trial, day.position)}, ${showDate(day.localDate)}`}
        actions={
          open ? (
            <ButtonLink to={`/wash-days/${day.id}?step=${day.steps[0]?.id ?? 'end'}`}>
              Correct the steps
            </ButtonLink>
          ) : undefined
        }
      >
        <span className="flex flex-wrap items-center gap-3">
          {wearer.name}{' '}
          {(trial.logged ? [] : arms).map((arm, i) => (
            <span key={arm} className="inline-flex items-center gap-2">
              {arms.length > 1 && (i === 0 ? 'left' : 'right')}
              <ArmName arm={arm} name={trial.arms[arm]?.name ?? ''} />
            </span>
          ))}{' '}
          <Tag tone={STATUS[day.status].tone}>{STATUS[day.status].label}</Tag>
          {day.enteredLater && <Tag>entered later</Tag>}
        </span>
      </Heading>
      <SentLine day={day} quiet />
      {day.abandonReason && (
        <p className="mb-6 border-l-4 border-mango pl-4">
          Abandoned: <q>{day.abandonReason}</q> Its place in the random order came up again with the same
          option.
        </p>
      )}
      {day.status !== 'abandoned' && (
        <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
          <div className="space-y-8">
            <Clocks day={day} open={open} change={change.mutateAsync} />
            <AirOfDay day={day} open={open} change={change.mutateAsync} />
            <WearAir day={day} open={open} />
            <DayFigures day={day} daysSince={daysSinceDetangle(day, trial)} products={products} />
          </div>
          <div className="space-y-8">
            {open && <LaterSteps day={day} />}
            {DESIGNS[trial.design].seeks === 'dose' && (
              <DoseFelt day={day} open={open} change={change.mutateAsync} />
            )}
            <Guess day={day} trial={trial} />
            <Looks day={day} trial={trial} wearer={wearer} open={open} />
            <Events day={day} wearer={wearer} products={products} open={open} />
            <WearEnding day={day} trial={trial} open={open} />
            <Memos of={{ kind: 'wash-day', id: day.id }} />
            <BasinTold day={day} products={products} open={open} />
          </div>
        </div>
      )}
      <Pictures day={day} />
      <section className="mt-10" aria-labelledby="done">
        <h2 id="done" className="mb-2 text-xl">
          What was done
        </h2>
        <RibbonStack caption="This wash day against its plan" columns={columns} rows={rows} />
      </section>
      {open && day.revealAt === null && (
        <div className="mt-8 border-t border-rule pt-5">
          <ReasonDialog
            trigger="Abandon this wash day"
            title="Abandon this wash day?"
            label="What happened"
            send={abandon.mutateAsync}
          >
            {ABANDONING}
          </ReasonDialog>
        </div>
      )}
    </>
  );
}
