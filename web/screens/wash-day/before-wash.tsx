import type { FeltInput } from '@sabor/contract/check-in';
import type { NewTap } from '@sabor/contract/taps';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { CAME_FROM, FASTENED } from '@sabor/core/basin/came-from';
import { ACCEPTED, STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { FELT, type Felt, feltAtStage } from '@sabor/core/felt/felt';
import { keysOf } from '@sabor/core/vocabulary';
import { lastSeen } from '@sabor/reading/before-wash';
import { v7 } from 'uuid';
import { FiveWords } from '../../ui/five-words.tsx';
import { showTime } from '../../ui/show.ts';
import { chip, small } from './big.ts';

/** Asked of everybody; the rest is one tap away. */
const FIRST: readonly Felt[] = ['moisture', 'feel', 'tangles', 'build-up'];
const MORE = feltAtStage('before').filter((quality) => !FIRST.includes(quality));
const DAYS = [1, 2, 3, 5, 7, 14] as const;

/** How the hair comes to the wash: in five words each, taken over from that day's last check-in in one tap. */
export function BeforeWash({
  day,
  trial,
  timeZone,
  tell,
}: {
  day: WashDay;
  trial: TrialDetail;
  timeZone: string;
  tell: (said: NewTap, words: string, undo?: NewTap) => void;
}) {
  const taken = day.checkIns.find(({ stage }) => stage === 'before');
  const wordOf = (quality: FeltInput['quality']) =>
    taken?.felt.find((one) => one.quality === quality && one.zoneId === null)?.value ?? null;
  const seen = lastSeen(trial, day, timeZone);
  const rate = (felt: FeltInput[]): NewTap => ({
    kind: 'rate',
    checkInId: taken?.id ?? v7(),
    stage: 'before',
    day: null,
    lookedAt: taken?.at ?? new Date().toISOString(),
    ratings: [],
    felt,
  });
  const pick = <K extends string>(
    field: 'cameFrom' | 'fastened' | 'styleMeant',
    label: string,
    options: Readonly<Record<K, { label: string }>>,
  ) => (
    <fieldset>
      <legend className="text-lg">{label}</legend>
      <div className="flex flex-wrap gap-2">
        {keysOf(options).map((key) => (
          <button
            key={key}
            type="button"
            className={chip}
            aria-pressed={day[field] === key}
            onClick={() =>
              tell(
                { kind: 'day', set: { [field]: day[field] === key ? null : key } },
                `${label}: ${options[key as K].label}${day[field] === key ? ', taken back' : ''}.`,
                { kind: 'day', set: { [field]: day[field] } },
              )
            }
          >
            {options[key as K].label}
          </button>
        ))}
      </div>
    </fieldset>
  );
  const reading = (quality: Felt) => {
    const { label, words } = FELT[quality];
    const now = wordOf(quality);
    return (
      <FiveWords
        key={quality}
        label={label}
        words={words}
        value={now}
        chip={small}
        choose={(value, word) =>
          tell(
            rate([{ quality, zoneId: null, value }]),
            `${label}: ${value === null ? 'taken back' : word}.`,
            rate([{ quality, zoneId: null, value: now }]),
          )
        }
      />
    );
  };
  return (
    <section aria-labelledby="before" className="mt-6 space-y-3">
      <h2 id="before" className="text-3xl">
        The hair before the wash
      </h2>
      {seen && taken === undefined && (
        <button
          type="button"
          className={`${chip} border-amber`}
          onClick={() =>
            tell(
              rate(seen.felt.map((one) => ({ ...one, zoneId: null }))),
              'Taken over from the check-in.',
              rate(seen.felt.map(({ quality }) => ({ quality, zoneId: null, value: null }))),
            )
          }
        >
          Same as at {showTime(seen.at)}:{' '}
          {seen.felt
            .map(({ quality, value }) => `${FELT[quality].label.toLowerCase()} ${FELT[quality].words[value]}`)
            .join(', ')}
        </button>
      )}
      {FIRST.map(reading)}
      {pick('styleMeant', 'Meant to be worn as', STYLES_MEANT)}
      {day.styleMeant !== null && (
        <fieldset>
          <legend className="text-lg">Accepted for it</legend>
          <div className="flex flex-wrap gap-2">
            {keysOf(ACCEPTED).map((key) => {
              const on = day.accepts.includes(key);
              const accepts = on ? day.accepts.filter((kept) => kept !== key) : [...day.accepts, key];
              return (
                <button
                  key={key}
                  type="button"
                  className={small}
                  aria-pressed={on}
                  onClick={() =>
                    tell(
                      { kind: 'day', set: { accepts } },
                      `Accepted: ${ACCEPTED[key].label}${on ? ', taken back' : ''}.`,
                      { kind: 'day', set: { accepts: day.accepts } },
                    )
                  }
                >
                  {ACCEPTED[key].label}
                </button>
              );
            })}
          </div>
        </fieldset>
      )}
      {pick('cameFrom', 'It comes out of', CAME_FROM)}
      {day.cameFrom !== null && day.cameFrom !== 'loose' && (
        <>
          {pick('fastened', 'Held by', FASTENED)}
          <fieldset>
            <legend className="text-lg">Kept in for</legend>
            <div className="flex flex-wrap gap-2">
              {DAYS.map((n) => (
                <button
                  key={n}
                  type="button"
                  className={chip}
                  aria-pressed={day.styleDays === n}
                  onClick={() =>
                    tell(
                      { kind: 'day', set: { styleDays: day.styleDays === n ? null : n } },
                      `Kept in for ${n} ${n === 1 ? 'day' : 'days'}.`,
                      { kind: 'day', set: { styleDays: day.styleDays } },
                    )
                  }
                >
                  {n === 1 ? '1 day' : `${n} days`}
                </button>
              ))}
            </div>
          </fieldset>
        </>
      )}
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-lg font-semibold">
          More of it ({MORE.length})
        </summary>
        <div className="space-y-3">{MORE.map(reading)}</div>
      </details>
    </section>
  );
}
