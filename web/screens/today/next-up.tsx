import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { entryInWords } from '@sabor/words/calendar';
import { Link } from 'react-router';
import { useCalendar } from '../../api/queries.ts';
import { showDate } from '../../ui/show.ts';

/** How far ahead is looked, and how much of it is told. */
const DAYS = 14;
const MOST = 5;

/** What comes next, with its dates: each opens where it is seen to. */
export function NextUp() {
  const today = localToday();
  const entries = useCalendar(plusDays(today, 1), plusDays(today, DAYS));
  const next = (entries.data ?? []).filter(({ state }) => state !== 'done').slice(0, MOST);
  if (next.length === 0) return null;
  return (
    <section aria-labelledby="next" className="mt-8">
      <h2 id="next" className="mb-2 text-xl">
        Next
      </h2>
      <ol className="divide-y divide-rule border-y border-rule">
        {next.map((entry) => (
          <li key={entry.id} className="flex flex-wrap gap-x-4 py-2">
            <span className="w-28 shrink-0 text-soft">{showDate(entry.on)}</span>
            <Link
              className="min-w-0 flex-1 basis-48 underline decoration-rule underline-offset-4 hover:decoration-hibiscus"
              to={entry.path}
            >
              {entryInWords(entry)}
              <span className="text-soft"> · {entry.of}</span>
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}
