import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { photographed, USUAL_CAMERA } from '@sabor/core/made-up/camera';
import { drawnClose } from '@sabor/core/made-up/close';
import { drawn } from '@sabor/core/made-up/drawn';
import { maskOf } from '@sabor/core/made-up/figure';
import { madeUpHead, usualHead } from '@sabor/core/made-up/head';
import { type Scene, USUAL_FRAME, USUAL_SCENE } from '@sabor/core/made-up/scene';
import { simulatedNear, USUAL_SWITCHES } from '@sabor/core/made-up/simulated';
import { areasOf, maskOfAreas } from '@sabor/core/photo/areas';
import { projected } from '@sabor/core/photo/card/homography';
import { CARDS } from '@sabor/core/photo/card/layout';
import { measureWhole } from '@sabor/core/photo/measure';
import { measureClose } from '@sabor/core/photo/measure-close';
import { isFromNear, measuresOf } from '@sabor/core/photo/measures';
import { seededRandom, standardNormal } from '@sabor/core/random';
import sharp from 'sharp';
import type { Drawn } from '../demo/photographs.ts';
import { demoBackup } from '../demo/scenario.ts';
import { root } from './install.mjs';
import { decode } from './measure/decode.ts';

/**
 * Draws the demo's photographs and reads them, once: `node --import tsx scripts/draw-demo.ts [--read] [part of a name]`;
 * `--read` reads the files that are there anew and draws none. Frizz follows what was rated on the day, with luck of its
 * own; nothing else of the demo depends on it. Every number is made up.
 */
const FOLDER = path.join(root, 'demo', 'photographs');
/** Where the demo's trial had its wash days, and which gel each wore. */
const TRIAL = 'gels';

interface Shot {
  washDay: number;
  day: number;
  angle: 'back' | 'left' | 'close-up';
  /** Which of several of unchanged hair. */
  shot: number;
  /** Taken this much nearer than the others. */
  nearer?: number;
}

const shots: Shot[] = [
  ...Array.from({ length: 8 }, (_, washDay): Shot[] => [
    { washDay, day: 1, angle: 'back', shot: 0 },
    { washDay, day: 1, angle: 'left', shot: 0, ...(washDay === 6 ? { nearer: -0.08 } : {}) },
  ]).flat(),
  ...[0, 4].flatMap((washDay): Shot[] =>
    [1, 2].map((shot) => ({ washDay, day: 1, angle: 'back' as const, shot })),
  ),
  ...Array.from({ length: 8 }, (_, washDay): Shot => ({ washDay, day: 1, angle: 'close-up', shot: 0 })),
  ...[0, 4].map((washDay): Shot => ({ washDay, day: 1, angle: 'close-up', shot: 1 })),
  ...[3, 5, 7].map((day): Shot => ({ washDay: 7, day, angle: 'back', shot: 0 })),
];

/** What was rated of a wash day's frizz, volume and definition on a day, over the head. */
function rated(washDay: number, day: number): { frizz: number; volume: number; definition: number } {
  const { tables } = demoBackup(new Date('2026-06-01T12:00:00Z'));
  const days = tables
    .wash_day!.filter(
      (row) =>
        row.trial_id === tables.trial!.find(({ question }) => /Which gel keeps/.test(String(question)))!.id,
    )
    .sort((a, b) => Number(a.position) - Number(b.position));
  const look = tables.check_in!.find(
    (row) => row.wash_day_id === days[washDay]!.id && row.stage === 'wear' && row.day === day,
  )!;
  const mean = (outcome: string) => {
    const all = tables
      .reading!.filter((row) => row.check_in_id === look.id && row.outcome === outcome)
      .map(({ value }) => Number(value));
    return all.reduce((a, b) => a + b, 0) / all.length;
  };
  return { frizz: mean('frizz'), volume: mean('volume'), definition: mean('definition') };
}

mkdirSync(FOLDER, { recursive: true });
/** By how wide a curl the crown is read, mm. */
const CURL_WIDTH = 10;
const INDEX = path.join(FOLDER, 'index.json');
const index: Drawn[] = existsSync(INDEX) ? JSON.parse(readFileSync(INDEX, 'utf8')) : [];
const nameOf = ({ washDay, day, angle, shot }: Shot) =>
  `${TRIAL} ${washDay + 1} day ${day} ${angle}${shot ? ` shot ${shot + 1}` : ''}.jpg`;
const READ = '--read';
const part = process.argv.slice(2).find((given) => given !== READ) ?? '';
const onlyRead = process.argv.includes(READ);
const wanted = shots.filter((one) => nameOf(one).includes(part));
/** A whole head as it was drawn, with what is no hair in it. */
function whole({ washDay, day, angle, shot, nearer = 0 }: Shot) {
  const { frizz, volume } = rated(washDay, day);
  const own = seededRandom(7000 + 31 * washDay + day);
  const [luck, width] = [standardNormal(own), standardNormal(own)];
  const random = seededRandom(90_000 + 1000 * washDay + 100 * day + 10 * shot + (angle === 'left' ? 1 : 0));
  const off = () => random.unit() - 0.5;
  const plan = usualHead('curl', 'dark', 300 + washDay);
  const scene: Scene = {
    ...USUAL_SCENE,
    head: madeUpHead({
      ...plan,
      halfWidth: plan.halfWidth * (0.94 + 0.012 * volume + 0.008 * width),
      halfDepth: plan.halfDepth * (0.94 + 0.012 * volume),
      flyaways: Math.min(7000, Math.round(800 * Math.exp(0.36 * frizz + 0.1 * luck))),
      reach: 6 + 0.6 * frizz,
    }),
    turn: (angle === 'left' ? 90 : 180) + 4 * off(),
  };
  const frame = {
    ...USUAL_FRAME,
    pxPerMm: USUAL_FRAME.pxPerMm * (1 + nearer),
    distance: (USUAL_FRAME.distance + 20 * off()) / (1 + nearer),
    tilt: 2 * off(),
  };
  const picture = photographed(drawn(scene, frame, { supersampling: 3 }), {
    ...USUAL_CAMERA,
    seed: 4000 + 100 * washDay + 10 * day + shot + (angle === 'left' ? 5 : 0),
    exposure: 0.3 * off(),
  });
  return { picture, mask: maskOf(scene, frame) };
}

/** Its crown from near: clumps hold together as its definition was rated. */
function near({ washDay, day, shot }: Shot) {
  const { frizz, definition } = rated(washDay, day);
  const luck = standardNormal(seededRandom(7700 + 31 * washDay + day));
  const view = simulatedNear({
    curl: 'curl',
    colour: 'dark',
    frizz: 'some',
    angle: 'close-up',
    switched: USUAL_SWITCHES,
    seed: 300 + washDay,
    shot: shot + 1,
  });
  const plan = {
    ...view.plan,
    loose: Math.max(0.9, 2.1 - 0.13 * definition + 0.06 * luck),
    stray: 2 + 1.1 * frizz,
  };
  const light = drawnClose(plan, view.frame, { supersampling: 3 });
  return { picture: photographed(light, view.camera), mask: null };
}

/** Draws one into its file; how large that is, and what in the picture is no hair. */
async function draw(one: Shot, file: string) {
  const { picture, mask } = isFromNear(one.angle) ? near(one) : whole(one);
  const { size } = await sharp(
    Buffer.from(picture.data.buffer, picture.data.byteOffset, picture.data.length),
    {
      raw: { width: picture.width, height: picture.height, channels: 4 },
    },
  )
    .flatten()
    .jpeg({ quality: 86 })
    .toFile(file);
  const leftOut = mask
    ? areasOf(mask, 60).map((area) =>
        area.map(({ x, y }) => ({ x: Number(x.toFixed(4)), y: Number(y.toFixed(4)) })),
      )
    : [];
  return { size, leftOut };
}

for (const one of wanted) {
  const { washDay, day, angle, shot } = one;
  const fromNear = isFromNear(angle);
  const name = nameOf(one);
  const file = path.join(FOLDER, name);
  const known = index.findIndex((kept) => kept.file === name);
  const kept = index[known];
  const { size, leftOut } =
    onlyRead && kept ? { size: kept.size, leftOut: kept.measured.leftOut } : await draw(one, file);
  const seen = await decode(file);
  const read = fromNear
    ? { ...measureClose(seen, { curlWidth: CURL_WIDTH }), thinnest: null, widths: [] }
    : measureWhole(seen, { masked: maskOfAreas(leftOut, seen.width, seen.height) });
  const { card, taken } = read;
  const corners =
    card &&
    [
      { x: 0, y: 0 },
      { x: CARDS[card.kind].width, y: 0 },
      { x: CARDS[card.kind].width, y: CARDS[card.kind].height },
      { x: 0, y: CARDS[card.kind].height },
    ].map((at) => {
      const { x, y } = projected(card.toPicture, at);
      return { x: x / seen.width, y: y / seen.height };
    });
  const drawnOne: Drawn = {
    file: name,
    trial: TRIAL,
    washDay,
    day,
    angle,
    shot,
    zone: fromNear ? ['crown', 'left'] : null,
    width: seen.width,
    height: seen.height,
    size,
    measured: {
      leftOut,
      taken: taken && { card: corners, ...taken },
      thinnest: read.thinnest,
      widths: read.widths.map((mm) => Number(mm.toFixed(2))),
      notes: read.notes,
      curlWidth: fromNear ? CURL_WIDTH : null,
      readings: measuresOf(angle).flatMap((measure) =>
        read.readings[measure] ? [{ measure, ...read.readings[measure] }] : [],
      ),
    },
  };
  index.splice(known < 0 ? index.length : known, known < 0 ? 0 : 1, drawnOne);
  console.log(
    name,
    size,
    ...Object.entries(read.readings).map(
      ([key, value]) => `${key} ${value?.value?.toFixed(2) ?? value?.why}`,
    ),
  );
  writeFileSync(INDEX, `${JSON.stringify(index)}\n`);
}
