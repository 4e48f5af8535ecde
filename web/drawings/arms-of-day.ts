import type { Trial } from '@sabor/contract/trial-record';

/** The arms of a wash day as the trial numbers them: one for a whole head, left and right of a half-head. */
export function armsOfDay(
  trial: Pick<Trial, 'arms'>,
  { armId, rightArmId }: { armId: string; rightArmId?: string | null },
): number[] {
  const arm = (id: string) => trial.arms.findIndex((known) => known.id === id);
  return rightArmId == null || rightArmId === armId ? [arm(armId)] : [arm(armId), arm(rightArmId)];
}
