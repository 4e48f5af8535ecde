import { Toast } from 'radix-ui';
import { useRef } from 'react';
import { createPortal } from 'react-dom';
import { useSpot } from './message-spot.ts';

export interface Said {
  key: number;
  text: string;
  undo?: (() => unknown) | undefined;
}

/** Messages at the edge of the screen, where nothing that is tapped lies. */
function AtTheEdge() {
  const list = useRef<HTMLOListElement>(null);
  useSpot(list);
  return <Toast.Viewport ref={list} className="messages fixed z-50 flex w-max max-w-[92vw] flex-col gap-2" />;
}

/** What was said of late, each until its time is over: where the page keeps room for it, or at an edge of the screen. */
export const Messages = ({
  said,
  place,
  over,
}: {
  said: readonly Said[];
  place: HTMLElement | null;
  over: (key: number) => void;
}) => (
  <Toast.Provider duration={8000} swipeDirection="down" label="Message">
    {said.map(({ key, text, undo }) => (
      <Toast.Root
        key={key}
        onOpenChange={(open) => !open && over(key)}
        className="flex items-center gap-4 rounded-tag border-2 border-paper bg-ink px-4 text-paper shadow-lg"
      >
        <Toast.Title className="py-2 text-[0.95rem]">{text}</Toast.Title>
        {undo && (
          <Toast.Action altText="Undo what was just done" asChild>
            <button
              type="button"
              className="my-2 min-h-10 px-2 font-semibold underline underline-offset-4"
              onClick={() => void undo()}
            >
              Undo
            </button>
          </Toast.Action>
        )}
      </Toast.Root>
    ))}
    {place ? createPortal(<Toast.Viewport />, place) : <AtTheEdge />}
  </Toast.Provider>
);
