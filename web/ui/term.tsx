import type { GlossaryKey } from '@sabor/words/glossary';
import { lazy, type ReactNode, Suspense, useState } from 'react';

const loadMeaning = () => import('./meaning.tsx');
const Meaning = lazy(async () => ({ default: (await loadMeaning()).Meaning }));

/** A word that says what it means when it is pressed. */
export function Term({ of, children }: { of: GlossaryKey; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <span className="relative">
      <button
        type="button"
        aria-expanded={open}
        className="cursor-help text-left font-[inherit] underline decoration-dotted decoration-2 underline-offset-4"
        onClick={() => setOpen(!open)}
        onFocus={() => void loadMeaning().catch(() => {})}
        onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}
      >
        {children}
      </button>
      {open && (
        <Suspense>
          <Meaning of={of} close={() => setOpen(false)} />
        </Suspense>
      )}
    </span>
  );
}
