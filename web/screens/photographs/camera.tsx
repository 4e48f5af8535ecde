import { ANGLES, type Angle } from '@sabor/core/basin/angles';
import { useEffect, useRef, useState } from 'react';

const big = 'min-h-16 rounded-tag px-5 text-xl font-semibold';

/** The camera's picture with the last photograph from this angle laid over it, to line up by. */
export function Camera({
  angle,
  ghost,
  take,
  close,
}: {
  angle: Angle;
  ghost: string | null;
  take: (picture: Blob) => void;
  close: () => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [ghosted, setGhosted] = useState(true);
  useEffect(() => {
    let stream: MediaStream | null = null;
    let left = false;
    const begin = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: { ideal: 'environment' }, width: { ideal: 3840 }, height: { ideal: 2160 } },
        });
        if (left) for (const track of stream.getTracks()) track.stop();
        else if (video.current) video.current.srcObject = stream;
      } catch {
        setProblem(
          'This browser gives no camera here: it is switched off, in use, or the page is not on this machine. Take the picture with the phone’s own camera, and choose the file.',
        );
      }
    };
    void begin();
    return () => {
      left = true;
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, []);
  const shoot = async () => {
    const seen = video.current;
    if (!seen?.videoWidth) return;
    const canvas = new OffscreenCanvas(seen.videoWidth, seen.videoHeight);
    canvas.getContext('2d')!.drawImage(seen, 0, 0);
    take(await canvas.convertToBlob({ type: 'image/png' }));
  };
  return (
    <section
      aria-label={`Camera, ${ANGLES[angle].label}`}
      className="fixed inset-0 z-50 flex flex-col bg-ink text-paper"
    >
      <p className="px-4 py-2 text-xl">
        {ANGLES[angle].label}: {ANGLES[angle].says}
      </p>
      <div className="relative min-h-0 flex-1">
        {problem ? (
          <p role="alert" className="p-4 text-xl">
            {problem}
          </p>
        ) : (
          <video ref={video} autoPlay playsInline muted className="size-full object-contain" />
        )}
        {ghost && ghosted && !problem && (
          <img
            src={`/api/photographs/${ghost}/image`}
            alt="The last photograph from this angle, to line up by"
            className="pointer-events-none absolute inset-0 size-full object-contain opacity-35"
          />
        )}
      </div>
      <div className="grid grid-cols-3 gap-3 p-4">
        <button type="button" className={`${big} border-2 border-paper/60`} onClick={close}>
          Close
        </button>
        <button
          type="button"
          className={`${big} bg-hibiscus text-paper disabled:opacity-50`}
          disabled={problem !== null}
          onClick={() => void shoot()}
        >
          Take it
        </button>
        <button
          type="button"
          aria-pressed={ghosted}
          className={`${big} border-2 border-paper/60 aria-pressed:bg-paper aria-pressed:text-ink disabled:opacity-50`}
          disabled={!ghost}
          onClick={() => setGhosted(!ghosted)}
        >
          Ghost
        </button>
      </div>
    </section>
  );
}
