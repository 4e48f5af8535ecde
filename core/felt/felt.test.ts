import { describe, expect, it } from 'vitest';
import { holdTest } from '../outcomes/hold-test.ts';
import { STAGES, type Stage } from '../outcomes/stages.ts';
import { SLOTS, type Slot } from '../step/slots.ts';
import {
  FELT,
  FELT_KEYS,
  feltAtStage,
  feltAtStep,
  USUALLY_ASKED,
  usuallyAsked,
  wordOfRating,
} from './felt.ts';

describe('readings in five words', () => {
  it.each(FELT_KEYS)('%s has five words of its own, a wanted one, and somewhere to be asked', (key) => {
    const { words, wanted, slots, stages } = FELT[key];
    expect(new Set(words).size).toBe(5);
    expect(words[wanted]).toBeDefined();
    expect(slots.length + stages.length).toBeGreaterThan(0);
  });

  it('are asked where they arise', () => {
    expect(feltAtStep('cleanse')).toEqual(
      expect.arrayContaining(['slip', 'lather', 'scent', 'liking', 'dispenser', 'clean', 'colour']),
    );
    expect(feltAtStep('dry')).toEqual([]);
    expect(feltAtStage('before')).toEqual([
      'grease',
      'moisture',
      'feel',
      'strength',
      'tangles',
      'frizzed',
      'build-up',
    ]);
    // White film is seen on wet hair, flakes on dry.
    expect(feltAtStage('wet')).toContain('white-film');
    expect(feltAtStage('wet')).not.toContain('flakes');
    expect(feltAtStage('wear')).toContain('flakes');
    expect(feltAtStage('wear')).not.toContain('white-film');
  });

  it('a trial asks for three at most, of what it tests, each of which some step or check-in asks', () => {
    expect(usuallyAsked(['hold'])).toEqual(['cast', 'crunch', 'flakes']);
    expect(usuallyAsked(['leave-in', 'hold'])).toEqual(['spread', 'cast', 'moisture']);
    expect(usuallyAsked([])).toEqual([]);
    for (const slot of Object.keys(SLOTS) as Slot[]) {
      const asked = usuallyAsked([slot]);
      expect(asked.length).toBeLessThanOrEqual(USUALLY_ASKED);
      for (const key of asked)
        expect(
          feltAtStep(slot).includes(key) ||
            (Object.keys(STAGES) as Stage[]).some((stage) => feltAtStage(stage).includes(key)),
        ).toBe(true);
    }
  });

  it('a rating is the nearest of five words', () => {
    expect([0, 1, 1.5, 5, 8.5, 9, 10].map(wordOfRating)).toEqual([0, 0, 1, 2, 3, 4, 4]);
  });
});

describe('the hold test', () => {
  const look = (frizz: number, definition: number) => ({
    ratings: [
      { outcome: 'frizz', zoneId: 'crown', value: frizz },
      { outcome: 'definition', zoneId: 'crown', value: definition },
    ],
  });

  it('finds hold too low where the cast is broken, or by evening, with both readings', () => {
    expect(holdTest({ cast: look(2, 8), finished: look(5, 8), evening: look(5.5, 5) })).toEqual([
      { zoneId: 'crown', outcome: 'frizz', when: 'cast broken', before: 2, after: 5 },
      { zoneId: 'crown', outcome: 'definition', when: 'by evening', before: 8, after: 5 },
    ]);
  });

  it('says nothing of what got better, hardly turned, or was not looked at twice', () => {
    expect(holdTest({ cast: look(5, 5), finished: look(2, 8) })).toEqual([]);
    expect(holdTest({ cast: look(2, 8), finished: look(3.5, 6.5) })).toEqual([]);
    expect(holdTest({ finished: look(9, 1) })).toEqual([]);
    expect(holdTest({ cast: look(2, 8), finished: { ratings: [] } })).toEqual([]);
  });
});
