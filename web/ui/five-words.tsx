import type { ReactNode } from 'react';

/** Chips of the bench: large enough for a thumb. */
export const benchChip =
  'min-h-12 rounded-tag border border-ink/30 bg-sheet px-3 text-[0.95rem] aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:font-semibold aria-pressed:text-paper disabled:opacity-50';

/** One reading in five words: a tap says it, the same tap takes it back. */
export function FiveWords({
  label,
  words,
  value,
  choose,
  chip = benchChip,
  children,
}: {
  label: ReactNode;
  words: readonly string[];
  value: number | null;
  /** Null takes the word back. */
  choose: (value: number | null, word: string) => void;
  chip?: string;
  children?: ReactNode;
}) {
  return (
    <fieldset>
      <legend className="text-lg">{label}</legend>
      <div className="flex flex-wrap gap-1.5">
        {words.map((word, at) => (
          <button
            key={word}
            type="button"
            className={chip}
            aria-pressed={value === at}
            onClick={() => choose(value === at ? null : at, word)}
          >
            {word}
          </button>
        ))}
      </div>
      {children}
    </fieldset>
  );
}
