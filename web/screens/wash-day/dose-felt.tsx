import {
  DOSES_FELT,
  type DoseFelt as Felt,
  type WashDay,
  type WashDayChange,
} from '@sabor/contract/wash-day';
import { doseInWords } from '@sabor/words/dose';

/** In a find your amount: what the dose felt like; the next one follows from it. */
export function DoseFelt({
  day,
  open,
  change,
}: {
  day: WashDay;
  open: boolean;
  change: (to: WashDayChange) => Promise<unknown>;
}) {
  const step = day.steps.find(({ planned }) => planned?.part === 'tested');
  return (
    <section aria-labelledby="dose-felt">
      <h2 id="dose-felt" className="mb-2 text-xl">
        Today’s amount: {doseInWords(step?.dose ?? null)}
      </h2>
      <p className="mb-2 text-soft">How was it on this head? The next wash day’s amount follows.</p>
      <div className="flex flex-wrap gap-2">
        {Object.entries(DOSES_FELT).map(([key, { label }]) => (
          <button
            key={key}
            type="button"
            disabled={!open}
            aria-pressed={day.doseFelt === key}
            className={`min-h-11 rounded-tag border px-4 ${day.doseFelt === key ? 'border-ink bg-ink font-semibold text-paper' : 'border-ink/30 bg-sheet'}`}
            onClick={() => void change({ doseFelt: day.doseFelt === key ? null : (key as Felt) })}
          >
            {label}
          </button>
        ))}
      </div>
    </section>
  );
}
