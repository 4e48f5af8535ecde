import { itemsWith } from '../allergy.ts';
import { type Ban, bansOf, cited } from '../bans.ts';
import type { Formula, FormulaItem } from '../formula.ts';
import { HAZARDS, hazardsIn } from './hazards.ts';
import type { Reason } from './reason.ts';
import type { ScreenFor } from './screen.ts';

/** A reason that weighs in every school and holds for the whole head. */
const plainReason = ({
  ruleId,
  says,
  effect,
  strength,
  items,
  source,
}: Pick<Reason, 'ruleId' | 'says' | 'effect' | 'strength' | 'items' | 'source'>): Reason => ({
  ruleId,
  says,
  effect,
  weight: strength,
  strength,
  items,
  where: [],
  sure: true,
  schools: null,
  source,
});

const namesOf = (items: readonly FormulaItem[]) => [...new Set(items.map(({ name }) => name))].join(', ');

/** What the wearer's file keeps away from: forbidden where the list has it, spoken against where a name may hold it. */
function avoidedReasons(formula: Formula, { avoided }: Pick<ScreenFor, 'avoided'>): Reason[] {
  return avoided.flatMap(({ ingredient, why }): Reason[] => {
    const found = itemsWith(formula.items, ingredient);
    const file = why === 'allergy' ? 'an allergy on this wearer’s file' : 'kept away from this wearer';
    const reason = (reading: 'has' | 'may have'): Reason[] => {
      const items = found.flatMap((one) => (one.reading === reading ? one.item : []));
      if (items.length === 0) return [];
      return [
        plainReason({
          ruleId: `avoided ${ingredient}${reading === 'has' ? '' : ' perhaps'}`,
          says:
            reading === 'has'
              ? `${ingredient}: ${file}.`
              : `${namesOf(items)} may hold ${ingredient}: ${file}.`,
          effect: reading === 'has' ? 'forbids' : 'against',
          strength: 3,
          items,
          source: 'the wearer’s own file; a doctor’s word stands over it',
        }),
      ];
    };
    return [...reason('has'), ...reason('may have')];
  });
}

/** What is for a licensed professional, from the names alone; on a child it is forbidden. */
function hazardReasons(formula: Formula, { child }: Pick<ScreenFor, 'child'>): Reason[] {
  return hazardsIn(formula).map(({ kind, items }) =>
    plainReason({
      ruleId: `hazard ${kind}`,
      says: `${namesOf(items)} ${HAZARDS[kind].says}: for a licensed professional, not for a wash-day trial${child ? ', and never on a child' : ''}.`,
      effect: child ? 'forbids' : 'professional',
      strength: 3,
      items,
      source: 'caution: licensed professionals, the label and the law; chemistry of the names, unchecked',
    }),
  );
}

const since = (date: string | null) => (date === null ? '' : ` since ${date.slice(0, 4)}`);

/** What a market's law keeps out: forbidden there, told elsewhere. */
function banReasons(formula: Formula, { market }: Pick<ScreenFor, 'market'>): Reason[] {
  const found = new Map<string, { ban: Ban; items: FormulaItem[] }>();
  for (const item of formula.items)
    for (const ban of item.ingredient ? bansOf(item.ingredient.name) : []) {
      if (ban.of === 'leave-on' && !formula.leaveOn) continue;
      const key = `${ban.act} ${ban.of} ${ban.market}`;
      found.set(key, { ban, items: [...(found.get(key)?.items ?? []), item] });
    }
  return [...found.values()].map(({ ban, items }) =>
    plainReason({
      ruleId: `ban ${ban.act}`,
      says: `${namesOf(items)}: not allowed in ${ban.of === 'all' ? 'cosmetics' : 'what stays on'} in the EU${since(ban.since)}.`,
      effect: ban.market === market ? 'forbids' : 'note',
      strength: 3,
      items,
      source: cited(ban),
    }),
  );
}

/** A list whose shares cannot be worked out keeps every rule that asks for an amount silent; the verdict has to say so. */
const conflictReasons = ({ conflict }: Formula): Reason[] =>
  conflict === null
    ? []
    : [
        plainReason({
          ruleId: 'list-conflict',
          says: 'This list contradicts itself, so no share is known: what hangs on an amount was not judged.',
          effect: 'note',
          strength: 3,
          items: [],
          source: 'the list itself',
        }),
      ];

/** What no rule of practice and no weight of a wearer's own touches: allergies, hazards, bans, a list that contradicts itself. */
export const cautionsOf = (
  formula: Formula,
  whom: Pick<ScreenFor, 'avoided' | 'child' | 'market'>,
): Reason[] => [
  ...avoidedReasons(formula, whom),
  ...hazardReasons(formula, whom),
  ...banReasons(formula, whom),
  ...conflictReasons(formula),
];
