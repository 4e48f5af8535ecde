import type { Me } from '@sabor/contract/access';
import type { BackupState } from '@sabor/contract/backup';
import type { Buying } from '@sabor/contract/buying';
import type { CalendarEntry } from '@sabor/contract/calendar';
import type { ListedClip } from '@sabor/contract/clip';
import type { DayImport } from '@sabor/contract/day-import';
import type { HairFile } from '@sabor/contract/hair-file';
import type { LedgerWashDay, OwnIngredient } from '@sabor/contract/ingredients';
import type { ListedDay } from '@sabor/contract/logged-day';
import type { Looks } from '@sabor/contract/looks';
import type { Memo } from '@sabor/contract/memo';
import type { Ghosts, ListedPhotograph } from '@sabor/contract/photograph';
import type { Recipe } from '@sabor/contract/recipe';
import type { Routine } from '@sabor/contract/routine';
import type { Found } from '@sabor/contract/search';
import type { Settings } from '@sabor/contract/settings';
import type { Shelf } from '@sabor/contract/shelf';
import type { Today } from '@sabor/contract/today';
import type { DoseRun, KeyEntry, Trial, TrialDetail } from '@sabor/contract/trial-record';
import type { UsualDay, UsualOfZone } from '@sabor/contract/usual';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import type { PlaceWeather, Weather } from '@sabor/contract/weather';
import type { WornDay } from '@sabor/contract/worn';
import { applyTaps } from '@sabor/reading/apply-tap';
import { DEFAULT_SETTINGS } from '@sabor/reading/default-settings';
import {
  keepPreviousData,
  QueryCache,
  QueryClient,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useMemo } from 'react';
import { get, noteOld, put, Refused } from '../http/http.ts';
import { newestOf, readDay } from '../offline/known-day.ts';
import { useOutbox } from '../offline/outbox.ts';
import { isWorked } from './worked.ts';

/** What a server says, or what says it in its place, that is not there to answer. */
const AWAY = [0, 502, 503, 504];

export const queryClient = new QueryClient({
  queryCache: new QueryCache({
    // What stands on the page stays there, and says how old it is.
    onError: (error, { queryHash, state: { data, dataUpdatedAt } }) => {
      if (data !== undefined && error instanceof Refused && AWAY.includes(error.status))
        noteOld(queryHash, new Date(dataUpdatedAt).toUTCString());
    },
  }),
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      retry: (count, error) =>
        count < 2 && !(error instanceof Refused && error.status >= 400 && error.status < 500),
    },
  },
});

/** Since when the oldest of what is on show is old because the server failed as it read it again; null where nothing is. */
export const failedAnew = {
  hear: (tell: () => void) => queryClient.getQueryCache().subscribe(tell),
  now: (): string | null => {
    const old = queryClient
      .getQueryCache()
      .findAll({ type: 'active' })
      .flatMap(({ state: { data, error, dataUpdatedAt } }) =>
        data !== undefined && error instanceof Refused && error.status >= 500 && !AWAY.includes(error.status)
          ? dataUpdatedAt
          : [],
      );
    return old.length ? new Date(Math.min(...old)).toISOString() : null;
  },
};

/** What went wrong with a question that nothing is known of; one asked anew leaves what was known. */
export const brokenOf = ({ data, error }: { data: unknown; error: Error | null }): Error | null =>
  data === undefined ? error : null;

/** What the server answers to a path, kept under the path's own words: `/wearers/1/file` is ['wearers', '1', 'file']. */
export const resource = <T>(path: string) => ({
  queryKey: path.split('/').filter(Boolean),
  queryFn: () => get<T>(path),
});

export const useMe = () => useQuery(resource<Me>('/me'));
export const useLooks = () => useQuery(resource<Looks>('/looks'));
export const useMemos = () => useQuery(resource<Memo[]>('/memos'));
export const useDayImports = () => useQuery(resource<DayImport[]>('/day-imports'));
export const useShelf = () => useQuery(resource<Shelf>('/shelf'));
export const useWearers = () => useQuery(resource<Wearer[]>('/wearers'));
export const useWearer = (id: string) =>
  useQuery({ ...resource<Wearer>(`/wearers/${id}`), enabled: id !== 'new' });
export const useHairFile = (wearerId: string) =>
  useQuery({ ...resource<HairFile>(`/wearers/${wearerId}/file`), enabled: wearerId !== '' });
export const useCalendar = (from: string, to: string) =>
  useQuery({
    ...resource<CalendarEntry[]>(`/calendar?from=${from}&to=${to}`),
    placeholderData: keepPreviousData,
  });
export const useWashDays = () => useQuery(resource<ListedDay[]>('/wash-days'));
export const useBuying = () => useQuery(resource<Buying>('/buying'));
export const useRecipes = () => useQuery(resource<Recipe[]>('/recipes'));
export const useRoutines = () => useQuery(resource<Routine[]>('/routines'));
export const useTrials = () => useQuery(resource<Trial[]>('/trials'));
export const useTrial = (id: string) =>
  useQuery({ ...resource<TrialDetail>(`/trials/${id}`), enabled: id !== 'new' });
/**
 * A wash day as this device knows it: what the server has, with every tap in it that is still on its way there.
 * `live`: read again only where its state is another, by whoever follows it.
 */
export function useWashDay(id: string, live = false) {
  const query = useQuery({
    queryKey: ['wash-days', id],
    queryFn: () => readDay(id, live),
    ...(live ? { retry: false } : {}),
  });
  const { waiting } = useOutbox();
  const { data } = query;
  const day = useMemo(
    () =>
      data &&
      applyTaps(
        data,
        waiting.filter(({ washDayId }) => washDayId === id).map(({ tap }) => tap),
      ),
    [data, waiting, id],
  );
  return { ...query, data: day, isError: query.isError && day === undefined };
}
export const useToday = () => useQuery({ ...resource<Today>('/today'), staleTime: 0 });

export const useOwnIngredients = () => useQuery(resource<OwnIngredient[]>('/own-ingredients'));
export const useWeather = () => useQuery(resource<Weather>('/weather'));
/** A place's readings between two moments (ms), with its sets and what its station foresees. */
export const usePlaceWeather = (id: string, from: number, to: number) => {
  const [first, last] = [from, to].map((ms) => new Date(ms).toISOString());
  return useQuery({
    ...resource<PlaceWeather>(`/places/${id}/weather?from=${first}&to=${last}`),
    enabled: id !== '',
    placeholderData: keepPreviousData,
  });
};

/** Every product used on a head's wash days, in order. */
export const useLedger = (wearerId: string) =>
  useQuery({ ...resource<LedgerWashDay[]>(`/wearers/${wearerId}/ledger`), enabled: wearerId !== '' });
export const useDoseRuns = (wearerId: string) =>
  useQuery({ ...resource<DoseRun[]>(`/wearers/${wearerId}/doses`), enabled: wearerId !== '' });
export const useGhosts = (wearerId: string) =>
  useQuery({ ...resource<Ghosts>(`/wearers/${wearerId}/ghosts`), enabled: wearerId !== '' });
export const usePhotographs = (wearerId: string) =>
  useQuery({
    ...resource<ListedPhotograph[]>(`/wearers/${wearerId}/photographs`),
    enabled: wearerId !== '',
  });
export const clipsOf = (wearerId: string) => resource<ListedClip[]>(`/wearers/${wearerId}/clips`);
export const useClips = (wearerId: string) => useQuery({ ...clipsOf(wearerId), enabled: wearerId !== '' });
/** What is behind each code; refused to all but a helper before the trial is over. */
export const useKey = (trialId: string) => useQuery(resource<KeyEntry[]>(`/trials/${trialId}/key`));
export const useTrialsWhole = (ids: readonly string[]) =>
  useQueries({
    queries: ids.map((id) => resource<TrialDetail>(`/trials/${id}`)),
    combine: (all) => ({
      error: all.map(brokenOf).find((error) => error) ?? null,
      data: all.every(({ data }) => data) ? all.map(({ data }) => data!) : undefined,
      refetch: () => void Promise.all(all.map(({ refetch }) => refetch())),
    }),
  });
export const useFound = (q: string) =>
  useQuery({
    ...resource<Found[]>(`/search?q=${encodeURIComponent(q)}`),
    enabled: q.length > 1,
    placeholderData: (before: Found[] | undefined) => (q.length > 1 ? before : undefined),
  });

/** Where a head's ratings usually lie at a stage or day worn, one trial left out. */
export const useUsual = (wearerId: string, stage: string, day: number | null, without: string) =>
  useQuery(
    resource<UsualOfZone[]>(
      `/wearers/${wearerId}/usual?stage=${stage}${day === null ? '' : `&day=${day}`}&without=${without}`,
    ),
  );

/** Where a head's minutes, shed hairs and amounts usually lie, one wash day left out. */
export const useUsualDay = (wearerId: string, without: string) =>
  useQuery(resource<UsualDay>(`/wearers/${wearerId}/usual-day?without=${without}`));

/** A head's worn days with how they were done, of its trials and by themselves. */
export const useWorn = (wearerId: string) => useQuery(resource<WornDay[]>(`/wearers/${wearerId}/worn`));

export const useBackups = () => useQuery(resource<BackupState>('/backups'));

const settingsQuery = { ...resource<Settings>('/settings'), staleTime: 60_000 };

/** The units and currency the user prefers; the defaults until they are known. */
export const useSettings = (): Settings => useQuery(settingsQuery).data ?? DEFAULT_SETTINGS;

/** True once {@link useSettings} gives the user's own. */
export const useSettingsKnown = (): boolean => !useQuery(settingsQuery).isPending;

/** A change on the server, after which everything shown is asked for again. */
export function useChange<Input, Output = unknown>(change: (input: Input) => Promise<Output>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSettled: () => void client.invalidateQueries({ predicate: (query) => !isWorked(query) }),
  });
}

/** Saves a record on top of the state an edit began from; what is shown is asked for again afterwards. */
export function useSave<Input>(path: string) {
  const { mutateAsync } = useChange(({ input, version }: { input: Input; version: number | null }) =>
    put(path, input, version),
  );
  return (input: Input, version: number | null) => mutateAsync({ input, version });
}

/**
 * A change of one wash day from a bench screen, shown as the server's answer has it. Changes of one
 * day go out one after the other, in the order they were made.
 */
export function useWashDayChange<Input>(id: string, change: (input: Input) => Promise<WashDay>) {
  const client = useQueryClient();
  const key = ['wash-days', id];
  return useMutation({
    mutationFn: change,
    scope: { id: `wash day ${id}` },
    onMutate: () => client.cancelQueries({ queryKey: key }),
    onSuccess: (day) => {
      if (client.isMutating() <= 1) client.setQueryData(key, newestOf(day, 0));
    },
    onError: () => void client.invalidateQueries({ queryKey: key }),
    onSettled: () => {
      for (const key of ['trials', 'today']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
}
