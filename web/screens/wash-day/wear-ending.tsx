import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { WEAR_ENDS, type WearEnd } from '@sabor/core/outcomes/events';
import { dayName } from '@sabor/words/day-name';
import { useState } from 'react';
import { useWashDayChange } from '../../api/queries.ts';
import { post } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showDate, showTime } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

/** How the wear ended: an ending for looks or itch counts in longevity, any other only cuts it short. */
export function WearEnding({ day, trial, open }: { day: WashDay; trial: TrialDetail; open: boolean }) {
  const say = useSay();
  const leave = useGoOn();
  const [kind, setKind] = useState<WearEnd>('washed-schedule');
  const end = useWashDayChange(day.id, () =>
    post<WashDay>(`/wash-days/${day.id}/end-wear`, { kind, at: new Date().toISOString() }),
  );
  const reopen = useWashDayChange(day.id, () => post<WashDay>(`/wash-days/${day.id}/reopen-wear`));
  if (day.wearEnd)
    return (
      <p className="border-l-4 border-leaf/50 pl-4">
        {WEAR_ENDS[day.wearEnd.kind].label}, {showDate(day.wearEnd.at)} {showTime(day.wearEnd.at)}.
      </p>
    );
  if (!open) return null;
  const send = () => {
    const goOn = leave();
    end.mutate(undefined, {
      onSuccess: () => {
        say(`${dayName(trial, day.position)} is finished.`, () =>
          reopen.mutate(undefined, { onError: (error) => say(error.message) }),
        );
        goOn(trial.logged ? '/wash-days' : `/trials/${trial.id}`);
      },
    });
  };
  return (
    <section aria-labelledby="ending">
      <h2 id="ending" className="mb-2 text-xl">
        Washed or restyled
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <ChoiceField
          className="min-w-64"
          label="How it ended"
          options={WEAR_ENDS}
          value={kind}
          onChange={(key) => key && setKind(key)}
        />
        <Button onClick={send} disabled={end.isPending}>
          Save how it ended
        </Button>
      </div>
      <p className="mt-1 text-sm text-soft">
        Washed or restyled because of looks or itch: the style failed then. For any other reason: it was cut
        short.
      </p>
      {end.isError && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          {end.error.message}
        </p>
      )}
    </section>
  );
}
