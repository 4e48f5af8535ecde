/** Model constants of the ledger, in one place. All are model assumptions. */
export const LEDGER = {
  /** Share of what is applied that stays: left on, or rinsed off. */
  stays: { leaveOn: 0.6, rinseOff: 0.04 },
  /** Grams taken for a dose nobody measured. */
  unknownDose: 8,
  /** Load, in grams of residue on a head of usual length, from which hair feels coated: clarify. */
  coated: 2,
  /** Protein load in grams from which hair may stiffen; half of it is gone after so many days. */
  stiff: 0.6,
  proteinHalfLife: 21,
} as const;
