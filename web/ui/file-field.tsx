import { type ReactNode, useId, useState } from 'react';

/** Our own file input: a drop target that says what was chosen. The browser's own input lies in it, for keyboard and reader. */
export function FileField({
  label,
  accept,
  disabled,
  error,
  onChoose,
  children,
}: {
  label: string;
  accept: string;
  disabled?: boolean;
  error?: string | undefined;
  onChoose: (file: File) => void;
  /** What the field takes, in a few words. */
  children?: ReactNode;
}) {
  const id = useId();
  const [name, setName] = useState<string | null>(null);
  const take = (file: File | undefined) => {
    if (!file) return;
    setName(file.name);
    onChoose(file);
  };
  return (
    <>
      <div
        className={`relative flex min-h-16 max-w-xl flex-wrap items-center gap-x-4 gap-y-1 rounded-tag border-2 border-dashed px-4 py-3 has-[:focus-visible]:outline-3 has-[:focus-visible]:outline-offset-2 has-[:focus-visible]:outline-hibiscus border-ink/30 bg-sheet has-[:hover]:border-ink ${disabled ? 'opacity-60' : ''}`}
      >
        <label
          htmlFor={id}
          className="font-semibold underline decoration-rule decoration-2 underline-offset-4"
        >
          {label}
        </label>
        <span className="text-soft" aria-live="polite">
          {name ?? children ?? 'or drop it here'}
        </span>
        <input
          id={id}
          type="file"
          accept={accept}
          disabled={disabled}
          aria-invalid={error ? true : undefined}
          aria-describedby={error ? `${id}-error` : undefined}
          className="absolute inset-0 cursor-pointer opacity-0 file:cursor-pointer disabled:cursor-not-allowed"
          onChange={(e) => {
            take(e.target.files?.[0]);
            // The same file may be chosen again after it was mended.
            e.target.value = '';
          }}
        />
      </div>
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 text-sm font-semibold text-brick">
          {error}
        </p>
      )}
    </>
  );
}
