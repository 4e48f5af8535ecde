import { type ReactNode, useEffect, useState } from 'react';
import { canSpeak, setSpeech, speak, wantsSpeech } from './sound.ts';

/** Reads each new step out while it is wanted; gives the switch for it, or nothing where the browser cannot speak. */
export function useSpoken(text: string | null): ReactNode {
  const [on, setOn] = useState(wantsSpeech);
  useEffect(() => {
    if (on && text) speak(text);
  }, [on, text]);
  if (!canSpeak()) return null;
  return (
    <button
      type="button"
      aria-pressed={on}
      className="min-h-11 rounded-tag border-2 border-paper/50 px-3 font-semibold aria-pressed:bg-paper aria-pressed:text-ink"
      onClick={() => {
        setSpeech(!on);
        setOn(!on);
        if (on) speechSynthesis.cancel();
      }}
    >
      Read aloud
    </button>
  );
}
