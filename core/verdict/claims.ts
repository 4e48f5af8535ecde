import type { Felt } from '../felt/felt.ts';
import { CLAIMS, type Claim } from '../ingredients/claims.ts';
import type { Outcome } from '../outcomes/outcomes.ts';
import type { Evidence } from './evidence.ts';
import type { ClaimState } from './words-of-verdict.ts';

/** What a claim was set against, and what was found there. */
export type ClaimFact =
  | { kind: 'days'; days: number; good: Evidence['goodDays']; seenTo: number }
  | { kind: 'other days'; days: number; asks: Outcome; by: Outcome }
  | { kind: 'hold'; value: number; days: number }
  | { kind: 'felt'; quality: Felt; middle: number; worst: number; days: number }
  | { kind: 'colour'; worst: number; days: number; since: number | null }
  | { kind: 'list'; claim: Claim; items: readonly string[] }
  /** Worn in no air that damp: the dampest it was worn in, in °C. */
  | { kind: 'air'; high: number | null }
  /** No wash day can show it. */
  | { kind: 'laboratory' }
  | { kind: 'not read' };

export interface ProposedClaim {
  claim: string;
  state: ClaimState;
  fact: ClaimFact;
}

/** What the ingredient list says of each claim it can speak to, with what makes it untrue. */
export type ListSays = readonly {
  claim: Claim;
  holds: 'true' | 'false' | 'cannot tell';
  items: readonly string[];
}[];

/** Dew point from which air is damp, in °C: the last band that testers use. Common practice, no source. */
const DAMP_C = 16;
/** Days after colouring within which colour in the rinse proves little. Common practice, no source. */
const FIRST_WASHES_DAYS = 28;
/** A rated hold, 0–10, from which "strong" is kept, and under which it is not. Model assumption. */
const STRONG = { kept: 7, not: 5 } as const;

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
/** How many days a claim promises: "72 h hold", "definition for five days", "day 4 curls", "all week". */
export function daysClaimed(claim: string): number | null {
  const text = claim.toLowerCase();
  const amount = `(\\d{1,3}|${NUMBERS.slice(1).join('|')})`;
  const read = (found: RegExpExecArray | null) =>
    found === null ? null : NUMBERS.includes(found[1]!) ? NUMBERS.indexOf(found[1]!) : Number(found[1]);
  const hours = read(new RegExp(`${amount}\\s*-?\\s*(?:h\\b|hrs?\\b|hours?\\b)`).exec(text));
  if (hours !== null) return Math.ceil(hours / 24);
  const days =
    read(new RegExp(`${amount}\\s*-?\\s*days?\\b`).exec(text)) ?? read(/\bday (\d{1,2})\b/.exec(text));
  if (days !== null) return days;
  return /\b(all|whole|full|a) week\b|\bweek-?long\b/.test(text) ? 7 : null;
}

const OUTCOME_WORDS: readonly [RegExp, Outcome][] = [
  [/\bhold|holds\b/i, 'hold'],
  [/\bdefin|curl/i, 'definition'],
  [/\bfrizz/i, 'frizz'],
  [/\bvolume|\bbody\b|\blift\b/i, 'volume'],
  [/\bshine|gloss/i, 'shine'],
  [/\bsoft/i, 'softness'],
];

const FREE_OF: readonly [RegExp, Claim][] = [
  [/sul(?:f|ph)ates?/i, 'sulfates'],
  [/silicones?/i, 'silicones'],
  [/parabens?/i, 'parabens'],
  [/alcohols?/i, 'drying-alcohol'],
  [/glycerine?/i, 'glycerin'],
  [/proteins?/i, 'protein'],
  [/mineral oils?|paraffins?|petrolatum/i, 'mineral-oil'],
  [/formaldehyde/i, 'formaldehyde-releasers'],
  [/isothiazolinones?/i, 'isothiazolinones'],
  [/perfumes?|fragrances?|parfum|scents?/i, 'perfume'],
  [/essential oils?/i, 'essential-oils'],
  [/colou?rants?|dyes?/i, 'colourants'],
];
const FREE = /\b(free of|free from|without|no|zero|0 ?%|un-?scented)\b|-free\b|\bfree\b/i;

/**
 * What becomes of a label's claim by what was read, as a proposal; null where the claim is of no kind that Sabor knows.
 * `list`: what the ingredient list says; `sinceColouring`: days from the last colouring to the latest wash day.
 */
export function proposeClaim(
  claim: string,
  evidence: Evidence | null,
  list: ListSays,
  sinceColouring: number | null,
): ProposedClaim | null {
  const say = (state: ClaimState, fact: ClaimFact): ProposedClaim => ({ claim, state, fact });
  const free = freeOf(claim);
  if (free) {
    const said = list.find((one) => one.claim === free);
    if (!said) return say('not-tested', { kind: 'not read' });
    const fact: ClaimFact = { kind: 'list', claim: free, items: said.items };
    return say(said.holds === 'true' ? 'kept' : said.holds === 'false' ? 'not-kept' : 'cannot-tell', fact);
  }
  if (
    /\bheat\b|\bthermal\b|°|\buv\b/i.test(claim) ||
    /\brepair|\bbond|\bstrength(?:en)?|\bgrowth\b|\bnourish/i.test(claim)
  )
    return say('cannot-tell', { kind: 'laboratory' });
  if (evidence === null) return known(claim) ? say('not-tested', { kind: 'not read' }) : null;
  const days = daysClaimed(claim);
  if (days !== null && days > 0) return ofDays(claim, days, evidence, say);
  if (/\bflak/i.test(claim))
    return ofFelt('flakes', evidence, say, ({ middle, worst }) =>
      worst === 0 ? 'kept' : middle >= 1 ? 'not-kept' : 'cannot-tell',
    );
  if (/\bcrunch|\bstiff|\bsoft hold|\btouchable|\bflexible/i.test(claim))
    return ofFelt('crunch', evidence, say, ({ middle, worst }) =>
      worst <= 1 ? 'kept' : middle >= 2 ? 'not-kept' : 'cannot-tell',
    );
  if (/\bdetangl|\bslip\b/i.test(claim))
    return ofFelt('slip', evidence, say, ({ middle }) =>
      middle >= 3 ? 'kept' : middle <= 1 ? 'not-kept' : 'cannot-tell',
    );
  if (/\bsticky|\btack/i.test(claim))
    return ofFelt('tack', evidence, say, ({ middle, worst }) =>
      worst === 0 ? 'kept' : middle >= 1 ? 'not-kept' : 'cannot-tell',
    );
  if (/\bcolou?r/i.test(claim)) return ofColour(evidence, sinceColouring, say);
  if (/\bdamp|\bhumid|\brain\b|\bmoist air/i.test(claim)) {
    const high = evidence.air?.high ?? null;
    return say(high !== null && high >= DAMP_C ? 'cannot-tell' : 'not-tested', { kind: 'air', high });
  }
  if (/\b(strong|extra|maximum|firm|ultra)\b.*\bhold\b/i.test(claim)) {
    const hold = evidence.rated.hold;
    if (!hold || hold.days === 0) return say('not-tested', { kind: 'not read' });
    const state = hold.value >= STRONG.kept ? 'kept' : hold.value < STRONG.not ? 'not-kept' : 'cannot-tell';
    return say(state, { kind: 'hold', ...hold });
  }
  return known(claim) ? say('cannot-tell', { kind: 'not read' }) : null;
}

type Say = (state: ClaimState, fact: ClaimFact) => ProposedClaim;

/** Whether a claim speaks of something that is read at all. */
const known = (claim: string) =>
  daysClaimed(claim) !== null ||
  OUTCOME_WORDS.some(([words]) => words.test(claim)) ||
  /\bflak|\bcrunch|\bdetangl|\bslip\b|\btack|\bsticky|\bcolou?r|\bdamp|\bhumid/i.test(claim);

function freeOf(claim: string): Claim | null {
  if (!FREE.test(claim)) return null;
  const found = FREE_OF.find(([words]) => words.test(claim))?.[1] ?? null;
  return found !== null && Object.hasOwn(CLAIMS, found) ? found : null;
}

/** Whether it stayed good as many days as are said: yes or no only where it was worn and counted as long. */
export function lastedSoLong(days: number, good: Evidence['goodDays']): ClaimState {
  if (!good) return 'not-tested';
  if (good.value >= days - 0.5) return 'kept';
  // Counted to fewer days than said, it may have gone on: only one that stopped before says no.
  return good.to >= days || good.value < good.to - 0.5 ? 'not-kept' : 'cannot-tell';
}

/** Days claimed against days that stayed good: kept or not only where it was worn and counted as long. */
function ofDays(claim: string, days: number, evidence: Evidence, say: Say): ProposedClaim {
  const asks = OUTCOME_WORDS.find(([words]) => words.test(claim))?.[1] ?? null;
  const { goodDays: good, seenTo } = evidence;
  if (good && asks !== null && asks !== good.by)
    return say('cannot-tell', { kind: 'other days', days, asks, by: good.by });
  const fact: ClaimFact = { kind: 'days', days, good, seenTo };
  return say(lastedSoLong(days, good), fact);
}

function ofFelt(
  quality: Felt,
  { felt }: Evidence,
  say: Say,
  judge: (found: { middle: number; worst: number }) => ClaimState,
): ProposedClaim {
  const found = felt[quality];
  if (!found || found.days === 0) return say('not-tested', { kind: 'not read' });
  return say(judge(found), { kind: 'felt', quality, ...found });
}

/** Colour in the rinse speaks against "colour-safe", and proves little within the first washes after colouring. */
function ofColour({ felt }: Evidence, since: number | null, say: Say): ProposedClaim {
  const found = felt.colour;
  if (!found || found.days === 0) return say('not-tested', { kind: 'not read' });
  const fact: ClaimFact = { kind: 'colour', worst: found.worst, days: found.days, since };
  const against = found.middle >= 2 && since !== null && since > FIRST_WASHES_DAYS;
  return say(against ? 'not-kept' : 'cannot-tell', fact);
}
