import type { Shelf } from '@sabor/contract/shelf';
import { wayOf } from '@sabor/core/verdict/ways';
import { judgedWayInWords } from '@sabor/words/ways';
import { useShelf } from './queries.ts';

/** What a verdict names, by name: a product or a line by its id, a way by its key. */
export const nameOfThing =
  (shelf: Pick<Shelf, 'products' | 'lines'> | undefined) =>
  (id: string): string =>
    shelf?.products.find((one) => one.id === id)?.name ??
    shelf?.lines.find((one) => one.id === id)?.name ??
    (wayOf(id) === null ? 'a product that was removed' : judgedWayInWords(id));

/** {@link nameOfThing} by the shelf as it is. */
export const useNameOfThing = () => nameOfThing(useShelf().data);
