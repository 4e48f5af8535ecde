import { inchToMm } from '@sabor/core/units/convert';
import type { Scale } from '@sabor/core/units/preferences';
import type { Vocabulary } from '@sabor/core/vocabulary';
import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { Field, inputLook } from './field.tsx';

const SearchChoice = lazy(() => import('./search-choice.tsx'));
/** A list with more choices than this is searched by typing. */
const LONG = 48;

interface Common {
  label: ReactNode;
  hint?: ReactNode;
  error?: string | undefined;
  className?: string;
  onBlur?: () => void;
}

export function TextField({
  value,
  onChange,
  rows,
  placeholder,
  secret = false,
  onBlur,
  ...field
}: Common & {
  value: string;
  onChange: (text: string) => void;
  rows?: number;
  placeholder?: string;
  /** Not shown as it is typed, nor offered again by the browser. */
  secret?: boolean;
}) {
  return (
    <Field {...field}>
      {(ids) =>
        rows ? (
          <textarea
            {...ids}
            onBlur={onBlur}
            rows={rows}
            className={inputLook}
            value={value}
            placeholder={placeholder}
            onChange={(e) => onChange(e.target.value)}
          />
        ) : (
          <input
            {...ids}
            {...(secret ? { type: 'password', autoComplete: 'off' } : {})}
            onBlur={onBlur}
            className={inputLook}
            value={value}
            placeholder={placeholder}
            onChange={(e) => onChange(e.target.value)}
          />
        )
      }
    </Field>
  );
}

/** The number a text means, with comma or point; null when empty, NaN when it is none. */
export function readNumber(text: string): number | null {
  const tidy = text.trim().replace(',', '.').replace('−', '-');
  if (tidy === '') return null;
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(tidy) ? Number(tidy) : Number.NaN;
}

/** Lengths of hair, in mm, shorter than which a bare number was perhaps meant in inches. Model assumption. */
export const SHORT_MM = 40;

/** A number in the user's unit or with a unit of its own behind it, as it is stored. */
export function readScaled(text: string, scale?: Scale): number | null {
  const m = /^(.*?[\d.,])\s*([a-z°"″”]+)$/i.exec(text.trim());
  const own = m && scale?.typed?.[m[2]!.toLowerCase()];
  const number = readNumber(own ? m[1]! : text);
  if (number === null || Number.isNaN(number)) return number;
  return own ? own(number) : scale ? scale.store(number) : number;
}

const shown = (value: number | null, scale?: Scale): string => {
  if (value === null || Number.isNaN(value)) return '';
  const x = scale ? scale.show(value) : value;
  return String(Number(x.toFixed(scale ? scale.digits + 1 : 4)));
};

/**
 * A number with its unit. Keeps what was typed, even when it is no number; gives null for empty and NaN for "abc", so
 * that the schema can say what is wrong. With a `scale`, shows and reads the user's unit and gives the stored one.
 */
export function NumberField({
  value,
  onChange,
  unit,
  scale,
  askUnder,
  onBlur,
  ...field
}: Common & {
  value: number | null;
  onChange: (value: number | null) => void;
  unit?: string;
  scale?: Scale;
  /** Stored value under which a plain number may have been meant in inches: the field then asks. */
  askUnder?: number;
}) {
  const [text, setText] = useState(shown(value, scale));
  const read = (typed: string) => readScaled(typed, scale);
  const mine = read(text);
  const same = Object.is(mine, value) || (mine !== null && value !== null && Math.abs(mine - value) < 1e-9);
  // Another value from outside (an undo, a loaded record) replaces what was typed; an unreadable entry stays.
  useEffect(() => {
    if (!same && !Number.isNaN(value)) setText(shown(value, scale));
  }, [value, same, scale]);
  const sign = unit ?? scale?.sign;
  const bare = readNumber(text);
  const short =
    askUnder !== undefined && scale?.sign === 'mm' && bare !== null && bare > 0 && bare < askUnder;
  const inches = short ? inchToMm(bare) : null;
  return (
    <Field {...field}>
      {(ids) => (
        <span className="flex items-center gap-2">
          <input
            {...ids}
            onBlur={onBlur}
            inputMode="decimal"
            className={inputLook}
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              onChange(read(e.target.value));
            }}
          />
          {sign && <span className="shrink-0 text-sm text-soft">{sign}</span>}
          {inches !== null && (
            <button
              type="button"
              className="shrink-0 text-sm font-semibold text-mango-deep underline underline-offset-4"
              onClick={() => {
                setText(shown(inches, scale));
                onChange(inches);
              }}
            >
              Inches? Make it {Math.round(inches)} mm
            </button>
          )}
        </span>
      )}
    </Field>
  );
}

/** A choice from a vocabulary; with `none`, also of nothing. */
export function ChoiceField<K extends string>({
  value,
  onChange,
  options,
  none,
  ...field
}: Common & {
  value: K | null;
  onChange: (key: K | null) => void;
  options: Vocabulary | readonly { key: string; label: string }[];
  none?: string;
}) {
  const list = Array.isArray(options)
    ? (options as readonly { key: string; label: string }[])
    : Object.entries(options as Vocabulary).map(([key, { label }]) => ({ key, label }));
  return (
    <Field {...field}>
      {(ids) => {
        const plain = (
          <select
            {...ids}
            className={inputLook}
            value={value ?? ''}
            onChange={(e) => onChange(e.target.value === '' ? null : (e.target.value as K))}
          >
            {(none !== undefined || value === null) && <option value="">{none ?? 'Choose …'}</option>}
            {list.map(({ key, label }) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
        );
        if (list.length <= LONG) return plain;
        return (
          <Suspense fallback={plain}>
            <SearchChoice
              ids={ids}
              rows={list}
              value={value}
              none={none}
              onChange={(key) => onChange(key as K | null)}
            />
          </Suspense>
        );
      }}
    </Field>
  );
}

/** Several choices at once, as ticks. */
export function TicksField<K extends string>({
  legend,
  value,
  onChange,
  options,
  error,
}: {
  legend: string;
  value: readonly K[];
  onChange: (keys: K[]) => void;
  options: Vocabulary;
  error?: string | undefined;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {Object.entries(options).map(([key, { label }]) => (
          <label key={key} className="flex min-h-8 items-center gap-2 text-[0.95rem]">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={value.includes(key as K)}
              onChange={(e) =>
                onChange(e.target.checked ? [...value, key as K] : value.filter((kept) => kept !== key))
              }
            />
            {label}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="text-sm font-semibold text-brick">
          {error}
        </p>
      )}
    </fieldset>
  );
}
