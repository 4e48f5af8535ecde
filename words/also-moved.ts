/**
 * What else moves a measure of photographs, by its key. Clump width follows, in drawn hair whose looseness, straying and width
 * were varied apart, the hold of clumps as much as their width: docs/validation.md, "order of heads from near".
 */
const ALSO_MOVED_BY: Readonly<Record<string, string>> = {
  'clump-width':
    'Hair that hangs looser or strays more reads otherwise too: where clump contrast or smoothness of run differ as well, this says little of how wide clumps are.',
};

/** What to say beside a measure, wherever it is judged by or a difference of it is told: a sentence, or none. */
export const alsoMoved = (measure: string | undefined): string[] =>
  measure !== undefined && Object.hasOwn(ALSO_MOVED_BY, measure) ? [ALSO_MOVED_BY[measure]!] : [];
