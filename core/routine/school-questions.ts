import type { Role } from '../shelf/products.ts';
import type { Heat, Technique, Tool, Wetness } from '../step/choices.ts';
import type { Slot } from '../step/slots.ts';

/** What of a step the questions look at. */
export interface AskedStep {
  slot: Slot;
  wetness: Wetness | null;
  technique: Technique | null;
  tool: Tool | null;
  heat: Heat | null;
  /** Roles of the step's product; empty without one. */
  roles: readonly Role[];
}

export interface SchoolSide {
  does: string;
  because: string;
  /** Whether this routine takes this side. */
  taken: (steps: readonly AskedStep[]) => boolean;
}

export interface SchoolQuestion {
  question: string;
  sides: readonly SchoolSide[];
}

const at = (steps: readonly AskedStep[], ...slots: Slot[]) =>
  steps.filter(({ slot }) => slots.includes(slot));
const plays = ({ roles }: AskedStep, ...wanted: Role[]) => wanted.some((role) => roles.includes(role));
const STYLING = ['leave-in', 'emollient', 'hold', 'second-coat'] as const;
const wet = (steps: readonly AskedStep[], ...levels: Wetness[]) =>
  at(steps, ...STYLING).some(({ wetness }) => wetness !== null && levels.includes(wetness));

/** Where approaches differ on how a wash day is done. Common practice, no source: neither side is right for everybody. */
export const SCHOOL_QUESTIONS: readonly SchoolQuestion[] = [
  {
    question: 'Cleansing',
    sides: [
      {
        does: 'co-wash or low lather, seldom',
        because: 'keeps the lengths soft',
        taken: (steps) => at(steps, 'cleanse').some((step) => plays(step, 'co-wash')),
      },
      {
        does: 'a lather, twice if need be, often',
        because: 'a clean scalp and no build-up',
        taken: (steps) => at(steps, 'cleanse').some((step) => plays(step, 'shampoo', 'clarifier')),
      },
    ],
  },
  {
    question: 'Wetness for styling',
    sides: [
      {
        does: 'soaking',
        because: 'larger clumps and more definition',
        taken: (steps) => wet(steps, 'soaking', 'wet'),
      },
      {
        does: 'damp',
        because: 'more hold, length and volume',
        taken: (steps) => wet(steps, 'damp', 'barely'),
      },
    ],
  },
  {
    question: 'Oil and cream',
    sides: [
      {
        does: 'liquid, oil, cream',
        because: 'the oil seals the liquid in',
        taken: (steps) => orderOf(steps) === 'oil first',
      },
      {
        does: 'liquid, cream, oil',
        because: 'the oil seals the cream in; in winter a second oil last',
        taken: (steps) => orderOf(steps) === 'cream first',
      },
    ],
  },
  {
    question: 'Hold',
    sides: [
      {
        does: 'gel always',
        because: 'a cast that lasts',
        taken: (steps) => at(steps, 'hold', 'second-coat').some((step) => plays(step, 'gel')),
      },
      {
        does: 'cream or foam alone',
        because: 'touchable hair',
        taken: (steps) =>
          !steps.some((step) => plays(step, 'gel')) &&
          at(steps, 'hold', 'emollient').some((step) => plays(step, 'cream', 'foam')),
      },
    ],
  },
  {
    question: 'Masks',
    sides: [
      {
        does: 'on soaking hair with heat',
        because: 'warmth works it in',
        taken: (steps) =>
          at(steps, 'condition', 'treat').some(
            (step) =>
              plays(step, 'mask') &&
              (step.wetness === 'soaking' || (step.heat !== null && step.heat !== 'none')),
          ),
      },
      {
        does: 'on air-dried damp hair',
        because: 'water does not thin it',
        taken: (steps) =>
          steps.some(({ slot }) => slot === 'half-dry') ||
          at(steps, 'condition', 'treat').some((step) => plays(step, 'mask') && step.wetness === 'damp'),
      },
    ],
  },
  {
    question: 'Drying',
    sides: [
      {
        does: 'diffuser or hood',
        because: 'shape and control',
        taken: (steps) => at(steps, 'dry').some(({ tool }) => tool === 'diffuser' || tool === 'hood'),
      },
      {
        does: 'air',
        because: 'health and calm',
        taken: (steps) =>
          at(steps, 'dry').some(
            ({ tool, heat }) => tool !== 'diffuser' && tool !== 'hood' && (heat === null || heat === 'none'),
          ),
      },
    ],
  },
  {
    question: 'Night',
    sides: [
      {
        does: 'a bonnet',
        because: 'nothing rubs',
        taken: (steps) => at(steps, 'protect').some(({ tool }) => tool === 'bonnet'),
      },
      {
        does: 'scarf on top, curls free, or a satin pillowcase',
        because: 'nothing is flattened',
        taken: (steps) => at(steps, 'protect').some(({ tool }) => tool === 'scarf' || tool === 'pillowcase'),
      },
    ],
  },
  {
    question: 'Separating',
    sides: [
      {
        does: 'while wet',
        because: 'clumps split cleanly',
        taken: (steps) => steps.some(({ slot }) => slot === 'wet-check'),
      },
      {
        does: 'once dry, with oil, or never',
        because: 'definition is kept',
        taken: (steps) => !steps.some(({ slot }) => slot === 'wet-check'),
      },
    ],
  },
];

/** Which comes first behind the leave-in, oil or cream; null unless both are there. */
function orderOf(steps: readonly AskedStep[]): 'oil first' | 'cream first' | null {
  const oil = steps.findIndex((step) => step.slot === 'emollient' && plays(step, 'oil'));
  const cream = steps.findIndex(
    (step) => (step.slot === 'emollient' || step.slot === 'hold') && plays(step, 'cream'),
  );
  if (oil < 0 || cream < 0) return null;
  return oil < cream ? 'oil first' : 'cream first';
}

/** The questions a routine answers one way, with the side it takes and the others. */
export function schoolsOf(
  steps: readonly AskedStep[],
): { question: string; taken: SchoolSide; others: readonly SchoolSide[] }[] {
  return SCHOOL_QUESTIONS.flatMap(({ question, sides }) => {
    const taken = sides.find((side) => side.taken(steps));
    return taken ? [{ question, taken, others: sides.filter((side) => side !== taken) }] : [];
  });
}
