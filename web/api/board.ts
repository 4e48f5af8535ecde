import type { OwnBoard } from '@sabor/contract/board';
import { useQuery } from '@tanstack/react-query';
import { resource } from './queries.ts';

/** A head's trials as its board reads them, and those that are not on it. */
export const useBoardTrials = (wearerId: string) =>
  useQuery({ ...resource<OwnBoard>(`/wearers/${wearerId}/board`), enabled: wearerId !== '' });
