import { localToday } from '@sabor/core/time/today';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { moment, pastDate, pastMoment } from './fields.ts';
import { fieldsOf } from './problem.ts';
import { Dose } from './routine.ts';
import { Settings } from './settings.ts';

const messages = (schema: v.GenericSchema, input: unknown) => {
  const result = v.safeParse(schema, input);
  return result.success ? [] : fieldsOf(result.issues);
};

describe('dates and moments', () => {
  it('take today and refuse tomorrow', () => {
    expect(messages(pastDate, localToday())).toEqual([]);
    expect(messages(pastDate, localToday(new Date(Date.now() + 86_400_000)))[0]?.message).toContain(
      'in the future',
    );
    expect(messages(pastDate, '01/02/2026')[0]?.message).toBe('Give a date as year, month and day.');
    expect(messages(pastDate, '2026-13-01')[0]?.message).toBe('There is no such day.');
  });

  it('take a moment with its offset only', () => {
    expect(messages(moment, '2026-01-01T10:00:00Z')).toEqual([]);
    expect(messages(moment, '2026-01-01T10:00:00+02:00')).toEqual([]);
    for (const bad of ['2026-01-01', '2026-01-01T10:00', 'noon', '', 5])
      expect(messages(moment, bad)).toHaveLength(1);
    expect(messages(pastMoment, new Date(Date.now() + 600_000).toISOString())[0]?.message).toContain(
      'in the future',
    );
  });
});

describe('a dose', () => {
  it('is an amount, a range or forgotten', () => {
    const measured = { measure: 'pump', per: 'head' };
    expect(messages(Dose, { kind: 'exact', amount: 2, ...measured })).toEqual([]);
    expect(messages(Dose, { kind: 'range', from: 1, to: 2, ...measured })).toEqual([]);
    expect(messages(Dose, { kind: 'unknown' })).toEqual([]);
    expect(messages(Dose, { kind: 'range', from: 3, to: 2, ...measured })).toEqual([
      { path: 'to', message: 'The range runs from less to more.' },
    ]);
    expect(messages(Dose, { kind: 'exact', amount: 'abc', ...measured })).toEqual([
      { path: 'amount', message: 'The amount must be a number.' },
    ]);
    expect(messages(Dose, { kind: 'exact', amount: Number.NaN, ...measured })[0]?.message).toBe(
      'The amount must be a number.',
    );
    expect(messages(Dose, { kind: 'exact', amount: -1, ...measured })[0]?.message).toBe(
      'The amount cannot be under 0.',
    );
  });
});

describe('every refusal', () => {
  it('is a sentence of ours', () => {
    for (const input of [undefined, null, 5, {}, { volume: 'gallon' }])
      for (const { message } of messages(Settings, input)) {
        expect(message).toMatch(/^[A-Z].*\.$/);
        expect(message).not.toContain('Invalid');
      }
  });
});
