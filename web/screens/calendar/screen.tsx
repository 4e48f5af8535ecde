import type { CalendarEntry } from '@sabor/contract/calendar';
import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { entryInShort, entryInWords } from '@sabor/words/calendar';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useCalendar, useTrials } from '../../api/queries.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { Notices } from '../../ui/notices.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, Loading } from '../../ui/states.tsx';
import { MoveTo } from './move-to.tsx';
import { daysOf, monthName, type Span, spanFrom, turned, weekdays } from './span.ts';

const SPANS = { month: { label: 'month' }, week: { label: 'week' } } as const;

/** Wash days, check-ins, care and appointments over all heads, by month or week; and as a file for a calendar of one's own. */
export function CalendarScreen() {
  const [search, setSearch] = useSearchParams();
  const today = localToday();
  const { span, at } = spanFrom(search, today);
  const days = daysOf(span, at);
  const entries = useCalendar(days[0]!, days.at(-1)!);
  // From the address as it is now: of two taps in a row the page may not yet show the first.
  const go = (turn: (now: { span: Span; at: string }) => Partial<{ span: Span; at: string }>) => {
    const now = spanFrom(new URLSearchParams(window.location.search), today);
    setSearch({ ...now, ...turn(now) }, { replace: true });
  };
  const byDay = new Map<string, CalendarEntry[]>();
  for (const entry of entries.data ?? []) byDay.set(entry.on, [...(byDay.get(entry.on) ?? []), entry]);
  const missed = (entries.data ?? []).filter(({ state }) => state === 'missed');
  return (
    <>
      <Heading
        title={span === 'month' ? monthName(at) : `Week of ${showDate(days[0]!)}`}
        kicker="Calendar"
        actions={<ButtonLink to="/wash-days/new">Log a wash day</ButtonLink>}
      />
      <div className="no-print mb-4 flex flex-wrap items-end gap-3">
        <Button
          onClick={() => go((now) => ({ at: turned(now.span, now.at, -1) }))}
          aria-label={`The ${span} before`}
        >
          ←
        </Button>
        <Button onClick={() => go(() => ({ at: today }))}>Today</Button>
        <Button
          onClick={() => go((now) => ({ at: turned(now.span, now.at, 1) }))}
          aria-label={`The next ${span}`}
        >
          →
        </Button>
        <ChoiceField
          label="By"
          options={SPANS}
          value={span}
          onChange={(key) => key && go(() => ({ span: key }))}
        />
      </div>
      {entries.isLoadingError ? (
        <Failed part error={entries.error} retry={entries.refetch} />
      ) : entries.isPending ? (
        <Loading what="the calendar" />
      ) : (
        <>
          {missed.length > 0 && (
            <p className="mb-3 border-l-4 border-mango pl-4 text-mango-deep">
              {missed.length === 1 ? 'One thing was' : `${missed.length} things were`} missed in this {span}.
              Each can still be opened.
            </p>
          )}
          <Grid days={days} byDay={byDay} today={today} month={span === 'month' ? at.slice(0, 7) : null} />
          <Agenda days={days} byDay={byDay} today={today} />
          <OnNoDay listed={entries.data} />
          <OwnCalendar />
          <Reminders />
        </>
      )}
    </>
  );
}

const TONES: Record<CalendarEntry['state'], string> = {
  done: 'text-soft',
  due: 'font-semibold text-ink',
  missed: 'font-semibold text-mango-deep',
  ahead: 'text-ink',
};
const SIGNS: Record<CalendarEntry['state'], string> = { done: '✓', due: '•', missed: '!', ahead: '' };

function EntryLink({ entry, short = false }: { entry: CalendarEntry; short?: boolean }) {
  return (
    <Link
      to={entry.path}
      className={`block underline decoration-transparent underline-offset-4 hover:decoration-hibiscus ${TONES[entry.state]} ${short ? 'truncate' : ''}`}
      title={`${entry.of}: ${entryInWords(entry)}`}
    >
      {SIGNS[entry.state] && <span aria-hidden="true">{SIGNS[entry.state]} </span>}
      {short ? entryInShort(entry) : entryInWords(entry)}
      {!short && <span className="font-normal text-soft"> · {entry.of}</span>}
    </Link>
  );
}

type Days = {
  days: readonly string[];
  byDay: ReadonlyMap<string, readonly CalendarEntry[]>;
  today: string;
};

/** The days as weeks side by side, where there is room. */
function Grid({ days, byDay, today, month }: Days & { month: string | null }) {
  const weeks = Array.from({ length: days.length / 7 }, (_, i) => days.slice(i * 7, i * 7 + 7));
  return (
    <table className="hidden w-full table-fixed border-collapse md:table">
      <thead>
        <tr>
          {weekdays().map((name) => (
            <th key={name} scope="col" className="py-1 text-left text-sm font-semibold text-soft">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {weeks.map((week) => (
          <tr key={week[0]}>
            {week.map((day) => {
              const entries = byDay.get(day) ?? [];
              const outside = month !== null && !day.startsWith(month);
              return (
                <td
                  key={day}
                  className={`h-28 border border-rule p-1.5 align-top text-sm ${day === today ? 'bg-leaf-pale' : outside ? '' : 'bg-sheet'}`}
                >
                  <span className={`figure ${day === today ? 'font-semibold' : 'text-soft'}`}>
                    {Number(day.slice(8))}
                    {day === today && <span className="sr-only">, today</span>}
                  </span>
                  <ul>
                    {entries.slice(0, month === null ? 12 : 4).map((entry) => (
                      <li key={entry.id}>
                        <EntryLink entry={entry} short />
                      </li>
                    ))}
                    {month !== null && entries.length > 4 && (
                      <li className="text-soft">and {entries.length - 4} more below</li>
                    )}
                  </ul>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The same as a list, day by day; on a phone the only form. */
function Agenda({ days, byDay, today }: Days) {
  const told = days.filter((day) => byDay.has(day));
  // Where today is among the days, it comes first; what was missed before it is told above.
  const earlier = days.includes(today) ? told.filter((day) => day < today) : [];
  return (
    <section aria-labelledby="agenda" className="mt-6 max-w-4xl">
      <h2 id="agenda" className="mb-2 text-xl">
        Day by day
      </h2>
      {told.length === 0 && <p className="text-soft">Nothing stands here.</p>}
      {earlier.length > 0 && (
        <details>
          <summary className="min-h-10 cursor-pointer py-2 font-semibold">
            Earlier ({earlier.length} days)
          </summary>
          <Listed days={earlier} byDay={byDay} today={today} />
        </details>
      )}
      <Listed days={told.filter((day) => !earlier.includes(day))} byDay={byDay} today={today} />
    </section>
  );
}

function Listed({ days, byDay, today }: Days) {
  return (
    <ol>
      {days.map((day) => (
        <li key={day} className="flex flex-wrap gap-x-4 border-b border-rule py-2">
          <span className={`w-36 ${day === today ? 'font-semibold' : 'text-soft'}`}>
            {day === today ? 'Today' : day === plusDays(today, 1) ? 'Tomorrow' : showDate(day)}
          </span>
          <ul className="min-w-0 flex-1 basis-64 space-y-1">
            {byDay.get(day)!.map((entry) => (
              <li key={entry.id} className="flex flex-wrap items-center justify-between gap-x-4">
                <span className="min-w-0 flex-1 basis-60">
                  <EntryLink entry={entry} />
                </span>
                {entry.moves && <MoveTo id={entry.id} what={entryInWords(entry)} on={entry.on} />}
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ol>
  );
}

/** Trials that are planned, and on no day yet. */
function OnNoDay({ listed }: { listed: readonly CalendarEntry[] }) {
  const waiting = (useTrials().data ?? []).filter(
    ({ id, status, archivedAt }) =>
      status === 'planned' &&
      archivedAt === null &&
      !listed.some(({ path, kind }) => kind === 'wash-day' && path === `/trials/${id}`),
  );
  if (waiting.length === 0) return null;
  return (
    <section aria-labelledby="no-day" className="no-print mt-8 max-w-4xl">
      <h2 id="no-day" className="mb-2 text-xl">
        Planned, on no day yet
      </h2>
      <ul>
        {waiting.map(({ id, question, wearerName }) => (
          <li
            key={id}
            className="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule py-1"
          >
            <Link className="underline underline-offset-4" to={`/trials/${id}`}>
              {question}
              <span className="text-soft"> · {wearerName}</span>
            </Link>
            <MoveTo id={`planned-${id}-1`} what={`Wash day 1: ${question}`} on={null} verb="Put on a day …" />
          </li>
        ))}
      </ul>
    </section>
  );
}

const HOURS = [7, 8, 9, 12, 18, 20].map((hour) => ({ key: String(hour), label: `at ${hour}:00` }));

/** Notices of this device's own browser, while Sabor lies open on it. */
const Reminders = () => (
  <section aria-labelledby="reminders" className="no-print mt-8 max-w-2xl">
    <h2 id="reminders" className="mb-2 text-xl">
      Reminders on this device
    </h2>
    <Notices />
  </section>
);

/** The calendar as a file: to download once, or to subscribe to from a calendar on this machine. */
function OwnCalendar() {
  const [remind, setRemind] = useState<string | null>(null);
  const path = `/api/calendar.ics${remind === null ? '' : `?remind=${remind}`}`;
  return (
    <section aria-labelledby="own" className="no-print mt-8 max-w-2xl">
      <h2 id="own" className="mb-2 text-xl">
        In your own calendar
      </h2>
      <p className="mb-3 text-soft">
        A calendar program on this machine can subscribe to the address and follows what moves; or take the
        file once. It holds a month back and half a year ahead.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <ChoiceField
          label="Remind me"
          none="not at all"
          options={HOURS}
          value={remind}
          onChange={setRemind}
        />
        <a
          className="inline-flex min-h-10 items-center underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
          href={path}
          download
        >
          Download the file
        </a>
      </div>
      <p className="mt-2 text-sm">
        <span className="text-soft">Address to subscribe to: </span>
        <code className="break-all">{`${location.origin}${path}`}</code>
      </p>
    </section>
  );
}
