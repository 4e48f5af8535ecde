import { Popover } from 'radix-ui';
import { useState } from 'react';
import { inputLook } from './field.tsx';
import { PickOption, usePick } from './pick.tsx';

interface Row {
  key: string;
  label: string;
}

/** Rows shown at once; the rest wait for a letter more. */
const AT_ONCE = 60;

/** Rows that hold every word of `text`, those that begin with it first. */
export function matching(rows: readonly Row[], text: string): Row[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = rows.filter(({ label }) => words.every((word) => label.toLowerCase().includes(word)));
  const first = ({ label }: Row) => (label.toLowerCase().startsWith(words[0] ?? '') ? 0 : 1);
  return found.sort((a, b) => first(a) - first(b));
}

/** A choice from a long list: opened, then searched by typing. */
export default function SearchChoice({
  ids,
  rows,
  value,
  none,
  onChange,
}: {
  ids: object;
  rows: readonly Row[];
  value: string | null;
  none: string | undefined;
  onChange: (key: string | null) => void;
}) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const all = none === undefined ? rows : [{ key: '', label: none }, ...rows];
  const found = matching(all, text);
  const shown = found.slice(0, AT_ONCE);
  const take = ({ key }: Row) => {
    onChange(key === '' ? null : key);
    setOpen(false);
  };
  const pick = usePick(shown, ({ key }) => key, take);
  return (
    <Popover.Root
      open={open}
      onOpenChange={(to) => {
        setOpen(to);
        setText('');
        pick.restart();
      }}
    >
      <Popover.Trigger {...ids} className={`${inputLook} flex items-center justify-between gap-2 text-left`}>
        <span className="truncate">{rows.find(({ key }) => key === value)?.label ?? none ?? 'Choose …'}</span>
        <span aria-hidden="true">▾</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Choose"
          align="start"
          sideOffset={4}
          collisionPadding={8}
          className="z-50 flex max-h-[min(24rem,var(--radix-popover-content-available-height))] w-(--radix-popover-trigger-width) min-w-64 flex-col rounded-tag border border-rule bg-paper p-2 text-ink shadow-lg"
        >
          <input
            className={inputLook}
            {...pick.field}
            aria-label="Type to search"
            placeholder="Type to search"
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              pick.restart();
            }}
          />
          <p className="sr-only" role="status">
            {text && `${found.length} found`}
          </p>
          <div {...pick.listbox} role="listbox" aria-label="Choices" className="mt-2 overflow-y-auto">
            {shown.map((row) => (
              <PickOption key={row.key} {...pick.option(row)}>
                {row.label}
              </PickOption>
            ))}
          </div>
          {found.length > shown.length && (
            <p className="px-3 pt-2 text-sm text-soft">{found.length - shown.length} more; type to narrow.</p>
          )}
          {found.length === 0 && <p className="px-3 py-2 text-soft">Nothing is called that.</p>}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
