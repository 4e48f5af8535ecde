import { describe, expect, it } from 'vitest';
import { GLOSSARY } from './glossary.ts';

const all = Object.values(GLOSSARY);

describe('the glossary', () => {
  it('names each word once, in sentences short enough to read beside what they explain', () => {
    expect(new Set(all.map(({ term }) => term)).size).toBe(all.length);
    for (const { term, says } of all) {
      expect(says, term).toMatch(/^[A-Z0-9].*\.$/);
      expect(says.length, term).toBeLessThan(230);
    }
  });
  it('speaks as docs/words.md has it', () => {
    for (const { term, says } of all)
      expect(`${term} ${says}`).not.toMatch(
        /\b((?<!inner )arms?|dose|slot|emollient|reveal|washout|basin|put away)\b/i,
      );
  });
});
