import type { MainResult } from '@sabor/core/compare/main-result';
import type { PanelResult } from '@sabor/core/trial/panel';
import { mainInWords } from './main-result.ts';

/** What a panel over several heads says, in one sentence; an arm is named only as one end of the tested gap. */
export function panelHeadline(
  { describes, p, tested }: PanelResult,
  arms: readonly string[],
  primary: MainResult,
  alpha: number,
): string {
  const { word, gives, gave, most, least } = mainInWords(primary);
  switch (describes) {
    case 'too few heads':
      return 'Too few heads have all their numbers; this can only hint.';
    case 'plan':
      return 'A panel of so few heads can only hint, however large the difference.';
    case 'missing heads could turn it':
      return 'The missing numbers could turn it round; this can only hint.';
  }
  if (p === null || tested === null || p > alpha) return `Cannot tell which ${gives}.`;
  const [named, over] = [arms[tested.named], arms[tested.over]];
  return arms.length === 2
    ? `${named} ${gave} than ${over}.`
    : `The options differ in ${word}: ${named} ${most}, ${over} ${least}.`;
}
