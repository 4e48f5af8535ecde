import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root } from '../install.mjs';
import { compressBelow } from './compress.ts';

const SOURCES = ['core', 'words', 'contract', 'reading', 'web'];
export const webRoot = path.join(root, 'web', 'dist');

function* files(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  )) {
    if (entry.name.startsWith('dist') || entry.name === 'node_modules' || entry.name.includes('.test.'))
      continue;
    const full = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* files(full);
    else yield full;
  }
}

function fingerprint(): string {
  const hash = createHash('sha256').update(readFileSync(path.join(root, 'package-lock.json')));
  for (const source of SOURCES)
    for (const file of files(path.join(root, source)))
      hash.update(path.relative(root, file)).update(readFileSync(file));
  return hash.digest('hex');
}

const STAMP = '.built-from';

const lives = (pid: number) => {
  try {
    return process.kill(pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
};

/** Removes what builds left that were killed half-way. */
function clearUnfinished(): void {
  const beside = path.dirname(webRoot);
  for (const name of readdirSync(beside)) {
    const pid = /^dist-(\d+)$/.exec(name)?.[1];
    if (pid && !lives(Number(pid))) rmSync(path.join(beside, name), { recursive: true, force: true });
  }
}

/** Puts a whole build where the last one was. Another may have got there in between: the last to come stays. */
function takePlace(made: string): void {
  for (let tries = 0; ; tries++) {
    rmSync(webRoot, { recursive: true, force: true });
    try {
      renameSync(made, webRoot);
      return;
    } catch (error) {
      if (tries === 5 || (error as NodeJS.ErrnoException).code !== 'ENOTEMPTY') throw error;
    }
  }
}

/**
 * Builds the web application when its sources have changed since the last build. It is made beside the one in use and
 * takes its place when it is whole, so that neither a kill nor a second build at the same time leaves half of one.
 */
export async function buildWeb(): Promise<string> {
  const stamp = path.join(webRoot, STAMP);
  const wanted = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return 'unchanged';
  clearUnfinished();
  const { build } = await import('vite');
  const made = `${webRoot}-${process.pid}`;
  // Asked for by a test, the build is still the one that users get.
  const { NODE_ENV } = process.env;
  process.env.NODE_ENV = 'production';
  try {
    await build({
      root: path.join(root, 'web'),
      logLevel: 'warn',
      build: { outDir: made, emptyOutDir: true },
    });
    compressBelow(made);
    writeFileSync(path.join(made, STAMP), wanted);
    takePlace(made);
  } finally {
    if (NODE_ENV === undefined) delete process.env.NODE_ENV;
    else process.env.NODE_ENV = NODE_ENV;
    rmSync(made, { recursive: true, force: true });
  }
  return 'built';
}
