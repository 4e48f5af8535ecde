import type { KeyOf } from '../vocabulary.ts';

/** What can wait to be tried, and where it comes from. */
export const TO_TRY = {
  retest: { label: 'to be run again' },
  formula: { label: 'formula changed since' },
  idea: { label: 'came up in the wash' },
  untried: { label: 'of a line you have used' },
} as const;
export type ToTry = KeyOf<typeof TO_TRY>;
