import type { Angle } from '@sabor/core/basin/angles';
import { COLOURS, CURLS, type CurlKind, type HairColour } from '@sabor/core/made-up/head';
import {
  FRIZZ,
  type Frizz,
  SIMULATED_ANGLES,
  type Simulated,
  type SimulatedAngle,
  SWITCHES,
  type Switch,
  type Switched,
  USUAL_SWITCHES,
} from '@sabor/core/made-up/simulated';
import { isFromNear } from '@sabor/core/photo/measures';
import type { Remote } from 'comlink';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { proxy } from '../../workers/photo.ts';
import type { PhotoWorker } from '../../workers/photo.worker.ts';

/** Where a camera's frames and pictures come from. */
export interface Source {
  /** What its screen shows. */
  view: ReactNode;
  /** Why it shows nothing. */
  problem: string | null;
  /** A small frame to be guided by; null while there is none. */
  frame: () => ImageData | null;
  /** A picture; `film` where it is only a frame of the film. Null while there is none. */
  take: (progress: (share: number) => void) => Promise<{ picture: Blob; film: boolean } | null>;
}

/** A photograph of the camera's own, with all its pixels; null where the browser gives only frames of the film. */
async function photograph(stream: MediaStream | null): Promise<Blob | null> {
  const [track] = stream?.getVideoTracks() ?? [];
  if (!track || typeof ImageCapture === 'undefined') return null;
  return new ImageCapture(track).takePhoto().catch(() => null);
}

/** Width a frame is looked at in, pixels. */
const FRAME_WIDTH = 960;

/** This device's own camera. */
export function useOwnCamera(wanted: boolean): Source {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (!wanted) return;
    let stream: MediaStream | null = null;
    let left = false;
    setProblem(null);
    const begin = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: { ideal: 'environment' }, width: { ideal: 3840 }, height: { ideal: 2160 } },
        });
        if (left) for (const track of stream.getTracks()) track.stop();
        else if (video.current) video.current.srcObject = stream;
      } catch {
        setProblem(
          'This browser gives no camera here: it is switched off, in use, or the page is not on this machine. Take the picture with the phone’s own camera, and choose the file; or try it out with the simulated camera.',
        );
      }
    };
    void begin();
    return () => {
      left = true;
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [wanted]);
  const draw = (width: number, height: number) => {
    const canvas = new OffscreenCanvas(width, height);
    const pen = canvas.getContext('2d', { willReadFrequently: true })!;
    pen.drawImage(video.current!, 0, 0, width, height);
    return { canvas, pen };
  };
  return {
    problem,
    view: <video ref={video} autoPlay playsInline muted className="size-full object-contain" />,
    frame: () => {
      const seen = video.current;
      if (!seen?.videoWidth) return null;
      const by = Math.min(1, FRAME_WIDTH / seen.videoWidth);
      const [width, height] = [Math.round(seen.videoWidth * by), Math.round(seen.videoHeight * by)];
      return draw(width, height).pen.getImageData(0, 0, width, height);
    },
    take: async () => {
      const seen = video.current;
      if (!seen?.videoWidth) return null;
      const still = await photograph(seen.srcObject as MediaStream | null);
      if (still) return { picture: still, film: false };
      const { canvas } = draw(seen.videoWidth, seen.videoHeight);
      return { picture: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 }), film: true };
    },
  };
}

/** A camera that stands before a made-up head, for machines without one; `seed` is the head. */
export function useSimulatedCamera(
  wanted: boolean,
  angle: Angle,
  seed: number,
  worker: () => Remote<PhotoWorker>,
): Source {
  const [curl, setCurl] = useState<CurlKind>('curl');
  const [colour, setColour] = useState<HairColour>('dark');
  const [frizz, setFrizz] = useState<Frizz>('some');
  const [switched, setSwitched] = useState<Switched>(USUAL_SWITCHES);
  const [shown, setShown] = useState<ImageData | null>(null);
  const [failed, setFailed] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);
  const stands = Object.hasOwn(SIMULATED_ANGLES, angle);
  const of = (shot: number): Simulated => ({
    curl,
    colour,
    frizz,
    angle: angle as SimulatedAngle,
    switched,
    seed,
    shot,
  });
  // From near the camera is held in the hand: it is level.
  const switches = (Object.keys(SWITCHES) as Switch[]).filter((key) => key !== 'level' || !isFromNear(angle));
  const asked = JSON.stringify(of(0));
  /** One is drawn after the other, and none that is asked no more. */
  const line = useRef<Promise<unknown>>(Promise.resolve());
  useEffect(() => {
    if (!wanted || !stands) return;
    let gone = false;
    setShown(null);
    setFailed(false);
    const turn = line.current.then(() => (gone ? null : worker().preview(JSON.parse(asked) as Simulated)));
    line.current = turn.catch(() => {});
    turn.then(
      (picture) => !gone && setShown(picture),
      () => !gone && setFailed(true),
    );
    return () => {
      gone = true;
    };
  }, [wanted, stands, asked, worker]);
  useEffect(() => {
    if (canvas.current && shown) canvas.current.getContext('2d')!.putImageData(shown, 0, 0);
  }, [shown]);
  const choice = <K extends string>(
    label: string,
    options: Readonly<Record<K, { label: string }>>,
    value: K,
    choose: (to: K) => void,
  ) => (
    <InlineChoice
      label={label}
      value={value}
      onChange={choose}
      options={(Object.entries(options) as [K, { label: string }][]).map(
        ([key, says]) => [key, says.label] as const,
      )}
      className="border-paper/50 bg-ink text-paper"
    />
  );
  return {
    problem: !stands
      ? 'The simulated camera sees heads from the front, the sides and behind, and hair from near.'
      : failed
        ? 'The made-up head could not be drawn just now. Change something, or try again.'
        : null,
    view: (
      <div className="flex size-full flex-col gap-2">
        <div className="flex flex-wrap gap-x-3 gap-y-1 px-4">
          {choice('Frizz', FRIZZ, frizz, setFrizz)}
          <details>
            <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
              Spoil or change the picture
            </summary>
            <div className="flex flex-wrap gap-x-3 gap-y-1">
              {choice('Curl', CURLS, curl, setCurl)}
              {choice('Colour', COLOURS, colour, setColour)}
              {switches.map((key) => (
                <span key={key}>
                  {choice<string>(
                    SWITCHES[key].label,
                    SWITCHES[key].options as Record<string, { label: string }>,
                    switched[key],
                    (to) => setSwitched({ ...switched, [key]: to } as Switched),
                  )}
                </span>
              ))}
            </div>
          </details>
        </div>
        <div className="min-h-0 flex-1">
          {shown ? (
            <canvas
              ref={canvas}
              width={shown.width}
              height={shown.height}
              role="img"
              aria-label="A made-up head before the simulated camera"
              className="size-full object-contain"
            />
          ) : (
            <p role="status" className="p-4">
              Drawing …
            </p>
          )}
        </div>
      </div>
    ),
    frame: () => shown,
    take: async (progress) => {
      const { file } = await worker().madeUp(of(1 + Math.floor(Math.random() * 1e6)), proxy(progress));
      return { picture: file, film: false };
    },
  };
}
