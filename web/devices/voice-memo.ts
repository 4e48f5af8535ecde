import { MEMO_BITS, MEMO_SECONDS, MEMO_TYPES } from '@sabor/core/basin/memo';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';

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
    const type = MEMO_TYPES.find((one) => MediaRecorder.isTypeSupported(one));
    const recording = new MediaRecorder(stream, {
      audioBitsPerSecond: MEMO_BITS,
      ...(type ? { mimeType: type } : {}),
    });
    const pieces: Blob[] = [];
    const began = Date.now();
    const seconds = () => Math.round((Date.now() - began) / 1000);
    const clock = setInterval(() => {
      setRunning(seconds());
      if (seconds() >= MEMO_SECONDS) {
        setProblem('Ten minutes are kept. Begin another for what comes after.');
        stop();
      }
    }, 500);
    recording.ondataavailable = ({ data }) => data.size > 0 && pieces.push(data);
    recording.onstop = () => {
      clearInterval(clock);
      for (const track of stream.getTracks()) track.stop();
      setRunning(null);
      const kind = (recording.mimeType || type || 'audio/webm').split(';')[0]!;
      if (pieces.length > 0)
        setRecorded({ blob: new Blob(pieces, { type: kind }), seconds: Math.min(MEMO_SECONDS, seconds()) });
    };
    recorder.current = recording;
    setRunning(0);
    // In pieces: what was said until something breaks is there.
    recording.start(1000);
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
