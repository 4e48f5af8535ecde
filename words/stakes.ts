import { STAKES, type Stake } from '@sabor/core/shelf/products';

/** What the tester did not buy of what is compared, in words; null where all was bought. */
export function stakesInWords(products: readonly { name: string; stake: Stake }[]): string | null {
  const told = products.filter(({ stake }) => STAKES[stake].discloses);
  if (told.length === 0) return null;
  return `To declare: ${told.map(({ name, stake }) => `${name} (${STAKES[stake].label})`).join(', ')}.`;
}
