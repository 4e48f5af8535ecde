import type { Product } from '@sabor/contract/shelf';
import type { TapsHeard } from '@sabor/contract/taps';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { routineMinutes } from '@sabor/core/basin/lay-out';
import type { StepSettings } from '@sabor/core/step/settings';
import { SLOTS } from '@sabor/core/step/slots';
import { isForLater, settingsOf } from '@sabor/core/step/step';
import { dayName } from '@sabor/words/day-name';
import { stepInWords } from '@sabor/words/step';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import { useChange, useShelf, useTrial, useWashDay, useWearer } from '../../api/queries.ts';
import { useVoice } from '../../api/voice.ts';
import { deviceName, patch, post, type Refused } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { MomentField } from '../../ui/dates.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { TextField } from '../../ui/inputs.tsx';
import { fromLocalInput, toLocalInput } from '../../ui/show.ts';
import { Failed, Heading, Loading, SheetProblems } from '../../ui/states.tsx';
import { StepSettingsFields } from '../../ui/step-settings.tsx';
import { useSay } from '../../ui/undo.tsx';

/** A wash day that is past, in one sheet: when it began, what was done, what differed. */
export function AfterwardsScreen() {
  const { id = '' } = useParams();
  const day = useWashDay(id);
  const trial = useTrial(day.data?.trialId ?? 'new');
  const wearer = useWearer(day.data?.wearerId ?? 'new');
  const shelf = useShelf();
  if (day.error && day.isError) return <Failed error={day.error} retry={day.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  if (!day.data || !trial.data || !wearer.data || !shelf.data) return <Loading what="the wash day" />;
  const name = dayName(trial.data, day.data.position);
  if (day.data.status !== 'under way')
    return (
      <>
        <Heading title={name} />
        <p>
          Its steps are in.{' '}
          <Link className="underline underline-offset-4" to={`/wash-days/${id}`}>
            Open the wash day
          </Link>{' '}
          to correct them or to add how the hair was.
        </p>
      </>
    );
  return (
    <Sheet key={id} day={day.data} name={name} wearerName={wearer.data.name} products={shelf.data.products} />
  );
}

interface Told {
  done: boolean;
  settings: StepSettings;
}

const MINUTE = 60_000;

/** When each step was done, one after the other from the start by its minutes, and never after now. */
function momentsOf(steps: readonly WashStep[], startedAt: string, now: number): string[] {
  let at = Date.parse(startedAt);
  return steps.map((step) => {
    at += routineMinutes([step], []) * MINUTE;
    return new Date(Math.min(at, now)).toISOString();
  });
}

function Sheet({
  day,
  name,
  wearerName,
  products,
}: {
  day: WashDay;
  name: string;
  wearerName: string;
  products: readonly Product[];
}) {
  const voice = useVoice();
  const leave = useGoOn();
  const say = useSay();
  const steps = day.steps.filter((step) => !isForLater(step));
  const [told, setTold] = useState<Readonly<Record<string, Told>>>(() =>
    Object.fromEntries(
      steps.map((step) => [
        step.id,
        { done: step.status !== 'skipped' && step.planned?.skipped !== true, settings: settingsOf(step) },
      ]),
    ),
  );
  const [began, setBegan] = useState(toLocalInput(day.startedAt));
  const [finished, setFinished] = useState(toLocalInput(day.revealAt));
  const [note, setNote] = useState(day.note);
  const [opened, setOpened] = useState<string | null>(null);
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const put = (stepId: string, to: Partial<Told>) =>
    setTold((old) => ({ ...old, [stepId]: { ...old[stepId]!, ...to } }));
  const save = useChange(async (_: undefined) => {
    const startedAt = fromLocalInput(began);
    if (startedAt === null)
      throw Object.assign(new Error('Say when it began.'), {
        fields: [{ path: 'startedAt', message: 'Say when it began: a date and a time.' }],
      });
    if (startedAt !== day.startedAt && began !== toLocalInput(day.startedAt))
      await patch<WashDay>(`/wash-days/${day.id}`, { startedAt });
    const now = Date.now();
    const at = momentsOf(steps, startedAt, now);
    const taps: object[] = steps.map((step, i) => {
      const { done, settings } = told[step.id]!;
      return {
        id: v7(),
        at: at[i],
        kind: 'step',
        stepId: step.id,
        set: done ? { ...settings, status: 'done', doneAt: at[i] } : { status: 'skipped', doneAt: null },
      };
    });
    const last = at.at(-1) ?? startedAt;
    const revealAt = fromLocalInput(finished);
    taps.push({ id: v7(), at: last, kind: 'finish' });
    const heard = await post<TapsHeard>(`/wash-days/${day.id}/taps`, { device: deviceName(), taps });
    if (heard.refused.length > 0)
      throw Object.assign(new Error(heard.refused.map(({ detail }) => detail).join(' ')), { fields: [] });
    await patch<WashDay>(`/wash-days/${day.id}`, {
      note,
      ...(revealAt === null ? {} : { dryAt: heard.day.dryAt ?? revealAt, revealAt }),
    });
  });
  const send = () => {
    const goOn = leave();
    save.mutate(undefined, {
      onSuccess: () => {
        say(`${name} is entered.`);
        goOn(`/wash-days/${day.id}`);
      },
      onError: (error) => {
        const { fields, message } = error as Refused;
        setProblems(fields?.length ? fields : [{ path: '', message }]);
      },
    });
  };
  const different = steps.filter(({ id }) => !told[id]!.done).length;
  return (
    <form
      noValidate
      className="max-w-4xl"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <Heading kicker={wearerName} title={`${name}, afterwards`}>
        As it was planned, unless you say otherwise. It is marked as entered later: minutes and amounts from
        memory weigh less than what was told at the basin.
      </Heading>
      <div className="mb-5 grid gap-4 sm:grid-cols-2">
        <MomentField label="It began" value={began} onChange={setBegan} error={problem('startedAt')} />
        <MomentField
          label="Hair finished"
          hint="Cast broken or set taken down: day 1. Leave it open if you do not know."
          value={finished}
          onChange={setFinished}
          error={problem('revealAt') ?? problem('dryAt')}
        />
      </div>
      <h2 className="text-xl">What was done</h2>
      <p className="mb-2 text-soft">
        {different === 0 ? 'All of it.' : `${different} left out.`} Open a step to say what differed.
      </p>
      <ol>
        {steps.map((step, i) => {
          const { done, settings } = told[step.id]!;
          const { label } = SLOTS[step.slot];
          return (
            <li key={step.id} className="border-b border-rule">
              <div className="flex min-h-12 flex-wrap items-center gap-x-4">
                <label className="flex min-h-11 items-center gap-2 font-semibold">
                  <input
                    type="checkbox"
                    className="size-5 accent-ink"
                    checked={done}
                    aria-label={`${label}, step ${i + 1}, was done`}
                    onChange={(e) => put(step.id, { done: e.target.checked })}
                  />
                  {label}
                  {step.half ? `, ${step.half} half` : ''}
                </label>
                <span className={`min-w-0 flex-1 basis-52 ${done ? 'text-soft' : 'text-soft line-through'}`}>
                  {step.code === null ? stepInWords(settings, voice, { brief: true }) : `bottle ${step.code}`}
                </span>
                {done && (
                  <Button
                    look="quiet"
                    aria-expanded={opened === step.id}
                    aria-label={`What differed at ${label}, step ${i + 1}`}
                    onClick={() => setOpened(opened === step.id ? null : step.id)}
                  >
                    What differed
                  </Button>
                )}
              </div>
              {done && opened === step.id && (
                <div className="mb-4 border-l-4 border-leaf/50 pl-4">
                  <StepSettingsFields
                    slot={step.slot}
                    step={settings}
                    onChange={(next) => put(step.id, { settings: settingsOf(next) })}
                    products={products}
                    problem={() => undefined}
                    hideProduct={step.code !== null}
                  />
                </div>
              )}
            </li>
          );
        })}
      </ol>
      <TextField
        className="mt-5"
        label="Note"
        rows={2}
        value={note}
        onChange={setNote}
        error={problem('note')}
      />
      <div className="mt-6 space-y-4">
        <SheetProblems problems={problems} shown={['startedAt', 'revealAt', 'dryAt', 'note']} />
        <div className="flex flex-wrap gap-3">
          <Button look="main" type="submit" disabled={save.isPending}>
            Enter the wash day
          </Button>
          <ButtonLink to={`/wash-days/${day.id}`}>Step by step instead</ButtonLink>
        </div>
      </div>
    </form>
  );
}
