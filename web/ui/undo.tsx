import {
  createContext,
  lazy,
  type ReactNode,
  Suspense,
  useCallback,
  useContext,
  useEffect,
  useState,
} from 'react';
import type { Said } from './messages.tsx';

const Say = createContext<(text: string, undo?: () => unknown) => void>(() => {});

/** Says what was done, with the way back where there is one. */
export const useSay = () => useContext(Say);

const Place = createContext<(element: HTMLElement | null) => void>(() => {});

/**
 * Where a page that keeps room for a message has it shown, as the `ref` of that room; elsewhere messages lie at an edge of
 * the screen, clear of what is tapped. There the last one alone is seen.
 */
export const useMessagePlace = () => useContext(Place);

/** When a first page has what it needs, ms. */
const SETTLED = 3000;
const load = () => import('./messages.tsx');
const Messages = lazy(async () => ({ default: (await load()).Messages }));

export function UndoProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<Said[]>([]);
  const [place, setPlace] = useState<HTMLElement | null>(null);
  // No first page says anything, and the first message must not wait for the server: fetched when the page has settled.
  useEffect(() => {
    const later = setTimeout(() => load().catch(() => {}), SETTLED);
    return () => clearTimeout(later);
  }, []);
  const say = useCallback((text: string, undo?: () => unknown) => {
    // What can still be undone stays until its time is over; words alone give way to the next.
    setSaid((old) => [
      ...old.filter((one) => one.undo && one.text !== text).slice(-1),
      { key: Date.now() + Math.random(), text, undo },
    ]);
  }, []);
  return (
    <Say.Provider value={say}>
      <Place.Provider value={setPlace}>{children}</Place.Provider>
      {said.length > 0 && (
        <Suspense>
          <Messages
            said={said}
            place={place}
            over={(key) => setSaid((old) => old.filter((one) => one.key !== key))}
          />
        </Suspense>
      )}
    </Say.Provider>
  );
}
