import type { HairFile } from '@sabor/contract/hair-file';
import type { Wearer } from '@sabor/contract/wearer';
import { type CareStatus, careStatus } from '@sabor/core/hair/care';
import { CARE, type CareKind } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { localToday } from '@sabor/core/time/today';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { Tag } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { Collisions } from './collisions.tsx';

/** What care is due on this head, when and why, with the wearer's own days between. */
export function Care({ wearer, file }: { wearer: Wearer; file: HairFile }) {
  const status = careStatus([...file.events, ...file.washCare], file.washedOn, file.cadence, localToday());
  const off = (Object.keys(CARE) as CareKind[]).filter((kind) => file.cadence[kind] === null);
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

function useCadence(wearerId: string, kind: CareKind) {
  const set = useChange((everyDays: number | null) =>
    put(`/wearers/${wearerId}/cadence/${kind}`, { everyDays }),
  );
  const usual = useChange((_: undefined) => remove(`/wearers/${wearerId}/cadence/${kind}`));
  return { set, usual };
}

function CareRow({ wearerId, one, own }: { wearerId: string; one: CareStatus; own: boolean }) {
  const say = useSay();
  const { set, usual } = useCadence(wearerId, one.kind);
  const [days, setDays] = useState<number | null>(one.everyDays);
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
        {own && (
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
  const { usual } = useCadence(wearerId, kind);
  return (
    <Button look="quiet" onClick={() => usual.mutate(undefined)} aria-label={`Switch on ${CARE[kind].label}`}>
      {CARE[kind].label}
    </Button>
  );
}
