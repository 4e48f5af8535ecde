import { type ReactNode, useState } from 'react';

/** Something folded away under a line that says what is in it; open by itself while something in it is wrong. */
export function Fold({
  summary,
  wrong = false,
  late = false,
  className = '',
  children,
}: {
  summary: ReactNode;
  wrong?: boolean;
  /** What is in it is made and fetched when it is first opened. */
  late?: boolean;
  className?: string;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  const [seen, setSeen] = useState(!late);
  return (
    <details
      open={open || wrong}
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
        if (event.currentTarget.open) setSeen(true);
      }}
      className={className}
    >
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">{summary}</summary>
      {seen && <div className="space-y-4 pt-2">{children}</div>}
    </details>
  );
}
