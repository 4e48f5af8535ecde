import { describe, expect, it } from 'vitest';
import { PRODUCTS } from '../../../demo/shelf.ts';
import { DAMAGE, DENSITIES, NO_TRAITS, PATTERNS, POROSITIES, STRANDS } from '../../hair/traits.ts';
import { seededRandom, shuffled } from '../../random.ts';
import { ROLES, type Role } from '../../shelf/products.ts';
import { INGREDIENTS } from '../dictionary.ts';
import type { Ingredient } from '../facts.ts';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import type { Reason } from './reason.ts';
import { RULES } from './rules/all.ts';
import { type ScreenFor, screenFormula, staysOn } from './screen.ts';

/* All rules over the whole demo shelf and 500 made lists, on many heads and in many airs: no two may say what cannot both
   be true, and none may deny what stands on the list. */

/** What a rule says is not there, so that it must not be. */
const DENIES: Record<string, (one: Ingredient) => boolean> = {
  'no-film-humid': (one) => one.film !== undefined || one.hold !== undefined,
  'humectant-bare': (one) => (one.film ?? 0) >= 2,
  'treatment-empty': (one) => one.protein !== undefined || one.marks.has('bond'),
  'no-protein-called': (one) => one.protein !== undefined,
  'no-cationic': (one) => one.cationic !== undefined,
  'hold-lacking': (one) => one.hold !== undefined,
  'preservative-none': (one) => one.marks.has('pres'),
  'child-mild': (one) =>
    (one.cleans?.strength ?? 0) >= 3 || one.marks.has('mit') || one.marks.has('releaser'),
  'colour-mild': (one) => (one.cleans?.strength ?? 0) >= 3,
};

/** Rules that cannot both be right of one product, head and air. */
const APART: readonly (readonly [string, string])[] = [
  ['humectant-low-side', 'humectant-bare'],
  ['humectant-kind', 'humectant-humid'],
  ['humectant-kind', 'humectant-dry-air'],
  ['no-film-humid', 'film-humid'],
  ['no-film-humid', 'film-soft-humid'],
  ['film-humid', 'film-soft-humid'],
  ['hold-lacking', 'hold-wanted'],
  ['hold-lacking', 'hold-coils'],
  ['hold-lacking', 'hold-waves'],
  ['treatment-empty', 'damage-bond'],
  ['treatment-empty', 'bond-plain'],
  ['treatment-empty', 'protein-called'],
  ['no-protein-called', 'protein-called'],
  ['protein-called', 'protein-moisture'],
  ['protein-porous', 'protein-moisture'],
  ['protein-fine', 'protein-moisture'],
  ['child-mild', 'child-strong'],
  ['child-mild', 'isothiazolinone-child'],
  ['child-mild', 'releaser-child'],
  ['colour-mild', 'colour-sulfate'],
  ['short-alcohol-dry', 'short-alcohol-little'],
  ['damage-bond', 'bond-plain'],
];

const random = seededRandom(500);
const one = <T>(from: readonly T[]): T => from[random.below(from.length)]!;
const some = <T>(from: readonly T[], most: number): T[] =>
  shuffled(from, random).slice(0, random.below(most + 1));

function anyone(role: Role): ScreenFor {
  return {
    roles: [role],
    parts: [
      {
        where: null,
        traits: {
          ...NO_TRAITS,
          porosity: one(Object.keys(POROSITIES) as (keyof typeof POROSITIES)[]),
          strand: one(Object.keys(STRANDS) as (keyof typeof STRANDS)[]),
          density: one(Object.keys(DENSITIES) as (keyof typeof DENSITIES)[]),
          pattern: one(Object.keys(PATTERNS) as (keyof typeof PATTERNS)[]),
          damage: one(Object.keys(DAMAGE) as (keyof typeof DAMAGE)[]),
        },
      },
    ],
    history: some(['colour', 'lifted', 'heat'] as const, 2),
    stretch: one(['protein', 'balanced', 'moisture', null] as const),
    child: random.below(3) === 0,
    hardWater: random.below(2) === 0,
    scalp: some(['sensitive', 'flakes', 'oily'] as const, 2),
    wantsHold: random.below(2) === 0,
    dislikes: [],
    avoided: [],
    dewPointC: one([null, -5, 1, 5, 8, 12, 17, 22]),
    school: null,
    market: one(['eu', 'us'] as const),
    weights: {},
  };
}

/** A made list: water or an oil first, then up to twenty names, some of them doing the same. */
function madeList(): string {
  const names = shuffled(INGREDIENTS, random)
    .slice(0, 3 + random.below(18))
    .map(({ name }) => name);
  return [one(['Aqua', 'Aqua', 'Aqua', 'Cocos Nucifera Oil']), ...names].join(', ');
}

const lists = [
  ...PRODUCTS.map(({ ingredients, roles }) => ({ ingredients, role: roles[0]! })),
  ...Array.from({ length: 500 }, () => ({
    ingredients: madeList(),
    role: one(Object.keys(ROLES) as Role[]),
  })),
];

describe('all rules over the whole shelf and 500 made lists', () => {
  const told = new Set<string>();
  const all = lists.flatMap(({ ingredients, role }) =>
    Array.from({ length: 4 }, () => {
      const whom = anyone(role);
      const formula = readFormula(parseLabel(ingredients).items, {
        leaveOn: staysOn([role]),
        market: whom.market,
      });
      const { reasons, verdict } = screenFormula(formula, whom, RULES);
      for (const { ruleId } of reasons) told.add(ruleId);
      return { ingredients, formula, reasons, verdict };
    }),
  );

  it('let most rules speak at least once', () => {
    expect(told.size).toBeGreaterThan(60);
  });

  it('never deny what stands on the list', () => {
    for (const { ingredients, formula, reasons } of all)
      for (const { ruleId } of reasons) {
        const denied = DENIES[ruleId];
        if (!denied) continue;
        const there = formula.items.filter(({ ingredient }) => ingredient && denied(ingredient));
        expect(
          there.map(({ name }) => name),
          `${ruleId}: ${ingredients}`,
        ).toEqual([]);
      }
  });

  it('never say two things that cannot both be true', () => {
    const both = all.flatMap(({ ingredients, reasons }) => {
      const ids = new Set(reasons.map(({ ruleId }) => ruleId));
      return APART.filter(([a, b]) => ids.has(a) && ids.has(b)).map((pair) => [...pair, ingredients]);
    });
    expect(both).toEqual([]);
  });

  it('never praise and blame one ingredient for the same thing', () => {
    const topic = ({ ruleId }: Reason) => ruleId.split('-')[0]!;
    const traits = ({ ruleId }: Reason) => {
      const when = RULES.find(({ id }) => id === ruleId)?.when ?? {};
      return (['porosity', 'strand', 'density', 'pattern', 'damage'] as const).filter((trait) => when[trait]);
    };
    // Good for fine strands and bad for low porosity is a trade-off, and both are said with their trait.
    const speaksOfOther = (a: Reason, b: Reason) =>
      traits(a).length > 0 && traits(b).length > 0 && !traits(a).some((trait) => traits(b).includes(trait));
    for (const { ingredients, reasons } of all)
      for (const good of reasons.filter(({ effect }) => effect === 'for'))
        for (const bad of reasons.filter(({ effect }) => effect === 'against' || effect === 'forbids')) {
          if (topic(good) !== topic(bad) || speaksOfOther(good, bad)) continue;
          const both = good.items.filter((item) => bad.items.includes(item)).map(({ name }) => name);
          expect(both, `${good.ruleId} and ${bad.ruleId}: ${ingredients}`).toEqual([]);
        }
  });

  it('have no wording that says its noun twice', () => {
    // Said of many lists, a sentence is read once.
    const told = new Set(all.flatMap(({ reasons }) => reasons.map(({ says }) => says)));
    expect(told.size).toBeGreaterThan(60);
    for (const says of told) {
      expect(says).not.toMatch(/\b(\w{4,} \w{4,})\b.*\band \1\b/i);
      expect(says).not.toMatch(/\b(against flakes).*\1/i);
      expect(says).not.toMatch(/\bgo in go\b/i);
      expect(says).toMatch(/[.]$/);
    }
  });
});
