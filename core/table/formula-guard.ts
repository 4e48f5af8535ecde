/** What a spreadsheet may take for a formula, or for the end of a cell: the sign may stand behind blanks. */
const RISKY = /^'*(\s*[=+\-@＝＋－＠]|[\t\r\n])/;

/**
 * A text kept from being a formula in a spreadsheet: with a mark (') in front. Not for numbers, which may be negative.
 * Source: OWASP, CSV Injection (the signs, tab and line ends).
 */
export const guarded = (text: string): string => (RISKY.test(text) ? `'${text}` : text);

/** The text behind {@link guarded}; one that no guard has touched stays as it is. */
export const unguarded = (text: string): string =>
  text.startsWith("'") && RISKY.test(text.slice(1)) ? text.slice(1) : text;

/** What tells spreadsheets that a file is UTF-8. */
export const BOM = '\uFEFF';
