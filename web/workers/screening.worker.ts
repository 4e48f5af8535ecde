import type { LedgerWashDay, OwnIngredient } from '@sabor/contract/ingredients';
import type { Product } from '@sabor/contract/shelf';
import { type ClaimReading, readClaims } from '@sabor/core/ingredients/claims';
import { findIngredient, INGREDIENTS } from '@sabor/core/ingredients/dictionary';
import { MARKS } from '@sabor/core/ingredients/facts';
import { type Formula, type Market, readFormula } from '@sabor/core/ingredients/formula';
import { type RoutineFinding, screenRoutine } from '@sabor/core/ingredients/judge/routine-screen';
import { RULES } from '@sabor/core/ingredients/judge/rules/all';
import {
  type ScreenFor,
  type Screening,
  screenFormula,
  screenFormulas,
  staysOn,
} from '@sabor/core/ingredients/judge/screen';
import { type ParsedLabel, parseLabel } from '@sabor/core/ingredients/label/parse-label';
import { suggest } from '@sabor/core/ingredients/label/suggest';
import {
  type LedgerPoint,
  ownScale,
  runLedger,
  unequalGround,
  wantsClarify,
} from '@sabor/core/ingredients/ledger/ledger';
import { likeness } from '@sabor/core/ingredients/likeness';
import type { Role } from '@sabor/core/shelf/products';
import type { Slot } from '@sabor/core/step/slots';
import type { ListSays } from '@sabor/core/verdict/claims';
import { Formulas } from '@sabor/reading/formulas';
import { ledgerDays } from '@sabor/reading/ground';
import { expose } from 'comlink';

type Whom = Omit<ScreenFor, 'roles'>;

const formulas = new Formulas();

export interface ShelfScreening extends Pick<Screening, 'verdict' | 'reasons' | 'unknown'> {
  productId: string;
  items: number;
  /** Net weight of the reasons, to sort by; never shown as a score. */
  net: number;
}

export interface LabelReading {
  /** The text that was read. */
  text: string;
  parsed: ParsedLabel & { lists: string[] };
  formula: Formula;
  claims: ClaimReading[];
  screening: Screening | null;
  /** Unknown names with what they may be meant for. */
  suggestions: { name: string; meant: string[] }[];
  alike: { productId: string; alike: number; sameBase: boolean; onlyHere: string[]; onlyThere: string[] }[];
}

const net = (screening: Screening) =>
  screening.reasons.reduce(
    (sum, { effect, weight }) =>
      sum +
      (effect === 'for'
        ? weight
        : effect === 'against'
          ? -weight
          : effect === 'forbids' || effect === 'professional'
            ? -100
            : 0),
    0,
  );

const screening = {
  /** What a product's list says of each claim that a list can speak to, with what makes it untrue. */
  claims(
    product: Pick<Product, 'ingredients' | 'roles'>,
    market: Market,
    names: readonly OwnIngredient[],
  ): ListSays {
    formulas.learn(names);
    if (product.ingredients.trim() === '') return [];
    return readClaims(formulas.of(product, market)).map(({ claim, holds, items }) => ({
      claim,
      holds,
      items: items.map(({ name }) => name),
    }));
  },
  shelf(products: readonly Product[], whom: Whom, names: readonly OwnIngredient[]): ShelfScreening[] {
    formulas.learn(names);
    const byRoles = new Map<string, ReturnType<typeof screenFormulas>>();
    return products.map((product) => {
      const formula = formulas.of(product, whom.market);
      const key = product.roles.join();
      let judge = byRoles.get(key);
      if (!judge) {
        judge = screenFormulas({ ...whom, roles: product.roles }, RULES);
        byRoles.set(key, judge);
      }
      const found = judge(formula);
      return {
        productId: product.id,
        verdict: found.verdict,
        reasons: found.reasons,
        unknown: found.unknown,
        items: formula.items.length,
        net: net(found),
      };
    });
  },
  label(
    text: string,
    which: number | null,
    roles: readonly Role[],
    market: Market,
    whom: Whom | null,
    names: readonly OwnIngredient[],
    shelf: readonly Product[],
  ): LabelReading {
    formulas.learn(names);
    const parsed = parseLabel(text, which, formulas.own);
    const formula = readFormula(parsed.items, { leaveOn: staysOn(roles), market });
    const unknown = [
      ...new Set(parsed.items.filter(({ ingredient }) => !ingredient).map(({ name }) => name)),
    ];
    return {
      text,
      parsed,
      formula,
      claims: readClaims(formula),
      screening: whom && formula.items.length ? screenFormula(formula, { ...whom, roles }, RULES) : null,
      suggestions: unknown
        .slice(0, 40)
        .map((name) => ({ name, meant: suggest(name).map((one) => one.name) })),
      alike: shelf
        .filter(({ ingredients }) => ingredients.trim() !== '' && ingredients !== text)
        .map((product) => ({ productId: product.id, ...likeness(formula, formulas.of(product, market)) }))
        .filter(({ alike }) => alike > 0.2)
        .sort((a, b) => Number(b.sameBase) - Number(a.sameBase) || b.alike - a.alike)
        .slice(0, 5)
        .map(({ productId, alike, sameBase, onlyHere, onlyThere }) => ({
          productId,
          alike,
          sameBase,
          onlyHere,
          onlyThere,
        })),
    };
  },
  routine(
    steps: readonly { slot: Slot; product: Product }[],
    dewPointC: number | null,
    market: Market,
    names: readonly OwnIngredient[],
  ): RoutineFinding[] {
    formulas.learn(names);
    return screenRoutine(
      steps.map(({ slot, product }) => ({
        slot,
        product: product.name,
        formula: formulas.of(product, market),
      })),
      dewPointC,
    );
  },
  ledger(
    days: readonly (LedgerWashDay & { planned: boolean })[],
    products: readonly Product[],
    market: Market,
    names: readonly OwnIngredient[],
    ratings: readonly { on: string; feels: number }[],
    arms: readonly (readonly string[])[],
    today: string,
  ): {
    points: LedgerPoint[];
    scale: number;
    wants: ReturnType<typeof wantsClarify>;
    unequal: number | null;
  } {
    formulas.learn(names);
    const put = ledgerDays(days, products, market, formulas);
    const scale = ownScale(runLedger(put), ratings);
    const points = runLedger(put, scale);
    return { points, scale, wants: wantsClarify(points, today), unequal: unequalGround(points, arms) };
  },
  /** Names of the dictionary that begin with or hold these letters, for the classifier. */
  names(letters: string): string[] {
    const wanted = letters.trim().toLowerCase();
    if (wanted.length < 2) return [];
    return INGREDIENTS.filter(({ name, synonyms }) =>
      [name, ...synonyms].some((one) => one.toLowerCase().includes(wanted)),
    )
      .slice(0, 30)
      .map(({ name }) => name);
  },
  rules: () =>
    RULES.map(({ id, says, effect, strength, schools, source }) => ({
      id,
      says,
      effect,
      strength,
      schools,
      source,
    })),
  facts(name: string): string[] {
    const one = findIngredient(name) ?? formulas.own.get(name.toLowerCase());
    return one ? [one.group, ...[...one.marks].map((mark) => MARKS[mark])] : [];
  },
};
export type ScreeningWorker = typeof screening;

expose(screening);
