import { describe, expect, it } from 'vitest';
import type { Slot } from '../step/slots.ts';
import { photoMoment } from './photo-moment.ts';

const moments = (...slots: Slot[]) =>
  [...slots, null].map((_, place) =>
    photoMoment(
      slots.map((slot) => ({ slot })),
      place,
    ),
  );

describe('what is worth a photograph, and when', () => {
  it('is the wet hair before it dries and the cast before it is broken, once each', () => {
    expect(moments('cleanse', 'condition', 'leave-in', 'hold', 'dry', 'break-cast', 'separate')).toEqual([
      null,
      null,
      null,
      null,
      'wet',
      'cast',
      null,
      null,
    ]);
  });
  it('is not the drying before a mask', () => {
    expect(moments('cleanse', 'half-dry', 'treat', 'rinse', 'hold', 'wet-check', 'dry')).toEqual([
      null,
      null,
      null,
      null,
      null,
      'wet',
      null,
      'cast',
    ]);
  });
  it('is at the end of a routine that does not dry, and never on hair that nobody wet', () => {
    expect(moments('cleanse', 'hold')).toEqual([null, null, 'wet']);
    expect(moments('refresh')).toEqual([null, null]);
    expect(moments()).toEqual([null]);
  });
  it('comes once on two halves that are styled one after the other', () => {
    expect(moments('cleanse', 'hold', 'hold', 'dry', 'dry', 'break-cast', 'break-cast')).toEqual([
      null,
      null,
      null,
      'wet',
      null,
      'cast',
      null,
      null,
    ]);
  });
});
