import type { Wearer } from '@sabor/contract/wearer';
import { TRAITS, type TraitName } from '@sabor/core/hair/traits';

/** A head's traits in a line: "4A, low porosity, coarse strand, medium density". */
export function traitsOf(wearer: Wearer): string {
  const told = (Object.keys(TRAITS) as TraitName[]).flatMap((name) => {
    const value = wearer[name];
    if (value === null || name === 'damage') return [];
    const { options, label } = TRAITS[name];
    const says = (options as Record<string, { label: string }>)[value]?.label ?? value;
    return [name === 'pattern' ? says : `${says} ${label.toLowerCase()}`];
  });
  return told.join(', ') || 'nothing told of it';
}
