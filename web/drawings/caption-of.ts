import type { PhotographMeasured } from '@sabor/contract/photograph';
import type { Angle } from '@sabor/core/basin/angles';
import { captionInWords } from '@sabor/words/photo';

/** What is told under a measured photograph. */
export function captionOf(angle: Angle, { readings }: Pick<PhotographMeasured, 'readings'>): string {
  const read = (of: string) => readings.find(({ measure }) => measure === of)?.value ?? null;
  return captionInWords(angle, read('halo'), read('clump-contrast'));
}
