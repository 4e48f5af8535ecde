import type { Place } from '@sabor/contract/weather';
import { Tabs } from 'radix-ui';
import { ByHand } from './by-hand.tsx';
import { FromFile } from './from-file.tsx';
import { FromMetar } from './from-metar.tsx';

const WAYS = [
  ['hand', 'By hand', ByHand],
  ['file', 'From a file', FromFile],
  ['metar', 'METAR reports', FromMetar],
] as const;

/** The three ways in which readings come in, beside the station that is read on its own. */
export function BringIn({ place }: { place: Place }) {
  return (
    <section aria-labelledby="bring">
      <h2 id="bring" className="mb-2 text-xl">
        Import readings
      </h2>
      <Tabs.Root defaultValue="hand">
        <Tabs.List aria-label="How to import" className="mb-4 flex gap-1 border-b border-rule">
          {WAYS.map(([key, label]) => (
            <Tabs.Trigger
              key={key}
              value={key}
              className="min-h-10 border-b-4 border-transparent px-3 font-semibold data-[state=active]:border-ink data-[state=inactive]:text-soft"
            >
              {label}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {WAYS.map(([key, , Way]) => (
          <Tabs.Content key={key} value={key}>
            <Way place={place} />
          </Tabs.Content>
        ))}
      </Tabs.Root>
    </section>
  );
}
