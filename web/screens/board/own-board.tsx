import type { OwnBoard } from '@sabor/contract/board';
import type { Wearer } from '@sabor/contract/wearer';
import { COLUMNS, type ColumnKey, type WishKey, type WishWeights } from '@sabor/core/board/columns';
import { type BoardAsk, unreadWishes } from '@sabor/core/board/read';
import { OUTCOMES, type Outcome } from '@sabor/core/outcomes/outcomes';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useHairFile, useShelf } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { Failed, Loading, Nothing } from '../../ui/states.tsx';
import { boardInWorker } from '../../workers/board.ts';
import { ByKind } from './by-kind.tsx';
import { ByWay } from './by-way.tsx';
import { EvidenceMap } from './evidence-map.tsx';
import { InAir } from './in-air.tsx';
import { InView, useView } from './in-view.tsx';
import { Matrix } from './matrix.tsx';
import { namesOn } from './names.ts';
import { LeftOut, Waiting } from './not-on-it.tsx';
import { PairPanel } from './pair-panel.tsx';
import { roleLabel, roleOf, type SetAddress } from './roles.ts';
import { Standings } from './standings.tsx';
import { Weights } from './weights.tsx';

const BoardReport = lazy(async () => ({
  default: (await import('../report/of-board.tsx')).BoardReport,
}));

/** A wearer's wishes as weights of the board. */
const weightsOf = (wishes: readonly { wish: string; weight: number }[]): WishWeights =>
  Object.fromEntries(wishes.map(({ wish, weight }) => [wish as WishKey, weight]));

/** One head’s board of one step. */
export function OwnBoardPage({
  own,
  wearer,
  search,
  set,
}: {
  own: OwnBoard;
  wearer: Wearer;
  search: URLSearchParams;
  set: SetAddress;
}) {
  const role = roleOf(own, search);
  const wishes = useHairFile(wearer.id).data?.wishes;
  const shelf = useShelf();
  const [weights, setWeights] = useState<WishWeights | null>(null);
  const wished = useMemo(() => weightsOf(wishes?.weights ?? []), [wishes]);
  const used = weights ?? wished;
  const onDay = Math.max(1, Number(search.get('day') ?? 1) || 1);
  const lasting = (search.get('good') ?? 'definition') as Outcome;
  const upTo = Math.round(Number(search.get('to'))) || null;
  const weakened = search.get('weakened') !== 'out';
  const asked = search.get('by') as ColumnKey | null;
  const pooled = search.get('put') === 'pooled';
  // What is drawn towards the middle is told from the middle.
  const against = pooled ? null : search.get('against');
  const tested = useMemo(
    () => own.trials.filter(({ arms }) => arms.some((arm) => arm.role === role)),
    [own.trials, role],
  );
  const { view, screenedAt, error: unscreened } = useView(wearer, search, tested);
  const ask = useMemo(
    (): BoardAsk | null =>
      role &&
      view && {
        trials: own.trials,
        role,
        onDay,
        lasting: Object.hasOwn(OUTCOMES, lasting) ? lasting : 'definition',
        line: wishes?.line ?? 6,
        upTo,
        weakened,
        weights: used,
        against,
        by: asked && Object.hasOwn(COLUMNS, asked) ? asked : null,
        pooled: false,
        whole: false,
        view,
      },
    [own.trials, role, onDay, lasting, wishes?.line, upTo, weakened, used, against, asked, view],
  );
  const board = useWorked('board', ask ? [ask] : null, () => boardInWorker(ask!), `${wearer.id} ${role}`);
  const waiting = <Waiting own={own} />;
  if (!role)
    return (
      <>
        <Nothing
          title="No finished trial yet"
          action={
            <ButtonLink look="main" to={`/trials/new/plan?wearer=${wearer.id}`}>
              Plan a trial
            </ButtonLink>
          }
        >
          A trial stands here once it is over and its outcomes have been shown.
        </Nothing>
        {waiting}
      </>
    );
  if (unscreened) return <Failed error={unscreened} />;
  if (!ask) return <Loading what="the shelf’s screening" />;
  if (board.isError)
    return <Failed error={new Error('The board could not be computed.')} retry={board.refetch} />;
  if (!board.data || !shelf.data) return <Loading what="the board" />;
  const { data } = board;
  const products = shelf.data.products;
  const nameOf = namesOn(data.nodes, products);
  const days = Math.max(1, ...tested.map(({ wearDays }) => wearDays));
  const planned = [...new Set(tested.map(({ wearDays }) => wearDays))].sort((a, b) => a - b).slice(1);
  const by = data.columns.find(({ key }) => key === data.by)!;
  if (search.get('report') !== null && data.shown.length > 0)
    return (
      <Suspense fallback={<Loading what="the report" />}>
        <BoardReport
          board={data}
          column={by}
          step={roleLabel(ask.role)}
          wearer={wearer}
          products={products}
          nameOf={nameOf}
          inView={
            data.shown.length < data.nodes.length
              ? `In view: ${data.shown.length} of ${data.nodes.length}.`
              : ''
          }
          kicker={
            <button
              type="button"
              className="underline underline-offset-4"
              onClick={() => set({ report: null })}
            >
              Back to the board
            </button>
          }
        />
      </Suspense>
    );
  const pair = search.get('pair')?.split('|') ?? null;
  const open = (a: string, b: string) => set({ pair: `${a}|${b}` });
  return (
    <>
      <div className="no-print mb-5 flex flex-wrap gap-x-5 gap-y-2">
        <InlineChoice
          label="Order by"
          value={by.key}
          onChange={(key) => set({ by: key })}
          options={data.offered.map((key) => [key, COLUMNS[key].label] as const)}
        />
        <InlineChoice
          label="Read on day"
          value={String(onDay)}
          onChange={(day) => set({ day })}
          options={Array.from({ length: days }, (_, i) => [String(i + 1), String(i + 1)] as const)}
        />
        <InlineChoice
          label="Good days by"
          value={ask.lasting}
          onChange={(good) => set({ good })}
          options={(Object.keys(OUTCOMES) as Outcome[]).map((key) => [key, OUTCOMES[key].label] as const)}
        />
        <InlineChoice
          label="counted to day"
          value={upTo === null ? '' : String(upTo)}
          onChange={(to) => set({ to: to || null })}
          options={[
            ['', upTo === null ? `${data.countedTo}, which all trials planned` : 'that all trials planned'],
            ...planned.map((day) => [String(day), `${day}, by the trials that planned it`] as const),
          ]}
        />
        {(data.weakened.length > 0 || !weakened) && (
          <label className="flex min-h-11 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={weakened}
              onChange={(event) => set({ weakened: event.target.checked ? null : 'out' })}
            />
            Count weakened trials ({data.weakened.length})
          </label>
        )}
      </div>
      {data.nodes.length > 0 && (
        <InView
          wearer={wearer}
          search={search}
          set={set}
          products={products.filter(({ id }) => data.nodes.some(({ productId }) => productId === id))}
          screenedAt={screenedAt}
          shown={data.shown.length}
          of={data.nodes.length}
        />
      )}
      {data.shown.length > 0 && (
        <p className="no-print mb-4">
          <Button look="quiet" className="px-0!" onClick={() => set({ report: '' })}>
            Report of this board
          </Button>
        </p>
      )}
      {data.nodes.length > 0 && data.shown.length === 0 ? (
        <Nothing title="Nothing of this board is in view">Choose less narrowly what to look at.</Nothing>
      ) : data.nodes.length === 0 ? (
        <Nothing title="No trial of this step counts">
          All of them are left out: run one again without what broke it, or count the weakened ones.
        </Nothing>
      ) : (
        <div className="grid *:min-w-0 gap-x-12 gap-y-10 lg:grid-cols-[1.3fr_1fr]">
          <Standings
            board={data}
            column={by}
            nameOf={nameOf}
            products={products}
            role={ask.role}
            unreadWishes={unreadWishes(tested, used, onDay)}
            onDay={onDay}
            view={ask.view}
            tried={
              new Set(own.trials.flatMap(({ arms }) => arms.flatMap(({ productId }) => productId ?? [])))
            }
            wearerId={wearer.id}
            open={open}
          />
          <div className="space-y-10">
            <Weights
              weights={used}
              wished={wished}
              change={setWeights}
              ask={ask}
              leader={by.key === 'wish' ? (by.leaders[0]?.node ?? null) : null}
              shown={data.shown}
              nameOf={nameOf}
              wearer={wearer}
            />
            <EvidenceMap board={data} nameOf={nameOf} open={open} />
          </div>
          {pair?.length === 2 && data.nodes.some(({ node }) => node === pair[0]) && (
            <div className="lg:col-span-2">
              <PairPanel
                ask={ask}
                column={by.key}
                pair={[pair[0]!, pair[1]!]}
                board={data}
                nameOf={nameOf}
                trials={own.trials}
                wearerId={wearer.id}
                close={() => set({ pair: null })}
              />
            </div>
          )}
          <div className="lg:col-span-2">
            <Matrix
              ask={ask}
              subject={`${wearer.id} ${role}`}
              nodes={data.nodes}
              nameOf={nameOf}
              against={against}
              setAgainst={(node) => set({ against: node })}
              pooled={pooled}
              setPooled={(to) => set({ put: to ? 'pooled' : null })}
              open={open}
            />
          </div>
          <div className="lg:col-span-2">
            <ByKind ask={ask} products={products} />
          </div>
          <div className="lg:col-span-2">
            <ByWay
              wearer={wearer}
              outcome={Object.hasOwn(OUTCOMES, by.key) ? (by.key as Outcome) : ask.lasting}
              onDay={onDay}
              line={ask.line}
            />
          </div>
          <div className="lg:col-span-2">
            <InAir
              board={data}
              nameOf={nameOf}
              by={data.offered.includes('wish') ? 'wish' : data.offered[0]!}
            />
          </div>
        </div>
      )}
      <LeftOut board={data} />
      {waiting}
    </>
  );
}
