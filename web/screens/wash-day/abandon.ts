import type { WashDay } from '@sabor/contract/wash-day';
import { post } from '../../api/http.ts';
import { useWashDayChange } from '../../api/queries.ts';

export const ABANDONING =
  'It stays on record with its reason and counts for nothing. Its place in the lot comes up again with the same arm.';

export const useAbandon = (washDayId: string) =>
  useWashDayChange(washDayId, (reason: string) =>
    post<WashDay>(`/wash-days/${washDayId}/abandon`, { reason }),
  );
