import { describe, expect, it } from 'vitest';
import { curlIndex, shrinkage } from './shrinkage.ts';
import { resolveTraits } from './traits.ts';
import { STANDARD_ZONES, zoneLabel, zoneWithin } from './zones.ts';

describe('shrinkage', () => {
  it('by hand: a curl of 300 mm that rests at 180 mm shrinks by 40 %', () => {
    expect(shrinkage(300, 180)).toBeCloseTo(0.4, 12);
    expect(curlIndex(300, 180)).toBeCloseTo(5 / 3, 12);
  });

  it('is none for straight hair, and the same in any unit', () => {
    expect(shrinkage(250, 250)).toBe(0);
    expect(shrinkage(300 / 25.4, 180 / 25.4)).toBeCloseTo(shrinkage(300, 180), 12);
  });

  it('refuses a curl that rests longer than it stretches, and lengths that are none', () => {
    expect(() => shrinkage(180, 300)).toThrow('A curl cannot rest longer than it stretches.');
    for (const [stretched, resting] of [
      [0, 0],
      [300, 0],
      [300, -1],
      [Number.NaN, 100],
    ] as const)
      expect(() => shrinkage(stretched, resting)).toThrow(RangeError);
  });
});

describe('zones', () => {
  it('come as eight places, left and right of each', () => {
    expect(STANDARD_ZONES).toHaveLength(16);
    expect(new Set(STANDARD_ZONES.map(zoneLabel)).size).toBe(16);
  });

  it('are named in words', () => {
    expect(zoneLabel({ place: 'crown', side: 'left', ownName: null })).toBe('Crown, left');
    expect(zoneLabel({ place: 'own', side: 'both', ownName: 'Undercut' })).toBe('Undercut');
    expect(zoneWithin({ place: 'crown', side: 'left', ownName: null })).toBe('crown, left');
    expect(zoneWithin({ place: 'own', side: 'left', ownName: 'McKay’s curl' })).toBe('McKay’s curl, left');
  });

  it('take from the whole head what they do not set', () => {
    const head = { porosity: 'low', density: 'high', strand: null, pattern: '3B', damage: null } as const;
    const zone = { porosity: 'high', density: null, strand: null, pattern: null, damage: null } as const;
    expect(resolveTraits(zone, head)).toEqual({
      porosity: 'high',
      density: 'high',
      strand: null,
      pattern: '3B',
      damage: null,
      own: ['porosity'],
    });
  });
});
