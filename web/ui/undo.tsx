import { Toast } from 'radix-ui';
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react';

interface Said {
  key: number;
  text: string;
  undo?: (() => unknown) | undefined;
}

const Say = createContext<(text: string, undo?: () => unknown) => void>(() => {});

/** Says what was done, with the way back where there is one. */
export const useSay = () => useContext(Say);

export function UndoProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<Said[]>([]);
  const say = useCallback((text: string, undo?: () => unknown) => {
    // What can still be undone stays until its time is over; words alone give way to the next.
    setSaid((old) => [
      ...old.filter((one) => one.undo && one.text !== text).slice(-1),
      { key: Date.now() + Math.random(), text, undo },
    ]);
  }, []);
  return (
    <Say.Provider value={say}>
      <Toast.Provider duration={8000} swipeDirection="down" label="Message">
        {children}
        {said.map(({ key, text, undo }) => (
          <Toast.Root
            key={key}
            onOpenChange={(open) => !open && setSaid((old) => old.filter((one) => one.key !== key))}
            className="flex items-center gap-4 rounded-tag border-2 border-paper bg-ink px-4 py-2 text-paper shadow-lg"
          >
            <Toast.Title className="text-[0.95rem]">{text}</Toast.Title>
            {undo && (
              <Toast.Action altText="Undo what was just done" asChild>
                <button
                  type="button"
                  className="min-h-10 px-2 font-semibold underline underline-offset-4"
                  onClick={() => void undo()}
                >
                  Undo
                </button>
              </Toast.Action>
            )}
          </Toast.Root>
        ))}
        <Toast.Viewport className="messages fixed left-1/2 z-50 flex w-max max-w-[92vw] -translate-x-1/2 flex-col gap-2" />
      </Toast.Provider>
    </Say.Provider>
  );
}
