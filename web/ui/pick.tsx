import { type KeyboardEvent, type ReactNode, useId, useState } from 'react';

/**
 * The keyboard of a field with a list of choices under it: arrows move along the list and round its ends, Enter takes.
 * Source: WAI-ARIA Authoring Practices, combobox with a listbox popup.
 */
export function usePick<T>(shown: readonly T[], keyOf: (one: T) => string, take: (one: T) => void) {
  const list = useId();
  const [at, setAt] = useState(0);
  const chosen = shown[Math.min(at, shown.length - 1)];
  const idOf = (one: T) => `${list}-${keyOf(one)}`;
  return {
    option: (one: T) => ({ id: idOf(one), chosen: one === chosen, take: () => take(one) }),
    /** Back to the first, as when other choices are asked for. */
    restart: () => setAt(0),
    listbox: { id: list, tabIndex: -1 },
    field: {
      role: 'combobox',
      'aria-expanded': shown.length > 0,
      'aria-controls': list,
      'aria-activedescendant': chosen === undefined ? undefined : idOf(chosen),
      autoComplete: 'off',
      onKeyDown: (event: KeyboardEvent) => {
        const move = { ArrowDown: 1, ArrowUp: -1 }[event.key];
        if (move && shown.length > 0) {
          event.preventDefault();
          const to = (Math.min(at, shown.length - 1) + move + shown.length) % shown.length;
          setAt(to);
          document.getElementById(idOf(shown[to]!))?.scrollIntoView({ block: 'nearest' });
        }
        if (event.key === 'Enter') {
          event.preventDefault();
          if (chosen !== undefined) take(chosen);
        }
      },
    } as const,
  };
}

/** One choice of such a list. */
export function PickOption({
  id,
  chosen,
  take,
  children,
}: {
  id: string;
  chosen: boolean;
  take: () => void;
  children: ReactNode;
}) {
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents lint/a11y/useFocusableInteractive: the field above has the keyboard, as a combobox has
    <div
      id={id}
      role="option"
      aria-selected={chosen}
      className={`cursor-pointer rounded-tag px-3 py-1.5 ${chosen ? 'bg-leaf-pale' : 'hover:bg-rule/50'}`}
      onClick={take}
    >
      {children}
    </div>
  );
}
