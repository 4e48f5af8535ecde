/** Largest photograph that is stored, bytes. */
export const PHOTOGRAPH_LIMIT = 12_000_000;
/** A photograph is sent in pieces of so many bytes, so that a lost connection loses little. */
export const PIECE = 262_144;
