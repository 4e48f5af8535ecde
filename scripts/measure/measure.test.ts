import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { photographed } from '@sabor/core/made-up/camera';
import { drawn } from '@sabor/core/made-up/drawn';
import { maskOf } from '@sabor/core/made-up/figure';
import { madeUpHead, usualHead } from '@sabor/core/made-up/head';
import { type Frame, type Scene, USUAL_FRAME, USUAL_SCENE } from '@sabor/core/made-up/scene';
import { truthOf } from '@sabor/core/made-up/truth';
import { maskOfAreas } from '@sabor/core/photo/areas';
import type { Picture } from '@sabor/core/photo/plane';
import { NOTES, REFUSALS } from '@sabor/words/photo';
import Papa from 'papaparse';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Drawn } from '../../demo/photographs.ts';
import { root } from '../install.mjs';
import { measureFiles, type Row } from './run.ts';

const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-measure-'));
const at = (name: string) => path.join(folder, name);
const raw = ({ width, height, data }: Picture) =>
  sharp(data, { raw: { width, height, channels: 4 } }).removeAlpha();
const rows = async (...args: string[]) => {
  const { out, code } = await measureFiles([...args, '--json']);
  return { code, rows: JSON.parse(out) as Row[] };
};

const PX = 2.5;
const FRAME: Frame = {
  ...USUAL_FRAME,
  pxPerMm: PX,
  width: 620 * PX,
  height: 430 * PX,
  middle: { x: 0.37, y: 0.5 },
};
const scene: Scene = {
  ...USUAL_SCENE,
  head: madeUpHead({ ...usualHead('curl', 'dark', 77), flyaways: 1500 }),
};
/** What is so of the head by its geometry. */
const truth = truthOf(scene.head!, scene.turn, 60_000);
let picture: Picture;
/** What the file says where its mask is told. */
let plain: { code: number; rows: Row[] };
beforeAll(async () => {
  picture = photographed(drawn(scene, FRAME, { supersampling: 2 }));
  await raw(picture).jpeg({ quality: 92 }).toFile(at('hair.jpg'));
  const mask = maskOf(scene, FRAME);
  await sharp(
    mask.data.map((v) => 255 * v),
    { raw: { width: mask.width, height: mask.height, channels: 1 } },
  )
    .png()
    .toFile(at('mask.png'));
  plain = await rows(at('hair.jpg'), '--mask', at('mask.png'));
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('npm run measure', () => {
  it('reads in a photograph of the demo what the demo says of it', async () => {
    const drawn = path.join(root, 'demo', 'photographs');
    const all = JSON.parse(readFileSync(path.join(drawn, 'index.json'), 'utf8')) as Drawn[];
    const one = all.find(({ washDay, angle, shot }) => washDay === 4 && angle === 'back' && shot === 1)!;
    const mask = maskOfAreas(one.measured.leftOut, one.width, one.height);
    await sharp(
      mask.data.map((v) => 255 * v),
      { raw: { width: mask.width, height: mask.height, channels: 1 } },
    )
      .png()
      .toFile(at('demo mask.png'));
    const { rows: read } = await rows(path.join(drawn, one.file), '--mask', at('demo mask.png'));
    const said = new Map(one.measured.readings.map(({ measure, value }) => [measure, value]));
    expect(read[0]!.halo).toBeCloseTo(said.get('halo')!, 2);
    expect(read[0]!.silhouette).toBeCloseTo(said.get('silhouette')!, 0);
  });

  it('reads halo, silhouette and flyaways of a JPEG', () => {
    const { code, rows: read } = plain;
    expect(code).toBe(0);
    expect(read).toHaveLength(1);
    expect(read[0]!.pxPerMm! / PX).toBeCloseTo(1, 2);
    expect(Math.abs(read[0]!.halo! - truth.halo)).toBeLessThan(0.2);
    expect(Math.abs((100 * read[0]!.silhouette!) / truth.silhouette - 1)).toBeLessThan(0.02);
    expect(read[0]!.strays).toBeGreaterThan(5);
    expect(read[0]!.notes).toEqual([NOTES.coarse]);
  });

  it('says that nothing is masked, and writes a table and CSV', { tags: 'soak' }, async () => {
    const { out } = await measureFiles([at('hair.jpg')]);
    expect(out).toMatch(
      /^file +px\/mm +frizz halo, mm +silhouette, cm² +flyaways, per 100 mm\nhair\.jpg +2\.50 /,
    );
    expect(out).toContain(NOTES['nothing masked']);
    await sharp({ create: { width: 640, height: 480, channels: 3, background: '#ddd' } })
      .png()
      .toFile(at('wall.png'));
    const csv = await measureFiles([at('wall.png'), '--csv']);
    const [row] = Papa.parse<Record<string, string>>(csv.out, { header: true }).data;
    expect(row!.halo).toBe('');
    expect(row!.notes).toBe(REFUSALS['no card']);
  });

  it('reads the same turned by its camera, and in grey of sixteen bits', { tags: 'soak' }, async () => {
    // Kept lying on its side, with a note to turn it.
    await raw(picture)
      .rotate(-90)
      .withMetadata({ orientation: 6 })
      .jpeg({ quality: 92 })
      .toFile(at('turned.jpg'));
    await raw(picture).toColourspace('grey16').png().toFile(at('grey.png'));
    const { code, rows: read } = await rows(at('turned.jpg'), at('grey.png'), '--mask', at('mask.png'));
    expect(code).toBe(0);
    expect(read).toHaveLength(2);
    const [before] = plain.rows;
    for (const row of read) {
      expect(Math.abs(row.halo! - before!.halo!)).toBeLessThan(0.05);
      expect(row.silhouette! / before!.silhouette!).toBeCloseTo(1, 2);
    }
  });

  it('tells hair from the wall by its colour, and beside an empty frame, where that is asked', {
    tags: 'soak',
  }, async () => {
    await raw(photographed(drawn({ ...scene, head: null }, FRAME, { supersampling: 1 })))
      .jpeg({ quality: 92 })
      .toFile(at('empty.jpg'));
    const { code, rows: read } = await rows(
      at('hair.jpg'),
      ...['--mask', at('mask.png'), '--empty', at('empty.jpg'), '--way', 'colour'],
    );
    expect(code).toBe(0);
    expect(Math.abs(read[0]!.halo! - truth.halo)).toBeLessThan(0.2);
    expect(Math.abs((100 * read[0]!.silhouette!) / truth.silhouette - 1)).toBeLessThan(0.02);
    expect(read[0]!.notes).toEqual([NOTES.coarse, NOTES['empty frame']]);
    // Of another size: another camera, or held another way.
    const other = await rows(at('hair.jpg'), '--empty', at('wall.png'));
    expect(other.code).toBe(1);
    expect(other.rows[0]!.notes).toContain(REFUSALS['frames differ']);
    expect((await measureFiles([at('hair.jpg'), '--way', 'smell'])).out).toMatch(
      /^There is no way called smell\./,
    );
    expect((await measureFiles([at('hair.jpg'), '--near', '--way', 'colour'])).code).toBe(2);
  });

  it('tells what is wrong with a file, goes on with the next, and ends with 1', async () => {
    writeFileSync(at('letter.jpg'), 'Dear');
    const whole = await sharp(at('hair.jpg')).toBuffer();
    writeFileSync(at('short.jpg'), whole.subarray(0, whole.length / 2));
    await sharp({ create: { width: 8000, height: 7000, channels: 3, background: '#fff' } })
      .png()
      .toFile(at('huge.png'));
    await sharp({ create: { width: 640, height: 480, channels: 3, background: '#ddd' } })
      .png()
      .toFile(at('blank.png'));
    const { code, rows: read } = await rows(
      at('letter.jpg'),
      at('short.jpg'),
      at('huge.png'),
      at('blank.png'),
      at('none.jpg'),
      at('hair.jpg'),
    );
    expect(code).toBe(1);
    expect(read.slice(0, 5).map(({ notes }) => notes[0])).toEqual([
      'This file is no picture that can be read.',
      'This file is cut short or damaged.',
      'This picture has over 50 million pixels.',
      'The card is not found in this picture. Let all of it be seen, flat and lit.',
      'There is no such file.',
    ]);
    expect(read[5]!.halo).not.toBeNull();
    expect((await rows(at('hair.jpg'), '--mask', at('blank.png'))).rows[0]!.notes[0]).toContain('640 × 480');
  });

  it.each([
    [[], 'Name a picture'],
    [['a.jpg', '--card', 'tarot'], 'no card called tarot'],
    [['a.jpg', '--rule', 'ten'], 'in millimetres'],
    [['a.jpg', '--json', '--csv'], 'Choose'],
    [['a.jpg', '--mask', 'gone.png'], 'There is no file gone.png'],
    [['a.jpg', '--fast'], 'fast'],
  ])('ends with 2 and how it is used for %j', async (args, says) => {
    const { out, code } = await measureFiles(args);
    expect(code).toBe(2);
    expect(out).toContain(says);
    expect(out).toContain('npm run measure -- FILE');
  });
});
