import type { Product } from '@sabor/contract/shelf';
import type { BoardNode } from '@sabor/core/board/board';
import { doseInWords } from '@sabor/words/dose';

/** What each thing on a board is called: a product by its name (with its amount where several were tested), else as its option was. */
export function namesOn(nodes: readonly BoardNode[], products: readonly Product[]): (node: string) => string {
  const names = new Map(
    nodes.map(({ node, kind, productId, name, byAmount, dose }) => {
      const product = products.find(({ id }) => id === productId);
      const plain = kind === 'without' ? 'Left out' : kind === 'product' && product ? product.name : name;
      return [node, byAmount ? `${plain}, ${doseInWords(dose)}` : plain];
    }),
  );
  return (node) => names.get(node) ?? 'something that was removed';
}
