import { describe, expect, it } from 'vitest';
import { NO_TRAITS } from '../../hair/traits.ts';
import { SCHOOLS, type School } from '../../hair/wishes.ts';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import type { Condition, Rule } from './rule.ts';
import { type ScreenFor, STAYS_ON, screenFormula, staysOn } from './screen.ts';

/** The engine alone, with rules made up for each test. A share is stated with four decimals, so that it is what it says. */
const WHOM: ScreenFor = {
  ...{
    roles: ['gel'],
    parts: [{ where: null, traits: NO_TRAITS }],
    history: [],
    stretch: null,
    child: false,
  },
  ...{ hardWater: false, scalp: [], wantsHold: false, dislikes: [], avoided: [], dewPointC: null },
  ...{ school: null, market: 'eu', weights: {} },
};
const rule = (when: Condition, to: Partial<Rule> = {}): Rule => ({
  ...{ id: 'made-up', says: '{what} speak.', effect: 'for', strength: 3, schools: null, source: 'none' },
  when,
  ...to,
});
const GLYCERIN: Condition = { has: { name: ['Glycerin'] } };
const run = (rules: readonly Rule[], to: Partial<ScreenFor> = {}, list = 'Aqua, Glycerin 5.0000 %') => {
  const whom = { ...WHOM, ...to };
  return screenFormula(readFormula(parseLabel(list).items, { leaveOn: staysOn(whom.roles) }), whom, rules);
};
const speaks = (when: Condition, to: Partial<ScreenFor> = {}, list?: string) =>
  run([rule({ ...GLYCERIN, ...when })], to, list).reasons.length === 1;

describe('what a rule asks of the wearer', () => {
  // A condition, somebody it holds for, and somebody it does not.
  it.each<[Condition, Partial<ScreenFor>, Partial<ScreenFor>]>([
    [{ roles: ['gel', 'foam'] }, { roles: ['foam'] }, { roles: ['mask'] }],
    [{ notRoles: ['mask'] }, { roles: ['gel'] }, { roles: ['gel', 'mask'] }],
    [{ market: 'us' }, { market: 'us' }, { market: 'eu' }],
    [{ child: true }, { child: true }, { child: false }],
    [{ child: false }, { child: false }, { child: true }],
    [{ hardWater: true }, { hardWater: true }, { hardWater: false }],
    [{ wantsHold: true }, { wantsHold: true }, { wantsHold: false }],
    [{ wantsHold: false }, { wantsHold: false }, { wantsHold: true }],
    [{ history: ['heat'] }, { history: ['colour', 'heat'] }, { history: ['colour'] }],
    [{ scalp: ['oily'] }, { scalp: ['oily'] }, { scalp: ['flakes'] }],
    [{ dislikes: ['crunch'] }, { dislikes: ['crunch'] }, { dislikes: ['scent'] }],
    [{ stretch: ['protein'] }, { stretch: 'protein' }, { stretch: 'moisture' }],
    [{ stretch: ['protein'] }, { stretch: 'protein' }, { stretch: null }],
    [{ notStretch: ['protein'] }, { stretch: null }, { stretch: 'protein' }],
    [{ notStretch: ['protein'] }, { stretch: 'moisture' }, { stretch: 'protein' }],
    [{ dewUnder: 5 }, { dewPointC: 4.9 }, { dewPointC: 5 }],
    [{ dewUnder: 5 }, { dewPointC: 4.9 }, { dewPointC: null }],
    [{ dewFrom: 5 }, { dewPointC: 5 }, { dewPointC: 4.9 }],
    [{ dewFrom: 5 }, { dewPointC: 5 }, { dewPointC: null }],
    [{ leaveOn: true }, { roles: ['gel'] }, { roles: ['mask'] }],
    [{ leaveOn: false }, { roles: ['mask'] }, { roles: ['gel'] }],
  ])('%j holds for %j and not for %j', (when, holds, not) => {
    expect(speaks(when, holds)).toBe(true);
    expect(speaks(when, not)).toBe(false);
  });

  it('every trait must be one of those named, and known', () => {
    const parts = (to: Partial<typeof NO_TRAITS>) => ({
      parts: [{ where: null, traits: { ...NO_TRAITS, ...to } }],
    });
    const when: Condition = {
      porosity: ['high'],
      strand: ['fine'],
      density: ['low'],
      pattern: ['3A'],
      damage: ['marked'],
    };
    const all = {
      porosity: 'high',
      strand: 'fine',
      density: 'low',
      pattern: '3A',
      damage: 'marked',
    } as const;
    expect(speaks(when, parts(all))).toBe(true);
    for (const trait of Object.keys(all))
      expect(speaks(when, parts({ ...all, [trait]: null })), trait).toBe(false);
  });

  it('is named with the zones it holds in, unless it holds for the whole head', () => {
    const fine = { ...NO_TRAITS, strand: 'fine' as const };
    const coarse = { ...NO_TRAITS, strand: 'coarse' as const };
    const zones = [
      { where: 'left', traits: fine },
      { where: 'right', traits: coarse },
      { where: 'nape', traits: fine },
    ];
    const when = { ...GLYCERIN, strand: ['fine'] } as const;
    const [some] = run([rule(when)], { parts: [{ where: null, traits: coarse }, ...zones] }).reasons;
    expect(some).toMatchObject({ where: ['left', 'nape'], weight: 1.5 });
    const [whole] = run([rule(when)], { parts: [{ where: null, traits: fine }, ...zones] }).reasons;
    expect(whole).toMatchObject({ where: [], weight: 3 });
    expect(run([rule(when)], { parts: [{ where: null, traits: coarse }] }).reasons).toEqual([]);
  });
});

describe('what a rule asks of the list', () => {
  it('goes by the expected share, and is sure only where the list is', () => {
    const narrow = 'Aqua, Glycerin 5.0002 %';
    expect(speaks({ atLeast: 5 }, {}, narrow)).toBe(true);
    expect(speaks({ atLeast: 5.001 }, {}, narrow)).toBe(false);
    expect(speaks({ under: 5.001 }, {}, narrow)).toBe(true);
    expect(speaks({ under: 5 }, {}, narrow)).toBe(false);
    const one = (when: Condition, list: string) =>
      run([rule({ ...GLYCERIN, ...when })], {}, list).reasons[0]!;
    expect(one({ atLeast: 5 }, narrow)).toMatchObject({ sure: true, weight: 3 });
    // Between 4.5 and 5.5 as a label rounds.
    expect(one({ atLeast: 4.6 }, 'Aqua, Glycerin 5 %')).toMatchObject({ sure: false });
    expect(one({ atLeast: 4.6 }, 'Aqua, Glycerin 5 %').weight).toBeCloseTo(2.4, 9);
    expect(one({ under: 5.4 }, 'Aqua, Glycerin 5 %').sure).toBe(false);
    expect(one({ under: 5.6 }, 'Aqua, Glycerin 5 %').sure).toBe(true);
  });

  it('wants what it names, its second kind, and none of what it must lack', () => {
    const panthenol = { name: ['Panthenol'] };
    const both = 'Aqua, Glycerin, Panthenol';
    expect(speaks({ and: panthenol }, {}, both)).toBe(true);
    expect(speaks({ and: panthenol })).toBe(false);
    expect(speaks({ lacks: panthenol })).toBe(true);
    expect(speaks({ lacks: panthenol }, {}, both)).toBe(false);
    expect(speaks({ lacks: [{ name: ['Urea'] }, panthenol] }, {}, both)).toBe(false);
    expect(speaks({}, {}, 'Aqua, Panthenol')).toBe(false);
    // What asks for nothing on the list is sure of it.
    const [bare] = run([rule({ lacks: panthenol })]).reasons;
    expect(bare).toMatchObject({ items: [], sure: true, says: ' speak.' });
  });
});

describe('the verdict', () => {
  const verdict = (...effects: [Rule['effect'], 1 | 2 | 3, number?][]) =>
    run(
      effects.map(([effect, strength], i) => rule(GLYCERIN, { id: `r${i}`, effect, strength })),
      {
        weights: Object.fromEntries(
          effects.flatMap(([, , own], i) => (own === undefined ? [] : [[`r${i}`, own]])),
        ),
      },
    ).verdict;

  it('is a good bet from a net of three on, against the grain from minus two on', () => {
    expect(verdict(['for', 3])).toBe('good');
    expect(verdict(['for', 2], ['for', 1])).toBe('good');
    expect(verdict(['for', 2])).toBe('trial');
    expect(verdict(['for', 3], ['against', 1])).toBe('trial');
    expect(verdict(['against', 1])).toBe('trial');
    expect(verdict(['against', 2])).toBe('against');
    expect(verdict(['against', 3], ['for', 1])).toBe('against');
    expect(verdict(['note', 3])).toBe('trial');
  });

  it('goes by the wearer’s own weights, which turn no caution off', () => {
    expect(verdict(['for', 2, 2])).toBe('good');
    expect(verdict(['for', 3, 0.5])).toBe('trial');
    expect(verdict(['against', 3, 0])).toBe('trial');
    expect(verdict(['forbids', 1, 0], ['for', 3])).toBe('never');
    expect(verdict(['professional', 1, 0], ['for', 3])).toBe('professional');
    expect(verdict(['professional', 1], ['forbids', 1])).toBe('never');
  });

  it('is no good bet where over 15 % is unknown, or where the list contradicts itself', () => {
    const good = [rule({ has: { name: ['Panthenol'] } })];
    expect(run(good, {}, 'Aqua, Driftwood Essence 14.9000 %, Panthenol').verdict).toBe('good');
    expect(run(good, {}, 'Aqua, Driftwood Essence 15.1000 %, Panthenol').verdict).toBe('trial');
    const torn = run(good, {}, 'Aqua, Panthenol 2 %, Glycerin 40 %, Urea 70 %');
    expect(torn).toMatchObject({ verdict: 'trial' });
    expect(torn.reasons.map(({ ruleId }) => ruleId)).toContain('list-conflict');
  });

  it('tells cautions first, then what weighs, the heaviest first, then notes', () => {
    const made = (id: string, effect: Rule['effect'], strength: 1 | 2 | 3) =>
      rule(GLYCERIN, { id, effect, strength });
    const { reasons } = run([
      made('note', 'note', 3),
      made('little', 'for', 1),
      made('much', 'against', 2),
      made('never', 'forbids', 1),
    ]);
    expect(reasons.map(({ ruleId }) => ruleId)).toEqual(['never', 'much', 'little', 'note']);
  });
});

describe('schools', () => {
  const [own, other] = Object.keys(SCHOOLS) as [School, School];
  const made = (effect: Rule['effect'], strength: 1 | 2 | 3, schools: School[] | null = [own]) =>
    run([rule(GLYCERIN, { effect, strength, schools })], { school: other });

  it('that are not followed do not weigh; their verdict is told with their reasons where it is another', () => {
    const screening = made('for', 3);
    expect(screening).toMatchObject({ verdict: 'trial', reasons: [] });
    expect(screening.others).toEqual([
      { school: own, verdict: 'good', reasons: [expect.objectContaining({ effect: 'for' })] },
    ]);
  });

  it('are told where one of their rules weighs, though it turns nothing; a mere note is not', () => {
    expect(made('against', 1).others.map(({ school }) => school)).toEqual([own]);
    expect(made('note', 1).others).toEqual([]);
    expect(made('for', 1, null).others).toEqual([]);
  });

  it('that are followed weigh, and are not told as another', () => {
    const { verdict, others } = run([rule(GLYCERIN, { schools: [own] })], { school: own });
    expect(verdict).toBe('good');
    expect(others.every(({ school, verdict: theirs }) => school !== own && theirs === 'trial')).toBe(true);
    expect(others).toHaveLength(Object.keys(SCHOOLS).length - 1);
  });
});

describe('what the wearer’s file keeps away from', () => {
  const avoiding = (ingredient: string, why: 'allergy' | 'banned', list: string) =>
    run([], { avoided: [{ ingredient, why }] }, list);

  it('is forbidden where the list has it, with the reason on file', () => {
    const { verdict, reasons } = avoiding('Glycerin', 'allergy', 'Aqua, Glycerin');
    expect(verdict).toBe('never');
    expect(reasons).toEqual([
      expect.objectContaining({
        ruleId: 'avoided Glycerin',
        says: 'Glycerin: an allergy on this wearer’s file.',
        effect: 'forbids',
        strength: 3,
        weight: 3,
        sure: true,
        where: [],
        schools: null,
      }),
    ]);
    expect(avoiding('Glycerin', 'banned', 'Aqua, Glycerin').reasons[0]!.says).toBe(
      'Glycerin: kept away from this wearer.',
    );
    expect(avoiding('Glycerin', 'allergy', 'Aqua, Panthenol').reasons).toEqual([]);
  });

  it('is spoken against where a name may hold it', () => {
    const { verdict, reasons } = avoiding('Linalool', 'allergy', 'Aqua, Parfum');
    expect(verdict).toBe('against');
    expect(reasons[0]).toMatchObject({
      ruleId: 'avoided Linalool perhaps',
      says: 'Parfum may hold Linalool: an allergy on this wearer’s file.',
      effect: 'against',
    });
  });
});

it('a product stays on when any of its roles does', () => {
  expect(staysOn([])).toBe(false);
  expect(staysOn(['shampoo', 'mask'])).toBe(false);
  expect(staysOn(['mask', 'leave-in'])).toBe(true);
  expect(Object.entries(STAYS_ON).flatMap(([role, stays]) => (stays ? role : []))).toEqual([
    ...['leave-in', 'oil', 'cream', 'foam', 'gel', 'spray', 'edge'],
  ]);
});
