import type { Product } from '@sabor/contract/shelf';
import type { Voice } from '@sabor/words/voice';
import { useMemo } from 'react';
import { useSettings, useShelf } from './queries.ts';

const NONE: readonly Product[] = [];

/** How Sabor speaks here: products by their names, quantities in the user's units. */
export function useVoice(): Voice {
  const products = useShelf().data?.products ?? NONE;
  const { volume, length, temperature } = useSettings();
  return useMemo(() => {
    const names = new Map(products.map(({ id, name }) => [id, name]));
    return { product: (id) => names.get(id) ?? 'a product', units: { volume, length, temperature } };
  }, [products, volume, length, temperature]);
}
