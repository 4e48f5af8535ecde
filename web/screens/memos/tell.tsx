import { MEMO_ABOUT, type MemoAbout } from '@sabor/core/basin/memo';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useVoiceMemo } from '../../devices/voice-memo.ts';
import { boxMemo } from '../../offline/memo-box.ts';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { useSay } from '../../ui/undo.tsx';
import { lengthOf } from './length.ts';

const TYPED = 'sabor note';

/** What was typed and is not kept yet: it is there again wherever the next note is begun, after a reload too. */
function useTyped() {
  const [words, setWords] = useState(() => {
    try {
      return sessionStorage.getItem(TYPED) ?? '';
    } catch {
      return '';
    }
  });
  const set = (to: string) => {
    setWords(to);
    try {
      sessionStorage.setItem(TYPED, to);
    } catch {
      // A window that keeps nothing: the page alone has it.
    }
  };
  return [words, set] as const;
}

/** A note in words, by voice, or both; kept on this device until the server has it. */
export function TellMemo({
  about,
  kept,
}: {
  about: { kind: MemoAbout; id: string } | null;
  /** What follows once it is kept. */
  kept?: () => void;
}) {
  const say = useSay();
  const [words, setWords] = useTyped();
  const [here, setHere] = useState(true);
  const [error, setError] = useState<string>();
  const voice = useVoiceMemo();
  const keep = async () => {
    const text = words.trim();
    if (text === '' && !voice.memo) return setError('Say something, in words or by voice.');
    const fine = await boxMemo(
      {
        id: v7(),
        at: new Date().toISOString(),
        words: text,
        about: here ? about : null,
        seconds: voice.memo?.seconds ?? null,
      },
      voice.memo?.blob ?? null,
    );
    setWords('');
    setError(undefined);
    voice.discard();
    say(
      fine
        ? 'The note is kept; it waits on Today.'
        : 'The note is on its way, and this device could not keep it: leave this page open until it is sent.',
    );
    kept?.();
  };
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <TextField label="Note in words" rows={3} value={words} onChange={setWords} error={error} />
      <div className="flex flex-wrap items-center gap-3">
        {voice.running === null ? (
          <Button onClick={voice.start}>{voice.memo ? 'Record again' : 'Record a voice memo'}</Button>
        ) : (
          <>
            <Button look="stop" onClick={voice.stop}>
              Stop recording
            </Button>
            <span role="timer" className="figure text-xl">
              {lengthOf(voice.running)}
            </span>
          </>
        )}
        {voice.memo && (
          <>
            <span>Recorded: {lengthOf(voice.memo.seconds)}</span>
            <Button look="quiet" onClick={voice.discard}>
              Discard it
            </Button>
          </>
        )}
      </div>
      {voice.problem && (
        <p role="alert" className="font-semibold text-brick">
          {voice.problem}
        </p>
      )}
      {about && (
        <label className="flex min-h-10 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={here}
            onChange={(event) => setHere(event.target.checked)}
          />
          About {MEMO_ABOUT[about.kind].label}
        </label>
      )}
      <Button look="main" type="submit" disabled={voice.running !== null}>
        Keep the note
      </Button>
    </form>
  );
}
