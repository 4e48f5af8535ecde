/** A share from 0 to 1 as whole per cent. */
export const showPercent = (share: number): string => `${Math.round(100 * share)} %`;
