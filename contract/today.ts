import type { AirFacts } from '@sabor/core/climate/air-ahead';
import type { CareKind } from '@sabor/core/hair/care-kinds';
import type { HairEventKind } from '@sabor/core/hair/history';
import type { Stage } from '@sabor/core/outcomes/stages';

/** A wash day of a trial that something is due of. */
interface OfTrial {
  trialId: string;
  question: string;
  wearerName: string;
  /** The wash day's number, from 1, and how many are planned. */
  number: number;
  of: number;
}
interface OfDay extends OfTrial {
  washDayId: string;
}

/** What waits for the tester, most pressing first. */
export type Due =
  | ({ kind: 'continue wash day' | 'end wear' } & OfDay)
  | ({ kind: 'start wash day'; begun: boolean } & OfTrial)
  | ({ kind: 'check-in'; stage: Stage; day: number | null } & OfDay)
  /** What protects the hair tonight; `setWaits` where a set goes on drying. */
  | ({ kind: 'night'; setWaits: boolean } & OfDay)
  | { kind: 'read'; trialId: string; question: string }
  | {
      kind: 'care';
      wearerId: string;
      wearerName: string;
      /** Each kind of care that is due, the days it is overdue, and what called for it before its time. */
      care: { kind: CareKind; over: number; calledBy: HairEventKind | null }[];
    }
  /** A bottle near or past the last day (yyyy-mm-dd) of its period after opening. */
  | { kind: 'bottle'; productId: string; productName: string; last: string; past: boolean };

/** What the air means for a wash day that waits or is under way. */
export interface AirForWashDay {
  trialId: string;
  question: string;
  wearerName: string;
  /** Null while Sabor does not know where the wearer is. */
  place: { id: string; name: string } | null;
  /** Null where nothing is known of it. */
  air: AirFacts | null;
}

export interface Today {
  due: Due[];
  air: AirForWashDay[];
  /** True when this Sabor still holds nothing of its own. */
  empty: boolean;
  demo: boolean;
}
