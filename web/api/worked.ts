import { type Query, queryOptions, useQuery } from '@tanstack/react-query';

/** Under this word are kept answers that workers worked out; they follow from their inputs alone. */
const WORKED = 'worked out';

export const isWorked = ({ queryKey }: Pick<Query, 'queryKey'>): boolean => queryKey[0] === WORKED;

const names = new WeakMap<object, number>();
let named = 0;
/** Stands for an input in a key: lists of plain values by what is in them, other objects by which object it is. */
export function inKey(input: unknown): unknown {
  if (typeof input !== 'object' || input === null) return input;
  if (Array.isArray(input) && input.every((one) => typeof one !== 'object' || one === null)) return input;
  const known = names.get(input) ?? ++named;
  names.set(input, known);
  return `object ${known}`;
}

/** How a result is kept; see {@link useWorked}. */
export const worked = <T>(
  what: string,
  inputs: readonly unknown[] | null,
  work: () => Promise<T>,
  subject: string | null,
) =>
  queryOptions<T, Error, T, unknown[]>({
    queryKey: [WORKED, what, subject, ...(inputs ?? [null]).map(inKey)],
    queryFn: work,
    enabled: inputs !== null,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: false,
    placeholderData: (before, query) =>
      subject !== null && query?.queryKey[2] === subject ? (before as never) : undefined,
  });

/**
 * What a worker works out of some inputs, `what` naming the work; null inputs wait. An object counts as changed when it
 * is another object, so those handed in come from a query or a memo. `subject`: what was worked out for the same one
 * before stays on show meanwhile, and never what was worked out for another.
 */
export const useWorked = <T>(
  what: string,
  inputs: readonly unknown[] | null,
  work: () => Promise<T>,
  subject: string | null = null,
) => useQuery(worked(what, inputs, work, subject));
