import type { OwnBoard } from '@sabor/contract/board';
import type { Wearer } from '@sabor/contract/wearer';
import type { HeadAsk } from '@sabor/core/board/across-heads';
import { COLUMNS, type ColumnKey } from '@sabor/core/board/columns';
import { type BoardAsk, plainAsk } from '@sabor/core/board/read';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { SLOTS, type Slot } from '@sabor/core/step/slots';
import { acrossInWords, effectInWords, overHeadsInWords } from '@sabor/words/board';
import { counted } from '@sabor/words/numbers';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useBoardTrials } from '../../api/board.ts';
import { useHairFile, useShelf } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { Failed, Loading, Nothing } from '../../ui/states.tsx';
import { acrossHeadsInWorker } from '../../workers/board.ts';
import { traitsOf } from './traits-of.ts';

/** What each head's board is made of, told to whoever puts heads together. */
interface OnOneHead extends OwnBoard {
  /** The value from which a day counts as good on it. */
  line: number;
}

/** Reads one head's trials; draws nothing. */
function ReadHead({
  wearerId,
  found,
}: {
  wearerId: string;
  found: (wearerId: string, own: OnOneHead | Error) => void;
}) {
  const own = useBoardTrials(wearerId);
  const line = useHairFile(wearerId).data?.wishes.line ?? 6;
  useEffect(() => {
    if (own.data) found(wearerId, { ...own.data, line });
    else if (own.error) found(wearerId, own.error);
  }, [own.data, own.error, line, found, wearerId]);
  return null;
}

/** Wishes differ from head to head: as wished is no column of several heads. */
const KEYS = (Object.keys(COLUMNS) as ColumnKey[]).filter((key) => key !== 'wish');

/** Products against products over all heads: which pairs several heads answered, each head's answer beside its traits. */
export function OverHeadsPage({
  wearers,
  search,
  set,
}: {
  wearers: readonly Wearer[];
  search: URLSearchParams;
  set: (to: Record<string, string | null>) => void;
}) {
  const shelf = useShelf();
  const [all, setAll] = useState<Readonly<Record<string, OnOneHead | Error>>>({});
  const found = useMemo(
    () => (wearerId: string, own: OnOneHead | Error) => setAll((old) => ({ ...old, [wearerId]: own })),
    [],
  );
  const read = wearers.flatMap(({ id }) => {
    const own = all[id];
    return own === undefined || own instanceof Error ? [] : [{ wearerId: id, own }];
  });
  const broken = wearers.flatMap(({ id }) => (all[id] instanceof Error ? (all[id] as Error) : []));
  const ready = wearers.every(({ id }) => all[id] !== undefined);
  const roles = [...new Set(read.flatMap(({ own }) => own.trials.map(({ arms }) => arms[0]!.role)))].filter(
    (role): role is Slot => role !== 'line',
  );
  const onHeads = (role: Slot) =>
    read.filter(({ own }) => own.trials.some(({ arms }) => arms[0]!.role === role)).length;
  const sorted = roles.toSorted((a, b) => onHeads(b) - onHeads(a));
  const role = sorted.find((one) => one === search.get('role')) ?? sorted[0] ?? null;
  const key = KEYS.find((one) => one === search.get('by')) ?? 'definition';
  const onDay = Math.max(1, Number(search.get('day') ?? 1) || 1);
  const asks = useMemo(
    (): HeadAsk[] | null =>
      ready && role
        ? Object.entries(all).flatMap(([wearerId, own]) =>
            own instanceof Error ? [] : [{ wearerId, ask: askOf(own, role, onDay) }],
          )
        : null,
    [ready, all, role, onDay],
  );
  const across = useWorked('across heads', asks ? [asks, key] : null, () =>
    acrossHeadsInWorker(asks!, key, key !== 'good-days'),
  );
  const reading = wearers.map(({ id }) => <ReadHead key={id} wearerId={id} found={found} />);
  if (broken[0]) return <Failed error={broken[0]} />;
  if (!ready || !shelf.data)
    return (
      <>
        {reading}
        <Loading what="every head’s trials" />
      </>
    );
  const nameOf = (product: string) =>
    shelf.data.products.find(({ id }) => id === product)?.name ?? 'something that was removed';
  const wearerOf = (id: string) => wearers.find((one) => one.id === id)!;
  if (!role)
    return (
      <>
        {reading}
        <Nothing
          title="No finished trial on any head yet"
          action={
            <ButtonLink look="main" to="/trials/new/plan">
              Plan a trial
            </ButtonLink>
          }
        >
          Heads are set beside each other by their own finished trials.
        </Nothing>
      </>
    );
  return (
    <>
      {reading}
      <div className="no-print mb-5 flex flex-wrap gap-x-5 gap-y-2">
        <InlineChoice
          label="Step"
          value={role}
          onChange={(to) => set({ role: to })}
          options={sorted.map(
            (one) => [one, `${SLOTS[one].label} (${counted(onHeads(one), 'head')})`] as const,
          )}
        />
        <InlineChoice
          label="By"
          value={key}
          onChange={(to) => set({ by: to })}
          options={KEYS.map((one) => [one, COLUMNS[one].label] as const)}
        />
        {Object.hasOwn(OUTCOMES, key) && (
          <InlineChoice
            label="Read on day"
            value={String(onDay)}
            onChange={(day) => set({ day })}
            options={Array.from({ length: 7 }, (_, i) => [String(i + 1), String(i + 1)] as const)}
          />
        )}
      </div>
      <p className="mb-4 max-w-3xl text-soft">
        {COLUMNS[key].wanted === 'higher' ? 'More is wanted. ' : 'Less is wanted. '}
        Each head answers by its own trials, and no head’s wash days are counted into another’s. Which heads a
        product suits is read off the list, not computed: the traits stand beside each answer.
      </p>
      {across.isError ? (
        <Failed error={new Error('The heads could not be put together.')} retry={across.refetch} />
      ) : !across.data ? (
        <Loading what="the heads" />
      ) : across.data.length === 0 ? (
        <Nothing title="No two heads answer the same question">
          Run a trial of the same two products on a second head.
        </Nothing>
      ) : (
        <ul className="grid *:min-w-0 gap-x-12 gap-y-8 lg:grid-cols-2">
          {across.data.map(({ a, b, heads, over }) => (
            <li key={`${a} ${b}`}>
              <h2 className="text-xl">
                {nameOf(a)} against {nameOf(b)}
              </h2>
              <ul className="mb-2">
                {(over
                  ? overHeadsInWords(key, over, [nameOf(a), nameOf(b)])
                  : ['Good days are counted to another day on each head: they are listed, not averaged.']
                ).map((sentence) => (
                  <li key={sentence}>{sentence}</li>
                ))}
                <li>{acrossInWords(key, heads, nameOf(a), nameOf(b))}</li>
              </ul>
              <table className="w-full text-left">
                <caption className="sr-only">
                  {nameOf(a)} against {nameOf(b)} in {COLUMNS[key].label.toLowerCase()}, head by head
                </caption>
                <tbody>
                  {heads.map(({ wearerId, effect, trials }) => (
                    <tr key={wearerId} className="border-b border-rule align-top">
                      <th scope="row" className="py-1 pr-3 font-semibold">
                        <Link
                          className="underline-offset-4 hover:underline"
                          to={`/board?head=${wearerId}&role=${role}&by=${key}&pair=${a}|${b}`}
                        >
                          {wearerOf(wearerId).name}
                        </Link>
                        <span className="block text-sm font-normal text-soft">
                          {traitsOf(wearerOf(wearerId))}
                        </span>
                      </th>
                      <td className="figure py-1 text-right">
                        {effectInWords(key, effect)}
                        <span className="block text-sm text-soft">
                          {trials > 0 ? counted(trials, 'trial') : 'through others'}
                        </span>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

const askOf = (own: OnOneHead, role: Slot, onDay: number): BoardAsk =>
  plainAsk(own.trials, role, { line: own.line, onDay });
