import { CalendarIcon } from '@radix-ui/react-icons';
import { localToday } from '@sabor/core/time/today';
import { dateInField, momentInField, readDate, readMoment, readTime } from '@sabor/words/dates';
import { Popover } from 'radix-ui';
import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { Field, inputLook } from './field.tsx';

const Calendar = lazy(() => import('./calendar.tsx'));

interface Props {
  label: ReactNode;
  hint?: ReactNode;
  error?: string | undefined;
  className?: string;
  /** As it is stored, empty for none; what could not be read stays as it was typed, for the schema to name. */
  value: string;
  onChange: (value: string) => void;
  onBlur?: () => void;
}

/** How a kind of field shows what is stored and reads what is typed. */
interface Reading {
  show: (value: string) => string;
  read: (typed: string, today: string) => string | null;
  placeholder: string;
}
const DATE: Reading = { show: dateInField, read: readDate, placeholder: '27 Nov 2026' };
const MOMENT: Reading = { show: momentInField, read: readMoment, placeholder: '27 Nov 2026, 10:12' };

/** Text as it is shown for a stored value: what could not be read is shown as it is. */
function shownAs({ show, read }: Reading, value: string): string {
  return value === '' || read(value, localToday()) !== value ? value : show(value);
}

function TypedField({
  reading,
  value,
  onChange,
  onBlur,
  calendar,
  ...field
}: Props & { reading: Reading; calendar: (close: () => void) => ReactNode }) {
  const [text, setText] = useState(shownAs(reading, value));
  const [open, setOpen] = useState(false);
  // Another value from outside (the calendar, an undo, a loaded record) replaces what was typed.
  useEffect(() => setText(shownAs(reading, value)), [value, reading]);
  const meant = (typed: string) =>
    typed.trim() === '' ? '' : (reading.read(typed, localToday()) ?? typed.trim());
  /** Takes what was typed once it is done: half a date may read as another. */
  const settle = (typed: string) => {
    const next = meant(typed);
    if (next === value) setText(shownAs(reading, value));
    else onChange(next);
  };
  return (
    <Field {...field}>
      {(ids) => (
        <span className="flex">
          <input
            {...ids}
            className={`${inputLook} rounded-r-none`}
            autoComplete="off"
            placeholder={reading.placeholder}
            value={text}
            onChange={(e) => {
              const typed = e.target.value;
              setText(typed);
              // Nothing can follow a date that is written out in full, and an empty field is none.
              const next = meant(typed);
              if (typed === '') onChange('');
              else if (
                next !== '' &&
                (typed === next || typed === reading.show(next)) &&
                reading.read(next, localToday())
              )
                onChange(next);
            }}
            onKeyDown={(e) => e.key === 'Enter' && settle(text)}
            onBlur={() => {
              settle(text);
              onBlur?.();
            }}
          />
          <Popover.Root open={open} onOpenChange={setOpen}>
            <Popover.Trigger
              aria-label="Calendar"
              className="flex min-h-10 min-w-10 items-center justify-center rounded-r-md border border-l-0 border-ink/30 bg-sheet"
            >
              <CalendarIcon className="size-4" aria-hidden="true" />
            </Popover.Trigger>
            <Popover.Portal>
              <Popover.Content
                aria-label="Calendar"
                align="end"
                sideOffset={4}
                collisionPadding={8}
                className="z-50 rounded-tag border border-rule bg-paper p-3 text-ink shadow-lg"
              >
                <Suspense fallback={<p className="p-6 text-soft">Opening …</p>}>
                  {calendar(() => setOpen(false))}
                </Suspense>
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
        </span>
      )}
    </Field>
  );
}

/** A date: typed as a person writes it ("27 Nov", "27.11.", "yesterday") or chosen from a month. */
export function DateField(props: Props) {
  const today = localToday();
  const date = readDate(props.value, today);
  return (
    <TypedField
      {...props}
      reading={DATE}
      calendar={(close) => (
        <Calendar
          value={date}
          today={today}
          onChange={(chosen) => {
            props.onChange(chosen);
            close();
          }}
        />
      )}
    />
  );
}

/** A date and a time of day on the wall clock, in 24 hours: typed, or chosen from a month with the time beside it. */
export function MomentField(props: Props) {
  const today = localToday();
  const moment = readMoment(props.value, today);
  const time = moment?.slice(11) ?? '12:00';
  const date = moment?.slice(0, 10) ?? null;
  return (
    <TypedField
      {...props}
      reading={MOMENT}
      calendar={() => (
        <>
          <Calendar value={date} today={today} onChange={(chosen) => props.onChange(`${chosen}T${time}`)} />
          <TimeInput
            key={time}
            value={time}
            onChange={(chosen) => props.onChange(`${date ?? today}T${chosen}`)}
          />
        </>
      )}
    />
  );
}

function TimeInput({ value, onChange }: { value: string; onChange: (time: string) => void }) {
  const [text, setText] = useState(value);
  const settle = () => {
    const time = readTime(text);
    if (time === null) setText(value);
    else if (time !== value) onChange(time);
  };
  return (
    <label className="mt-2 flex items-center gap-3 border-t border-rule pt-3 font-semibold">
      Time
      <input
        className={`${inputLook} w-24`}
        inputMode="numeric"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={settle}
        onKeyDown={(e) => e.key === 'Enter' && settle()}
      />
    </label>
  );
}
