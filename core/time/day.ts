/** Milliseconds of a day of 24 hours: for stretches of time, not for dates. */
export const DAY_MS = 86_400_000;
