import { fieldsOf } from '@sabor/contract/problem';
import { useCallback, useMemo, useState } from 'react';
import * as v from 'valibot';
import { Refused } from '../api/http.ts';

/**
 * A sheet being filled in. What is typed is kept in this tab's storage until it is saved, so that a reload or a
 * refusal loses nothing. `problems` speak by dotted path, from the page's own check and from the server's alike.
 */
export function useDraft<S extends v.GenericSchema>(
  key: string,
  schema: S,
  initial: v.InferInput<S>,
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
  /** Checks, then saves; true when it was saved. */
  save: (send: (output: v.InferOutput<S>) => Promise<unknown>) => Promise<boolean>;
  saving: boolean;
  discard: () => void;
} {
  type Value = v.InferInput<S>;
  const storage = `sabor draft ${key}`;
  const [value, setValue] = useState<Value>(() => restore(storage) ?? initial);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const [saving, setSaving] = useState(false);
  const dirty = useMemo(() => JSON.stringify(value) !== JSON.stringify(initial), [value, initial]);

  const change = useCallback(
    (next: Value | ((old: Value) => Value)) => {
      setValue((old: Value) => {
        const made = typeof next === 'function' ? (next as (old: Value) => Value)(old) : next;
        keep(storage, made);
        return made;
      });
    },
    [storage],
  );
  const set =
    <K extends keyof Value>(field: K) =>
    (to: Value[K]) =>
      change((old: Value) => ({ ...(old as object), [field]: to }) as Value);
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  const forget = () => sessionStorage.removeItem(storage);

  return {
    value,
    change,
    set,
    problem,
    bind: (field) => ({ value: (value as Value)[field], onChange: set(field), error: problem(field) }),
    problems,
    dirty,
    saving,
    save: async (send) => {
      const checked = v.safeParse(schema, value);
      if (!checked.success) {
        setProblems(fieldsOf(checked.issues));
        return false;
      }
      setSaving(true);
      try {
        await send(checked.output);
        forget();
        setProblems([]);
        return true;
      } catch (error) {
        const refused = error instanceof Refused ? error : new Refused({ status: 0, detail: String(error) });
        setProblems(refused.fields.length ? refused.fields : [{ path: '', message: refused.message }]);
        return false;
      } finally {
        setSaving(false);
      }
    },
    discard: () => {
      forget();
      setValue(initial);
      setProblems([]);
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

function restore<T>(storage: string): T | null {
  try {
    return JSON.parse(sessionStorage.getItem(storage) ?? 'null') as T | null;
  } catch {
    return null;
  }
}
