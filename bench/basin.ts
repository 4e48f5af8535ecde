/// <reference lib="dom" />
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { v7 } from 'uuid';
import { chromium as debian } from '../playwright.config.ts';

const PORT = 4890;
const base = `http://127.0.0.1:${PORT}`;

const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

/** The basin: opening in a browser slowed four times, as a mid-range phone is; a tap on screen and on disk; a long day. */
export async function benchBasin(): Promise<void> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'e2e/serve.ts', String(PORT)], {
    stdio: 'ignore',
  });
  try {
    for (let i = 0; i < 120; i++) {
      if (
        await fetch(`${base}/healthz`).then(
          ({ ok }) => ok,
          () => false,
        )
      )
        break;
      await new Promise((done) => setTimeout(done, 500));
    }
    const browser = await chromium.launch(debian);
    const page = await (
      await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })
    ).newPage();
    const api = async (method: 'get' | 'put' | 'post', at: string, data?: object) => {
      const answer = await page.request[method](`${base}/api${at}`, data ? { data } : {});
      return answer.ok() && answer.status() !== 204 ? answer.json() : null;
    };
    const trials = (await api('get', '/trials')) as { id: string; status: string }[];
    const planned = trials.find(({ status }) => status === 'planned')!;
    const id = v7();
    const startedAt = new Date(Date.now() - 3_600_000).toISOString();
    const day = await api('put', `/wash-days/${id}`, { trialId: planned.id, startedAt });
    const { steps } = day as { steps: { id: string }[] };
    const slow = await page.context().newCDPSession(page);
    await slow.send('Emulation.setCPUThrottlingRate', { rate: 4 });

    const open = async (at: string, heading: string) => {
      const times = [];
      for (let i = 0; i < 5; i++) {
        const began = performance.now();
        await page.goto(`${base}${at}`);
        await page.getByRole('heading', { name: heading, exact: true }).waitFor();
        times.push(performance.now() - began);
      }
      return middle(times);
    };
    const conductor = await open(`/wash-days/${id}?step=${steps[0]!.id}`, 'Detangle');
    const plain = await open('/routines', 'Routines');
    console.log(
      `the conductor opens, processor slowed four times      ${conductor.toFixed(0).padStart(5)} ms   ${(plain / conductor).toFixed(1)} × the list of routines`,
    );

    await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    await page.goto(`${base}/wash-days/${id}?step=${steps[0]!.id}`);
    await page.getByRole('button', { name: /^Notes/ }).click();
    await page
      .getByRole('group', { name: 'Notes on' })
      .getByRole('button', { name: /^How it applies/ })
      .click();
    const words = page.getByRole('group', { name: 'Slip' }).getByRole('button');
    const taps = await words.evaluateAll(async (buttons) => {
      const frames: number[] = [];
      for (let i = 0; i < 20; i++) {
        const began = performance.now();
        (buttons[i % buttons.length] as HTMLElement).click();
        await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
        frames.push(performance.now() - began);
        await new Promise((done) => setTimeout(done, 150));
      }
      const kept = performance.getEntriesByName('tap kept').map(({ duration }) => duration);
      return { frames, kept };
    });
    const put = await page.evaluate(async () => {
      const asked = indexedDB.open('peer', 1);
      const db: IDBDatabase = await new Promise((done) => {
        asked.onupgradeneeded = () => asked.result.createObjectStore('s', { autoIncrement: true });
        asked.onsuccess = () => done(asked.result);
      });
      const times: number[] = [];
      for (let i = 0; i < 20; i++) {
        const began = performance.now();
        const writing = db.transaction('s', 'readwrite', { durability: 'strict' });
        writing.objectStore('s').add({ text: 'a tap' });
        await new Promise((done) => {
          writing.oncomplete = done;
        });
        times.push(performance.now() - began);
      }
      return times;
    });
    console.log(
      `a tap is on the screen (to the second frame after it)  ${middle(taps.frames).toFixed(0).padStart(5)} ms   worst ${Math.max(...taps.frames).toFixed(0)} ms`,
    );
    console.log(
      `a tap is on the disk                                   ${middle(taps.kept).toFixed(0).padStart(5)} ms   ${(middle(put) / middle(taps.kept)).toFixed(1)} × a bare write to IndexedDB, worst ${Math.max(...taps.kept).toFixed(0)} ms`,
    );

    // A day of sixty steps and thirty photographs.
    const extra = Array.from({ length: 60 - steps.length }, (_, i) => ({
      id: v7(),
      at: new Date(Date.now() - 60_000 + i).toISOString(),
      kind: 'add-step',
      stepId: v7(),
      slot: 'technique',
      position: 100 + i,
    }));
    await api('post', `/wash-days/${id}/taps`, { device: 'bench', taps: extra });
    await page.goto(`${base}/wash-days/${id}?step=${steps[0]!.id}`);
    await page.getByRole('heading', { name: 'Detangle' }).waitFor();
    const picture = await page.screenshot({ type: 'jpeg', quality: 90 });
    for (let i = 0; i < 30; i++) {
      const photo = v7();
      await api('put', `/photographs/${photo}`, {
        washDayId: id,
        stage: 'wet',
        day: null,
        angle: 'back',
        takenAt: new Date().toISOString(),
        type: 'image/jpeg',
        width: 390,
        height: 844,
        size: picture.length,
      });
      await page.request.put(`${base}/api/photographs/${photo}/bytes?from=0`, {
        data: picture,
        headers: { 'Content-Type': 'application/octet-stream' },
      });
    }
    await page.reload();
    await page.getByText('Step 1 of 60').waitFor();
    const longest = await page.evaluate(async () => {
      const gaps: number[] = [];
      let last = performance.now();
      let on = true;
      const tick = (now: number) => {
        gaps.push(now - last);
        last = now;
        if (on) requestAnimationFrame(tick);
      };
      requestAnimationFrame(tick);
      for (let i = 0; i < 12; i++) {
        const done = [...document.querySelectorAll('button')].find((one) => one.textContent === 'Done');
        done?.click();
        await new Promise((wait) => setTimeout(wait, 250));
      }
      on = false;
      return gaps.sort((a, b) => b - a).slice(0, 3);
    });
    console.log(
      `sixty steps, thirty photographs: longest frames of twelve taps ${longest.map((gap) => gap.toFixed(0)).join(', ')} ms`,
    );
    await browser.close();
  } finally {
    server.kill('SIGTERM');
    await new Promise((done) => server.once('exit', done));
  }
}
