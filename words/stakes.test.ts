import { describe, expect, it } from 'vitest';
import { stakesInWords } from './stakes.ts';

describe('stakes', () => {
  it('are told unless everything was bought', () => {
    expect(stakesInWords([{ name: 'A', stake: 'bought' }])).toBeNull();
    expect(
      stakesInWords([
        { name: 'A', stake: 'gift' },
        { name: 'B', stake: 'bought' },
      ]),
    ).toBe('To declare: A (gift).');
  });
});
