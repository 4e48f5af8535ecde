import { GLOSSARY } from '@sabor/words/glossary';
import { useState } from 'react';
import { Link } from 'react-router';
import { TextField } from '../../ui/inputs.tsx';
import { Caution, Heading } from '../../ui/states.tsx';

/** How a trial goes, step by step, each with where it is done. */
const WAY = [
  { to: '/shelf', label: 'Put the products on the shelf', says: 'Name, size, list of ingredients.' },
  { to: '/heads', label: 'Describe the head', says: 'Zones, porosity, a tagged curl; and where it lives.' },
  { to: '/routines', label: 'Write the wash day down', says: 'Every step; a template is a start.' },
  {
    to: '/trials/new/plan',
    label: 'Plan the trial',
    says: 'Begin with a question; chance decides the order.',
  },
  { to: '/calendar', label: 'Wash, wear, check in', says: 'Step by step with wet hands, then a look a day.' },
  { to: '/trials', label: 'Compare', says: 'Was it fair? Judge before you look. Then which did better.' },
] as const;

const WORDS = Object.entries(GLOSSARY)
  .map(([key, entry]) => ({ key, ...entry }))
  .sort((a, b) => a.term.localeCompare(b.term));

/** How the work goes, and what the words mean. */
export function HelpScreen() {
  const [wanted, setWanted] = useState('');
  const sought = wanted.trim().toLowerCase();
  const found = WORDS.filter(({ term, says }) => `${term} ${says}`.toLowerCase().includes(sought));
  return (
    <>
      <Heading title="Help" />
      <div className="grid gap-x-12 gap-y-10 lg:grid-cols-[1fr_1.4fr]">
        <section aria-labelledby="way">
          <h2 id="way" className="mb-3 text-xl">
            How a trial goes
          </h2>
          <ol className="space-y-3">
            {WAY.map(({ to, label, says }, i) => (
              <li key={to} className="flex gap-3">
                <span className="figure w-6 shrink-0 text-right text-soft">{i + 1}</span>
                <span>
                  <Link className="font-semibold underline underline-offset-4" to={to}>
                    {label}
                  </Link>
                  <span className="block text-soft">{says}</span>
                </span>
              </li>
            ))}
          </ol>
          <p className="mt-4 text-soft">
            Frizz can be measured in pictures too: on the{' '}
            <Link className="underline underline-offset-4" to="/photo-bench">
              photo bench
            </Link>
            .
          </p>
          <p className="mt-4 text-soft">
            A wash day needs no trial: log one from Today, while it happens or afterwards. Press ? for the
            keys.
          </p>
          <div className="mt-4">
            <Caution>
              Patch-test what is new to a head, keep to the label, and see a doctor where skin burns or
              swells. Bleach, relaxers and colour are for a licensed professional.
            </Caution>
          </div>
        </section>
        <section aria-labelledby="words">
          <h2 id="words" className="mb-3 text-xl">
            What the words mean
          </h2>
          <TextField label="Find a word" value={wanted} onChange={setWanted} />
          <p role="status" className="sr-only">
            {sought && `${found.length} words`}
          </p>
          {found.length === 0 && <p className="mt-3 text-soft">No word here holds “{wanted.trim()}”.</p>}
          <dl className="mt-3">
            {found.map(({ key, term, says }) => (
              <div key={key} id={key} className="scroll-mt-6 border-b border-rule py-2 sm:flex sm:gap-6">
                <dt className="font-semibold first-letter:uppercase sm:w-48 sm:shrink-0">{term}</dt>
                <dd>{says}</dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
    </>
  );
}
