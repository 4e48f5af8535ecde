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
  | { kind: 'care'; wearerId: string; title: string; says: string }
  | { kind: 'bottle'; productId: string; title: string; says: string }
  | { kind: 'read'; trialId: string; title: string; says: string };

export interface Today {
  date: string;
  due: Due[];
  /** True when this Sabor still holds nothing of its own. */
  empty: boolean;
  demo: boolean;
}
