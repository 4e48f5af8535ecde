import type { OwnBoard } from '@sabor/contract/board';
import { useSearchParams } from 'react-router';
import { useBoardTrials } from '../../api/board.ts';
import { useWearers } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { OverHeadsPage } from './over-heads.tsx';
import { OwnBoardPage } from './own-board.tsx';
import { roleLabel, roleOf, rolesOf, type SetAddress } from './roles.ts';

/** Stands for all heads in the address. */
const SEVERAL = 'several';

/** The board: whose, of which step. */
export function BoardScreen() {
  const [search, setSearch] = useSearchParams();
  const wearers = useWearers();
  const several = search.get('head') === SEVERAL;
  const wearerId = several ? '' : (search.get('head') ?? wearers.data?.[0]?.id ?? '');
  const wearer = wearers.data?.find(({ id }) => id === wearerId);
  const own = useBoardTrials(wearer ? wearerId : '');
  if (wearers.isLoadingError) return <Failed error={wearers.error} retry={wearers.refetch} />;
  if (wearers.isPending) return <Loading what="the board" />;
  if (!wearer && !several)
    return (
      <>
        <Heading kicker="Board" title="Products against products" />
        <Nothing
          title="Nobody’s hair is tested yet"
          action={
            <ButtonLink look="main" to="/heads/new">
              Add a wearer
            </ButtonLink>
          }
        >
          The board sets a head’s finished trials side by side.
        </Nothing>
      </>
    );
  // A report of the board has a heading of its own.
  const reporting = wearer !== undefined && search.get('report') !== null;
  const set = (to: Record<string, string | null>) =>
    setSearch(
      (old) => {
        const next = new URLSearchParams(old);
        for (const [key, value] of Object.entries(to))
          if (value === null) next.delete(key);
          else next.set(key, value);
        return next;
      },
      { replace: true, preventScrollReset: true },
    );
  return (
    <>
      {!reporting && (
        <>
          <Heading
            kicker="Board"
            title={`Products against products on ${wearer ? wearer.name : 'several heads'}`}
          >
            {wearer
              ? 'Everything this head’s finished trials say of one step, put together. A trial alone decides its own question; across trials the board says how sure the order is.'
              : 'Two products that were set against each other on more than one head, head by head.'}
          </Heading>
          <div className="no-print mb-6 flex flex-wrap gap-x-5 gap-y-2">
            <InlineChoice
              label="Head"
              value={several ? SEVERAL : wearerId}
              onChange={(head) => set({ head, role: null, pair: null, against: null })}
              options={[
                ...wearers.data.map(({ id, name }) => [id, name] as const),
                ...(wearers.data.length > 1 ? [[SEVERAL, 'Several heads'] as const] : []),
              ]}
            />
            {wearer && own.data && <OfRole own={own.data} set={set} search={search} />}
          </div>
        </>
      )}
      {!wearer ? (
        <OverHeadsPage wearers={wearers.data} search={search} set={set} />
      ) : own.isLoadingError ? (
        <Failed error={own.error} retry={own.refetch} />
      ) : own.data ? (
        <OwnBoardPage key={wearerId} own={own.data} wearer={wearer} search={search} set={set} />
      ) : (
        <Loading what="the trials" />
      )}
    </>
  );
}

function OfRole({ own, set, search }: { own: OwnBoard; set: SetAddress; search: URLSearchParams }) {
  const role = roleOf(own, search);
  if (role === null) return null;
  return (
    <InlineChoice
      label="Step"
      value={role}
      onChange={(to) => set({ role: to, pair: null, against: null })}
      options={rolesOf(own.trials).map(
        (one) =>
          [
            one.role,
            `${roleLabel(one.role)} (${one.count} ${one.count === 1 ? 'trial' : 'trials'})`,
          ] as const,
      )}
    />
  );
}
