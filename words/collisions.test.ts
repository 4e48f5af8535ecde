import { collisions } from '@sabor/core/hair/collisions';
import { describe, expect, it } from 'vitest';
import { collisionInWords } from './collisions.ts';

const span = { from: '2026-12-01', to: '2026-12-25' };
const said = (...events: Parameters<typeof collisions>[1][number][]) =>
  collisions(span, events, []).map((one) => collisionInWords(one, '2026-12-01'));

describe('what a trial would meet, in words', () => {
  it('says when hair has settled, and nothing of it for what falls into the trial', () => {
    expect(said({ kind: 'heat', on: '2026-11-25' })[0]).toMatch(
      /^Heat.* on Wed 25 Nov: .* Better to begin on Sat 5 Dec or later\.$/,
    );
    expect(said({ kind: 'trim', on: '2026-12-05' })[0]).toMatch(/on Sat 5 Dec: shortens .*\.$/);
    expect(said({ kind: 'trim', on: '2026-12-05' })[0]).not.toContain('Better');
  });

  it('says on which day care is due', () => {
    const due = collisions(span, [], [{ kind: 'trim', dueOn: '2026-12-15' }]);
    expect(collisionInWords(due[0]!, '2026-12-01')).toMatch(/^Trim is due on Tue 15 Dec: /);
  });
});
