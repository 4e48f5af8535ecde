/** A colour of the page as a canvas wants it: a token's value now, in light or dark. */
export const paint = (token: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--color-${token}`).trim();

/** Whether the page is dark. */
export const isDark = (): boolean => matchMedia('(prefers-color-scheme: dark)').matches;
