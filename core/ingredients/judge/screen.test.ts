import { describe, expect, it } from 'vitest';
import { NO_TRAITS } from '../../hair/traits.ts';
import { SCHOOLS, type School } from '../../hair/wishes.ts';
import { findIngredient, INGREDIENTS } from '../dictionary.ts';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import { lackedIn } from './rule.ts';
import { RULES } from './rules/all.ts';
import { type ScreenFor, screenFormula, staysOn } from './screen.ts';
import { picks } from './select.ts';

const head = (to: Partial<ScreenFor> = {}): ScreenFor => ({
  roles: ['gel'],
  parts: [{ where: null, traits: NO_TRAITS }],
  history: [],
  stretch: null,
  child: false,
  hardWater: false,
  scalp: [],
  wantsHold: false,
  dislikes: [],
  avoided: [],
  dewPointC: null,
  school: null,
  market: 'eu',
  weights: {},
  ...to,
});
const traits = (to: Partial<typeof NO_TRAITS>) => [{ where: null, traits: { ...NO_TRAITS, ...to } }];
const screen = (list: string, to: Partial<ScreenFor> = {}) => {
  const whom = head(to);
  return screenFormula(readFormula(parseLabel(list).items, { leaveOn: staysOn(whom.roles) }), whom, RULES);
};
const ids = (list: string, to: Partial<ScreenFor> = {}) =>
  screen(list, to).reasons.map(({ ruleId }) => ruleId);

const BUTTER = 'Aqua, Butyrospermum Parkii Butter, Cetyl Alcohol, Ricinus Communis Seed Oil, Phenoxyethanol';
const GEL = 'Aqua, VP/VA Copolymer, Polyquaternium-11, Carbomer, Phenoxyethanol';
const GLYCERIN = 'Aqua, Glycerin, Sorbitol, Xanthan Gum, Phenoxyethanol';

describe('the rules', () => {
  it('are more than eighty, each with a name of its own, a sentence and a source', () => {
    expect(RULES.length).toBeGreaterThanOrEqual(80);
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
    for (const { id, says, source } of RULES) {
      expect(says, id).toMatch(/^[{A-Z].*[.]$/);
      expect(source.length, id).toBeGreaterThan(5);
    }
  });

  it('speak for every school', () => {
    for (const school of Object.keys(SCHOOLS) as School[])
      expect(
        RULES.some(({ schools }) => schools?.includes(school)),
        school,
      ).toBe(true);
  });

  it('ask only for ingredients that exist', () => {
    for (const { id, when } of RULES)
      for (const by of [when.has, when.and, ...lackedIn(when)])
        if (by) {
          expect(
            INGREDIENTS.some((one) => picks(one, by)),
            id,
          ).toBe(true);
          for (const name of by.name ?? []) expect(findIngredient(name)?.name, `${id}: ${name}`).toBe(name);
        }
  });
});

describe('the same product on other hair', () => {
  it('is too heavy for fine strands and welcome on coarse coils', () => {
    const fine = screen(BUTTER, { roles: ['cream'], parts: traits({ strand: 'fine', pattern: '2B' }) });
    const coarse = screen(BUTTER, {
      roles: ['cream'],
      parts: traits({ strand: 'coarse', pattern: '4B', porosity: 'high' }),
    });
    expect(fine.verdict).toBe('against');
    expect(coarse.verdict).toBe('good');
    expect(fine.reasons[0]).toMatchObject({ ruleId: 'heavy-fine', effect: 'against' });
    expect(fine.reasons[0]!.says).toBe('Heavy oils, butters and waxes weigh fine strands down.');
    expect(fine.reasons[0]!.items.map(({ name }) => name)).toEqual([
      'Butyrospermum Parkii Butter',
      'Ricinus Communis Seed Oil',
    ]);
  });

  it('is judged by zones where they differ, at half the weight', () => {
    const parts = [
      { where: null, traits: { ...NO_TRAITS, strand: 'coarse' as const } },
      { where: 'Front hairline, left', traits: { ...NO_TRAITS, strand: 'fine' as const } },
    ];
    const reason = screen(BUTTER, { roles: ['cream'], parts }).reasons.find(
      ({ ruleId }) => ruleId === 'heavy-fine',
    )!;
    expect(reason.where).toEqual(['Front hairline, left']);
    expect(reason.weight).toBeLessThanOrEqual(1.5);
  });

  it('follows the stretch test', () => {
    const list = 'Aqua, Hydrolyzed Wheat Protein, Hydrolyzed Keratin, Cetrimonium Chloride, Phenoxyethanol';
    expect(ids(list, { roles: ['treatment'], stretch: 'protein' })).toContain('protein-called');
    expect(ids(list, { roles: ['treatment'], stretch: 'moisture' })).toContain('protein-moisture');
    expect(ids(list, { roles: ['treatment'], stretch: null })).not.toContain('protein-called');
  });
});

describe('weather', () => {
  it('turns humectants both ways, and is silent when it is not known', () => {
    const speaks = (dewPointC: number | null) =>
      ids(GLYCERIN, { dewPointC }).filter((id) => id.startsWith('humectant'));
    expect(speaks(-5)).toContain('humectant-dry-air');
    expect(speaks(12)).toEqual(['humectant-kind']);
    expect(speaks(22)).toContain('humectant-humid');
    expect(speaks(null)).toEqual([]);
  });

  it('wants film formers that resist when it is humid', () => {
    const strong = 'Aqua, VP/DMAPA Acrylates Copolymer, Acrylates Copolymer, Phenoxyethanol';
    expect(ids(strong, { dewPointC: 20 })).toContain('film-humid');
    expect(ids('Aqua, PVP, Carbomer, Phenoxyethanol', { dewPointC: 20 })).toContain('film-soft-humid');
    expect(ids(strong, { dewPointC: 5 })).not.toContain('film-humid');
  });
});

describe('schools', () => {
  const SULFATE = 'Aqua, Sodium Laureth Sulfate, Cocamidopropyl Betaine, Dimethicone, Sodium Benzoate';

  it('disagree on the record, side by side', () => {
    const free = screen(SULFATE, { roles: ['shampoo'], school: 'free' });
    expect(free.verdict).toBe('against');
    expect(free.reasons.map(({ ruleId }) => ruleId)).toEqual(
      expect.arrayContaining(['sulfate-free', 'silicone-never']),
    );
    const lather = free.others.find(({ school }) => school === 'lather')!;
    expect(lather.verdict).not.toBe('against');
    expect(lather.reasons.map(({ ruleId }) => ruleId)).toContain('sulfate-lather');
  });

  it('do not weigh when none is followed', () => {
    expect(screen(SULFATE, { roles: ['shampoo'] }).reasons.every(({ schools }) => schools === null)).toBe(
      true,
    );
  });
});

describe('safety', () => {
  it('alone gives "do not use": bans, allergies, children', () => {
    const scented = 'Aqua, Glycerin, Mentha Piperita Oil, Phenoxyethanol, Linalool';
    expect(screen(scented, { child: true }).verdict).toBe('never');
    expect(screen(scented).verdict).not.toBe('never');
    const allergic = screen(scented, { avoided: [{ ingredient: 'linalool', why: 'allergy' }] });
    expect(allergic.verdict).toBe('never');
    expect(allergic.reasons[0]).toMatchObject({
      effect: 'forbids',
      says: 'linalool: an allergy on this wearer’s file.',
    });
    expect(screen('Aqua, Glycerin, Methylisothiazolinone').verdict).toBe('never');
    expect(screen('Aqua, Decyl Glucoside, Methylisothiazolinone', { roles: ['shampoo'] }).verdict).not.toBe(
      'never',
    );
    expect(screen('Aqua, Butylphenyl Methylpropional, Glycerin').verdict).toBe('never');
    expect(screen('Aqua, Butylphenyl Methylpropional, Glycerin', { market: 'us' }).verdict).not.toBe('never');
  });

  it('misses a preservative only where there is none', () => {
    for (const kept of ['Sodium Benzoate', 'Phenoxyethanol', 'Benzyl Alcohol', 'DMDM Hydantoin'])
      expect(ids(`Aqua, Glycerin, ${kept}`), kept).not.toContain('preservative-none');
    expect(ids('Aqua, Glycerin, Panthenol')).toContain('preservative-none');
    expect(ids('Argania Spinosa Kernel Oil, Tocopherol', { roles: ['oil'] })).not.toContain(
      'preservative-none',
    );
  });

  it('cannot be switched off', () => {
    const weights = { 'child-essential': 0, 'child-cooling': 0 };
    expect(screen('Aqua, Mentha Piperita Oil', { child: true, weights }).verdict).toBe('never');
  });
});

describe('a verdict', () => {
  it('is a good bet for what fits', () => {
    expect(
      screen(GEL, { parts: traits({ pattern: '2B', strand: 'fine', density: 'low' }), wantsHold: true })
        .verdict,
    ).toBe('good');
  });

  it('changes with the user’s own weights', () => {
    const whom: Partial<ScreenFor> = { roles: ['cream'], parts: traits({ strand: 'fine' }) };
    expect(ids(BUTTER, { ...whom, weights: { 'heavy-fine': 0 } })).not.toContain('heavy-fine');
    const [double] = screen(BUTTER, { ...whom, weights: { 'heavy-fine': 2 } }).reasons;
    expect(double!.weight).toBeGreaterThan(screen(BUTTER, whom).reasons[0]!.weight);
  });

  it('is never a good bet where much of the list is unknown', () => {
    const list = 'Aqua, Driftwood Essence, Saltmarsh Resin, Kelpish Gum, VP/VA Copolymer, Phenoxyethanol';
    const { verdict, unknown } = screen(list, {
      parts: traits({ pattern: '2B', strand: 'fine' }),
      wantsHold: true,
    });
    expect(unknown).toHaveLength(3);
    expect(verdict).not.toBe('never');
  });

  it('says of a share whether the list makes sure of it', () => {
    const sure = screen('Aqua, Alcohol Denat. 20%, PVP, Phenoxyethanol').reasons.find(
      ({ ruleId }) => ruleId === 'short-alcohol-dry',
    )!;
    expect(sure.sure).toBe(true);
    const likely = screen(GLYCERIN, { dewPointC: -5 }).reasons.find(
      ({ ruleId }) => ruleId === 'humectant-dry-air',
    )!;
    expect(likely.sure).toBe(false);
    expect(likely.weight).toBeLessThan(likely.strength);
  });
});
