import { median } from '../middle.ts';
import { daysBetween, plusDays } from '../time/dates.ts';
import { costOfDose } from './price.ts';

/** One use of a product on a wash day. */
export interface Use {
  /** Local date, yyyy-mm-dd. */
  on: string;
  wearerId: string;
  productId: string;
  /** Usual ml of its dose; null where that is not known. */
  ml: number | null;
}

export interface Bought {
  id: string;
  lineId: string | null;
  sizeMl: number | null;
  price: number | null;
  currency: string | null;
  /** Applications the label gives for a pack. */
  applications: number | null;
  /** The day the bottle in use was opened; null for none. */
  openedOn: string | null;
  /** Wash days that finished bottles lasted. */
  finished: readonly number[];
  /** Dated prices, newest first. */
  prices: readonly { on: string; amount: number; currency: string }[];
}

/** What the reach of a bottle rests on. */
export const REACH_FROM = {
  finished: { label: 'as long as earlier bottles lasted' },
  doses: { label: 'by its size and your amounts' },
  label: { label: 'by the label’s applications' },
} as const;
export type ReachFrom = keyof typeof REACH_FROM;

export interface RunsOut {
  productId: string;
  /** Uses that are left in the open bottle, 0 at least. */
  left: number;
  perWeek: number;
  /** Local date on which it is empty if used on as it was. */
  on: string;
  from: ReachFrom;
}

/** Days back over which "how often" is counted. Model assumption: two months tell a habit. */
const HABIT_DAYS = 56;
/** Fewest days that a new product's habit is spread over. Model assumption: two washes in a row are no habit yet. */
const NEW_DAYS = 7;
/** Fewest uses with a known amount before they tell what a bottle holds. Model assumption. */
const FEWEST_DOSES = 3;

/** How many uses a whole bottle has, and what says so; null where nothing does. */
function usesOfBottle(product: Bought, doses: readonly number[]): { uses: number; from: ReachFrom } | null {
  const lasted = product.finished.filter((uses) => uses > 0);
  if (lasted.length > 0) return { uses: median(lasted), from: 'finished' };
  if (product.sizeMl !== null && doses.length >= FEWEST_DOSES && median(doses) > 0)
    return { uses: product.sizeMl / median(doses), from: 'doses' };
  return product.applications === null ? null : { uses: product.applications, from: 'label' };
}

/**
 * Uses a day of late: over the window, or since the first use where that lies within it, which then begins the count and is
 * no part of it. Null where there is no use in the window, or no more than the first one.
 */
function habit(uses: readonly Use[], today: string): number | null {
  const since = plusDays(today, -HABIT_DAYS);
  const past = uses.map(({ on }) => on).filter((on) => on <= today);
  const recent = past.filter((on) => on > since).length;
  const first = past.toSorted()[0] ?? today;
  const perDay =
    first > since ? (recent - 1) / Math.max(NEW_DAYS, daysBetween(first, today)) : recent / HABIT_DAYS;
  return perDay > 0 ? perDay : null;
}

/**
 * When open bottles are empty if they are used on as in the last eight weeks; soonest first. A product that is not open,
 * was used in that time not at all or for the first time only, or of which nothing says how far a bottle goes, is left out. `today`: local date.
 */
export function runsOut(products: readonly Bought[], uses: readonly Use[], today: string): RunsOut[] {
  const byProduct = new Map<string, Use[]>();
  for (const use of uses) byProduct.set(use.productId, [...(byProduct.get(use.productId) ?? []), use]);
  return products
    .flatMap((product): RunsOut[] => {
      const own = byProduct.get(product.id) ?? [];
      const { openedOn } = product;
      if (openedOn === null) return [];
      const bottle = usesOfBottle(
        product,
        own.flatMap(({ ml }) => ml ?? []),
      );
      const perDay = habit(own, today);
      if (bottle === null || perDay === null) return [];
      const gone = own.filter(({ on }) => on >= openedOn && on <= today).length;
      const left = Math.max(0, bottle.uses - gone);
      return [
        {
          productId: product.id,
          left,
          perWeek: perDay * 7,
          on: plusDays(today, Math.floor(left / perDay)),
          from: bottle.from,
        },
      ];
    })
    .sort((a, b) => a.on.localeCompare(b.on));
}

/** What was used up in a month on a head, of a line, in one currency. */
export interface Spent {
  /** yyyy-mm. */
  month: string;
  wearerId: string;
  lineId: string | null;
  currency: string;
  amount: number;
  uses: number;
}

/** The price in force on a day: the newest told before it, else the product's own. */
function priceOn(product: Bought, on: string): { amount: number; currency: string } | null {
  const dated = product.prices.find((price) => price.on <= on);
  if (dated) return dated;
  return product.price === null || product.currency === null
    ? null
    : { amount: product.price, currency: product.currency };
}

/** What was used up, at the price of its day; `untold` counts uses without a price, a size or a known amount. */
export function spendOf(
  products: readonly Bought[],
  uses: readonly Use[],
): { spent: Spent[]; untold: number } {
  const byId = new Map(products.map((product) => [product.id, product]));
  const sums = new Map<string, Spent>();
  let untold = 0;
  for (const { on, wearerId, productId, ml } of uses) {
    const product = byId.get(productId);
    const price = product && priceOn(product, on);
    if (!price || ml === null || product.sizeMl === null) {
      untold++;
      continue;
    }
    const month = on.slice(0, 7);
    const key = [month, wearerId, product.lineId, price.currency].join();
    const sum = sums.get(key) ?? {
      month,
      wearerId,
      lineId: product.lineId,
      currency: price.currency,
      amount: 0,
      uses: 0,
    };
    sums.set(key, {
      ...sum,
      amount: sum.amount + costOfDose(price.amount, product.sizeMl, ml),
      uses: sum.uses + 1,
    });
  }
  return { spent: [...sums.values()].sort((a, b) => b.month.localeCompare(a.month)), untold };
}
