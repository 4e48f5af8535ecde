import type { WashDay } from '@sabor/contract/wash-day';
import { useWashDayChange } from '../../api/queries.ts';
import { post } from '../../http/http.ts';

export const ABANDONING =
  'It stays on record with its reason and counts for nothing. Its place in the random order comes up again with the same option.';

export const useAbandon = (washDayId: string) =>
  useWashDayChange(washDayId, (reason: string) =>
    post<WashDay>(`/wash-days/${washDayId}/abandon`, { reason }),
  );
