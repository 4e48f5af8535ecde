/**
 * Records a stream in pieces until the recorder is stopped, so that what was taken until something breaks is there. `tick`
 * hears the seconds every `everyMs` meanwhile. `done` gives it whole, or null where nothing came; the stream's tracks end
 * with it.
 */
export function recordStream(
  stream: MediaStream,
  {
    types,
    options,
    everyMs,
    tick,
  }: {
    /** Kinds of file, the first that this browser records is taken. */
    types: readonly string[];
    options: MediaRecorderOptions;
    everyMs: number;
    tick: (seconds: number) => void;
  },
): { recorder: MediaRecorder; done: Promise<{ blob: Blob; seconds: number } | null> } {
  const type = types.find((one) => MediaRecorder.isTypeSupported(one));
  const recorder = new MediaRecorder(stream, { ...options, ...(type ? { mimeType: type } : {}) });
  const pieces: Blob[] = [];
  const began = performance.now();
  const seconds = () => (performance.now() - began) / 1000;
  const clock = setInterval(() => tick(seconds()), everyMs);
  recorder.ondataavailable = ({ data }) => data.size > 0 && pieces.push(data);
  const done = new Promise<{ blob: Blob; seconds: number } | null>((resolve) => {
    recorder.onstop = () => {
      clearInterval(clock);
      for (const track of stream.getTracks()) track.stop();
      const kind = (recorder.mimeType || type || types[0]!).split(';')[0]!;
      resolve(pieces.length > 0 ? { blob: new Blob(pieces, { type: kind }), seconds: seconds() } : null);
    };
  });
  tick(0);
  recorder.start(1000);
  return { recorder, done };
}
