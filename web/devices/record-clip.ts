import { CLIP_SECONDS, CLIP_TYPES } from '@sabor/core/basin/clip';
import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';
import { recordStream } from './record-stream.ts';

/** Bits a second a clip is recorded at: eight seconds are some six megabytes. */
const VIDEO_BITS = 6_000_000;

/** The simulated camera gives no film; says so. */
export class NoMadeUpFilm extends Error {}

const whyNot = (error: unknown): string =>
  error instanceof DOMException && error.name === 'NotAllowedError'
    ? 'The browser does not let Sabor use camera and microphone. Allow them beside the address, or film with the phone’s own camera and choose the file.'
    : error instanceof NoMadeUpFilm
      ? error.message
      : 'This browser gives no camera here. Film with the phone’s own camera, and choose the file.';

const ownCamera = (): Promise<MediaStream> =>
  navigator.mediaDevices.getUserMedia({
    video: { facingMode: { ideal: 'environment' }, width: { ideal: 1280 }, height: { ideal: 720 } },
    audio: true,
  });

/**
 * Films for as long as a clip runs, with this device's camera and microphone or with what stands in for them; what it films
 * is shown in `view` meanwhile.
 */
export function useFilm(view: RefObject<HTMLVideoElement | null>): {
  /** Seconds filmed so far; null while it does not run. */
  running: number | null;
  problem: string | null;
  film: (open?: () => Promise<MediaStream>) => Promise<Blob | null>;
  stop: () => void;
} {
  const [running, setRunning] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);
  const left = useRef(false);
  const stop = useCallback(() => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  useEffect(() => {
    left.current = false;
    return () => {
      left.current = true;
      stop();
    };
  }, [stop]);
  const record = async (open: () => Promise<MediaStream>): Promise<Blob | null> => {
    setProblem(null);
    const stream = await open();
    if (left.current) {
      // Its page was left while the browser still asked.
      for (const track of stream.getTracks()) track.stop();
      return null;
    }
    if (view.current) {
      view.current.srcObject = stream;
      void view.current.play().catch(() => {});
    }
    const { recorder: recording, done } = recordStream(stream, {
      types: CLIP_TYPES,
      options: { videoBitsPerSecond: VIDEO_BITS },
      everyMs: 100,
      tick: (seconds) => {
        setRunning(Math.floor(seconds));
        if (seconds >= CLIP_SECONDS) stop();
      },
    });
    recorder.current = recording;
    const got = await done;
    setRunning(null);
    return got?.blob ?? null;
  };
  return {
    running,
    problem,
    film: (open = ownCamera) =>
      record(open).catch((error: unknown) => {
        setProblem(whyNot(error));
        return null;
      }),
    stop,
  };
}

/** How long a film runs, seconds: one that was recorded live says so only once its end was sought. Throws a sentence for what is none. */
export function secondsOf(film: Blob): Promise<number> {
  const url = URL.createObjectURL(film);
  const video = document.createElement('video');
  video.preload = 'metadata';
  video.muted = true;
  return new Promise<number>((resolve, reject) => {
    const tell = () => {
      if (!Number.isFinite(video.duration)) return false;
      resolve(video.duration);
      return true;
    };
    video.onerror = () => reject(new Error('This file is not a film that this browser can play.'));
    video.onloadedmetadata = () => {
      if (tell()) return;
      video.ondurationchange = tell;
      // Where no length is ever told, the end that was sought is where it stands.
      video.onseeked = () => resolve(video.currentTime);
      video.currentTime = 1e9;
    };
    video.src = url;
  }).finally(() => URL.revokeObjectURL(url));
}
