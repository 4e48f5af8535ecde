import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { root } from '../../scripts/install.mjs';
import { clusterPaths, freePort } from '../../scripts/postgres/cluster.ts';
import { stopPostmaster } from '../../scripts/postgres/postmaster.ts';

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
export const newFolder = (what: string) => mkdtempSync(path.join(os.tmpdir(), `sabor-soak-${what}-`));

/** The database's own address, from its folder. */
export function urlOf(folder: string): string {
  const { data, password } = clusterPaths(folder);
  const port = readFileSync(path.join(data, 'postmaster.pid'), 'utf8').split('\n')[3];
  return `postgresql://sabor:${readFileSync(password, 'utf8').trim()}@127.0.0.1:${port}/postgres`;
}

/** A Sabor started as a user starts it, on a folder of its own. */
export class Sabor {
  private child: ChildProcess | null = null;
  said = '';
  readonly folder: string;
  readonly port: number;
  private constructor(folder: string, port: number) {
    this.folder = folder;
    this.port = port;
  }

  static async on(folder: string): Promise<Sabor> {
    return new Sabor(folder, await freePort());
  }

  /** Starts the process and does not wait for it. */
  launch(args: string[] = ['--empty']): ChildProcess {
    this.said = '';
    this.child = spawn(process.execPath, ['scripts/start.mjs', ...args], {
      cwd: root,
      env: { ...process.env, SABOR_DATA: this.folder, PORT: String(this.port), DATABASE_URL: '' },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    for (const stream of [this.child.stdout!, this.child.stderr!])
      stream.on('data', (text) => (this.said += text));
    return this.child;
  }

  /** Starts and waits until it is ready; true when it is, false when it ended instead. */
  async start(args?: string[]): Promise<boolean> {
    const child = this.launch(args);
    for (let wait = 0; wait < 1200; wait++) {
      if (this.said.includes('Sabor is ready')) return true;
      if (child.exitCode !== null || child.signalCode !== null) return false;
      await pause(100);
    }
    return false;
  }

  get pid(): number {
    return this.child!.pid!;
  }

  get postmaster(): number | null {
    const file = path.join(clusterPaths(this.folder).data, 'postmaster.pid');
    return existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) : null;
  }

  alive(): boolean {
    return this.child !== null && this.child.exitCode === null && this.child.signalCode === null;
  }

  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    const child = this.child;
    if (!child || !this.alive()) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await gone;
  }

  /** Ends it cleanly, and a database that outlived it. */
  async close(): Promise<void> {
    await this.kill('SIGINT');
    await stopPostmaster(clusterPaths(this.folder).data);
  }

  async ask(method: string, route: string, body?: unknown): Promise<{ status: number; body: unknown }> {
    try {
      const response = await fetch(`http://127.0.0.1:${this.port}/api${route}`, {
        method,
        ...(body === undefined
          ? {}
          : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
      });
      const text = await response.text();
      return {
        status: response.status,
        body: text && response.headers.get('content-type')?.includes('json') ? JSON.parse(text) : text,
      };
    } catch {
      return { status: 0, body: null };
    }
  }
}
