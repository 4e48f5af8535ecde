import type { Angle } from '../basin/angles.ts';
import { seededRandom } from '../random.ts';
import { type Camera, USUAL_CAMERA } from './camera.ts';
import { type CloseFrame, type ClosePlan, USUAL_CLOSE } from './close.ts';
import { type CurlKind, type HairColour, type MadeUpHead, madeUpHead, usualHead } from './head.ts';
import { type Frame, type Scene, USUAL_FRAME, USUAL_SCENE } from './scene.ts';

/** How much frizz a made-up head has, in strands that stand off it, and from near in how its clumps hold together. */
export const FRIZZ = {
  little: { label: 'little frizz', flyaways: 500, loose: 1, stray: 3 },
  some: { label: 'some frizz', flyaways: 1500, loose: 1.4, stray: 7 },
  much: { label: 'much frizz', flyaways: 4000, loose: 2, stray: 13 },
} as const;
export type Frizz = keyof typeof FRIZZ;

/** What a simulated camera can be set to, each with what it does to the picture. */
export const SWITCHES = {
  light: {
    label: 'Light',
    options: {
      usual: { label: 'as it should be', exposure: 0 },
      dark: { label: 'much too dark', exposure: -3.2 },
      bright: { label: 'much too bright', exposure: 1.4 },
    },
  },
  distance: {
    label: 'Distance',
    options: {
      usual: { label: 'as last time', nearer: 1 },
      near: { label: 'a tenth closer', nearer: 1.1 },
      far: { label: 'a tenth further', nearer: 0.9 },
    },
  },
  level: {
    label: 'Camera',
    options: {
      usual: { label: 'level', tilt: 0 },
      tilted: { label: 'looking down', tilt: 14 },
    },
  },
  focus: {
    label: 'Focus',
    options: {
      usual: { label: 'sharp', blur: 0.6 },
      soft: { label: 'out of focus', blur: 2.2 },
    },
  },
  card: {
    label: 'Card',
    options: {
      usual: { label: 'beside the head', there: true },
      missing: { label: 'forgotten', there: false },
    },
  },
} as const;
export type Switch = keyof typeof SWITCHES;
export type Switched = { [S in Switch]: keyof (typeof SWITCHES)[S]['options'] };
export const USUAL_SWITCHES: Switched = {
  light: 'usual',
  distance: 'usual',
  level: 'usual',
  focus: 'usual',
  card: 'usual',
};

/** Angles a simulated camera can stand at, with how far the head is turned from it, degrees; from near it is not. */
export const SIMULATED_ANGLES = {
  front: 0,
  left: 90,
  back: 180,
  right: 270,
  'close-up': 180,
} as const satisfies Partial<Record<Angle, number>>;
export type SimulatedAngle = keyof typeof SIMULATED_ANGLES;

export interface Simulated {
  curl: CurlKind;
  colour: HairColour;
  frizz: Frizz;
  angle: SimulatedAngle;
  switched: Switched;
  /** The head; the same number is the same head of hair. */
  seed: number;
  /** Which picture of it: its wearer does not stand quite the same, and light and grain are not quite the same. */
  shot: number;
}

/** What a simulated camera sees: the scene, as yet without its head, what its frame takes in, and the camera. */
export interface SimulatedView {
  scene: Scene;
  frame: Frame;
  camera: Camera;
}

/** The view of a simulated camera, without the head. */
export function simulatedView({
  angle,
  switched,
  seed,
  shot,
}: Omit<Simulated, 'curl' | 'colour' | 'frizz'>): SimulatedView {
  const random = seededRandom(1000 * seed + shot);
  const off = () => random.unit() - 0.5;
  const { light, distance, level, focus, card } = SWITCHES;
  const { nearer } = distance.options[switched.distance];
  return {
    scene: {
      ...USUAL_SCENE,
      head: null,
      turn: SIMULATED_ANGLES[angle] + 4 * off(),
      card: card.options[switched.card].there
        ? // Nearer to the head than usual, so that a tenth closer still shows all of it.
          { ...USUAL_SCENE.card!, x: USUAL_SCENE.card!.x - 20 }
        : null,
    },
    frame: {
      ...USUAL_FRAME,
      middle: { x: 0.35, y: 0.46 },
      pxPerMm: USUAL_FRAME.pxPerMm * nearer,
      distance: (USUAL_FRAME.distance + 20 * off()) / nearer,
      tilt: level.options[switched.level].tilt + 2 * off(),
    },
    camera: {
      ...USUAL_CAMERA,
      seed: 1000 * seed + shot,
      exposure: light.options[switched.light].exposure + 0.2 * off(),
      blur: focus.options[switched.focus].blur,
    },
  };
}

/** The same view, small: what the camera's screen shows before a picture is taken. */
export function preview({ scene, frame, camera }: SimulatedView, width = 840): SimulatedView {
  const by = width / frame.width;
  return {
    scene,
    frame: { ...frame, width, height: Math.round(frame.height * by), pxPerMm: frame.pxPerMm * by },
    camera: { ...camera, blur: Math.max(0.4, camera.blur * by) },
  };
}

/** The last head that was made: camera, film and the next shot see the same one. */
let last: { key: string; head: MadeUpHead } | null = null;

/** What a simulated camera sees from near. */
export interface SimulatedNear {
  plan: ClosePlan;
  frame: CloseFrame;
  camera: Camera;
}

/** Clumps from near, for a kind of hair, mm. */
const CLUMPS: Readonly<Record<CurlKind, Pick<ClosePlan, 'clump' | 'radius' | 'pitch'>>> = {
  wave: { clump: 8, radius: 6, pitch: 66 },
  curl: { clump: 6, radius: 5, pitch: 34 },
  coil: { clump: 3.5, radius: 3, pitch: 13 },
};
/** What the camera takes in from near, mm, and where the small card lies; pixels a millimetre of a picture, and of film. */
const NEAR = { width: 100, height: 118, card: { x: 7, y: 4 }, picture: 10.8, film: 6 } as const;

/** The view of a simulated camera from near; `film` is what its screen shows before a picture is taken. */
export function simulatedNear(
  { curl, colour, frizz, switched, seed, shot }: Simulated,
  film = false,
): SimulatedNear {
  const random = seededRandom(1000 * seed + shot + 500_000);
  const off = () => random.unit() - 0.5;
  const { light, distance, focus, card } = SWITCHES;
  const pxPerMm = film ? NEAR.film : NEAR.picture;
  const { nearer } = distance.options[switched.distance];
  const { blur } = focus.options[switched.focus];
  return {
    plan: {
      ...USUAL_CLOSE,
      ...CLUMPS[curl],
      colour,
      loose: FRIZZ[frizz].loose,
      stray: FRIZZ[frizz].stray,
      seed,
    },
    frame: {
      width: Math.round(NEAR.width * pxPerMm),
      height: Math.round(NEAR.height * pxPerMm),
      pxPerMm: pxPerMm * nearer,
      from: { x: 6 * off(), y: 6 * off() },
      card: card.options[switched.card].there
        ? { kind: 'small', x: NEAR.card.x + 4 * off() - (nearer > 1 ? 4 : 0), y: NEAR.card.y + 2 * off() }
        : null,
    },
    camera: {
      ...USUAL_CAMERA,
      seed: 1000 * seed + shot,
      exposure: light.options[switched.light].exposure + 0.2 * off(),
      blur: film ? Math.max(0.4, (blur * NEAR.film) / NEAR.picture) : blur,
    },
  };
}

/** A view with the head in it. */
export function withHead(view: SimulatedView, { curl, colour, frizz, seed }: Simulated): SimulatedView {
  const key = `${curl} ${colour} ${frizz} ${seed}`;
  if (last?.key !== key)
    last = {
      key,
      head: madeUpHead({ ...usualHead(curl, colour, seed), flyaways: FRIZZ[frizz].flyaways }),
    };
  return { ...view, scene: { ...view.scene, head: last.head } };
}
