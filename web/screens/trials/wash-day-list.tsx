import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { beaufort } from '@sabor/core/climate/beaufort';
import { dewPoint } from '@sabor/core/climate/dew-point';
import type { SieveOf } from '@sabor/core/table/sift';
import { airOf } from '@sabor/reading/air-of';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useSettings } from '../../api/queries.ts';
import { armStyle } from '../../drawings/arm-style.ts';
import { armsOfDay } from '../../drawings/arms-of-day.ts';
import { showDate, showTemperature } from '../../ui/show.ts';
import { SieveFields, useSieve } from '../../ui/sieve.tsx';

const STATUS = {
  'under way': 'under way',
  worn: 'being worn',
  finished: 'finished',
  abandoned: 'abandoned',
} as const;

const SORTS = [
  { key: 'first', label: 'first to last' },
  { key: 'last', label: 'last to first' },
];
const STATUSES = Object.entries(STATUS).map(([key, label]) => ({ key, label }));
const sieveOf = (trial: TrialDetail): SieveOf<WashDay> => ({
  text: ({ position, localDate, note, abandonReason, steps, checkIns }) =>
    [
      position + 1,
      showDate(localDate),
      note,
      abandonReason,
      ...steps.map((step) => step.note),
      ...checkIns.map((checkIn) => checkIn.note),
    ].join(' '),
  facts: {
    option: (day) => armsOfDay(trial, day).map(String),
    state: ({ status }) => [status],
  },
  sorts: {
    first: (a, b) => a.position - b.position,
    last: (a, b) => b.position - a.position,
  },
});

export function WashDayList({ trial }: { trial: TrialDetail }) {
  const settings = useSettings();
  const { sieve, set, shown } = useSieve(
    trial.washDayRecords,
    useMemo(() => sieveOf(trial), [trial]),
    'first',
  );
  return (
    <section aria-labelledby="days">
      <h2 id="days" className="mb-2 text-xl">
        Wash days
      </h2>
      {trial.washDayRecords.length === 0 && <p className="text-soft">None yet.</p>}
      <SieveFields
        sieve={sieve}
        set={set}
        sorts={SORTS}
        facts={{
          option: {
            label: 'Option',
            options: trial.arms.map(({ name }, i) => ({ key: String(i), label: name })),
          },
          state: { label: 'Status', options: STATUSES },
        }}
        shown={shown.length}
        all={trial.washDayRecords.length}
      />
      <ol>
        {shown.map((day) => {
          const arms = armsOfDay(trial, day);
          const air = airOf(day);
          const dew =
            air.temperatureC !== null && air.humidity !== null
              ? dewPoint(air.temperatureC, air.humidity)
              : null;
          return (
            <li key={day.id} className="border-b border-rule py-1.5">
              <Link
                to={`/wash-days/${day.id}`}
                className="font-semibold underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
              >
                {day.position + 1} · {showDate(day.localDate)}
              </Link>{' '}
              {arms.map((arm, i) => (
                <span key={arm}>
                  {i > 0 && ' | '}
                  <span aria-hidden="true" style={{ color: armStyle(arm).hue }}>
                    {armStyle(arm).marker}
                  </span>{' '}
                  {trial.arms[arm]?.name}
                </span>
              ))}
              <span className="text-soft">
                {' '}
                · {STATUS[day.status]}
                {dew !== null && <> · dew point {showTemperature(dew, settings)}</>}
                {air.windMs !== null && <> · Beaufort {beaufort(air.windMs).number}</>}
              </span>
              {day.abandonReason && (
                <span className="block text-sm text-mango-deep">“{day.abandonReason}”</span>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
