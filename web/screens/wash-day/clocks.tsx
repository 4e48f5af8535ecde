import type { WashDay, WashDayChange } from '@sabor/contract/wash-day';
import { useState } from 'react';
import type { Refused } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { MomentField } from '../../ui/dates.tsx';
import { fromLocalInput, showMoment, toLocalInput } from '../../ui/show.ts';

const CLOCKS = [
  { key: 'washedAt', label: 'Washed', hint: 'When the wash was over.' },
  { key: 'dry80At', label: '80 % dry', hint: 'If you noticed: it feeds the drying history.' },
  { key: 'dry90At', label: '90 % dry', hint: 'If you noticed.' },
  { key: 'dryAt', label: 'Dry', hint: 'When the hair was fully dry.' },
  { key: 'revealAt', label: 'Hair finished', hint: 'Cast broken or set taken down: day 1.' },
] as const;
type ClockKey = (typeof CLOCKS)[number]['key'];

/** Wash, dry and reveal, each with its own time: set by its step, by a tap, or by hand. */
export function Clocks({
  day,
  open,
  change,
}: {
  day: WashDay;
  open: boolean;
  change: (to: WashDayChange) => Promise<unknown>;
}) {
  const [typed, setTyped] = useState<Partial<Record<ClockKey, string>>>({});
  const [problem, setProblem] = useState<{ path: string; message: string } | null>(null);
  const save = async (key: ClockKey, at: string | null) => {
    try {
      await change({ [key]: at });
      setTyped((old) => ({ ...old, [key]: undefined }));
      setProblem(null);
    } catch (error) {
      const refused = error as Refused;
      setProblem({ path: refused.fields[0]?.path ?? key, message: refused.message });
      if (at) setTyped((old) => ({ ...old, [key]: toLocalInput(at) }));
    }
  };
  return (
    <section aria-labelledby="clocks">
      <h2 id="clocks" className="mb-2 text-xl">
        Clocks
      </h2>
      <div className="space-y-3">
        {CLOCKS.map(({ key, label, hint }) => (
          <div key={key} className="flex flex-wrap items-end gap-3">
            {open ? (
              <>
                <MomentField
                  className="min-w-60 flex-1"
                  label={label}
                  hint={hint}
                  value={typed[key] ?? toLocalInput(day[key])}
                  onChange={(text) => {
                    setTyped((old) => ({ ...old, [key]: text }));
                    const at = fromLocalInput(text);
                    if (at || text === '') void save(key, at);
                  }}
                  error={problem?.path === key ? problem.message : undefined}
                />
                <Button
                  className="mb-6"
                  onClick={() => void save(key, new Date().toISOString())}
                  aria-label={`${label} now`}
                >
                  Now
                </Button>
              </>
            ) : (
              <p>
                <span className="inline-block w-24 font-semibold">{label}</span>{' '}
                {day[key] ? showMoment(day[key]) : 'not recorded'}
              </p>
            )}
          </div>
        ))}
      </div>
    </section>
  );
}
