import type { TrialRecord } from '../core/compare/trial-record.ts';
import type { WashDayRecord } from '../core/compare/wash-day-record.ts';
import { type Random, standardNormal } from '../core/random.ts';
import { armsOfCode, DESIGNS, type Design } from '../core/trial/designs.ts';
import type { World } from './worlds.ts';

const LEVEL = 5;
/** SD of a wash day (of half-heads: of a side) and of a zone on it. */
const DAY_SD = 1;
const SIDE_SD = 0.7;
const ZONE_SD = 0.8;
const price = { cost: { low: 1, usual: 1, high: 1 }, currency: 'EUR', gaps: [] };

/** A finished trial as a tester would have rated it, zone by zone, in a world. */
export function madeUpRatings(
  design: Design,
  arms: number,
  codes: readonly number[],
  truth: readonly number[],
  world: World,
  random: Random,
): TrialRecord {
  const { halves } = DESIGNS[design];
  const sides = halves ? (['left', 'right'] as const) : ([null] as const);
  const zones = sides.flatMap((side) =>
    Array.from({ length: Math.max(1, world.zones / sides.length) }, (_, z) => ({
      id: `${side ?? 'head'} ${z}`,
      side,
      offset: ((z % 3) - 1) * 0.5,
    })),
  );
  const fresh = Math.sqrt(1 - world.lag ** 2);
  let [luck, before] = [standardNormal(random), 0];
  const washDays: WashDayRecord[] = [];
  codes.forEach((code, position) => {
    luck = world.lag * luck + fresh * standardNormal(random);
    const along = codes.length < 2 ? 0 : position / (codes.length - 1);
    const day =
      luck * DAY_SD +
      world.weather * standardNormal(random) +
      world.drift * (along - 0.5) +
      world.season * Math.sin(2 * Math.PI * along) +
      world.carry * before;
    const { left, right } = armsOfCode(design, code);
    before = day;
    const lostTogether = random.unit();
    for (const side of sides) {
      const arm = side === 'right' ? right : left;
      const own =
        LEVEL +
        truth[arm]! +
        day +
        (side ? SIDE_SD * standardNormal(random) : 0) +
        (side === 'left' ? world.bias : 0);
      const chance = world.badMissing ? (day < 0 ? 2 * world.missing : 0) : world.missing;
      const lost = (side ? random.unit() : lostTogether) < chance;
      const ratings = zones
        .filter((zone) => zone.side === side)
        .map(({ id, offset }) => {
          const felt = own + offset + ZONE_SD * standardNormal(random);
          const value = Math.min(10, Math.max(0, Math.round(felt / world.step) * world.step));
          return { outcome: 'definition' as const, zoneId: id, value };
        });
      const checkIns = lost ? [] : [{ stage: 'wear' as const, day: 1, ratings, curls: [] }];
      washDays.push({
        position,
        arm,
        half: side,
        checkIns,
        worn: checkIns,
        felt: [],
        effort: {},
        upkeep: {},
        holdTooLow: [],
        spoiled: null,
        wearEnd: 'washed-schedule',
        wearEndDay: null,
        cost: price,
        minutes: { dry: null, handsOn: null },
        shed: null,
        testedCost: price,
      });
    }
  });
  return {
    promise: {
      design,
      arms: Array.from({ length: arms }, (_, arm) => `Option ${'ABCDEF'[arm]}`),
      plannedWashDays: codes.length,
      primary: 'definition',
      onDay: 1,
      wearDays: 1,
      line: 5,
      matters: 1,
      alpha: 0.05,
      weights: new Map(zones.map(({ id }) => [id, 1])),
      sides: new Map(zones.flatMap(({ id, side }) => (side ? [[id, side] as const] : []))),
      looks: world.looks,
    },
    allocation: codes,
    ended: 'as planned',
    washDays,
    changed: [],
    abandoned: [],
    leftOut: [],
    openedEarly: false,
  };
}
