import { describe, expect, it } from 'vitest';
import { actInWords, byInWords, changesInWords } from './on-record.ts';

describe('what is on record, in words', () => {
  it('names what was done to what', () => {
    expect(actInWords('reading changed')).toBe('A reading was changed');
    expect(actInWords('check in taken away')).toBe('A check-in was taken away');
    expect(actInWords('signed in')).toBe('Signed in');
    expect(actInWords('constructor changed')).toBe('Constructor changed');
  });

  it('says what it was and what it became, and no ids', () => {
    const id = '01a2250d-4e99-7015-878a-eef108a6956e';
    expect(
      changesInWords({ before: { id, value: 6, note: '' }, after: { id, value: 7, note: 'wind' } }),
    ).toEqual(['value: 6 → 7', 'note: nothing → wind']);
    expect(changesInWords({ before: null, after: { id, trial_id: id, taken_at: 'noon' } })).toEqual([
      'taken at: noon',
    ]);
    expect(changesInWords({ before: { id, kind: 'rain' }, after: null })).toEqual(['kind: rain']);
    expect(changesInWords({ before: { why: 'x'.repeat(200) }, after: { why: null } })[0]).toBe(
      `why: ${'x'.repeat(120)}… → nothing`,
    );
  });

  it('says who, and on which device', () => {
    expect(byInWords({ person: null, device: null })).toBe('on the laptop');
    expect(byInWords({ person: 'Noor', device: 'iPhone' })).toBe('Noor, iPhone');
  });
});
