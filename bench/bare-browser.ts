import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import type { Readable, Writable } from 'node:stream';
import { chromium as debian } from '../playwright.config.ts';

type Answer = { id?: number; result?: Record<string, unknown>; error?: { message: string } };

/**
 * Debian's Chromium with one page, spoken to as little as can be: whoever listens to what its scripts do (a test's driver, the
 * tools of a developer) has it note where each of them stands; that took an eighth to a sixth of a page's time here, and questions put while it opens more.
 * Source: Chrome DevTools Protocol over a pipe.
 */
export async function bareBrowser({ width, height }: { width: number; height: number }) {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'sabor-bare-'));
  const chrome = spawn(
    debian.executablePath,
    [
      ...debian.args,
      '--remote-debugging-pipe',
      '--ignore-certificate-errors',
      `--user-data-dir=${profile}`,
      `--window-size=${width},${height}`,
    ],
    { stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'] },
  );
  const [, , , to, from] = chrome.stdio as unknown as [null, null, null, Writable, Readable];
  const waiting = new Map<number, (answer: Answer) => void>();
  let heard = '';
  from.on('data', (part: Buffer) => {
    heard += part.toString();
    const whole = heard.split('\0');
    heard = whole.pop()!;
    for (const text of whole) {
      const answer = JSON.parse(text) as Answer;
      if (answer.id !== undefined) waiting.get(answer.id)?.(answer);
    }
  });
  let last = 0;
  const tell = (method: string, params: object, sessionId?: string) =>
    new Promise<Record<string, unknown>>((resolve, reject) => {
      const id = ++last;
      waiting.set(id, ({ result, error }) => {
        waiting.delete(id);
        if (error) reject(new Error(`${method}: ${error.message}`));
        else resolve(result ?? {});
      });
      to.write(`${JSON.stringify({ id, method, params, ...(sessionId ? { sessionId } : {}) })}\0`);
    });
  const { targetId } = await tell('Target.createTarget', { url: 'about:blank' });
  const { sessionId } = await tell('Target.attachToTarget', { targetId, flatten: true });
  const page = (method: string, params: object = {}) => tell(method, params, sessionId as string);
  return {
    /** Goes to an address; does not wait for it. */
    go: (url: string) => page('Page.navigate', { url }),
    /** How many times slower than the machine's own its processor is from now on. */
    slow: (rate: number) => page('Emulation.setCPUThrottlingRate', { rate }),
    /** Runs a script in every page before its own. */
    before: async (source: string) => {
      await page('Page.enable');
      await page('Page.addScriptToEvaluateOnNewDocument', { source });
    },
    /** The value of an expression in the page; undefined where the page goes elsewhere meanwhile. */
    value: async (expression: string) => {
      const asked = page('Runtime.evaluate', { expression }).catch(() => null);
      const over = new Promise<null>((done) => setTimeout(done, 5000, null));
      const answer = await Promise.race([asked, over]);
      return (answer?.result as { value?: unknown } | undefined)?.value;
    },
    close: async () => {
      const over = new Promise((done) => chrome.once('exit', done));
      // Asked, not killed: what it started ends before it, and writes no more.
      void tell('Browser.close', {}).catch(() => {});
      await over;
      // What it started may hold the other ends a while longer.
      for (const end of [to, from]) end.destroy();
      await rm(profile, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
    },
  };
}
