import type { Air, WashDay } from '@sabor/contract/wash-day';
import { airOf } from '@sabor/reading/air-of';
import type { ReactNode } from 'react';
import { FootBar } from '../../ui/foot-bar.tsx';
import { AirFields, useAir } from './air-fields.tsx';
import { AirReading } from './air-reading.tsx';
import { AttachedAir } from './attached-air.tsx';

/** The air before the first step. */
export function AirCard({
  day,
  save,
  next,
  children,
}: {
  day: WashDay;
  save: (air: Air) => Promise<unknown>;
  next: () => void;
  /** What else is asked before the first step. */
  children?: ReactNode;
}) {
  const { keep, ...fields } = useAir(day);
  return (
    <section className="flex flex-1 flex-col" aria-labelledby="air">
      <div className="flex-1">
        <h1 id="air" className="text-5xl sm:text-6xl">
          The air
        </h1>
        <p className="mt-2 text-lg text-paper/80">
          {day.air
            ? 'Read without asking. Type your own only where you measured it yourself.'
            : 'Outdoors, as the hair will meet it. A thermometer with humidity on the window sill is enough.'}
        </p>
        <div className="mt-3 text-lg">
          <AttachedAir day={day} />
        </div>
        <div className="mt-5 flex flex-wrap items-start gap-4 rounded-tag bg-paper p-4 text-ink">
          <AirFields {...fields} />
        </div>
        <div className="mt-4 text-xl">
          <AirReading {...airOf({ ...fields.air, air: day.air })} />
        </div>
        {children}
      </div>
      <FootBar className="grid-cols-3 gap-3 bg-ink pt-4 pb-2">
        <button
          type="button"
          className="col-span-2 min-h-16 rounded-tag bg-hibiscus px-5 text-xl font-semibold text-paper"
          onClick={() => void keep(save).then((kept) => kept && next())}
        >
          To the first step
        </button>
        <button
          type="button"
          className="min-h-16 rounded-tag border-2 border-paper/60 px-5 text-xl font-semibold"
          onClick={next}
        >
          Later
        </button>
      </FootBar>
    </section>
  );
}
