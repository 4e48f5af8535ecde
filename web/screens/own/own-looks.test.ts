import type { WaitingLook } from '@sabor/contract/looks';
import { describe, expect, it } from 'vitest';
import { saidSoFar } from './own-looks.ts';

const look: WaitingLook = {
  washDayId: 'd',
  wearerId: 'w',
  washedOn: '2026-11-29',
  stage: 'wear',
  day: 1,
  main: 'definition',
  counting: ['a', 'b'],
  said: null,
};
const waiting = (to: object, refused: string | null = null) => ({
  id: 'x',
  refused,
  kept: true,
  look: {
    id: 'c',
    washDayId: 'd',
    stage: 'wear',
    day: 1,
    part: 'first',
    at: 'now',
    ratings: [],
    ...to,
  } as never,
});
const rated = (zoneId: string, value: number | null) => ({
  ratings: [{ outcome: 'definition', zoneId, value }],
});

describe('what was said of a look', () => {
  it('is nothing until something is, then what the server knows', () => {
    expect(saidSoFar(look, [])).toEqual({ id: null, at: null, note: '', ratings: [] });
    const said = { id: 's', at: 'then', note: 'dim', ratings: rated('a', 6).ratings as never };
    expect(saidSoFar({ ...look, said }, [])).toEqual(said);
  });

  it('takes what waits here over it, the later over the earlier; a rating without a value is gone', () => {
    const said = { id: 's', at: 'then', note: 'dim', ratings: rated('a', 6).ratings as never };
    const all = [
      waiting(rated('a', 7)),
      waiting(rated('b', 4)),
      waiting({ note: 'bright' }),
      waiting(rated('b', null)),
    ];
    expect(saidSoFar({ ...look, said }, all)).toEqual({
      id: 's',
      at: 'then',
      note: 'bright',
      ratings: [{ outcome: 'definition', zoneId: 'a', value: 7 }],
    });
    expect(saidSoFar(look, all.slice(0, 1))).toMatchObject({ id: 'c', at: 'now' });
  });

  it('leaves out what the server refused, and what is of another look', () => {
    expect(
      saidSoFar(look, [waiting(rated('a', 7), 'Somebody else has rated this look already.')]).ratings,
    ).toEqual([]);
    expect(saidSoFar(look, [waiting({ ...rated('a', 7), day: 2 })]).ratings).toEqual([]);
  });
});
