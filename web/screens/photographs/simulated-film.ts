import type { ClipKind } from '@sabor/core/basin/clip';
import { momentOf } from '@sabor/core/made-up/moving';
import { type Simulated, type SimulatedAngle, USUAL_SWITCHES } from '@sabor/core/made-up/simulated';
import { NoMadeUpFilm } from '../../devices/record-clip.ts';
import { openPhotoWorker } from '../../workers/photo.ts';

/** Height of the film, pixels, and pictures a second. */
const HEIGHT = 640;
const RATE = 25;
const VIEWS: Readonly<Record<ClipKind, readonly SimulatedAngle[]>> = {
  turn: ['front', 'left', 'back', 'right'],
  bounce: ['back'],
  scrunch: ['back'],
};

/** A made-up head as the simulated camera sees it from each side that a clip shows. */
async function viewsOf(kind: ClipKind, seed: number): Promise<Map<SimulatedAngle, ImageBitmap>> {
  const { photo, close } = openPhotoWorker();
  const head: Omit<Simulated, 'angle'> = {
    curl: 'curl',
    colour: 'dark',
    frizz: 'some',
    switched: USUAL_SWITCHES,
    seed,
    shot: 0,
  };
  try {
    const views = new Map<SimulatedAngle, ImageBitmap>();
    for (const angle of VIEWS[kind])
      views.set(angle, await createImageBitmap(await photo.preview({ ...head, angle })));
    return views;
  } catch {
    throw new NoMadeUpFilm('The made-up head could not be drawn just now. Try again.');
  } finally {
    close();
  }
}

/** A sound that goes to no loudspeaker. Source: Web Audio API 1.1, AudioContextOptions.sinkId, which TypeScript does not know yet. */
const INTO_THE_FILM = { sinkId: { type: 'none' } } as AudioContextOptions;

/** Noise as of dry hair in a hand, as loud as it is told. */
function rustle(): { track: MediaStreamTrack; loud: (by: number) => void; end: () => void } {
  // Heard by the film alone: a machine without a loudspeaker films as well.
  const audio = new AudioContext(INTO_THE_FILM);
  const noise = audio.createBufferSource();
  const second = audio.createBuffer(1, audio.sampleRate, audio.sampleRate);
  const samples = second.getChannelData(0);
  for (let i = 0; i < samples.length; i++) samples[i] = Math.random() - 0.5;
  noise.buffer = second;
  noise.loop = true;
  const level = audio.createGain();
  level.gain.value = 0;
  const out = audio.createMediaStreamDestination();
  noise.connect(level).connect(out);
  noise.start();
  return {
    track: out.stream.getAudioTracks()[0]!,
    loud: (by) => level.gain.setTargetAtTime(0.3 * by, audio.currentTime, 0.02),
    end: () => void audio.close(),
  };
}

/** What a simulated camera films of a made-up head, with sound, for machines without one; `seed` is the head. Runs until its tracks are stopped. */
export async function simulatedFilm(kind: ClipKind, seed: number): Promise<MediaStream> {
  const views = await viewsOf(kind, seed);
  const [{ width: wide, height: high }] = [...views.values()] as [ImageBitmap];
  const canvas = document.createElement('canvas');
  canvas.height = HEIGHT;
  canvas.width = 2 * Math.round((wide * HEIGHT) / high / 2);
  const pen = canvas.getContext('2d')!;
  const sound = rustle();
  const stream = canvas.captureStream(RATE);
  stream.addTrack(sound.track);
  const began = performance.now();
  const draw = () => {
    const { views: seen, lower, tall, loud } = momentOf(kind, (performance.now() - began) / 1000);
    pen.globalAlpha = 1;
    for (const [i, { angle, share }] of seen.entries()) {
      // The second is laid over the first, as much of it as shows.
      pen.globalAlpha = i === 0 ? 1 : share;
      pen.drawImage(
        views.get(angle)!,
        0,
        HEIGHT * lower + HEIGHT * (1 - tall) * 0.5,
        canvas.width,
        HEIGHT * tall,
      );
    }
    sound.loud(loud);
    if (stream.getTracks().every(({ readyState }) => readyState === 'ended')) {
      clearInterval(clock);
      sound.end();
    }
  };
  const clock = setInterval(draw, 1000 / RATE);
  draw();
  return stream;
}
