import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { followDay } from '../../offline/follow-day.ts';

/** Follows a wash day while its page is open: what other devices tell of it shows by itself. */
export function useFollowed(id: string): void {
  const client = useQueryClient();
  useEffect(
    () =>
      id === ''
        ? undefined
        : followDay(id, () => client.refetchQueries({ queryKey: ['wash-days', id], exact: true })),
    [client, id],
  );
}
