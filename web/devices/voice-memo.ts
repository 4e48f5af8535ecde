import { MEMO_BITS, MEMO_SECONDS, MEMO_TYPES } from '@sabor/core/basin/memo';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { recordStream } from './record-stream.ts';

export interface VoiceMemo {
  blob: Blob;
  seconds: number;
}

/** Why there is no recording, in a sentence. */
const whyNot = (error: unknown): string =>
  error instanceof DOMException && error.name === 'NotAllowedError'
    ? 'The browser does not let Sabor use the microphone. Allow it beside the address, or type the note.'
    : error instanceof DOMException && error.name === 'NotFoundError'
      ? 'No microphone is there. Type the note.'
      : 'The microphone could not be used. Type the note.';

/** What was recorded and is not kept yet: it outlives the place it was recorded in, should that be left too soon. */
let recorded: VoiceMemo | null = null;
const listeners = new Set<() => void>();
const setRecorded = (to: VoiceMemo | null) => {
  recorded = to;
  for (const tell of listeners) tell();
};
const useRecorded = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => recorded,
  );

/** Records a voice memo; after ten minutes, or where its place is left, it stops by itself and keeps what it has. */
export function useVoiceMemo(): {
  /** Seconds recorded so far; null while it does not run. */
  running: number | null;
  memo: VoiceMemo | null;
  problem: string | null;
  start: () => void;
  stop: () => void;
  discard: () => void;
} {
  const [running, setRunning] = useState<number | null>(null);
  const memo = useRecorded();
  const [problem, setProblem] = useState<string | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);
  const stop = useCallback(() => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  useEffect(() => stop, [stop]);
  const record = async () => {
    setProblem(null);
    setRecorded(null);
    if (typeof MediaRecorder === 'undefined' || !navigator.mediaDevices)
      return setProblem('This browser records no sound here. Type the note.');
    const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
    const { recorder: recording, done } = recordStream(stream, {
      types: MEMO_TYPES,
      options: { audioBitsPerSecond: MEMO_BITS },
      everyMs: 500,
      tick: (seconds) => {
        setRunning(Math.round(seconds));
        if (seconds < MEMO_SECONDS) return;
        setProblem('Ten minutes are kept. Begin another for what comes after.');
        stop();
      },
    });
    recorder.current = recording;
    void done.then((got) => {
      setRunning(null);
      if (got) setRecorded({ ...got, seconds: Math.min(MEMO_SECONDS, Math.round(got.seconds)) });
    });
  };
  return {
    running,
    memo,
    problem,
    start: () => void record().catch((error: unknown) => setProblem(whyNot(error))),
    stop,
    discard: () => setRecorded(null),
  };
}
