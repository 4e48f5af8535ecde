import { fieldsOf } from '@sabor/contract/problem';
import { useCallback, useEffect, useState } from 'react';
import * as v from 'valibot';
import { Refused } from '../http/http.ts';
import { type Conflict, merge, withAt } from './merge.ts';

/** A sheet as it is being filled in, and the state of the record it began from. */
interface Kept<Value> {
  value: Value;
  base: Value;
  version: number | null;
}

/** A record that was changed elsewhere meanwhile: what it is now, and the fields both sides changed. */
export interface Clash {
  conflicts: readonly Conflict[];
  /** The sheet as it stands, for the fields' places. */
  value: unknown;
  /** Takes theirs at the places named, mine at the others; the sheet can then be saved. */
  settle: (theirs: ReadonlySet<Conflict>) => void;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * A sheet being filled in. What is typed is kept in this tab's storage until it is saved, so that a reload or a
 * refusal loses nothing. `problems` speak by dotted path, from the page's own check and from the server's alike.
 * `version` is the state of the record that `initial` shows: where the record was changed elsewhere meanwhile, what only
 * one side changed is put together, and what both changed is a `clash`.
 */
export function useDraft<S extends v.GenericSchema>(
  key: string,
  schema: S,
  initial: v.InferInput<S>,
  version: number | null = null,
): {
  value: v.InferInput<S>;
  change: (next: v.InferInput<S> | ((old: v.InferInput<S>) => v.InferInput<S>)) => void;
  set: <K extends keyof v.InferInput<S>>(field: K) => (to: v.InferInput<S>[K]) => void;
  problem: (path: string) => string | undefined;
  /** What a field of the sheet's first level needs. */
  bind: <K extends keyof v.InferInput<S> & string>(
    field: K,
  ) => { value: v.InferInput<S>[K]; onChange: (to: v.InferInput<S>[K]) => void; error: string | undefined };
  problems: readonly { path: string; message: string }[];
  dirty: boolean;
  clash: Clash | null;
  /** Checks, then saves on top of the state the sheet began from; true when it was saved. */
  save: (send: (output: v.InferOutput<S>, version: number | null) => Promise<unknown>) => Promise<boolean>;
  saving: boolean;
  discard: () => void;
} {
  type Value = v.InferInput<S>;
  const storage = `sabor draft ${key}`;
  const fresh: Kept<Value> = { value: initial, base: initial, version };
  const [kept, setKept] = useState<Kept<Value>>(() => restore(storage, initial) ?? fresh);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const [saving, setSaving] = useState(false);
  const [clashing, setClashing] = useState<readonly Conflict[] | null>(null);
  const { value, base } = kept;
  const dirty = !same(value, base);

  // A sheet nobody has typed in follows the record.
  const stale = !dirty && (version ?? 0) > (kept.version ?? 0);
  useEffect(() => {
    if (stale) setKept({ value: initial, base: initial, version });
  }, [stale, initial, version]);
  // Written after the page is drawn, so that typing waits for nothing.
  useEffect(() => {
    if (dirty) keep(storage, kept);
    else sessionStorage.removeItem(storage);
  }, [storage, kept, dirty]);

  const change = useCallback(
    (next: Value | ((old: Value) => Value)) =>
      setKept((old) => ({
        ...old,
        value: typeof next === 'function' ? (next as (old: Value) => Value)(old.value) : next,
      })),
    [],
  );
  const set =
    <K extends keyof Value>(field: K) =>
    (to: Value[K]) =>
      change((old: Value) => ({ ...(old as object), [field]: to }) as Value);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const forget = () => sessionStorage.removeItem(storage);

  type Send = (output: v.InferOutput<S>, version: number | null) => Promise<unknown>;
  /** One try; again by itself where the other side changed other fields alone. */
  const attempt = async (now: Kept<Value>, send: Send, again: boolean): Promise<boolean> => {
    const checked = v.safeParse(schema, now.value);
    if (!checked.success) {
      setProblems(fieldsOf(checked.issues));
      return false;
    }
    try {
      await send(checked.output, now.version);
      forget();
      // The sheet may stay open: what was saved is what it goes on from.
      setKept((old) => ({
        ...old,
        base: now.value,
        version: now.version === null ? null : now.version + 1,
      }));
      setProblems([]);
      setClashing(null);
      return true;
    } catch (error) {
      const refused = error instanceof Refused ? error : new Refused({ status: 0, detail: String(error) });
      if (refused.status === 412 && refused.current && again) {
        const current = refused.current as Record<string, unknown>;
        const theirs = Object.fromEntries(
          Object.keys(now.base as object).map((field) => [field, current[field]]),
        ) as Value;
        const found: Conflict[] = [];
        const next = {
          value: merge(now.base, now.value, theirs, [], found) as Value,
          base: theirs,
          version: current.version as number,
        };
        setKept(next);
        if (found.length === 0) return attempt(next, send, false);
        setClashing(found);
      }
      setProblems(refused.fields.length ? refused.fields : [{ path: '', message: refused.message }]);
      return false;
    }
  };

  return {
    value,
    change,
    set,
    problem,
    bind: (field) => ({ value: (value as Value)[field], onChange: set(field), error: problem(field) }),
    problems,
    dirty,
    saving,
    clash: clashing && {
      conflicts: clashing,
      value,
      settle: (theirs) => {
        setKept((old) => ({
          ...old,
          value: clashing.reduce<unknown>(
            (all, one) => (theirs.has(one) ? withAt(all, one.path, one.theirs) : all),
            old.value,
          ) as Value,
        }));
        setClashing(null);
        setProblems([]);
      },
    },
    save: async (send) => {
      setSaving(true);
      try {
        return await attempt(kept, send, true);
      } finally {
        setSaving(false);
      }
    },
    discard: () => {
      forget();
      setKept(fresh);
      setProblems([]);
      setClashing(null);
    },
  };
}

/** Mirrors a draft into this tab's storage; one too large for it stays on the page alone. */
function keep(storage: string, value: unknown): void {
  try {
    sessionStorage.setItem(storage, JSON.stringify(value));
  } catch {
    sessionStorage.removeItem(storage);
  }
}

const kindOf = (value: unknown) =>
  Array.isArray(value) ? 'list' : value === null ? 'nothing' : typeof value;

/** A kept draft, where it has the shape of this build's sheet; one of another build is let go. */
function restore<Value>(storage: string, initial: Value): Kept<Value> | null {
  try {
    const found = JSON.parse(sessionStorage.getItem(storage) ?? 'null') as Kept<Value> | null;
    if (!found || typeof found !== 'object') return null;
    const fits = (value: unknown) =>
      typeof value === 'object' &&
      value !== null &&
      Object.entries(initial as object).every(([key, was]) => {
        const now = (value as Record<string, unknown>)[key];
        return kindOf(was) === 'list'
          ? kindOf(now) === 'list'
          : kindOf(now) !== 'list' || kindOf(was) === 'nothing';
      });
    return fits(found.value) && fits(found.base) ? found : null;
  } catch {
    return null;
  }
}
