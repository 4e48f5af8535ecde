/** US fluid ounce in millilitres. Source: NIST Handbook 44, appendix C (29.5735 ml). */
export const ML_PER_FL_OZ = 29.5735;
/** Inch in millimetres, exact by definition. Source: NIST Handbook 44, appendix C. */
export const MM_PER_INCH = 25.4;

export const flOzToMl = (flOz: number): number => flOz * ML_PER_FL_OZ;
export const mlToFlOz = (ml: number): number => ml / ML_PER_FL_OZ;
export const inchToMm = (inch: number): number => inch * MM_PER_INCH;
export const mmToInch = (mm: number): number => mm / MM_PER_INCH;
/** Source: NIST SP 811, appendix B. */
export const fahrenheitToCelsius = (f: number): number => ((f - 32) * 5) / 9;
export const celsiusToFahrenheit = (c: number): number => (c * 9) / 5 + 32;
