import { describe, expect, it } from 'vitest';
import { careStatus } from './care.ts';
import { collisions, EVENT_RULES, trialSpan } from './collisions.ts';
import { HAIR_EVENTS } from './history.ts';
import { wishShares } from './wishes.ts';

const span = trialSpan('2026-12-01', 8, 3);

describe('what a trial would collide with', () => {
  it('runs one wash day after the other', () => {
    expect(span).toEqual({ from: '2026-12-01', to: '2026-12-25' });
  });

  it('is an appointment among its wash days', () => {
    const found = collisions(
      span,
      [
        { kind: 'trim', on: '2026-12-05' },
        { kind: 'colour', on: '2026-12-20' },
        { kind: 'colour', on: '2026-12-26' },
      ],
      [],
    );
    expect(found.map(({ on, severity }) => [on, severity])).toEqual([
      ['2026-12-20', 'breaks'],
      ['2026-12-05', 'weakens'],
    ]);
  });

  it('is hair that has not reverted or settled when it begins', () => {
    const [heat, ...rest] = collisions(
      span,
      [
        { kind: 'heat', on: '2026-11-25' },
        { kind: 'heat', on: '2026-11-20' },
      ],
      [],
    );
    expect(heat).toMatchObject({ event: 'heat', settled: '2026-12-05' });
    expect(rest).toEqual([]);
  });

  it('is care that falls due, but not the wash the trial itself does', () => {
    const care = careStatus([{ kind: 'trim', on: '2026-09-01' }], ['2026-11-30'], {}, '2026-12-01');
    expect(collisions(span, [], care)).toEqual([
      { on: '2026-12-15', severity: 'weakens', due: 'trim', says: expect.stringContaining('put it off') },
    ]);
    expect(collisions({ from: '2026-12-01', to: '2026-12-14' }, [], care)).toEqual([]);
  });

  it('knows a rule for every event that changes hair or style', () => {
    const plain = Object.keys(HAIR_EVENTS).filter((kind) => !(kind in EVENT_RULES));
    // What is only seen or said of hair changes nothing in it.
    expect(plain.sort()).toEqual([
      'clarify',
      'deep-condition',
      'pattern-changed',
      'pattern-disputed',
      'protein-light',
      'transition',
    ]);
  });
});

describe('wishes', () => {
  it('are weighed as shares, the heaviest first', () => {
    expect(wishShares({ definition: 3, length: 1, volume: 0 })).toEqual([
      { wish: 'definition', share: 0.75 },
      { wish: 'length', share: 0.25 },
    ]);
    expect(wishShares({})).toEqual([]);
  });
});
