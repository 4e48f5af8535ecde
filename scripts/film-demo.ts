import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { chromium as browserType } from '@playwright/test';
import type { ClipKind } from '@sabor/core/basin/clip';
import { momentOf } from '@sabor/core/made-up/moving';
import type { Filmed } from '../demo/clips.ts';
import { chromium } from '../playwright.config.ts';
import { bareClip } from '../server/http/bare-clip.ts';
import { root } from './install.mjs';

/**
 * Films the demo's clips, once: `node --import tsx scripts/film-demo.ts`. What moves is a photograph of the same wash day,
 * as the simulated camera moves a made-up head; both options move alike. Nothing of the demo rests on it.
 */
const FOLDER = path.join(root, 'demo', 'clips');
const TRIAL = 'gels';
/** One wash day of each gel, counted from 0. */
const WASH_DAYS = [6, 7];
/** Steps and handfuls that begin and end at rest, seconds. */
const SECONDS: Partial<Record<ClipKind, number>> = { bounce: 4, scrunch: 4.8 };
const HEIGHT = 480;
const RATE = 25;

mkdirSync(FOLDER, { recursive: true });
const browser = await browserType.launch(chromium);
const page = await browser.newPage();
await page.addScriptTag({ path: path.join(root, 'scripts', 'film-in-page.js') });
const index: Filmed[] = [];
for (const washDay of WASH_DAYS)
  for (const [kind, seconds] of Object.entries(SECONDS) as [ClipKind, number][]) {
    const still = readFileSync(
      path.join(root, 'demo', 'photographs', `${TRIAL} ${washDay + 1} day 1 back.jpg`),
    );
    const given = {
      picture: `data:image/jpeg;base64,${still.toString('base64')}`,
      height: HEIGHT,
      rate: RATE,
      moments: Array.from({ length: Math.round(seconds * RATE) }, (_, i) => momentOf(kind, i / RATE)),
      videoBitsPerSecond: 400_000,
      audioBitsPerSecond: 32_000,
    };
    const film = Buffer.from((await page.evaluate(`film(${JSON.stringify(given)})`)) as string, 'base64');
    const { bytes } = bareClip(film);
    const file = `${TRIAL} ${washDay + 1} ${kind}.webm`;
    writeFileSync(path.join(FOLDER, file), bytes);
    index.push({ file, trial: TRIAL, washDay, kind, seconds, size: bytes.length });
    console.log(`${file}: ${bytes.length} bytes`);
  }
await browser.close();
writeFileSync(path.join(FOLDER, 'index.json'), `${JSON.stringify(index, null, 2)}\n`);
