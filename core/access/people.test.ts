import { describe, expect, it } from 'vitest';
import { CODE_LENGTH, CODE_LETTERS, codeFrom, codeShown } from './people.ts';

describe('a one-time code', () => {
  it('is 50 bits of letters that are not taken for others', () => {
    expect(CODE_LENGTH * Math.log2(new Set(CODE_LETTERS).size)).toBe(50);
    expect(CODE_LETTERS).not.toMatch(/[ILOU]/);
  });

  it('is the same however a hand types it', () => {
    const code = '01ABC9XYZ0';
    for (const typed of [codeShown(code), '01abc-9xyz0', ' O1ABC 9XYZO ', 'oIabc9xyz0', 'olabc-9xyzo'])
      expect(codeFrom(typed)).toBe(code);
  });

  it('is none when it is short, long or of other letters', () => {
    for (const typed of ['', '01ABC-9XYZ', '01ABC-9XYZ00', '01ABC-9XYZU', '01ABC-9XY.0'])
      expect(codeFrom(typed)).toBeNull();
  });
});
