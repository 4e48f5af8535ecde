import type { WashDay } from '@sabor/contract/wash-day';
import { describe, expect, it } from 'vitest';
import { usualMoment } from './look.ts';

const day = (to: object = {}) => ({ id: 'd', revealAt: null, checkIns: [], ...to }) as unknown as WashDay;

describe('the usual moment of a look', () => {
  const near = (moment: string, to: number) => Math.abs(Date.parse(moment) - to) < 2000;

  it('is now for today’s, and for wet and cast', () => {
    const revealAt = new Date().toISOString();
    expect(near(usualMoment(day({ revealAt }), 'wear', 1, 'UTC'), Date.now())).toBe(true);
    expect(near(usualMoment(day(), 'wet', null, 'UTC'), Date.now())).toBe(true);
  });

  it('is the reveal’s hour on an earlier day', () => {
    const reveal = Date.now() - 5 * 86_400_000;
    const moment = usualMoment(day({ revealAt: new Date(reveal).toISOString() }), 'wear', 3, 'UTC');
    expect(near(moment, reveal + 2 * 86_400_000)).toBe(true);
  });
});
