import { ArrowDownIcon, ArrowUpIcon } from '@radix-ui/react-icons';
import type { LabelItem } from '@sabor/core/ingredients/label/parse-label';
import { SECTIONS, type Section } from '@sabor/core/ingredients/label/sections';
import {
  asWritten,
  type WrittenItem,
  writeLabel,
  writtenItems,
} from '@sabor/core/ingredients/label/write-label';
import { useEffect, useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { inputLook } from '../../ui/field.tsx';
import { useSay } from '../../ui/undo.tsx';

/**
 * The list item by item: rename, move, add, take out, say which part of the label an item stands in. The reading comes from
 * a worker and lags behind the text: until it is there, what was written here stands for it; a text changed elsewhere
 * is not edited before it is read.
 */
export function ItemEditor({
  items,
  read,
  text,
  setText,
}: {
  items: readonly LabelItem[];
  /** The text that `items` were read from. */
  read: string;
  text: string;
  setText: (text: string) => void;
}) {
  const say = useSay();
  const [own, setOwn] = useState<{ text: string; items: WrittenItem[] } | null>(null);
  const ahead = read !== text && own?.text === text ? own.items : null;
  const written = ahead ?? writtenItems(items);
  const write = (next: readonly WrittenItem[], says?: string) => {
    const before = text;
    const after = writeLabel(next);
    setOwn({ text: after, items: asWritten(next) });
    setText(after);
    if (says) say(says, () => setText(before));
  };
  const swapped = (i: number, j: number) => {
    const next = [...written];
    [next[i], next[j]] = [next[j]!, next[i]!];
    return next;
  };
  return (
    <details className="mt-4">
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">Edit item by item</summary>
      <fieldset className="contents" disabled={read !== text && ahead === null}>
        <ol className="border-t border-rule" aria-label="Items of the list">
          {written.map((item, i) => (
            <li key={i} className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-rule py-1.5">
              <span className="figure w-6 text-right text-soft">{i + 1}</span>
              <Item
                item={item}
                n={i + 1}
                onCommit={(name) =>
                  write(
                    written.map((one, k) => (k === i ? { ...one, text: name } : one)),
                    name ? `${item.text} is now ${name}.` : `${item.text} is removed.`,
                  )
                }
              />
              <select
                aria-label={`Part of ${item.text}`}
                className={`${inputLook} w-auto!`}
                value={item.section}
                onChange={(e) =>
                  write(
                    written.map((one, k) => (k === i ? { ...one, section: e.target.value as Section } : one)),
                  )
                }
              >
                {Object.entries(SECTIONS).map(([key, { label }]) => (
                  <option key={key} value={key}>
                    {label}
                  </option>
                ))}
              </select>
              <Button
                look="quiet"
                aria-label={`Move ${item.text} up`}
                disabled={i === 0}
                onClick={() => write(swapped(i, i - 1))}
              >
                <ArrowUpIcon className="size-4" aria-hidden="true" />
              </Button>
              <Button
                look="quiet"
                aria-label={`Move ${item.text} down`}
                disabled={i === written.length - 1}
                onClick={() => write(swapped(i, i + 1))}
              >
                <ArrowDownIcon className="size-4" aria-hidden="true" />
              </Button>
              <Button
                look="quiet"
                aria-label={`Remove ${item.text}`}
                onClick={() =>
                  write(
                    written.filter((_, k) => k !== i),
                    `${item.text} is removed.`,
                  )
                }
              >
                Remove
              </Button>
            </li>
          ))}
        </ol>
        <AddItem
          onAdd={(name) =>
            write([...written, { text: name, section: 'main' }], `${name} is added at the end.`)
          }
        />
      </fieldset>
    </details>
  );
}

function Item({ item, n, onCommit }: { item: WrittenItem; n: number; onCommit: (name: string) => void }) {
  const [name, setName] = useState(item.text);
  useEffect(() => setName(item.text), [item.text]);
  const commit = () => name.trim() !== item.text && onCommit(name.trim());
  return (
    <input
      aria-label={`Item ${n}`}
      className={`${inputLook} min-w-0 flex-1 basis-40`}
      value={name}
      onChange={(e) => setName(e.target.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter') commit();
        if (e.key === 'Escape') setName(item.text);
      }}
    />
  );
}

function AddItem({ onAdd }: { onAdd: (name: string) => void }) {
  const [name, setName] = useState('');
  return (
    <form
      className="mt-2 flex gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim()) onAdd(name.trim());
        setName('');
      }}
    >
      <input
        aria-label="Another item"
        placeholder="Another item"
        className={`${inputLook} min-w-0 flex-1`}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit">Add</Button>
    </form>
  );
}
