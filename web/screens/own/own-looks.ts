import type { LookInput, Looks, WaitingLook } from '@sabor/contract/looks';
import type { Boxed } from '../../offline/box.ts';
import type { KeptLook } from '../../offline/kept.ts';

/** Which look of which wash day. */
export type Which = Pick<LookInput, 'washDayId' | 'stage' | 'day'>;

export const sameLook = (a: Which, b: Which): boolean =>
  a.washDayId === b.washDayId && a.stage === b.stage && a.day === b.day;

/** What was said of a look so far: what the server has, with all in it that is still on its way there. */
export interface SaidSoFar {
  /** The check-in’s own id, once something was said. */
  id: string | null;
  at: string | null;
  note: string;
  ratings: readonly NonNullable<WaitingLook['said']>['ratings'][number][];
}

/** Puts what waits here over what the server knows; a rating without a value takes it away. */
export function saidSoFar(look: WaitingLook, waiting: readonly Boxed<KeptLook>[]): SaidSoFar {
  let { id, at, note, ratings }: SaidSoFar = look.said ?? { id: null, at: null, note: '', ratings: [] };
  for (const { look: said, refused } of waiting) {
    if (refused !== null || !sameLook(said, look)) continue;
    id ??= said.id;
    at ??= said.at;
    note = said.note ?? note;
    const anew = new Set(said.ratings.map(({ outcome, zoneId }) => `${outcome} ${zoneId}`));
    ratings = [
      ...ratings.filter(({ outcome, zoneId }) => !anew.has(`${outcome} ${zoneId}`)),
      ...said.ratings.flatMap(({ value, ...rest }) => (value === null ? [] : [{ ...rest, value }])),
    ];
  }
  return { id, at, note, ratings };
}

export const headOf = ({ heads }: Looks, look: WaitingLook): Looks['heads'][number] | undefined =>
  heads.find(({ id }) => id === look.wearerId);
