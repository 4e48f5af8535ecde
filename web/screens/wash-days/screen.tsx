import type { ListedDay } from '@sabor/contract/logged-day';
import { byText, type SieveOf } from '@sabor/core/table/sift';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useWashDays } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { showDate } from '../../ui/show.ts';
import { SieveFields, useGrowing, useSieve } from '../../ui/sieve.tsx';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';

const SORTS = [
  { key: 'newest', label: 'newest first' },
  { key: 'oldest', label: 'oldest first' },
  { key: 'head', label: 'head' },
];
const KINDS = [
  { key: 'trial', label: 'of a trial' },
  { key: 'logged', label: 'by itself' },
];
const TONES = { 'under way': 'held', worn: 'held', finished: 'plain', abandoned: 'due' } as const;

const SIEVE: SieveOf<ListedDay> = {
  text: ({ name, wearerName, localDate }) => [name, wearerName, localDate].join(' '),
  facts: { kind: ({ logged }) => [logged ? 'logged' : 'trial'] },
  sorts: {
    newest: (a, b) => b.startedAt.localeCompare(a.startedAt),
    oldest: (a, b) => a.startedAt.localeCompare(b.startedAt),
    head: (a, b) => byText(a.wearerName, b.wearerName) || b.startedAt.localeCompare(a.startedAt),
  },
};
const NONE: ListedDay[] = [];

/** Every wash day over all heads, of trials and by itself. */
export function WashDaysScreen() {
  const days = useWashDays();
  const all = days.data ?? NONE;
  const { sieve, set, shown } = useSieve(
    all,
    useMemo(() => SIEVE, []),
    'newest',
  );
  const { limit, end } = useGrowing(shown.length);
  if (days.isPending) return <Loading what="the wash days" />;
  if (days.isLoadingError) return <Failed error={days.error} retry={days.refetch} />;
  return (
    <>
      <Heading
        title="Wash days"
        actions={
          <>
            <ButtonLink to="/calendar">Calendar</ButtonLink>
            <ButtonLink to="/wash-days/import">Import a spreadsheet</ButtonLink>
            <ButtonLink look="main" to="/wash-days/new">
              Log a wash day
            </ButtonLink>
          </>
        }
      >
        Those of trials, and those by themselves: each counts in history, build-up, care, drying and bottles.
      </Heading>
      {all.length === 0 ? (
        <Nothing title="No wash day yet" action={<ButtonLink to="/wash-days/new">Log a wash day</ButtonLink>}>
          Today’s, step by step; or yesterday’s, in one sheet.
        </Nothing>
      ) : (
        <SieveFields
          sieve={sieve}
          set={set}
          sorts={SORTS}
          facts={{ kind: { label: 'Which', options: KINDS } }}
          shown={shown.length}
          all={all.length}
        />
      )}
      <ul className="mt-4 max-w-4xl">
        {shown.slice(0, limit).map((day) => (
          <li
            key={day.id}
            className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule py-2.5"
          >
            <span className="w-36 text-soft">{showDate(day.localDate)}</span>
            <Link
              to={`/wash-days/${day.id}`}
              className="min-w-0 flex-1 basis-64 font-semibold underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
            >
              {day.logged ? day.name : `Wash day ${day.number} · ${day.name}`}
            </Link>
            <span className="w-44">{day.wearerName}</span>
            <span className="flex gap-2">
              {day.logged && <Tag>by itself</Tag>}
              {day.enteredLater && <Tag>entered later</Tag>}
              <Tag tone={TONES[day.status]}>{day.status === 'worn' ? 'being worn' : day.status}</Tag>
            </span>
          </li>
        ))}
      </ul>
      {end}
    </>
  );
}
