import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { guarded, unguarded } from './formula-guard.ts';

describe('a text in a spreadsheet', () => {
  it.each([
    '=1+1',
    '+1',
    "-2+3+cmd|' /C calc'!A0",
    '@SUM(A1)',
    '\t=1',
    '\n=1',
    '\r=1',
    '  =1',
    ' -1',
    "'=1",
    "''+1",
    '＝1',
  ])('%j is no formula, and comes back', (text) => {
    expect(guarded(text)[0]).toBe("'");
    expect(unguarded(guarded(text))).toBe(text);
  });

  it.each(['Gel', "L'Eau", "'n' roll", '', '3-in-1', 'a=b'])('%j stays as it is', (text) => {
    expect(guarded(text)).toBe(text);
    expect(unguarded(text)).toBe(text);
  });

  it('of any kind comes back, and never begins as a formula', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom("'", '=', '-', '+', '@', ' ', '\t', '\n', 'a', '1') }),
        (text) => {
          expect(unguarded(guarded(text))).toBe(text);
          expect(guarded(text)).not.toMatch(/^\s*[=+\-@]/);
        },
      ),
    );
  });
});
