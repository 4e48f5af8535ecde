import { spawn, spawnSync } from 'node:child_process';
import {
  closeSync,
  existsSync,
  openSync,
  readFileSync,
  readlinkSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { binaries, owner } from './binaries.ts';
import { troubleIn } from './troubles.ts';

/** A log longer than this is put aside at the next start. */
const LOG_LIMIT = 2_000_000;

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

function alive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** Whether this process is PostgreSQL in that data folder: it works there. Elsewhere than on Linux any living one counts. */
function worksIn(pid: number, data: string): boolean {
  if (!existsSync('/proc/self/cwd')) return alive(pid);
  try {
    return readlinkSync(`/proc/${pid}/cwd`) === path.resolve(data);
  } catch {
    return false;
  }
}

/** The server that runs on a data folder: its process, its port, and whether it takes connections. */
export interface Running {
  pid: number;
  port: number;
  ready: boolean;
}

/** Who runs on the data folder; a pid file that a power cut left behind names nobody. */
export function runningIn(data: string): Running | null {
  let lines: string[];
  try {
    lines = readFileSync(path.join(data, 'postmaster.pid'), 'utf8').split('\n');
  } catch {
    return null;
  }
  const pid = Number(lines[0]);
  if (!Number.isInteger(pid) || pid < 1 || !alive(pid) || !worksIn(pid, data)) return null;
  return { pid, port: Number(lines[3]), ready: lines[7]?.trim() === 'ready' };
}

/** Runs one of PostgreSQL's programs to its end, as the user that owns the data; gives what it printed. */
export function run(
  program: string,
  args: string[],
  to: { version?: string | undefined; input?: string } = {},
): string {
  const done = spawnSync(path.join(binaries(to.version), program), args, {
    encoding: 'utf8',
    cwd: '/',
    input: to.input ?? '',
    timeout: 120_000,
    ...owner(),
    env: { ...process.env, LC_ALL: 'C.UTF-8' },
  });
  const said = `${done.stderr ?? ''}${done.stdout ?? ''}`.trim();
  if (done.status !== 0) throw troubleIn(`${program}: ${said || done.error?.message}`);
  return done.stdout;
}

/**
 * Removes a pid file that would stop the start for ever: one that names a living process which is none of ours, or
 * nothing at all. One of a dead process is PostgreSQL's own to judge, which also looks for what that left running.
 */
function removeStalePidFile(data: string): void {
  const file = path.join(data, 'postmaster.pid');
  if (!existsSync(file) || runningIn(data)) return;
  const pid = Number(readFileSync(file, 'utf8').split('\n')[0]);
  if (!Number.isInteger(pid) || pid < 1 || alive(pid)) rmSync(file, { force: true });
}

/** What a killed server left running is still going down. */
const STILL_THERE = /still in use|lock file "postmaster.pid" already exists/;
/** Tries until then, half a second apart. */
const TRIES = 40;

/** {@link startOnce}, patiently while what was killed goes away. */
export async function startPostmaster(...given: Parameters<typeof startOnce>): Promise<Running> {
  for (let left = TRIES; ; left--)
    try {
      return await startOnce(...given);
    } catch (error) {
      if (left <= 0 || !STILL_THERE.test((error as Error).message)) throw error;
      await pause(500);
    }
}

/** Starts PostgreSQL on a data folder and waits until it takes connections. Throws a Stop that says what is wrong. */
async function startOnce(
  data: string,
  log: string,
  port: number,
  settings: readonly string[],
  version?: string,
): Promise<Running> {
  removeStalePidFile(data);
  if (existsSync(log) && statSync(log).size > LOG_LIMIT) renameSync(log, `${log}.before`);
  const out = openSync(log, 'a');
  const began = existsSync(log) ? statSync(log).size : 0;
  const child = spawn(
    path.join(binaries(version), 'postgres'),
    [
      '-D',
      data,
      '-p',
      String(port),
      '-k',
      '',
      '-c',
      'listen_addresses=127.0.0.1',
      ...settings.flatMap((one) => ['-c', one]),
    ],
    {
      cwd: '/',
      detached: true,
      stdio: ['ignore', out, out],
      ...owner(),
      env: { ...process.env, LC_ALL: 'C.UTF-8' },
    },
  );
  closeSync(out);
  child.unref();
  let failed: Error | null = null;
  child.once('error', (error) => (failed = error));
  // Recovery after a crash may take its time: as long as the process lives, it is waited for.
  while (child.exitCode === null && child.signalCode === null && !failed) {
    const running = runningIn(data);
    if (running?.ready) return running;
    await pause(30);
  }
  const said = readFileSync(log).subarray(began).toString('utf8').trim().split('\n').slice(-8).join('\n');
  throw troubleIn(
    [(failed as Error | null)?.message, said, said ? null : unwritable(log)].filter(Boolean).join('\n'),
  );
}

/** Why nothing can be written beside a log that stayed empty: a full disk swallows PostgreSQL's own words. */
function unwritable(log: string): string | null {
  const tried = `${log}.tried`;
  try {
    writeFileSync(tried, Buffer.alloc(65_536));
    return null;
  } catch (error) {
    return (error as Error).message;
  } finally {
    rmSync(tried, { force: true });
  }
}

/** Stops PostgreSQL as soon as what is under way is rolled back, and waits until it is gone. */
export async function stopPostmaster(data: string): Promise<void> {
  const running = runningIn(data);
  if (!running) return;
  process.kill(running.pid, 'SIGINT');
  while (alive(running.pid) && worksIn(running.pid, data)) await pause(20);
}
