import type { Traits } from '../../hair/traits.ts';
import type { SCALPS, School } from '../../hair/wishes.ts';
import { SCHOOLS } from '../../hair/wishes.ts';
import type { Role } from '../../shelf/products.ts';
import type { Formula, FormulaItem, Market } from '../formula.ts';
import { cautionsOf } from './cautions.ts';
import { nounOf } from './nouns.ts';
import type { Reason } from './reason.ts';
import { alwaysOn, type Condition, type Effect, lackedIn, type Rule } from './rule.ts';
import { indexSelectors, type Selector, shareOf } from './select.ts';

/** Whether a role stays on the hair. */
export const STAYS_ON: Record<Role, boolean> = {
  'pre-wash': false,
  shampoo: false,
  'co-wash': false,
  clarifier: false,
  'scalp-care': false,
  treatment: false,
  conditioner: false,
  mask: false,
  'leave-in': true,
  oil: true,
  cream: true,
  foam: true,
  gel: true,
  spray: true,
  edge: true,
};

/** A product stays on when any role it can play does. */
export const staysOn = (roles: readonly Role[]): boolean => roles.some((role) => STAYS_ON[role]);

/** Whom and what a product is screened for. */
export interface ScreenFor {
  roles: readonly Role[];
  /** The whole head first (`where` null), then zones that differ, each with the traits that hold there. */
  parts: readonly { where: string | null; traits: Traits }[];
  history: readonly ('colour' | 'lifted' | 'heat')[];
  stretch: 'protein' | 'balanced' | 'moisture' | null;
  child: boolean;
  hardWater: boolean;
  scalp: readonly (keyof typeof SCALPS)[];
  wantsHold: boolean;
  dislikes: readonly string[];
  avoided: readonly { ingredient: string; why: 'allergy' | 'banned' }[];
  /** Dew point foreseen, °C; null when it is not known: weather rules then keep silent. */
  dewPointC: number | null;
  school: School | null;
  market: Market;
  /** The user's own weight of a rule: 0 switches it off. */
  weights: Readonly<Record<string, number>>;
}

export const VERDICTS = {
  good: { label: 'good bet', tone: 'held' },
  trial: { label: 'worth a trial', tone: 'plain' },
  against: { label: 'against the grain', tone: 'due' },
  professional: { label: 'not for this tool: licensed professional', tone: 'stop' },
  never: { label: 'do not use', tone: 'stop' },
} as const;
export type Verdict = keyof typeof VERDICTS;

export interface Screening {
  verdict: Verdict;
  reasons: Reason[];
  /** Names the dictionary does not know. */
  unknown: string[];
  /** Where other schools come to another verdict, and by which of their rules. */
  others: { school: School; verdict: Verdict; reasons: Reason[] }[];
}

const TRAITS = ['porosity', 'strand', 'density', 'pattern', 'damage'] as const;
const asksTrait = (when: Condition) =>
  (when.porosity ?? when.strand ?? when.density ?? when.pattern ?? when.damage) !== undefined;
const fitsTraits = (when: Condition, traits: Traits) =>
  TRAITS.every((trait) => {
    const wanted = when[trait] as readonly string[] | undefined;
    return wanted === undefined || (traits[trait] !== null && wanted.includes(traits[trait]));
  });
function meets<T>(wanted: readonly T[] | undefined, has: readonly T[]): boolean {
  if (wanted === undefined) return true;
  for (const one of has) if (wanted.includes(one)) return true;
  return false;
}

type Lookup = (by: Selector) => readonly FormulaItem[];

/** What a condition asks of the wearer, the weather and the role: nothing of the formula. */
function suits(when: Condition, screen: ScreenFor): boolean {
  if (!meets(when.roles, screen.roles) || (when.notRoles && meets(when.notRoles, screen.roles))) return false;
  if (when.market && when.market !== screen.market) return false;
  if (when.child !== undefined && when.child !== screen.child) return false;
  if (when.hardWater !== undefined && when.hardWater !== screen.hardWater) return false;
  if (when.wantsHold !== undefined && when.wantsHold !== screen.wantsHold) return false;
  if (!meets(when.history, screen.history)) return false;
  if (!meets(when.scalp, screen.scalp) || !meets(when.dislikes, screen.dislikes)) return false;
  if (when.stretch && (screen.stretch === null || !when.stretch.includes(screen.stretch))) return false;
  if (when.notStretch && screen.stretch !== null && when.notStretch.includes(screen.stretch)) return false;
  const dew = screen.dewPointC;
  if (when.dewUnder !== undefined && !(dew !== null && dew < when.dewUnder)) return false;
  return when.dewFrom === undefined || (dew !== null && dew >= when.dewFrom);
}

/** A rule that suits a wearer, with the zones it suits them in and its weight there before the formula is known. */
interface LiveRule {
  rule: Rule;
  where: string[];
  weight: number;
}

function liveRules(rules: readonly Rule[], screen: ScreenFor): LiveRule[] {
  const [head, ...zones] = screen.parts;
  return rules.flatMap((rule): LiveRule[] => {
    const own = screen.weights[rule.id] ?? 1;
    if ((own === 0 && !alwaysOn(rule.effect)) || !suits(rule.when, screen)) return [];
    let where: string[] = [];
    if (asksTrait(rule.when) && (!head || !fitsTraits(rule.when, head.traits))) {
      where = zones.filter(({ traits }) => fitsTraits(rule.when, traits)).map((zone) => zone.where ?? '');
      if (where.length === 0) return [];
    }
    return [{ rule, where, weight: rule.strength * own * (where.length ? LESS.zones : 1) }];
  });
}

/** What a condition asks of the formula: the items it found, or null when it does not hold. */
function found(
  when: Condition,
  formula: Formula,
  pick: Lookup,
): { items: readonly FormulaItem[]; sure: boolean } | null {
  if (when.leaveOn !== undefined && when.leaveOn !== formula.leaveOn) return null;
  if (lackedIn(when).some((by) => pick(by).length > 0)) return null;
  if (when.and && pick(when.and).length === 0) return null;
  if (!when.has) return { items: [], sure: true };
  const items = pick(when.has);
  if (items.length === 0) return null;
  const { expected, most } = shareOf(items);
  const least = items.reduce((sum, { share }) => sum + (share?.low ?? 0), 0);
  if (when.atLeast !== undefined && expected < when.atLeast) return null;
  if (when.under !== undefined && expected >= when.under) return null;
  return {
    items,
    sure:
      (when.atLeast === undefined || least >= when.atLeast) &&
      (when.under === undefined || most < when.under),
  };
}

/** How much a reason weighs less when it holds only for some zones, or only likely. Model assumptions. */
const LESS = { zones: 0.5, likely: 0.8 } as const;

const sentences = new WeakMap<Rule, string>();

/** A rule's sentence with the noun for what it picks. */
function sentenceOf(rule: Rule): string {
  let found = sentences.get(rule);
  if (found === undefined) {
    const text = rule.says.replace('{what}', rule.when.has ? nounOf(rule.when.has) : '');
    found = text[0]!.toUpperCase() + text.slice(1);
    sentences.set(rule, found);
  }
  return found;
}

function apply({ rule, where, weight }: LiveRule, formula: Formula, pick: Lookup): Reason | null {
  const match = found(rule.when, formula, pick);
  if (!match) return null;
  return {
    ruleId: rule.id,
    says: sentenceOf(rule),
    effect: rule.effect,
    weight: weight * (match.sure ? 1 : LESS.likely),
    strength: rule.strength,
    items: match.items,
    where,
    sure: match.sure,
    schools: rule.schools,
    source: rule.source,
  };
}

/** Net weight from which a product is a good bet, and under which it is against the grain. Model assumptions. */
const LIMITS = { good: 3, against: -2 } as const;
/** Expected share of unknown ingredients, %, over which no product is called a good bet. Model assumption. */
const UNKNOWN_MOST = 15;

function verdictOf(reasons: readonly Reason[], unknownShare: number, conflict: boolean): Verdict {
  if (reasons.some(({ effect }) => effect === 'forbids')) return 'never';
  if (reasons.some(({ effect }) => effect === 'professional')) return 'professional';
  const net = reasons.reduce(
    (sum, { effect, weight }) => sum + (effect === 'for' ? weight : effect === 'against' ? -weight : 0),
    0,
  );
  if (net <= LIMITS.against) return 'against';
  return net >= LIMITS.good && unknownShare <= UNKNOWN_MOST && !conflict ? 'good' : 'trial';
}

const indexes = new WeakMap<readonly Rule[], ReturnType<typeof indexSelectors>>();

function indexOf(rules: readonly Rule[]): ReturnType<typeof indexSelectors> {
  let found = indexes.get(rules);
  if (!found) {
    found = indexSelectors(
      rules.flatMap(({ when }) => [when.has, when.and, ...lackedIn(when)].flatMap((by) => by ?? [])),
    );
    indexes.set(rules, found);
  }
  return found;
}

const ORDER: Record<Effect, number> = { forbids: 0, professional: 0, against: 1, for: 1, note: 2 };

/**
 * A formula screened for one head, weather and school: a verdict in words and its reasons, heaviest first. Rules of
 * other schools do not weigh, but where a school would come to another verdict that is told with its own reasons.
 */
export const screenFormula = (formula: Formula, screen: ScreenFor, rules: readonly Rule[]): Screening =>
  screenFormulas(screen, rules)(formula);

/** The same for many formulas in the same roles: what does not hang on the formula is worked out once. */
export function screenFormulas(screen: ScreenFor, rules: readonly Rule[]): (formula: Formula) => Screening {
  const live = liveRules(rules, screen);
  const index = indexOf(rules);
  return (formula) => {
    const pick = index(formula);
    const all = cautionsOf(formula, screen);
    for (const one of live) {
      const reason = apply(one, formula, pick);
      if (reason) all.push(reason);
    }
    return judged(all, formula, screen.school);
  };
}

/** The verdict and its reasons by one school, and where the others differ. */
function judged(all: readonly Reason[], formula: Formula, own: School | null): Screening {
  const unknownItems = formula.items.filter(({ ingredient, share }) => ingredient === null && share !== null);
  const unknownShare = shareOf(unknownItems).expected;
  const conflict = formula.conflict !== null;
  const heard = (school: School | null) =>
    all.filter(({ schools }) => schools === null || (school !== null && schools.includes(school)));
  const reasons = heard(own).sort((a, b) => ORDER[a.effect] - ORDER[b.effect] || b.weight - a.weight);
  const verdict = verdictOf(reasons, unknownShare, conflict);
  const others = (Object.keys(SCHOOLS) as School[])
    .filter((school) => school !== own)
    .map((school) => ({
      school,
      verdict: verdictOf(heard(school), unknownShare, conflict),
      reasons: all.filter(({ schools }) => schools?.includes(school)),
    }))
    .filter(
      (other) =>
        other.verdict !== verdict ||
        other.reasons.some(({ effect }) => effect === 'for' || effect === 'against'),
    );
  return { verdict, reasons, unknown: unknownItems.map(({ name }) => name), others };
}
