import type { OwnBoard } from '@sabor/contract/board';
import type { BoardTrial } from '@sabor/core/board/read';
import { SLOTS, type Slot } from '@sabor/core/step/slots';

export const roleLabel = (role: Slot | 'line') => (role === 'line' ? 'Whole lines' : SLOTS[role].label);

/** Changes what the address asks for; null takes it out. */
export type SetAddress = (to: Record<string, string | null>) => void;

/** The steps that trials of this head tested, the most tested first. */
export function rolesOf(trials: readonly BoardTrial[]): { role: Slot | 'line'; count: number }[] {
  const roles = trials.map(({ arms }) => arms[0]!.role);
  return [...new Set(roles)]
    .map((role) => ({ role, count: roles.filter((one) => one === role).length }))
    .toSorted((a, b) => b.count - a.count);
}
/** The step that the address asks for, else the most tested one. */
export const roleOf = (own: OwnBoard, search: URLSearchParams) => {
  const roles = rolesOf(own.trials);
  return roles.find(({ role }) => role === search.get('role'))?.role ?? roles[0]?.role ?? null;
};
