import type { Line, Product } from '@sabor/contract/shelf';
import type { VerdictInput } from '@sabor/contract/verdict';
import { PACKAGINGS, type Stake, stakeOfAll } from '@sabor/core/shelf/products';
import { judgedWayInWords } from '@sabor/words/ways';

/** What a verdict is about: a product, a whole line, or a way of doing it. */
export interface Judged {
  /** Its id; of a way, its key or its words. */
  id: string;
  name: string;
  subject: VerdictInput['subject'];
  /** Every claim it makes, each once, as it stands there. */
  claims: string[];
  packaging: string;
  /** How the tester came by it; null where nothing of a line is on the shelf. */
  stake: Stake | null;
  /** Where it is kept. */
  home: { to: string; label: string };
}

const each = (claims: readonly string[]) =>
  claims.filter((claim, i) => claims.findIndex((one) => one.toLowerCase() === claim.toLowerCase()) === i);

export const judgedProduct = (product: Product, line: Line | undefined): Judged => ({
  id: product.id,
  name: product.name,
  subject: { kind: 'product', productId: product.id },
  claims: each([
    ...product.claims,
    ...(line?.claims ?? [])
      .filter(({ collection }) => collection === '' || collection === product.collection)
      .map(({ claim }) => claim),
  ]),
  packaging: product.packaging === null ? '' : `${PACKAGINGS[product.packaging].label}.`,
  stake: product.stake,
  home: { to: `/shelf/${product.id}`, label: 'Back to the product' },
});

export const judgedLine = (line: Line, products: readonly Product[]): Judged => {
  return {
    id: line.id,
    name: line.name,
    subject: { kind: 'line', lineId: line.id },
    claims: each(line.claims.flatMap(({ collection, claim }) => (collection === '' ? claim : []))),
    packaging: '',
    stake: stakeOfAll(products.flatMap(({ lineId, stake }) => (lineId === line.id ? stake : []))),
    home: { to: '/shelf', label: 'Back to the shelf' },
  };
};

export const judgedWay = (way: string, wearerId: string | null): Judged => ({
  id: way,
  name: judgedWayInWords(way),
  subject: { kind: 'way', way },
  claims: [],
  packaging: '',
  stake: null,
  home:
    wearerId === null
      ? { to: '/heads', label: 'Back to the heads' }
      : { to: `/heads/${wearerId}?part=verdicts`, label: 'Back to the head’s verdicts' },
});
