import { type ReactNode, useDeferredValue } from 'react';
import { Button } from './button.tsx';

export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="py-10 text-soft">
      Fetching {what} …
    </p>
  );
}

/**
 * A page that is large to draw, drawn the first time in slices between which taps and keys are heard; `what` is told as
 * being fetched until it stands. Later changes are drawn at once.
 */
export function InSlices({ what, children }: { what: string; children: ReactNode }) {
  return useDeferredValue(true, false) ? children : <Loading what={what} />;
}

/** What could not be fetched, in a sentence: the whole page, unless it is only a part of one. */
export function Failed({
  error,
  retry,
  part = false,
}: {
  error: Error;
  retry?: () => unknown;
  part?: boolean;
}) {
  const Says = part ? 'p' : 'h1';
  return (
    <div role="alert" className="my-6 max-w-xl rounded-tag border-2 border-brick/60 bg-brick-pale p-4">
      <Says className="font-sans text-base font-semibold tracking-normal text-brick">{error.message}</Says>
      {retry && (
        <Button className="mt-3" onClick={() => void retry()}>
          Try again
        </Button>
      )}
    </div>
  );
}

/** Nothing here yet, and what to do about it. */
export function Nothing({
  title,
  children,
  action,
  whole = false,
}: {
  title: string;
  children?: ReactNode;
  action?: ReactNode;
  /** It is all there is on the page. */
  whole?: boolean;
}) {
  const Title = whole ? 'h1' : 'h2';
  return (
    <div className="my-6 max-w-xl border-l-4 border-rule py-2 pl-5">
      <Title className="text-xl">{title}</Title>
      {children && <p className="mt-1 text-soft">{children}</p>}
      {action && <div className="mt-4">{action}</div>}
    </div>
  );
}

/** The problems of a sheet that belong to no field on it. */
export function SheetProblems({
  problems,
  shown = [],
}: {
  problems: readonly { path: string; message: string }[];
  shown?: readonly string[];
}) {
  const rest = problems.filter(({ path }) => path === '' || !shown.includes(path));
  if (problems.length === 0) return null;
  const lines = rest.length ? rest : problems;
  return (
    <div role="alert" className="rounded-tag border-2 border-brick/60 bg-brick-pale px-4 py-3 text-brick">
      <p className="font-semibold">Not saved yet. Nothing you typed is lost.</p>
      <ul className="mt-1 list-disc pl-5">
        {[...new Set(lines.map(({ message }) => message))].map((message) => (
          <li key={message}>{message}</li>
        ))}
      </ul>
    </div>
  );
}

/** A screen's heading, with what it is about and the actions that go with it. */
export function Heading({
  title,
  kicker,
  children,
  actions,
}: {
  title: ReactNode;
  kicker?: ReactNode;
  children?: ReactNode;
  actions?: ReactNode;
}) {
  return (
    <header className="mb-6 flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
      <div className="max-w-3xl">
        {kicker && <p className="text-sm font-semibold text-soft">{kicker}</p>}
        <h1 className="text-3xl leading-tight">{title}</h1>
        {children && <div className="mt-1 text-soft">{children}</div>}
      </div>
      {actions && <div className="flex flex-wrap gap-3">{actions}</div>}
    </header>
  );
}

const tones = {
  held: 'bg-leaf-pale text-leaf border-leaf/40',
  due: 'bg-mango-pale text-mango-deep border-mango/50',
  stop: 'bg-brick-pale text-brick border-brick/40',
  plain: 'bg-sheet text-soft border-rule',
} as const;

/** A word on a label. `wraps` lets a longer one break where its column is narrow. */
export function Tag({
  tone = 'plain',
  wraps = false,
  children,
}: {
  tone?: keyof typeof tones;
  wraps?: boolean;
  children: ReactNode;
}) {
  return (
    <span
      className={`inline-block rounded-tag ${wraps ? 'max-w-full' : 'whitespace-nowrap'} border px-2 py-0.5 text-sm font-semibold ${tones[tone]}`}
    >
      {children}
    </span>
  );
}

/** A caution that defers to the label, the law and licensed professionals. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <aside
      aria-label="Caution"
      className="border-l-4 border-mango bg-mango-pale px-4 py-2 text-[0.95rem] text-mango-deep"
    >
      {children}
    </aside>
  );
}
