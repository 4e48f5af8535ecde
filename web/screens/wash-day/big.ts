/** Targets for a thumb or a knuckle: 64 px and more. */
export const big = 'min-h-16 rounded-tag px-5 text-xl font-semibold';
export const chip =
  'min-h-16 rounded-tag border-2 border-paper/60 px-4 text-lg font-semibold aria-pressed:border-paper aria-pressed:bg-paper aria-pressed:text-ink';
/** Five in a row of a phone, for what is told with dry hands. */
export const small =
  'min-h-12 rounded-tag border-2 border-paper/60 px-2.5 font-semibold aria-pressed:border-paper aria-pressed:bg-paper aria-pressed:text-ink';
