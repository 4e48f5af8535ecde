import { type ReactNode, useState } from 'react';

/** Something folded away under a line that says what is in it; open by itself while something in it is wrong. */
export function Fold({
  summary,
  wrong = false,
  className = '',
  children,
}: {
  summary: ReactNode;
  wrong?: boolean;
  className?: string;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <details
      open={open || wrong}
      onToggle={(event) => setOpen(event.currentTarget.open)}
      className={className}
    >
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">{summary}</summary>
      <div className="space-y-4 pt-2">{children}</div>
    </details>
  );
}
