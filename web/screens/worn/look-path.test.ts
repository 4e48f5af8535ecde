import { describe, expect, it } from 'vitest';
import { readStage, stagePath } from './look-path.ts';

describe('the look an address names', () => {
  it.each([
    ['before', { stage: 'before', day: null, part: 'first' }],
    ['wet', { stage: 'wet', day: null, part: 'first' }],
    ['cast', { stage: 'cast', day: null, part: 'first' }],
    ['day-1', { stage: 'wear', day: 1, part: 'first' }],
    ['day-14', { stage: 'wear', day: 14, part: 'first' }],
    ['day-2-evening', { stage: 'wear', day: 2, part: 'evening' }],
    ['day-3-after-refresh', { stage: 'wear', day: 3, part: 'after-refresh' }],
    ['day-2-noon', null],
    ['wear', null],
    ['day-', null],
    ['day-100', null],
    ['dry', null],
    ['', null],
  ])('%j', (text, look) => {
    expect(readStage(text)).toEqual(look);
    if (look) expect(stagePath(readStage(text)!)).toBe(text);
  });
});
