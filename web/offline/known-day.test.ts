import type { WashDay } from '@sabor/contract/wash-day';
import { describe, expect, it } from 'vitest';
import { newestOf } from './known-day.ts';

const day = (id: string, tapsHeard: number) => ({ id, tapsHeard }) as WashDay;

describe('what is known of a wash day', () => {
  it('is not taken back by an answer asked for earlier that knows fewer taps', () => {
    const asked = performance.now();
    const heard = newestOf(day('a', 5), performance.now());
    expect(newestOf(day('a', 3), asked - 1)).toBe(heard);
    const more = day('a', 6);
    expect(newestOf(more, asked - 1)).toBe(more);
  });

  it('gives way to an answer asked for later, even one with fewer: a backup was put back', () => {
    newestOf(day('b', 5), performance.now());
    const restored = day('b', 0);
    expect(newestOf(restored, performance.now() + 1)).toBe(restored);
  });

  it('is kept apart day by day', () => {
    newestOf(day('c', 9), performance.now());
    const other = day('d', 0);
    expect(newestOf(other, 0)).toBe(other);
  });
});
