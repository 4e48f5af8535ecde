import { CLIP_SECONDS, CLIP_SECONDS_AT_MOST } from '@sabor/core/basin/clip';
import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';

/** A film on this device that is not on the server yet. */
export interface Film {
  blob: Blob;
  seconds: number;
}

/** Bits a second a clip is recorded at: eight seconds are some six megabytes. */
const VIDEO_BITS = 6_000_000;

const whyNot = (error: unknown): string =>
  error instanceof DOMException && error.name === 'NotAllowedError'
    ? 'The browser does not let Sabor use camera and microphone. Allow them beside the address, or film with the phone’s own camera and choose the file.'
    : 'This browser gives no camera here. Film with the phone’s own camera, and choose the file.';

/** Films with this device's camera and microphone for as long as a clip runs; what it films is shown in `view` meanwhile. */
export function useFilm(view: RefObject<HTMLVideoElement | null>): {
  /** Seconds filmed so far; null while it does not run. */
  running: number | null;
  problem: string | null;
  film: () => Promise<Film | null>;
  stop: () => void;
} {
  const [running, setRunning] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);
  const stop = useCallback(() => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  useEffect(() => stop, [stop]);
  const record = async (): Promise<Film | null> => {
    setProblem(null);
    const stream = await navigator.mediaDevices.getUserMedia({
      video: { facingMode: { ideal: 'environment' }, width: { ideal: 1280 }, height: { ideal: 720 } },
      audio: true,
    });
    if (view.current) {
      view.current.srcObject = stream;
      void view.current.play().catch(() => {});
    }
    const type = ['video/webm', 'video/mp4'].find((one) => MediaRecorder.isTypeSupported(one));
    const recording = new MediaRecorder(stream, {
      videoBitsPerSecond: VIDEO_BITS,
      ...(type ? { mimeType: type } : {}),
    });
    recorder.current = recording;
    const pieces: Blob[] = [];
    recording.ondataavailable = ({ data }) => data.size > 0 && pieces.push(data);
    const began = performance.now();
    const seconds = () => (performance.now() - began) / 1000;
    const clock = setInterval(() => {
      setRunning(Math.floor(seconds()));
      if (seconds() >= CLIP_SECONDS) stop();
    }, 100);
    setRunning(0);
    recording.start(500);
    return new Promise((resolve) => {
      recording.onstop = () => {
        const ran = Math.min(CLIP_SECONDS_AT_MOST, seconds());
        clearInterval(clock);
        for (const track of stream.getTracks()) track.stop();
        setRunning(null);
        const kind = (recording.mimeType || type || 'video/webm').split(';')[0]!;
        resolve(pieces.length > 0 ? { blob: new Blob(pieces, { type: kind }), seconds: ran } : null);
      };
    });
  };
  return {
    running,
    problem,
    film: () =>
      record().catch((error: unknown) => {
        setProblem(whyNot(error));
        return null;
      }),
    stop,
  };
}

/** How long a film runs, seconds: one that was recorded live says so only once its end was sought. Throws a sentence for what is none. */
export function secondsOf(file: Blob): Promise<number> {
  const url = URL.createObjectURL(file);
  const video = document.createElement('video');
  video.preload = 'metadata';
  video.muted = true;
  return new Promise<number>((resolve, reject) => {
    video.onerror = () => reject(new Error('This file is not a film that this browser can play.'));
    video.onloadedmetadata = () => {
      if (Number.isFinite(video.duration)) return resolve(video.duration);
      video.ondurationchange = () => Number.isFinite(video.duration) && resolve(video.duration);
      video.currentTime = 1e9;
    };
    video.src = url;
  }).finally(() => URL.revokeObjectURL(url));
}
