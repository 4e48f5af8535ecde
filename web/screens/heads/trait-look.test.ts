import type { Zone } from '@sabor/contract/wearer';
import { describe, expect, it } from 'vitest';
import { traitLook } from './trait-look.ts';

const zone = (id: string, to: Partial<Zone> = {}): Zone => ({
  id,
  place: 'crown',
  side: 'left',
  ownName: null,
  porosity: null,
  density: null,
  strand: null,
  pattern: null,
  damage: null,
  note: '',
  ...to,
});
const head = {
  porosity: 'low' as const,
  density: null,
  strand: 'medium' as const,
  pattern: null,
  damage: null,
  zones: [zone('plain'), zone('own', { porosity: 'high', strand: 'medium' })],
};

describe('how a trait shows on the head map', () => {
  it('tells the head’s value from the zone’s own', () => {
    const look = traitLook(head, 'porosity');
    expect(look(head.zones[0]!)).toMatchObject({ text: 'low', says: 'low, from the whole head' });
    expect(look(head.zones[1]!)).toMatchObject({ text: 'high', says: 'high, its own' });
    expect(look(head.zones[0]!).fill).not.toBe(look(head.zones[1]!).fill);
  });

  it('says so when nothing is noted, and which zone is chosen', () => {
    expect(traitLook(head, 'density')(head.zones[0]!)).toMatchObject({ text: '', says: 'not noted' });
    expect(traitLook(head, 'porosity', 'own')(head.zones[1]!)).toMatchObject({
      chosen: true,
      says: 'high, its own, chosen',
    });
  });

  it('shortens what would not fit, and still says it in full', () => {
    expect(traitLook(head, 'strand')(head.zones[1]!)).toMatchObject({
      text: 'mid',
      says: 'mid (medium), its own',
    });
  });

  it('shows nothing for a zone it does not know', () => {
    expect(traitLook(head, 'porosity')(zone('stranger'))).toEqual({});
  });
});
