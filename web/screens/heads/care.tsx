import type { HairFile } from '@sabor/contract/hair-file';
import type { Wearer } from '@sabor/contract/wearer';
import { type CareStatus, careRow, careStatus, isKept } from '@sabor/core/hair/care';
import { CARE, type CareKind } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS, type HairEventKind } from '@sabor/core/hair/history';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { NumberField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { Tag } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { Collisions } from './collisions.tsx';

/** What care is due on this head, when and why, with the wearer's own days between. */
export function Care({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const status = careStatus(
    [...file.events, ...file.washCare],
    file.washedOn,
    file.cadence,
    localToday(),
    file.alternate,
  );
  const off = (Object.keys(CARE) as CareKind[]).filter((kind) => !isKept(kind, file.cadence));
  return (
    <section aria-labelledby="care">
      <h2 id="care" className="text-xl">
        Care due
      </h2>
      <p className="mb-2 text-soft">
        From the timeline and the wash days. The usual cadence is common practice; set your own, or switch a
        kind off.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Care, kind by kind">
        <table className="w-full min-w-[40rem] text-left text-[0.95rem]">
          <thead className="text-sm text-soft">
            <tr className="border-b border-rule">
              <th scope="col" className="w-[32%] font-semibold">
                Care
              </th>
              <th scope="col" className="w-[16%] font-semibold">
                Last
              </th>
              <th scope="col" className="w-[20%] font-semibold">
                Due
              </th>
              <th scope="col" className="w-[20%] font-semibold">
                Every
              </th>
              <th scope="col" className="font-semibold">
                <span className="sr-only">Switch off</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {status.map((one) => (
              <CareRow
                key={`${one.kind} ${one.everyDays}`}
                wearerId={wearer.id}
                one={one}
                own={file.cadence[one.kind] !== undefined}
                turns={turnsOf(one.kind, file)}
              />
            ))}
          </tbody>
        </table>
      </div>
      {off.length > 0 && <SwitchedOff wearerId={wearer.id} kinds={off} />}
      <Collisions file={file} />
    </section>
  );
}

function dueWords({ over, dueOn, calledBy }: CareStatus): { words: string; tone: 'due' | 'held' | 'plain' } {
  if (over === null || dueOn === null) return { words: 'never noted', tone: 'plain' };
  if (calledBy) return { words: `now, after ${HAIR_EVENTS[calledBy].label.toLowerCase()}`, tone: 'due' };
  if (over > 0) return { words: `${over} ${over === 1 ? 'day' : 'days'} overdue`, tone: 'due' };
  return { words: over === 0 ? 'today' : `on ${showDate(dueOn)}`, tone: over === 0 ? 'due' : 'held' };
}

/** Whether a kind takes turns with another that is kept on this head; null where it cannot. */
function turnsOf(kind: CareKind, file: HairFile): { with: CareKind; now: boolean } | null {
  const { turns } = careRow(kind);
  return turns === undefined || !isKept(turns, file.cadence)
    ? null
    : { with: turns, now: file.alternate.includes(kind) };
}

function useCadence(wearerId: string, kind: CareKind, alternates = false) {
  const set = useChange((everyDays: number | null) =>
    put(`/wearers/${wearerId}/cadence/${kind}`, { everyDays, alternates }),
  );
  const usual = useChange((_: undefined) => remove(`/wearers/${wearerId}/cadence/${kind}`));
  return { set, usual };
}

function CareRow({
  wearerId,
  one,
  own,
  turns,
}: {
  wearerId: string;
  one: CareStatus;
  own: boolean;
  turns: ReturnType<typeof turnsOf>;
}) {
  const say = useSay();
  const { set, usual } = useCadence(wearerId, one.kind, turns?.now);
  const turn = useChange((alternates: boolean) =>
    put(`/wearers/${wearerId}/cadence/${one.kind}`, { everyDays: one.everyDays, alternates }),
  );
  const [days, setDays] = useState<number | null>(one.everyDays);
  const [inTurns, setInTurns] = useState(turns?.now ?? false);
  const { label, says } = CARE[one.kind];
  const { words, tone } = dueWords(one);
  const fine = days !== null && Number.isInteger(days) && days >= 1 && days <= 730;
  const keep = () => {
    if (fine && days !== one.everyDays) set.mutate(days, { onError: (error) => say(error.message) });
  };
  const back = () => (own ? set.mutate(one.everyDays) : usual.mutate(undefined));
  return (
    <tr className="border-b border-rule align-top">
      <th scope="row" className="py-2 pr-4 font-semibold">
        {label}
        <span className="block text-sm font-normal text-soft">{says}</span>
      </th>
      <td className="py-2 pr-4">{one.last ? showDate(one.last) : '–'}</td>
      <td className="py-2 pr-4">
        <Tag tone={tone}>{words}</Tag>
      </td>
      <td className="py-1 pr-4">
        <NumberField
          label={<span className="sr-only">{label}, days between</span>}
          unit="days"
          value={days}
          onChange={setDays}
          onBlur={keep}
          error={fine ? undefined : 'Whole days, 1 to 730.'}
        />
        {turns && (
          <label className="flex min-h-8 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={inTurns}
              onChange={(e) => {
                const to = e.target.checked;
                setInTurns(to);
                turn.mutate(to, {
                  onError: (error) => {
                    setInTurns(!to);
                    say(error.message);
                  },
                });
              }}
            />
            in turns with {CARE[turns.with].label.toLowerCase()}
          </label>
        )}
        {own && !careRow(one.kind).asked && (
          <Button
            look="quiet"
            className="px-0!"
            aria-label={`Usual cadence for ${label}`}
            onClick={() => usual.mutate(undefined)}
          >
            the usual
          </Button>
        )}
      </td>
      <td className="py-1 text-right">
        <DoneToday wearerId={wearerId} kind={one.kind} done={one.last === localToday()} />
        <Button
          look="quiet"
          className="whitespace-nowrap px-0!"
          aria-label={`Switch off ${label}`}
          onClick={() => set.mutateAsync(null).then(() => say(`${label} is switched off.`, back))}
        >
          Switch off
        </Button>
      </td>
    </tr>
  );
}

/** Care that was done today, in one tap; a wash is logged, since it has steps. */
function DoneToday({ wearerId, kind, done }: { wearerId: string; kind: CareKind; done: boolean }) {
  const say = useSay();
  const add = useChange((id: string) =>
    put(`/hair-events/${id}`, { wearerId, kind: event, on: localToday(), zoneIds: [], note: '' }),
  );
  const back = useChange((id: string) => remove(`/hair-events/${id}`));
  const { label } = CARE[kind];
  const event = careRow(kind).counts.find((one): one is HairEventKind => Object.hasOwn(HAIR_EVENTS, one));
  if (done) return null;
  if (event === undefined || careRow(kind).turns !== undefined)
    return (
      <ButtonLink
        look="quiet"
        className="whitespace-nowrap px-0!"
        to={`/wash-days/new?head=${wearerId}`}
        aria-label={`Log it: ${label.toLowerCase()}`}
      >
        Log it
      </ButtonLink>
    );
  return (
    <Button
      look="quiet"
      className="mr-4 whitespace-nowrap px-0!"
      aria-label={`${label} done today`}
      onClick={() => {
        const id = v7();
        add.mutate(id, {
          onSuccess: () => say(`${label}: done today.`, () => back.mutate(id)),
          onError: (error) => say(error.message),
        });
      }}
    >
      Done today
    </Button>
  );
}

function SwitchedOff({ wearerId, kinds }: { wearerId: string; kinds: readonly CareKind[] }) {
  return (
    <p className="mt-2 flex flex-wrap items-center gap-2 text-soft">
      Switched off:
      {kinds.map((kind) => (
        <SwitchOn key={kind} wearerId={wearerId} kind={kind} />
      ))}
    </p>
  );
}

function SwitchOn({ wearerId, kind }: { wearerId: string; kind: CareKind }) {
  const { set, usual } = useCadence(wearerId, kind);
  const on = () => (careRow(kind).asked ? set.mutate(CARE[kind].everyDays) : usual.mutate(undefined));
  return (
    <Button look="quiet" onClick={on} aria-label={`Switch on ${CARE[kind].label}`}>
      {CARE[kind].label}
    </Button>
  );
}
