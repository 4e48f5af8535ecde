import { Popover } from 'radix-ui';
import { useId, useState } from 'react';
import { inputLook } from './field.tsx';

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
  const list = useId();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const all = none === undefined ? rows : [{ key: '', label: none }, ...rows];
  const found = matching(all, text);
  const shown = found.slice(0, AT_ONCE);
  const chosen = shown[Math.min(at, shown.length - 1)];
  const take = ({ key }: Row) => {
    onChange(key === '' ? null : key);
    setOpen(false);
  };
  return (
    <Popover.Root
      open={open}
      onOpenChange={(to) => {
        setOpen(to);
        setText('');
        setAt(0);
      }}
    >
      <Popover.Trigger {...ids} className={`${inputLook} flex items-center justify-between gap-2 text-left`}>
        <span className="truncate">{rows.find(({ key }) => key === value)?.label ?? none ?? 'Choose …'}</span>
        <span aria-hidden="true">▾</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          className="z-50 flex max-h-[min(24rem,var(--radix-popover-content-available-height))] w-(--radix-popover-trigger-width) min-w-64 flex-col rounded-tag border border-rule bg-paper p-2 text-ink shadow-lg"
        >
          <input
            className={inputLook}
            role="combobox"
            aria-label="Type to search"
            aria-expanded
            aria-controls={list}
            aria-activedescendant={chosen ? `${list}-${chosen.key}` : undefined}
            autoComplete="off"
            placeholder="Type to search"
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setAt(0);
            }}
            onKeyDown={(e) => {
              const move = { ArrowDown: 1, ArrowUp: -1 }[e.key];
              if (move && shown.length) {
                e.preventDefault();
                const to = (Math.min(at, shown.length - 1) + move + shown.length) % shown.length;
                setAt(to);
                document.getElementById(`${list}-${shown[to]!.key}`)?.scrollIntoView({ block: 'nearest' });
              }
              if (e.key === 'Enter') {
                e.preventDefault();
                if (chosen) take(chosen);
              }
            }}
          />
          <p className="sr-only" role="status">
            {text && `${found.length} found`}
          </p>
          <div id={list} role="listbox" aria-label="Choices" tabIndex={-1} className="mt-2 overflow-y-auto">
            {shown.map((row) => (
              // biome-ignore lint/a11y/useKeyWithClickEvents lint/a11y/useFocusableInteractive: the field above has the keyboard, as a combobox has
              <div
                key={row.key}
                id={`${list}-${row.key}`}
                role="option"
                aria-selected={row === chosen}
                className={`cursor-pointer rounded-md px-3 py-1.5 ${row === chosen ? 'bg-leaf-pale' : 'hover:bg-rule/50'}`}
                onClick={() => take(row)}
              >
                {row.label}
              </div>
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
