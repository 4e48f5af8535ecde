import { HEAT_TOOLS, type Heat, type Tool } from '../step/choices.ts';
import type { Slot } from '../step/slots.ts';
import { celsiusToFahrenheit } from '../units/convert.ts';

/** What a step is about to do, as far as a caution needs to know. */
export interface CautionStep {
  slot: Slot;
  heat: Heat | null;
  tool: Tool | null;
  /** Warmth from a steamer, hood or towel. */
  warmth: string | null;
  product: {
    name: string;
    roles: readonly string[];
    /** It has been used on this head before. */
    usedBefore: boolean;
    /** It is past its date or its months after opening. */
    past: boolean;
  } | null;
  child: boolean;
  /** The temperature it is set to, and the lowest limit that a label of what is in the hair states, °C. */
  celsius?: number | null;
  heatLimitC?: number | null;
  /** How hard the hair is pulled, where that is set. */
  pull?: string | null;
}

export interface CautionRule {
  id: string;
  when: (step: CautionStep) => boolean;
  says: (step: CautionStep) => string;
}

/** Tools are marked in either unit: "180 °C (356 °F)". */
const degrees = (celsius: number) =>
  `${Number(celsius.toFixed(1))} °C (${Number(celsiusToFahrenheit(celsius).toFixed(1))} °F)`;

const hot = ({ heat }: CautionStep) => heat === 'medium' || heat === 'high';

/** Cautions during the wash, in the order they matter. They defer to the label and to professionals; source: trade.md. */
export const BASIN_CAUTIONS: readonly CautionRule[] = [
  {
    id: 'past-date',
    when: ({ product }) => product?.past ?? false,
    says: ({ product }) =>
      `${product!.name} is past its date. If smell, colour or texture has changed, do not use it and do not test it.`,
  },
  {
    id: 'first-use',
    when: ({ product }) => product !== null && !product.usedBefore,
    says: ({ product }) =>
      `First time ${product!.name} comes on this head. Patch-test it on the inner arm and wait 48 hours; stop at burning, hives or swelling, and see a doctor.`,
  },
  {
    id: 'protein',
    when: ({ slot, product }) => slot === 'treat' || (product?.roles.includes('treatment') ?? false),
    says: () =>
      'Keep to the label’s minutes. Do not comb while it stiffens; rinse fully, or it is left in as a crust.',
  },
  {
    id: 'dryer-water',
    when: ({ tool }) => tool !== null && HEAT_TOOLS.includes(tool),
    says: () => 'No dryer near water: dry hands, dry floor, nothing in the basin.',
  },
  {
    id: 'heat',
    when: (step) => hot(step),
    says: () => 'Heat: stay under the limit of the protectant and the tool, as their labels state it.',
  },
  {
    id: 'over-limit',
    when: ({ celsius, heatLimitC }) => celsius != null && heatLimitC != null && celsius > heatLimitC,
    says: ({ celsius, heatLimitC }) =>
      `${degrees(celsius!)} is over the ${degrees(heatLimitC!)} that a label in this hair allows. Turn it down; the label comes first.`,
  },
  {
    id: 'no-limit',
    when: ({ tool, heatLimitC }) => (tool === 'flat-iron' || tool === 'brush-dryer') && heatLimitC == null,
    says: () =>
      'No label of what is in this hair states a heat limit. Do not iron over it without a heat protectant, and keep to the limit its label states.',
  },
  {
    id: 'tight',
    when: ({ pull }) => pull === 'tight',
    says: () =>
      'A tight style pulls: not in the same place twice running, and loosen it where it hurts. Hair that thins at the edges is for a dermatologist.',
  },
  {
    id: 'steam',
    when: ({ warmth }) => warmth === 'steamer' || warmth === 'towel' || warmth === 'hood',
    says: () => 'Steam and hot towels scald: test on the inside of the wrist first.',
  },
  {
    id: 'oil',
    when: ({ product, slot }) => slot === 'pre-wash' && (product?.roles.includes('oil') ?? false),
    says: () => 'Oil makes the bath slippery.',
  },
  {
    id: 'child',
    when: ({ child }) => child,
    says: () =>
      'A child: keep it short, nothing near the eyes, no tight styles; a carer agrees and stays. Ask a paediatric professional where in doubt.',
  },
];

/** The cautions that belong to a step, worst first. */
export const cautionsFor = (step: CautionStep): { id: string; says: string }[] =>
  BASIN_CAUTIONS.filter(({ when }) => when(step)).map(({ id, says }) => ({ id, says: says(step) }));
