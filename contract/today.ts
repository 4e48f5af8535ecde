/** What waits for the tester, most pressing first. */
export type Due =
  | { kind: 'continue wash day'; trialId: string; washDayId: string; title: string; says: string }
  | { kind: 'start wash day'; trialId: string; title: string; says: string }
  | {
      kind: 'check-in';
      trialId: string;
      washDayId: string;
      stage: 'wet' | 'cast' | 'wear';
      day: number | null;
      title: string;
      says: string;
    }
  | { kind: 'end wear'; trialId: string; washDayId: string; title: string; says: string }
  | { kind: 'night'; trialId: string; washDayId: string; title: string; says: string }
  | { kind: 'care'; wearerId: string; title: string; says: string }
  | { kind: 'bottle'; productId: string; title: string; says: string }
  | { kind: 'read'; trialId: string; title: string; says: string };

/** What the air means for a wash day that waits or is under way, in sentences with their numbers. */
export interface AirForWashDay {
  trialId: string;
  /** Null while Sabor does not know where the wearer is. */
  placeId: string | null;
  title: string;
  says: string;
}

export interface Today {
  date: string;
  due: Due[];
  air: AirForWashDay[];
  /** True when this Sabor still holds nothing of its own. */
  empty: boolean;
  demo: boolean;
}
