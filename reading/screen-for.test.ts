import type { HairFile } from '@sabor/contract/hair-file';
import type { Wearer } from '@sabor/contract/wearer';
import { NO_TRAITS } from '@sabor/core/hair/traits';
import { describe, expect, it } from 'vitest';
import { screenFor } from './screen-for.ts';

const zone = (id: string, place: 'crown' | 'hairline' | 'ends', to: object = {}) => ({
  id,
  place,
  side: 'left' as const,
  ownName: null,
  ...NO_TRAITS,
  note: '',
  ...to,
});
const wearer = (to: Partial<Wearer> = {}): Wearer => ({
  id: 'w',
  name: 'Una',
  timeZone: 'UTC',
  underAge: false,
  guardian: null,
  consentOn: null,
  lengthMm: 300,
  cut: null,
  parting: null,
  bornYear: null,
  styledBy: '',
  hardWater: true,
  scalp: ['oily'],
  ...NO_TRAITS,
  porosity: 'low',
  strand: 'medium',
  note: '',
  zones: [
    zone('1', 'crown'),
    zone('2', 'hairline', { porosity: 'high' }),
    zone('3', 'ends', { porosity: 'high' }),
  ],
  curls: [],
  archivedAt: null,
  version: 1,
  ...to,
});
const file = (to: Partial<HairFile> = {}): HairFile => ({
  tests: [],
  events: [],
  measures: [],
  problems: [],
  patchTests: [],
  washedOn: [],
  washCare: [],
  cadence: {},
  alternate: [],
  drying: [],
  wishes: {
    weights: [],
    words: {},
    line: null,
    styleDays: null,
    budget: null,
    currency: null,
    school: 'lather',
    dislikes: ['tack'],
    ownDislikes: [],
    avoided: [],
    version: 0,
  },
  ruleWeights: { 'heavy-fine': 0 },
  ahead: [],
  ...to,
});
const asked = { dewPointC: 7, market: 'eu' as const };
const event = (kind: 'colour' | 'bleach', on: string, zoneIds: string[] = []) => ({
  id: on,
  wearerId: 'w',
  kind,
  on,
  zoneIds,
  note: '',
});

describe('whom a product is screened for', () => {
  it('is the whole head, then zones that differ, gathered', () => {
    const { parts } = screenFor(wearer(), file(), asked);
    expect(parts.map(({ where }) => where)).toEqual([null, 'front hairline, left; ends, left']);
    expect(parts[1]!.traits).toMatchObject({ porosity: 'high', strand: 'medium' });
  });

  it('is of one porosity all over when the slider says so', () => {
    const { parts } = screenFor(wearer(), file(), { ...asked, porosity: 'medium' });
    expect(parts).toHaveLength(1);
    expect(parts[0]!.traits.porosity).toBe('medium');
  });

  it('knows what the hair has been through, on any zone, but not what is only booked', () => {
    const events = [
      event('colour', '2026-01-01'),
      event('bleach', '2026-02-01', ['2']),
      event('bleach', '2026-12-01'),
    ];
    expect(screenFor(wearer(), file({ events }), asked, '2026-06-01').history.toSorted()).toEqual([
      'colour',
      'lifted',
    ]);
    expect(screenFor(wearer(), file(), asked).history).toEqual([]);
  });

  it('takes the newest stretch test’s call', () => {
    const measures = [
      {
        id: 'm',
        wearerId: 'w',
        zoneId: null,
        on: '2026-01-01',
        note: '',
        result: { kind: 'stretch' as const, wetMm: 100, stretchedMm: 140, releasedMm: 120 },
      },
    ];
    expect(screenFor(wearer(), file({ measures }), asked).stretch).toBe('protein');
    expect(screenFor(wearer(), file(), asked).stretch).toBeNull();
  });

  it('wants hold when the wishes weigh it', () => {
    const wishes = (hold: number) => ({
      ...file().wishes,
      weights: [
        { wish: 'hold' as const, weight: hold },
        { wish: 'shine' as const, weight: 3 },
      ],
    });
    expect(screenFor(wearer(), file({ wishes: wishes(1) }), asked).wantsHold).toBe(true);
    expect(screenFor(wearer(), file({ wishes: wishes(0.5) }), asked).wantsHold).toBe(false);
  });

  it('follows the wearer’s approach unless another is asked for, or none', () => {
    expect(screenFor(wearer(), file(), asked).school).toBe('lather');
    expect(screenFor(wearer(), file(), { ...asked, school: 'free' }).school).toBe('free');
    expect(screenFor(wearer(), file(), { ...asked, school: null }).school).toBeNull();
  });

  it('brings child, scalp, water, dislikes and the tester’s own weights along', () => {
    expect(screenFor(wearer({ underAge: true }), file(), asked)).toMatchObject({
      child: true,
      scalp: ['oily'],
      hardWater: true,
      dislikes: ['tack'],
      weights: { 'heavy-fine': 0 },
      dewPointC: 7,
    });
  });
});
