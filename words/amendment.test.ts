import { describe, expect, it } from 'vitest';
import { amendmentInWords } from './amendment.ts';
import { plainVoice } from './voice.ts';

const voice = plainVoice((id) => id.toUpperCase());
const g = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;

describe('a change of the plan in words', () => {
  it('names the step and each setting that was changed', () => {
    expect(
      amendmentInWords(
        {
          slot: 'hold',
          changes: [
            { setting: 'productId', was: 'gel', becomes: null },
            { setting: 'dose', was: g(12), becomes: g(15) },
            { setting: 'stopAt', was: null, becomes: 90 },
          ],
        },
        voice,
      ),
    ).toBe(
      'Hold: product was GEL, became no product; amount was 12 g, became 15 g; stop when dry to was stop when dry to: not set, became stop when dry to 90 %.',
    );
  });

  it('tells fields of the trial by their names, and what an earlier Sabor told as it was', () => {
    const of = (changes: Parameters<typeof amendmentInWords>[0]['changes']) =>
      amendmentInWords({ slot: null, changes }, voice);
    expect(of([{ setting: 'primary', was: 'frizz', becomes: 'definition' }])).toMatch(
      /was frizz, became definition\.$/,
    );
    expect(of([{ setting: 'cadenceDays', was: null, becomes: 4 }])).toMatch(/was none, became 4\.$/);
    expect(of([{ setting: 'question', was: 'A?', becomes: 'B?' }])).toMatch(/was “A\?”, became “B\?”\.$/);
    expect(of([{ setting: 'told', was: 'Gel, 12 g', becomes: 'Gel, 15 g' }])).toBe(
      'Gel, 12 g became Gel, 15 g.',
    );
  });
});
