import type { Slot } from '../../step/slots.ts';
import type { Formula, FormulaItem } from '../formula.ts';
import { pickItems, type Selector, shareOf } from './select.ts';

/** One step of a routine that puts a product on the hair. */
export interface RoutineStep {
  slot: Slot;
  product: string;
  formula: Formula;
}

export interface RoutineFinding {
  id: string;
  says: string;
  /** The smallest change that would mend it. */
  change: string | null;
  strength: 1 | 2 | 3;
  products: string[];
  items: FormulaItem[];
}

interface Found {
  steps: RoutineStep[];
  items: FormulaItem[];
  expected: number;
}

function across(steps: readonly RoutineStep[], by: Selector, least = 0): Found {
  const found = steps.flatMap((step) => {
    const items = pickItems(step.formula, by);
    return items.length && shareOf(items).expected >= least ? [{ step, items }] : [];
  });
  return {
    steps: found.map(({ step }) => step),
    items: found.flatMap(({ items }) => items),
    expected: found.reduce((sum, { items }) => sum + shareOf(items).expected, 0),
  };
}

const CLEANSE: readonly Slot[] = ['cleanse'];
const names = (steps: readonly RoutineStep[]) => [...new Set(steps.map(({ product }) => product))];
const list = (steps: readonly RoutineStep[]) => names(steps).join(', ');

/** Rules of a whole wash day. Common practice, no source; shares in % are model assumptions. */
const ROUTINE_RULES: readonly {
  id: string;
  strength: 1 | 2 | 3;
  find: (day: {
    all: readonly RoutineStep[];
    left: readonly RoutineStep[];
    cleansers: readonly RoutineStep[];
    dewPointC: number | null;
  }) => Omit<RoutineFinding, 'id' | 'strength'> | null;
}[] = [
  {
    id: 'silicone-unlifted',
    strength: 3,
    find: ({ left, cleansers }) => {
      const silicones = across(left, { silicone: ['strong'] }, 0.2);
      const strong = across(cleansers, { cleans: 3 }, 2);
      if (silicones.steps.length === 0 || strong.steps.length > 0) return null;
      return {
        says: `${list(silicones.steps)} leaves silicones that need a strong cleanser, and this wash day has none.`,
        change: cleansers.length
          ? `Put a clarifying wash in the place of ${list(cleansers)} every second week.`
          : 'Add a cleanse.',
        products: names(silicones.steps),
        items: silicones.items,
      };
    },
  },
  {
    id: 'no-cleanse',
    strength: 2,
    find: ({ all, cleansers }) =>
      cleansers.length || all.length === 0
        ? null
        : {
            says: 'Nothing cleanses: what is left on adds up.',
            change: 'Add a cleanse before the first styler.',
            products: [],
            items: [],
          },
  },
  {
    id: 'protein-stacked',
    strength: 2,
    find: ({ all }) => {
      const protein = across(all, { protein: ['small', 'medium', 'large'] }, 0.1);
      if (protein.steps.length < 2 || (protein.steps.length < 3 && protein.expected < 3)) return null;
      return {
        says: `Protein in ${protein.steps.length} steps, about ${protein.expected.toFixed(1)} % in all: it stacks.`,
        change: `Leave one of them out: ${list(protein.steps)}.`,
        products: names(protein.steps),
        items: protein.items,
      };
    },
  },
  {
    id: 'humectants-dry',
    strength: 2,
    find: ({ left, dewPointC }) => {
      const humectants = across(left, { humectant: 2 }, 0.5);
      if (dewPointC === null || dewPointC >= 2 || humectants.expected < 6) return null;
      return {
        says: `About ${humectants.expected.toFixed(0)} % humectants stay on over ${humectants.steps.length === 1 ? 'one step' : `${humectants.steps.length} steps`}, in dry air.`,
        change: `Change ${list(humectants.steps.slice(-1))} for one with less, or seal over it.`,
        products: names(humectants.steps),
        items: humectants.items,
      };
    },
  },
  {
    id: 'humectants-humid',
    strength: 2,
    find: ({ left, dewPointC }) => {
      const humectants = across(left, { humectant: 2 }, 0.5);
      const film = across(left, { film: 3, hold: 2 }, 0.3);
      if (dewPointC === null || dewPointC < 16 || humectants.expected < 6 || film.steps.length) return null;
      return {
        says: `About ${humectants.expected.toFixed(0)} % humectants stay on in humid air, with nothing over them that resists it.`,
        change: 'Let the hold product be one with a film former that resists humidity.',
        products: names(humectants.steps),
        items: humectants.items,
      };
    },
  },
  {
    id: 'oil-under-water',
    strength: 2,
    find: ({ left }) => {
      const at = left.findIndex(
        (step) => shareOf(pickItems(step.formula, { oil: 2, without: ['mineral'] })).expected >= 30,
      );
      const after = left
        .slice(at + 1)
        .filter((step) => shareOf(pickItems(step.formula, { mark: ['water'] })).expected >= 50);
      if (at < 0 || after.length === 0) return null;
      return {
        says: `${left[at]!.product} goes on before ${list(after)}: water does not pass an oil well. Schools differ on the order.`,
        change: `Move ${left[at]!.product} behind ${after.at(-1)!.product}.`,
        products: [left[at]!.product, ...names(after)],
        items: pickItems(left[at]!.formula, { oil: 2 }),
      };
    },
  },
  {
    id: 'film-on-film',
    strength: 1,
    find: ({ left }) => {
      const film = across(left, { hold: 2 }, 0.3);
      if (film.steps.length < 3) return null;
      return {
        says: `${film.steps.length} products lay film on film: flakes are likely where they meet.`,
        change: `Leave out ${film.steps[1]!.product}.`,
        products: names(film.steps),
        items: film.items,
      };
    },
  },
  {
    id: 'charge-clash',
    strength: 1,
    find: ({ left }) => {
      const cationic = across(left, { cationic: 2, film: 1 }, 0.3);
      const anionic = across(
        left,
        { name: ['Carbomer', 'Sodium Carbomer', 'Acrylates/C10-30 Alkyl Acrylate Crosspolymer'] },
        0.1,
      );
      if (
        !cationic.steps.length ||
        !anionic.steps.some(({ product }) => !names(cationic.steps).includes(product))
      )
        return null;
      return {
        says: `${list(cationic.steps)} is cationic and ${list(anionic.steps)} thickened with carbomer: together they can ball into white flakes.`,
        change: 'Try a drop of both in the palm first.',
        products: [...names(cationic.steps), ...names(anionic.steps)],
        items: [...cationic.items, ...anionic.items],
      };
    },
  },
];

/** A whole wash day read at once: what adds up, what clashes, and the smallest change that mends it; heaviest first. */
export function screenRoutine(steps: readonly RoutineStep[], dewPointC: number | null): RoutineFinding[] {
  const day = {
    all: steps,
    left: steps.filter(({ formula }) => formula.leaveOn),
    cleansers: steps.filter(({ slot }) => CLEANSE.includes(slot)),
    dewPointC,
  };
  return ROUTINE_RULES.flatMap(({ id, strength, find }) => {
    const found = find(day);
    return found ? [{ id, strength, ...found }] : [];
  }).sort((a, b) => b.strength - a.strength);
}
