import { describe, expect, it } from 'vitest';
import { departures } from '../step/departures.ts';
import { extraProblem } from '../step/extra.ts';
import { type ExtraKey, settingsFor } from '../step/settings.ts';
import type { Slot } from '../step/slots.ts';
import { STARTERS } from './starters.ts';

describe('the starters', () => {
  it('go by names of their own and name no product', () => {
    expect(new Set(STARTERS.map(({ name }) => name)).size).toBe(STARTERS.length);
    for (const { steps } of STARTERS) for (const { productId } of steps) expect(productId).toBeNull();
  });

  it.each(STARTERS.map((starter) => [starter.name, starter] as const))(
    '%s sets only what its slots can have, cleanses, holds and protects',
    (_, { steps }) => {
      for (const { slot, extra } of steps)
        for (const [key, value] of Object.entries(extra)) {
          expect(settingsFor(slot), `${slot} ${key}`).toContain(key);
          expect(extraProblem(key as ExtraKey, value), `${slot} ${key}`).toBeNull();
        }
      const slots = steps.map(({ slot }) => slot);
      for (const slot of ['cleanse', 'hold', 'protect'] as Slot[]) expect(slots).toContain(slot);
    },
  );

  it('run as planned without a departure', () => {
    for (const { steps } of STARTERS)
      for (const step of steps)
        expect(
          departures({ ...step, status: 'done', planned: step }).filter((d) => d.verdict === 'departed'),
        ).toEqual([]);
  });
});
