import { type Sieve, type SieveOf, sift } from '@sabor/core/table/sift';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { ChoiceField, TextField } from './inputs.tsx';

interface Facts {
  label: string;
  options: readonly { key: string; label: string }[];
}

/** A list's sieve, kept in the address: a way back finds the list as it was left. */
export function useSieve<T>(items: readonly T[], of: SieveOf<T>, first: string) {
  const [search, setSearch] = useSearchParams();
  const sieve: Sieve = {
    words: search.get('q') ?? '',
    facts: Object.fromEntries(Object.keys(of.facts).map((fact) => [fact, search.get(fact) ?? undefined])),
    sort: search.get('sort') ?? first,
  };
  const set = (to: Record<string, string>) =>
    setSearch(
      (old) => {
        const next = new URLSearchParams(old);
        for (const [key, value] of Object.entries(to))
          if (value && value !== (key === 'sort' ? first : '')) next.set(key, value);
          else next.delete(key);
        return next;
      },
      { replace: true, preventScrollReset: true },
    );
  const key = search.toString();
  const shown = useMemo(() => sift(items, sieve, of), [items, key, of]);
  return { sieve, set, shown };
}

/** The fields of a list's sieve. They show once a list is long enough to want them. */
export function SieveFields({
  sieve,
  set,
  sorts,
  facts,
  shown,
  all,
}: {
  sieve: Sieve;
  set: (to: Record<string, string>) => void;
  sorts: readonly { key: string; label: string }[];
  facts: Readonly<Record<string, Facts>>;
  shown: number;
  all: number;
}) {
  const [words, setWords] = useState(sieve.words);
  useEffect(() => setWords(sieve.words), [sieve.words]);
  if (all < 6) return null;
  return (
    <search className="no-print mb-5">
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          className="w-full sm:w-60"
          label="Search this list"
          value={words}
          onChange={(q) => {
            setWords(q);
            set({ q });
          }}
        />
        {Object.entries(facts).map(([fact, { label, options }]) => (
          <ChoiceField
            key={fact}
            className="w-44"
            label={label}
            none="any"
            options={options}
            value={sieve.facts[fact] ?? null}
            onChange={(value) => set({ [fact]: value ?? '' })}
          />
        ))}
        <ChoiceField
          className="w-44"
          label="Sort by"
          options={sorts}
          value={sieve.sort}
          onChange={(sort) => sort && set({ sort })}
        />
      </div>
      <p role="status" className="mt-1 text-sm text-soft">
        {shown < all ? `${shown.toLocaleString('en')} of ${all.toLocaleString('en')}` : ''}
      </p>
    </search>
  );
}

/** Items a long list begins with, and how many more come each time its end is nearly in view. */
const AT_ONCE = 60;

/** As much of a list as is nearly in view, and the mark at its end that makes it grow. */
export function useGrowing(count: number): { limit: number; end: React.ReactNode } {
  const [limit, setLimit] = useState(AT_ONCE);
  const mark = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const here = mark.current;
    if (!here) return;
    const grow = () => setLimit((old) => old + AT_ONCE);
    const all = () => setLimit(Number.POSITIVE_INFINITY);
    const watch = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && grow(),
      { rootMargin: '1500px' },
    );
    watch.observe(here);
    addEventListener('beforeprint', all);
    return () => {
      watch.disconnect();
      removeEventListener('beforeprint', all);
    };
  }, [limit, count]);
  return { limit, end: limit < count ? <div ref={mark} className="h-px" /> : null };
}
