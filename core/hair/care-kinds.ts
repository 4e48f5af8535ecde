import type { HairEventKind } from './history.ts';
import type { CareMark } from './wash-care.ts';

/**
 * Care that comes round, with the trade's usual cadence in days. Common practice, no source; the wearer's own cadence
 * replaces it, and some keep away from protein altogether. `counts`: events that reset it; `calls`: events that call
 * for it at once; `asked`: kept only where the wearer's own days are given; `turns`: what it can take turns with.
 */
export const CARE = {
  wash: { label: 'Wash', everyDays: 7, counts: [], calls: [], says: 'about once a week' },
  shampoo: {
    label: 'Shampoo',
    everyDays: 7,
    counts: ['shampoo', 'clarify'],
    calls: [],
    says: 'a lather, apart from co-washes; a clarifying wash counts',
    asked: true,
    turns: 'co-wash',
  },
  'co-wash': {
    label: 'Co-wash',
    everyDays: 7,
    counts: ['co-wash'],
    calls: [],
    says: 'conditioner alone, between shampoos',
    asked: true,
    turns: 'shampoo',
  },
  clarify: {
    label: 'Clarify',
    everyDays: 14,
    counts: ['clarify'],
    calls: ['blow-out', 'bond', 'braids-out'],
    says: 'about twice a month, and after silicones, bond treatments and braids',
  },
  'deep-condition': {
    label: 'Deep condition',
    everyDays: 7,
    counts: ['deep-condition'],
    calls: [],
    says: 'weekly',
  },
  'protein-light': {
    label: 'Light protein',
    everyDays: 15,
    counts: ['protein-light', 'protein-intense'],
    calls: [],
    says: 'about twice a month; by the stretch test alone for some; never for others',
  },
  'protein-intense': {
    label: 'Intense protein',
    everyDays: 49,
    counts: ['protein-intense'],
    calls: [],
    says: 'every six to eight weeks',
  },
  trim: {
    label: 'Trim',
    everyDays: 105,
    counts: ['trim', 'big-cut'],
    calls: [],
    says: 'every three to four months',
  },
} as const satisfies Record<
  string,
  {
    label: string;
    everyDays: number;
    counts: readonly CareMark[];
    calls: readonly HairEventKind[];
    says: string;
    asked?: true;
    turns?: string;
  }
>;
export type CareKind = keyof typeof CARE;
