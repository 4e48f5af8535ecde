/**
 * What else moves a measure of photographs, by its key. Clump width follows, in drawn hair whose looseness, straying and width
 * were varied apart, the hold of clumps as much as their width: docs/validation.md, "order of heads from near".
 */
const ALSO_MOVED_BY: Readonly<Record<string, string>> = {
  'clump-width':
    'Hair that hangs looser or strays more reads otherwise too: where clump contrast or smoothness of run differ as well, this says little of how wide clumps are.',
};

/**
 * Where hair may differ and a measure of photographs hardly tells. Smoothness of run follows how strands run in drawn hair
 * whose turns are 3.4 widths long (rank correlation .90 and more), and not at 2.5 or 2.2 (.60, .45): docs/validation.md, same row.
 */
const HARDLY_TELLS: Readonly<Record<string, string>> = {
  coherence:
    'In coils, whose turns are less than three times as long as they are wide, this hardly follows how strands run: other hair may read the same.',
};

const of = (told: Readonly<Record<string, string>>, measure: string | undefined): string[] =>
  measure !== undefined && Object.hasOwn(told, measure) ? [told[measure]!] : [];

/** What to say beside a measure that reads the same, or is not told apart: a sentence, or none. */
export const hardlyTells = (measure: string | undefined): string[] => of(HARDLY_TELLS, measure);

/** What to say beside a measure, wherever it is judged by or a difference of it is told: sentences, or none. */
export const alsoMoved = (measure: string | undefined): string[] => [
  ...of(ALSO_MOVED_BY, measure),
  ...hardlyTells(measure),
];
