/** How far a trial is. */
export const TRIAL_STATUSES = {
  planned: { label: 'planned' },
  running: { label: 'under way' },
  finished: { label: 'finished' },
  ended: { label: 'ended early' },
} as const;
