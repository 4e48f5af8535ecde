/** How far an open problem of a head is. */
export const PROBLEM_STATES = {
  open: { label: 'open' },
  better: { label: 'getting better' },
  solved: { label: 'solved' },
} as const;
export type ProblemState = keyof typeof PROBLEM_STATES;
