import type { WashDay } from '@sabor/contract/wash-day';
import { useSyncExternalStore } from 'react';
import { deviceName, signedOut } from '../http/http.ts';
import { startAgain, useStarts } from './envelopes.ts';
import { readRefused, send, useOutbox } from './outbox.ts';

const taps = (n: number) => (n === 1 ? '1 tap' : `${n} taps`);
const ago = (at: string) => {
  const minutes = Math.round((Date.now() - Date.parse(at)) / 60_000);
  return minutes < 1 ? 'just now' : minutes === 1 ? 'a minute ago' : `${minutes} minutes ago`;
};

/** How far what was tapped has come: kept here, sent, refused; and who else has a hand in this day. */
export function SentLine({
  day,
  quiet = false,
}: {
  day: Pick<WashDay, 'id' | 'devices'>;
  /** On paper, and silent while there is nothing to say. */
  quiet?: boolean;
}) {
  const isSignedOut = useSyncExternalStore(signedOut.hear, signedOut.now);
  const { waiting, unwritten, refused, reached, noStore, held, clockAheadMs } = useOutbox();
  const mine = waiting.filter(({ washDayId }) => washDayId === day.id).length;
  const others = day.devices.filter(
    ({ device, at }) => device !== deviceName() && Date.now() - Date.parse(at) < 3_600_000,
  );
  const against = refused.filter(({ washDayId }) => washDayId === day.id);
  const warn = quiet ? 'font-semibold text-mango-deep' : 'font-semibold text-amber';
  const calm = quiet ? 'text-soft' : 'text-paper/75';
  const why = mine > 0 ? held[day.id] : undefined;
  const clockOff = clockAheadMs !== 0;
  const start = useStarts().find(({ id }) => id === day.id);
  const where = noStore ? 'on this page alone' : 'kept on this phone';
  if (
    quiet &&
    (mine === 0 || (reached && !why)) &&
    !noStore &&
    !clockOff &&
    against.length === 0 &&
    !start?.refused
  )
    return null;
  return (
    <div className="text-sm" role="status" aria-label="What is sent">
      {mine === 0 ? (
        <p className={calm}>
          {against.length === 0
            ? 'All of it is on the server.'
            : 'All but what stands below is on the server.'}
        </p>
      ) : why && reached ? (
        <p className={warn}>
          {taps(mine)} {where}, not taken yet: {why}{' '}
          {isSignedOut && (
            <a className="mr-2 inline-block min-h-8 underline underline-offset-4" href="/sign-in">
              Sign in
            </a>
          )}
          <button type="button" className="min-h-8 underline underline-offset-4" onClick={send}>
            Try now
          </button>
        </p>
      ) : (
        <p className={reached ? calm : warn}>
          {reached
            ? `${taps(mine)} on the way.`
            : `The server does not answer. ${taps(mine)} ${where}; go on.`}{' '}
          {unwritten > 0 && 'Writing it down …'}
          {!reached && (
            <button type="button" className="min-h-8 underline underline-offset-4" onClick={send}>
              Try now
            </button>
          )}
        </p>
      )}
      {start?.refused && (
        <p className={warn}>
          Not begun on the server: {start.refused} What you tap stays here.{' '}
          <button
            type="button"
            className="min-h-8 underline underline-offset-4"
            onClick={() => startAgain(start.id)}
          >
            Try again
          </button>
        </p>
      )}
      {noStore && (
        <p className={warn}>This browser keeps nothing: leave the page open until all is on the server.</p>
      )}
      {clockOff && (
        <p className={warn}>
          This phone’s clock is {Math.round(Math.abs(clockAheadMs) / 60_000)} minutes{' '}
          {clockAheadMs > 0 ? 'ahead' : 'behind'}. Its times were set right here; set the clock.
        </p>
      )}
      {others.map(({ device, at, called }) => (
        <p key={device} className={calm}>
          {called ?? 'Another device'} has a hand in this day too, last {ago(at)}. What was said last counts.
        </p>
      ))}
      {against.map(({ id, detail }) => (
        <p key={id} className={warn}>
          Not taken: {detail}{' '}
          <button
            type="button"
            className="min-h-8 underline underline-offset-4"
            onClick={() => readRefused(id)}
          >
            Read
          </button>
        </p>
      ))}
    </div>
  );
}
