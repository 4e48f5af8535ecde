import { amountOf, DOSE_TOLERANCE, type Dose } from '../doses/dose.ts';
import type { Outcome } from '../outcomes/outcomes.ts';
import { lastedSoLong } from './claims.ts';
import type { About, Evidence } from './evidence.ts';
import { saidIn } from './said.ts';
import type { Against, ClaimState, ClaimVerdict, ForWhom, Suits } from './words-of-verdict.ts';

/** What a verdict says beyond its figures: a sentence stands beside it wherever it goes. */
export type Objection =
  /** No trial stands behind it at all. */
  | { kind: 'impression' }
  /** Said to be ahead or behind, where the trials cannot tell; null names all others of its step. */
  | { kind: 'cannot tell'; than: string | null; about: About | null }
  /** Said without saying in what, where it was shown in one outcome alone. */
  | { kind: 'only in'; than: string; about: About }
  /** Said to be ahead where it is clearly behind, or behind where it is clearly ahead. */
  | { kind: 'other way'; than: string; about: About | null }
  /** Set against something that no trial of this head joins it with. */
  | { kind: 'never met'; than: string }
  /** Said to be as good: no test here shows that two are alike. */
  | { kind: 'as good'; than: string | null }
  | { kind: 'not seen so long'; said: number; seen: number }
  /** Said to last longer than it stayed good. */
  | { kind: 'not so long'; said: number; good: number; by: Outcome }
  /** A claim's state that is not what the figures came to. */
  | { kind: 'claim'; claim: string; said: ClaimState; found: ClaimState }
  /** Said to be tested on such hair, which no tested head has. */
  | { kind: 'not tested on'; trait: Suits; value: string }
  /** Another amount than the one it was tested at. */
  | { kind: 'amount'; tested: Dose }
  /** What is for doctors to say, not for a hair trial. */
  | { kind: 'health' }
  /** Its trials are weakened by what their fairness check found. */
  | { kind: 'weakened' };

/** What of a verdict is held to its figures. */
export interface Told {
  why: string;
  buyWhy: string;
  amount: Dose | null;
  forWhom: readonly ForWhom[];
  against: readonly Against[];
  claims: readonly ClaimVerdict[];
}

/** Another product of the step, by name. */
export interface Other {
  productId: string;
  name: string;
}

/**
 * Everything a verdict says that its figures do not carry, each once. `heads`: the traits of the heads it was tested on;
 * `others`: the products of its step, by name; without evidence it is an impression, and every comparison in it is beyond it.
 */
export function heldToFigures(
  told: Told,
  evidence: Evidence | null,
  heads: readonly Partial<Record<Suits, string>>[],
  others: readonly Other[],
): Objection[] {
  const nameOf = (productId: string) => others.find((one) => one.productId === productId)?.name ?? null;
  const idOf = (name: string) => others.find((one) => one.name === name)?.productId ?? null;
  const words = `${told.why}\n${told.buyWhy}`;
  const said = saidIn(
    words,
    others.map(({ name }) => name),
  );
  const found: Objection[] = evidence === null ? [{ kind: 'impression' }] : [];
  const compared: Compared[] = [
    ...told.against.map(({ says, productId }) => ({ says, productId, about: null })),
    ...said.flatMap((one) =>
      one.kind === 'better' || one.kind === 'worse' || one.kind === 'as good'
        ? [{ says: one.kind, productId: one.name === null ? null : idOf(one.name), about: one.about }]
        : [],
    ),
  ];
  for (const one of compared) found.push(...comparison(one, evidence, nameOf));
  for (const one of said)
    if (one.kind === 'lasts' && evidence !== null) found.push(...lasting(one.days, evidence));
  if (said.some(({ kind }) => kind === 'health')) found.push({ kind: 'health' });
  for (const { claim, state, proposed } of told.claims)
    if (proposed !== null && state !== proposed)
      found.push({ kind: 'claim', claim, said: state, found: proposed });
  for (const { how, trait, value } of told.forWhom)
    if (how === 'tested' && !heads.some((head) => head[trait] === value))
      found.push({ kind: 'not tested on', trait, value });
  if (evidence?.dose && told.amount && otherAmount(told.amount, evidence.dose))
    found.push({ kind: 'amount', tested: evidence.dose });
  if (evidence?.trials.some(({ fair }) => fair === 'weakened')) found.push({ kind: 'weakened' });
  return [...new Map(found.map((one) => [JSON.stringify(one), one])).values()];
}

/** Days it is said to last, beyond those it was seen or stayed good. */
function lasting(said: number, { seenTo, goodDays }: Evidence): Objection[] {
  if (said > seenTo) return [{ kind: 'not seen so long', said, seen: seenTo }];
  if (goodDays === null || lastedSoLong(said, goodDays) !== 'not-kept') return [];
  return [{ kind: 'not so long', said, good: Math.round(10 * goodDays.value) / 10, by: goodDays.by }];
}

/** A comparison as it is said, in words or by choice. */
interface Compared {
  says: Against['says'];
  /** Null for all others of its step. */
  productId: string | null;
  /** Null where it was not said in what. */
  about: About | null;
}

/**
 * What one comparison says beyond the figures. It is carried by what holds over all of the board in that outcome (as wished where
 * none is named), or by a trial that decided it by its own promised main result.
 */
function comparison(
  { says, productId, about }: Compared,
  evidence: Evidence | null,
  nameOf: (productId: string) => string | null,
): Objection[] {
  const than = productId === null ? null : nameOf(productId);
  if (says === 'as good') return [{ kind: 'as good', than }];
  if (evidence === null) return [{ kind: 'cannot tell', than, about }];
  const wanted = says === 'better' ? 'ahead' : 'behind';
  const versus = about === null ? evidence.versus : (evidence.versusIn[about] ?? []);
  if (productId === null || than === null) {
    // Of all others: ahead of each that it stands beside, or behind.
    const all = versus.length > 0 && versus.every(({ state }) => state === wanted);
    return all ? [] : [{ kind: 'cannot tell', than: null, about }];
  }
  const state = versus.find((one) => one.productId === productId)?.state ?? null;
  const decided = evidence.decided.filter((one) => one.productId === productId);
  const own = decided.filter((one) => about === null || one.about === about);
  if (state === wanted) return [];
  if (state !== null && state !== 'cannot tell') return [{ kind: 'other way', than, about }];
  const against = own.find((one) => one.state !== wanted);
  if (against) return [{ kind: 'other way', than, about: against.about }];
  const [shown] = own;
  if (shown) return about === null ? [{ kind: 'only in', than, about: shown.about }] : [];
  const met =
    state !== null ||
    decided.length > 0 ||
    [evidence.versus, ...Object.values(evidence.versusIn)].some((all) =>
      all.some((one) => one.productId === productId),
    );
  return met ? [{ kind: 'cannot tell', than, about }] : [{ kind: 'never met', than }];
}

/** Whether an amount is another than the tested one: another measure, or beyond what holds for a kept amount. */
function otherAmount(said: Dose, tested: Dose): boolean {
  const [a, b] = [amountOf(said), amountOf(tested)];
  if (a === null || b === null || said.kind === 'unknown' || tested.kind === 'unknown') return false;
  if (said.measure !== tested.measure || said.per !== tested.per) return true;
  return Math.abs(a - b) > DOSE_TOLERANCE * b;
}
