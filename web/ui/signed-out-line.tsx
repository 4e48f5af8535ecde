import { useSyncExternalStore } from 'react';
import { failedAnew } from '../api/queries.ts';
import { keptAnswer, signedOut } from '../http/http.ts';
import { showMoment } from './show.ts';

/** Says that the server does not know this device any more, where it does not. */
export function SignedOutLine() {
  const isSignedOut = useSyncExternalStore(signedOut.hear, signedOut.now);
  if (!isSignedOut) return null;
  return (
    <p role="alert" className="page mt-4 rounded-tag border-2 border-mango bg-mango-pale p-4">
      Sabor does not know this device, or not any more. What is told here stays on it until you have signed
      in.{' '}
      <a className="font-semibold underline underline-offset-4" href="/sign-in">
        Sign in
      </a>
    </p>
  );
}

/** Says since when what stands on the page is old: the server does not answer and this device had kept it, or it failed. */
export function KeptLine() {
  const kept = useSyncExternalStore(keptAnswer.hear, keptAnswer.now);
  const failed = useSyncExternalStore(failedAnew.hear, failedAnew.now);
  const since = kept ?? failed;
  if (since === null) return null;
  const at = Number.isNaN(Date.parse(since)) ? 'earlier' : showMoment(new Date(since).toISOString());
  return (
    <p role="status" className="page mt-3 text-sm font-semibold text-mango-deep">
      {kept ? 'Sabor’s server does not answer.' : 'Sabor’s server failed as it read this again.'} This stands
      here as it was: {at}.
    </p>
  );
}
