import type { Stay } from '@sabor/contract/weather';
import { localToday } from '@sabor/core/time/today';
import { v7 } from 'uuid';
import { put } from '../http/http.ts';
import { useChange } from './queries.ts';

/** Says that hair is at a place from today on. Gives a sentence where that could not be kept, else null. */
export function useJoin() {
  const save = useChange((stay: Stay) => put(`/stays/${stay.id}`, stay));
  return (wearerId: string, placeId: string): Promise<string | null> =>
    save.mutateAsync({ id: v7(), wearerId, placeId, from: localToday() }).then(
      () => null,
      (problem: Error) => `Who is where could not be kept: ${problem.message} Say it under Weather.`,
    );
}
