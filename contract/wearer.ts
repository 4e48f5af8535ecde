import { DAMAGE, DENSITIES, PATTERNS, POROSITIES, STRANDS } from '@sabor/core/hair/traits';
import { CUTS, PARTINGS, SCALPS } from '@sabor/core/hair/wishes';
import { PLACES, SIDES } from '@sabor/core/hair/zones';
import * as v from 'valibot';
import {
  asStored,
  eachOnce,
  id,
  kept,
  name,
  note,
  oneOf,
  pastDate,
  positive,
  timeZone,
  whole,
} from './fields.ts';

const traits = {
  porosity: v.nullable(oneOf(POROSITIES, 'a porosity')),
  density: v.nullable(oneOf(DENSITIES, 'a density')),
  strand: v.nullable(oneOf(STRANDS, 'a strand thickness')),
  pattern: v.nullable(oneOf(PATTERNS, 'a pattern')),
  damage: v.nullable(oneOf(DAMAGE, 'the damage')),
};

export const ZoneInput = v.pipe(
  v.object({
    id,
    place: oneOf(PLACES, 'a place'),
    side: oneOf(SIDES, 'a side'),
    ownName: v.nullable(name('Your own zone')),
    ...traits,
    note: v.optional(note, ''),
  }),
  v.forward(
    v.partialCheck(
      [['place'], ['ownName']],
      ({ place, ownName }) => (place === 'own') === (ownName !== null),
      'Only your own zones carry a name of their own.',
    ),
    ['ownName'],
  ),
);
export type ZoneInput = v.InferInput<typeof ZoneInput>;

export const CurlInput = v.pipe(
  v.object({
    id,
    zoneId: id,
    name: name('A tagged curl'),
    stretchedMm: positive('The stretched length', 2000),
    restingMm: positive('The resting length', 2000),
  }),
  v.forward(
    v.partialCheck(
      [['stretchedMm'], ['restingMm']],
      ({ stretchedMm, restingMm }) => restingMm <= stretchedMm,
      'A curl cannot rest longer than it stretches. Check both lengths.',
    ),
    ['restingMm'],
  ),
);
export type CurlInput = v.InferInput<typeof CurlInput>;

export const WearerInput = v.pipe(
  v.object({
    id,
    name: name('A wearer'),
    timeZone,
    underAge: v.boolean(),
    guardian: v.nullable(name('The guardian')),
    consentOn: v.nullable(pastDate),
    lengthMm: v.nullable(positive('The length', 2000)),
    cut: v.nullable(oneOf(CUTS, 'a cut')),
    parting: v.nullable(oneOf(PARTINGS, 'a parting')),
    /** How old a child is follows from it. */
    bornYear: v.optional(v.nullable(whole('The year of birth', 1900, 2100)), null),
    /** Who styles, where it is not the wearer. */
    styledBy: v.optional(
      v.pipe(v.string(), v.trim(), v.maxLength(80, 'Keep the name under 80 characters.')),
      '',
    ),
    hardWater: v.optional(v.boolean(), false),
    scalp: v.optional(v.array(oneOf(SCALPS, 'what the scalp is like')), []),
    ...traits,
    note: v.optional(note, ''),
    zones: v.pipe(
      v.array(ZoneInput),
      v.minLength(1, 'A head needs at least one zone.'),
      v.maxLength(60, 'Sixty zones are plenty.'),
      eachOnce(({ id }) => id, 'Each zone stands once.'),
    ),
    curls: v.pipe(
      v.array(CurlInput),
      v.maxLength(6, 'Six tagged curls are plenty. Remove one first.'),
      eachOnce(({ id }) => id, 'Each curl stands once.'),
    ),
  }),
  v.forward(
    v.partialCheck(
      [['underAge'], ['guardian']],
      ({ underAge, guardian }) => !underAge || guardian !== null,
      'A wearer under age needs a guardian who consents.',
    ),
    ['guardian'],
  ),
  v.forward(
    v.partialCheck(
      [['underAge'], ['consentOn']],
      ({ underAge, consentOn }) => !underAge || consentOn !== null,
      'Give the date on which the guardian consented.',
    ),
    ['consentOn'],
  ),
  v.forward(
    v.partialCheck(
      [['bornYear']],
      ({ bornYear }) => bornYear === null || bornYear <= new Date().getFullYear(),
      'This year is still to come. Check the year.',
    ),
    ['bornYear'],
  ),
  v.check((wearer) => {
    const zones = new Set(wearer.zones.map((zone) => zone.id));
    return wearer.curls.every((curl) => zones.has(curl.zoneId));
  }, 'A tagged curl sits on a zone that this head does not have.'),
);
export type WearerInput = v.InferInput<typeof WearerInput>;

export type Zone = v.InferOutput<typeof ZoneInput>;
export type Curl = v.InferOutput<typeof CurlInput>;
export const Wearer = v.strictObject({ ...asStored(WearerInput.entries), ...kept });
export type Wearer = v.InferOutput<typeof Wearer>;
