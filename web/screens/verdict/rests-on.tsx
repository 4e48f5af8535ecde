import type { Evidence } from '@sabor/core/verdict/evidence';
import { restsInWords, versusInWords } from '@sabor/words/verdict-card';
import { Link } from 'react-router';
import type { Judged } from './judged.ts';

/** What a verdict rests on: trials, figures and what they were set beside. */
export function RestsOn({
  evidence,
  judged,
  nameOf,
}: {
  evidence: Evidence | null;
  judged: Judged;
  nameOf: (key: string) => string;
}) {
  return (
    <section aria-labelledby="rests">
      <h2 id="rests" className="text-xl">
        What it rests on
      </h2>
      <p className="text-sm text-soft">This travels with it and cannot be switched off.</p>
      <ul className="mt-1 space-y-1">
        {restsInWords(evidence, judged.stake).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {evidence && (
        <>
          <ul className="mt-2 space-y-1">
            {versusInWords(evidence, nameOf).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
          <ul className="mt-2 text-sm">
            {evidence.trials.map(({ trialId, question }) => (
              <li key={trialId}>
                <Link className="underline underline-offset-4" to={`/trials/${trialId}/compare`}>
                  {question}
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
