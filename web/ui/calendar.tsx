import { DayPicker } from 'react-day-picker';
import { enGB } from 'react-day-picker/locale';

const local = (date: string) => new Date(`${date}T12:00:00`);
const pad = (n: number) => String(n).padStart(2, '0');
const written = (day: Date) => `${day.getFullYear()}-${pad(day.getMonth() + 1)}-${pad(day.getDate())}`;

/** A month to choose a date from; weeks begin on Monday. Keyboard and names are the library's own. */
export default function Calendar({
  value,
  today,
  onChange,
}: {
  value: string | null;
  today: string;
  onChange: (date: string) => void;
}) {
  return (
    <DayPicker
      mode="single"
      locale={enGB}
      autoFocus
      today={local(today)}
      defaultMonth={local(value ?? today)}
      selected={value ? local(value) : undefined}
      onSelect={(day) => day && onChange(written(day))}
      classNames={{
        months: 'relative',
        month_caption: 'flex h-10 items-center font-semibold',
        nav: 'absolute right-0 flex',
        button_previous: 'flex size-10 items-center justify-center',
        button_next: 'flex size-10 items-center justify-center',
        chevron: 'size-4 fill-current',
        month_grid: 'border-collapse',
        weekday: 'size-10 text-sm font-normal text-soft',
        day: 'p-0 text-center',
        day_button: 'size-10 rounded-tag hover:bg-rule',
        today: 'font-semibold text-hibiscus',
        selected: 'rounded-tag bg-ink text-paper [&_button]:hover:bg-ink',
        outside: 'text-soft',
      }}
    />
  );
}
