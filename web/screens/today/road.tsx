import type { Today } from '@sabor/contract/today';
import { Link } from 'react-router';
import { ButtonLink } from '../../ui/button.tsx';
import { Heading } from '../../ui/states.tsx';

type Road = Today['road'];

const STEPS: readonly {
  key: Exclude<keyof Road, 'compared'>;
  place: string;
  says: string;
  to: string;
  label: string;
}[] = [
  {
    key: 'products',
    place: 'Shelf',
    says: 'Put the two products you want to compare on the shelf, and what you wash and condition with.',
    to: '/shelf/new',
    label: 'Add a product',
  },
  {
    key: 'wearer',
    place: 'Heads',
    says: 'Say whose hair is tested: zones, porosity, a tagged curl or two.',
    to: '/heads/new',
    label: 'Add a wearer',
  },
  {
    key: 'place',
    place: 'Weather',
    says: 'Say where they are: a simulated station, a file or your own thermometer tells the air.',
    to: '/weather/new',
    label: 'Add a place',
  },
  {
    key: 'routine',
    place: 'Routines',
    says: 'Write the wash day down once, so that each one can be kept the same.',
    to: '/routines/new',
    label: 'Write a routine',
  },
  {
    key: 'trial',
    place: 'Trials',
    says: 'Ask a question, mark the step under test, give each option its product.',
    to: '/trials/new/plan',
    label: 'Plan a trial',
  },
];

/** The steps to a first comparison, ticked as they are done; the first that is not is at hand. */
function Steps({ road }: { road: Road }) {
  const next = STEPS.find(({ key }) => !road[key]);
  return (
    <ol className="max-w-3xl divide-y divide-rule border-y border-rule">
      {STEPS.map(({ key, place, says, to, label }, i) => (
        <li key={key} className="flex flex-wrap items-center justify-between gap-4 py-3">
          <span className="figure w-8 text-2xl text-leaf" aria-hidden="true">
            {road[key] ? '✓' : i + 1}
          </span>
          <span className="min-w-0 flex-1 basis-60">
            <span className="block font-semibold">
              {place}
              {road[key] && <span className="font-normal text-leaf"> done</span>}
            </span>
            {!road[key] && <span className="text-soft">{says}</span>}
          </span>
          {!road[key] && (
            <ButtonLink look={key === next?.key ? 'main' : 'plain'} to={to}>
              {label}
            </ButtonLink>
          )}
        </li>
      ))}
    </ol>
  );
}

/** The way to a first comparison, which stays on Today until there is one. */
export function Road({ road }: { road: Road }) {
  return (
    <section aria-labelledby="road" className="mb-8">
      <h2 id="road" className="mb-2 text-xl">
        The way to a first comparison
      </h2>
      <Steps road={road} />
      {road.trial && (
        <p className="mt-2 text-soft">
          Now the wash days: what is due stands below. The comparison opens when they are in.
        </p>
      )}
    </section>
  );
}

/** An empty Sabor: the road from shelf to comparison, with the first step at hand. */
export function FirstSteps({ road }: { road: Road }) {
  return (
    <>
      <Heading title="An empty bench, and the way to a first comparison">
        Sabor holds a wash day fixed, changes one thing, and says honestly what that did.
      </Heading>
      <Steps road={road} />
      <p className="mt-4 text-soft">
        Or bring a backup from another Sabor:{' '}
        <Link className="underline" to="/data">
          Data
        </Link>
        .
      </p>
    </>
  );
}
