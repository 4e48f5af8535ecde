import { cutIn, mostlyCut } from '../compare/wear.ts';
import { restrictedMean, turnbull } from '../inference/turnbull.ts';
import { type BoardAsk, type BoardTrial, endsOf } from './read.ts';

/** How long one kind of product stays good, over all wash days that tested it: not a trial. */
export interface ClassLasting {
  kind: string;
  /** Products of it that were worn. */
  products: string[];
  wears: number;
  /** Wears cut short while still good. */
  cut: number;
  /** Mean good days and what the check-ins leave open; null where over half of the wears were cut short. */
  lasting: { low: number; middle: number; high: number } | null;
}

/**
 * Good days by kind of product (gel, foam, cream …), over all wash days of a role's trials, the broken ones too: which kind was
 * worn when was not drawn by lot between trials, so this is a question and no answer. `kindOf` is a product's kind; counted
 * to the fewest days of wear that any of these trials planned. Source: methods.md 6.
 */
export function lastingByClass(
  { trials, role, lasting, line }: Pick<BoardAsk, 'trials' | 'role' | 'lasting' | 'line'>,
  kindOf: Readonly<Record<string, string>>,
): { upTo: number; kinds: ClassLasting[] } {
  const own = trials.filter(({ arms }) => arms.some((arm) => arm.role === role));
  const upTo = Math.min(...own.map(({ wearDays }) => wearDays));
  const worn = own.flatMap((trial) => wornIn(trial, lasting, line, upTo, kindOf));
  const kinds = [...new Set(worn.map(({ kind }) => kind))].sort().map((kind): ClassLasting => {
    const own = worn.filter((one) => one.kind === kind);
    const ends = own.map(({ end }) => end);
    return {
      kind,
      products: [...new Set(own.map(({ productId }) => productId))],
      wears: ends.length,
      cut: cutIn(ends, upTo),
      lasting: mostlyCut(ends, upTo) ? null : restrictedMean(turnbull(ends), upTo),
    };
  });
  return { upTo: Number.isFinite(upTo) ? upTo : 0, kinds };
}

function wornIn(
  trial: BoardTrial,
  outcome: BoardAsk['lasting'],
  line: number,
  upTo: number,
  kindOf: Readonly<Record<string, string>>,
) {
  return endsOf(trial, outcome, line, upTo).flatMap((end, i) => {
    const productId = trial.arms[trial.days[i]!.arm]!.productId;
    const kind = productId === null ? undefined : kindOf[productId];
    return end === null || productId === null || kind === undefined ? [] : [{ kind, productId, end }];
  });
}
