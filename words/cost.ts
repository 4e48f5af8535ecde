import type { CostGap } from '@sabor/core/shelf/wash-cost';

/** What a cost leaves out, as a sentence: "Foam has no price or size." */
export function costGapInWords(gap: CostGap): string {
  switch (gap.kind) {
    case 'unpriced':
      return `${gap.product} has no price or size.`;
    case 'unmeasured':
      return `The amount of ${gap.product} is not known.`;
    case 'currencies':
      return 'Prices are in different currencies and are not added up.';
  }
}
