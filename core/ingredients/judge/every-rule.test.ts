import { describe, expect, it } from 'vitest';
import { NO_TRAITS, type Traits } from '../../hair/traits.ts';
import { ROLES, type Role } from '../../shelf/products.ts';
import { INGREDIENTS } from '../dictionary.ts';
import type { Ingredient } from '../facts.ts';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import { type Condition, lackedIn, type Rule } from './rule.ts';
import { RULES } from './rules/all.ts';
import { type ScreenFor, screenFormula, staysOn } from './screen.ts';
import { picks, type Selector } from './select.ts';

/* Every rule is made to speak from its own condition, and silenced again by breaking each part of that condition: a
   rule that can never speak, or cannot be silenced, is a defect. */

const lackedBy = (when: Condition, one: Ingredient) => lackedIn(when).some((by) => picks(one, by));

/** An ingredient that a selector picks, and that no other part of the condition forbids. */
function example(when: Condition, by: Selector, not: readonly Ingredient[] = []): Ingredient {
  const found = INGREDIENTS.find(
    (one) => picks(one, by) && !lackedBy(when, one) && !not.includes(one) && one.group !== 'water',
  );
  return found ?? INGREDIENTS.find((one) => picks(one, by) && !lackedBy(when, one))!;
}

const PLAIN = ['Niacinamide', 'Allantoin', 'Biotin'];

/** The share at which a condition's ingredient is stated, in %: within what it asks for. */
const usualShare = (when: Condition) =>
  when.under !== undefined ? Math.min(0.5, when.under / 2) : Math.max((when.atLeast ?? 1) * 1.3, 1.2);

/** A list that meets the condition: what it asks for at a stated share, beside `and` unless that is left out. */
function listFor(when: Condition, share = usualShare(when), withAnd = true): string {
  const has = when.has ? example(when, when.has) : null;
  const and = withAnd && when.and ? example(when, when.and, has ? [has] : []) : null;
  // An ingredient that would also serve as the second kind is not one to leave that out with.
  const alone = !withAnd && when.and && has && picks(has, when.and) ? exampleNot(when) : has;
  if (alone?.group === 'water')
    return `Aqua ${Math.min(95, Math.round(share))}%, ${[and?.name, ...PLAIN].filter(Boolean).join(', ')}`;
  const stated = alone ? `${alone.name} ${share.toFixed(2)}%` : null;
  const base = share >= 50 ? [] : ['Niacinamide'];
  return [...base, stated, and ? `${and.name} ${Math.min(share, 3).toFixed(1)}%` : null, ...PLAIN.slice(1)]
    .filter(Boolean)
    .join(', ');
}

/** What a condition asks for first, and that is none of its second kind. */
const exampleNot = (when: Condition): Ingredient | null =>
  INGREDIENTS.find((one) => picks(one, when.has!) && !picks(one, when.and!) && !lackedBy(when, one)) ?? null;

function rolesFor(when: Condition): Role[] {
  const all = Object.keys(ROLES) as Role[];
  const fits = (role: Role) =>
    (when.roles === undefined || when.roles.includes(role)) &&
    !when.notRoles?.includes(role) &&
    (when.leaveOn === undefined || staysOn([role]) === when.leaveOn);
  return [all.find(fits)!];
}

function whomFor(when: Condition): ScreenFor {
  const traits: Traits = {
    ...NO_TRAITS,
    ...(when.porosity ? { porosity: when.porosity[0]! } : {}),
    ...(when.strand ? { strand: when.strand[0]! } : {}),
    ...(when.density ? { density: when.density[0]! } : {}),
    ...(when.pattern ? { pattern: when.pattern[0]! } : {}),
    ...(when.damage ? { damage: when.damage[0]! } : {}),
  };
  return {
    roles: rolesFor(when),
    parts: [{ where: null, traits }],
    history: when.history ? [when.history[0]!] : [],
    stretch: when.stretch?.[0] ?? null,
    child: when.child ?? false,
    hardWater: when.hardWater ?? false,
    scalp: when.scalp ? [when.scalp[0]!] : [],
    wantsHold: when.wantsHold ?? false,
    dislikes: when.dislikes ?? [],
    avoided: [],
    dewPointC: when.dewFrom ?? (when.dewUnder !== undefined ? when.dewUnder - 1 : null),
    school: null,
    market: when.market ?? 'eu',
    weights: {},
  };
}

const speaks = (rule: Rule, list: string, whom: ScreenFor): boolean =>
  screenFormula(
    readFormula(parseLabel(list).items, { leaveOn: staysOn(whom.roles), market: 'us' }),
    { ...whom, school: rule.schools?.[0] ?? null },
    [rule],
  ).reasons.some(({ ruleId }) => ruleId === rule.id);

describe.each(RULES.map((rule) => [rule.id, rule] as const))('rule %s', (_, rule) => {
  const { when } = rule;
  const list = listFor(when);
  const whom = whomFor(when);

  it('speaks when its condition holds', () => {
    expect(speaks(rule, list, whom), list).toBe(true);
  });

  it('is silent when any part of it does not', () => {
    const broken: [string, string, ScreenFor][] = [];
    if (when.has) broken.push(['has', PLAIN.join(', '), whom]);
    for (const by of lackedIn(when))
      broken.push([
        `lacks ${JSON.stringify(by)}`,
        `${list}, ${INGREDIENTS.find((one) => picks(one, by))!.name}`,
        whom,
      ]);
    if (when.atLeast !== undefined) broken.push(['atLeast', listFor(when, when.atLeast * 0.8), whom]);
    if (when.under !== undefined) broken.push(['under', listFor(when, when.under * 1.2), whom]);
    if (when.and) broken.push(['and', listFor(when, undefined, false), whom]);
    if (when.roles) {
      const other = (Object.keys(ROLES) as Role[]).find(
        (role) =>
          !when.roles!.includes(role) && (when.leaveOn === undefined || staysOn([role]) === when.leaveOn),
      );
      if (other) broken.push(['roles', list, { ...whom, roles: [other] }]);
    }
    if (when.notRoles) broken.push(['notRoles', list, { ...whom, roles: [when.notRoles[0]!] }]);
    if (when.leaveOn !== undefined)
      broken.push(['leaveOn', list, { ...whom, roles: [when.leaveOn ? 'mask' : 'cream'] }]);
    for (const trait of ['porosity', 'strand', 'density', 'pattern', 'damage'] as const)
      if (when[trait])
        broken.push([
          trait,
          list,
          { ...whom, parts: [{ where: null, traits: { ...whom.parts[0]!.traits, [trait]: null } }] },
        ]);
    if (when.dewFrom !== undefined)
      broken.push(['dewFrom', list, { ...whom, dewPointC: when.dewFrom - 0.1 }]);
    if (when.dewUnder !== undefined) broken.push(['dewUnder', list, { ...whom, dewPointC: when.dewUnder }]);
    if (when.dewFrom !== undefined || when.dewUnder !== undefined)
      broken.push(['weather', list, { ...whom, dewPointC: null }]);
    if (when.history) broken.push(['history', list, { ...whom, history: [] }]);
    if (when.stretch) broken.push(['stretch', list, { ...whom, stretch: null }]);
    if (when.notStretch) broken.push(['notStretch', list, { ...whom, stretch: when.notStretch[0]! }]);
    if (when.scalp) broken.push(['scalp', list, { ...whom, scalp: [] }]);
    if (when.dislikes) broken.push(['dislikes', list, { ...whom, dislikes: [] }]);
    if (when.child !== undefined) broken.push(['child', list, { ...whom, child: !when.child }]);
    if (when.hardWater !== undefined)
      broken.push(['hardWater', list, { ...whom, hardWater: !when.hardWater }]);
    if (when.wantsHold !== undefined)
      broken.push(['wantsHold', list, { ...whom, wantsHold: !when.wantsHold }]);
    if (when.market) broken.push(['market', list, { ...whom, market: when.market === 'eu' ? 'us' : 'eu' }]);
    for (const [part, otherList, other] of broken) expect(speaks(rule, otherList, other), part).toBe(false);
  });
});
