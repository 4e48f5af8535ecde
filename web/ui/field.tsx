import { type ReactNode, useId } from 'react';

export const inputLook =
  'w-full min-h-10 rounded-md border border-ink/30 bg-sheet px-3 py-2 text-[0.95rem] aria-invalid:border-brick aria-invalid:border-2 disabled:opacity-60';

export interface FieldIds {
  id: string;
  'aria-invalid': true | undefined;
  'aria-describedby': string | undefined;
}

/** A labelled field with its hint and, when something is wrong, the sentence that says what to do. */
export function Field({
  label,
  hint,
  error,
  className = '',
  children,
}: {
  label: ReactNode;
  hint?: ReactNode;
  error?: string | undefined;
  className?: string;
  children: (ids: FieldIds) => ReactNode;
}) {
  const id = useId();
  const described = [hint ? `${id}-hint` : '', error ? `${id}-error` : ''].filter(Boolean).join(' ');
  return (
    <div className={`field flex flex-col gap-1 ${className}`}>
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
      </label>
      {children({ id, 'aria-invalid': error ? true : undefined, 'aria-describedby': described || undefined })}
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-soft">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="text-sm font-semibold text-brick">
          {error}
        </p>
      )}
    </div>
  );
}
