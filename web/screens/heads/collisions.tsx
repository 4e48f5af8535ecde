import type { HairFile } from '@sabor/contract/hair-file';
import { careStatus } from '@sabor/core/hair/care';
import { collisions, trialSpan } from '@sabor/core/hair/collisions';
import { localToday } from '@sabor/core/time/today';
import { collisionInWords } from '@sabor/words/collisions';
import { Link } from 'react-router';
import { showDate } from '../../ui/show.ts';
import { Tag } from '../../ui/states.tsx';

/** What each trial on this head would collide with, were its next wash day today. */
export function Collisions({ file }: { file: HairFile }) {
  if (file.ahead.length === 0) return null;
  const today = localToday();
  const care = careStatus(
    [...file.events, ...file.washCare],
    file.washedOn,
    file.cadence,
    today,
    file.alternate,
  );
  return (
    <section className="mt-8" aria-labelledby="collisions">
      <h2 id="collisions" className="text-xl">
        Trials ahead
      </h2>
      <p className="mb-2 text-soft">
        What they would meet if their next wash day were today. Days to settle are common practice.
      </p>
      <ul className="space-y-4">
        {file.ahead.map(({ id, question, washDaysLeft, wearDays }) => {
          const span = trialSpan(today, washDaysLeft, wearDays);
          const found = collisions(span, file.events, care);
          return (
            <li key={id} className="border-l-4 border-leaf/50 pl-4">
              <p>
                <Link className="font-semibold underline underline-offset-4" to={`/trials/${id}`}>
                  {question}
                </Link>{' '}
                <span className="text-soft">
                  {washDaysLeft} wash days, {showDate(span.from)} to {showDate(span.to)}
                </span>
              </p>
              {found.length === 0 ? (
                <p className="text-leaf">Nothing on this file stands in its way.</p>
              ) : (
                <ul>
                  {found.map((one) => (
                    <li key={JSON.stringify(one)} className="py-0.5">
                      <Tag tone={one.severity === 'breaks' ? 'stop' : 'due'}>{one.severity}</Tag>{' '}
                      {collisionInWords(one, today)}
                    </li>
                  ))}
                </ul>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
