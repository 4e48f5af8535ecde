import { CLAIMS } from '@sabor/core/ingredients/claims';
import type { LabelReading } from '../../workers/screening.worker.ts';

/** The usual claims held against the list; a tap shows what each is taken to mean. */
export function Claims({ claims }: Pick<LabelReading, 'claims'>) {
  return (
    <section aria-labelledby="claims">
      <h2 id="claims" className="mb-2 text-xl">
        Claims against the list
      </h2>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {claims.map(({ claim, holds, items }) => (
          <li key={claim} className="border-b border-rule py-1 text-[0.95rem]">
            <details className="inline-block align-top">
              <summary className="cursor-pointer font-semibold underline decoration-rule decoration-2 underline-offset-4">
                {CLAIMS[claim].label}
              </summary>
              <p className="max-w-72 text-sm text-soft">{CLAIMS[claim].says}</p>
            </details>{' '}
            <span
              className={
                holds === 'true' ? 'text-leaf' : holds === 'false' ? 'text-brick' : 'text-mango-deep'
              }
            >
              {holds}
            </span>
            {items.length > 0 && (
              <span className="block text-sm text-soft">
                {items
                  .slice(0, 3)
                  .map(({ name }) => name)
                  .join(', ')}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
